package famulus.server.outbox;

import jakarta.mail.Address;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import jakarta.mail.SendFailedException;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import java.io.ByteArrayInputStream;
import java.util.Optional;
import java.util.Properties;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPMessage;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.springframework.boot.mail.autoconfigure.MailProperties;
import org.springframework.stereotype.Component;

/** Hands the bytes of one message to the mail server (RFC 5321) and tells what it answered. */
@Component
class Postman {
    private static final String SECONDS_20 = "20000";
    private static final int PERMANENT = 500;

    private final MailProperties settings;
    private final Optional<MailRoute> route;

    Postman(MailProperties settings, Optional<MailRoute> route) {
        this.settings = settings;
        this.route = route;
    }

    /**
     * What the mail server said.
     *
     * @param outcome taken, not now, or never
     * @param words in its own words, or in ours when it could not be reached
     */
    record Answer(Outcome outcome, String words) {}

    enum Outcome {
        TAKEN,
        NOT_NOW,
        NEVER
    }

    Answer hand(byte[] source, String from, String to) {
        if (route.isEmpty() && (settings.getHost() == null || settings.getHost().isBlank())) {
            return new Answer(Outcome.NOT_NOW, "No mail server has been set up yet.");
        }
        Session session = Session.getInstance(properties(from));
        try (Transport transport = session.getTransport("smtp")) {
            SMTPMessage message = new SMTPMessage(session, new ByteArrayInputStream(source));
            message.setEnvelopeFrom(from);
            connect(transport);
            // Not saved again: that would write its headers anew, and it is to leave as it was kept.
            transport.sendMessage(message, new Address[] {new InternetAddress(to)});
            return new Answer(Outcome.TAKEN, "");
        } catch (MessagingException failed) {
            return answer(failed);
        }
    }

    private void connect(Transport transport) throws MessagingException {
        if (route.isPresent()) {
            transport.connect(route.get().host(), route.get().port(), null, null);
        } else {
            transport.connect(
                    settings.getHost(),
                    settings.getPort(),
                    blankToNull(settings.getUsername()),
                    blankToNull(settings.getPassword()));
        }
    }

    private static String blankToNull(String text) {
        return text == null || text.isBlank() ? null : text;
    }

    private Properties properties(String from) {
        Properties properties = new Properties();
        if (route.isEmpty()) {
            properties.putAll(settings.getProperties());
        }
        properties.put("mail.smtp.from", from);
        properties.put("mail.smtp.connectiontimeout", SECONDS_20);
        properties.put("mail.smtp.timeout", SECONDS_20);
        properties.put("mail.smtp.writetimeout", SECONDS_20);
        return properties;
    }

    /** A code from 500 on is for good (RFC 5321, 4.2.1); all else may pass, a lost line included. */
    private static Answer answer(MessagingException failed) {
        for (Exception cause = failed; cause != null; cause = next(cause)) {
            int code = 0;
            if (cause instanceof SMTPAddressFailedException address) {
                code = address.getReturnCode();
            } else if (cause instanceof SMTPSendFailedException send) {
                code = send.getReturnCode();
            }
            if (code > 0) {
                return new Answer(code >= PERMANENT ? Outcome.NEVER : Outcome.NOT_NOW, words(cause));
            }
        }
        if (failed instanceof AuthenticationFailedException) {
            return new Answer(Outcome.NOT_NOW, "The mail server does not accept our sign-in.");
        }
        boolean badAddress = failed instanceof SendFailedException refused
                && refused.getInvalidAddresses() != null
                && refused.getInvalidAddresses().length > 0;
        return badAddress
                ? new Answer(Outcome.NEVER, words(failed))
                : new Answer(Outcome.NOT_NOW, "The mail server can't be reached.");
    }

    private static Exception next(Exception cause) {
        return cause instanceof MessagingException messaging ? messaging.getNextException() : null;
    }

    private static String words(Exception answer) {
        String words = String.valueOf(answer.getMessage()).strip();
        return words.substring(0, Math.min(words.length(), 400));
    }
}
