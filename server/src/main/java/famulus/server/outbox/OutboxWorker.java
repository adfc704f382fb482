package famulus.server.outbox;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstanceId;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import famulus.server.outbox.Postman.Answer;
import famulus.server.outbox.Postman.Outcome;
import famulus.server.platform.Events;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends what waits. Each message has one entry in the scheduler's table, written with it in one transaction, so that a
 * message is sent whatever happens after: when the process dies, another run finds the entry and takes it up again. A
 * message that was being handed over just then may go twice; it keeps its identifier and is marked.
 */
@Component
class OutboxWorker {
    private static final String TASK = "send-message";
    private static final List<Duration> PAUSES = List.of(
            Duration.ofMinutes(1),
            Duration.ofMinutes(5),
            Duration.ofMinutes(15),
            Duration.ofHours(1),
            Duration.ofHours(3),
            Duration.ofHours(6),
            Duration.ofHours(12),
            Duration.ofHours(24));

    private final OutboxMapper mapper;
    private final Postman postman;
    private final Clock clock;
    private final Events events;
    private final TransactionTemplate transactions;
    private final CustomTask<Void> task;
    private final Scheduler scheduler;

    OutboxWorker(
            OutboxMapper mapper,
            Postman postman,
            Clock clock,
            Events events,
            TransactionTemplate transactions,
            DataSource dataSource) {
        this.mapper = mapper;
        this.postman = postman;
        this.clock = clock;
        this.events = events;
        this.transactions = transactions;
        this.task = Tasks.custom(TASK, Void.class).execute((instance, context) -> run(instance.getId()));
        this.scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(dataSource), task)
                .threads(2)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(10))
                .clock(clock::instant)
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    @jakarta.annotation.PreDestroy
    void stop() {
        scheduler.stop();
    }

    /** Puts a message in line within the running transaction; it is looked at as soon as that has ended well. */
    void line(UUID message) {
        scheduler.schedule(task.instance(message.toString()), clock.instant());
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                scheduler.triggerCheckForDueExecutions();
            }
        });
    }

    /** Has a waiting message tried at once, rather than at the end of its pause. */
    void hurry(UUID message) {
        TaskInstanceId instance = TaskInstanceId.of(TASK, message.toString());
        scheduler
                .getScheduledExecution(instance)
                .filter(execution -> !execution.isPicked())
                .ifPresent(execution -> scheduler.reschedule(instance, clock.instant()));
        scheduler.triggerCheckForDueExecutions();
    }

    /** Takes a message out of the line. */
    void drop(UUID message) {
        TaskInstanceId instance = TaskInstanceId.of(TASK, message.toString());
        if (scheduler.getScheduledExecution(instance).isPresent()) {
            scheduler.cancel(instance);
        }
    }

    private CompletionHandler<Void> run(String instance) {
        Optional<Instant> next = send(UUID.fromString(instance));
        return next.<CompletionHandler<Void>>map(at -> (complete, operations) -> operations.reschedule(complete, at))
                .orElseGet(CompletionHandler.OnCompleteRemove::new);
    }

    /** Tries once; returns when to try again, if at all. */
    Optional<Instant> send(UUID id) {
        Integer taken = transactions.execute(status -> mapper.take(id));
        if (taken == null || taken == 0) {
            return Optional.empty();
        }
        OutgoingMessage message = mapper.byId(id).orElseThrow();
        Answer answer = postman.hand(message.source(), message.fromAddress(), message.toAddress());
        Optional<Instant> next = transactions.execute(status -> keep(message, answer));
        events.tell("outbox", id.toString());
        events.tell("record", message.personId().toString());
        return next == null ? Optional.empty() : next;
    }

    private Optional<Instant> keep(OutgoingMessage message, Answer answer) {
        Instant now = clock.instant();
        boolean lastTry = message.attempts() > PAUSES.size();
        mapper.attempt(message.id(), message.attempts(), now, answer.outcome().name(), answer.words());
        if (answer.outcome() == Outcome.TAKEN) {
            mapper.ended(message.id(), MessageState.SENT, "", null, now);
            return Optional.empty();
        }
        if (answer.outcome() == Outcome.NEVER || lastTry) {
            mapper.ended(message.id(), MessageState.REFUSED, answer.words(), null, null);
            return Optional.empty();
        }
        Instant next = now.plus(PAUSES.get(message.attempts() - 1));
        mapper.ended(message.id(), MessageState.WAITING, answer.words(), next, null);
        return Optional.of(next);
    }
}
