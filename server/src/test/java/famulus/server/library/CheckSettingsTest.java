package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The company decides which checks stop a message and which are not asked; how often each is ignored is counted. */
class CheckSettingsTest extends ServerTest {
    private UUID ines;
    private UUID template;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        // The first Monday in May is a holiday where they are.
        clock.forward(Duration.ofDays(1));
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        template = template("CONTACT", "HELLO THERE", "Dear {contact.first_name}, is Friday good?");
    }

    private JsonNode set(String code, String level, Colleague as) throws Exception {
        return done("PUT", "/api/company/checks/" + code, Map.of("level", level), as);
    }

    private JsonNode setting(String code) throws Exception {
        return done("GET", "/api/company/checks", null, signe)
                .valueStream()
                .filter(one -> one.get("code").asString().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private Map<String, Object> message() {
        return message(template, ines, words("HELLO THERE", "Dear Ines, is Friday good?"));
    }

    private List<String> levels() throws Exception {
        return done("POST", "/api/messages/proof", message(), signe)
                .at("/proof/notes")
                .valueStream()
                .map(note ->
                        note.get("code").asString() + " " + note.get("level").asString())
                .toList();
    }

    @Test
    void aCheckCanStopEveryMessageAndCanBeTurnedOff() throws Exception {
        assertThat(levels()).containsExactly("subject-shout QUERY");
        set("subject-shout", "STOP", oriel);
        assertThat(levels()).containsExactly("subject-shout STOP");
        assertThat(done("POST", "/api/messages", message(), signe).get("detail").asString())
                .contains("shouts");
        set("subject-shout", "OFF", oriel);
        assertThat(levels()).isEmpty();
        set("subject-shout", "QUERY", oriel);
        assertThat(levels()).containsExactly("subject-shout QUERY");
    }

    @Test
    void whatTheServerAloneKnowsStopsToo() throws Exception {
        set("attachment-said", "STOP", oriel);
        Map<String, Object> message = message(template, ines, words("Hello", "Dear Ines, the plan is attached."));
        assertThat(done("POST", "/api/messages", message, signe).get("detail").asString())
                .contains("no file is attached");
    }

    @Test
    void whatWeighsTooMuchCanStopAMessageTooAndIsWeighedAsItLeaves() throws Exception {
        String blocks = IntStream.range(0, 390)
                .mapToObj(at -> "{'id':'b" + at
                        + "','kind':'button','label':'Look','link':'https://brindlewing.example/hives'}")
                .collect(Collectors.joining(","));
        String design = "{'version':1,'bands':[{'id':'r','columns':[{'blocks':[%s]}]}]}"
                .formatted(blocks)
                .replace('\'', '"');
        Map<String, Object> letter = new HashMap<>(words("Hello", ""));
        letter.put("mode", "LETTER");
        letter.put("design", design);
        Map<String, Object> message = message(null, ines, letter);
        message.put("about", "CONTACT");

        assertThat(heavy(message)).isEqualTo("QUERY");
        set("heavy", "STOP", oriel);
        assertThat(heavy(message)).isEqualTo("STOP");
        assertThat(done("POST", "/api/messages", message, signe).get("detail").asString())
                .contains("KB without its pictures");
        set("heavy", "OFF", oriel);
        assertThat(heavy(message)).isEmpty();
        assertThat(done("POST", "/api/messages", message, signe).has("id")).isTrue();
        set("heavy", "QUERY", oriel);
    }

    private String heavy(Map<String, Object> message) throws Exception {
        JsonNode read = done("POST", "/api/messages/proof", message, signe);
        assertThat(read.has("proof")).as(read.toString()).isTrue();
        return read.at("/proof/notes")
                .valueStream()
                .filter(note -> note.get("code").asString().equals("heavy"))
                .map(note -> note.get("level").asString())
                .collect(Collectors.joining());
    }

    @Test
    void itIsDecidedByEditorsAndAboutChecksThereAre() throws Exception {
        assertThat(set("subject-shout", "OFF", signe).get("code").asString()).isEqualTo("forbidden");
        assertThat(set("gap", "OFF", oriel).get("code").asString()).isEqualTo("missing");
        assertThat(set("subject-shout", "LOUD", oriel).get("code").asString()).isEqualTo("unreadable");
        assertThat(setting("subject-shout").get("level").asString()).isEqualTo("QUERY");
    }

    @Test
    void howOftenACheckIsIgnoredIsCounted() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message();
        message.put("draft", draft.toString());
        done("PUT", "/api/message-drafts/" + draft, Map.of("version", 0, "message", message), signe);
        Map<String, Object> note = new java.util.HashMap<>(
                Map.of("code", "subject-shout", "words", "HELLO", "title", "shouts", "reason", "it is a name"));
        done("POST", "/api/message-drafts/" + draft + "/ignored", note, signe);
        done("POST", "/api/message-drafts/" + draft + "/ignored", note, signe);
        done(
                "POST",
                "/api/templates/" + template + "/waved",
                Map.of("code", "subject-shout", "words", "HELLO", "reason", "it is a name"),
                signe);
        assertThat(setting("subject-shout").get("ignored").asInt()).isEqualTo(2);
        assertThat(done("GET", "/api/company/checks", null, signe).at("/0/code").asString())
                .as("the most ignored first")
                .isEqualTo("subject-shout");

        note.put("reason", null);
        done("POST", "/api/message-drafts/" + draft + "/ignored", note, signe);
        assertThat(setting("subject-shout").get("ignored").asInt()).isEqualTo(1);
    }
}
