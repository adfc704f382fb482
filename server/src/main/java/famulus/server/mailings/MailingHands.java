package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.core.calendar.PlannedHour;
import famulus.core.record.PlainLine;
import famulus.server.mailings.MailingReadiness.Ready;
import famulus.server.messages.AudienceService;
import famulus.server.messages.KeptDraftService;
import famulus.server.messages.MessageDraftService;
import famulus.server.messages.MessageToSend;
import famulus.server.messages.SendingWishes.Hour;
import famulus.server.outbox.OutboxService;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a person may do with a mailing, and with the message of one of its people. */
@Service
class MailingHands {
    private static final int MOST_TESTED = 5;
    private static final int LONGEST_REASON = 200;

    private final MailingService mailings;
    private final MailingReadiness readiness;
    private final MailingMapper mapper;
    private final MailingPersonMapper people;
    private final MailingMessages messages;
    private final MailingEnding ending;
    private final RepeatedRequests repeated;
    private final MailingEvents events;
    private final MailingSender sender;
    private final MessageDraftService drafts;
    private final KeptDraftService kept;
    private final OutboxService outbox;
    private final Ids ids;
    private final Clock clock;

    MailingHands(
            MailingService mailings,
            MailingReadiness readiness,
            MailingMapper mapper,
            MailingPersonMapper people,
            MailingMessages messages,
            MailingEnding ending,
            RepeatedRequests repeated,
            MailingEvents events,
            MailingSender sender,
            MessageDraftService drafts,
            KeptDraftService kept,
            OutboxService outbox,
            Ids ids,
            Clock clock) {
        this.mailings = mailings;
        this.readiness = readiness;
        this.mapper = mapper;
        this.people = people;
        this.messages = messages;
        this.ending = ending;
        this.repeated = repeated;
        this.events = events;
        this.sender = sender;
        this.drafts = drafts;
        this.kept = kept;
        this.outbox = outbox;
        this.ids = ids;
        this.clock = clock;
    }

    /** Has a mailing wait; what is in the hands of the mail server just then still goes. */
    @Transactional
    public void pause(UUID id, Colleague by) {
        mustBeChangeable(id, by);
        become(id, List.of(MailingState.RUNNING), MailingState.PAUSED, by.firstName() + " has paused it.");
    }

    /**
     * Ends a mailing; whoever has not got it by then does not. One that has ended but for those who are held ends for them as well.
     */
    public void stop(UUID id, Colleague by) {
        repeated.inOne(() -> {
            List<MailingPerson> all = people.holdAll(id);
            Mailing mailing = mailings.mustBeChangeable(mailings.hold(id), by);
            String said = by.firstName() + " has stopped it.";
            if (mailing.state() != MailingState.DONE || mailing.counts().held() == 0) {
                become(id, List.of(MailingState.RUNNING, MailingState.PAUSED), MailingState.STOPPED, said);
            }
            ending.leaveOut(id, all, said);
            return true;
        });
    }

    private void become(UUID id, List<MailingState> from, MailingState state, String said) {
        if (mapper.become(id, from, state, said, clock.instant()) == 0) {
            throw Refusal.because("not-under-way", "This mailing is not under way any more.");
        }
        events.changed(id);
    }

    private Mailing mustBeChangeable(UUID id, Colleague by) {
        return mailings.mustBeChangeable(mailings.get(id), by);
    }

    /** One of the people of a mailing, with what is known of them so far; locked where that is something. */
    private MailingPerson person(Ready ready, UUID key) {
        return people.hold(ready.mailing().id(), key).orElseGet(() -> chosen(ready, key));
    }

    /** Somebody of whom nothing is known yet but that it would go to them. */
    private static MailingPerson chosen(Ready ready, UUID key) {
        Candidate one = ready.audience().in().stream()
                .filter(candidate -> candidate.key().equals(key))
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This person"));
        Mailing mailing = ready.mailing();
        return MailingPerson.planned(
                mailing.id(), one, AudienceService.to(one, mailing.plan().who().kind()));
    }

