package famulus.server.outbox;

import famulus.core.message.FlowedText;
import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Properties;

/**
 * A message read back from its bytes, as the recipient's program reads it.
 *
 * @param subject decoded
 * @param from decoded
 * @param to decoded
 * @param text the text, its wrapping undone where it was flowed
 * @param headers as they stand, decoded, in order
 * @param source the bytes as characters
 */
public record SourceText(String subject, String from, String to, String text, List<HeaderLine> headers, String source) {

    /** One header. */
    public record HeaderLine(String name, String value) {}

    /** Reads bytes of RFC 5322. */
    public static SourceText of(byte[] bytes) {
        try {
            MimeMessage message =
                    new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
            String text = message.getContent() instanceof String content ? content : "";
            boolean flowed = message.getContentType().toLowerCase(Locale.ROOT).contains("format=flowed");
            List<HeaderLine> headers = Collections.list(message.getAllHeaders()).stream()
                    .map(SourceText::header)
                    .toList();
            return new SourceText(
                    blank(message.getSubject()),
                    decoded(message, "From"),
                    decoded(message, "To"),
                    flowed ? FlowedText.read(text) : text,
                    headers,
                    new String(bytes, StandardCharsets.UTF_8));
        } catch (MessagingException wrong) {
            throw new IllegalStateException("This message can't be read", wrong);
        } catch (IOException wrong) {
            throw new UncheckedIOException(wrong);
        }
    }

    private static String decoded(MimeMessage message, String name) throws MessagingException, IOException {
        String value = message.getHeader(name, ", ");
        return value == null ? "" : MimeUtility.decodeText(MimeUtility.unfold(value));
    }

    private static HeaderLine header(Header header) {
        try {
            return new HeaderLine(header.getName(), MimeUtility.decodeText(MimeUtility.unfold(header.getValue())));
        } catch (IOException undecodable) {
            return new HeaderLine(header.getName(), header.getValue());
        }
    }

    private static String blank(String text) {
        return text == null ? "" : text;
    }
}
