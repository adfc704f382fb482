package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The plain text of a letter is kept by hand, and says so when the letter has changed since. */
class KeptPlainTextTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
    }

    private static Map<String, Object> letter(String words) {
        Map<String, Object> draft = new HashMap<>();
        draft.putAll(Map.of("name", "A letter", "purpose", "", "about", "CONTACT", "subject", "Hello"));
        draft.putAll(Map.of(
                "previewText",
                "Hello",
                "body",
                "",
                "mode",
                "LETTER",
                "design",
                "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"t\",\"kind\":\"text\","
                        + "\"text\":[{\"runs\":[{\"text\":\"" + words + "\",\"bold\":true}]}]},"
                        + "{\"id\":\"s\",\"kind\":\"signature\"}]}]}]}"));
        return draft;
    }

    private JsonNode derived(Map<String, Object> draft) throws Exception {
        return done("POST", "/api/desk/plain-text", Map.of("draft", draft), signe);
    }

    private Map<String, Object> keeping(Map<String, Object> draft, String words) throws Exception {
        draft.put(
                "plainText",
                Map.of("words", words, "of", derived(draft).get("of").asString()));
        return draft;
    }

    private UUID template(Map<String, Object> draft) throws Exception {
        JsonNode made = added(draft, signe);
        assertThat(made.has("template")).as("%s", made).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private String notes(JsonNode proof) {
        return proof.get("notes")
                .valueStream()
                .map(note -> note.get("code").asString())
                .toList()
                .toString();
    }

    @Test
    void itIsBegunWithWhatIsDerivedAndLeavesInItsPlace() throws Exception {
        Map<String, Object> draft = letter("Dear {contact.first_name}");
        assertThat(derived(draft).get("words").asString())
                .isEqualTo("Dear {contact.first_name}\n\n{sender.signature else sender.full_name}");
        UUID template = template(keeping(draft, "Hello {contact.first_name}, by hand\nand more"));

        JsonNode proof = proof(ines, draft);
        assertThat(proof.at("/rendering/text").asString()).isEqualTo("Hello Ines, by hand\nand more");
        assertThat(proof.at("/plainText/chips")).hasSize(1);
        assertThat(notes(proof)).doesNotContain("drift");

        JsonNode taken = done("POST", "/api/messages", message(template, ines, null), signe);
        SourceText sent = SourceText.of(wire(UUID.fromString(taken.get("id").asString())));
        assertThat(sent.text().strip()).isEqualTo("Hello Ines, by hand\nand more");
        assertThat(sent.html()).contains("Dear ", "Ines").doesNotContain("by hand");
    }

    @Test
    void aLetterThatHasChangedSinceSaysSo() throws Exception {
        Map<String, Object> draft = keeping(letter("Dear {contact.first_name}"), "By hand");
        Map<String, Object> changed = letter("Good day {contact.first_name}");
        changed.put("plainText", draft.get("plainText"));
        assertThat(notes(proof(ines, changed))).contains("drift");
        // It is right all the same, says whoever reads both.
        assertThat(notes(proof(ines, keeping(changed, "By hand")))).doesNotContain("drift");
    }

    /** Merging is no change; a word changed by hand is one. */
    @Test
    void aMessageHasItForItsPerson() throws Exception {
        UUID template = template(keeping(letter("Dear {contact.first_name}"), "Hello {contact.first_name}"));
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", template.toString());
        begin.put("kind", "contact");
        begin.put("id", ines.toString());
        JsonNode words = done("POST", "/api/messages/begin", begin, signe).get("words");
        assertThat(words.at("/plainText/words").asString()).isEqualTo("Hello Ines");

        Map<String, Object> message = message(template, ines, words);
        assertThat(notes(done("POST", "/api/messages/proof", message, signe).get("proof")))
                .doesNotContain("drift");
        Map<String, Object> byHand = json.convertValue(words, HashMap.class);
        byHand.put("design", byHand.get("design").toString().replace("Dear Ines", "Dear Ines and all"));
        assertThat(notes(done("POST", "/api/messages/proof", message(template, ines, byHand), signe)
                        .get("proof")))
                .contains("drift");
    }

    @Test
    void itIsKeptWithEveryVersionAndWhatItLacksStops() throws Exception {
        UUID template = template(keeping(letter("Dear {contact.first_name}"), "Hello"));
        String path = "/api/templates/" + template;
        done("POST", path + "/ready", Map.of("version", 1), signe);
        Map<String, Object> changed = letter("Dear {contact.first_name}");
        done("PUT", path, Map.of("version", 1, "draft", changed), signe);
        assertThat(done("GET", path, null, signe).at("/template/plainText").isNull())
                .isTrue();
        assertThat(done("GET", path + "/versions/1/changes", null, signe).toString())
                .contains("Plain text");
        done("POST", path + "/versions/1/restore", null, signe);
        assertThat(done("GET", path, null, signe)
                        .at("/template/plainText/words")
                        .asString())
                .isEqualTo("Hello");

        JsonNode proof = proof(ines, keeping(letter("Dear {contact.first_name}"), "By {contact.job_title}"));
        assertThat(proof.get("notes").toString()).contains("gap", "PLAIN_TEXT", "kept by hand");
    }

    /** A field that it names is in use, and words that may not leave do not leave in it. */
    @Test
    void itsWordsCountLikeThoseOfTheMessage() throws Exception {
        template(keeping(letter("Dear {contact.first_name}"), "As {contact.job_title else \"a reader\"}"));
        assertThat(done("GET", "/api/templates/using?kind=contact&field=job_title", null, signe)
                        .get("seen"))
                .hasSize(1);
        UUID filler = template(keeping(letter("Dear {contact.first_name}"), "The price is TBC"));
        assertThat(done("POST", "/api/messages", message(filler, ines, null), signe)
                        .get("code")
                        .asString())
                .isEqualTo("filler");
        UUID unknown = template(keeping(letter("Dear {contact.first_name}"), "Dear {contact.oops}"));
        assertThat(done("POST", "/api/templates/" + unknown + "/ready", Map.of("version", 1), signe)
                        .get("code")
                        .asString())
                .isEqualTo("field-unknown");
    }
}