    /**
     * Holds somebody back, or lets them have it after all.
     *
     * @param why for colleagues; may be empty
     */
    @Transactional
    public void hold(UUID id, UUID key, boolean held, String why, Colleague by) {
        Mailing mailing = mustBeChangeable(id, by);
        String reason = why == null ? "" : why;
        PlainLine.refusal(reason, LONGEST_REASON, false).ifPresent(sentence -> {
            throw Refusal.field("why", sentence);
        });
        MailingPerson person = ahead(mailing, key, by);
        if (held) {
            people.keep(person.held(by.id(), reason.strip()));
        } else if (mailing.state() == MailingState.WRITING && person.draftId() == null && !person.moved()) {
            people.remove(id, key);
        } else {
            // Whatever else held them is looked at again before their message leaves.
            people.keep(person.released(clock.instant()));
            release(person);
        }
        mapper.recount(id);
        if (!held && mailing.state() == MailingState.DONE) {
            mapper.become(id, List.of(MailingState.DONE), MailingState.RUNNING, "", clock.instant());
        }
        mapper.finish(id, clock.instant());
        events.changed(id);
        sender.look();
    }

    /**
     * Has what somebody gets leave at an hour of its own, whatever is planned for the others; never more at a time than the company
     * lets.
     *
     * @param hour null for at once, and while the mailing is written for when it is planned
     */
    @Transactional
    public void move(UUID id, UUID key, Hour hour, Colleague by) {
        Mailing mailing = mustBeChangeable(id, by);
        Optional<PlannedHour> chosen = Optional.ofNullable(hour).map(Hour::planned);
        chosen.flatMap(one -> one.refusal(clock.instant())).ifPresent(sentence -> {
            throw Refusal.field("hour", sentence);
        });
        if (mailing.state() == MailingState.STOPPED || mailing.state() == MailingState.DONE) {
            throw Refusal.because("not-under-way", "This mailing is not under way any more.");
        }
        MailingPerson person = ahead(mailing, key, by);
        if (mailing.state() != MailingState.WRITING || chosen.isPresent()) {
            people.keep(person.movedTo(chosen.map(PlannedHour::moment).orElseGet(clock::instant)));
        } else if (person.draftId() == null && person.heldBy() == null) {
            people.remove(id, key);
        } else {
            people.keep(person.asPlanned());
        }
        mapper.recount(id);
        events.changed(id);
        sender.look();
    }

    /** One of the people of a mailing, who is still to get it; locked where something is known of them. */
    private MailingPerson ahead(Mailing mailing, UUID key, Colleague by) {
        MailingPerson person =
                people.hold(mailing.id(), key).orElseGet(() -> chosen(readiness.of(mailing.id(), by), key));
        if (person.state() == PersonState.LEFT_OUT) {
            throw Refusal.because("gone", person.name() + " does not get this mailing.");
        }
        if (person.state() != PersonState.PLANNED && person.state() != PersonState.HELD) {
            throw Refusal.because("gone", "The message to " + person.name() + " has left already.");
        }
        return person;
    }

    private void release(MailingPerson person) {
        if (person.messageId() != null) {
            outbox.releaseOfMailing(person.messageId());
        }
    }

    /**
     * Makes words of their own of what somebody gets, for whoever asks to change.
     *
     * @return the draft to be written on
     */
    @Transactional
    public UUID ownWords(UUID id, UUID key, Colleague by) {
        Ready ready = mustBeOpen(id, by);
        MailingPerson person = mustNotBeGone(person(ready, key));
        if (person.draftId() != null && kept.ofMailing(person.draftId(), id).isPresent()) {
            return person.draftId();
        }
        return saying(
                person, draft -> drafts.inTheirWords(message(ready, person, by).inDraft(draft), by), by);
    }

    /** Fills in what somebody lacks, for what they get of this mailing alone. */
    @Transactional
    public void fill(UUID id, UUID key, String path, String value, Colleague by) {
        Ready ready = mustBeOpen(id, by);
        MailingPerson person = mustNotBeGone(person(ready, key));
        if (path == null || value == null || value.isBlank()) {
            throw Refusal.field("value", "Type a value.");
        }
        MessageToSend message = message(ready, person, by);
        kept.removeOfMailing(person.draftId(), id);
        saying(person, draft -> drafts.filled(message.inDraft(draft), Map.of(path, value.strip()), by), by);
    }

