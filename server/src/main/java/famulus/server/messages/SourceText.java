package famulus.server.messages;

import famulus.core.message.FlowedText;
import jakarta.mail.BodyPart;
import jakarta.mail.Header;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;

/**
 * A message read back from its bytes, as the recipient's program reads it.
 *
 * @param subject decoded
 * @param from decoded
 * @param to decoded
 * @param text the text, its wrapping undone where it was flowed
 * @param html a whole document, the pictures that came along put into it; empty for a plain message
 * @param files the names of the files that came along
 * @param headers as they stand, decoded, in order
 * @param source the bytes as characters
 */
public record SourceText(
        String subject,
        String from,
        String to,
        String text,
        String html,
        List<String> files,
        List<HeaderLine> headers,
        String source) {

    /** One header. */
    public record HeaderLine(String name, String value) {}

    /** The same with another HTML document. */
    public SourceText with(String otherHtml) {
        return new SourceText(subject, from, to, text, otherHtml, files, headers, source);
    }

    /** Reads bytes of RFC 5322. */
    public static SourceText of(byte[] bytes) {
        try {
            MimeMessage message =
                    new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
            Parts parts = new Parts();
            parts.read(message);
            List<HeaderLine> headers = Collections.list(message.getAllHeaders()).stream()
                    .map(SourceText::header)
                    .toList();
            return new SourceText(
                    blank(message.getSubject()),
                    decoded(message, "From"),
                    decoded(message, "To"),
                    parts.text,
                    parts.whole(),
                    parts.files,
                    headers,
                    new String(bytes, StandardCharsets.UTF_8));
        } catch (MessagingException wrong) {
            throw new IllegalStateException("This message can't be read", wrong);
        } catch (IOException wrong) {
            throw new UncheckedIOException(wrong);
        }
    }

    /** What the parts of a message hold. */
    private static final class Parts {
        private String text = "";
        private String html = "";
        private final List<String> files = new ArrayList<>();
        private final Map<String, String> pictures = new LinkedHashMap<>();

        private void read(Part part) throws MessagingException, IOException {
            Object content = part.getContent();
            if (content instanceof Multipart several) {
                for (int i = 0; i < several.getCount(); i++) {
                    BodyPart inner = several.getBodyPart(i);
                    read(inner);
                }
            } else if (part instanceof MimeBodyPart inline && inline.getContentID() != null) {
                String type = part.getContentType().split(";")[0].strip();
                String data =
                        Base64.getEncoder().encodeToString(part.getInputStream().readAllBytes());
                pictures.put(inline.getContentID().replaceAll("[<>]", ""), "data:" + type + ";base64," + data);
            } else if (Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition())) {
                files.add(part.getFileName() == null ? "" : MimeUtility.decodeText(part.getFileName()));
            } else if (part.isMimeType("text/html")) {
                html = String.valueOf(content);
            } else if (content instanceof String words) {
                boolean flowed = part.getContentType().toLowerCase(Locale.ROOT).contains("format=flowed");
                text = flowed ? FlowedText.read(words) : words;
            }
        }

        private String whole() {
            String whole = html;
            for (Map.Entry<String, String> picture : pictures.entrySet()) {
                whole = whole.replace("\"cid:" + picture.getKey() + "\"", "\"" + picture.getValue() + "\"");
            }
            return whole;
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
