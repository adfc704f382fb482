package famulus.server.outbox;

import jakarta.mail.internet.MailDateFormat;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;

/** The line of a message's head that says when it was sent (RFC 5322, 3.6.1). */
final class DateLine {
    private static final String NAME = "Date: ";

    private DateLine() {}

    /**
     * A message that says it was sent at a moment; nothing else of it changes. One without the line stays as it is.
     *
     * @param source as it was frozen, lines ended by CRLF
     */
    static byte[] at(Instant moment, byte[] source) {
        int start = 0;
        while (start < source.length && source[start] != '\r') {
            int end = endOfLine(source, start);
            if (begins(source, start)) {
                ByteArrayOutputStream dated = new ByteArrayOutputStream(source.length + NAME.length());
                dated.write(source, 0, start);
                dated.writeBytes(
                        (NAME + new MailDateFormat().format(Date.from(moment))).getBytes(StandardCharsets.US_ASCII));
                dated.write(source, end, source.length - end);
                return dated.toByteArray();
            }
            start = end + 2;
        }
        return source;
    }

    private static boolean begins(byte[] source, int start) {
        int length = Math.min(NAME.length(), source.length - start);
        return new String(source, start, length, StandardCharsets.US_ASCII).equalsIgnoreCase(NAME);
    }

    private static int endOfLine(byte[] source, int start) {
        int at = start;
        while (at < source.length && source[at] != '\r') {
            at++;
        }
        return at;
    }
}
