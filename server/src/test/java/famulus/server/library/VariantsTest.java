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

/** One template in several languages: whoever is written to gets the one in theirs. */
class VariantsTest extends ServerTest {
    private JsonNode add(UUID id, String language, String own, Colleague as) throws Exception {
        Map<String, Object> variant = new HashMap<>();
        variant.put("language", language);
        variant.put("own", own);
        return done("POST", "/api/templates/" + id + "/variants", variant, as);
    }

    private static UUID id(JsonNode open) {
        return UUID.fromString(open.at("/template/id").asString());
    }

    private void say(UUID id, String words, Colleague as) throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", words);
        draft.put("about", "CONTACT");
        draft.put("subject", words);
        draft.put("body", words);
        done("PUT", "/api/templates/" + id, Map.of("version", 1, "draft", draft), as);
    }

    private void ready(UUID id, int version, Colleague as) throws Exception {
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", version), as);
    }

    private String read(UUID template, UUID person, Colleague as) throws Exception {
        Map<String, Object> request = new HashMap<>();
        request.put("template", template.toString());
        request.put("id", UUID.randomUUID().toString());
        request.put("kind", "contact");
        request.put("person", person.toString());
        return text(done("POST", "/api/messages/proof", request, as).at("/proof/body"));
    }

    private UUID german() throws Exception {
        UUID jan = contact("Jan", "Kirsch", "jan@kirschhof.example");
        sql.update("update contact set language = 'de' where id = ?", jan);
        return jan;
    }

    @Test
    void whoeverIsWrittenToGetsTheOneInTheirLanguageOnceItIsReady() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID jan = german();
        UUID english = template("CONTACT", "Hives", "Hello");
        ready(english, 1, signe);
        UUID german = id(add(english, "de", null, signe));
        say(german, "Guten Tag", signe);
        assertThat(read(english, jan, dov)).as("not ready yet").isEqualTo("Hello");
        assertThat(read(english, jan, signe)).as("her own draft").isEqualTo("Guten Tag");
        ready(german, 2, signe);
        assertThat(read(english, jan, dov)).isEqualTo("Guten Tag");
        assertThat(read(english, ines, dov)).isEqualTo("Hello");
        assertThat(read(german, ines, dov)).as("from either of them").isEqualTo("Hello");
    }

    @Test
    void theyAreFilteredByALanguageThatTheyHave() throws Exception {
        UUID english = template("CONTACT", "Hives", "Hello");
        template("CONTACT", "Alone", "Hello");
        add(english, "de", null, signe);

        JsonNode german = done("GET", "/api/templates?language=de", null, signe).get("lines");
        assertThat(german.findValuesAsString("id")).containsExactly(english.toString());
        assertThat(done("GET", "/api/templates?language=fr", null, signe).get("lines"))
                .isEmpty();
        assertThat(done("GET", "/api/templates/sorts", null, signe)
                        .get("languages")
                        .findValuesAsString("name"))
                .contains("German");
        assertThat(done("GET", "/api/templates/sorts", null, dov).get("languages"))
                .as("what is not ready is nobody else’s to know of")
                .isEmpty();
    }

    @Test
    void theListHasOneLineForAllOfThem() throws Exception {
        UUID english = template("CONTACT", "Hives", "Hello");
        UUID german = id(add(english, "de", null, signe));
        JsonNode lines = done("GET", "/api/templates", null, signe).get("lines");
        assertThat(lines).hasSize(1);
        assertThat(lines.get(0).get("languages").get(0).asString()).isEqualTo("German");
        assertThat(done("GET", "/api/templates?search=german", null, signe).get("lines"))
                .as("who looks for words finds the variant that has them")
                .hasSize(1);
        JsonNode variants = done("GET", "/api/templates/" + german + "/variants", null, signe);
        assertThat(variants.valueStream().map(one -> one.get("name").asString()))
                .startsWith("English", "German", "French");
        assertThat(variants.get(1).get("id").asString()).isEqualTo(german.toString());
        assertThat(variants.get(2).get("id").isNull()).isTrue();
    }

    @Test
    void aTemplateThatIsInAnotherLanguageItselfIsNotTakenForTheHouses() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID german = template("CONTACT", "Bienen", "Guten Tag");
        ready(german, 1, signe);
        UUID english = id(add(german, "en", "de", signe));
        say(english, "Hello", signe);
        ready(english, 2, signe);
        assertThat(read(german, ines, dov)).isEqualTo("Hello");
        assertThat(read(german, german(), dov)).isEqualTo("Guten Tag");
    }

    @Test
    void oneLanguageTwiceAnUnknownOneAndSomebodyElsesTemplateAreRefused() throws Exception {
        UUID english = template("CONTACT", "Hives", "Hello");
        add(english, "de", null, signe);
        assertThat(add(english, "de", null, signe).at("/fields/language").asString())
                .contains("already");
        assertThat(add(english, "en", null, signe).at("/fields/language").asString())
                .contains("already");
        assertThat(add(english, "xx", null, signe).at("/fields/language").asString())
                .contains("language from the list");
        assertThat(add(english, "fr", null, dov).get("code").asString()).isEqualTo("missing");
        assertThat(done("GET", "/api/templates/" + english + "/variants", null, signe)
                        .valueStream()
                        .filter(one -> !one.get("id").isNull()))
                .hasSize(2);
    }

    @Test
    void theFirstOneStaysAsLongAsThereAreOthers() throws Exception {
        UUID english = template("CONTACT", "Hives", "Hello");
        UUID german = id(add(english, "de", null, signe));
        assertThat(done("DELETE", "/api/templates/" + english, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("in-use");
        done("DELETE", "/api/templates/" + german, null, signe);
        assertThat(List.of(done("GET", "/api/templates/" + english + "/variants", null, signe)
                        .get(1)
                        .get("id")
                        .isNull()))
                .containsExactly(true);
        done("DELETE", "/api/templates/" + english, null, signe);
        assertThat(done("GET", "/api/templates", null, signe).get("lines")).isEmpty();
    }
}
