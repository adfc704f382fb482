package famulus.server.mailings;

import famulus.server.platform.Events;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Tells browsers that mailings have changed; however often that happens, a few times a second. */
@Component
class MailingEvents {
    private static final Duration GATHERED = Duration.ofMillis(400);

    private final Events events;
    private final Set<UUID> changed = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService teller = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("mailing-events").factory());

    MailingEvents(Events events) {
        this.events = events;
        teller.scheduleWithFixedDelay(this::tell, GATHERED.toMillis(), GATHERED.toMillis(), TimeUnit.MILLISECONDS);
    }

    /** A mailing has changed; told once the running transaction, if there is one, has ended well. */
    void changed(UUID mailing) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            changed.add(mailing);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                changed.add(mailing);
            }
        });
    }

    private void tell() {
        for (UUID mailing : Set.copyOf(changed)) {
            changed.remove(mailing);
            events.tell("mailing", mailing.toString());
        }
    }

    @PreDestroy
    void stop() {
        teller.shutdownNow();
    }
}
