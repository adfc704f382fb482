package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.Import;
import tools.jackson.databind.JsonNode;

/** A message that was sent is sent again to somebody else, with their values, or becomes a template. */
@Import(SendingTest.Post.class)
class WordsAgainTest extends ServerTest {
    private UUID ines;
    private UUID tom;
    private UUID template;

    @BeforeEach
    void twoPeople() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tom = contact("Tom", "Quay", "tom@larkfield.example");
        change(ines, "job_title", "Grower");
        template = template(
                "CONTACT",
                "For a {contact.job_title}",
                "Dear {contact.first_name},\n\nsee you as a {contact.job_title}.");
    }

    /** A message of Signe's to Ines, a word of it changed by hand. */
    private UUID sent(UUID from, List<String> files) throws Exception {
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", from == null ? null : from.toString());
        begin.put("kind", "contact");
        begin.put("id", ines.toString());
        JsonNode begun = done("POST", "/api/messages/begin", begin, signe);
        Map<String, Object> words = json.convertValue(begun.get("words"), HashMap.class);
        words.put("body", words.get("body").toString().replace("see you", "see you soon"));
        words.put("files", files);
        JsonNode taken = done("POST", "/api/messages", message(from, ines, words), signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        return UUID.fromString(taken.get("id").asString());
    }

    private JsonNode toTom(UUID message) throws Exception {
        JsonNode made =
                done("POST", "/api/messages/" + message + "/again", Map.of("kind", "contact", "person", tom), signe);
        assertThat(made.has("id")).as("%s", made).isTrue();
        return done("GET", "/api/message-drafts/" + made.get("id").asString(), null, signe);
    }

    private JsonNode asTemplate(UUID message, String name) throws Exception {
        return done(
                "POST",
                "/api/templates/from-message",
                Map.of(
                        "words",
                        Map.of("message", message, "withoutSignature", false, "withoutThread", false),
                        "name",
                        name,
                        "accepted",
                        List.of()),
                signe);
    }

    @Test
    void anotherPersonIsToldTheSameWithTheirOwnValues() throws Exception {
        JsonNode draft = toTom(sent(template, List.of())).get("message");

        assertThat(draft.get("person").asString()).isEqualTo(tom.toString());
        assertThat(draft.get("template").asString()).isEqualTo(template.toString());
        assertThat(draft.at("/words/body").asString()).isEqualTo("Dear Tom,\n\nsee you soon as a {contact.job_title}.");
        assertThat(draft.at("/words/subject").asString()).isEqualTo("For a {contact.job_title}");
    }

    /** What its template has come to say since is nothing to a message that was sent. */
    @Test
    void itSaysWhatTheMessageSaidWhateverBecameOfItsTemplate() throws Exception {
        UUID message = sent(template, List.of());
        done("DELETE", "/api/templates/" + template, null, signe);

        JsonNode draft = toTom(message).get("message");

        assertThat(draft.get("template").isNull()).isTrue();
        assertThat(draft.at("/words/body").asString()).startsWith("Dear Tom,\n\nsee you soon");
    }

    @Test
    void aMessageThatHasLeftBecomesATemplateThatIsNotReady() throws Exception {
        UUID message = sent(template, List.of());
        UUID made = UUID.fromString(
                asTemplate(message, " After the fair ").get("id").asString());

        JsonNode read = done("GET", "/api/templates/" + made, null, signe).get("template");
        assertThat(read.get("name").asString()).isEqualTo("After the fair");
        assertThat(read.get("subject").asString()).isEqualTo("For a {contact.job_title}");
        assertThat(read.get("body").asString())
                .isEqualTo("Dear {contact.first_name},\n\nsee you soon as a {contact.job_title}.");
        assertThat(read.get("readyVersion").isNull()).isTrue();
        assertThat(done("GET", "/api/messages/" + message, null, signe)
                        .get("knownWords")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void filesOfTheMessageAloneAreNotThoseOfTheTemplate() throws Exception {
        String file = upload("/api/materials/files/apart", Map.of("name", "for-ines.txt"), new byte[] {65}, signe)
                .get("id")
                .asString();
        UUID message = sent(template, List.of(file));
        String made = asTemplate(message, "Without it").get("id").asString();

        assertThat(done("GET", "/api/templates/" + made, null, signe).at("/template/files"))
                .isEmpty();
        assertThat(toTom(message).at("/message/words/files")).hasSize(1);
    }

    @Test
    void whatIsMissingIsSaidAndNothingIsMade() throws Exception {
        UUID message = sent(template, List.of());
        assertThat(asTemplate(message, "  ").at("/fields/name").asString()).isNotEmpty();
        assertThat(done("POST", "/api/messages/" + message + "/again", Map.of("kind", "contact"), signe)
                        .at("/fields/person")
                        .asString())
                .isNotEmpty();
        assertThat(done(
                                "POST",
                                "/api/messages/" + message + "/again",
                                Map.of("kind", "contact", "person", UUID.randomUUID()),
                                signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(asTemplate(UUID.randomUUID(), "x").get("code").asString()).isEqualTo("missing");
        sql.execute("delete from message_plan");
        assertThat(asTemplate(message, "x").get("code").asString()).isEqualTo("not-kept");
        assertThat(sql.queryForObject("select count(*) from template", Integer.class))
                .isEqualTo(1);
        assertThat(sql.queryForObject("select count(*) from message_draft", Integer.class))
                .isZero();
    }

    /** A colleague sends on what Signe wrote; it goes out as themself. */
    @Test
    void aColleagueSendsItInTheirOwnName() throws Exception {
        UUID message = sent(template, List.of());
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);

        JsonNode made =
                done("POST", "/api/messages/" + message + "/again", Map.of("kind", "contact", "person", tom), dov);

        JsonNode draft = done("GET", "/api/message-drafts/" + made.get("id").asString(), null, dov);
        assertThat(draft.at("/message/sender").isNull()).isTrue();
        assertThat(done("GET", "/api/message-drafts/" + made.get("id").asString(), null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }
}
