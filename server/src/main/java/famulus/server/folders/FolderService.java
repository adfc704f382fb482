package famulus.server.folders;

import famulus.core.record.PlainLine;
import famulus.core.sharing.Folder;
import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Right;
import famulus.core.sharing.Share;
import famulus.core.sharing.SharingSentence;
import famulus.server.folders.FolderMapper.AccessRow;
import famulus.server.folders.FolderMapper.FolderRow;
import famulus.server.folders.FolderMapper.ShareRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import famulus.server.team.Teams.Team;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The folders somebody sees, and changes to them. */
@Service
public class FolderService {
    private static final int MOST_SHARES = 50;

    private final FolderMapper mapper;
    private final FolderRights rights;
    private final TeamService team;
    private final Teams teams;
    private final Ids ids;
    private final Events events;
    private final ApplicationEventPublisher told;

    FolderService(
            FolderMapper mapper,
            FolderRights rights,
            TeamService team,
            Teams teams,
            Ids ids,
            Events events,
            ApplicationEventPublisher told) {
        this.mapper = mapper;
        this.rights = rights;
        this.team = team;
        this.teams = teams;
        this.ids = ids;
        this.events = events;
        this.told = told;
    }

    /** Whom a folder is shared with. */
    public enum With {
        EVERYBODY,
        ROLE,
        TEAM,
        COLLEAGUE
    }

    /**
     * A share of a folder.
     *
     * @param role null but for a role
     * @param id of a team or colleague; null for neither
     */
    public record FolderShare(
            With with, @Schema(nullable = true) Role role, @Schema(nullable = true) UUID id, Right may) {}

    /**
     * A folder as whoever asks sees it.
     *
     * @param parent the folder it lies in, where they see that
     * @param deep how many folders above it they see
     * @param personal whether it is where somebody's new templates go
     * @param mine whether it is theirs
     * @param fixed whether it keeps its name and place
     * @param sharing who may do what in it, in a sentence
     * @param may what they may do
     * @param own whether it has shares of its own, rather than those of the folder above
     * @param shares these, to whoever manages it; none for others
     */
    public record ShownFolder(
            UUID id,
            @Schema(nullable = true) UUID parent,
            int deep,
            String name,
            boolean personal,
            boolean mine,
            boolean fixed,
            String sharing,
            Right may,
            boolean own,
            List<FolderShare> shares) {}

    /** A folder as it is typed; {@code parent} is null for one at the top. */
    public record TypedFolder(String name, @Schema(nullable = true) UUID parent) {}

    /** How a folder is to be shared; {@code own} false for as the folder above is. */
    public record TypedSharing(boolean own, List<FolderShare> shares) {}

