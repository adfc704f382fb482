package famulus.server.folders;

import famulus.core.record.PlainLine;
import famulus.core.sharing.Folder;
import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Right;
import famulus.server.folders.FolderMapper.AccessRow;
import famulus.server.folders.FolderMapper.FolderRow;
import famulus.server.folders.FolderMapper.ShareRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import famulus.server.team.Teams;
import famulus.server.team.Teams.Team;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes to folders, and which of them somebody may change. */
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

    /** A folder as it is typed; {@code parent} is null for one at the top. */
    public record TypedFolder(String name, @Schema(nullable = true) UUID parent) {}

    /** How a folder is to be shared; {@code own} false for as the folder above is. */
    public record TypedSharing(boolean own, List<FolderShare> shares) {}

    /** Told within the transaction that removes a folder: whoever keeps something in it says so by a refusal. */
    public record FolderToRemove(UUID id) {}

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
        FolderTree tree = rights.tree();
        Folder folder = tree.find(id).orElseThrow();
        UUID parent = parent(folder, typed, tree, by);
        if (parent != null && !parent.equals(before.parentId())) {
            mustMay(Right.CHANGE, parent, by);
        }
        check(id, new TypedFolder(typed.name(), parent));
        if (parent == null && !before.shared()) {
            // At the top there is no folder to take its shares from: it keeps those it had.
            write(id, true, tree.shares(folder).stream().map(FolderShare::of).toList());
        }
        mapper.change(id, typed.name().strip(), parent);
        renewed();
    }

    /** Where a folder is to lie: where it does, if whoever asks leaves it in the folder they see it in. */
    private UUID parent(Folder folder, TypedFolder typed, FolderTree tree, Colleague by) {
        Optional<UUID> shown = tree.above(folder.id()).stream()
                .map(Folder::id)
                .filter(above -> rights.right(above, by).isPresent())
                .findFirst();
        return Optional.ofNullable(typed.parent()).equals(shown)
                ? folder.parent().orElse(null)
                : typed.parent();
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
                            share.with() == FolderShare.With.ROLE ? share.role().name() : null,
                            share.with() == FolderShare.With.TEAM ? share.id() : null,
                            share.with() == FolderShare.With.COLLEAGUE ? share.id() : null,
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
