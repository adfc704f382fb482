package famulus.server.outbox;

import famulus.core.message.FlowedText;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.IDN;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.Properties;

/** Writes a message for the wire: {@code text/plain; format=flowed} (RFC 3676) under headers of RFC 5322 and 2047. */
final class MimeWriter {
    private static final int LONGEST_ASCII_LINE = 990;

    private MimeWriter() {}

    /** Who is written to or from. */
    record Mailbox(String name, String address) {}

    /**
     * Returns the bytes of a message, lines ended by CRLF.
     *
     * @param messageId with angle brackets
     */
    static byte[] write(String messageId, Mailbox from, Mailbox to, String subject, String text, Instant at) {
        try {
            MimeMessage message = new WithOurIdentifier(messageId);
            message.setFrom(address(from));
            message.setRecipient(Message.RecipientType.TO, address(to));
            message.setSubject(oneLine(subject), "UTF-8");
            message.setSentDate(Date.from(at));
            String flowed = FlowedText.of(text);
            message.setContent(flowed, "text/plain; charset=UTF-8; format=flowed");
            message.setHeader("Content-Type", "text/plain; charset=UTF-8; format=flowed");
            message.setHeader("Content-Transfer-Encoding", isPlainAscii(flowed) ? "7bit" : "quoted-printable");
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

    private static InternetAddress address(Mailbox mailbox) throws IOException {
        int sign = mailbox.address().lastIndexOf('@');
        String host = IDN.toASCII(mailbox.address().substring(sign + 1));
        return new InternetAddress(
                mailbox.address().substring(0, sign + 1) + host,
                oneLine(mailbox.name()),
                StandardCharsets.UTF_8.name());
    }

    /** Whatever a name or subject holds, it stays within its own header. */
    private static String oneLine(String text) {
        return text.replaceAll("[\\p{Cc}\\u2028\\u2029]+", " ").strip();
    }

    private static boolean isPlainAscii(String text) {
        return text.chars().allMatch(c -> c < 127 && (c >= 32 || c == '\r' || c == '\n'))
                && text.lines().allMatch(line -> line.length() <= LONGEST_ASCII_LINE);
    }

    /** Keeps the identifier it was given, where the library would make one up. */
    private static final class WithOurIdentifier extends MimeMessage {
        private final String identifier;

        private WithOurIdentifier(String identifier) {
            super(Session.getInstance(new Properties()));
            this.identifier = identifier;
        }

        @Override
        protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", identifier);
        }
    }
}
