package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A field that is set for many at once. */
class SetFieldTest extends ListTest {
    @Autowired
    private FieldChanges changes;

    private JsonNode set(Map<String, Object> choice, String field, String value, Colleague by) throws Exception {
        String lines = mvc.perform(request(
                        "POST", "/api/lists/set-field", Map.of("choice", choice, "field", field, "value", value), by))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String[] all = lines.split("\n");
        return json.readTree(all[all.length - 1]);
    }

    private String value(UUID contact, String field) throws Exception {
        return done("GET", "/api/records/contact/" + contact, null, signe)
                .get("facts")
                .valueStream()
                .filter(fact -> fact.get("name").asString().equals(field))
                .findFirst()
                .orElseThrow()
                .get("stored")
                .asString();
    }

    @Test
    void aFieldIsSetForAllThatAreChosenAndTakenBack() throws Exception {
        change(priya, "owner", dov.id().toString());
        JsonNode line =
                set(choice(true, List.of(), GROWERS, null), "owner", signe.id().toString(), signe);
        assertThat(line.at("/changed/changed").asInt()).isEqualTo(2);
        assertThat(value(ines, "owner")).isEqualTo(signe.id().toString());
        assertThat(value(tobias, "owner")).isEmpty();
        change(ines, "owner", oriel.id().toString());

        String back = "/api/lists/set-field/" + line.at("/changed/id").asString() + "/take-back";
        assertThat(done("POST", back, null, dov).get("detail").asString()).contains("This change");
        assertThat(done("POST", back, null, signe).get("number").asInt()).isEqualTo(1);
        assertThat(value(priya, "owner")).isEqualTo(dov.id().toString());
        assertThat(value(ines, "owner"))
                .as("changed by somebody since")
                .isEqualTo(oriel.id().toString());
    }

    @Test
    void aValueThatCantBeChangesNothing() throws Exception {
        JsonNode refused = set(chosen(ines, tobias), "owner", "nobody", signe);
        assertThat(refused.at("/fields/owner").asString()).isEqualTo("Choose one from the list.");
        refused = set(chosen(ines, tobias), "last_name", "", signe);
        assertThat(refused.at("/fields/last_name").asString()).isNotEmpty();
        assertThat(value(ines, "last_name")).isEqualTo("Okafor");
        assertThat(set(chosen(ines), "no_field", "x", signe)
                        .at("/fields/no_field")
                        .asString())
                .isNotEmpty();
    }

    @Test
    void whoeverStopsItLeavesNothingChanged() throws Exception {
        assertThatThrownBy(
                        () -> changes.set(CrmKind.CONTACT, List.of(ines, tobias), "job_title", "Buyer", signe, done -> {
                            throw new IllegalStateException("gone");
                        }))
                .hasMessage("gone");
        assertThat(value(ines, "job_title")).isEqualTo("Grower");
        assertThat(value(tobias, "job_title")).isEmpty();
    }

    @Test
    void whoIsMovedToAnotherOrganisationIsCountedThere() throws Exception {
        JsonNode made = done(
                "POST", "/api/records/organisation", Map.of("values", Map.of("name", "Larkfield"), "email", ""), signe);
        String larkfield = made.get("id").asString();
        set(chosen(ines, priya), "organisation", larkfield, signe);
        assertThat(done("GET", "/api/lists/records/organisation", null, signe)
                        .at("/window/lines/0/cells/2")
                        .asString())
                .isEqualTo("2");
    }
}
