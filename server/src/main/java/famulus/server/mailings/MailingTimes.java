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
import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
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
        Map<UUID, UUID> people = new LinkedHashMap<>();
        in.forEach(one -> people.put(one.key(), one.person().orElseThrow()));
        Map<UUID, Instant> times = planned(plan, people);
        known.forEach((key, one) -> {
            if (one.moved()) {
                times.replace(key, one.dueAt());
            }
        });
        return times;
    }

    /** When the message to each of those leaves who are still to get one, whatever was planned for them before. */
    Map<UUID, Instant> anew(MailingPlan plan, List<MailingPerson> ahead) {
        Map<UUID, UUID> people = new LinkedHashMap<>();
        ahead.forEach(one -> people.put(one.chosenId(), one.personId()));
        return planned(plan, people);
    }

    /**
     * Plans it.
     *
     * @param people who gets it, by what they were chosen as, in their order
     */
    private Map<UUID, Instant> planned(MailingPlan plan, Map<UUID, UUID> people) {
        SendingRules limits = rules.get();
        Instant now = clock.instant();
        Instant start = Optional.ofNullable(plan.when().hour())
                .map(hour -> hour.planned().moment())
                .filter(hour -> hour.isAfter(now))
                .orElse(now);
        List<Instant> gone = persons.left(start.minus(Duration.ofHours(24)));
        Iterator<Instant> times = new SendingPlan(
                        start,
                        Duration.ofMinutes(plan.when().overMinutes()),
                        plan.when().theirHours(),
                        limits.perHour(),
                        limits.perDay())
                .times(readers(plan, people.values()), gone)
                .iterator();
        Map<UUID, Instant> byKey = new HashMap<>();
        people.keySet().forEach(key -> byKey.put(key, times.next()));
        return byKey;
    }

    /** By whose clock each lives; asked only where that matters. */
    private List<SendingPlan.Reader> readers(MailingPlan plan, Collection<UUID> people) {
        House house = team.house();
        CrmKind kind =
                plan.who().kind() == CrmKind.DEAL ? CrmKind.CONTACT : plan.who().kind();
        Map<UUID, CrmRecord> found = plan.when().theirHours() ? records.all(kind, Set.copyOf(people)) : Map.of();
        return people.stream().map(one -> reader(found.get(one), house)).toList();
    }

    private SendingPlan.Reader reader(CrmRecord person, House house) {
        String zone = person == null ? "" : person.text("time_zone");
        String country = person == null ? "" : person.text("country");
        return new SendingPlan.Reader(
                zone.isEmpty() ? house.zone() : ZoneId.of(zone),
                holidays.of(country.isEmpty() ? house.country() : country));
    }
}
