package famulus.server.interchange;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.server.interchange.PicturesBrought.Beside;
import famulus.server.platform.Refusal;
import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimePart;
import jakarta.mail.internet.MimeUtility;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Date;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;

/** Reads an e-mail file (RFC 5322 and MIME): what it says, without its look, and whom it was for. */
final class MessageFile {
    /** Larger ones are not taken, in bytes. */
    static final int LARGEST = 25 << 20;

    private static final int DEEPEST = 20;
    private static final int MOST_PARTS = 200;
    private static final int LONGEST_WORDS = 200_000;

    private int parts;
    /** The first HTML that was met. */
    private String html = "";

    private final Map<String, Beside> within = new HashMap<>();

    private MessageFile() {}

    /**
     * A message as it was read.
     *
     * @param text its words; of one that is HTML alone, the words of that
     * @param html as it looks; empty for one that is words alone
     * @param sent when it says that it was sent; null for one that does not say
     * @param to the addresses it was written to
     * @param within the pictures that its HTML shows, by their address in it (RFC 2392)
     */
    record ReadMessage(
            String subject, String text, String html, Instant sent, List<String> to, Map<String, Beside> within) {}

    /** Reads a file; refused in words where it is no message, or one that can't be read. */
    static ReadMessage read(byte[] bytes) {
        if (bytes.length > LARGEST) {
            throw Refusal.field("file", "This file is larger than 25 MB.");
        }
        try {
            MimeMessage message =
                    new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
            if (!message.getAllHeaders().hasMoreElements()
                    || (message.getHeader("From") == null && message.getHeader("Subject") == null)) {
                throw Refusal.field("file", "This is no e-mail: it says neither who wrote it nor what it is about.");
            }
            MessageFile file = new MessageFile();
            String text = file.words(message, 0).orElse("");
            if (text.isBlank()) {
                throw Refusal.field("file", "This e-mail has no words: nothing can be made of it.");
            }
            Date sent = message.getSentDate();
            return new ReadMessage(
                    decoded(message.getHeader("Subject", null)),
                    text.length() > LONGEST_WORDS ? text.substring(0, LONGEST_WORDS) : text,
                    file.html.length() > HtmlCleaner.LONGEST ? "" : file.html,
                    sent == null ? null : sent.toInstant(),
                    addresses(message),
                    file.within);
        } catch (MessagingException | IOException unreadable) {
            throw Refusal.field("file", "This e-mail can’t be read: it ends too early, or is damaged.");
        }
    }

    /** A header in words; nothing for none. */
    static String decoded(String header) {
        if (header == null) {
            return "";
        }
        try {
            return MimeUtility.decodeText(MimeUtility.unfold(header)).strip();
        } catch (IOException unknownCharset) {
            return header.strip();
        }
    }

    private static List<String> addresses(MimeMessage message) {
        List<String> all = new ArrayList<>();
        for (Message.RecipientType type : List.of(Message.RecipientType.TO, Message.RecipientType.CC)) {
            try {
                Address[] found = message.getRecipients(type);
                if (found != null) {
                    Arrays.stream(found)
                            .filter(InternetAddress.class::isInstance)
                            .map(one -> ((InternetAddress) one).getAddress())
                            .forEach(all::add);
                }
            } catch (MessagingException unreadable) {
                // Who it was for can be said by hand.
            }
        }
        return all;
    }

    /** The words of a part; plain ones rather than those of its HTML. */
    private Optional<String> words(Part part, int deep) throws MessagingException, IOException {
        if (++parts > MOST_PARTS || deep > DEEPEST || Part.ATTACHMENT.equalsIgnoreCase(part.getDisposition())) {
            return Optional.empty();
        }
        if (part.isMimeType("multipart/*") && part.getContent() instanceof Multipart several) {
            Optional<String> plain = Optional.empty();
            Optional<String> ofHtml = Optional.empty();
            for (int i = 0; i < several.getCount(); i++) {
                Part one = several.getBodyPart(i);
                Optional<String> found = words(one, deep + 1).filter(words -> !words.isBlank());
                if (one.isMimeType("text/html")) {
                    ofHtml = ofHtml.or(() -> found);
                } else {
                    plain = plain.or(() -> found);
                }
            }
            Optional<String> second = ofHtml;
            return plain.or(() -> second);
        }
        if (part.isMimeType("message/rfc822") && part.getContent() instanceof Part inside) {
            return words(inside, deep + 1);
        }
        if (part.isMimeType("text/html")) {
            String written = text(part);
            html = html.isEmpty() ? written : html;
            return written.length() > HtmlCleaner.LONGEST
                    ? Optional.empty()
                    : Optional.of(HtmlWords.of(HtmlCleaner.cleanSource(written).html()));
        }
        if (part.isMimeType("image/*")) {
            picture(part);
        }
        return part.isMimeType("text/*") ? Optional.of(text(part)) : Optional.empty();
    }

    private void picture(Part part) throws MessagingException, IOException {
        if (part instanceof MimePart named && named.getContentID() != null) {
            String id = named.getContentID().strip().replaceAll("^<|>$", "");
            String name = part.getFileName() == null ? "Picture of an e-mail" : decoded(part.getFileName());
            try (InputStream stream = part.getInputStream()) {
                within.putIfAbsent("cid:" + id, new Beside(name, stream.readAllBytes()));
            }
        }
    }

    /** A text in its charset; one whose charset is unknown is read as the most common ones would be. */
    private static String text(Part part) throws MessagingException, IOException {
        byte[] bytes;
        try (InputStream stream = part.getInputStream()) {
            bytes = stream.readAllBytes();
        }
        return new String(bytes, charset(part.getContentType())).replace("\r\n", "\n");
    }

    private static Charset charset(String type) {
        try {
            String named = new jakarta.mail.internet.ContentType(type).getParameter("charset");
            return named == null ? StandardCharsets.UTF_8 : Charset.forName(MimeUtility.javaCharset(named));
        } catch (MessagingException | IllegalArgumentException unknown) {
            return unknown instanceof UnsupportedCharsetException
                    ? StandardCharsets.ISO_8859_1
                    : StandardCharsets.UTF_8;
        }
    }
}
