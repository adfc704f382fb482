package famulus.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import famulus.server.Chosen;
import famulus.server.ServerTest;
import famulus.server.messages.SourceText;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;

/** What readers choose of messages to several people, and that it is kept to. */
class ChoosingTest extends ServerTest {
    private UUID ines;
    private UUID season;
    private UUID prices;

    @BeforeEach
    void topicsAndSomebody() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        JsonNode topics = keep(
                List.of(),
                List.of(
                        Map.of("name", "Season news", "names", Map.of("de", "Neues zur Saison")),
                        Map.of("name", "Prices", "names", Map.of())));
        season = UUID.fromString(topics.get(0).get("id").asString());
        prices = UUID.fromString(topics.get(1).get("id").asString());
    }

    private JsonNode keep(List<UUID> seen, List<?> topics) throws Exception {
        return done("PUT", "/api/topics", Map.of("seen", seen, "topics", topics), oriel);
    }

    private Map<String, Object> meant(UUID topic, List<?> back, UUID... people) {
        Map<String, Object> meant = new HashMap<>();
        meant.put("choice", Chosen.byHand("contact", people));
        meant.put("minus", null);
        meant.put("restDays", 1);
        meant.put("topic", topic);
        meant.put("putBack", back);
        return meant;
    }

    private String out(UUID topic, UUID... people) throws Exception {
        StringBuilder out = new StringBuilder();
        done("POST", "/api/messages/many/audience", meant(topic, List.of(), people), signe)
                .get("out")
                .forEach(one -> one.get("reasons")
                        .forEach(reason -> out.append(reason.asString()).append('\n')));
        return out.toString().strip();
    }

    /** Begins a draft to somebody as one of several, and sends it. */
    private UUID sent(UUID topic, UUID person) throws Exception {
        JsonNode message = draft(topic, List.of(), person);
        JsonNode answer = done("POST", "/api/messages", message, signe);
        assertThat(answer.has("id")).as(answer.toString()).isTrue();
        return UUID.fromString(answer.get("id").asString());
    }

    private JsonNode draft(UUID topic, List<?> back, UUID person) throws Exception {
        UUID template = template("CONTACT", "News for {person.first_name}", "Hello {person.first_name}!");
        String lines = mvc.perform(request(
                        "POST",
                        "/api/messages/many/drafts",
                        Map.of("meant", meant(topic, back, person), "template", template.toString()),
                        signe))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String[] all = lines.split("\n");
        JsonNode last = json.readTree(all[all.length - 1]);
        assertThat(last.has("drafts")).as(lines).isTrue();
        return done("GET", "/api/message-drafts/" + last.at("/drafts/0").asString(), null, signe)
                .get("message");
    }

    private String page(UUID message) {
        return "/m/"
                + sql.queryForObject("select reader_key from message_page where message_id = ?", String.class, message)
                + "/unsubscribe";
    }

    private String come(MockHttpServletRequestBuilder request) throws Exception {
        return mvc.perform(request).andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
    }

    private String chosen(UUID person) throws Exception {
        return done("GET", "/api/topics/chosen/" + person, null, signe)
                .get("sentence")
                .asString();
    }

    private static String change(String page) {
        Matcher change = Pattern.compile("name=\"change\" value=\"([^\"]+)\"").matcher(page);
        assertThat(change.find()).as(page).isTrue();
        return change.group(1);
    }

    @Test
    void eachMessageToSeveralSaysWhyAndHasTheWayOutWhateverItsTemplateSays() throws Exception {
        change(ines, "permission", "signed up at our open day");
        change(ines, "permission_on", "2026-03-03");
        UUID message = sent(season, ines);
        SourceText read = SourceText.of(wire(message));
        String wire = new String(wire(message), StandardCharsets.UTF_8).replace("\r\n ", " ");
        String link = "https://post.brindlewing.example" + page(message);
        assertThat(read.text())
                .contains("Why you get this: signed up at our open day, 3 March 2026.")
                .contains(link);
        assertThat(wire)
                .contains("List-Unsubscribe: <" + link + ">", "List-Unsubscribe-Post: List-Unsubscribe=One-Click");

        UUID own = template("CONTACT", "Hello", "For you, {person.first_name}.");
        Map<String, Object> alone = message(own, ines, words("Hello", "For you."));
        UUID personal = UUID.fromString(
                done("POST", "/api/messages", alone, signe).get("id").asString());
        assertThat(new String(wire(personal), StandardCharsets.UTF_8)).doesNotContain("List-Unsubscribe", "/m/");
    }

    @Test
    void aTopicIsStoppedAndTheChoiceIsUndone() throws Exception {
        UUID message = sent(season, ines);
        String page = page(message);
        assertThat(come(get(page))).contains("Stop e-mails about “Season news”", "Prices", "once a month");
        assertThat(chosen(ines))
                .as("a filter that follows the link settles nothing")
                .isEmpty();

        String settled = come(post(page).param("what", "topic"));
        assertThat(settled).contains("Saved.").doesNotContain("Stop e-mails about");
        assertThat(chosen(ines)).isEqualTo("Wants nothing about “Season news”.");
        assertThat(out(season, ines)).contains("Wants nothing about “Season news”.");
        assertThat(out(prices, ines)).doesNotContain("Wants");
        assertThat(come(post(page).param("what", "topic")))
                .as("again")
                .contains("Saved.")
                .doesNotContain("Undo");

        String undo = change(settled);
        assertThat(come(post(page).param("what", "undo").param("change", undo))).contains("It is as it was before.");
        assertThat(chosen(ines)).isEmpty();
        assertThat(come(post(page).param("what", "undo").param("change", undo)))
                .doesNotContain("It is as it was before.");
        assertThat(come(post(page).param("what", "undo").param("change", "nonsense")))
                .contains("Choose what you get");
    }

    @Test
    void howOftenIsKeptTo() throws Exception {
        UUID message = sent(prices, ines);
        come(post(page(message))
                .param("what", "choices")
                .param("pace", "MONTHLY")
                .param("topic", season.toString()));
        assertThat(chosen(ines))
                .isEqualTo("Wants nothing about “Prices”. Wants one a month at most of messages to several people.");
        clock.forward(Duration.ofDays(8));
        assertThat(out(season, ines)).isEqualTo("Wants one a month at most, and got one 8 days ago.");
        clock.forward(Duration.ofDays(23));
        assertThat(out(season, ines)).isEmpty();
        assertThat(out(prices, ines)).isEqualTo("Wants nothing about “Prices”.");
    }

    @Test
    void atAnAddressOfFourItIsForAllOrForOne() throws Exception {
        UUID tobias = contact("Tobias", "Larkin", "ines@larkfield.example");
        contact("Priya", "Ivory", "ines@larkfield.example");
        done(
                "POST",
                "/api/records/lead",
                Map.of("values", Map.of("last_name", "Wren"), "email", "ines@larkfield.example"),
                signe);
        String page = page(sent(season, ines));
        String shown = come(get(page));
        assertThat(shown).contains("4 people get e-mails at this address").doesNotContain("Tobias", "Priya", "Wren");

        come(post(page).param("what", "nothing").param("who", "one"));
        assertThat(chosen(ines)).startsWith("Unsubscribed");
        assertThat(chosen(tobias)).isEmpty();
        // What one of them has chosen besides is their own.
        String own = page(sent(prices, tobias));
        come(post(own).param("what", "topic").param("who", "one"));
        come(post(page).param("what", "topic").param("who", "all"));
        assertThat(chosen(tobias)).isEqualTo("Wants nothing about “Season news”, “Prices”.");
        come(post(own)
                .param("what", "choices")
                .param("who", "one")
                .param("topic", season.toString(), prices.toString()));
        assertThat(chosen(tobias)).isEmpty();
        String all = come(post(page).param("what", "nothing").param("who", "all"));
        assertThat(chosen(tobias)).startsWith("Unsubscribed");
        come(post(page).param("what", "undo").param("change", change(all)));
        assertThat(chosen(tobias)).isEmpty();
        assertThat(chosen(ines)).as("as it was before that").startsWith("Unsubscribed");
    }

    @Test
    void itIsWrittenInTheLanguageOfItsReader() throws Exception {
        change(ines, "language", "de");
        UUID message = sent(season, ines);
        assertThat(SourceText.of(wire(message)).text())
                .contains("Sie bekommen das, weil Sie zu den Kontakten von Brindlewing gehören.")
                .contains("Auswählen, was Sie bekommen, oder abbestellen");
        assertThat(come(get(page(message))))
                .contains("<html lang=\"de\">", "Keine E-Mails mehr über „Neues zur Saison“", "einmal im Monat");
    }

    @Test
    void aTopicThatWasRemovedAndAPersonWhoIsGoneAreSaid() throws Exception {
        UUID message = sent(season, ines);
        come(post(page(message)).param("what", "topic"));
        keep(List.of(season, prices), List.of(Map.of("id", prices, "name", "Prices", "names", Map.of())));
        assertThat(come(get(page(message)))).contains("Prices").doesNotContain("Season news");
        assertThat(chosen(ines)).isEmpty();
        assertThat(done("POST", "/api/messages/many/audience", meant(season, List.of(), ines), signe)
                        .at("/fields/topic")
                        .asString())
                .isEqualTo("This topic was removed. Choose another one.");

        sql.update("delete from contact where id = ?", ines);
        assertThat(come(get(page(message)))).contains("has no record of you any more");
        assertThat(come(post(page(message)).param("what", "nothing"))).contains("has no record of you any more");
    }

    @Test
    void whoIsPutBackIsWrittenToWithTheReason() throws Exception {
        sent(season, ines);
        assertThat(out(season, ines)).isEqualTo("Written to today.");
        JsonNode message =
                draft(season, List.of(Map.of("key", ines.toString(), "reason", " They asked on the phone. ")), ines);
        assertThat(message.at("/wishes/several/reason").asString()).isEqualTo("They asked on the phone.");
        assertThat(message.at("/wishes/several/topic").asString()).isEqualTo(season.toString());
    }
}
