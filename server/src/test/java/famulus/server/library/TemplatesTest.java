package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class TemplatesTest extends ServerTest {
    private JsonNode change(UUID id, int version, String subject, Colleague as) throws Exception {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "name",
                "A template",
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                subject,
                "previewText",
                "",
                "body",
                "Text"));
        return done("PUT", "/api/templates/" + id, Map.of("version", version, "draft", draft), as);
    }

    @Test
    void countsVersionsAndNeverOverwritesUnseen() throws Exception {
        UUID id = template("CONTACT", "Hives", "Text");

        assertThat(change(id, 1, "More hives", signe)
                        .get("template")
                        .get("version")
                        .asInt())
                .isEqualTo(2);
        JsonNode late = change(id, 1, "Fewer hives", oriel);

        assertThat(late.get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(late.get("detail").asString()).contains("Signe");
    }

    @Test
    void isChangedByItsOwnerAndTheKeepers() throws Exception {
        UUID id = template("CONTACT", "Hives", "Text");
        assertThat(change(id, 1, "x", dov).get("code").asString())
                .as("not ready")
                .isEqualTo("missing");
        assertThat(change(id, 1, "x", petra).get("code").asString()).isEqualTo("forbidden");
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), signe);

        assertThat(change(id, 1, "x", dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(change(id, 1, "x", petra).get("code").asString()).isEqualTo("forbidden");
        assertThat(change(id, 1, "x", oriel).get("template").get("version").asInt())
                .isEqualTo(2);
        assertThat(change(id, 2, "x", amos).get("template").get("version").asInt())
                .isEqualTo(3);
        assertThat(done("DELETE", "/api/templates/" + id, null, dov).get("code").asString())
                .isEqualTo("forbidden");
    }

    @Test
    void comesBackAfterBeingDeleted() throws Exception {
        UUID id = template("CONTACT", "Hives", "Text");
        done("DELETE", "/api/templates/" + id, null, signe);
        assertThat(done("GET", "/api/templates/" + id, null, signe).get("code").asString())
                .isEqualTo("missing");
        assertThat(done("GET", "/api/templates", null, signe).get("lines")).isEmpty();

        done("POST", "/api/templates/" + id + "/restore", null, signe);
        assertThat(done("GET", "/api/templates", null, signe).get("lines")).hasSize(1);
    }

    @Test
    void aDuplicateBelongsToWhoMadeIt() throws Exception {
        UUID id = template("CONTACT", "Hives for {person.first_name}", "Text");
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), signe);

        JsonNode copy = done("POST", "/api/templates/" + id + "/duplicate", null, dov);

        assertThat(copy.get("mayChange").asBoolean()).isTrue();
        assertThat(copy.get("template").get("name").asString()).isEqualTo("A template (copy)");
    }

    @Test
    void whatFitsTheRecordComesFirst() throws Exception {
        template("LEAD", "About a lead", "x");
        template("PERSON", "About anybody", "x");
        template("CONTACT", "About a contact", "x");

        JsonNode fitting = done("GET", "/api/templates/fitting?about=CONTACT", null, signe);

        List<String> abouts =
                fitting.valueStream().map(line -> line.get("about").asString()).toList();
        assertThat(abouts).containsExactly("CONTACT", "PERSON");
    }

    @Test
    void aSubjectIsReadWithoutBraces() throws Exception {
        template("CONTACT", "Hives for {person.first_name else \"you\"}", "x");

        JsonNode subject =
                done("GET", "/api/templates", null, signe).get("lines").get(0).get("subject");

        assertThat(subject.get(1).get("text").asString()).isEqualTo("First name");
        assertThat(subject.get(1).get("field").asBoolean()).isTrue();
    }

    @Test
    void refusesTextsThatCannotBeKept() throws Exception {
        JsonNode answer = added(
                Map.of(
                        "name",
                        "",
                        "about",
                        "CONTACT",
                        "subject",
                        "two\nlines",
                        "body",
                        "x".repeat(200_001),
                        "previewText",
                        "\u0000"),
                signe);

        assertThat(answer.get("fields").propertyNames()).contains("name", "subject", "body", "previewText");
    }

    @Test
    void aSubjectWithAChoiceShowsAllItsBranchesInTheList() throws Exception {
        template("CONTACT", "{when person.title is filled}For {person.first_name}{otherwise}Bees{end}!", "x");

        JsonNode subject =
                done("GET", "/api/templates", null, signe).get("lines").get(0).get("subject");

        StringBuilder read = new StringBuilder();
        subject.forEach(part -> read.append(part.get("text").asString()));
        assertThat(read).hasToString("For First name ⁄ Bees!");
    }

    @Test
    void aHeadersNameLongerThanOneCanBeIsRefusedAtItsPlace() throws Exception {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "name", "Hives", "purpose", "", "about", "CONTACT", "subject", "x", "previewText", "", "body", "x"));
        draft.put("header", "x".repeat(61));
        draft.put("footer", "y".repeat(61));

        assertThat(added(draft, signe).get("fields").propertyNames()).containsExactlyInAnyOrder("header", "footer");
    }
}
