package famulus.server.folders;

import famulus.core.sharing.Folder;
import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Member;
import famulus.core.sharing.Right;
import famulus.core.sharing.Share;
import famulus.server.folders.FolderMapper.AccessRow;
import famulus.server.folders.FolderMapper.FolderRow;
import famulus.server.folders.FolderMapper.ShareRow;
import famulus.server.team.Colleague;
import famulus.server.team.ColleagueChanged;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import famulus.server.team.Teams.Team;
import famulus.server.team.Teams.TeamsChanged;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What each colleague may do in each folder, kept up to date with folders, shares, teams and roles. */
@Component
public class FolderRights {
    /** The folder that everybody may use from the first day on. */
    public static final UUID EVERYONE = new UUID(0, 1);

    private final FolderMapper mapper;
    private final TeamService team;
    private final Teams teams;

    FolderRights(FolderMapper mapper, TeamService team, Teams teams) {
        this.mapper = mapper;
        this.team = team;
        this.teams = teams;
    }

    /** What somebody may do in a folder; empty where it is not there for them. */
    public Optional<Right> right(UUID folder, Colleague who) {
        return folder == null ? Optional.empty() : mapper.may(folder, who.id()).map(FolderRights::right);
    }

    /** Whether somebody may do so much in a folder. */
    public boolean may(Right least, UUID folder, Colleague who) {
        return right(folder, who).filter(one -> one.compareTo(least) >= 0).isPresent();
    }

    /** Who may do so much in a folder. */
    public Set<UUID> whoMay(Right least, UUID folder) {
        return mapper.whoMay(folder, kept(least));
    }

    /** A right as the database keeps it. */
    static int kept(Right right) {
        return right.ordinal() + 1;
    }

    /** A right as the database keeps it, in our words. */
    public static Right right(int kept) {
        return Right.values()[kept - 1];
    }

    /** The folder of somebody’s own where what they write goes. It goes by their identifier. */
    @Transactional
    public UUID personal(UUID colleague) {
        if (mapper.byId(colleague).isEmpty()) {
            mapper.lock(EVERYONE);
            mapper.insert(new FolderRow(colleague, null, "My templates", colleague, true, false, null));
            renew();
        }
        return colleague;
    }

    @EventListener
    @Transactional
    public void changed(ColleagueChanged colleague) {
        if (mapper.byId(colleague.id()).isEmpty()) {
            personal(colleague.id());
        } else {
            renew();
        }
    }

    @EventListener
    @Transactional
    public void changed(TeamsChanged any) {
        renew();
    }

    /** The folders as they are now. */
    FolderTree tree() {
        Map<UUID, List<ShareRow>> shares = mapper.shares().stream().collect(Collectors.groupingBy(ShareRow::folderId));
        return new FolderTree(mapper.all().stream()
                .map(row -> folder(row, shares.getOrDefault(row.id(), List.of())))
                .toList());
    }

    private static Folder folder(FolderRow row, List<ShareRow> shares) {
        return new Folder(
                row.id(),
                Optional.ofNullable(row.parentId()),
                row.name(),
                Optional.ofNullable(row.ownerId()),
                row.shared()
                        ? Optional.of(shares.stream().map(FolderRights::share).toList())
                        : Optional.empty());
    }

    private static Share share(ShareRow row) {
        Share.With with =
                switch (row.sharedWith()) {
                    case "EVERYBODY" -> new Share.Everybody();
                    case "ROLE" -> new Share.OfRole(row.role());
                    case "TEAM" -> new Share.OfTeam(row.teamId());
                    default -> new Share.One(row.colleagueId());
                };
        return new Share(with, row.may());
    }

    /** Reckons anew who may do what, and the places of folders; only what has changed is written. */
    void renew() {
        mapper.lock(EVERYONE);
        FolderTree tree = tree();
        List<Member> members = members();
        Set<AccessRow> wanted = new HashSet<>();
        int place = 0;
        Map<UUID, UUID> personal = mapper.all().stream()
                .filter(FolderRow::personal)
                .collect(Collectors.toMap(FolderRow::id, FolderRow::ownerId));
        for (Folder folder : tree.inOrder()) {
            List<Folder> above = tree.above(folder.id());
            Folder top = above.isEmpty() ? folder : above.getLast();
            mapper.place(folder.id(), place++, personal.get(top.id()));
            for (Member member : members) {
                tree.right(folder, member)
                        .ifPresent(right -> wanted.add(new AccessRow(folder.id(), member.id(), kept(right))));
            }
        }
        Set<AccessRow> there = new HashSet<>(mapper.access());
        there.stream().filter(row -> !wanted.contains(row)).forEach(mapper::revoke);
        wanted.stream().filter(row -> !there.contains(row)).forEach(mapper::grant);
    }

    private List<Member> members() {
        List<Team> all = teams.all();
        return team.all().stream()
                .filter(Colleague::active)
                .map(colleague -> new Member(
                        colleague.id(),
                        colleague.role().name(),
                        colleague.is(Role.ADMINISTRATOR),
                        all.stream()
                                .filter(one -> one.has(colleague.id()))
                                .map(Team::id)
                                .collect(Collectors.toSet())))
                .toList();
    }
}
