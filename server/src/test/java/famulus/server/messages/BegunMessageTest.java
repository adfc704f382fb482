package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A message begun for somebody: from which template, as whom, and with what the sender gives for it. */
class BegunMessageTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
    }

    private JsonNode begin(UUID template, Map<String, Object> more, Colleague as) throws Exception {
        Map<String, Object> request = new HashMap<>();
        request.put("template", template == null ? null : template.toString());
        request.put("kind", "contact");
        request.put("id", ines.toString());
        request.putAll(more);
        return done("POST", "/api/messages/begin", request, as);
    }

    private JsonNode begin(UUID template, Colleague as) throws Exception {
        return begin(template, Map.of(), as);
    }

    private static String body(JsonNode begun) {
        return begun.at("/words/body").asString();
    }

    private void ready(UUID template) throws Exception {
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
    }

    @Test
    void aMessageFromNothingIsALetterThatGreetsAndSigns() throws Exception {
        JsonNode begun = begin(null, signe);
        assertThat(begun.get("templateName").asString()).isEmpty();
        assertThat(begun.get("templateVersion").asInt()).isZero();
        assertThat(begun.get("about").asString()).isEqualTo("CONTACT");
        assertThat(begun.get("senderName").asString()).isEqualTo("Signe Tester");
        assertThat(begun.at("/words/mode").asString()).isEqualTo("LETTER");
        assertThat(begun.at("/words/design").asString()).contains("Dear Ines,", "signature");
        JsonNode plain = begin(null, Map.of("mode", "PLAIN"), signe);
        assertThat(body(plain)).startsWith("Dear Ines,\n\n\n\n").contains("Signe");
    }

    @Test
    void anothersTemplateIsUsedAsItWasMarkedReadyAndOnesOwnAsItIs() throws Exception {
        UUID template = template("CONTACT", "Hives", "Bees for {contact.first_name}");
        assertThat(body(begin(template, signe))).isEqualTo("Bees for Ines");
        assertThat(begin(template, dov).get("code").asString()).isEqualTo("missing");
        ready(template);

        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "A template");
        draft.put("about", "CONTACT");
        draft.put("subject", "Hives");
        draft.put("body", "Half a thought");
        done("PUT", "/api/templates/" + template, Map.of("version", 1, "draft", draft), signe);

        assertThat(body(begin(template, dov))).isEqualTo("Bees for Ines");
        assertThat(body(begin(template, signe))).isEqualTo("Half a thought");
    }

    @Test
    void anAssistantWritesAsAnAgentOrKeeperAndNobodyElseForAnother() throws Exception {
        UUID template = template("CONTACT", "Hives", "Yours, {sender.first_name}");
        ready(template);
        JsonNode begun = begin(template, Map.of("sender", signe.id().toString()), petra);
        assertThat(body(begun)).isEqualTo("Yours, Signe");
        assertThat(begun.get("senderEmail").asString()).isEqualTo("signe@brindlewing.example");

        assertThat(begin(template, Map.of("sender", amos.id().toString()), petra)
                        .get("fields")
                        .propertyNames())
                .containsExactly("sender");
        assertThat(begin(template, Map.of("sender", UUID.randomUUID().toString()), petra)
                        .get("fields")
                        .propertyNames())
                .containsExactly("sender");
        assertThat(begin(template, Map.of("sender", signe.id().toString()), dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
    }

    @Test
    void whatTheSenderAnswersStandsInTheMessageAndWhatIsLeftOpenIsAskedFor() throws Exception {
        UUID template = template("CONTACT", "Hives", "I saw {write in \"what you saw\"} on {write in \"when\"}.");
        JsonNode begun = begin(template, signe);
        assertThat(body(begun)).isEqualTo("I saw {write in \"what you saw\"} on {write in \"when\"}.");
        assertThat(hints(proof(template, begun.get("words")))).containsExactly("what you saw", "when");

        JsonNode settled = settle(
                template, begun.get("words"), Map.of("answers", Map.of("what you saw", "{contact.first_name}’s bees")));
        assertThat(settled.get("body").asString())
                .isEqualTo("I saw \\{contact.first_name}’s bees on {write in \"when\"}.");
        assertThat(hints(proof(template, settled))).containsExactly("when");
    }

    private static List<String> hints(JsonNode proof) {
        return proof.at("/proof/blanks")
                .valueStream()
                .map(one -> one.get("hint").asString())
                .toList();
    }

    private Map<String, Object> message(UUID template, JsonNode words) {
        return message(template, ines, words);
    }

    private JsonNode proof(UUID template, JsonNode words) throws Exception {
        return done("POST", "/api/messages/proof", message(template, words), signe);
    }

    private JsonNode settle(UUID template, JsonNode words, Map<String, Object> given) throws Exception {
        Map<String, Object> request = new HashMap<>(given);
        request.put("message", message(template, words));
        return done("POST", "/api/messages/settle", request, signe);
    }

    @Test
    void aFieldThatIsFilledInSinceBecomesWords() throws Exception {
        UUID template = template("CONTACT", "Hives", "Dear {contact.title} Okafor, {contact.mobile}");
        JsonNode words = begin(template, signe).get("words");
        assertThat(words.get("body").asString()).isEqualTo("Dear {contact.title} Okafor, {contact.mobile}");

        JsonNode given = settle(template, words, Map.of("chosen", Map.of("contact.title", "Dr")));
        assertThat(given.get("body").asString()).isEqualTo("Dear Dr Okafor, {contact.mobile}");
        JsonNode wrong = settle(template, words, Map.of("chosen", Map.of("contact.mobile", "no number")));
        assertThat(wrong.get("fields").propertyNames()).containsExactly("contact.mobile");
        JsonNode nothing = settle(template, words, Map.of("chosen", Map.of("contact..title", "Dr")));
        assertThat(nothing.get("fields").propertyNames()).as("no path at all").containsExactly("contact..title");
    }

    @Test
    void itIsSaidWhichWordsAreValuesAndWhichWereChanged() throws Exception {
        UUID template = template("CONTACT", "Hives for {contact.first_name}", "Dear {contact.first_name}, we come.");
        Map<String, Object> message = message(template, null);
        message.put("words", words("Hives for Ines", "Dear Ines, we come soon."));
        JsonNode hand = done("POST", "/api/messages/proof", message, signe).get("hand");

        assertThat(hand.get("values")
                        .valueStream()
                        .map(one -> one.get("key").asString() + one.get("start") + "-" + one.get("end")))
                .containsExactlyInAnyOrder("SUBJECT10-14", "BODY5-9");
        assertThat(hand.get("values").get(0).get("source").asString()).isEqualTo("contact");
        assertThat(hand.get("changes")).hasSize(1);
        assertThat(hand.at("/changes/0/was").asString()).isEmpty();
        assertThat(hand.at("/changes/0/end").asInt()).isEqualTo(23);
    }

    @Test
    void anAnswerThatIsNothingIsRefusedAtItsPlace() throws Exception {
        UUID template = template("CONTACT", "Hives", "I saw {write in \"what you saw\"}.");
        Map<String, Object> nothing = new HashMap<>();
        nothing.put("what you saw", null);
        JsonNode refused = settle(template, begin(template, signe).get("words"), Map.of("answers", nothing));
        assertThat(refused.get("fields").propertyNames()).containsExactly("answers.what you saw");
    }

    @Test
    void oneWritesToPeopleAlone() throws Exception {
        String organisation = done(
                        "POST",
                        "/api/records/organisation",
                        Map.of("values", Map.of("name", "Larkfield"), "email", ""),
                        signe)
                .get("id")
                .asString();
        assertThat(begin(null, Map.of("kind", "organisation", "id", organisation), signe)
                        .get("code")
                        .asString())
                .isEqualTo("no-person");
        assertThat(begin(null, Map.of("id", UUID.randomUUID().toString()), signe)
                        .get("status")
                        .asInt())
                .isEqualTo(404);
        assertThat(begin(UUID.randomUUID(), signe).get("status").asInt()).isEqualTo(404);
    }

    @Test
    void aDealIsWrittenAboutToOneOfItsContacts() throws Exception {
        String deal = done(
                        "POST",
                        "/api/records/deal",
                        Map.of("values", Map.of("name", "East", "stage", "quoted"), "email", ""),
                        signe)
                .get("id")
                .asString();
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        UUID template = template("DEAL", "{deal.name}", "About {deal.name}, {person.first_name}");
        JsonNode begun = begin(template, Map.of("deal", deal), signe);
        assertThat(begun.get("about").asString()).isEqualTo("DEAL");
        assertThat(body(begun)).isEqualTo("About East, Ines");
        Map<String, Object> message = message(template, begun.get("words"));
        message.put("deal", deal);
        JsonNode read = done("POST", "/api/messages/proof", message, signe);
        assertThat(read.at("/proof/person/deals").valueStream().map(one -> one.get("name")
                        .asString()))
                .containsExactly("East");
    }
}