    /** Keeps a draft of what somebody gets. */
    private UUID saying(MailingPerson person, Function<UUID, MessageToSend> message, Colleague by) {
        UUID draft = ids.next();
        kept.beginOfMailing(draft, message.apply(draft), by);
        people.keep(person.saying(draft));
        mapper.recount(person.mailingId());
        events.changed(person.mailingId());
        return draft;
    }

    /** Has somebody get what everybody gets. */
    @Transactional
    public void noOwnWords(UUID id, UUID key, Colleague by) {
        Mailing mailing = mailings.mustBeOpen(mailings.get(id), by);
        people.hold(mailing.id(), key).filter(one -> one.draftId() != null).ifPresent(person -> {
            mustNotBeGone(person);
            kept.removeOfMailing(person.draftId(), id);
            if (mailing.state() == MailingState.WRITING && person.heldBy() == null && !person.moved()) {
                people.remove(id, key);
            } else {
                people.keep(person.saying(null));
            }
            mapper.recount(id);
            events.changed(id);
        });
    }

    private Ready mustBeOpen(UUID id, Colleague by) {
        mailings.mustBeOpen(mailings.get(id), by);
        return readiness.of(id, by);
    }

    private static MailingPerson mustNotBeGone(MailingPerson person) {
        if (person.state().gone()) {
            throw Refusal.because("gone", "The message to " + person.name() + " has left already.");
        }
        return person;
    }

    /** What somebody gets, as a message of its own. */
    private MessageToSend message(Ready ready, MailingPerson person, Colleague by) {
        return messages.prepared(ready.mailing(), person, ready.said(), by).message();
    }

    /** What somebody gets, to be read. */
    MessageToSend message(UUID id, UUID key, Colleague asking) {
        Ready ready = readiness.of(id, asking);
        MailingPerson known = people.known(id).get(key);
        return message(ready, known == null ? chosen(ready, key) : known, asking);
    }

    /**
     * Sends what some would get to colleagues as a test, and keeps that exactly this was tested.
     *
     * @param keys for whom it is merged; those who come first where nobody is named
     * @return how many messages are in line
     */
    @Transactional
    public int test(UUID id, List<UUID> keys, List<UUID> to, boolean list, Colleague by) {
        mustBeChangeable(id, by);
        Ready ready = readiness.of(id, by);
        ready.said();
        Audience audience = ready.audience();
        List<UUID> merged = keys == null || keys.isEmpty()
                ? audience.in().stream().limit(1).map(Candidate::key).toList()
                : keys;
        if (merged.isEmpty()) {
            throw Refusal.because("nobody", "Choose who gets it first: a test is merged for one of them.");
        }
        if (merged.size() > MOST_TESTED) {
            throw Refusal.field("keys", "Merge a test for " + MOST_TESTED + " people at most.");
        }
        List<MessageToSend> some = merged.stream()
                .map(key -> message(ready, person(ready, key), by))
                .toList();
        int sent = outbox.sendTestsOfMailing(some, to, list, by);
        mapper.tested(id, ready.digest(), clock.instant(), by.id());
        events.changed(id);
        return sent;
    }

    /**
     * Sends to somebody again whose message was refused, as to an address that was put right since; or lets a message go that was
     * held because they had replied.
     */
    @Transactional
    public void again(UUID id, UUID key, Colleague by) {
        Mailing mailing = mustBeChangeable(id, by);
        MailingPerson person = people.hold(id, key).orElseThrow(() -> Refusal.missing("This person"));
        boolean refused = person.state() == PersonState.REFUSED;
        if (!refused && person.state() != PersonState.HELD) {
            throw Refusal.because("not-refused", "The message to " + person.name() + " was not refused.");
        }
        if (mailing.state() == MailingState.WRITING || mailing.state() == MailingState.STOPPED) {
            throw Refusal.because("not-under-way", "This mailing is not under way.");
        }
        people.keep(person.again(clock.instant(), refused));
        if (!refused) {
            release(person);
        }
        mapper.recount(id);
        if (mailing.state() == MailingState.DONE) {
            mapper.become(id, List.of(MailingState.DONE), MailingState.RUNNING, "", clock.instant());
        }
        events.changed(id);
        sender.look();
    }
}
