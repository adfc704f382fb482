package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Headers and footers of a house style, written on the desk. */
class WrappingsTest extends ServerTest {
    private static final String LOOK =
            """
            {"version":1,"name":"Orchard","page":{},"type":{},"button":{},"headers":[{"name":"Wide","bands":[%s]}],"footers":[]}
            """
                    .formatted(band("Brindlewing"));

    private String style;

    private static String band(String words) {
        return "{\"id\":\"h\",\"columns\":[{\"blocks\":[{\"id\":\"b\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\""
                + words + "\"}]}]}]}]}";
    }

    private static String body(String words) {
        return "{\"version\":1,\"bands\":[" + band(words) + "]}";
    }

    @BeforeEach
    void aStyle() throws Exception {
        JsonNode made = done("POST", "/api/materials/house-styles", Map.of("look", LOOK), oriel);
        assertThat(made.path("id").asString("")).as(made.toString()).isNotEmpty();
        style = made.get("id").asString();
    }

    private Map<String, Object> draft(String kind, String name, String words) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("kind", kind);
        draft.put("name", name);
        draft.put("purpose", "");
        draft.put("about", "PERSON");
        draft.put("subject", "");
        draft.put("previewText", "");
        draft.put("body", "");
        draft.put("mode", "DESIGNED");
        draft.put("design", words.startsWith("{") ? words : body(words));
        draft.put("houseStyle", style);
        draft.put("header", "none");
        draft.put("footer", "none");
        return draft;
    }

    private JsonNode open(String kind, String name, Colleague as) throws Exception {
        return done("POST", "/api/templates/wrappings", Map.of("style", style, "kind", kind, "name", name), as);
    }

    private JsonNode write(JsonNode opened, String words, Colleague as) throws Exception {
        JsonNode template = opened.get("template");
        Map<String, Object> draft = draft(template.get("kind").asString(), "Another name", words);
        draft.put("houseStyle", null);
        return done(
                "PUT",
                "/api/templates/" + template.get("id").asString(),
                Map.of("version", template.get("version").asInt(), "draft", draft),
                as);
    }

    private JsonNode ready(JsonNode opened, Colleague as) throws Exception {
        JsonNode template = opened.get("template");
        return done(
                "POST",
                "/api/templates/" + template.get("id").asString() + "/ready",
                Map.of("version", template.get("version").asInt()),
                as);
    }

    private String look() throws Exception {
        for (JsonNode one : done("GET", "/api/materials/house-styles", null, signe)) {
            if (one.get("id").asString().equals(style)) {
                return one.get("look").asString();
            }
        }
        return "";
    }

    private List<String> shown() throws Exception {
        return done("GET", "/api/templates/wrappings?style=" + style, null, oriel)
                .valueStream()
                .map(one -> one.get("kind").asString() + " " + one.get("name").asString() + " "
                        + one.get("inStyle").asBoolean())
                .toList();
    }

    @Test
    void whatIsWrittenStandsInTheStyleOnceItIsReady() throws Exception {
        JsonNode opened = open("HEADER", "Wide", oriel);
        assertThat(opened.get("template").get("design").asString()).contains("Brindlewing");
        assertThat(open("HEADER", "Wide", oriel).get("template").get("id"))
                .isEqualTo(opened.get("template").get("id"));

        JsonNode changed = write(opened, "Pollination", oriel);
        assertThat(changed.get("template").get("name").asString()).isEqualTo("Wide");
        assertThat(changed.get("template").get("houseStyle").asString()).isEqualTo(style);
        assertThat(look()).contains("Brindlewing").doesNotContain("Pollination");

        ready(changed, oriel);
        assertThat(look()).contains("Pollination").doesNotContain("Brindlewing");
    }

    @Test
    void whatWasChangedInAnotherWayComesToTheDeskAsItIs() throws Exception {
        JsonNode opened = open("HEADER", "Wide", oriel);
        write(opened, "Half a thought", oriel);
        JsonNode kept = done("GET", "/api/materials/house-styles", null, oriel)
                .valueStream()
                .filter(one -> one.get("id").asString().equals(style))
                .findFirst()
                .orElseThrow();
        done(
                "PUT",
                "/api/materials/house-styles/" + style,
                Map.of(
                        "version",
                        kept.get("version").asInt(),
                        "look",
                        kept.get("look").asString().replace("Brindlewing", "Bees")),
                oriel);

        assertThat(open("HEADER", "Wide", oriel).get("template").get("design").asString())
                .contains("Bees")
                .doesNotContain("Half a thought");
    }

    @Test
    void aNewOneIsInTheStyleWhenItIsReadyAndGoesWithItsDeletion() throws Exception {
        JsonNode made = added(draft("FOOTER", "Plain", "Write to us"), oriel);
        String id = made.get("template").get("id").asString();
        assertThat(shown()).containsExactly("HEADER Wide true", "FOOTER Plain false");
        ready(made, oriel);
        assertThat(shown()).containsExactly("HEADER Wide true", "FOOTER Plain true");
        assertThat(look()).contains("Write to us");

        done("DELETE", "/api/templates/" + id, null, oriel);
        assertThat(look()).doesNotContain("Write to us");
        done("POST", "/api/templates/" + id + "/restore", null, oriel);
        assertThat(look()).contains("Write to us");
    }

    @Test
    void oneThatATemplateHasChosenStaysAndSaysWhere() throws Exception {
        JsonNode opened = open("HEADER", "Wide", oriel);
        String id = opened.get("template").get("id").asString();
        Map<String, Object> template = draft("TEMPLATE", "Placement notice", "Hello");
        template.put("subject", "x");
        template.put("header", "Wide");
        added(template, signe);
        template.put("name", "By the first one");
        template.put("header", "");
        added(template, signe);

        assertThat(done("GET", "/api/templates/" + id + "/using", null, signe)
                        .get("seen")
                        .valueStream()
                        .map(one -> one.get("name").asString()))
                .containsExactlyInAnyOrder("Placement notice", "By the first one");
        JsonNode refused = done("DELETE", "/api/templates/" + id, null, oriel);
        assertThat(refused.get("code").asString()).isEqualTo("in-use");
        assertThat(refused.get("detail").asString()).contains("Placement notice");
    }

    @Test
    void theTemplatesItChangesAreShownBeforeAndAfter() throws Exception {
        contact("Ines", "Okafor", "ines@larkfield.example");
        JsonNode opened = open("HEADER", "Wide", oriel);
        String change =
                "/api/desk/templates/" + opened.get("template").get("id").asString() + "/change";
        assertThat(done("GET", change, null, oriel).get("templates").asInt()).isZero();
        Map<String, Object> template = draft("TEMPLATE", "Placement notice", "Hello");
        template.put("subject", "x");
        template.put("header", "Wide");
        added(template, signe);
        template.put("name", "Without");
        template.put("header", "none");
        added(template, signe);

        write(opened, "Pollination", oriel);
        JsonNode shown = done("GET", change, null, oriel);
        assertThat(shown.get("templates").asInt()).isEqualTo(1);
        JsonNode one = shown.get("shown").get(0);
        assertThat(one.get("name").asString()).isEqualTo("Placement notice");
        assertThat(one.get("before").asString())
                .contains("Brindlewing", "Hello")
                .doesNotContain("Pollination");
        assertThat(one.get("after").asString()).contains("Pollination", "Hello").doesNotContain("Brindlewing");
    }

    @Test
    void onlyThoseWhoMayChangeTheStyleWriteOnIt() throws Exception {
        assertThat(open("HEADER", "Wide", dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(added(draft("FOOTER", "Mine", "x"), dov).get("code").asString())
                .isEqualTo("forbidden");
        JsonNode opened = open("HEADER", "Wide", oriel);
        assertThat(write(opened, "x", dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(ready(opened, dov).get("code").asString()).isEqualTo("forbidden");

        done("PUT", "/api/materials/house-styles/" + style + "/named", Map.of("named", List.of(dov.id())), oriel);
        JsonNode changed = write(open("HEADER", "Wide", dov), "By Dov", dov);
        assertThat(changed.get("mayChange").asBoolean()).isTrue();
        ready(changed, dov);
        assertThat(look()).contains("By Dov");
    }

    @Test
    void whatCantStandThereIsRefusedAtThePlace() throws Exception {
        Map<String, Object> noStyle = draft("HEADER", "New", "x");
        noStyle.put("houseStyle", null);
        String passage =
                "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"p\",\"kind\":\"passage\","
                        + "\"passage\":\"" + UUID.randomUUID() + "\"}]}]}]}";
        open("HEADER", "Wide", oriel);

        assertThat(added(noStyle, oriel).get("fields").propertyNames()).containsExactly("houseStyle");
        for (String name : List.of("Wide", "none", "")) {
            assertThat(added(draft("HEADER", name, "x"), oriel).get("fields").propertyNames())
                    .containsExactly("name");
        }
        assertThat(added(draft("HEADER", "New", passage), oriel).get("fields").propertyNames())
                .containsExactly("design");
        assertThat(open("TEMPLATE", "Wide", oriel).get("code").asString()).isEqualTo("unreadable");
        assertThat(open("FOOTER", "Wide", oriel).get("status").asInt()).isEqualTo(404);
    }
}
