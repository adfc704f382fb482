package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the proofreader says of a message: by the day it leaves, its files, the names in the records and what went before. */
class MessageNotesTest extends ServerTest {
    private UUID ines;
    private UUID template;
    private final UUID draft = UUID.randomUUID();

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        // The first Monday in May is a holiday where they are.
        clock.forward(Duration.ofDays(1));
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        contact("Tobias", "Ångström", "tobias@ninefold.example");
        template = template("CONTACT", "A word", "Dear {contact.first_name}, is Friday good?");
    }

    private Map<String, Object> message(String subject, String body) {
        Map<String, Object> message = message(template, ines, words(subject, body));
        message.put("draft", draft.toString());
        return message;
    }

    private List<String> notes(Map<String, Object> message, Colleague as) throws Exception {
        return done("POST", "/api/messages/proof", message, as)
                .at("/proof/notes")
                .valueStream()
                .filter(note -> note.get("waved").isNull())
                .map(note ->
                        note.get("code").asString() + ": " + note.get("title").asString())
                .toList();
    }

    private List<String> notes(String body) throws Exception {
        return notes(message("A word", body), signe);
    }

    private JsonNode ignore(Map<String, Object> note, Colleague as) throws Exception {
        return done("POST", "/api/message-drafts/" + draft + "/ignored", note, as);
    }

    private JsonNode first(Map<String, Object> message) throws Exception {
        return done("POST", "/api/messages/proof", message, signe).at("/proof/notes/0");
    }

    private static Map<String, Object> ignored(JsonNode note, String reason) {
        Map<String, Object> wanted = new HashMap<>();
        for (String part : List.of("code", "words", "title")) {
            wanted.put(part, note.get(part).asString());
        }
        wanted.put("reason", reason);
        return wanted;
    }

    @Test
    void namesAreToldByTheRecords() throws Exception {
        assertThat(notes("Dear Tobias, is Friday good?"))
                .containsExactly("left-over-name: “Tobias” is greeted, and the message goes to Ines Okafor");
        assertThat(notes("Dear Ines, the key is with Tobias Angstrom. Is Friday good?"))
                .containsExactly("left-over-name: “Tobias Angstrom” is a contact");
        assertThat(notes("Dear Ines, is Friday good?\n\nDov"))
                .containsExactly("left-over-name: The message is signed “Dov” and goes out as " + signe.name());
        assertThat(notes("Dear Neighbour, is Friday good?")).isEmpty();
    }

    /** Whoever a field of the template names is not left over, though the field has become words. */
    @Test
    void whomAFieldNamesBelongsToTheMessage() throws Exception {
        change(ines, "job_title", "Deputy of Tobias Ångström");
        UUID naming = template("CONTACT", "A word", "Dear {contact.first_name}, is {contact.job_title} there?");
        JsonNode begun =
                done("POST", "/api/messages/begin", Map.of("template", naming, "kind", "contact", "id", ines), signe);
        assertThat(begun.at("/read/proof/notes")).isEmpty();

        Map<String, Object> message =
                message(naming, ines, words("A word", begun.at("/words/body").asString()));
        assertThat(notes(message, signe)).isEmpty();
        message.put("template", template.toString());
        assertThat(notes(message, signe)).containsExactly("left-over-name: “Tobias Ångström” is a contact");
    }

    @Test
    void aMessageIsReadForTheDayItLeaves() throws Exception {
        assertThat(notes("Dear Ines, I will come on 6 May.")).isEmpty();
        Map<String, Object> later = message("A word", "Dear Ines, I will come on 6 May.");
        later.put("wishes", Map.of("hour", Map.of("date", "2026-05-08", "time", "09:00", "zone", "Europe/London")));
        assertThat(notes(later, signe)).containsExactly("stale-time: “6 May” has passed");
    }

    @Test
    void anHourThatDoesNotSuitItsReaderIsAskedAbout() throws Exception {
        Map<String, Object> later = message("A word", "Dear Ines, is the plan right?");
        later.put("wishes", Map.of("hour", Map.of("date", "2026-05-09", "time", "09:00", "zone", "Europe/London")));
        assertThat(notes(later, signe)).containsExactly("hour: It is the weekend where Ines Okafor is");
        later.put("wishes", Map.of("hour", Map.of("date", "2026-05-25", "time", "09:00", "zone", "Europe/London")));
        assertThat(notes(later, signe))
                .containsExactly("hour: It is a holiday where Ines Okafor is: Spring bank holiday");
    }

    @Test
    void aDetailOfOurCompanyThatMayBeOutOfDateIsAskedAbout() throws Exception {
        Map<String, Object> fact =
                new HashMap<>(Map.of("label", "Staff", "type", "NUMBER", "value", "48", "asOf", "2025-05-01"));
        fact.put("months", 12);
        done("POST", "/api/company/facts", fact, oriel);
        UUID naming = template("CONTACT", "A word", "Dear Ines, we are {our.staff} people. Is Friday good?");
        Map<String, Object> message =
                message(naming, ines, words("A word", "Dear Ines, we are 48 people. Is Friday good?"));
        assertThat(notes(message, signe)).containsExactly("old-fact: Staff “48” was last true in May 2025");
        fact.put("months", 24);
        done("PUT", "/api/company/facts/staff", fact, oriel);
        assertThat(notes(message, signe)).isEmpty();
        fact.put("months", 0);
        assertThat(done("PUT", "/api/company/facts/staff", fact, oriel)
                        .at("/fields/months")
                        .asString())
                .isNotEmpty();
    }

    @Test
    void anotherLanguageIsAskedAboutWhereTheTemplateHasTheReaders() throws Exception {
        change(ines, "language", "de");
        String english = "Dear Ines, I will bring the plan to you on Friday. Is that good for you?";
        assertThat(notes(english)).isEmpty();
        JsonNode variant = done("POST", "/api/templates/" + template + "/variants", Map.of("language", "de"), signe);
        assertThat(variant.has("template")).as(variant.toString()).isTrue();
        assertThat(notes(english))
                .containsExactly("language: This is written in English, and its reader’s language is German");
        assertThat(notes("Liebe Ines, ich bringe den Plan am Freitag zu Ihnen. Passt das für Sie?"))
                .isEmpty();
    }

    @Test
    void itsFilesAreKnown() throws Exception {
        assertThat(notes("Dear Ines, the plan is attached. Is it right?"))
                .containsExactly("attachment-said: “attached”, but no file is attached");
    }

    @Test
    void whoeverWroteLatelyIsNamed() throws Exception {
        assertThat(notes("Dear Ines, is Friday good?")).isEmpty();
        JsonNode sent = done("POST", "/api/messages", message("A word", "Dear Ines, is Friday good?"), signe);
        assertThat(sent.has("id")).as(sent.toString()).isTrue();

        Map<String, Object> next = message("A word", "Dear Ines, and Monday?");
        next.put("id", UUID.randomUUID().toString());
        next.remove("draft");
        assertThat(notes(next, signe))
                .containsExactly(
                        "pressure: You wrote to Ines Okafor today, from this template",
                        "subject-again: The last message to Ines Okafor had the same subject");
        assertThat(done("POST", "/api/messages/proof", next, signe).at("/proof/notes"))
                .as("which message it is")
                .allMatch(note ->
                        note.get("message").asString().equals(sent.get("id").asString()));
        next.put("template", null);
        assertThat(notes(next, dov))
                .containsExactly(
                        "pressure: Signe wrote to Ines Okafor today",
                        "subject-again: The last message to Ines Okafor had the same subject");
    }

    @Test
    void aCheckIsIgnoredForItsVeryWordsAndShownInHistory() throws Exception {
        Map<String, Object> message = message("A word", "Dear Ines, the plan is attached. Is it right?");
        done("PUT", "/api/message-drafts/" + draft, Map.of("version", 0, "message", message), signe);
        JsonNode note = first(message);

        assertThat(ignore(ignored(note, "  "), signe).at("/fields/reason").asString())
                .isNotEmpty();
        assertThat(ignore(ignored(note, "mine"), dov).get("code").asString()).isEqualTo("missing");
        ignore(ignored(note, "it went by post"), signe);
        assertThat(notes(message, signe)).isEmpty();
        assertThat(first(message).at("/waved/reason").asString()).isEqualTo("it went by post");
        assertThat(notes(message("A word", "Dear Ines, please see the attachment."), signe))
                .as("other words")
                .hasSize(1);

        done("POST", "/api/messages", message, signe);
        JsonNode sent = done("GET", "/api/messages/" + message.get("id"), null, signe);
        assertThat(sent.at("/ignored/0/title").asString()).isEqualTo("“attached”, but no file is attached");
        assertThat(sent.at("/ignored/0/by").asString()).isEqualTo("Signe");
    }

    @Test
    void aCheckIsAskedAgain() throws Exception {
        Map<String, Object> message = message("A word", "Dear Ines, the plan is attached. Is it right?");
        done("PUT", "/api/message-drafts/" + draft, Map.of("version", 0, "message", message), signe);
        JsonNode note = first(message);
        ignore(ignored(note, "it went by post"), signe);
        ignore(ignored(note, null), signe);

        assertThat(notes(message, signe)).hasSize(1);
        assertThat(sql.queryForObject("select count(*) from message_ignored", Integer.class))
                .isZero();
    }

    @Test
    void aDiscardedMessageLeavesNothingBehind() throws Exception {
        Map<String, Object> message = message("A word", "Dear Ines, the plan is attached. Is it right?");
        done("PUT", "/api/message-drafts/" + draft, Map.of("version", 0, "message", message), signe);
        ignore(ignored(first(message), "it went by post"), signe);
        done("DELETE", "/api/message-drafts/" + draft, null, signe);

        assertThat(sql.queryForObject("select count(*) from message_ignored", Integer.class))
                .isZero();
    }

    @Test
    void aWrongWeekdayStops() throws Exception {
        Map<String, Object> message = message("A word", "Dear Ines, I will come on Friday, 9 May.");
        assertThat(done("POST", "/api/messages", message, signe).get("detail").asString())
                .contains("9 May");
    }
}
