package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import famulus.server.messages.SourceText;
import famulus.server.team.Colleague;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.JsonNode;

/** A message is shown on the web to whoever has a link to it: as it was sent, or with nothing personal in it. */
@Import(SendingTest.Post.class)
class WebCopyTest extends ServerTest {
    private static final String LETTER =
            """
            {"version":1,"bands":[{"id":"a","columns":[{"blocks":[
              {"id":"t","kind":"text","text":[{"runs":[
                {"text":"{person.greeting}, you are our {contact.job_title else \\"reader\\"}."}]}]},
              {"id":"b","kind":"button","label":"See it","link":"https://hives.example/?for={contact.first_name else \\"all\\"}"},
              {"id":"c","kind":"button","label":"No more","link":"{message.unsubscribe_link}"},
              {"id":"e","kind":"event","title":"Fair","day":"{today plus 3 days}","time":"05:30"}]}]}]}
            """;

    @Autowired
    private FakeMailServer post;

    @Autowired
    private OutboxWorker worker;

    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        post.behave();
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        change(ines, "job_title", "Grower");
        done("PUT", "/api/company/counting", Map.of("counts", true), amos);
    }

    private UUID letter() throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.putAll(Map.of("name", "A letter", "purpose", "", "about", "CONTACT", "previewText", "", "body", ""));
        draft.putAll(Map.of("subject", "For {contact.first_name else \"you\"}", "mode", "DESIGNED", "design", LETTER));
        JsonNode made = added(draft, signe);
        return UUID.fromString(made.at("/template/id").asString());
    }

    private UUID sent(UUID template) throws Exception {
        JsonNode taken = done("POST", "/api/messages", message(template, ines, null), signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        UUID id = UUID.fromString(taken.get("id").asString());
        await().untilAsserted(() -> {
            worker.look();
            assertThat(sql.queryForObject("select state from outgoing_message where id = ?", String.class, id))
                    .isEqualTo("SENT");
        });
        return id;
    }

    private JsonNode copy(UUID message, Integer days) throws Exception {
        return copy(message, days, signe);
    }

    private JsonNode copy(UUID message, Integer days, Colleague as) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("days", days);
        return done("POST", "/api/messages/" + message + "/web-copies", wanted, as);
    }

    private JsonNode copies(UUID message) throws Exception {
        return done("GET", "/api/messages/" + message + "/web-copies", null, signe);
    }

    private MockHttpServletResponse open(JsonNode copy, String behind) throws Exception {
        assertThat(copy.has("address")).as("%s", copy).isTrue();
        String path = URI.create(copy.get("address").asString()).getPath();
        return mvc.perform(MockMvcRequestBuilders.get(path + behind))
                .andReturn()
                .getResponse();
    }

    private String shown(JsonNode copy) throws Exception {
        return open(copy, "").getContentAsString();
    }

    @Test
    void aLinkShowsAMessageAsItWasSentAndIsOpenForSomeDays() throws Exception {
        UUID message = sent(letter());
        JsonNode copy = copy(message, 14);

        assertThat(copy.get("address").asString()).startsWith("https://post.brindlewing.example/m/");
        assertThat(shown(copy))
                .contains("you are our Grower", "href=\"https://hives.example/?for=Ines\"")
                .doesNotContain("seen.gif");
        String readers = sql.queryForObject("select reader_key from message_page", String.class);
        assertThat(shown(copy)).doesNotContain(readers);
        assertThat(open(copy, "/event.ics").getContentAsString()).contains("SUMMARY:Fair");
        assertThat(open(copy, "/unsubscribe").getContentAsString()).contains("A page that was passed on");
        // Looking at it is nobody's reading.
        assertThat(done("GET", "/api/messages/" + message, null, signe).get("became"))
                .isEmpty();

        clock.forward(Duration.ofDays(14).plusSeconds(1));
        assertThat(open(copy, "").getStatus()).isEqualTo(404);
        assertThat(open(copy, "/event.ics").getStatus()).isEqualTo(404);
        assertThat(copies(message)).isEmpty();
    }

    @Test
    void aPageForAnybodySaysNothingOfItsPerson() throws Exception {
        UUID message = sent(letter());
        JsonNode copy = copy(message, null);

        assertThat(copy.get("openUntil").isNull()).isTrue();
        assertThat(shown(copy))
                .contains("you are our reader", "https://hives.example/?for=all", "<title>For you</title>")
                .doesNotContain("Ines", "Grower", "Okafor");
        // It stays what it is, whatever happens to the message's records.
        change(ines, "job_title", "Baker");
        clock.forward(Duration.ofDays(200));
        assertThat(shown(copy)).contains("you are our reader");
    }

    @Test
    void whatOnlyItsPersonHasIsShownToNobodyElse() throws Exception {
        UUID message = sent(template("CONTACT", "News", "Dear {contact.first_name}, as {contact.job_title}."));
        JsonNode refused = copy(message, null);
        assertThat(refused.get("code").asString()).isEqualTo("personal");
        assertThat(refused.get("detail").asString()).contains("First name", "Job title");
        assertThat(copies(message)).isEmpty();
    }

    @Test
    void plainWordsAreAPageToo() throws Exception {
        UUID message =
                sent(template("CONTACT", "News <b>", "Dear {contact.first_name else \"all\"},\nhello & see you."));
        assertThat(shown(copy(message, 1))).contains("News &lt;b&gt;", "Dear Ines,\nhello &amp; see you.");
        assertThat(shown(copy(message, null))).contains("Dear all,\nhello &amp; see you.");
    }

    @Test
    void aLinkIsClosedByWhoeverMadeItOrAnEditor() throws Exception {
        UUID message = sent(letter());
        JsonNode mine = copy(message, 7);
        JsonNode theirs = copy(message, null, dov);
        assertThat(copies(message)).hasSize(2);

        String path = "/api/web-copies/";
        assertThat(done("DELETE", path + theirs.get("id").asString(), null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("Whoever made this link closes it, or an editor.");
        done("DELETE", path + mine.get("id").asString(), null, signe);
        done("DELETE", path + theirs.get("id").asString(), null, oriel);

        assertThat(open(mine, "").getStatus()).isEqualTo(404);
        assertThat(open(theirs, "").getStatus()).isEqualTo(404);
        assertThat(done("DELETE", path + mine.get("id").asString(), null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void whatHasNotLeftIsNotShownAndDaysAreCounted() throws Exception {
        UUID message = sent(letter());
        assertThat(copy(message, 0).at("/fields/days").asString()).isEqualTo("Between 1 and 90 days, please.");
        assertThat(copy(message, 91).at("/fields/days").asString()).isNotEmpty();
        sql.update("update outgoing_message set state = 'CANCELLED'");
        assertThat(copy(message, 7).get("code").asString()).isEqualTo("not-left");
        assertThat(copy(message, null).get("code").asString()).isEqualTo("not-left");
    }

    private UUID sharing(String words) throws Exception {
        String letter = LETTER.replace("our {contact.job_title else \\\"reader\\\"}", words)
                .replace(
                        "{\"id\":\"c\"",
                        "{\"id\":\"s\",\"kind\":\"social links\",\"links\":[{\"label\":\"Pass it on\","
                                + "\"address\":\"mailto:?body={message.share_link}\"},"
                                + "{\"label\":\"Look\",\"address\":\"{message.share_link}\"}]},{\"id\":\"c\"");
        Map<String, Object> draft = new HashMap<>();
        draft.putAll(Map.of("name", "A letter", "purpose", "", "about", "CONTACT", "previewText", "", "body", ""));
        draft.putAll(Map.of("subject", "For all", "mode", "DESIGNED", "design", letter));
        JsonNode made = added(draft, signe);
        assertThat(made.has("template")).as("%s", made).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    @Test
    void aReaderPassesOnAPageWithNothingOfTheirs() throws Exception {
        UUID message = sent(sharing("our {contact.job_title else \\\"reader\\\"}"));
        JsonNode copy = copies(message).get(0);
        String address = copy.get("address").asString();
        String html = SourceText.of(wire(message)).html();

        assertThat(html)
                .contains("href=\"" + address + "\"")
                .contains("mailto:?body=" + URLEncoder.encode(address, StandardCharsets.UTF_8))
                .doesNotContain("shared-proof");
        String readers = sql.queryForObject("select reader_key from message_page", String.class);
        assertThat(address).doesNotContain(readers);
        assertThat(shown(copy))
                .contains("you are our reader", "href=\"" + address + "\"")
                .doesNotContain("Ines", "Grower", readers);
        // Whoever sent it can close it like any other.
        done("DELETE", "/api/web-copies/" + copy.get("id").asString(), null, signe);
        assertThat(open(copy, "").getStatus()).isEqualTo(404);
    }

    @Test
    void whatWouldShowSomethingPersonalDoesNotLeave() throws Exception {
        UUID template = sharing("our {contact.job_title}");
        JsonNode refused = done("POST", "/api/messages", message(template, ines, null), signe);
        assertThat(refused.get("code").asString()).as("%s", refused).isEqualTo("personal");
        assertThat(refused.get("detail").asString()).contains("Job title");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }
}