    /** Told within the transaction that removes a folder: whoever keeps something in it says so by a refusal. */
    public record FolderToRemove(UUID id) {}

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
                        ? tree.shares(folder).stream().map(FolderService::share).toList()
                        : List.of());
    }

    private static FolderShare share(Share share) {
        return switch (share.with()) {
            case Share.Everybody all -> new FolderShare(With.EVERYBODY, null, null, share.right());
            case Share.OfRole role -> new FolderShare(With.ROLE, Role.valueOf(role.role()), null, share.right());
            case Share.OfTeam team -> new FolderShare(With.TEAM, null, team.team(), share.right());
            case Share.One one -> new FolderShare(With.COLLEAGUE, null, one.colleague(), share.right());
        };
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

    /** A folder and those in it that somebody sees; refused where the folder is not there for them. */
    public Set<UUID> within(UUID folder, Colleague asking) {
        mustMay(Right.USE, folder, asking);
        Set<UUID> seen =
                mapper.accessOf(asking.id()).stream().map(AccessRow::folderId).collect(Collectors.toSet());
        Set<UUID> within = new HashSet<>(rights.tree().within(folder));
        within.retainAll(seen);
        return within;
    }

    /** Lets only those through who may do so much; to whoever may do nothing the folder is not there. */
    public void mustMay(Right least, UUID folder, Colleague who) {
        Right right = rights.right(folder, who).orElseThrow(() -> Refusal.missing("This folder"));
        if (right.compareTo(least) < 0) {
            String name = mapper.byId(folder).map(FolderRow::name).orElse("");
            throw Refusal.forbidden(
                    least == Right.MANAGE
                            ? "Only those who manage “" + name + "” can do this."
                            : "You may use what is in “" + name + "”, not change it.");
        }
    }

    /** Adds a folder, and returns its identifier. One at the top is its owner's alone until it is shared. */
    @Transactional
    public UUID add(TypedFolder typed, Colleague by) {
        return add(typed, List.of(), by);
    }

    /**
     * Adds a folder that is shared from the first moment on.
     *
     * @param shares none for one that is as the folder above is, or its owner's alone
     */
    @Transactional
    public UUID add(TypedFolder typed, List<FolderShare> shares, Colleague by) {
        UUID id = ids.next();
        keep(id, typed, shares, by);
        return id;
    }

    /** The same with an identifier that is given; for the demo's data. */
    @Transactional
    public void keep(UUID id, TypedFolder typed, List<FolderShare> shares, Colleague by) {
        mapper.lock(FolderRights.EVERYONE);
        if (typed.parent() != null) {
            mustMay(Right.CHANGE, typed.parent(), by);
        }
        check(id, typed);
        check(shares);
        mapper.insert(
                new FolderRow(id, typed.parent(), typed.name().strip(), by.id(), false, typed.parent() == null, null));
        if (!shares.isEmpty()) {
            write(id, true, shares);
        }
        renewed();
    }

    /** Renames a folder, or moves it with all that is in it. */
    @Transactional
    public void change(UUID id, TypedFolder typed, Colleague by) {
        mapper.lock(FolderRights.EVERYONE);
        FolderRow before = movable(id, by);
        if (typed.parent() != null && !typed.parent().equals(before.parentId())) {
            mustMay(Right.CHANGE, typed.parent(), by);
        }
        check(id, typed);
        if (typed.parent() == null && !before.shared()) {
            // At the top there is no folder to take its shares from: it keeps those it had.
            FolderTree tree = rights.tree();
            Folder folder = tree.find(id).orElseThrow();
            write(
                    id,
                    true,
                    tree.shares(folder).stream().map(FolderService::share).toList());
        }
        mapper.change(id, typed.name().strip(), typed.parent());
        renewed();
    }

    /** Shares a folder with others, or as the folder above is. */
    @Transactional
    public void share(UUID id, TypedSharing sharing, Colleague by) {
        mapper.lock(FolderRights.EVERYONE);
        mustMay(Right.MANAGE, id, by);
        FolderRow folder = mapper.byId(id).orElseThrow();
        if (!sharing.own() && folder.parentId() == null) {
            throw Refusal.field("own", "This folder lies in no other one.");
        }
        List<FolderShare> shares = sharing.own() ? sharing.shares() : List.of();
        check(shares);
        write(id, sharing.own(), shares);
        renewed();
    }

    private void write(UUID id, boolean own, List<FolderShare> shares) {
        mapper.shared(id, own);
        mapper.clearShares(id);
        for (int i = 0; i < shares.size(); i++) {
            FolderShare share = shares.get(i);
            mapper.share(
                    new ShareRow(
                            id,
                            share.with().name(),
                            share.with() == With.ROLE ? share.role().name() : null,
                            share.with() == With.TEAM ? share.id() : null,
                            share.with() == With.COLLEAGUE ? share.id() : null,
                            share.may()),
                    i + 1);
        }
    }

    private void check(List<FolderShare> shares) {
        if (shares == null || shares.size() > MOST_SHARES) {
            throw Refusal.field("shares", "Share it with " + MOST_SHARES + " at most; a team counts as one.");
        }
        Set<UUID> groups = teams.all().stream().map(Team::id).collect(Collectors.toSet());
        Set<UUID> people = team.all().stream().map(Colleague::id).collect(Collectors.toSet());
        boolean sound = shares.stream()
                        .filter(Objects::nonNull)
                        .filter(one -> one.may() != null && one.with() != null)
                        .filter(one -> switch (one.with()) {
                            case EVERYBODY -> true;
                            case ROLE -> one.role() != null;
                            case TEAM -> one.id() != null && groups.contains(one.id());
                            case COLLEAGUE -> one.id() != null && people.contains(one.id());
                        })
                        .count()
                == shares.size();
        if (!sound) {
            throw Refusal.field("shares", "Choose somebody from the list, and what they may do.");
        }
    }

    /** Removes an empty folder. */
    @Transactional
    public void remove(UUID id, Colleague by) {
        mapper.lock(FolderRights.EVERYONE);
        movable(id, by);
        if (rights.tree().within(id).size() > 1) {
            throw Refusal.because("not-empty", "There are folders in it. Move them out, or delete them first.");
        }
        told.publishEvent(new FolderToRemove(id));
        mapper.delete(id);
        renewed();
    }

    private FolderRow movable(UUID id, Colleague by) {
        mustMay(Right.MANAGE, id, by);
        FolderRow folder = mapper.byId(id).orElseThrow();
        if (folder.personal() || id.equals(FolderRights.EVERYONE)) {
            throw Refusal.because("fixed", "“" + folder.name() + "” keeps its name and its place.");
        }
        return folder;
    }

    private void check(UUID id, TypedFolder typed) {
        PlainLine.refusal(typed.name(), 80, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        Optional<UUID> parent = Optional.ofNullable(typed.parent());
        rights.tree().refusal(id, parent).ifPresent(sentence -> {
            throw Refusal.field("parent", sentence);
        });
        // At the top everybody has folders that others don't see, and names them as they like.
        boolean taken = typed.parent() != null
                && mapper.all().stream()
                        .filter(one -> !one.id().equals(id) && typed.parent().equals(one.parentId()))
                        .anyMatch(
                                one -> one.name().equalsIgnoreCase(typed.name().strip()));
        if (taken) {
            throw Refusal.field("name", "There is a folder of this name in it already.");
        }
    }

    private void renewed() {
        rights.renew();
        events.tell("folder", "");
    }
}
