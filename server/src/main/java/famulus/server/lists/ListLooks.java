package famulus.server.lists;

import famulus.server.lists.RecordListMapper.PutRow;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What is told of a list to whoever looks at it: who put what on it, and what was on it when they looked last. */
@Component
class ListLooks {
    private final RecordListMapper mapper;
    private final TeamService team;
    private final Clock clock;

    ListLooks(RecordListMapper mapper, TeamService team, Clock clock) {
        this.mapper = mapper;
        this.team = team;
        this.clock = clock;
    }

    /** Who put some records onto a fixed list, and when, in words; those that are not on it are left out. */
    Map<UUID, String> put(UUID id, Collection<UUID> records) {
        Map<UUID, Colleague> by = team.all().stream().collect(Collectors.toMap(Colleague::id, Function.identity()));
        DateTimeFormatter day = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);
        return mapper.puts(id, records).stream()
                .collect(Collectors.toMap(
                        PutRow::recordId,
                        row -> row.at().atZone(team.house().zone()).format(day) + " by "
                                + Optional.ofNullable(by.get(row.byId()))
                                        .map(Colleague::firstName)
                                        .orElse("somebody")));
    }

    /** What was on a list when somebody looked at it last. */
    record Look(Instant at, Set<UUID> members) {}

    Optional<Look> looked(UUID id, Colleague asking) {
        return mapper.look(id, asking.id())
                .map(row -> new Look(
                        row.at(),
                        Stream.of(row.members().split(" "))
                                .filter(one -> !one.isEmpty())
                                .map(UUID::fromString)
                                .collect(Collectors.toCollection(LinkedHashSet::new))));
    }

    void look(UUID id, Set<UUID> members, Colleague asking) {
        mapper.looked(
                id,
                asking.id(),
                clock.instant(),
                members.stream().map(UUID::toString).collect(Collectors.joining(" ")));
    }
}
