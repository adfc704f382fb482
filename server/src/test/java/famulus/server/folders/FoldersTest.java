package famulus.server.folders;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.sharing.FolderTree;
import famulus.core.sharing.Member;
import famulus.core.sharing.Right;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Folders: who sees what in them, and what sharing changes. */
class FoldersTest extends FolderCase {
    @Autowired
    private FolderRights rights;

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

    /** Who sees a folder but not the one it lies in renames it where it is. */
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

    /** Two colleagues move two folders into each other at the same moment: one of them is refused. */
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
