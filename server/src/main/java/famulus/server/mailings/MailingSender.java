package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.server.library.TemplateService;
import famulus.server.mailings.MailingMessages.Prepared;
import famulus.server.mailings.MailingMessages.ReadMessage;
import famulus.server.messages.MessageToSend;
import famulus.server.outbox.OutboxService;
import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Refusal;
import famulus.server.records.PersonSummaries;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes and sends the messages of mailings that run, each at its time. Who is next is taken out of the table by a statement that reads
 * the state of the mailing with it, so that two who ask at once never take the same one, and nothing leaves of what was paused.
 * A message is made in the transaction that takes it: when the process dies after that, the next one finds it waiting.
 */
@Component
class MailingSender {
    private static final Logger LOG = LoggerFactory.getLogger(MailingSender.class);
    /** So many messages of mailings are on their way at the same time, besides those that stand alone. */
    static final int AT_ONCE = 3;

    /** So many of several applications on one database, too. */
    private static final int MOST_IN_HANDS = 4 * AT_ONCE;

    /** Longer than this nobody has one in hand: each wait for the mail server ends before. */
    private static final Duration LOST = Duration.ofMinutes(30);

    private static final long LOOKING_MS = 1000;
    private static final int LONGEST_WHY = 2000;

    private final MailingMapper mailings;
    private final MailingPersonMapper people;
    private final MailingService service;
    private final MailingMessages messages;
    private final MailingPeople audiences;
    private final MailingPortions portions;
    private final MailingEnding ending;
    private final MailingEvents events;
    private final TemplateService templates;
    private final OutboxService outbox;
    private final PersonSummaries summaries;
    private final TeamService team;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final boolean soleOwner;
    private final Semaphore looks = new Semaphore(0);
    private final ExecutorService hands = Executors.newFixedThreadPool(
            AT_ONCE, Thread.ofPlatform().daemon().name("mailings-", 0).factory());
    private volatile boolean stopped;

    MailingSender(
            MailingMapper mailings,
            MailingPersonMapper people,
            MailingService service,
            MailingMessages messages,
            MailingPeople audiences,
            MailingPortions portions,
            MailingEnding ending,
            MailingEvents events,
            TemplateService templates,
            OutboxService outbox,
            PersonSummaries summaries,
            TeamService team,
            TransactionTemplate transactions,
            Clock clock,
            FamulusProperties properties) {
        // A database in a file is open in one process at a time; one in memory may serve several applications.
        this.soleOwner = !properties.inMemory();
        this.mailings = mailings;
        this.people = people;
        this.service = service;
        this.messages = messages;
        this.audiences = audiences;
        this.portions = portions;
        this.ending = ending;
        this.events = events;
        this.templates = templates;
        this.outbox = outbox;
        this.summaries = summaries;
        this.team = team;
        this.transactions = transactions;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (soleOwner) {
            takeUp();
        }
        for (int i = 0; i < AT_ONCE; i++) {
            hands.execute(this::work);
        }
    }

    /** Whatever is in a hand now was in the hands of a process that has ended. */
    void takeUp() {
        ending.takeUp();
        people.release();
    }

