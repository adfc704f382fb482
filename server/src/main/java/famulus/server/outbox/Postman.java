package famulus.server.outbox;

import famulus.server.outbox.MailConnection.Reply;
import jakarta.annotation.PreDestroy;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.AddressException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.mail.autoconfigure.MailProperties;
import org.springframework.stereotype.Component;

/**
 * Hands the bytes of one message to the mail server (RFC 5321) and tells what became of it. An answer counts from the
 * moment it is read: what happens to the connection afterwards changes nothing. Once the final dot has left and no answer
 * came, nobody can know whether the message was taken.
 */
@Component
class Postman {
    private static final int PERMANENT = 500;
    private static final int FOR_NOW = 400;
    private static final int SERVICE_ENDS = 421;
    private static final int NO_ROOM = 452;
    private static final int DONE = 200;
    private static final int NOT_DONE = 300;
    private static final int LONGEST_WORDS = 4000;

    private final MailProperties settings;
    private final Optional<MailRoute> route;
    private final MailConnections connections;

    @Autowired
    Postman(MailProperties settings, Optional<MailRoute> route) {
        this(settings, route, MailLimits.STANDARD);
    }

    Postman(MailProperties settings, Optional<MailRoute> route, MailLimits limits) {
        this.settings = settings;
        this.route = route;
        this.connections = new MailConnections(limits);
    }

    /**
     * What became of a message.
     *
     * @param words the mail server's own, or ours when it said nothing
     */
    record Answer(Outcome outcome, String words) {
        Answer {
            words = words.substring(0, Math.min(words.length(), LONGEST_WORDS));
        }
    }

    enum Outcome {
        /** The server has it. */
        TAKEN,
        /** The server does not have it, and may take it another time. */
        NOT_NOW,
        /** The server takes nothing just now, whoever it is for: it is away, turns us away, or has no room. */
        NO_SERVER,
        /** The server does not have it and will not take it. */
        NEVER,
        /** The server was given all of it and did not answer. */
        NOT_SURE
    }

    /**
     * Hands over one message, to all or none of those it is for; takes as long as the server takes, within {@link MailLimits}.
     */
    Answer hand(byte[] source, String from, List<String> to) {
        if (route.isEmpty() && (settings.getHost() == null || settings.getHost().isBlank())) {
            return new Answer(Outcome.NO_SERVER, "No mail server has been set up yet.");
        }
        MailAccount account = account();
        MailConnection kept = connections.kept(account);
        if (kept != null) {
            Answer answer = hand(kept, source, from, to);
            boolean worn = answer.outcome() != Outcome.TAKEN && !kept.handedOver() && kept.failedAtOnce();
            if (!worn) {
                return answer;
            }
            // The server ended a connection that was kept, or takes no more over it. That says nothing of this message.
        }
        MailConnection fresh = connections.fresh(account);
        try {
            fresh.open();
        } catch (MessagingException failed) {
            Answer answer = notConnected(fresh.reply(), failed);
            connections.letGo(fresh);
            return answer;
        }
        return hand(fresh, source, from, to);
    }

    private Answer hand(MailConnection connection, byte[] source, String from, List<String> to) {
        String failed = "";
        boolean threw = false;
        try {
            connection.hand(source, from, to);
        } catch (MessagingException | RuntimeException | Error failure) {
            threw = true;
            boolean ofTheLine = failure instanceof MessagingException && !(failure instanceof AddressException);
            failed = ofTheLine ? "" : "Something went wrong on our side: " + failure;
        }
        if (threw) {
            connections.letGo(connection);
        } else {
            connections.giveBack(connection);
        }
        return connection.handedOver() ? afterTheDot(connection.reply()) : beforeTheDot(connection.reply(), failed);
    }

    private static Answer afterTheDot(Reply reply) {
        if (reply.code() >= PERMANENT) {
            return new Answer(Outcome.NEVER, reply.words());
        }
        if (reply.code() >= FOR_NOW) {
            return forNow(reply);
        }
        return reply.code() >= DONE && reply.code() < NOT_DONE
                ? new Answer(Outcome.TAKEN, reply.words())
                : new Answer(Outcome.NOT_SURE, "The mail server was given the message and did not answer.");
    }

    /** A code from 500 on is for good (RFC 5321, 4.2.1); all else may pass, a lost line included. */
    private static Answer beforeTheDot(Reply reply, String failed) {
        if (reply.code() >= PERMANENT) {
            return new Answer(Outcome.NEVER, reply.words());
        }
        if (reply.code() >= FOR_NOW) {
            return forNow(reply);
        }
        return new Answer(
                Outcome.NOT_NOW, failed.isEmpty() ? "The connection to the mail server was lost on the way." : failed);
    }

    /** 421 ends the service, 452 says that there is no room (RFC 5321, 4.2.3); all else is about this message. */
    private static Answer forNow(Reply reply) {
        boolean ofTheServer = reply.code() == SERVICE_ENDS || reply.code() == NO_ROOM;
        return new Answer(ofTheServer ? Outcome.NO_SERVER : Outcome.NOT_NOW, reply.words());
    }

    /** A server that turns the connection away has said nothing of any message, whatever its code: it is asked again. */
    private static Answer notConnected(Reply reply, MessagingException failed) {
        if (failed instanceof AuthenticationFailedException) {
            return new Answer(Outcome.NO_SERVER, said("The mail server does not accept our sign-in", reply));
        }
        return new Answer(
                Outcome.NO_SERVER,
                reply.heard() ? said("The mail server is not ready", reply) : "The mail server can’t be reached.");
    }

    private static String said(String what, Reply reply) {
        return reply.words().isEmpty() ? what + "." : what + ": " + reply.words();
    }

    private MailAccount account() {
        return route.map(to -> new MailAccount(to.host(), to.port(), null, null, Map.of()))
                .orElseGet(() -> new MailAccount(
                        settings.getHost(),
                        settings.getPort(),
                        blankToNull(settings.getUsername()),
                        blankToNull(settings.getPassword()),
                        settings.getProperties()));
    }

    private static String blankToNull(String text) {
        return text == null || text.isBlank() ? null : text;
    }

    /** Ends all connections; a message that is being handed over just now ends as what is known of it. */
    @PreDestroy
    void close() {
        connections.close();
    }
}
