package famulus.server.demoinboxes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** The demo's own mail server, over real SMTP. */
@TestPropertySource(properties = "famulus.demo=true")
class DemoInboxesTest extends ServerTest {
    private UUID send(String words) throws Exception {
        return send(words, contact("Ines", "Okafor", "Ines@Larkfield.example"));
    }

    private UUID send(String words, UUID ines) throws Exception {
        UUID id = UUID.randomUUID();
        done(
                "POST",
                "/api/messages",
                Map.of("id", id.toString(), "kind", "contact", "person", ines.toString(), "words", words(words, words)),
                signe);
        return id;
    }

    private String state(UUID id) {
        return sql.queryForObject("select state from outgoing_message where id = ?", String.class, id);
    }

    @Test
    void keepsWhatArrivesForItsRecipient() throws Exception {
        UUID id = send("Grüße <b>from</b> the hives");
        await().until(() -> state(id).equals("SENT"));

        JsonNode letters = done("GET", "/api/demo-inboxes/letters?address=ines@larkfield.example", null, dov);
        assertThat(letters.get(0).get("subject").asString()).isEqualTo("Grüße <b>from</b> the hives");
        JsonNode letter = done(
                "GET", "/api/demo-inboxes/letters/" + letters.get(0).get("id").asLong(), null, dov);
        assertThat(letter.get("read").get("text").asString().strip()).isEqualTo("Grüße <b>from</b> the hives");
        assertThat(letter.get("read").get("source").asString()).contains("Message-ID: <" + id);
    }

    @Test
    void takesAnyNumberForOneRecipient() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID one = send("one", ines);
        UUID other = send("another", ines);
        await().until(() -> state(one).equals("SENT") && state(other).equals("SENT"));

        assertThat(done("GET", "/api/demo-inboxes", null, dov)
                        .get("inboxes")
                        .get(0)
                        .get("letters")
                        .asInt())
                .isEqualTo(2);
    }

    @Test
    void whatIsSentWhileItIsClosedGoesWhenItOpens() throws Exception {
        done("PUT", "/api/demo-inboxes", Map.of("open", false), signe);
        UUID id = send("patience");
        await().until(() -> done("GET", "/api/outbox", null, signe)
                .get("lines")
                .get(0)
                .get("lastAnswer")
                .asString()
                .contains("can’t be reached"));
        assertThat(state(id)).isEqualTo("WAITING");

        done("PUT", "/api/demo-inboxes", Map.of("open", true), signe);
        await().until(() -> state(id).equals("SENT"));
    }
}
