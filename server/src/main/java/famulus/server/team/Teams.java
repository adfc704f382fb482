package famulus.server.team;

import famulus.core.record.PlainLine;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Colleagues grouped by what they work on; somebody can be in several teams. */
@Service
public class Teams {
    private final TeamsMapper mapper;
    private final TeamMapper colleagues;
    private final Ids ids;
    private final ApplicationEventPublisher told;

    Teams(TeamsMapper mapper, TeamMapper colleagues, Ids ids, ApplicationEventPublisher told) {
        this.mapper = mapper;
        this.colleagues = colleagues;
        this.ids = ids;
        this.told = told;
    }

    /** A team, and who is in it. */
    public record Team(UUID id, String name, List<UUID> members) {
        /** Whether somebody is in it. */
        public boolean has(UUID colleague) {
            return members.contains(colleague);
        }
    }

    /** A team as it is typed. */
    public record TypedTeam(String name, List<UUID> members) {}

    /** Told within the transaction that changes who is in a team, or removes it. */
    public record TeamsChanged() {}

    /** All teams, by name. */
    public List<Team> all() {
        List<TeamsMapper.MemberRow> members = mapper.members();
        return mapper.all().stream()
                .map(row -> new Team(
                        row.id(),
                        row.name(),
                        members.stream()
                                .filter(member -> member.teamId().equals(row.id()))
                                .map(TeamsMapper.MemberRow::colleagueId)
                                .toList()))
                .toList();
    }

    /** Adds a team, and returns its identifier. */
    @Transactional
    public UUID add(TypedTeam typed) {
        UUID id = ids.next();
        keep(id, typed);
        return id;
    }

    /** The same with an identifier that is given; for the demo's data. */
    @Transactional
    public void keep(UUID id, TypedTeam typed) {
        check(typed, null);
        mapper.insert(id, typed.name().strip());
        members(id, typed);
    }

    /** Renames a team, or changes who is in it. */
    @Transactional
    public void change(UUID id, TypedTeam typed) {
        check(typed, id);
        if (mapper.rename(id, typed.name().strip()) == 0) {
            throw Refusal.missing("This team");
        }
        members(id, typed);
    }

    /** Removes a team; what was shared with it no longer is. */
    @Transactional
    public void remove(UUID id) {
        if (mapper.delete(id) == 0) {
            throw Refusal.missing("This team");
        }
        told.publishEvent(new TeamsChanged());
    }

    private void members(UUID id, TypedTeam typed) {
        mapper.clear(id);
        new LinkedHashSet<>(typed.members()).forEach(colleague -> mapper.add(id, colleague));
        told.publishEvent(new TeamsChanged());
    }

    private void check(TypedTeam typed, UUID itself) {
        PlainLine.refusal(typed.name(), 60, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        boolean taken = mapper.all().stream()
                .anyMatch(one -> !one.id().equals(itself)
                        && one.name().equalsIgnoreCase(typed.name().strip()));
        if (taken) {
            throw Refusal.field("name", "Another team has this name.");
        }
        List<UUID> known = colleagues.all().stream().map(Colleague::id).toList();
        if (typed.members() == null || !known.containsAll(typed.members())) {
            throw Refusal.field("members", "Choose colleagues from the list.");
        }
    }
}
