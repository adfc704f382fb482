package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Sending, testing and marking ready ask one rule, of words merged on the server, whatever a request says of them. */
class LeavingTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
    }

    /** A template of Signe's; in a letter or designed message the words are its one text block, in a source its HTML. */
    private UUID written(String mode, String subject, String words) throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "A template");
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", subject);
        draft.put("previewText", "");
        draft.put("body", mode.equals("PLAIN") ? words : "");
        draft.put("mode", mode);
        String block = mode.equals("SOURCE")
                ? "{\"id\":\"b\",\"kind\":\"own HTML\",\"source\":" + json.writeValueAsString("<p>" + words + "</p>")
                        + "}"
                : "{\"id\":\"b\",\"kind\":\"text\",\"text\":[{\"kind\":\"paragraph\",\"runs\":[{\"text\":"
                        + json.writeValueAsString(words) + "}]}]}";
        draft.put(
                "design",
                mode.equals("PLAIN")
                        ? ""
                        : "{\"version\":1,\"bands\":[{\"id\":\"s\",\"columns\":[{\"share\":1,\"blocks\":[" + block
                                + "]}]}]}");
        JsonNode made = added(draft, signe);
        assertThat(made.has("template")).as("%s", made).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private Map<String, Object> message(UUID template, Map<String, Object> words) {
        return message(template, ines, words);
    }

    private JsonNode send(Map<String, Object> message) throws Exception {
        JsonNode stops = done("POST", "/api/messages/proof", message, signe).get("stops");
        JsonNode sent = done("POST", "/api/messages", message, signe);
        assertThat(stops.isEmpty()).as("%s and %s agree", stops, sent).isEqualTo(sent.has("id"));
        return sent;
    }

    private JsonNode test(UUID template) throws Exception {
        return done(
                "POST",
                "/api/templates/" + template + "/tests",
                Map.of("version", 1, "kind", "contact", "person", ines, "to", List.of(signe.id()), "list", false),
                signe);
    }

    private JsonNode ready(UUID template) throws Exception {
        return done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "PLAIN, Hives, The price is TBC, filler",
                "LETTER, Hives, The price is TBC, filler",
                "DESIGNED, Hives, lorem ipsum dolor, filler",
                "SOURCE, Hives, [insert date], filler",
                "LETTER, TBC, We come on Tuesday., filler",
                "SOURCE, Hives for XX, We come on Tuesday., filler",
                "LETTER, Hives, Dear {contact.nicknam}, field-unknown",
                "DESIGNED, For {contact.nicknam}, We come on Tuesday., field-unknown",
                "LETTER, Hives, Dear {contact.first_name as}, field-broken",
                "LETTER, Hives, see https://example.com/plan, link-nowhere",
                "SOURCE, Hives, <a href=\"#\">the plan</a>, link-nowhere",
                "PLAIN, Hives, see https://yourdomain.com/plan, link-nowhere",
            })
    void whatStopsOneWayOutStopsAll(String mode, String subject, String words, String code) throws Exception {
        UUID id = written(mode, subject, words);

        assertThat(send(message(id, null)).get("code").asString()).isEqualTo(code);
        assertThat(test(id).get("code").asString()).isEqualTo(code);
        assertThat(ready(id).get("code").asString()).isEqualTo(code);
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
        assertThat(sql.queryForObject("select ready_version from template where id = ?", Integer.class, id))
                .isNull();
    }

    @Test
    void whatOnePersonLacksStopsTheirMessageAndNotTheTemplate() throws Exception {
        UUID id = written("LETTER", "Hives", "Dear {contact.title} Okafor");

        assertThat(send(message(id, null)).get("code").asString()).isEqualTo("gap");
        assertThat(ready(id).at("/template/readyVersion").asInt()).isEqualTo(1);
    }

    @Test
    void fillerInARecordStopsItsMessage() throws Exception {
        UUID id = written("LETTER", "Hives", "Dear {contact.first_name}");
        ines = contact("TBC", "Okafor", "ines@larkfield.example");

        assertThat(send(message(id, null)).get("code").asString()).isEqualTo("filler");
        assertThat(ready(id).at("/template/readyVersion").asInt()).isEqualTo(1);
    }

    private JsonNode typed(UUID template, String subject, String body) throws Exception {
        return send(message(template, words(subject, body)));
    }

    @Test
    void aMessageIsReadAsItIsTyped() throws Exception {
        assertThat(typed(null, "Hives", "Hello {first_name}").get("code").asString())
                .isEqualTo("field-unknown");
        assertThat(typed(null, "Hives TBC", "Hello").get("code").asString()).isEqualTo("filler");
        assertThat(typed(null, "Hives", "see https://example.com").get("code").asString())
                .isEqualTo("link-nowhere");
        assertThat(typed(null, "Hives", "We come on Tuesday.").has("id")).isTrue();
        UUID id = written("PLAIN", "Hives", "Dear {contact.first_name},\nwe come on Tuesday.");
        assertThat(typed(id, "Hives", "Dear TBC,\nwe come on Tuesday.")
                        .get("code")
                        .asString())
                .isEqualTo("filler");
    }

    @Test
    void aPlaceThatWasLeftEmptyIsOne() throws Exception {
        UUID id = written("PLAIN", "Hives", "Dear {contact.title},\nwe come on Tuesday.");

        assertThat(typed(id, "Hives", "Dear {contact.title},\nwe come on Tuesday.")
                        .get("code")
                        .asString())
                .isEqualTo("gap");
        assertThat(typed(id, "Hives", "Dear ,\nwe come on Tuesday.").get("code").asString())
                .isEqualTo("gap");
        assertThat(typed(id, "Hives", "Dear Ines,\nwe come on Tuesday.").has("id"))
                .isTrue();
    }

    @Test
    void whatIsShownTellsWhereItStands() throws Exception {
        UUID id = written("DESIGNED", "Hives", "The price is TBC");

        JsonNode designed =
                done("POST", "/api/messages/proof", message(id, null), signe).get("stops");
        assertThat(designed.get(0).get("part").asString()).isEqualTo("BODY");
        assertThat(designed.get(0).get("block").asString()).isEqualTo("b");
        JsonNode typed = done("POST", "/api/messages/proof", message(null, words("Hives XX", "Hello")), signe)
                .get("stops");
        assertThat(typed.get(0).get("part").asString()).isEqualTo("SUBJECT");
        assertThat(typed.get(0).get("start").asInt()).isEqualTo(6);
        assertThat(typed.get(0).get("end").asInt()).isEqualTo(8);
    }
}
