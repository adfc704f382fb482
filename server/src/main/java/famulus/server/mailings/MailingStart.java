package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.mailings.MailingReadiness.Ready;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.AudienceService;
import famulus.server.outbox.OutboxService;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Starts a mailing: says of everybody once more whether they can get it, and writes down who does, and when. */
@Service
class MailingStart {
    private final MailingService mailings;
    private final MailingReadiness readiness;
    private final MailingTimes planned;
    private final MailingReading reading;
    private final MailingMapper mapper;
    private final MailingPersonMapper persons;
    private final MailingEvents events;
    private final MailingSender sender;
    private final TemplateService templates;
    private final OutboxService outbox;
    private final RepeatedRequests repeated;
    private final JsonMapper json;
    private final Clock clock;

    MailingStart(
            MailingService mailings,
            MailingReadiness readiness,
            MailingTimes planned,
            MailingReading reading,
            MailingMapper mapper,
            MailingPersonMapper persons,
            MailingEvents events,
            MailingSender sender,
            TemplateService templates,
            OutboxService outbox,
            RepeatedRequests repeated,
            JsonMapper json,
            Clock clock) {
        this.mailings = mailings;
        this.readiness = readiness;
        this.planned = planned;
        this.reading = reading;
        this.mapper = mapper;
        this.persons = persons;
        this.events = events;
        this.sender = sender;
        this.templates = templates;
        this.outbox = outbox;
        this.repeated = repeated;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Starts a mailing, or has it go on with what has been changed while it waited. Everything is looked at once more; whoever can’t
     * get it as it is is held back, and the others go.
     *
     * @param version what it was when whoever starts it looked at it
     * @param expected to how many they said it is to go; refused where these are others by now
     */
    void start(UUID id, int version, int expected, Colleague by) {
        Mailing before = mailings.mustBeChangeable(mailings.get(id), by);
        if (!before.open()) {
            throw Refusal.because("started", "This mailing is under way already.");
        }
        if (before.version() != version) {
            throw changed();
        }
        Ready ready = readiness.of(id, by);
        ready.mustBe();
        Wordings said = ready.said();
        Map<UUID, MailingPerson> known = persons.known(id);
        Audience audience = MailingPeople.left(ready.audience(), known);
        Map<UUID, Optional<String>> stopped = new HashMap<>();
        Map<UUID, Instant> times = planned.of(before.plan(), audience.in(), known);
        reading.each(before, audience, said, known, times, by, row -> stopped.put(row.key(), row.stopped()));
        long going = audience.in().stream()
                .filter(one -> stopped.getOrDefault(one.key(), Optional.of("")).isEmpty())
                .filter(one -> !heldBack(known.get(one.key())))
                .count();
        if (going != expected) {
            throw Refusal.changedMeanwhile(
                    "It would go to " + going + " people now, not " + expected + ". Look at them again.");
        }
        if (going == 0) {
            throw Refusal.because("nobody", "Nobody is left whom it could go to. Put right what holds them back.");
        }
        repeated.inOne(() -> {
            Map<UUID, MailingPerson> now = persons.holdKnown(id);
            if (!MailingPeople.left(ready.audience(), now).equals(audience)) {
                // One that was being handed over when it was paused has come back, or has gone.
                throw changed();
            }
            said.all().forEach(one -> templates.keepVersion(one.template(), one.version(), Reason.USED));
            int started =
                    mapper.start(id, version, json.writeValueAsString(said), ready.digest(), by.id(), clock.instant());
            if (started == 0) {
                throw changed();
            }
            plan(before, ready.audience(), now, stopped, times);
            mapper.recount(id);
            return true;
        });
        events.changed(id);
        sender.look();
    }

    private static Refusal changed() {
        return Refusal.changedMeanwhile("Somebody else has changed or started this mailing in the meantime.");
    }

    private static boolean heldBack(MailingPerson person) {
        return person != null && person.heldBy() != null;
    }

    private void plan(
            Mailing mailing,
            Audience audience,
            Map<UUID, MailingPerson> known,
            Map<UUID, Optional<String>> stopped,
            Map<UUID, Instant> times) {
        CrmKind kind = mailing.plan().who().kind();
        Set<UUID> asked = new HashSet<>();
        for (Candidate one : audience.in()) {
            asked.add(one.key());
            MailingPerson before = anew(known.get(one.key()));
            if (before != null && before.state().gone()) {
                continue;
            }
            Optional<String> stop = stopped.getOrDefault(one.key(), Optional.of("They are missing."));
            boolean held = heldBack(before) || stop.isPresent();
            persons.keep(row(
                    mailing.id(),
                    one,
                    AudienceService.to(one, kind),
                    before,
                    held ? PersonState.HELD : PersonState.PLANNED,
                    held ? stop.orElse(before == null ? "" : before.why()) : "",
                    times.get(one.key())));
        }
        for (Audience.LeftOut out : audience.out()) {
            asked.add(out.candidate().key());
            MailingPerson before = known.get(out.candidate().key());
            if (out.candidate().person().isEmpty()
                    || before != null && before.state().gone()) {
                continue;
            }
            persons.keep(row(
                    mailing.id(),
                    out.candidate(),
                    AudienceService.to(out.candidate(), kind),
                    before,
                    PersonState.LEFT_OUT,
                    MailingPeople.why(out),
                    null));
        }
        // Whoever was chosen once and is not any more stays in its list, and gets nothing.
        List<MailingPerson> others = new ArrayList<>(known.values());
        others.removeIf(one -> asked.contains(one.chosenId()) || one.state().gone());
        others.forEach(
                one -> persons.become(mailing.id(), one.chosenId(), PersonState.LEFT_OUT, "Not chosen any more."));
    }

    /** Somebody as they are, without a message that was made and has not left: it may say what was changed since. */
    private MailingPerson anew(MailingPerson person) {
        if (person == null || person.messageId() == null || person.state().gone()) {
            return person;
        }
        outbox.dropOfMailing(person.messageId());
        return person.anew();
    }

    private static MailingPerson row(
            UUID mailing, Candidate one, For to, MailingPerson before, PersonState state, String why, Instant due) {
        return MailingPerson.planned(mailing, one, to).after(before, state, why, due);
    }
}
