package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Templates are put in order: tagged, archived, renamed, handed over; several at a time. */
class SortingTest extends ServerTest {
    private UUID one;
    private UUID other;

    @BeforeEach
    void templates() throws Exception {
        one = template("CONTACT", "One", "Hello");
        other = template("CONTACT", "Other", "Hello");
        for (UUID id : List.of(one, other)) {
            done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), signe);
        }
        done("PUT", "/api/templates/" + one + "/name", Map.of("name", "One"), signe);
        done("PUT", "/api/templates/" + other + "/name", Map.of("name", "Other"), signe);
    }

    private JsonNode tag(List<UUID> which, List<String> add, List<String> remove, Colleague as) throws Exception {
        return done("POST", "/api/templates/tags", Map.of("templates", which, "add", add, "remove", remove), as);
    }

    private List<String> names(String query, Colleague as) throws Exception {
        return done("GET", "/api/templates?" + query, null, as).get("lines").findValuesAsString("name");
    }

    private JsonNode archive(boolean archived, Colleague as) throws Exception {
        return done("POST", "/api/templates/archive", Map.of("templates", List.of(one), "archived", archived), as);
    }

    @Test
    void tagsAreShownFoundAndFilteredBy() throws Exception {
        JsonNode before = tag(List.of(one, other), List.of(" Été "), List.of(), signe);
        assertThat(before.findValues("had")).allMatch(JsonNode::isEmpty);
        tag(List.of(one), List.of("north"), List.of(), signe);

        assertThat(names("tag=ete", signe)).containsExactly("One", "Other");
        assertThat(names("tag=NORTH", signe)).containsExactly("One");
        assertThat(names("search=north", signe)).containsExactly("One");
        assertThat(done("GET", "/api/templates/sorts", null, signe).get("tags").toString())
                .isEqualTo("[\"Été\",\"north\"]");

        tag(List.of(one, other), List.of(), List.of("été"), signe);
        assertThat(names("tag=ete", signe)).isEmpty();
        assertThat(names("search=north", signe)).containsExactly("One");
    }

    @Test
    void soundTagsOnlyAndByThoseWhoMayChange() throws Exception {
        for (String wrong : List.of("  ", "a,b", "x".repeat(41), "!?")) {
            assertThat(tag(List.of(one), List.of(wrong), List.of(), signe)
                            .at("/fields/tag")
                            .asString())
                    .as(wrong)
                    .isNotEmpty();
        }
        List<String> many = java.util.stream.IntStream.range(0, 13)
                .mapToObj(i -> "tag " + i)
                .toList();
        assertThat(tag(List.of(one), many, List.of(), signe).at("/fields/tag").asString())
                .contains("more than 12");
        assertThat(tag(List.of(one), List.of("mine"), List.of(), dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        assertThat(tag(List.of(other, UUID.randomUUID()), List.of("x"), List.of(), signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(sql.queryForObject("select count(*) from template_tag", Integer.class))
                .as("all or none")
                .isZero();
    }

    @Test
    void tagsOfWhatOneDoesNotSeeAreNotOffered() throws Exception {
        UUID own = ownTemplate("Own", "Secret");
        tag(List.of(own), List.of("hidden"), List.of(), signe);
        JsonNode sorts = done("GET", "/api/templates/sorts", null, dov);
        assertThat(sorts.toString()).doesNotContain("hidden", "Secret");
        assertThat(names("purpose=Secret", signe)).containsExactly("Own");
    }

    @Test
    void archivedOnesAreOutOfTheWay() throws Exception {
        archive(true, signe);
        assertThat(names("", signe)).containsExactly("Other");
        assertThat(names("search=one", signe)).isEmpty();
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, signe)
                        .findValuesAsString("name"))
                .containsExactly("Other");
        assertThat(names("archived=true", signe)).containsExactly("One");
        JsonNode desk = done("GET", "/api/templates/" + one, null, signe);
        assertThat(desk.has("template"))
                .as("what was made of it still leads to it")
                .isTrue();
        assertThat(desk.get("archived").asBoolean()).isTrue();
        archive(false, signe);
        assertThat(done("GET", "/api/templates/" + one, null, signe)
                        .get("archived")
                        .asBoolean())
                .isFalse();
        assertThat(names("", signe)).containsExactly("One", "Other");
        assertThat(archive(true, dov).get("code").asString()).isEqualTo("forbidden");
    }

    @Test
    void aNameIsChangedWhateverElseHasChanged() throws Exception {
        assertThat(done("PUT", "/api/templates/" + one + "/name", Map.of("name", "  "), signe)
                        .at("/fields/name")
                        .asString())
                .isNotEmpty();
        done("PUT", "/api/templates/" + one + "/name", Map.of("name", "First"), signe);
        assertThat(names("search=first", signe)).containsExactly("First");
    }

    @Test
    void whatIsHandedOverIsTheirs() throws Exception {
        UUID id = ownTemplate("Own", "");
        assertThat(names("search=own", dov)).isEmpty();

        JsonNode from =
                done("POST", "/api/templates/owner", Map.of("templates", List.of(id, one), "owner", dov.id()), signe);
        assertThat(from.findValuesAsString("from")).containsOnly(signe.id().toString());

        assertThat(names("search=own", dov)).containsExactly("Own");
        assertThat(names("mine=true", dov)).containsExactlyInAnyOrder("Own", "One");
        assertThat(names("search=own", signe)).as("it lay among her own").isEmpty();
        assertThat(names("search=one", signe))
                .as("it lies where everybody sees it")
                .containsExactly("One");
        assertThat(done(
                                "POST",
                                "/api/templates/owner",
                                Map.of("templates", List.of(id), "owner", UUID.randomUUID()),
                                dov)
                        .at("/fields/owner")
                        .asString())
                .isNotEmpty();
        assertThat(done("POST", "/api/templates/owner", Map.of("templates", List.of(other), "owner", dov.id()), dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
    }
}
