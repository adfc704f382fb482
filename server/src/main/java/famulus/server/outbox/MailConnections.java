package famulus.server.outbox;

import jakarta.mail.MessagingException;
import java.time.Duration;
import java.util.Iterator;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Keeps connections open between messages, since greeting, encrypting and signing in take longer than handing over. Those
 * that nobody has used for a while are ended, so that no server is kept busy for nothing.
 */
final class MailConnections implements AutoCloseable {
    private static final Duration LONGEST_IDLE = Duration.ofSeconds(20);
    /** Idle for longer than this, a connection is asked whether it is alive before a message is trusted to it. */
    private static final Duration SURELY_ALIVE = Duration.ofSeconds(2);

    private final MailLimits limits;
    private final ConcurrentLinkedDeque<MailConnection> idle = new ConcurrentLinkedDeque<>();
    private final Set<MailConnection> inHand = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService sweeper = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("mail-connections").factory());
    private volatile boolean closed;

    MailConnections(MailLimits limits) {
        this.limits = limits;
        sweeper.scheduleWithFixedDelay(this::sweep, LONGEST_IDLE.toSeconds(), 5, TimeUnit.SECONDS);
    }

    /** One that has carried a message before, if there is one; to be given back or let go. */
    MailConnection kept(MailAccount account) {
        for (MailConnection next = idle.pollFirst(); next != null; next = idle.pollFirst()) {
            boolean alive =
                    next.account().equals(account) && (next.idle() < SURELY_ALIVE.toNanos() || next.isConnected());
            if (alive) {
                inHand.add(next);
                return next;
            }
            end(next);
        }
        return null;
    }

    /** A new one, open; to be given back or let go. On failure it tells the server's words all the same. */
    MailConnection fresh(MailAccount account) {
        MailConnection connection = MailConnection.to(account, limits);
        inHand.add(connection);
        return connection;
    }

    /** Keeps one for the next message. */
    void giveBack(MailConnection connection) {
        inHand.remove(connection);
        connection.rest();
        idle.addFirst(connection);
        if (closed) {
            sweep();
        }
    }

    /** Ends one that failed. */
    void letGo(MailConnection connection) {
        inHand.remove(connection);
        end(connection);
    }

    private void sweep() {
        for (Iterator<MailConnection> all = idle.iterator(); all.hasNext(); ) {
            MailConnection one = all.next();
            if ((closed || one.idle() > LONGEST_IDLE.toNanos()) && idle.remove(one)) {
                end(one);
            }
        }
    }

    private static void end(MailConnection connection) {
        try {
            connection.close();
        } catch (MessagingException | RuntimeException already) {
            // What a server says or does at the end says nothing of the messages it took.
        } finally {
            connection.cut();
        }
    }

    /** Ends all of them; whoever still waits for an answer stops waiting. */
    @Override
    public void close() {
        closed = true;
        sweeper.shutdownNow();
        sweep();
        inHand.forEach(MailConnection::cut);
    }
}
