package famulus.server.platform;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells browsers that something changed, by server-sent events. An event carries what changed, never its content: the
 * browser asks again for what it shows, with its own rights. A browser that missed one asks again when it reconnects.
 */
@Component
public class Events {
    private static final long HALF_AN_HOUR = 30L * 60 * 1000;

    private final Set<Browser> browsers = ConcurrentHashMap.newKeySet();

    private record Browser(UUID colleague, SseEmitter stream) {}

    /**
     * Opens a stream to one browser; it reconnects by itself when the stream ends.
     *
     * @param colleague who sits at it
     */
    public SseEmitter open(UUID colleague) {
        SseEmitter stream = new SseEmitter(HALF_AN_HOUR);
        Browser browser = new Browser(colleague, stream);
        stream.onCompletion(() -> browsers.remove(browser));
        stream.onTimeout(stream::complete);
        stream.onError(error -> browsers.remove(browser));
        browsers.add(browser);
        send(browser, "hello", "");
        return stream;
    }

    /**
     * Tells every browser, within a transaction once that is done: who asks again at once is to find what has changed.
     *
     * @param what the sort of thing: {@code outbox}, {@code record}, {@code template}
     * @param id which one; may be empty
     */
    public void tell(String what, String id) {
        tell(what, id, browser -> true);
    }

    /** Tells the browsers of some colleagues only. */
    public void tellThese(String what, String id, Set<UUID> colleagues) {
        tell(what, id, browser -> colleagues.contains(browser.colleague()));
    }

    private void tell(String what, String id, Predicate<Browser> whom) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            browsers.stream().filter(whom).forEach(browser -> send(browser, what, id));
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                browsers.stream().filter(whom).forEach(browser -> send(browser, what, id));
            }
        });
    }

    /** Ends the streams of somebody whose access has ended. */
    public void end(UUID colleague) {
        browsers.stream()
                .filter(browser -> browser.colleague().equals(colleague))
                .forEach(browser -> browser.stream().complete());
    }

    /** Ends all streams when the application stops, which would otherwise wait for the browsers to leave. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        browsers.forEach(browser -> browser.stream().complete());
    }

    private void send(Browser browser, String what, String id) {
        try {
            browser.stream().send(SseEmitter.event().name("change").data(Map.of("what", what, "id", id)));
        } catch (IOException | IllegalStateException closed) {
            browsers.remove(browser);
        }
    }
}
