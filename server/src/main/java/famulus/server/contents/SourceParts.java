package famulus.server.contents;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;

/**
 * A message of the wire with its larger contents taken out.
 *
 * @param frame all that is left: headers, texts, boundaries
 * @param contents what was taken out, in order
 */
record SourceParts(byte[] frame, List<Content> contents) {
    /** Shorter ones are not worth a row of their own. */
    private static final int SHORTEST = 2_048;

    private static final byte[] BLANK_LINE = "\r\n\r\n".getBytes(StandardCharsets.US_ASCII);
    private static final byte[] BOUNDARY = "\r\n--".getBytes(StandardCharsets.US_ASCII);
    private static final String ENCODED = "\r\ncontent-transfer-encoding: base64\r\n";
    private static final Base64.Encoder WRITER = Base64.getMimeEncoder(76, "\r\n".getBytes(StandardCharsets.US_ASCII));

    /**
     * A content that was taken out.
     *
     * @param at where it goes within the frame
     */
    record Content(int at, byte[] bytes) {}

    /**
     * Takes a message apart. Only a part in base64 (RFC 2045) whose lines come out the same when it is written again is
     * taken out, so that {@link #whole} always gives the very bytes.
     */
    static SourceParts of(byte[] source) {
        ByteArrayOutputStream frame = new ByteArrayOutputStream();
        List<Content> contents = new ArrayList<>();
        int kept = 0;
        int header = 0;
        for (int blank = indexOf(source, BLANK_LINE, 0); blank >= 0; blank = indexOf(source, BLANK_LINE, header)) {
            int begin = blank + BLANK_LINE.length;
            int end = indexOf(source, BOUNDARY, begin - 2);
            end = end < 0 ? source.length : end;
            if (end - begin >= SHORTEST && isEncoded(source, header, begin)) {
                byte[] content = decoded(source, begin, end);
                byte[] again = content == null ? new byte[0] : WRITER.encode(content);
                if (again.length > 0 && startsWith(source, begin, end, again)) {
                    frame.write(source, kept, begin - kept);
                    contents.add(new Content(frame.size(), content));
                    kept = begin + again.length;
                }
            }
            header = Math.max(end, begin);
        }
        frame.write(source, kept, source.length - kept);
        return new SourceParts(frame.toByteArray(), contents);
    }

    /** The message as it was. */
    byte[] whole() {
        ByteArrayOutputStream whole = new ByteArrayOutputStream(frame.length);
        int at = 0;
        for (Content content : contents) {
            whole.write(frame, at, content.at() - at);
            whole.writeBytes(WRITER.encode(content.bytes()));
            at = content.at();
        }
        whole.write(frame, at, frame.length - at);
        return whole.toByteArray();
    }

    private static boolean isEncoded(byte[] source, int from, int to) {
        String header = "\r\n" + new String(source, from, to - from, StandardCharsets.ISO_8859_1);
        return header.toLowerCase(Locale.ROOT).contains(ENCODED);
    }

    private static byte[] decoded(byte[] source, int from, int to) {
        try {
            return Base64.getMimeDecoder().decode(Arrays.copyOfRange(source, from, to));
        } catch (IllegalArgumentException damaged) {
            return null;
        }
    }

    private static boolean startsWith(byte[] source, int from, int to, byte[] start) {
        return to - from >= start.length && Arrays.equals(source, from, from + start.length, start, 0, start.length);
    }

    private static int indexOf(byte[] source, byte[] wanted, int from) {
        for (int at = Math.max(from, 0); at <= source.length - wanted.length; at++) {
            if (source[at] == wanted[0] && Arrays.equals(source, at, at + wanted.length, wanted, 0, wanted.length)) {
                return at;
            }
        }
        return -1;
    }
}
