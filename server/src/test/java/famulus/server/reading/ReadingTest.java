package famulus.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.head;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import famulus.server.ServerTest;
import famulus.server.messages.SourceText;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;

/** What readers of a message can come back to, and what is known of them by it. */
class ReadingTest extends ServerTest {
    private static final String PAGES = "https://post.brindlewing.example/m/";
    private static final String PERSON = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0)";
    private static final String BODY =
            """
            {"version":1,"bands":[{"id":"a","columns":[{"blocks":[
              {"id":"t","kind":"text","text":[{"runs":[
                {"text":"Hello {contact.first_name}, sent on {message.sent_date as long date}"}]}]},
              {"id":"b","kind":"button","label":"See it","link":"https://hives.example/see?a=1&b=2"},
              {"id":"c","kind":"button","label":"No rounds","link":"{message.unsubscribe_link}"},
              {"id":"d","kind":"button","label":"Web copy","link":"{message.web_copy_link}"},
              {"id":"e","kind":"event","title":"Placement","day":"{today plus 3 days}","time":"05:30"}]}]}]}
            """;

    private UUID ines;

    @BeforeEach
    void somebodyWhoIsCounted() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        done("PUT", "/api/company/counting", Map.of("counts", true), amos);
    }

    private UUID designed() throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Placement");
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", "Hives " + PAGES + "proof");
        draft.put("previewText", "");
        draft.put("body", "");
        draft.put("mode", "DESIGNED");
        draft.put("design", BODY);
        JsonNode made = added(draft, signe);
        assertThat(made.path("template").path("id").asString(""))
                .as(made.toString())
                .isNotEmpty();
        return UUID.fromString(made.get("template").get("id").asString());
    }

    private UUID send(UUID template, String body, UUID after) throws Exception {
        UUID id = UUID.randomUUID();
        Map<String, Object> message = new HashMap<>();
        message.put("id", id.toString());
        message.put("template", template.toString());
        message.put("kind", "contact");
        message.put("person", ines.toString());
        if (body != null) {
            message.put("words", words("Hives " + PAGES + "proof", body));
        }
        if (after != null) {
            message.put("after", after.toString());
        }
        JsonNode answer = done("POST", "/api/messages", message, signe);
        assertThat(answer.path("id").asString("")).as(answer.toString()).isEqualTo(id.toString());
        return id;
    }

    private UUID sent() throws Exception {
        return send(designed(), null, null);
    }

    /** As it left. */
    private String html(UUID message) {
        byte[] source = wire(message);
        return SourceText.of(source).html();
    }

    private String key(UUID message) {
        return sql.queryForObject("select reader_key from message_page where message_id = ?", String.class, message);
    }

    private MockHttpServletResponse come(MockHttpServletRequestBuilder request) throws Exception {
        return mvc.perform(request.header("User-Agent", PERSON)).andReturn().getResponse();
    }

    private String field(String path) throws Exception {
        return merged(ines, "{" + path + " else \"-\"}");
    }

    @Test
    void linksLeadPastUsAndOurOwnAreTheReadersOwn() throws Exception {
        UUID message = sent();
        String key = key(message);

        assertThat(key).hasSizeGreaterThan(20);
        assertThat(done("GET", "/api/messages/" + message, null, signe)
                        .at("/read/subject")
                        .asString())
                .isEqualTo("Hives " + PAGES + key);
        assertThat(html(message))
                .contains("href=\"" + PAGES + key + "/0\"", "href=\"" + PAGES + key + "/unsubscribe\"")
                .contains("href=\"" + PAGES + key + "\"", "src=\"" + PAGES + key + "/seen.gif\"")
                .contains("sent on 4 May 2026")
                .doesNotContain("/m/proof", "href=\"https://hives.example");
        String text = done("GET", "/api/messages/" + message, null, signe)
                .get("read")
                .get("text")
                .asString();
        assertThat(text).contains("https://hives.example/see?a=1&b=2", PAGES + key + "/unsubscribe");
    }

    @Test
    void anEventCanBeHadAgainForACalendar() throws Exception {
        UUID message = sent();
        String file = "/m/" + key(message) + "/event.ics";
        assertThat(html(message)).contains("href=\"" + PAGES + key(message) + "/event.ics\"", "Add to my calendar");
        MockHttpServletResponse answer = come(get(file));
        assertThat(answer.getContentType()).startsWith("text/calendar");
        assertThat(answer.getHeader("Content-Disposition")).contains("attachment", "event.ics");
        assertThat(answer.getContentAsString()).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Placement");
        assertThat(come(get("/m/" + key(message) + "/event-2.ics")).getStatus()).isEqualTo(404);
        assertThat(come(get("/m/AAAAAAAAAAAAAAAAAAAAAA/event.ics")).getStatus()).isEqualTo(404);
        assertThat(come(get("/m/proof/event.ics")).getContentAsString()).contains("A link in a preview");
    }

    @Test
    void whoeverSentItLooksAtItWithoutBeingCounted() throws Exception {
        UUID message = sent();
        String shown = done("GET", "/api/messages/" + message, null, signe)
                .get("read")
                .get("html")
                .asString();
        assertThat(shown)
                .contains("href=\"https://hives.example/see?a=1&amp;b=2\"")
                .doesNotContain("seen.gif", key(message) + "/0");
    }

    @Test
    void opensAndClicksAreKnownOfThePerson() throws Exception {
        UUID message = sent();
        assertThat(field("history.opened")).isEqualTo("no");
        clock.forward(Duration.ofMinutes(5));
        MockHttpServletResponse picture = come(get("/m/" + key(message) + "/seen.gif"));
        clock.forward(Duration.ofMinutes(1));
        MockHttpServletResponse followed = come(get("/m/" + key(message) + "/0"));

        assertThat(picture.getContentType()).isEqualTo("image/gif");
        assertThat(followed.getStatus()).isEqualTo(302);
        assertThat(followed.getHeader("Location")).isEqualTo("https://hives.example/see?a=1&b=2");
        assertThat(field("history.opened")).isEqualTo("yes");
        assertThat(field("history.last_opened as time")).contains("10:05");
        assertThat(field("history.clicked_link")).isEqualTo("https://hives.example/see?a=1&b=2");
        JsonNode said = done("GET", "/api/records/contact/" + ines, null, signe)
                .get("said")
                .get(0);
        assertThat(said.get("openedAt").asString()).isEqualTo("2026-05-04T09:05:00Z");
        assertThat(said.get("clicked").asString()).isEqualTo("https://hives.example/see?a=1&b=2");
        JsonNode became = done("GET", "/api/messages/" + message, null, signe).get("became");
        assertThat(became.valueStream().map(one -> one.get("kind").asString())).containsExactly("OPENED", "CLICKED");
    }

    @Test
    void whatAMachineDoesIsKeptAndCountsForNothing() throws Exception {
        UUID message = sent();
        clock.forward(Duration.ofMinutes(5));
        mvc.perform(get("/m/" + key(message) + "/seen.gif").header("User-Agent", "LinkScanner/1.0"));
        mvc.perform(
                get("/m/" + key(message) + "/0").header("User-Agent", PERSON).header("Sec-Purpose", "prefetch"));
        come(head("/m/" + key(message) + "/0"));

        assertThat(field("history.opened")).isEqualTo("no");
        assertThat(field("history.clicked")).isEqualTo("no");
        JsonNode became = done("GET", "/api/messages/" + message, null, signe).get("became");
        assertThat(became.valueStream().map(one -> one.get("byMachine").asBoolean()))
                .containsExactly(true, true);
    }

    @Test
    void nothingLeadsWhereTheMessageDoesNot() throws Exception {
        UUID message = sent();
        for (String path : List.of("/9", "/-1", "/https:%2F%2Fevil.example", "/0?to=https://evil.example")) {
            MockHttpServletResponse answer = come(get(java.net.URI.create("/m/" + key(message) + path)));
            String where = answer.getHeader("Location");
            assertThat(where == null || where.startsWith("https://hives.example"))
                    .as(path)
                    .isTrue();
        }
        MockHttpServletResponse unknown = come(get("/m/AAAAAAAAAAAAAAAAAAAAAA/0"));
        assertThat(unknown.getStatus()).isEqualTo(404);
        assertThat(unknown.getContentAsString()).contains("does not lead anywhere");
        assertThat(come(get("/m/AAAAAAAAAAAAAAAAAAAAAA/seen.gif")).getStatus()).isEqualTo(200);
    }

    @Test
    void aReaderLeavesRoundsByTheButtonOrInOneClickAndComesBack() throws Exception {
        UUID message = sent();
        String page = "/m/" + key(message) + "/unsubscribe";
        String source = done("GET", "/api/messages/" + message, null, signe)
                .get("read")
                .get("source")
                .asString();
        assertThat(source.replace("\r\n ", " "))
                .contains("List-Unsubscribe: <" + PAGES + key(message) + "/unsubscribe>")
                .contains("List-Unsubscribe-Post: List-Unsubscribe=One-Click");

        assertThat(come(get(page)).getContentAsString()).contains("Choose what you get", "Unsubscribe</button>");
        assertThat(field("history.unsubscribed")).isEqualTo("no");
        MockHttpServletResponse done = come(
                post(page).contentType(MediaType.APPLICATION_FORM_URLENCODED).content("List-Unsubscribe=One-Click"));
        assertThat(done.getStatus()).isEqualTo(200);
        assertThat(field("history.unsubscribed")).isEqualTo("yes");
        assertThat(done("GET", "/api/topics/chosen/" + ines, null, signe)
                        .get("sentence")
                        .asString())
                .startsWith("Unsubscribed from messages to several people.");

        come(post(page).param("what", "again"));
        assertThat(field("history.unsubscribed")).isEqualTo("no");
    }

    @Test
    void theWebCopyShowsTheMessageAndRunsNothing() throws Exception {
        UUID message = sent();
        MockHttpServletResponse copy = come(get("/m/" + key(message)));

        assertThat(copy.getContentAsString(StandardCharsets.UTF_8)).contains("Hello Ines", "See it");
        assertThat(copy.getHeader("Content-Security-Policy")).contains("default-src 'none'", "sandbox");
        assertThat(come(get("/m/proof/unsubscribe")).getContentAsString()).contains("is in a preview");
    }

    @Test
    void aPlainMessageHasItsReadersLinksAndIsNotCounted() throws Exception {
        UUID template = template("CONTACT", "x", "Read it here: {message.web_copy_link}");
        String shown = PAGES + "proof";
        UUID message = send(template, "Read it <here>: " + shown, null);

        JsonNode kept = done("GET", "/api/messages/" + message, null, signe);
        assertThat(kept.get("read").get("text").asString()).isEqualTo("Read it <here>: " + PAGES + key(message));
        JsonNode last = kept.get("pieces").get(kept.get("pieces").size() - 1);
        assertThat(last.get("text").asString()).isEqualTo(PAGES + key(message));
        assertThat(last.get("path").asString()).isEqualTo("message.web_copy_link");
        assertThat(come(get("/m/" + key(message))).getContentAsString())
                .contains("Read it &lt;here&gt;: " + PAGES + key(message));
        come(get("/m/" + key(message) + "/seen.gif"));
        assertThat(field("history.opened")).isEqualTo("no");
    }

    @Test
    void whoeverDoesNotWantItIsNotCountedAndNobodyIsUnlessTheHouseSaysSo() throws Exception {
        UUID other = contact("Tobias", "Reed", "tobias@larkfield.example");
        sql.update("update contact set counting = 'not_counted' where id = ?", ines);
        assertThat(html(sent())).contains("href=\"https://hives.example").doesNotContain("seen.gif");

        ines = other;
        assertThat(html(sent())).contains("seen.gif");
        done("PUT", "/api/company/counting", Map.of("counts", false), amos);
        assertThat(html(sent())).contains("href=\"https://hives.example").doesNotContain("seen.gif");
    }

    @Test
    void aMessageThatFollowsAnotherStandsInItsThread() throws Exception {
        UUID first = sent();
        UUID second = send(designed(), null, first);
        UUID third = send(designed(), null, second);

        String source = done("GET", "/api/messages/" + third, null, signe)
                .get("read")
                .get("source")
                .asString();
        assertThat(source.replace("\r\n ", " "))
                .contains("In-Reply-To: <" + second + "@brindlewing.example>")
                .contains("References: <" + first + "@brindlewing.example> <" + second + "@brindlewing.example>");

        UUID somebodyElse = contact("Tobias", "Reed", "tobias@larkfield.example");
        ines = somebodyElse;
        JsonNode refused = done(
                "POST",
                "/api/messages",
                Map.of(
                        "id", UUID.randomUUID().toString(),
                        "kind", "contact",
                        "person", somebodyElse.toString(),
                        "after", first.toString(),
                        "words", words("Hives", "Hello")),
                signe);
        assertThat(refused.get("fields").propertyNames()).containsExactly("after");
    }
}
