package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** To whom a message goes, from whom, and with what. */
@TestPropertySource(properties = "famulus.take-back-seconds=60")
class EnvelopeTest extends ServerTest {
    private UUID ines;
    private UUID tom;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tom = contact("Tom", "Hall", "tom@larkfield.example");
        for (UUID one : List.of(ines, tom)) {
            change(one, "formality", "familiar");
        }
    }

    private Map<String, Object> message(Map<String, Object> wishes) {
        Map<String, Object> message = message(null, ines, words("Hello", "Dear Ines."));
        message.put("wishes", wishes);
        return message;
    }

    private JsonNode send(Map<String, Object> message, Colleague as) throws Exception {
        return done("POST", "/api/messages", message, as);
    }

    private JsonNode sent(Map<String, Object> wishes) throws Exception {
        JsonNode taken = send(message(wishes), signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        return done("GET", "/api/messages/" + taken.get("id").asString(), null, signe);
    }

    private static String header(JsonNode message, String name) {
        return message.at("/read/headers")
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .map(one -> one.get("value").asString().replaceAll("\\s+", " "))
                .findFirst()
                .orElse("");
    }

    @Test
    void copiesRepliesAndNamesStandInItsHead() throws Exception {
        JsonNode message = sent(Map.of(
                "also", List.of(tom.toString()),
                "cc", List.of("Ada Pell <ada@pell.example>", "office@larkfield.example"),
                "bcc", List.of("archive@brindlewing.example"),
                "replyTo", "orders@brindlewing.example",
                "toName", "Ines of Larkfield"));
        assertThat(header(message, "To"))
                .isEqualTo("Ines of Larkfield <ines@larkfield.example>, Tom Hall <tom@larkfield.example>");
        assertThat(header(message, "Cc")).isEqualTo("Ada Pell <ada@pell.example>, office@larkfield.example");
        assertThat(header(message, "Reply-To")).contains("orders@brindlewing.example");
        assertThat(message.at("/read/source").asString()).doesNotContain("archive@brindlewing.example");
        assertThat(message.get("bcc").get(0).asString()).isEqualTo("archive@brindlewing.example");
    }

    @Test
    void oneMessageToTwoGreetsBothAndStandsInTheHistoryOfBoth() throws Exception {
        UUID template = template("CONTACT", "Hello", "{person.greeting}, we come soon.");
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", template.toString());
        begin.put("kind", "contact");
        begin.put("id", ines.toString());
        begin.put("wishes", Map.of("also", List.of(tom.toString())));
        JsonNode begun = done("POST", "/api/messages/begin", begin, signe);
        assertThat(begun.at("/words/body").asString()).isEqualTo("Dear Ines and Tom, we come soon.");

        Map<String, Object> message = message(template, ines, null);
        message.put("words", begun.get("words"));
        message.put("wishes", Map.of("also", List.of(tom.toString())));
        UUID id = UUID.fromString(send(message, signe).get("id").asString());
        for (UUID one : List.of(ines, tom)) {
            JsonNode page = done("GET", "/api/records/contact/" + one, null, dov);
            assertThat(page.at("/said/0/id").asString()).isEqualTo(id.toString());
            assertThat(written(one)).isEqualTo(1);
        }
        done("POST", "/api/outbox/" + id + "/take-back", null, signe);
        assertThat(done("GET", "/api/records/contact/" + tom, null, dov).get("said"))
                .isEmpty();
        assertThat(written(tom)).isZero();
    }

    private int written(UUID person) {
        return sql.queryForObject(
                "select times_written from person_summary where person_id = ?", Integer.class, person);
    }

    @Test
    void whoeverIsAddedAfterwardsIsOfferedInTheGreeting() throws Exception {
        UUID template = template("CONTACT", "Hello", "{person.greeting}, we come soon.");
        Map<String, Object> message = message(template, ines, words("Hello", "Dear Ines, we come on Friday."));
        message.put("draft", UUID.randomUUID().toString());
        done("PUT", "/api/message-drafts/" + message.get("draft"), Map.of("version", 0, "message", message), signe);
        message.put("wishes", Map.of("also", List.of(tom.toString())));
        JsonNode newer = done("POST", "/api/messages/proof", message, signe).at("/hand/newer/0");
        assertThat(newer.get("is").asString()).isEqualTo("Dear Ines and Tom");

        message.put("words", words("Hello", "Dear Ines and Tom, we come on Friday."));
        JsonNode hand = done("POST", "/api/messages/proof", message, signe).get("hand");
        assertThat(hand.get("newer")).isEmpty();
        assertThat(hand.at("/values/0/label").asString()).isEqualTo("Greeting");
        assertThat(hand.get("changes")).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "replyTo | not an address       | replyTo | it needs a name, an @ and a domain",
                "toName  | a\\nb                 | toName  | one line only",
                "cc      | signe@brindlewing.example | cc | the sender’s own address",
                "cc      | Ines@larkfield.example    | cc | gets this message already",
                "cc      | tom@, x@y.example    | cc      | is not the name of a mailbox",
                "bcc     | nobody               | bcc     | needs a name, an @ and a domain",
                "cc      | A\\nB <a@b.example> | cc    | one line only",
            })
    void whatIsWrongIsSaidAtItsPlace(String part, String typed, String place, String sentence) throws Exception {
        String said = typed.replace("\\n", "\n");
        Map<String, Object> wishes = Map.of(part, part.equals("cc") || part.equals("bcc") ? List.of(said) : said);
        assertThat(send(message(wishes), signe).at("/fields/" + place).asString())
                .contains(sentence);
        JsonNode shown = done("POST", "/api/messages/envelope", message(wishes), signe);
        assertThat(shown.at("/wrong/" + place).asString()).contains(sentence);
        assertThat(shown.at("/stops/0/part").asString()).isEqualTo(place);
        assertThat(shown.at("/stops/0/code").asString()).isEqualTo(place.equals("replyTo") ? "sender" : "recipient");
        assertThat(shown.at("/stops/0/title").asString()).contains(sentence);
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void whoeverIsOnTheListStopsIt() throws Exception {
        done("POST", "/api/do-not-email", Map.of("entry", "office@pell.example", "reason", "asked us to stop"), signe);

        JsonNode stop = done(
                        "POST", "/api/messages/envelope", message(Map.of("cc", List.of("office@pell.example"))), signe)
                .at("/stops/0");

        assertThat(stop.get("code").asString()).isEqualTo("do-not-email");
        assertThat(stop.get("part").asString()).isEqualTo("cc");
        assertThat(stop.get("title").asString())
                .isEqualTo("office@pell.example is on the do-not-email list: asked us to stop");
    }

    @Test
    void aNameIsNotLongerThanANameIs() throws Exception {
        assertThat(send(message(Map.of("toName", "x".repeat(300))), signe)
                        .at("/fields/toName")
                        .asString())
                .contains("300 characters");
    }

    @Test
    void sixtyRecipientsAreTooMany() throws Exception {
        List<String> many =
                IntStream.range(0, 59).mapToObj(i -> "p" + i + "@pell.example").toList();
        assertThat(send(message(Map.of("cc", many)), signe).at("/fields/cc").asString())
                .isEqualTo("A message goes to 20 people at most. These are 60.");
        assertThat(sent(Map.of("cc", many.subList(0, 19))).get("state").asString())
                .isEqualTo("WAITING");
    }

    @Test
    void anOwnerIsWrittenForWhileTheyAllowIt() throws Exception {
        change(ines, "owner", dov.id().toString());
        Map<String, Object> message = message(Map.of());
        message.put("sender", dov.id().toString());
        assertThat(send(message, signe).get("detail").asString())
                .isEqualTo("Dov Tester does not let colleagues write in their name.");
        assertThat(senders()).containsExactly("Signe Tester");

        done("PUT", "/api/profile/in-my-name", Map.of("allowed", true, "mailings", false), dov);
        assertThat(senders()).containsExactly("Signe Tester", "Dov Tester");
        JsonNode taken = send(message, signe);
        assertThat(header(done("GET", "/api/messages/" + taken.get("id").asString(), null, signe), "From"))
                .isEqualTo("Dov Tester <dov@brindlewing.example>");

        message.put("id", UUID.randomUUID().toString());
        message.put("person", tom.toString());
        assertThat(send(message, signe).get("detail").asString()).contains("colleague of a record’s owner");
        done("PUT", "/api/profile/in-my-name", Map.of("allowed", false, "mailings", false), dov);
        message.put("person", ines.toString());
        assertThat(send(message, signe).get("code").asString()).isEqualTo("forbidden");
    }

    private List<String> senders() throws Exception {
        return done("POST", "/api/messages/envelope", message(Map.of()), signe)
                .get("senders")
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private JsonNode bring(String name, byte[] file) throws Exception {
        return upload("/api/materials/files/apart", Map.of("name", name), file, signe);
    }

    @Test
    void aFileOfOnesOwnGoesAlongAndIsNotInMaterials() throws Exception {
        UUID file = UUID.fromString(bring("Plan “north”.txt", "Plan".getBytes(StandardCharsets.UTF_8))
                .get("id")
                .asString());
        Map<String, Object> message = message(null, ines, words("Hello", "Dear Ines.", List.of(file)));
        JsonNode shown = done("POST", "/api/messages/envelope", message, signe);
        assertThat(shown.at("/files/0/size").asInt()).isEqualTo(4);
        UUID id = UUID.fromString(send(message, signe).get("id").asString());
        assertThat(done("GET", "/api/messages/" + id, null, signe)
                        .at("/read/files/0")
                        .asString())
                .isEqualTo("Plan “north”.txt");
        assertThat(done("GET", "/api/materials/files", null, signe)).isEmpty();
    }

    @Test
    void filesOfMoreThan25MegabytesAreRefusedAtTheirPlace() throws Exception {
        List<UUID> files = List.of(
                UUID.fromString(bring("a.dat", new byte[13_000_000]).get("id").asString()),
                UUID.fromString(bring("b.dat", new byte[13_000_000]).get("id").asString()));
        JsonNode refused = send(message(null, ines, words("Hello", "Dear Ines.", files)), signe);
        assertThat(refused.at("/fields/files").asString()).contains("25 MB");
        JsonNode shown =
                done("POST", "/api/messages/envelope", message(null, ines, words("Hello", "Dear Ines.", files)), signe);
        assertThat(shown.at("/stops/0/code").asString()).isEqualTo("too-big");
        assertThat(shown.at("/stops/0/part").asString()).isEqualTo("files");
        assertThat(send(message(null, ines, words("Hello", "Dear Ines.", files.subList(0, 1))), signe)
                        .has("id"))
                .isTrue();
    }

    @Test
    void aDocumentOfADealHoldsItsFile() throws Exception {
        UUID deal = UUID.fromString(
                done("POST", "/api/records/deal", Map.of("values", Map.of("name", "North field"), "email", ""), signe)
                        .get("id")
                        .asString());
        String file = bring("Quote.pdf", new byte[] {1, 2, 3}).get("id").asString();
        Map<String, Object> quote = Map.of("name", "Quote", "link", "", "file", file, "state", "DRAFT");
        done("POST", "/api/records/deal/" + deal + "/documents", quote, signe);
        JsonNode document = done("GET", "/api/records/deal/" + deal, null, dov).at("/documents/0");
        assertThat(document.at("/file/name").asString()).isEqualTo("Quote.pdf");
        assertThat(document.at("/file/size").asInt()).isEqualTo(3);
        Map<String, Object> gone =
                Map.of("name", "Quote", "link", "", "file", UUID.randomUUID().toString(), "state", "DRAFT");
        assertThat(done("POST", "/api/records/deal/" + deal + "/documents", gone, signe)
                        .at("/fields/file")
                        .asString())
                .contains("gone");
    }

    @Test
    void whoIsNearbyIsOffered() throws Exception {
        UUID deal = UUID.fromString(
                done("POST", "/api/records/deal", Map.of("values", Map.of("name", "North field"), "email", ""), signe)
                        .get("id")
                        .asString());
        for (UUID one : List.of(ines, tom)) {
            done(
                    "PUT",
                    "/api/records/deal/" + deal + "/contacts/" + one,
                    Map.of("role", "decides", "main", one == ines),
                    signe);
        }
        Map<String, Object> message = message(Map.of());
        message.put("deal", deal.toString());
        JsonNode shown = done("POST", "/api/messages/envelope", message, signe);
        assertThat(shown.at("/nearby/0/name").asString()).isEqualTo("Tom Hall");
        message.put("wishes", Map.of("also", List.of(tom.toString())));
        shown = done("POST", "/api/messages/envelope", message, signe);
        assertThat(shown.get("nearby")).isEmpty();
        assertThat(shown.at("/also/0/address").asString()).isEqualTo("tom@larkfield.example");
    }
}
