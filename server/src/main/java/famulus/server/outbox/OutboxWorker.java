package famulus.server.outbox;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstanceId;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import famulus.server.contents.WireSources;
import famulus.server.messages.LeavingCheck;
import famulus.server.messages.LeavingCheck.AboutToLeave;
import famulus.server.outbox.OutboxMapper.RecipientRow;
import famulus.server.outbox.OutboxMapper.Tried;
import famulus.server.outbox.OutboxMapper.Waiting;
import famulus.server.outbox.Postman.Answer;
import famulus.server.outbox.Postman.Outcome;
import famulus.server.platform.DiskSpace;
import famulus.server.platform.Events;
import famulus.server.platform.FamulusProperties;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends what waits. Each message has one entry in the scheduler's table, written with it in one transaction, so that a
 * message is sent whatever happens after: when the process dies, the next one finds the entry and takes it up. A message
 * that was in the mail server's hands just then is not repeated: nobody can know whether it went, and it says so.
 */
@Component
class OutboxWorker {
    private static final Logger LOG = LoggerFactory.getLogger(OutboxWorker.class);
    private static final String TASK = "send-message";
    /** So many messages are handed over at the same time, each over a connection of its own. */
    static final int AT_ONCE = 3;

    private static final List<Duration> PAUSES = List.of(
            Duration.ofMinutes(1),
            Duration.ofMinutes(5),
            Duration.ofMinutes(15),
            Duration.ofHours(1),
            Duration.ofHours(3),
            Duration.ofHours(6),
            Duration.ofHours(12),
            Duration.ofHours(24));
    private static final int LONGEST_WHY = 2000;
    private static final Duration LONGEST_STOP = Duration.ofSeconds(10);
    private static final Duration MENDING = Duration.ofSeconds(30);
    /** For what could not be written down: the answer is known and kept until it can be. */
    private static final Duration WRITING_AGAIN = Duration.ofSeconds(10);

