package famulus.server.today;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The steps that make an empty company work, and the made-up person that shows a template before there is anybody. */
class FirstHourTest extends ServerTest {
    private static final String STEPS = "/api/today/first-hour";

    @BeforeEach
    void anEmptyCompany() {
        sql.update("delete from skipped_step");
        sql.update("update house set phone = null, website = null, street = null, town = null, public_address = null");
    }

    private List<String> left(JsonNode hour) {
        return hour.get("steps")
                .valueStream()
                .filter(step ->
                        !step.get("done").asBoolean() && !step.get("skipped").asBoolean())
                .map(step -> step.get("step").asString())
                .toList();
    }

    private List<String> left() throws Exception {
        return left(done("GET", STEPS, null, amos));
    }

    private Map<String, Object> details() {
        Map<String, Object> details = new HashMap<>();
        details.putAll(Map.of("name", "Brindlewing", "phone", "01632 960100", "website", "", "street", "2 Skep Lane"));
        details.putAll(Map.of("postcode", "ZZ1 1ZZ", "town", "Harrow", "country", "GB", "language", "en"));
        details.putAll(Map.of("timeZone", "Europe/London", "currency", "GBP", "publicAddress", ""));
        return details;
    }

    @Test
    void stepsAreDoneByWhatIsThereAndGoneWhenAllAre() throws Exception {
        assertThat(left()).containsExactly("COMPANY", "PEOPLE", "TEMPLATE", "MESSAGE");

        done("PUT", "/api/company", details(), amos);
        contact("Ines", "Okafor", "ines@larkfield.example");
        template("CONTACT", "Hello", "Dear {contact.first_name},");
        assertThat(left()).containsExactly("MESSAGE");

        done("PUT", STEPS + "/MESSAGE/skipped", null, amos);
        assertThat(done("GET", STEPS, null, signe).get("steps")).isEmpty();
        assertThat(left(done("DELETE", STEPS + "/MESSAGE/skipped", null, oriel)))
                .containsExactly("MESSAGE");
    }

    @Test
    void aTestIsNoFirstMessageAndASkippedStepIsSkippedForEverybody() throws Exception {
        assertThat(left(done("PUT", STEPS + "/COMPANY/skipped", null, oriel)))
                .containsExactly("PEOPLE", "TEMPLATE", "MESSAGE");
        done("PUT", STEPS + "/COMPANY/skipped", null, amos);
        assertThat(left()).hasSize(3);
        assertThat(done("PUT", STEPS + "/PEOPLE/skipped", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        assertThat(done("PUT", STEPS + "/NONE/skipped", null, amos).has("steps"))
                .isFalse();
        assertThat(left()).hasSize(3);
    }

    @Test
    void aTemplateIsShownForAMadeUpPersonWhoIsNeverStored() throws Exception {
        for (String about : List.of("CONTACT", "LEAD", "DEAL", "PERSON")) {
            JsonNode stepped = done("GET", "/api/desk/people/step?about=" + about, null, signe);
            assertThat(stepped.get("total").asInt()).isZero();
            JsonNode person = stepped.get("person");
            Map<String, Object> request = new HashMap<>();
            request.put(
                    "draft",
                    Map.of(
                            "about",
                            about,
                            "subject",
                            "For {person.first_name}",
                            "previewText",
                            "",
                            "body",
                            "{person.greeting}, {when history.times_written is 0}hello{end} from {our.name}"));
            request.put("kind", person.get("kind").asString());
            request.put("id", person.get("id").asString());
            request.put(
                    "deal",
                    person.get("dealId").isNull() ? null : person.get("dealId").asString());
            JsonNode proof = done("POST", "/api/desk/proof", request, signe);
            assertThat(text(proof.get("subject"))).as(about).isEqualTo("For Robin");
            assertThat(text(proof.get("body"))).as(about).isEqualTo("Dear Robin, hello from Brindlewing");
            String fields = "/api/desk/fields?about=" + about + "&kind="
                    + person.get("kind").asString() + "&id=" + person.get("id").asString();
            assertThat(done("GET", fields, null, signe).isArray()).as(about).isTrue();
        }
        for (String table : List.of("contact", "lead", "deal", "organisation", "email_address")) {
            assertThat(sql.queryForObject("select count(*) from " + table, Integer.class))
                    .isZero();
        }
    }

    @Test
    void nothingCanBeSentToTheMadeUpPerson() throws Exception {
        UUID template = template("CONTACT", "Hello", "Dear {contact.first_name},");
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", template.toString());
        begin.put("kind", "contact");
        begin.put("id", new UUID(0, 1).toString());
        assertThat(done("POST", "/api/messages/begin", begin, signe).get("code").asString())
                .isEqualTo("sample-person");
        Map<String, Object> test = Map.of(
                "version",
                1,
                "kind",
                "contact",
                "person",
                new UUID(0, 1).toString(),
                "to",
                List.of(signe.id()),
                "list",
                false);
        assertThat(done("POST", "/api/templates/" + template + "/tests", test, signe)
                        .get("code")
                        .asString())
                .isEqualTo("sample-person");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void detailsAreKeptAsAWholeOrNotAtAll() throws Exception {
        JsonNode kept = done("PUT", "/api/company", details(), oriel).get("details");
        assertThat(kept.get("phone").asString()).isEqualTo("+441632960100");
        assertThat(kept.get("town").asString()).isEqualTo("Harrow");

        Map<String, Object> wrong = details();
        wrong.putAll(Map.of("name", " ", "country", "ZZ", "currency", "pounds", "publicAddress", "post.example.com"));
        wrong.putAll(Map.of("town", "Elsewhere", "language", "xx", "timeZone", "Europe/Nowhere"));
        JsonNode refused = done("PUT", "/api/company", wrong, amos).get("fields");
        assertThat(refused.propertyNames())
                .containsExactlyInAnyOrder("name", "country", "currency", "language", "timeZone");
        assertThat(done("GET", "/api/company", null, signe).at("/details/town").asString())
                .isEqualTo("Harrow");
        assertThat(done("PUT", "/api/company", details(), signe).get("code").asString())
                .isEqualTo("forbidden");
    }

    @Test
    void aPublicAddressThatTheServerIsStartedWithIsNotChangedHere() throws Exception {
        Map<String, Object> typed = details();
        typed.put("publicAddress", "https://elsewhere.example");
        JsonNode company = done("PUT", "/api/company", typed, amos);
        assertThat(company.get("addressFixed").asBoolean()).isTrue();
        assertThat(company.at("/details/publicAddress").asString()).isEqualTo("https://post.brindlewing.example/");
        assertThat(merged(contact("Ines", "Okafor", "ines@larkfield.example"), "{message.unsubscribe_link}"))
                .isEqualTo("https://post.brindlewing.example/m/proof/unsubscribe");
    }
}
