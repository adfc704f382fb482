package famulus.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** HTML brought in: cleaned, proved, turned into other modes, refused where it can't be kept. */
class SourceTest extends ServerTest {
    private JsonNode bring(String html) throws Exception {
        return done("POST", "/api/templates/bring-in", Map.of("html", html), signe);
    }

    private JsonNode proof(UUID contact, String design) throws Exception {
        return designed(contact, "News", "SOURCE", design);
    }

    @Test
    void isCleanedSaidAndMergedForSomebody() throws Exception {
        UUID ines = contact("<Ines>", "Okafor", "ines@larkfield.example");
        JsonNode clean = bring("<title>News for {person.first_name}</title><style>p{color:red}</style>"
                + "<p onclick='x()'>Dear {person.first_name}<script>y()</script></p>");
        assertThat(clean.get("source").asString()).isEqualTo("<p style=\"color:red\">Dear {person.first_name}</p>");
        assertThat(clean.get("title").asString()).isEqualTo("News for {person.first_name}");
        assertThat(clean.get("removed")).hasSize(2);
        JsonNode proof = proof(ines, clean.get("design").asString());
        assertThat(proof.at("/rendering/html").asString())
                .contains("Dear <span class=\"from-record\">&lt;Ines&gt;</span>")
                .doesNotContain("<Ines>");
        assertThat(proof.at("/rendering/text").asString()).startsWith("Dear <Ines>");
        assertThat(proof.at("/body/chips/0/label").asString()).isEqualTo("First name");
    }

    @Test
    void emptyAndEndlessHtmlIsRefused() throws Exception {
        assertThat(bring(" ").at("/fields/html").asString()).contains("is empty");
        assertThat(bring("x".repeat(1_000_001)).at("/fields/html").asString()).contains("1,000,000");
    }

    @Test
    void whatIsTooLongToKeepIsRefusedByItsBlock() throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Long");
        draft.put("about", "CONTACT");
        draft.put("mode", "SOURCE");
        draft.put("design", bring("<p>" + "words ".repeat(17_000)).get("design").asString());
        JsonNode refused = added(draft, signe);
        assertThat(refused.at("/fields/design").asString()).contains("own HTML", "longer than");
        assertThat(done("GET", "/api/templates", null, signe).get("lines")).isEmpty();
    }

    @Test
    void becomesALetterAndALetterBecomesASource() throws Exception {
        String design = bring("<h1>Spring</h1><p>Dear <b>{person.first_name}</b></p>")
                .get("design")
                .asString();
        JsonNode letter = change("SOURCE", design, "LETTER");
        assertThat(letter.get("design").asString()).contains("heading-1", "{person.first_name}");
        JsonNode source = change("LETTER", letter.get("design").asString(), "SOURCE");
        assertThat(source.get("design").asString()).contains("own HTML", "{person.first_name}");
        assertThat(source.get("lost")).isNotEmpty();
        assertThat(change("SOURCE", design, "PLAIN").get("body").asString())
                .isEqualTo("Spring\n\nDear {person.first_name}");
    }

    @Test
    void tablesBecomeRowsAndColumnsOfADesignedMessageAndOneColumnOfALetter() throws Exception {
        String html = "<table><tr><td bgcolor='#2f5d3a'>Spring</td></tr><tr><td>Left</td><td>Right</td></tr></table>";
        String design = bring(html).get("design").asString();
        JsonNode designed = change("SOURCE", design, "DESIGNED");
        JsonNode body = json.readTree(designed.get("design").asString());
        assertThat(body.at("/bands/0/look/background").asString()).isEqualTo("#2f5d3a");
        assertThat(body.at("/bands/1/columns")).hasSize(2);
        assertThat(designed.get("lost")).isEmpty();
        JsonNode letter = change("SOURCE", design, "LETTER");
        assertThat(json.readTree(letter.get("design").asString()).at("/bands/0/columns"))
                .hasSize(1);
        assertThat(letter.get("lost").toString()).contains("columns become one below the other");

        JsonNode rows = done("POST", "/api/desk/rows", Map.of("html", html + "<script>x()</script>"), signe);
        assertThat(json.readTree(rows.get("design").asString()).at("/bands")).hasSize(2);
        assertThat(done("POST", "/api/desk/rows", Map.of("html", "x".repeat(1_000_001)), signe)
                        .has("fields"))
                .isTrue();
    }

    private JsonNode change(String from, String design, String to) throws Exception {
        return done("POST", "/api/desk/mode", Map.of("mode", from, "design", design, "body", "", "to", to), signe);
    }
}
