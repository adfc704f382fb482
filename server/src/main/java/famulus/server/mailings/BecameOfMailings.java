package famulus.server.mailings;

import famulus.server.mailings.MailingMapper.MailingRow;
import famulus.server.outbox.MessageGroups;
import famulus.server.outbox.MessageState;
import famulus.server.reading.MessageRead;
import famulus.server.reading.ReadingService;
import famulus.server.reading.ReadingService.Became;
import famulus.server.records.PersonHeard;
import famulus.server.records.PersonSummaries;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Writes down what becomes of the messages of mailings, in the transactions that say it: what the mail server answered, what readers
 * did, and who replied.
 */
@Component
class BecameOfMailings implements MessageGroups {
    private static final List<Duration> RESTS = List.of(
            Duration.ofMinutes(1),
            Duration.ofMinutes(2),
            Duration.ofMinutes(5),
            Duration.ofMinutes(15),
            Duration.ofMinutes(30),
            Duration.ofHours(1));
    private static final Duration LATER = Duration.ofMinutes(1);
    private static final int LONGEST_WHY = 2000;

    private final MailingMapper mailings;
    private final MailingPersonMapper people;
    private final MailingEvents events;
    private final PersonSummaries summaries;
    private final ReadingService readings;
    private final Clock clock;

    BecameOfMailings(
            MailingMapper mailings,
            MailingPersonMapper people,
            MailingEvents events,
            PersonSummaries summaries,
            // Its pages are kept by what it stands on, which asks here what becomes of a message.
            @Lazy ReadingService readings,
            Clock clock) {
        this.mailings = mailings;
        this.people = people;
        this.events = events;
        this.summaries = summaries;
        this.readings = readings;
        this.clock = clock;
    }

    @Override
    public void became(UUID message, MessageState state, String words) {
        people.holdMessage(message).ifPresent(person -> {
            PersonState now = state(state, person.state());
            become(person, now, words);
            if (now == PersonState.SENT) {
                mailings.awake(person.mailingId());
            }
            mailings.finish(person.mailingId(), clock.instant());
        });
    }

    private static PersonState state(MessageState state, PersonState before) {
        return switch (state) {
            case WAITING -> PersonState.WAITING;
            case SENDING -> before;
            case HELD -> PersonState.HELD;
            case SENT -> PersonState.SENT;
            case NOT_SURE -> PersonState.NOT_SURE;
            case REFUSED -> PersonState.REFUSED;
            case CANCELLED -> PersonState.LEFT_OUT;
        };
    }

    private void become(MailingPerson person, PersonState now, String words) {
        String why = now == PersonState.SENT ? "" : words.substring(0, Math.min(words.length(), LONGEST_WHY));
        people.become(person.mailingId(), person.chosenId(), now, why);
        if (now != person.state()) {
            mailings.count(person.mailingId(), person.state().column(), now.column());
        }
        events.changed(person.mailingId());
    }

    @Override
    public void away(UUID message, String words) {
        people.holdMessage(message).ifPresent(person -> {
            become(person, PersonState.PLANNED, "");
            int rests = mailings.rests(person.mailingId());
            Duration pause = RESTS.get(Math.min(rests, RESTS.size() - 1));
            mailings.rest(
                    person.mailingId(),
                    clock.instant().plus(pause),
                    words.substring(0, Math.min(words.length(), LONGEST_WHY)));
        });
    }

    @Override
    public Optional<Instant> rests(UUID message) {
        return people.ofMessage(message)
                .flatMap(person -> mailings.byId(person.mailingId()))
                .filter(mailing -> mailing.state() == MailingState.PAUSED
                        || mailing.restsUntil() != null && mailing.restsUntil().isAfter(clock.instant()))
                .map(mailing -> clock.instant().plus(LATER));
    }

    @Override
    public Optional<String> over(UUID message) {
        return people.ofMessage(message)
                .flatMap(person -> mailings.byId(person.mailingId()))
                .filter(mailing -> mailing.state() == MailingState.STOPPED)
                .map(MailingRow::said);
    }

    @EventListener
    void read(MessageRead read) {
        people.holdMessage(read.message()).ifPresent(person -> {
            Became became = readings.became(read.message());
            did(person, became.openedAt(), became.clickedAt(), person.repliedAt(), became.unsubscribed());
        });
    }

    /** A reply counts for the newest mailing that somebody got before it. */
    @EventListener
    void heard(PersonHeard heard) {
        Optional<Instant> reply = summaries.lastReply(heard.person());
        List<MailingPerson> got = people.of(heard.person());
        Optional<MailingPerson> answered = got.stream()
                .filter(one -> reply.isPresent() && one.leftAt().isBefore(reply.get()))
                .findFirst();
        for (MailingPerson one : got) {
            boolean its = answered.filter(one::equals).isPresent();
            if (its && one.repliedAt() == null) {
                did(one, one.openedAt(), one.clickedAt(), reply.get(), one.unsubscribed());
            } else if (one.repliedAt() != null
                    && (reply.isEmpty() || one.repliedAt().isAfter(reply.get()))) {
                // The entry it was counted by was taken back.
                did(one, one.openedAt(), one.clickedAt(), null, one.unsubscribed());
            }
        }
    }

    private void did(MailingPerson person, Instant opened, Instant clicked, Instant replied, boolean unsubscribed) {
        people.did(new MailingPerson(
                person.mailingId(),
                person.chosenId(),
                person.personKind(),
                person.personId(),
                person.dealId(),
                person.name(),
                person.address(),
                person.state(),
                person.heldBy(),
                person.why(),
                person.asItIs(),
                person.draftId(),
                person.dueAt(),
                person.moved(),
                person.leftAt(),
                person.messageId(),
                person.turn(),
                opened,
                clicked,
                replied,
                unsubscribed));
        count(person.mailingId(), "opened", person.openedAt() != null, opened != null);
        count(person.mailingId(), "clicked", person.clickedAt() != null, clicked != null);
        count(person.mailingId(), "replied", person.repliedAt() != null, replied != null);
        count(person.mailingId(), "unsubscribed", person.unsubscribed(), unsubscribed);
        events.changed(person.mailingId());
    }

    private void count(UUID mailing, String column, boolean before, boolean now) {
        if (before != now) {
            mailings.count(mailing, before ? column : null, now ? column : null);
        }
    }
}
