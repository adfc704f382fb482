package famulus.server.mailings;

import famulus.core.audience.Candidate;
import famulus.core.calendar.SendingPlan;
import famulus.server.company.HolidayService;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.RecordService;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Plans when each message of a mailing leaves. */
@Component
class MailingTimes {
    private final MailingPersonMapper persons;
    private final MailingRules rules;
    private final RecordService records;
    private final HolidayService holidays;
    private final TeamService team;
    private final Clock clock;

    MailingTimes(
            MailingPersonMapper persons,
            MailingRules rules,
            RecordService records,
            HolidayService holidays,
            TeamService team,
            Clock clock) {
        this.persons = persons;
        this.rules = rules;
        this.records = records;
        this.holidays = holidays;
        this.team = team;
        this.clock = clock;
    }

    /**
     * When the message to each leaves, by what they were chosen as.
     *
     * @param known those of whom something is known; who was moved by hand leaves when they were moved to
     */
    Map<UUID, Instant> of(MailingPlan plan, List<Candidate> in, Map<UUID, MailingPerson> known) {
        SendingRules limits = rules.get();
        Instant now = clock.instant();
        Instant start = Optional.ofNullable(plan.when().hour())
                .map(hour -> hour.planned().moment())
                .filter(hour -> hour.isAfter(now))
                .orElse(now);
        List<SendingPlan.Reader> readers = readers(plan, in);
        List<Instant> gone = persons.left(start.minus(Duration.ofHours(24)));
        List<Instant> times = new SendingPlan(
                        start,
                        Duration.ofMinutes(plan.when().overMinutes()),
                        plan.when().theirHours(),
                        limits.perHour(),
                        limits.perDay())
                .times(readers, gone);
        Map<UUID, Instant> byKey = new HashMap<>();
        for (int i = 0; i < in.size(); i++) {
            UUID key = in.get(i).key();
            Instant planned = times.get(i);
            byKey.put(
                    key,
                    Optional.ofNullable(known.get(key))
                            .filter(MailingPerson::moved)
                            .map(MailingPerson::dueAt)
                            .orElse(planned));
        }
        return byKey;
    }

    /** By whose clock each lives; asked only where that matters. */
    private List<SendingPlan.Reader> readers(MailingPlan plan, List<Candidate> in) {
        House house = team.house();
        CrmKind kind =
                plan.who().kind() == CrmKind.DEAL ? CrmKind.CONTACT : plan.who().kind();
        Map<UUID, CrmRecord> found = plan.when().theirHours()
                ? records.all(
                        kind, in.stream().map(one -> one.person().orElseThrow()).collect(Collectors.toSet()))
                : Map.of();
        return in.stream()
                .map(one -> reader(found.get(one.person().orElseThrow()), house))
                .toList();
    }

    private SendingPlan.Reader reader(CrmRecord person, House house) {
        String zone = person == null ? "" : person.text("time_zone");
        String country = person == null ? "" : person.text("country");
        return new SendingPlan.Reader(
                zone.isEmpty() ? house.zone() : ZoneId.of(zone),
                holidays.of(country.isEmpty() ? house.country() : country));
    }
}
