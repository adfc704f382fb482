package famulus.server.platform;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
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

    private final Set<SseEmitter> browsers = ConcurrentHashMap.newKeySet();

    /** Opens a stream to one browser; it reconnects by itself when the stream ends. */
    public SseEmitter open() {
        SseEmitter browser = new SseEmitter(HALF_AN_HOUR);
        browser.onCompletion(() -> browsers.remove(browser));
        browser.onTimeout(browser::complete);
        browser.onError(error -> browsers.remove(browser));
        browsers.add(browser);
        send(browser, "hello", "");
        return browser;
    }

    /**
     * Tells every browser, within a transaction once that is done: who asks again at once is to find what has changed.
     *
     * @param what the sort of thing: {@code outbox}, {@code record}, {@code template}
     * @param id which one; may be empty
     */
    public void tell(String what, String id) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            browsers.forEach(browser -> send(browser, what, id));
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                browsers.forEach(browser -> send(browser, what, id));
            }
        });
    }

    /** Ends all streams when the application stops, which would otherwise wait for the browsers to leave. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        browsers.forEach(SseEmitter::complete);
    }

    private void send(SseEmitter browser, String what, String id) {
        try {
            browser.send(SseEmitter.event().name("change").data(Map.of("what", what, "id", id)));
        } catch (IOException | IllegalStateException closed) {
            browsers.remove(browser);
        }
    }
}
