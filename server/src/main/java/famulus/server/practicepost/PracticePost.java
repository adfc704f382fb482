package famulus.server.practicepost;

import com.icegreen.greenmail.mail.MailAddress;
import com.icegreen.greenmail.mail.MovingMessage;
import com.icegreen.greenmail.user.GreenMailUser;
import com.icegreen.greenmail.user.UserException;
import com.icegreen.greenmail.user.UserManager;
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
class PracticePost implements MailRoute {
    private static final String LOOPBACK = "127.0.0.1";

    private final PracticePostMapper mapper;
    private final Clock clock;
    private final FamulusProperties properties;
    private GreenMail server;
    private int port;
    private boolean open;

    PracticePost(PracticePostMapper mapper, Clock clock, FamulusProperties properties) {
        this.mapper = mapper;
        this.clock = clock;
        this.properties = properties;
        this.port = properties.practicePostPort();
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
        UserManager users = server.getManagers().getUserManager();
        users.setMessageDeliveryHandler((message, address) -> deliver(users, message, address));
        server.start();
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

    private GreenMailUser deliver(UserManager users, MovingMessage message, MailAddress address)
            throws MessagingException, UserException {
        ByteArrayOutputStream source = new ByteArrayOutputStream();
        try {
            message.getMessage().writeTo(source);
        } catch (IOException failed) {
            throw new MessagingException("This message can't be kept", failed);
        }
        mapper.insert(clock.instant(), address.getEmail().toLowerCase(Locale.ROOT), source.toByteArray());
        return users.createUser(address.getEmail(), address.getEmail(), "");
    }
}
