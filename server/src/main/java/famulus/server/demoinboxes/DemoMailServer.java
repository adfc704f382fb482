package famulus.server.demoinboxes;

import com.icegreen.greenmail.mail.MailAddress;
import com.icegreen.greenmail.mail.MovingMessage;
import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import famulus.server.outbox.MailRoute;
import famulus.server.platform.FamulusProperties;
import jakarta.annotation.PreDestroy;
import jakarta.mail.MessagingException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.Locale;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** A mail server that takes every message and keeps it for the recipient's inbox. It can be closed and opened again. */
@Component
@ConditionalOnProperty(name = "famulus.demo", havingValue = "true")
class DemoMailServer implements MailRoute {
    private static final String LOOPBACK = "127.0.0.1";

    private final DemoLetters letters;
    private final Clock clock;
    private final FamulusProperties properties;
    private GreenMail server;
    private GreenMailUser everybody;
    private int port;
    private boolean open;

    DemoMailServer(DemoLetters letters, Clock clock, FamulusProperties properties) {
        this.letters = letters;
        this.clock = clock;
        this.properties = properties;
        this.port = properties.demoMailPort();
        open();
    }

    /** Opens the post, on the port it had before if it was open already. */
    synchronized void open() {
        if (open) {
            return;
        }
        ServerSetup setup = port == 0
                ? new ServerSetup(0, LOOPBACK, ServerSetup.PROTOCOL_SMTP).dynamicPort()
                : new ServerSetup(port, LOOPBACK, ServerSetup.PROTOCOL_SMTP);
        server = new GreenMail(setup);
        server.getManagers().getUserManager().setMessageDeliveryHandler(this::deliver);
        server.start();
        everybody = server.setUser("everybody@inboxes.example", "");
        port = server.getSmtp().getPort();
        open = true;
    }

    /** Closes the post: whoever sends finds nobody there. */
    @PreDestroy
    synchronized void close() {
        if (open) {
            server.stop();
            open = false;
        }
    }

    synchronized boolean isOpen() {
        return open;
    }

    @Override
    public String host() {
        return LOOPBACK;
    }

    @Override
    public synchronized int port() {
        return port;
    }

    /** Keeps a letter in the database. The library's own copy goes to one user for all, and goes with the next letter. */
    private synchronized GreenMailUser deliver(MovingMessage message, MailAddress address) throws MessagingException {
        ByteArrayOutputStream source = new ByteArrayOutputStream();
        try {
            server.purgeEmailFromAllMailboxes();
            message.getMessage().writeTo(source);
        } catch (IOException | FolderException failed) {
            throw new MessagingException("This letter can't be kept", failed);
        }
        letters.keep(address.getEmail().toLowerCase(Locale.ROOT), source.toByteArray(), clock.instant());
        return everybody;
    }
}
