package famulus.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What the desk asks about everybody: conditions, what fields hold, stress proofs. */
class AnalysisTest extends ServerTest {
    private JsonNode condition(String written) throws Exception {
        return done("POST", "/api/desk/condition", Map.of("about", "CONTACT", "written", written), signe);
    }

    private JsonNode profile(String path) throws Exception {
        return done("GET", "/api/desk/profile?about=CONTACT&path=" + path, null, signe);
    }

    private void set(UUID contact, String field, String value) {
        sql.update("update contact set " + field + " = ? where id = ?", value, contact);
    }

    @Test
    void readsAConditionInBothFormsAndCounts() throws Exception {
        contact("Ines", "Okafor", "");
        contact("Tobias", "Lindqvist", "");

        JsonNode read = condition("Person . First_Name IS “ines” or person.title is filled");

        assertThat(read.get("written").asString()).isEqualTo("person.first_name is \"ines\" or person.title is filled");
        assertThat(read.get("sentence").asString()).isEqualTo("First name is ines or Title is filled");
        assertThat(read.get("holds").asInt()).isEqualTo(1);
        assertThat(read.get("of").asInt()).isEqualTo(2);
        JsonNode again = done(
                "POST", "/api/desk/condition", Map.of("about", "CONTACT", "condition", read.get("condition")), signe);
        assertThat(again).isEqualTo(read);
    }

    @Test
    void saysWhatIsWrongWithAConditionAndWhere() throws Exception {
        JsonNode broken = condition("person.first_name was 3");
        assertThat(broken.get("condition").isNull()).isTrue();
        assertThat(broken.get("problems").get(0).get("start").asInt()).isEqualTo(18);

        JsonNode unknown = condition("person.frist_name is filled");
        assertThat(unknown.get("problems").get(0).get("nearest").get(0).asString())
                .isEqualTo("person.first_name");
        assertThat(condition("person.title is \"a\" and person.title is \"b\"")
                        .get("problems")
                        .get(0)
                        .get("sentence")
                        .asString())
                .contains("never true");
    }

    @Test
    void aSentenceThatIsNotFinishedIsRefused() throws Exception {
        Map<String, Object> half = new HashMap<>(Map.of(
                "kind",
                "comparison",
                "parts",
                List.of(),
                "path",
                "",
                "steps",
                List.of(),
                "verb",
                "IS",
                "measures",
                List.of()));
        assertThat(refused(half)).isEqualTo("Choose what is compared.");
        half.put("path", "person.title");
        assertThat(refused(half)).isEqualTo("Choose what it is compared with.");
        half.put("path", "a} {b");
        assertThat(refused(half)).isNotBlank();
    }

    private String refused(Map<String, Object> condition) throws Exception {
        return done("POST", "/api/desk/condition", Map.of("about", "CONTACT", "condition", condition), signe)
                .get("fields")
                .get("condition")
                .asString();
    }

    @Test
    void marksChoicesInTheDraftAndTheBranchThatIsTaken() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        JsonNode proof = proof(ines, "x", "{when person.title is filled}A {person.title}{otherwise}B{end}");

