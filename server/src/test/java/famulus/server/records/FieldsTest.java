package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The fields a house adds to its records. */
class FieldsTest extends ServerTest {
    private JsonNode add(String kind, String label, String type, boolean inList, List<String> choices)
            throws Exception {
        return done(
                "POST",
                "/api/fields",
                Map.of(
                        "kind", kind, "label", label, "type", type, "section", "Orchard", "inList", inList, "choices",
                        choices),
                amos);
    }

    private JsonNode set(UUID contact, int version, String field, String value) throws Exception {
        return done(
                "PATCH",
                "/api/records/contact/" + contact,
                Map.of("version", version, "values", Map.of(field, value)),
                signe);
    }

    @Test
    void anAddedFieldIsOnThePageInTheListAndInTemplates() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        assertThat(add("contact", "Gate code", "TEXT", true, List.of())
                        .get(0)
                        .get("path")
                        .asString())
                .isEqualTo("contact.gate_code");

        JsonNode page = set(ines, 1, "gate_code", "4711");

        assertThat(page.get("facts").valueStream().map(fact -> fact.get("label").asString()))
                .contains("Gate code");
        JsonNode list = done("GET", "/api/records/contact?sort=gate_code&descending=true", null, signe);
        assertThat(list.get("columns").valueStream().map(column -> column.get("label")
                        .asString()))
                .endsWith("Gate code");
        assertThat(list.get("lines").get(0).get("cells").valueStream().map(JsonNode::asString))
                .endsWith("4711");
        assertThat(merged(ines, "{contact.gate_code}")).isEqualTo("4711");
        assertThat(merged(ines, "{when contact.gate_code starts with \"47\"}yes{end}"))
                .isEqualTo("yes");
    }

    @Test
    void renamingChangesNoTemplate() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        add("contact", "Gate code", "TEXT", false, List.of());
        set(ines, 1, "gate_code", "4711");

        done(
                "PUT",
                "/api/fields/contact/gate_code",
                Map.of("label", "Code of the gate", "inList", false, "choices", List.of()),
                amos);

        assertThat(merged(ines, "{contact.gate_code}")).isEqualTo("4711");
        JsonNode chip =
                proof(ines, "", "{contact.gate_code}").get("body").get("chips").get(0);
        assertThat(chip.get("label").asString()).isEqualTo("Code of the gate");
    }

    @Test
    void retiringSaysWhereItIsUsedAndKeepsTheValues() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        add("contact", "Gate code", "TEXT", false, List.of());
        set(ines, 1, "gate_code", "4711");
        template("CONTACT", "x", "The gate: {contact.gate_code}");
        template("CONTACT", "x", "{when contact.gate_code is filled}Thanks.{end}");
        template("CONTACT", "x", "{person.first_name}");

        assertThat(done("GET", "/api/templates/using?kind=contact&field=gate_code", null, amos)
                        .get("seen"))
                .hasSize(2);
        assertThat(done("GET", "/api/templates/using?kind=deal&field=gate_code", null, amos)
                        .get("seen"))
                .isEmpty();
        done("POST", "/api/fields/contact/gate_code/retire", null, amos);
        JsonNode notes = proof(ines, "x", "{contact.gate_code}").get("notes");
        assertThat(notes.get(0).get("code").asString()).isEqualTo("field-unknown");
        done("DELETE", "/api/fields/contact/gate_code/retire", null, amos);
        assertThat(merged(ines, "{contact.gate_code}")).isEqualTo("4711");
    }

    private JsonNode choices(Object... choices) throws Exception {
        return done(
                "PUT",
                "/api/fields/contact/soil",
                Map.of("label", "Soil", "inList", true, "choices", List.of(choices)),
                amos);
    }

    private static Map<String, Object> choice(String code, String label, boolean retired) {
        return Map.of("code", code, "label", label, "retired", retired);
    }

    @Test
    void aRenamedChoiceKeepsWhatWasChosenAndItsConditions() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        add("contact", "Soil", "CHOICE", false, List.of("clay", "sand"));
        set(ines, 1, "soil", "sand");

        choices(choice("clay", "clay", false), choice("sand", "sandy", false), choice("", "loam", false));

        assertThat(merged(ines, "{contact.soil}")).isEqualTo("sandy");
        assertThat(merged(ines, "{when contact.soil is \"sand\"}dry{end}")).isEqualTo("dry");
        assertThat(set(ines, 2, "soil", "loam").has("code")).isFalse();
    }

    @Test
    void aChoiceThatIsUsedIsRetiredNotRemoved() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        UUID bo = contact("Bo", "Gale", "");
        add("contact", "Soil", "CHOICES", false, List.of("clay", "sand"));
        set(ines, 1, "soil", "clay\nsand");

        assertThat(done("GET", "/api/fields/contact/soil/uses", null, amos)
                        .get("sand")
                        .asInt())
                .isEqualTo(1);
        assertThat(choices(choice("clay", "clay", false))
                        .get("fields")
                        .get("choices")
                        .asString())
                .isEqualTo("“sand” is the “Soil” of one contact. Retire it in place of removing it, or change that one"
                        + " first.");
        choices(choice("clay", "clay", false), choice("sand", "sand", true));

        assertThat(merged(ines, "{contact.soil}")).isEqualTo("clay and sand");
        assertThat(set(bo, 1, "soil", "sand").get("fields").get("soil").asString())
                .isEqualTo("“sand” is retired. Choose another one.");
        assertThat(set(ines, 2, "soil", "sand").has("code"))
                .as("it stays where it is")
                .isFalse();
        assertThat(choices(choice("clay", "clay", true), choice("sand", "sand", true))
                        .get("fields")
                        .get("choices")
                        .asString())
                .contains("All of them are retired");
    }

    @Test
    void aNameIsNeverGivenTwiceNotEvenAfterRetiring() throws Exception {
        add("contact", "Gate code", "TEXT", false, List.of());
        done("POST", "/api/fields/contact/gate_code/retire", null, amos);

        JsonNode fields = add("contact", "Gate code", "NUMBER", false, List.of());

        assertThat(fields.valueStream().map(field -> field.get("name").asString()))
                .containsExactlyInAnyOrder("gate_code", "gate_code_2");
    }

    @Test
    void fieldsThatCantBeAreRefusedAtTheField() throws Exception {
        assertThat(refused(add("contact", "", "TEXT", false, List.of()))).contains("label");
        assertThat(refused(add("contact", "First name", "TEXT", false, List.of())))
                .contains("label");
        assertThat(refused(add("contact", "Line\nbreak", "TEXT", false, List.of())))
                .contains("label");
        assertThat(refused(add("contact", "Soil", "CHOICE", false, List.of()))).contains("choices");
        assertThat(refused(add("contact", "Soil", "CHOICE", false, List.of("a", "a"))))
                .contains("choices");
        assertThat(refused(add("contact", "Friend", "RELATION", false, List.of())))
                .contains("type");
        assertThat(done("GET", "/api/fields", null, signe)).isEmpty();
    }

    private static List<String> refused(JsonNode answer) {
        return List.copyOf(answer.get("fields").propertyNames());
    }

    @Test
    void fillsWhatIsMissingAndNothingElse() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        String at = "/api/records/contact/" + ines + "/fields/";

        done("PUT", at + "title", Map.of("value", "Ms"), signe);
        assertThat(merged(ines, "{person.title}")).isEqualTo("Ms");
        assertThat(done("PUT", at + "title", Map.of("value", "Mrs"), signe)
                        .get("code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        assertThat(done("PUT", at + "full_name", Map.of("value", "x"), signe)
                        .get("code")
                        .asString())
                .isEqualTo("fields");
    }
}
