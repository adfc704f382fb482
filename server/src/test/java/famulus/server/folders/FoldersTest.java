package famulus.server.folders;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Member;
import famulus.core.sharing.Right;
import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Folders: who sees what in them, and what happens when they are shared, moved and removed. */
class FoldersTest extends ServerTest {
    @Autowired
    private FolderRights rights;

    private JsonNode folders(Colleague as) throws Exception {
        return done("GET", "/api/folders", null, as);
    }

    private List<String> names(Colleague as) throws Exception {
        return folders(as).valueStream().map(one -> one.get("name").asString()).toList();
    }

    private JsonNode folder(UUID id, Colleague as) throws Exception {
        return folders(as)
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id.toString()))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, Object> typed(String name, UUID parent) {
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", name);
        typed.put("parent", parent);
        return typed;
    }

    private UUID add(String name, UUID parent, Colleague as) throws Exception {
        JsonNode made = done("POST", "/api/folders", typed(name, parent), as);
        assertThat(made.has("id")).as(made.toString()).isTrue();
        return UUID.fromString(made.get("id").asString());
    }

    private static Map<String, Object> share(String with, Object which, String may) {
        Map<String, Object> share = new HashMap<>();
        share.put("with", with);
        share.put("role", with.equals("ROLE") ? which : null);
        share.put("id", with.equals("ROLE") ? null : which);
        share.put("may", may);
        return share;
    }

    @SafeVarargs
    private JsonNode share(UUID folder, Colleague as, Map<String, Object>... shares) throws Exception {
        return done("PUT", "/api/folders/" + folder + "/sharing", Map.of("own", true, "shares", List.of(shares)), as);
    }

    private UUID written(String name, UUID folder, Colleague as) throws Exception {
        Map<String, Object> draft = Map.of(
                "name",
                name,
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                "About Friday",
                "previewText",
                "",
                "body",
                "Dear {contact.first_name}, is Friday good?");
        String where = folder == null ? "" : "?folder=" + folder;
        JsonNode made = done("POST", "/api/templates" + where, draft, as);
        assertThat(made.has("template")).as(made.toString()).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private void ready(UUID template, Colleague as) throws Exception {
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), as);
    }

    private List<String> templates(Colleague as) throws Exception {
        return done("GET", "/api/templates", null, as)
                .get("lines")
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private JsonNode move(UUID folder, Colleague as, UUID... templates) throws Exception {
        return done("POST", "/api/templates/move", Map.of("templates", List.of(templates), "folder", folder), as);
    }

    @Test
    void aNewTemplateGoesAmongOnesOwnAndIsSharedByMovingIt() throws Exception {
        UUID template = written("Friday", null, signe);
        ready(template, signe);
        assertThat(names(signe)).containsExactly("My templates", "Everyone");
        assertThat(names(amos)).contains("Signe’s templates", "Dov’s templates");
        assertThat(templates(signe)).containsExactly("Friday");
        assertThat(templates(dov)).isEmpty();
        assertThat(templates(oriel)).as("not even an editor").isEmpty();

        UUID shared = add("North", null, signe);
        share(shared, signe, share("COLLEAGUE", dov.id(), "USE"));
        JsonNode before = move(shared, signe, template);
        assertThat(templates(dov)).containsExactly("Friday");
        assertThat(templates(oriel)).isEmpty();
        assertThat(names(dov)).containsExactly("My templates", "Everyone", "North");
        assertThat(folder(shared, dov).get("sharing").asString()).isEqualTo("You may use");
        assertThat(folder(shared, signe).get("sharing").asString()).isEqualTo("Dov may use");

        assertThat(move(UUID.fromString(before.at("/0/from").asString()), signe, template))
                .hasSize(1);
        assertThat(templates(dov)).isEmpty();
    }

    @Test
    void whatIsNotReadyIsSeenByWhoeverMayChangeIt() throws Exception {
        UUID shared = add("North", null, signe);
        share(shared, signe, share("COLLEAGUE", dov.id(), "USE"), share("ROLE", "KEEPER", "CHANGE"));
        UUID template = written("Friday", shared, signe);

        assertThat(templates(dov)).isEmpty();
        assertThat(templates(oriel)).containsExactly("Friday");
        assertThat(done("GET", "/api/templates/" + template, null, oriel)
                        .at("/mayChange")
                        .asBoolean())
                .isTrue();
        ready(template, signe);
        assertThat(templates(dov)).containsExactly("Friday");
        assertThat(done("GET", "/api/templates/" + template, null, dov)
                        .at("/mayChange")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void aTeamCountsAsItIsNow() throws Exception {
        Map<String, Object> north = Map.of("name", "north", "members", List.of(dov.id()));
        assertThat(done("POST", "/api/teams", north, dov).get("code").asString())
                .isEqualTo("forbidden");
        UUID team = UUID.fromString(
                done("POST", "/api/teams", north, amos).at("/0/id").asString());
        UUID shared = add("North", null, signe);
        share(shared, signe, share("TEAM", team, "USE"));
        assertThat(names(dov)).contains("North");
        assertThat(names(oriel)).doesNotContain("North");
        assertThat(folder(shared, dov).get("sharing").asString()).isEqualTo("The north team may use");

        done("PUT", "/api/teams/" + team, Map.of("name", "north", "members", List.of(oriel.id())), amos);
        assertThat(names(dov)).doesNotContain("North");
        assertThat(names(oriel)).contains("North");
        done("DELETE", "/api/teams/" + team, null, amos);
        assertThat(names(oriel)).doesNotContain("North");
        assertThat(folder(shared, signe).get("sharing").asString()).isEqualTo("Only you");
    }

    @Test
    void aTeamHasANameOfItsOwnAndColleaguesInIt() throws Exception {
        Map<String, Object> north = Map.of("name", "north", "members", List.of());
        done("POST", "/api/teams", north, amos);
        assertThat(done("POST", "/api/teams", Map.of("name", " North", "members", List.of()), amos)
                        .at("/fields/name")
                        .asString())
                .isEqualTo("Another team has this name.");
        assertThat(done("POST", "/api/teams", Map.of("name", "", "members", List.of()), amos)
                        .at("/fields/name")
                        .asString())
                .isNotEmpty();
        assertThat(done("POST", "/api/teams", Map.of("name", "south", "members", List.of(UUID.randomUUID())), amos)
                        .at("/fields/members")
                        .asString())
                .isNotEmpty();
        assertThat(done("DELETE", "/api/teams/" + UUID.randomUUID(), null, amos)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void whoeverLeavesOrGetsAnotherRoleLosesWhatTheyMight() throws Exception {
        UUID shared = add("North", null, signe);
        share(shared, signe, share("ROLE", "KEEPER", "CHANGE"), share("COLLEAGUE", dov.id(), "MANAGE"));
        assertThat(names(oriel)).contains("North");
        done("PUT", "/api/team/" + oriel.id(), Map.of("role", "AGENT", "active", true), amos);
        assertThat(names(oriel)).doesNotContain("North");

        done("PUT", "/api/team/" + dov.id(), Map.of("role", "AGENT", "active", false), amos);
        assertThat(folder(shared, signe).get("sharing").asString())
                .isEqualTo("Editors may change; you and Dov (left) may manage");
        assertThat(rights.right(shared, dov)).isEmpty();
        done("PUT", "/api/team/" + dov.id(), Map.of("role", "AGENT", "active", true), amos);
        assertThat(rights.right(shared, dov)).contains(Right.MANAGE);
    }

    @Test
    void whatOneMayNotIsRefusedAndWhatOneMayNotSeeIsNotThere() throws Exception {
        UUID hidden = add("North", null, signe);
        UUID used = add("South", null, signe);
        share(used, signe, share("EVERYBODY", null, "USE"));
        UUID template = written("Friday", used, signe);
        ready(template, signe);
        UUID unknown = UUID.randomUUID();
        UUID own = written("Mine", null, dov);
        for (UUID folder : List.of(hidden, unknown)) {
            assertThat(done("PUT", "/api/folders/" + folder, typed("X", null), dov)
                            .get("detail")
                            .asString())
                    .isEqualTo("This folder is missing.");
            assertThat(share(folder, dov).get("code").asString()).isEqualTo("missing");
            assertThat(done("DELETE", "/api/folders/" + folder, null, dov)
                            .get("code")
                            .asString())
                    .isEqualTo("missing");
            assertThat(done("POST", "/api/folders", typed("X", folder), dov)
                            .get("code")
                            .asString())
                    .isEqualTo("missing");
            assertThat(move(folder, dov, own).get("code").asString()).isEqualTo("missing");
            assertThat(done("GET", "/api/templates?folder=" + folder, null, dov)
                            .get("code")
                            .asString())
                    .isEqualTo("missing");
        }
        assertThat(move(used, dov, own).get("code").asString()).isEqualTo("forbidden");
        assertThat(share(used, dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(done("PUT", "/api/folders/" + used, typed("X", null), dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        assertThat(move(add("Dov's", null, dov), dov, own, template).get("code").asString())
                .isEqualTo("forbidden");
        assertThat(done("GET", "/api/templates/" + own, null, dov)
                        .at("/template/folder")
                        .asString())
                .as("all are moved or none")
                .isEqualTo(folders(dov).at("/0/id").asString());
    }

    @Test
    void aFolderIsNeitherMovedIntoItselfNorRemovedWithSomethingInIt() throws Exception {
        UUID top = add("Top", null, signe);
        UUID below = add("Below", top, signe);
        assertThat(done("PUT", "/api/folders/" + top, typed("Top", below), signe)
                        .at("/fields/parent")
                        .asString())
                .isEqualTo("A folder can’t be moved into itself.");
        assertThat(done("POST", "/api/folders", typed("below", top), signe)
                        .at("/fields/name")
                        .asString())
                .isNotEmpty();
        assertThat(done("DELETE", "/api/folders/" + top, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-empty");
        UUID template = written("Friday", below, signe);
        assertThat(done("DELETE", "/api/folders/" + below, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-empty");
        done("DELETE", "/api/templates/" + template, null, signe);
        done("DELETE", "/api/folders/" + below, null, signe);
        assertThat(names(signe)).doesNotContain("Below");
        done("POST", "/api/templates/" + template + "/restore", null, signe);
        assertThat(done("GET", "/api/templates/" + template, null, signe)
                        .at("/template/folder")
                        .asString())
                .as("what was deleted in it comes back among one's own")
                .isEqualTo(folders(signe).at("/0/id").asString());

        UUID deep = top;
        for (int i = 2; i <= FolderTree.DEEPEST; i++) {
            deep = add("Level " + i, deep, signe);
        }
        assertThat(done("POST", "/api/folders", typed("Too deep", deep), signe)
                        .at("/fields/parent")
                        .asString())
                .contains("deep");
    }

    @Test
    void myTemplatesAndEveryoneKeepTheirNameAndPlace() throws Exception {
        UUID mine = UUID.fromString(folders(signe).at("/0/id").asString());
        for (UUID fixed : List.of(mine, FolderRights.EVERYONE)) {
            assertThat(done("PUT", "/api/folders/" + fixed, typed("X", null), amos)
                            .get("code")
                            .asString())
                    .isEqualTo("fixed");
            assertThat(done("DELETE", "/api/folders/" + fixed, null, amos)
                            .get("code")
                            .asString())
                    .isEqualTo("fixed");
        }
    }

    @Test
    void aFolderThatIsMovedToTheTopKeepsItsShares() throws Exception {
        UUID top = add("Top", null, signe);
        share(top, signe, share("COLLEAGUE", dov.id(), "CHANGE"));
        UUID below = add("Below", top, dov);
        assertThat(folder(below, dov).get("own").asBoolean()).isFalse();
        done("PUT", "/api/folders/" + below, typed("Below", null), dov);
        assertThat(folder(below, dov).at("/shares/0/may").asString()).isEqualTo("CHANGE");
        assertThat(names(signe)).as("what lay in hers is Dov's alone now").doesNotContain("Below");
    }

    /** Who sees a folder but not the one it lies in renames it where it is. */
    @Test
    void aNewNameMovesNothing() throws Exception {
        UUID top = add("Top", null, signe);
        UUID between = add("Between", top, signe);
        UUID below = add("Below", between, signe);
        share(top, signe, share("COLLEAGUE", dov.id(), "USE"));
        share(between, signe, share("COLLEAGUE", oriel.id(), "USE"));
        share(below, signe, share("COLLEAGUE", dov.id(), "MANAGE"), share("COLLEAGUE", petra.id(), "MANAGE"));

        assertThat(folder(below, dov).get("parent").asString()).isEqualTo(top.toString());
        done("PUT", "/api/folders/" + below, typed("By Dov", top), dov);
        assertThat(folder(below, petra).get("parent").isNull()).isTrue();
        done("PUT", "/api/folders/" + below, typed("By Petra", null), petra);
        assertThat(folder(below, signe).get("parent").asString()).isEqualTo(between.toString());
        assertThat(folder(below, signe).get("name").asString()).isEqualTo("By Petra");
    }

    @Test
    void sharesThatNobodyCanHaveAreRefused() throws Exception {
        UUID folder = add("Top", null, signe);
        assertThat(share(folder, signe, share("COLLEAGUE", UUID.randomUUID(), "USE"))
                        .at("/fields/shares")
                        .asString())
                .isNotEmpty();
        assertThat(share(folder, signe, share("TEAM", dov.id(), "USE"))
                        .at("/fields/shares")
                        .asString())
                .isNotEmpty();
        assertThat(share(folder, signe, share("ROLE", null, "USE"))
                        .at("/fields/shares")
                        .asString())
                .isNotEmpty();
        assertThat(done("PUT", "/api/folders/" + folder + "/sharing", Map.of("own", false, "shares", List.of()), signe)
                        .at("/fields/own")
                        .asString())
                .isNotEmpty();
        assertThat(folder(folder, signe).get("sharing").asString()).isEqualTo("Only you");
    }

    @Test
    void templatesComeByTheirFoldersOnesOwnFirst() throws Exception {
        UUID b = add("B", null, signe);
        UUID inA = add("Z", add("A", null, signe), signe);
        written("1", b, signe);
        written("2", inA, signe);
        written("3", FolderRights.EVERYONE, oriel);
        ready(
                UUID.fromString(
                        sql.queryForObject("select cast(id as varchar) from template where name = '3'", String.class)),
                oriel);
        written("4", null, signe);
        written("5", add("Later", UUID.fromString(folders(signe).at("/0/id").asString()), signe), signe);
        assertThat(templates(signe)).containsExactly("4", "5", "2", "1", "3");
        assertThat(done("GET", "/api/templates?folder=" + b, null, signe).get("lines"))
                .hasSize(1);
        assertThat(templates(amos)).containsExactly("2", "1", "3", "4", "5");
        UUID first = UUID.fromString(
                done("GET", "/api/templates", null, signe).at("/lines/1/id").asString());
        assertThat(done("GET", "/api/templates?after=" + first, null, signe)
                        .get("lines")
                        .valueStream()
                        .map(one -> one.get("name").asString()))
                .containsExactly("2", "1", "3");
    }

    @Test
    void variantsMoveWithTheirTemplate() throws Exception {
        UUID template = written("Friday", null, signe);
        JsonNode variant = done("POST", "/api/templates/" + template + "/variants", Map.of("language", "de"), signe);
        UUID other = UUID.fromString(variant.at("/template/id").asString());
        UUID shared = add("Shared", null, signe);
        move(shared, signe, template);
        assertThat(done("GET", "/api/templates/" + other, null, signe)
                        .at("/template/folder")
                        .asString())
                .isEqualTo(shared.toString());
    }

    /** Two colleagues move two folders into each other at the same moment: one of them is refused. */
    @Test
    void twoFoldersAreNotMovedIntoEachOther() throws Exception {
        UUID one = add("One", null, signe);
        UUID other = add("Other", null, signe);
        share(one, signe, share("COLLEAGUE", dov.id(), "MANAGE"));
        share(other, signe, share("COLLEAGUE", dov.id(), "MANAGE"));
        try (ExecutorService both = Executors.newFixedThreadPool(2)) {
            for (int turn = 0; turn < 10; turn++) {
                Future<JsonNode> first =
                        both.submit(() -> done("PUT", "/api/folders/" + one, typed("One", other), signe));
                Future<JsonNode> second =
                        both.submit(() -> done("PUT", "/api/folders/" + other, typed("Other", one), dov));
                long refused = List.of(first.get(), second.get()).stream()
                        .filter(answer -> answer.has("fields"))
                        .count();
                assertThat(refused).isEqualTo(1);
                done("PUT", "/api/folders/" + one, typed("One", null), signe);
                done("PUT", "/api/folders/" + other, typed("Other", null), signe);
            }
        }
        assertThat(names(signe)).contains("One", "Other");
    }

    /** What is kept of rights is what the rules give, whatever has happened to folders, teams and colleagues. */
    @Test
    void whatIsKeptOfRightsIsWhatTheRulesGive() throws Exception {
        Random random = new Random(20_260_504);
        List<UUID> made = new ArrayList<>(List.of(FolderRights.EVERYONE));
        List<Colleague> all = List.of(signe, dov, petra, oriel);
        UUID team = UUID.fromString(done("POST", "/api/teams", Map.of("name", "t", "members", List.of()), amos)
                .at("/0/id")
                .asString());
        for (int step = 0; step < 60; step++) {
            UUID some = made.get(random.nextInt(made.size()));
            UUID another = made.get(random.nextInt(made.size()));
            Colleague who = all.get(random.nextInt(all.size()));
            switch (random.nextInt(6)) {
                case 0, 1 -> made.add(add("F" + step, random.nextBoolean() ? null : some, amos));
                case 2 ->
                    share(
                            some,
                            amos,
                            share("COLLEAGUE", who.id(), Right.values()[random.nextInt(3)].name()),
                            share("TEAM", team, "CHANGE"));
                case 3 -> done("PUT", "/api/folders/" + some, typed("F" + step, another), amos);
                case 4 -> done("PUT", "/api/teams/" + team, Map.of("name", "t", "members", List.of(who.id())), amos);
                default ->
                    done(
                            "PUT",
                            "/api/team/" + who.id(),
                            Map.of("role", random.nextBoolean() ? "AGENT" : "KEEPER", "active", random.nextInt(4) > 0),
                            amos);
            }
        }
        FolderTree tree = rights.tree();
        for (Colleague colleague : all) {
            Colleague now = read(colleague);
            Member member = new Member(now.id(), now.role().name(), false, inTeam(team, now) ? Set.of(team) : Set.of());
            tree.inOrder().forEach(folder -> assertThat(rights.right(folder.id(), now))
                    .as("%s in %s", now.firstName(), folder)
                    .isEqualTo(now.active() ? tree.right(folder, member) : java.util.Optional.empty()));
        }
        assertThat(tree.inOrder()).hasSize(made.size() + 5);
        assertThat(new HashSet<>(made)).hasSameSizeAs(made);
    }

    private boolean inTeam(UUID team, Colleague who) {
        return sql.queryForObject(
                        "select count(*) from team_member where team_id = ? and colleague_id = ?",
                        Integer.class,
                        team,
                        who.id())
                == 1;
    }

    private Colleague read(Colleague colleague) throws Exception {
        JsonNode now = done("GET", "/api/team", null, amos)
                .valueStream()
                .filter(one -> one.get("id").asString().equals(colleague.id().toString()))
                .findFirst()
                .orElseThrow();
        return new Colleague(
                colleague.id(),
                "",
                colleague.firstName(),
                "",
                Role.valueOf(now.get("role").asString()),
                "",
                "",
                "",
                now.get("active").asBoolean());
    }
}