        JsonNode chips = proof.get("body").get("chips");
        assertThat(chips.valueStream().map(chip -> chip.get("role").asString()))
                .containsExactly("WHEN", "FIELD", "OTHERWISE", "END");
        assertThat(chips.get(0).get("label").asString()).isEqualTo("Title is filled");
        assertThat(chips.valueStream().map(chip -> chip.get("taken").asBoolean()))
                .containsExactly(false, false, true, false);
        assertThat(proof.get("notes")).isEmpty();
    }

    @Test
    void countsHowManyHaveEachField() throws Exception {
        contact("Ines", "Okafor", "");
        contact("", "Lindqvist", "");

        JsonNode filled = done("GET", "/api/desk/filled?about=CONTACT", null, signe);

        assertThat(filled.get("of").asInt()).isEqualTo(2);
        assertThat(filled.get("byPath").get("person.first_name").asInt()).isEqualTo(1);
        assertThat(filled.get("byPath").get("person.title").asInt()).isZero();
        assertThat(filled.get("byPath").has("person.greeting")).isFalse();
        done("PUT", "/api/records/contact/" + contact("A", "B", "") + "/fields/title", Map.of("value", "Ms"), signe);
        JsonNode later = done("GET", "/api/desk/filled?about=CONTACT", null, signe);
        assertThat(later.get("of").asInt()).isEqualTo(3);
        assertThat(later.get("byPath").get("person.title").asInt()).isEqualTo(1);
    }

    @Test
    void saysWhatAFieldReallyHolds() throws Exception {
        List<UUID> people = new ArrayList<>();
        for (String name : List.of("Ines", "Ines", "TOBIAS", "Mara2", "Wilhelmina-Featherstonehaugh", "Jo", "x")) {
            people.add(contact(name, "Okafor", ""));
        }
        set(people.get(5), "first_name", " Jo ");
        UUID lacking = contact("", "Nobody", "");
        set(people.get(6), "first_name", "   ");

        JsonNode profile = profile("person.first_name");

        assertThat(profile.get("filled").asInt()).isEqualTo(6);
        assertThat(profile.get("of").asInt()).isEqualTo(8);
        assertThat(profile.get("commonest").get(0).get("value").asString()).isEqualTo("Ines");
        assertThat(profile.get("commonest").get(0).get("people").asInt()).isEqualTo(2);
        assertThat(profile.get("longest").get("value").asString()).isEqualTo("Wilhelmina-Featherstonehaugh");
        Map<String, String> odd = new HashMap<>();
        profile.get("odd")
                .forEach(one ->
                        odd.put(one.get("why").asString(), one.get("value").asString()));
        assertThat(odd)
                .containsEntry("all in capitals", "TOBIAS")
                .containsEntry("digits in a name", "Mara2")
                .containsEntry("spaces at an end", " Jo ");
        assertThat(profile.get("missing").valueStream().map(one -> one.get("name")
                        .asString()))
                .contains("Nobody");
        JsonNode place = profile.get("missing")
                .valueStream()
                .filter(one -> one.get("id").asString().equals(lacking.toString()))
                .findFirst()
                .orElseThrow()
                .get("place");
        assertThat(place.get("field").asString()).isEqualTo("first_name");
    }

    @Test
    void profilesOfEverySortOfFieldCanBeAsked() throws Exception {
        contact("Ines", "Okafor", "");
        for (String about : List.of("CONTACT", "LEAD", "DEAL", "PERSON")) {
            JsonNode filled = done("GET", "/api/desk/filled?about=" + about, null, signe);
            for (String path : filled.get("byPath").propertyNames()) {
                JsonNode profile = done("GET", "/api/desk/profile?about=" + about + "&path=" + path, null, signe);
                assertThat(profile.get("filled")).as("%s of %s", path, about).isNotNull();
                assertThat(profile.get("filled").asInt())
                        .as(path)
                        .isEqualTo(filled.get("byPath").get(path).asInt());
            }
        }
        assertThat(profile("person.greeting").get("counted").asBoolean()).isFalse();
        assertThat(profile("person.nothing").get("code").asString()).isEqualTo("missing");
    }

    private List<JsonNode> stress(String body) throws Exception {
        return lines(
                "/api/desk/stress",
                Map.of("draft", Map.of("about", "CONTACT", "subject", "x", "previewText", "", "body", body)));
    }

    /** An answer that comes line by line. */
    private List<JsonNode> lines(String path, Object body) throws Exception {
        String lines = mvc.perform(request("POST", path, body, signe))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        return lines.lines().map(json::readTree).toList();
    }

    /** Counted by SQL where that can say the condition, else each person is judged; either says how far it is. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "person.first_name is \"Ines\"",
                "person.first_name is \"Ines\" and not (person.greeting is empty)",
                "person.first_name is \"Ines\" and today plus 2 working days is after today"
            })
    void everybodyIsCountedOnRequest(String written) throws Exception {
        for (int i = 0; i < 9; i++) {
            contact(i % 3 == 0 ? "Ines" : "Mara", "Okafor", "");
        }

        List<JsonNode> lines = lines("/api/desk/condition/exact", Map.of("about", "PERSON", "written", written));

        assertThat(lines.getLast().get("counted").get("holds").asInt()).isEqualTo(3);
        assertThat(lines.getLast().get("counted").get("of").asInt()).isEqualTo(9);
        assertThat(lines.getLast().get("counted").get("error").asInt()).isZero();
        assertThat(lines)
                .extracting(line -> line.get("read").asInt())
                .isSorted()
                .endsWith(9);
        assertThat(lines).allSatisfy(line -> assertThat(line.get("of").asInt()).isEqualTo(9));
    }

    @Test
    void whatAFieldHoldsIsReadOfEverybodyOnRequest() throws Exception {
        for (int i = 0; i < 9; i++) {
            contact(i % 3 == 0 ? "Ines" : "", "Okafor", "");
        }

        List<JsonNode> lines =
                lines("/api/desk/profile/exact", Map.of("about", "CONTACT", "path", "contact.first_name"));

        JsonNode profile = lines.getLast().get("profile");
        assertThat(profile.get("filled").asInt()).isEqualTo(3);
        assertThat(profile.get("of").asInt()).isEqualTo(9);
        assertThat(profile.get("sampled").asInt()).isZero();
        assertThat(lines).extracting(line -> line.get("read").asInt()).isSorted();
    }

    @Test
    void choosesTheFewPeopleWhoShowAllThatADraftCanDo() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        contact("Mara", "Okafor", "");
        UUID nameless = contact("", "Lindqvist", "");
        set(ines, "title", "Ms");

        List<JsonNode> lines =
                stress("Dear {person.first_name else \"there\"}, {when person.title is filled}A{otherwise}B{end}");

        JsonNode choice = lines.getLast().get("choice");
        assertThat(choice.get("read").asInt()).isEqualTo(3);
        assertThat(choice.get("proofs")).hasSize(2);
        assertThat(choice.get("leastPossible").asInt()).isEqualTo(2);
        JsonNode shown = choice.get("proofs")
                .valueStream()
                .filter(proof -> proof.get("id").asString().equals(nameless.toString()))
                .findFirst()
                .orElseThrow();
        assertThat(shown.get("why").valueStream().map(JsonNode::asString))
                .contains("First name is missing: “there” is used", "otherwise, not when Title is filled");
    }

    @Test
    void aComparisonWithoutItsVerbIsRefused() throws Exception {
        Map<String, Object> condition = new java.util.HashMap<>();
        condition.put("kind", "comparison");
        condition.put("parts", List.of());
        condition.put("path", "contact.title");
        condition.put("steps", List.of());
        condition.put("verb", null);
        condition.put("measures", List.of());
        assertThat(refused(condition)).isEqualTo("Choose how it is compared.");
    }
}
