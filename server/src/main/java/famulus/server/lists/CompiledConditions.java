package famulus.server.lists;

import famulus.core.calendar.Reckoner;
import famulus.core.condition.Condition;
import famulus.server.company.HolidayService;
import famulus.server.records.PeopleZones;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Compiles conditions to SQL for the day it is just now, wherever whoever is asked about is. */
@Component
class CompiledConditions {
    private static final Set<String> ZONES = Set.copyOf(ZoneId.getAvailableZoneIds());

    private final TeamService team;
    private final HolidayService holidays;
    private final PeopleZones zones;
    private final Clock clock;

    CompiledConditions(TeamService team, HolidayService holidays, PeopleZones zones, Clock clock) {
        this.team = team;
        this.holidays = holidays;
        this.zones = zones;
        this.clock = clock;
    }

    /** A condition as SQL over what is asked; empty when SQL can't say it. */
    Optional<Sql> of(Condition condition, AskedRecords asked) {
        House house = team.house();
        Reckoner reckoner = new Reckoner(clock.instant(), house.zone(), holidays.of(house.country()));
        return ConditionSql.of(condition, asked, reckoner, asked.ofPeople() ? zones() : List.of());
    }

    /** The time zones people are in; one that does not exist counts as the house's own. */
    private List<ZoneId> zones() {
        return zones.all().stream()
                .filter(ZONES::contains)
                .sorted()
                .map(ZoneId::of)
                .toList();
    }
}
