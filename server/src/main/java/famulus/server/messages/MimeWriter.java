package famulus.server.messages;

import famulus.core.message.FlowedText;
import famulus.server.messages.MessageContent.AttachedFile;
import famulus.server.messages.MessageContent.InlinePicture;
import jakarta.activation.DataHandler;
import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.internet.MimeUtility;
import jakarta.mail.util.ByteArrayDataSource;
import jakarta.mail.util.StreamProvider;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.IDN;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Collectors;
import org.eclipse.angus.mail.util.MailStreamProvider;

/**
 * Writes a message for the wire under headers of RFC 5322 and 2047. A plain one is {@code text/plain; format=flowed} (RFC
 * 3676) alone; one with HTML is {@code alternative} of both, within {@code related} when pictures go along (RFC 2387),
 * within {@code mixed} when files do.
 */
public final class MimeWriter {
    static {
        // Otherwise the library looks through all jars for it, for each part and each header of each message.
        System.setProperty(StreamProvider.class.getName(), MailStreamProvider.class.getName());
    }

    private static final int LONGEST_ASCII_LINE = 990;

    private MimeWriter() {}

    /** Who is written to or from. */
    public record Mailbox(String name, String address) {}

    /** Who is named in a message. */
    record Parties(Mailbox from, List<Mailbox> to, List<Mailbox> cc) {
        /** From one mailbox to another. */
        Parties(Mailbox from, Mailbox to) {
            this(from, List.of(to), List.of());
        }
    }

    /**
     * What a message says of itself besides.
     *
     * @param answersTo where answers go; empty for where it comes from
     * @param unsubscribe the link with which its reader leaves rounds, in one click too (RFC 2369, RFC 8058); empty for
     *     none
     * @param answers the identifiers, with angle brackets, of the messages it follows, the oldest first (RFC 5322)
     */
    record Headers(Optional<String> answersTo, Optional<String> unsubscribe, List<String> answers) {
        /** Nothing. */
        static final Headers NONE = new Headers(Optional.empty(), Optional.empty(), List.of());
    }

    /**
     * Returns the bytes of a message, lines ended by CRLF.
     *
     * @param messageId with angle brackets
     */
    static byte[] write(
            String messageId, Parties parties, String subject, MessageContent content, Headers headers, Instant at) {
        try {
            MimeMessage message = new WithOurIdentifier(messageId);
            Mailbox from = parties.from();
            message.setFrom(address(from));
            message.setRecipients(Message.RecipientType.TO, addresses(parties.to()));
            if (!parties.cc().isEmpty()) {
                message.setRecipients(Message.RecipientType.CC, addresses(parties.cc()));
            }
            String line = oneLine(subject);
            if (EncodedWord.looksLikeOne(line)) {
                message.setHeader("Subject", EncodedWord.of(line));
            } else {
                message.setSubject(line, "UTF-8");
            }
            message.setSentDate(Date.from(at));
            if (headers.answersTo().isPresent()) {
                message.setReplyTo(new Address[] {
                    address(new Mailbox(from.name(), headers.answersTo().get()))
                });
            }
            if (headers.unsubscribe().isPresent()) {
                message.setHeader(
                        "List-Unsubscribe", "<" + oneLine(headers.unsubscribe().get()) + ">");
                message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
            }
            if (!headers.answers().isEmpty()) {
                message.setHeader("In-Reply-To", oneLine(headers.answers().getLast()));
                message.setHeader("References", folded(headers.answers()));
            }
            if (content.html().isEmpty() && content.files().isEmpty()) {
                text(message, content.text());
            } else {
                message.setContent(mixed(content, messageId));
            }
            message.saveChanges();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            message.writeTo(bytes);
            return bytes.toByteArray();
        } catch (MessagingException wrong) {
            throw new IllegalStateException("This message can't be written", wrong);
        } catch (IOException wrong) {
            throw new UncheckedIOException(wrong);
        }
    }

    private static Multipart mixed(MessageContent content, String messageId) throws MessagingException {
        Multipart inner = content.html().isEmpty() ? null : related(content, messageId);
        if (content.files().isEmpty()) {
            return inner;
        }
        Multipart mixed = new Fixed("mixed", messageId);
        MimeBodyPart first = new MimeBodyPart();
        if (inner == null) {
            text(first, content.text());
        } else {
            first.setContent(inner);
        }
        mixed.addBodyPart(first);
        for (AttachedFile file : content.files()) {
            MimeBodyPart part = data(file.content(), file.mediaType());
            part.setFileName(encoded(file.name()));
            part.setDisposition(Part.ATTACHMENT);
            mixed.addBodyPart(part);
        }
        return mixed;
    }

