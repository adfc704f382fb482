package famulus.server.messages;

import jakarta.mail.MessagingException;
import jakarta.mail.Multipart;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.Properties;

/** The calendar files that came along with a message, read back from its bytes. */
public final class CalendarPart {
    private CalendarPart() {}

    /** The calendar file of a name (RFC 5545); absent when the message has none of that name. */
    public static Optional<byte[]> of(byte[] source, String name) {
        try {
            return within(
                    new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(source)), name);
        } catch (MessagingException wrong) {
            throw new IllegalStateException("This message can't be read", wrong);
        } catch (IOException wrong) {
            throw new UncheckedIOException(wrong);
        }
    }

    private static Optional<byte[]> within(Part part, String name) throws MessagingException, IOException {
        if (part.isMimeType("multipart/*") && part.getContent() instanceof Multipart several) {
            for (int i = 0; i < several.getCount(); i++) {
                Optional<byte[]> found = within(several.getBodyPart(i), name);
                if (found.isPresent()) {
                    return found;
                }
            }
            return Optional.empty();
        }
        boolean wanted = part.isMimeType("text/calendar") && name.equals(part.getFileName());
        return wanted ? Optional.of(part.getInputStream().readAllBytes()) : Optional.empty();
    }
}
