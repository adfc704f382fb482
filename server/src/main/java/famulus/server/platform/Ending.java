package famulus.server.platform;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Ends the application when it can't go on, with one line that says why. */
@Component
class Ending implements DataConfiguration.DataEnd {
    /** So long may those who are being answered take, and whatever stops in order. */
    private static final Duration LONGEST = Duration.ofSeconds(10);

    private final AtomicBoolean ends = new AtomicBoolean();

    /** Ends it, once; whoever asks does not wait. */
    @Override
    public void lost(String reason) {
        if (!ends.compareAndSet(false, true)) {
            return;
        }
        System.err.println(
                "famulus: the data can't be written any more (" + reason + "), so Famulus has ended. Everything"
                        + " that was accepted is kept. Make room on the disk, then start it again.");
        Thread.ofPlatform().daemon().name("ending").start(() -> System.exit(1));
        Thread.ofPlatform().daemon().name("ending-at-last").start(() -> {
            try {
                Thread.sleep(LONGEST);
            } catch (InterruptedException sooner) {
                Thread.currentThread().interrupt();
            }
            Runtime.getRuntime().halt(1);
        });
    }

    /** From here on a database that is closed is what was wanted. */
    @EventListener(ContextClosedEvent.class)
    void closing() {
        ends.set(true);
    }
}
