package famulus.server.folders;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.sharing.FolderTree;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What happens to folders, and what lies in them, when they are moved, renamed and removed. */
class FolderMovesTest extends FolderCase {
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
}