    private final OutboxMapper mapper;
    private final Postman postman;
    private final Clock clock;
    private final Events events;
    private final DiskSpace disk;
    private final TransactionTemplate transactions;
    private final CustomTask<Void> task;
    private final Scheduler scheduler;
    private final boolean soleOwner;
    private final WireSources sources;
    private final MessageEnds ends;
    private final LeavingCheck leaving;
    private final MessageGroups groups;
    private final Semaphore inHand = new Semaphore(AT_ONCE);
    private final Map<UUID, Answer> unwritten = new ConcurrentHashMap<>();
    private final ScheduledExecutorService mending = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("outbox-mending").factory());

    OutboxWorker(
            OutboxMapper mapper,
            Postman postman,
            Clock clock,
            Events events,
            DiskSpace disk,
            FamulusProperties properties,
            TransactionTemplate transactions,
            DataSource dataSource,
            WireSources sources,
            MessageEnds ends,
            LeavingCheck leaving,
            MessageGroups groups) {
        this.groups = groups;
        this.leaving = leaving;
        this.sources = sources;
        this.ends = ends;
        this.mapper = mapper;
        this.postman = postman;
        this.clock = clock;
        this.events = events;
        this.disk = disk;
        // A database in a file is open in one process at a time; one in memory may serve several applications.
        this.soleOwner = !properties.inMemory();
        this.transactions = transactions;
        this.task = Tasks.custom(TASK, Void.class).execute((instance, context) -> run(instance.getId()));
        this.scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(dataSource), task)
                .threads(AT_ONCE)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(10))
                .shutdownMaxWait(LONGEST_STOP)
                .clock(clock::instant)
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (soleOwner) {
            takeUp();
        }
        scheduler.start();
        mending.scheduleWithFixedDelay(this::mend, 1, MENDING.toSeconds(), TimeUnit.SECONDS);
    }

    /** Whatever is in a hand now was in the hands of a process that has ended. */
    void takeUp() {
        mapper.inHand().forEach(this::lost);
        transactions.executeWithoutResult(status -> mapper.release(TASK));
    }

    @PreDestroy
    void stop() {
        mending.shutdownNow();
        scheduler.stop();
        // Those that still wait for an answer end as what is known of them, while there is a database to write it to.
        postman.close();
        boolean written = true;
        try {
            written = inHand.tryAcquire(AT_ONCE, LONGEST_STOP.toSeconds(), TimeUnit.SECONDS);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
        if (!written) {
            LOG.warn("Stopped before the mail server had answered for every message.");
        }
    }

    /**
     * Puts a message in line within the running transaction; the line is looked at as soon as that has ended well.
     *
     * @param at when it is to leave
     */
    void line(UUID message, Instant at) {
        scheduler.schedule(task.instance(message.toString()), at);
        look();
    }

    /** Has the line looked at now, or once the running transaction has ended well. */
    void look() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            scheduler.triggerCheckForDueExecutions();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                scheduler.triggerCheckForDueExecutions();
            }
        });
    }

    /** Has the entry of a waiting message due at a moment, whatever it said before. */
    void due(UUID message, Instant at) {
        TaskInstanceId instance = TaskInstanceId.of(TASK, message.toString());
        scheduler
                .getScheduledExecution(instance)
                .ifPresentOrElse(
                        execution -> {
                            if (!execution.isPicked()) {
                                scheduler.reschedule(instance, at);
                            }
                        },
                        () -> scheduler.schedule(task.instance(message.toString()), at));
        look();
    }

    /** Takes a message out of the line. */
    void drop(UUID message) {
        TaskInstanceId instance = TaskInstanceId.of(TASK, message.toString());
        scheduler
                .getScheduledExecution(instance)
                .filter(execution -> !execution.isPicked())
                .ifPresent(execution -> scheduler.cancel(instance));
    }

    /**
     * Puts right what the line should never have come to: pauses that a clock set back has made longer than they are, and
     * messages without an entry.
     */
    void mend() {
        try {
            transactions.executeWithoutResult(status -> {
                Instant now = clock.instant();
                for (Waiting one : mapper.dueAfter(now)) {
                    Duration pause = one.tries() == 0
                            ? Duration.between(one.createdAt(), one.nextAttemptAt())
                            : pause(one.tries());
                    Instant latest = now.plus(pause);
                    if (mapper.due(one.id(), latest) > 0) {
                        due(one.id(), latest);
                    }
                }
                mapper.unlined(TASK).forEach(one -> due(one.id(), one.tries() == 0 ? one.nextAttemptAt() : now));
            });
        } catch (RuntimeException failed) {
            LOG.error("The outbox could not be looked through", failed);
        }
    }

    private CompletionHandler<Void> run(String instance) {
        Optional<Instant> next = send(UUID.fromString(instance));
        return next.<CompletionHandler<Void>>map(at -> (complete, operations) -> operations.reschedule(complete, at))
                .orElseGet(CompletionHandler.OnCompleteRemove::new);
    }

    /** Tries once; returns when to try again, if at all. */
    Optional<Instant> send(UUID id) {
        inHand.acquireUninterruptibly();
        try {
            Answer known = unwritten.get(id);
            if (known != null) {
                return settle(id, known);
            }
            if (!disk.hasRoom()) {
                // What becomes of it could not be written down, so it is not begun.
                return Optional.of(clock.instant().plus(WRITING_AGAIN));
            }
            Optional<Instant> resting = groups.rests(id);
            if (resting.isPresent()) {
                return resting;
            }
            Optional<Optional<Instant>> held = held(id);
            if (held.isPresent()) {
                return held.get();
            }
            return sendNow(id);
        } finally {
            inHand.release();
        }
    }

    /**
     * Tries one of a mailing once, which nobody else has in hand; the line of single messages is not waited for.
     *
     * @param looked whether it was looked at just now; else it is, before it leaves
     * @return when to try it again, if at all
     */
    Optional<Instant> sendOfMailing(UUID id, boolean looked) {
        if (!disk.hasRoom()) {
            return Optional.of(clock.instant().plus(WRITING_AGAIN));
        }
        Optional<Optional<Instant>> held = looked ? Optional.empty() : held(id);
        return held.isPresent() ? held.get() : sendNow(id);
    }

    private Optional<Instant> sendNow(UUID id) {
        Integer taken = transactions.execute(status -> take(id));
        if (taken == null || taken == 0) {
            lost(id);
            return Optional.empty();
        }
        return settle(id, hand(id));
    }

    /**
     * Looks at a message that is about to leave; empty when nothing holds it.
     *
     * @return when it is to be tried next, if at all
     */
    private Optional<Optional<Instant>> held(UUID id) {
        try {
            Optional<OutgoingMessage> waiting = mapper.byId(id).filter(one -> one.state() == MessageState.WAITING);
            Optional<String> why = waiting.flatMap(one -> leaving.held(new AboutToLeave(
                    id, one.writtenBy(), one.personId(), one.createdAt(), addresses(one), one.asItIs())));
            if (why.isEmpty()) {
                return Optional.empty();
            }
            transactions.executeWithoutResult(status -> {
                mapper.hold(id, shortened(why.get()));
                groups.became(id, MessageState.HELD, why.get());
            });
            events.tell("outbox", id.toString());
            events.tell("record", waiting.get().personId().toString());
            return Optional.of(Optional.empty());
        } catch (RuntimeException failed) {
            // Whether it may leave is not known, so it stays.
            LOG.error("A message could not be looked at before it leaves", failed);
            return Optional.of(Optional.of(clock.instant().plus(WRITING_AGAIN)));
        }
    }

    private static String shortened(String why) {
        return why.substring(0, Math.min(why.length(), LONGEST_WHY));
    }

    /** Takes a message to be sent; one that was planned says that it was sent now, not when it was written. */
    private int take(UUID id) {
        boolean later = mapper.byId(id)
                .map(one -> one.plannedFor() != null || one.mailingId() != null && one.attempts() > 0)
                .orElse(false);
        int taken = mapper.take(id);
        if (taken == 1 && later) {
            sources.replace(id, DateLine.at(clock.instant(), sources.read(id).orElseThrow()));
        }
        return taken;
    }

    private List<String> addresses(OutgoingMessage message) {
        return Stream.concat(
                        Stream.of(message.toAddress()),
                        mapper.recipients(message.id()).stream().map(RecipientRow::address))
                .toList();
    }

    /** Hands over; whatever fails before is an attempt too, and is said. */
    private Answer hand(UUID id) {
        try {
            OutgoingMessage message = mapper.byId(id).orElseThrow();
            return postman.hand(sources.read(id).orElseThrow(), message.fromAddress(), addresses(message));
        } catch (RuntimeException | LinkageError failed) {
            LOG.error("A message could not be handed over", failed);
            return new Answer(Outcome.NOT_NOW, "Something went wrong on our side: " + failed);
        }
    }

    private Optional<Instant> settle(UUID id, Answer answer) {
        // Stopping interrupts whoever is at work; what the mail server said is written down all the same.
        boolean interrupted = Thread.interrupted();
        try {
            Tried tried = mapper.tried(id).orElseThrow();
            Optional<Instant> next = transactions.execute(status -> keep(tried, answer));
            unwritten.remove(id);
            events.tell("outbox", id.toString());
            events.tell("record", tried.personId().toString());
            return next == null ? Optional.empty() : next;
        } catch (RuntimeException failed) {
            LOG.error("What the mail server answered could not be written down yet", failed);
            unwritten.put(id, answer);
            return Optional.of(clock.instant().plus(WRITING_AGAIN));
        } finally {
            if (interrupted) {
                Thread.currentThread().interrupt();
            }
        }
    }

    private Optional<Instant> keep(Tried tried, Answer answer) {
        Instant now = clock.instant();
        Optional<Instant> next = Optional.empty();
        MessageState state =
                switch (answer.outcome()) {
                    case TAKEN -> MessageState.SENT;
                    case NOT_SURE -> MessageState.NOT_SURE;
                    case NEVER -> MessageState.REFUSED;
                    case NOT_NOW, NO_SERVER ->
                        tried.tries() > PAUSES.size() ? MessageState.REFUSED : MessageState.WAITING;
                };
        // A server that takes nothing has said nothing of this message: its mailing rests, and it is tried with the
        // others.
        boolean rests = tried.mailingId() != null && answer.outcome() == Outcome.NO_SERVER;
        if (rests) {
            state = MessageState.WAITING;
        } else if (state == MessageState.WAITING) {
            next = Optional.of(now.plus(pause(tried.tries())));
        }
        Instant sentAt = state == MessageState.SENT ? now : null;
        if (mapper.ended(tried.id(), tried.attempts(), state, answer.words(), next.orElse(null), sentAt) == 0) {
            return Optional.empty();
        }
        if (state == MessageState.REFUSED) {
            ends.refused(tried.id());
        } else if (state == MessageState.SENT) {
            ends.left(tried.id());
        }
        attempted(tried, now, answer);
        if (rests) {
            mapper.untried(tried.id());
            groups.away(tried.id(), answer.words());
        } else {
            groups.became(tried.id(), state, answer.words());
        }
        Optional<String> over = state == MessageState.WAITING ? groups.over(tried.id()) : Optional.empty();
        if (over.isPresent()) {
            mapper.cancel(tried.id(), MessageState.WAITING);
            ends.takenBack(tried.id());
            groups.became(tried.id(), MessageState.CANCELLED, over.get());
            return Optional.empty();
        }
        return next;
    }

    private void attempted(Tried tried, Instant at, Answer answer) {
        String outcome = answer.outcome().name();
        if (mapper.amend(tried.id(), tried.attempts(), at, outcome, answer.words()) == 0) {
            mapper.attempt(tried.id(), tried.attempts(), at, outcome, answer.words());
        }
    }

    private static Duration pause(int tries) {
        return PAUSES.get(Math.clamp(tries - 1L, 0, PAUSES.size() - 1));
    }

    /** Writes down of a message that nobody has in hand any more that it may have gone. */
    private void lost(UUID id) {
        Answer answer = new Answer(
                Outcome.NOT_SURE, "Famulus was stopped while this message was being handed over to the mail server.");
        mapper.tried(id).filter(tried -> tried.state() == MessageState.SENDING).ifPresent(tried -> {
            transactions.execute(status -> keep(tried, answer));
            events.tell("outbox", id.toString());
            events.tell("record", tried.personId().toString());
        });
    }
}