    private static Multipart related(MessageContent content, String messageId) throws MessagingException {
        Multipart alternative = new Fixed("alternative", messageId);
        MimeBodyPart plain = new MimeBodyPart();
        text(plain, content.text());
        alternative.addBodyPart(plain);
        MimeBodyPart html = new MimeBodyPart();
        html.setText(crlf(content.html()), "UTF-8", "html");
        html.setHeader("Content-Transfer-Encoding", "quoted-printable");
        alternative.addBodyPart(html);
        if (content.pictures().isEmpty()) {
            return alternative;
        }
        Multipart related = new Fixed("related", messageId);
        MimeBodyPart first = new MimeBodyPart();
        first.setContent(alternative);
        related.addBodyPart(first);
        for (InlinePicture picture : content.pictures()) {
            MimeBodyPart part = data(picture.content(), picture.mediaType());
            part.setContentID("<" + picture.id() + ">");
            part.setFileName(encoded(picture.name()));
            part.setDisposition(Part.INLINE);
            related.addBodyPart(part);
        }
        return related;
    }

    private static MimeBodyPart data(byte[] content, String mediaType) throws MessagingException {
        MimeBodyPart part = new MimeBodyPart();
        part.setDataHandler(new DataHandler(new ByteArrayDataSource(content, mediaType)));
        part.setHeader("Content-Type", mediaType);
        part.setHeader("Content-Transfer-Encoding", "base64");
        return part;
    }

    /** Names in any script, as mail programs read them in practice (RFC 2047 in the parameter). */
    private static String encoded(String name) {
        String line = oneLine(name);
        if (EncodedWord.looksLikeOne(line)) {
            return EncodedWord.of(line);
        }
        try {
            return MimeUtility.encodeText(line, "UTF-8", null);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static void text(Part part, String text) throws MessagingException {
        String flowed = FlowedText.of(text);
        part.setContent(flowed, "text/plain; charset=UTF-8; format=flowed");
        part.setHeader("Content-Type", "text/plain; charset=UTF-8; format=flowed");
        part.setHeader("Content-Transfer-Encoding", isPlainAscii(flowed) ? "7bit" : "quoted-printable");
    }

    private static String crlf(String text) {
        return text.replace("\r\n", "\n").replace("\n", "\r\n");
    }

    private static Address[] addresses(List<Mailbox> mailboxes) throws IOException {
        Address[] addresses = new Address[mailboxes.size()];
        for (int i = 0; i < addresses.length; i++) {
            addresses[i] = address(mailboxes.get(i));
        }
        return addresses;
    }

    private static InternetAddress address(Mailbox mailbox) throws IOException {
        int sign = mailbox.address().lastIndexOf('@');
        String host = IDN.toASCII(mailbox.address().substring(sign + 1));
        String address = mailbox.address().substring(0, sign + 1) + host;
        String name = oneLine(mailbox.name());
        if (name.isEmpty()) {
            return new InternetAddress(address, null, StandardCharsets.UTF_8.name());
        }
        return EncodedWord.looksLikeOne(name)
                ? new NamedLikeAWord(address, name)
                : new InternetAddress(address, name, StandardCharsets.UTF_8.name());
    }

    /** An address whose name has to be encoded although it is ASCII. */
    private static final class NamedLikeAWord extends InternetAddress {
        private static final long serialVersionUID = 1L;

        private NamedLikeAWord(String address, String name) {
            this.address = address;
            // On one line: a header of several addresses is folded by the library.
            this.encodedPersonal = EncodedWord.of(name).replace("\r\n ", " ");
        }
    }

    /** Whatever a name or subject holds, it stays within its own header. */
    private static String oneLine(String text) {
        return text.replaceAll("[\\p{Cc}\\u2028\\u2029]+", " ").strip();
    }

    private static String folded(List<String> identifiers) {
        return identifiers.stream().map(MimeWriter::oneLine).collect(Collectors.joining("\r\n "));
    }

    private static boolean isPlainAscii(String text) {
        return text.chars().allMatch(c -> c < 127 && (c >= 32 || c == '\r' || c == '\n'))
                && text.lines().allMatch(line -> line.length() <= LONGEST_ASCII_LINE);
    }

    /** A multipart whose boundary follows from the message, so that the same message is the same bytes. */
    private static final class Fixed extends MimeMultipart {
        private Fixed(String subtype, String messageId) {
            super(subtype);
            String name = Integer.toHexString(messageId.hashCode());
            contentType = "multipart/" + subtype + "; boundary=\"----=_" + subtype + "_" + name + "\"";
        }
    }

    /** Keeps the identifier it was given, where the library would make one up. */
    private static final class WithOurIdentifier extends MimeMessage {
        /** Made once: each looks for providers in every library anew, and holds the locks of class loading meanwhile. */
        private static final Session SESSION = Session.getInstance(new Properties());

        private final String identifier;

        private WithOurIdentifier(String identifier) {
            super(SESSION);
            this.identifier = identifier;
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", identifier);
        }
    }
}
