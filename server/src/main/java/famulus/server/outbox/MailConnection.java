package famulus.server.outbox;

import jakarta.mail.Address;
import jakarta.mail.MessagingException;
import jakarta.mail.Session;
import jakarta.mail.internet.InternetAddress;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.SocketException;
import java.util.List;
import java.util.Optional;
import org.eclipse.angus.mail.smtp.SMTPMessage;
import org.eclipse.angus.mail.smtp.SMTPTransport;

/**
 * A connection to a mail server that remembers how far a message came and what the server said to it. The library tells
 * of a failure, not of what was settled before: a server that takes a message and then drops the line has taken it.
 */
final class MailConnection extends SMTPTransport {
    private static final int NO_ANSWER = -1;
    private static final int TURNED_AWAY = 400;

    private final MailAccount account;
    private final MailLimits limits;
    private final HeldSocket socket;
    private final Session session;
    private String command = "";
    private Reply reply = Reply.NONE;
    private boolean handedOver;
    private boolean several;
    private Reply turnedAway = Reply.NONE;
    private long usedAt = System.nanoTime();
    private boolean tidying;

    /**
     * What a server answered.
     *
     * @param code three digits (RFC 5321, 4.2); -1 when nothing was heard that can be read
     * @param words all of it, on one line
     */
    record Reply(int code, String words) {
        static final Reply NONE = new Reply(NO_ANSWER, "");

        boolean heard() {
            return code != NO_ANSWER;
        }
    }

    private MailConnection(MailAccount account, MailLimits limits, HeldSocket socket, Session session) {
        super(session, null);
        this.account = account;
        this.limits = limits;
        this.socket = socket;
        this.session = session;
    }

    /** A connection that is still to be opened. */
    static MailConnection to(MailAccount account, MailLimits limits) {
        HeldSocket socket = new HeldSocket();
        return new MailConnection(account, limits, socket, Session.getInstance(account.properties(limits, socket)));
    }

    /** Connects, greets and signs in. */
    void open() throws MessagingException {
        connect(account.host(), account.port(), account.user(), account.password());
    }

    /** Hands over one message; what became of it is told by {@link #handedOver} and {@link #reply}. */
    void hand(byte[] source, String from, List<String> to) throws MessagingException {
        command = "";
        turnedAway = Reply.NONE;
        several = to.size() > 1;
        handedOver = false;
        reply = Reply.NONE;
        SMTPMessage message = new SMTPMessage(session, new ByteArrayInputStream(source));
        message.setEnvelopeFrom(from);
        // Not saved again: that would write its headers anew, and it is to leave as it was kept.
        Address[] addresses = new Address[to.size()];
        for (int i = 0; i < addresses.length; i++) {
            addresses[i] = new InternetAddress(to.get(i));
        }
        sendMessage(message, addresses);
    }

    MailAccount account() {
        return account;
    }

    /** Whether the final dot of the last message has left, so that the server may have taken it. */
    boolean handedOver() {
        return handedOver;
    }

    /**
     * The answer to the last command that matters: those that tidy up after a failure do not. Of several addresses, one that
     * the server turns away is what matters, whatever it says to those after it.
     */
    Reply reply() {
        return turnedAway.heard() && !handedOver ? turnedAway : reply;
    }

    /** Whether the last message failed at its first command, before anything of it was told. */
    boolean failedAtOnce() {
        return command.isEmpty() || command.startsWith("MAIL");
    }

    /** Remembers that it is idle from now on. */
    void rest() {
        usedAt = System.nanoTime();
    }

    /** How long it has been idle, in nanoseconds. */
    long idle() {
        return System.nanoTime() - usedAt;
    }

    /** Ends it as it is, without a word to the server: whoever waits for an answer stops waiting. */
    void cut() {
        socket.close();
    }

    @Override
    protected void sendCommand(String next) throws MessagingException {
        tidying = next.startsWith("RSET") || next.startsWith("QUIT") || next.startsWith("NOOP");
        if (!tidying) {
            command = next;
            reply = Reply.NONE;
        }
        await(next);
        super.sendCommand(next);
    }

    private void await(String next) throws MessagingException {
        try {
            socket.answersWithin(limits.answerTo(next));
        } catch (SocketException closed) {
            throw new MessagingException("The connection is closed", closed);
        }
    }

    @Override
    protected int readServerResponse() throws MessagingException {
        int code = super.readServerResponse();
        if (!tidying) {
            String words = getLastServerResponse();
            reply = new Reply(
                    code > 0 ? code : NO_ANSWER,
                    code > 0 ? Optional.ofNullable(words).orElse("").strip().replaceAll("\\s*\\R\\s*", " ") : "");
        }
        if (several && command.startsWith("RCPT") && code >= TURNED_AWAY && code > turnedAway.code()) {
            turnedAway = new Reply(code, command.replaceAll("^RCPT TO:<|>.*$", "") + ": " + reply.words());
        }
        return code;
    }

    @Override
    protected void finishData() throws IOException, MessagingException {
        handedOver = true;
        super.finishData();
    }
}