    @PreDestroy
    void stop() {
        stopped = true;
        hands.shutdownNow();
        try {
            if (!hands.awaitTermination(10, TimeUnit.SECONDS)) {
                LOG.warn("Stopped before the mail server had answered for every message of a mailing.");
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    /** Has everybody look at once whether something is due. */
    void look() {
        looks.release(AT_ONCE);
    }

    private void work() {
        try {
            while (!stopped) {
                portions.await();
                if (!sentNext()) {
                    portions.forget();
                    looks.tryAcquire(LOOKING_MS, TimeUnit.MILLISECONDS);
                }
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    /** The same as {@link #sendNext}; whatever fails is not tried again at once. */
    private boolean sentNext() {
        try {
            return sendNext();
        } catch (RuntimeException failed) {
            if (!stopped) {
                LOG.error("A mailing could not go on just now", failed);
            }
            return false;
        }
    }

    /** Somebody whose turn it is, whose message has been made now or before. */
    private record Turn(MailingPerson person, UUID message, boolean made) {}

    /** Something that keeps one message, and the others not. */
    private static final class HeldBack extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient MailingPerson person;

        private HeldBack(MailingPerson person, String why, Throwable cause) {
            super(why, cause);
            this.person = person;
        }
    }

    /** Sends the next message that is due; false where none is, or where others go first. */
    boolean sendNext() {
        Optional<Turn> next;
        try {
            next = transactions.execute(status -> take());
        } catch (HeldBack held) {
            hold(held.person, held.getMessage());
            return true;
        }
        next.ifPresent(turn -> outbox.sendOfMailing(turn.message(), turn.made()));
        return next.isPresent();
    }

    private Optional<Turn> take() {
        Instant now = clock.instant();
        if (outbox.anyAloneDue(now) || full(now)) {
            return Optional.empty();
        }
        return people.nextDue(now, now.minus(LOST), MOST_IN_HANDS).map(person -> take(person, now));
    }

    private Turn take(MailingPerson person, Instant now) {
        try {
            UUID message = MailingMessages.id(person.mailingId(), person.chosenId(), person.turn());
            boolean made = !outbox.made(message);
            if (made) {
                make(person);
            }
            people.leaving(person.mailingId(), person.chosenId(), message, now);
            if (person.state() != PersonState.LEAVING) {
                mailings.count(person.mailingId(), person.state().column(), PersonState.LEAVING.column());
            }
            events.changed(person.mailingId());
            return new Turn(person, message, made);
        } catch (Refusal refusal) {
            throw new HeldBack(person, refusal.getMessage(), refusal);
        } catch (HeldBack held) {
            throw held;
        } catch (RuntimeException failed) {
            // What is wrong with the row stays wrong; with the database it may be better in a moment.
            boolean passes = failed instanceof DataAccessException
                    && (failed instanceof DuplicateKeyException
                            || !(failed instanceof DataIntegrityViolationException));
            if (passes) {
                throw failed;
            }
            LOG.error("A message of a mailing could not be made", failed);
            throw new HeldBack(
                    person, "Something went wrong on our side. What it was is in the log of the application.", failed);
        }
    }

    /** Whether as many have left as may. Near a limit those who ask wait for each other, so that nobody passes it. */
    private boolean full(Instant now) {
        SendingRules rules = mailings.rules();
        int near = 4 * AT_ONCE;
        int hour = people.leftSince(now.minus(Duration.ofHours(1)));
        int day = people.leftSince(now.minus(Duration.ofHours(24)));
        if (hour + near < rules.perHour() && day + near < rules.perDay()) {
            return false;
        }
        SendingRules held = mailings.holdRules();
        return people.leftSince(now.minus(Duration.ofHours(1))) >= held.perHour()
                || people.leftSince(now.minus(Duration.ofHours(24))) >= held.perDay();
    }

    private void make(MailingPerson person) {
        Mailing mailing = service.get(person.mailingId());
        Colleague starter = team.find(mailing.startedBy())
                .filter(Colleague::active)
                .orElseThrow(() -> new HeldBack(person, "Whoever started this mailing has left the team.", null));
        mustStillGetIt(mailing, person);
        MailingPortions.Turn turn = portions.of(mailing, person, starter);
        if (!turn.asTested()) {
            throw new HeldBack(
                    person, "Its style, or a passage in it, has changed since the mailing was started.", null);
        }
        if (turn.read().isPresent()) {
            ReadMessage read = turn.read().get();
            outbox.makeOfMailing(mailing.id(), read.prepared().message(), read.read(), starter);
        } else {
            Prepared prepared = messages.prepared(mailing, person, turn.said(), starter);
            outbox.makeOfMailing(mailing.id(), standing(prepared.message(), starter, prepared.sender()), starter);
        }
    }

    /** The message by itself, where its template has gone since: its words stay. */
    private MessageToSend standing(MessageToSend message, Colleague starter, Colleague sender) {
        try {
            if (message.template() != null) {
                templates.forUse(message.template(), starter, sender);
            }
            return message;
        } catch (Refusal gone) {
            return message.byItself();
        }
    }

    /** What was settled when the mailing was started may have changed: whoever left it since, or replied, gets nothing. */
    private void mustStillGetIt(Mailing mailing, MailingPerson person) {
        if (!audiences.there(mailing.plan(), person.chosenId())) {
            throw new HeldBack(person, "They are not in our records any more.", null);
        }
        Audience audience = audiences.still(mailing.plan(), person.chosenId());
        if (audience.in().isEmpty()) {
            throw new HeldBack(person, MailingPeople.why(audience.out().getFirst()), null);
        }
        boolean other = !audience.in().getFirst().person().orElseThrow().equals(person.personId());
        if (other) {
            throw new HeldBack(person, "Somebody else is the main contact of this deal now.", null);
        }
        boolean replied = !person.asItIs()
                && summaries
                        .lastReply(person.personId())
                        .filter(reply -> reply.isAfter(mailing.startedAt()))
                        .isPresent();
        if (replied) {
            throw new HeldBack(person, "They have replied since this mailing was started.", null);
        }
    }

    private void hold(MailingPerson person, String why) {
        transactions.executeWithoutResult(status -> {
            Optional<MailingPerson> still =
                    people.hold(person.mailingId(), person.chosenId()).filter(one -> one.state() == person.state());
            still.ifPresent(one -> {
                people.become(
                        one.mailingId(),
                        one.chosenId(),
                        PersonState.HELD,
                        why.substring(0, Math.min(why.length(), LONGEST_WHY)));
                mailings.count(one.mailingId(), one.state().column(), PersonState.HELD.column());
                mailings.finish(one.mailingId(), clock.instant());
                events.changed(one.mailingId());
            });
        });
    }
}
