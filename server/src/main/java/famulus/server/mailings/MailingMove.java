package famulus.server.mailings;

import famulus.core.calendar.PlannedHour;
import famulus.server.mailings.MailingMapper.PlanRow;
import famulus.server.messages.SendingWishes.Hour;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.team.Colleague;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Has all that is still to leave of a mailing leave from another moment on than was planned. */
@Service
class MailingMove {
    private final MailingService mailings;
    private final MailingMapper mapper;
    private final MailingPersonMapper people;
    private final MailingTimes times;
    private final MailingEvents events;
    private final MailingSender sender;
    private final RepeatedRequests repeated;
    private final JsonMapper json;
    private final Clock clock;

    MailingMove(
            MailingService mailings,
            MailingMapper mapper,
            MailingPersonMapper people,
            MailingTimes times,
            MailingEvents events,
            MailingSender sender,
            RepeatedRequests repeated,
            JsonMapper json,
            Clock clock) {
        this.mailings = mailings;
        this.mapper = mapper;
        this.people = people;
        this.times = times;
        this.events = events;
        this.sender = sender;
        this.repeated = repeated;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Moves it. What is held stays held, and what is in the hands of the mail server goes; never more leaves at a time than the
     * company lets. Whoever had a moment of their own has it no more.
     *
     * @param hour when the first one leaves, the others after it as they are spread; null for all of it at once
     */
    void move(UUID id, Hour hour, Colleague by) {
        Optional<PlannedHour> chosen = Optional.ofNullable(hour).map(Hour::planned);
        chosen.flatMap(one -> one.refusal(clock.instant())).ifPresent(sentence -> {
            throw Refusal.field("hour", sentence);
        });
        repeated.inOne(() -> {
            List<MailingPerson> all = people.holdAll(id);
            Mailing mailing = mailings.mustBeChangeable(mailings.hold(id), by);
            if (mailing.state() != MailingState.RUNNING && mailing.state() != MailingState.PAUSED) {
                throw Refusal.because("not-under-way", "This mailing is not under way.");
            }
            List<MailingPerson> ahead = all.stream()
                    .filter(one -> one.state() == PersonState.PLANNED)
                    .toList();
            MailingPlan plan = mailing.plan().leaving(hour);
            Map<UUID, Instant> planned = times.anew(plan, ahead);
            ahead.forEach(one -> people.keep(one.due(planned.get(one.chosenId()))));
            mapper.replan(new PlanRow(id, json.writeValueAsString(plan), by.id(), clock.instant()));
            return true;
        });
        events.changed(id);
        sender.look();
    }
}
