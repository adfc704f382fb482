package famulus.server.folders;

import famulus.core.sharing.Folder;
import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Right;
import famulus.core.sharing.Share;
import famulus.core.sharing.SharingSentence;
import famulus.server.folders.FolderMapper.AccessRow;
import famulus.server.folders.FolderMapper.FolderRow;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import famulus.server.team.Teams.Team;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The folders as somebody sees them, with who may do what in each. */
@Service
public class FolderList {
    private final FolderMapper mapper;
    private final FolderRights rights;
    private final TeamService team;
    private final Teams teams;

    FolderList(FolderMapper mapper, FolderRights rights, TeamService team, Teams teams) {
        this.mapper = mapper;
        this.rights = rights;
        this.team = team;
        this.teams = teams;
    }

    /** The folders somebody sees, their own first, each followed by those in it. */
    public List<ShownFolder> all(Colleague asking) {
        FolderTree tree = rights.tree();
        Map<UUID, FolderRow> rows = mapper.all().stream().collect(Collectors.toMap(FolderRow::id, Function.identity()));
        Map<UUID, Right> may = mapper.accessOf(asking.id()).stream()
                .collect(Collectors.toMap(AccessRow::folderId, row -> FolderRights.right(row.may())));
        Function<Share.With, String> named = named(asking);
        List<ShownFolder> first = new ArrayList<>();
        List<ShownFolder> others = new ArrayList<>();
        List<ShownFolder> last = new ArrayList<>();
        for (Folder folder : tree.inOrder()) {
            if (!may.containsKey(folder.id())) {
                continue;
            }
            List<Folder> above = tree.above(folder.id()).stream()
                    .filter(one -> may.containsKey(one.id()))
                    .toList();
            FolderRow row = rows.get(folder.id());
            ShownFolder shown = shown(folder, row, above, tree, may.get(folder.id()), asking, named);
            boolean theirs = asking.id().equals(row.whoseId());
            (row.whoseId() == null ? others : theirs ? first : last).add(shown);
        }
        first.addAll(others);
        first.addAll(last);
        return first;
    }

    private ShownFolder shown(
            Folder folder,
            FolderRow row,
            List<Folder> above,
            FolderTree tree,
            Right may,
            Colleague asking,
            Function<Share.With, String> named) {
        boolean mine = asking.id().equals(row.ownerId());
        String owner =
                folder.owner().map(one -> named.apply(new Share.One(one))).orElse("");
        return new ShownFolder(
                folder.id(),
                above.isEmpty() ? null : above.getFirst().id(),
                above.size(),
                row.personal() && !mine ? owner + "’s templates" : folder.name(),
                row.personal(),
                mine,
                row.personal() || folder.id().equals(FolderRights.EVERYONE),
                SharingSentence.of(tree.sharing(folder), owner, named),
                may,
                folder.shares().isPresent(),
                may == Right.MANAGE
                        ? tree.shares(folder).stream().map(FolderShare::of).toList()
                        : List.of());
    }

    /** What everybody a folder can be shared with is called. */
    private Function<Share.With, String> named(Colleague asking) {
        Map<UUID, String> names = team.all().stream()
                .collect(Collectors.toMap(
                        Colleague::id,
                        one -> one.id().equals(asking.id())
                                ? "you"
                                : one.active() ? one.firstName() : one.firstName() + " (left)"));
        Map<UUID, String> groups = teams.all().stream().collect(Collectors.toMap(Team::id, Team::name));
        return with -> switch (with) {
            case Share.Everybody all -> "everybody";
            case Share.OfRole role -> plural(Role.valueOf(role.role()));
            case Share.OfTeam group -> "the " + groups.getOrDefault(group.team(), "") + " team";
            case Share.One one -> names.getOrDefault(one.colleague(), "somebody");
        };
    }

    private static String plural(Role role) {
        return switch (role) {
            case AGENT -> "reps";
            case ASSISTANT -> "assistants";
            case KEEPER -> "editors";
            case ADMINISTRATOR -> "administrators";
        };
    }
}
