package famulus.server.demo;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.folders.FolderService.TypedFolder;
import famulus.server.folders.FolderShare;
import famulus.server.folders.FolderShare.With;
import famulus.server.library.Draft;
import famulus.server.materials.PictureService;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.Teams;
import famulus.server.team.Teams.TypedTeam;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** Where the templates of the demo lie: by what they are for among those of everybody, and some with the north team. */
final class DemoFolders {
    private static final String NORTH = "Season";
    /** Words that templates of different folders share. */
    static final Map<String, List<String>> TAGGED = Map.of(
            "once a year", List.of("Winter hello", "Season opener", "Thank you for the season"),
            "money", List.of("Quote cover", "Quote reminder", "What we agreed"));

    /** The months that some are meant for. */
    static final Map<String, Set<Integer>> MONTHS = Map.of(
            "Winter hello", Set.of(11, 12, 1, 2),
            "Season opener", Set.of(3, 4, 5),
            "Thank you for the season", Set.of(8, 9, 10));

    private final FolderService folders;
    private final FolderRights rights;
    private final DemoTeam people;
    private final Seeded chance;
    private final UUID north;
    private final Map<String, UUID> byPurpose = new HashMap<>();

    private DemoFolders(FolderService folders, FolderRights rights, DemoTeam people, Seeded chance) {
        this.folders = folders;
        this.rights = rights;
        this.people = people;
        this.chance = chance;
        this.north = chance.id();
    }

    /** Makes a team and its folder. */
    static DemoFolders make(FolderService folders, FolderRights rights, Teams teams, DemoTeam people, Seeded chance) {
        UUID team = chance.id();
        teams.keep(
                team,
                new TypedTeam(
                        "north",
                        List.of(
                                people.signe().id(),
                                people.dov().id(),
                                people.petra().id())));
        DemoFolders made = new DemoFolders(folders, rights, people, chance);
        folders.keep(
                made.north,
                new TypedFolder("North team", null),
                List.of(
                        new FolderShare(With.TEAM, null, team, Right.USE),
                        new FolderShare(With.ROLE, Role.KEEPER, null, Right.CHANGE)),
                people.signe());
        return made;
    }

    /** Puts a picture where the north team finds it. */
    void keepInTheNorth(String name, PictureService pictures) {
        pictures.seen(people.oriel()).stream()
                .filter(one -> one.name().equals(name))
                .forEach(one -> pictures.move(one.id(), north, people.oriel()));
    }

    /** The folder of a template. */
    UUID of(Draft draft, Colleague owner) {
        if (draft.name().equals(DemoTemplates.WITH_A_SLIP)) {
            return rights.personal(owner.id());
        }
        if (draft.purpose().equals(NORTH)) {
            return north;
        }
        return draft.purpose().isBlank()
                ? FolderRights.EVERYONE
                : byPurpose.computeIfAbsent(draft.purpose(), this::among);
    }

    /** A folder among those of everybody. */
    private UUID among(String name) {
        UUID id = chance.id();
        folders.keep(id, new TypedFolder(name, FolderRights.EVERYONE), List.of(), people.oriel());
        return id;
    }
}
