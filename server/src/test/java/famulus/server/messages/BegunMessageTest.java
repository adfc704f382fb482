package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
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
        request.put("chosen", Map.of());
        request.putAll(more);
        return done("POST", "/api/messages/begin", request, as);
    }

    private JsonNode begin(UUID template, Colleague as) throws Exception {
        return begin(template, Map.of(), as);
    }

    private static String body(JsonNode begun) {
        return text(begun.get("proof").get("body"));
    }

    private void ready(UUID template) throws Exception {
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
    }

    @Test
    void aMessageFromNothingIsEmptyAndAboutThePerson() throws Exception {
        JsonNode begun = begin(null, signe);
        assertThat(begun.get("templateName").asString()).isEmpty();
        assertThat(begun.get("templateVersion").asInt()).isZero();
        assertThat(begun.get("about").asString()).isEqualTo("CONTACT");
        assertThat(begun.get("senderName").asString()).isEqualTo("Signe Tester");
        assertThat(begun.at("/proof/body/pieces")).isEmpty();
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
        JsonNode open = begin(template, signe);
        assertThat(open.at("/proof/blanks").valueStream().map(one -> one.get("hint")
                        .asString()))
                .containsExactly("what you saw", "when");

        JsonNode answered =
                begin(template, Map.of("answers", Map.of("what you saw", "{contact.first_name}’s bees")), signe);
        assertThat(body(answered)).contains("I saw {contact.first_name}’s bees on ");
        assertThat(answered.at("/proof/blanks").valueStream().map(one -> one.path("answer")
                        .asString("")))
                .containsExactly("{contact.first_name}’s bees", "");
    }

    @Test
    void anAnswerThatIsNothingIsRefusedAtItsPlace() throws Exception {
        UUID template = template("CONTACT", "Hives", "I saw {write in \"what you saw\"}.");
        Map<String, Object> nothing = new HashMap<>();
        nothing.put("what you saw", null);
        JsonNode refused = begin(template, Map.of("answers", nothing), signe);
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
        assertThat(begun.at("/proof/person/deals").valueStream().map(one -> one.get("name")
                        .asString()))
                .containsExactly("East");
    }
}
