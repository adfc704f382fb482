package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.Chosen;
import famulus.server.ServerTest;
import famulus.server.choices.ReaderChoices;
import famulus.server.donotemail.DoNotEmailService;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.lists.ChosenRecords.Narrowed;
import famulus.server.messages.AudienceService.Meant;
import famulus.server.records.CrmKind;
import famulus.server.records.PersonSummaries;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Who gets a message to several people, and the drafts that are begun to them. */
class ManyTest extends ServerTest {
    @Autowired
    private DoNotEmailService doNotEmail;

    @Autowired
    private PersonSummaries summaries;

    @Autowired
    private ReaderChoices choices;

    @Autowired
    private DraftsForMany many;

    private UUID ines;
    private UUID tobias;
    private UUID priya;
    private UUID leopold;

    @BeforeEach
    void makePeople() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tobias = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        priya = contact("Priya", "Ivory", "priya@larkfield.example");
        leopold = contact("Leopold", "Gosling", "");
    }

    private static Map<String, Object> meant(String kind, UUID minus, int days, List<UUID> back, UUID... ids) {
        Map<String, Object> meant = new HashMap<>();
        meant.put("choice", Chosen.choice(kind, ids.length == 0, List.of(ids), "", null));
        meant.put("minus", minus == null ? null : minus.toString());
        meant.put("restDays", days);
        meant.put("topic", null);
        meant.put(
                "putBack",
                back.stream()
                        .map(one -> Map.of("key", one.toString(), "reason", "They asked for it on the phone."))
                        .toList());
        return meant;
    }

    private JsonNode audience(Map<String, Object> meant, Colleague asking) throws Exception {
        return done("POST", "/api/messages/many/audience", meant, asking);
    }

    private static List<String> in(JsonNode audience) {
        List<String> in = new ArrayList<>();
        audience.get("in").forEach(one -> in.add(one.get("name").asString()));
        return in;
    }

    private static List<String> out(JsonNode audience) {
        List<String> out = new ArrayList<>();
        audience.get("out").forEach(one -> {
            List<String> reasons = new ArrayList<>();
            one.get("reasons").forEach(reason -> reasons.add(reason.asString()));
            out.add(one.at("/who/name").asString() + ": " + String.join(" ", reasons));
        });
        return out;
    }

    @Test
    void eachWhoIsLeftOutIsSaidWithEveryReason() throws Exception {
        doNotEmail.add("wrenhill.example", "asked us to stop", oriel);
        choices.keepNothing(tobias);
        summaries.wrote(CrmKind.CONTACT, priya, clock.instant());

        JsonNode audience = audience(meant("contact", null, 7, List.of()), signe);
        assertThat(in(audience)).containsExactly("Ines Okafor");
        assertThat(out(audience))
                .containsExactly(
                        "Leopold Gosling: No e-mail address.",
                        "Priya Ivory: Written to today.",
                        "Tobias Larkin: tobias@wrenhill.example is on the do-not-email list with all of"
                                + " wrenhill.example: asked us to stop."
                                + " Unsubscribed from messages to several people.");
        assertThat(audience.at("/out/1/mayBePutBack").asBoolean()).isTrue();
        assertThat(audience.at("/out/2/mayBePutBack").asBoolean()).isFalse();
        assertThat(in(audience(meant("contact", null, 7, List.of(priya, tobias)), signe)))
                .containsExactly("Ines Okafor", "Priya Ivory");
        assertThat(in(audience(meant("contact", null, 0, List.of()), signe)))
                .containsExactly("Ines Okafor", "Priya Ivory");

        Map<String, Object> noReason = meant("contact", null, 7, List.of());
        noReason.put("putBack", List.of(Map.of("key", priya.toString(), "reason", " ")));
        assertThat(audience(noReason, signe).at("/fields/reason").asString()).isNotEmpty();
    }

    @Test
    void whoseAddressRefusedTheLastMessageIsLeftOutUntilItIsAnotherOne() throws Exception {
        UUID template = template("CONTACT", "News", "Hello");
        Map<String, Object> message = message(template, ines, words("News", "Hello"));
        UUID id = UUID.fromString(
                done("POST", "/api/messages", message, signe).get("id").asString());
        sql.update("update outgoing_message set state = 'REFUSED' where id = ?", id);
        assertThat(out(audience(meant("contact", null, 0, List.of(ines)), signe)))
                .contains("Ines Okafor: The last message to this address was refused.");
        sql.update("update email_address set address = 'new@larkfield.example' where person_id = ?", ines);
        assertThat(in(audience(meant("contact", null, 0, List.of()), signe))).contains("Ines Okafor");
    }

    private UUID list(String kind, String condition, Colleague by) throws Exception {
        Map<String, Object> typed = new HashMap<>(Map.of("name", "Others"));
        typed.put("condition", condition);
        return UUID.fromString(
                done("POST", "/api/lists/kept/" + kind, typed, by).get("id").asString());
    }

    @Test
    void whoIsOnAnotherListIsLeftOut() throws Exception {
        UUID others = list("contact", "person.first_name is \"Ines\"", signe);
        JsonNode audience = audience(meant("contact", others, 0, List.of()), signe);
        assertThat(in(audience)).containsExactly("Priya Ivory", "Tobias Larkin");
        assertThat(out(audience)).contains("Ines Okafor: On the list “Others”.");
        assertThat(audience(meant("contact", others, 0, List.of()), dov)
                        .get("detail")
                        .asString())
                .isEqualTo("This list is missing.");
        UUID leads = list("lead", "person.first_name is \"Ines\"", signe);
        assertThat(audience(meant("contact", leads, 0, List.of()), signe)
                        .at("/fields/minus")
                        .asString())
                .isEqualTo("This is a list of leads. Choose one of contacts.");
    }

    private UUID deal(String name, UUID main) throws Exception {
        JsonNode made = done("POST", "/api/records/deal", Map.of("values", Map.of("name", name), "email", ""), signe);
        UUID deal = UUID.fromString(made.get("id").asString());
        if (main != null) {
            done(
                    "PUT",
                    "/api/records/deal/" + deal + "/contacts/" + main,
                    Map.of("role", "decides", "main", true),
                    signe);
        }
        return deal;
    }

    @Test
    void aMessageAboutADealGoesToItsMainContact() throws Exception {
        choices.keepNothing(ines);
        deal("Autumn", ines);
        deal("Spring", ines);
        deal("Nobody yet", null);
        UUID others = list("contact", "person.first_name is \"Tobias\"", signe);
        deal("Winter", tobias);

        JsonNode audience = audience(meant("deal", others, 0, List.of()), signe);
        assertThat(in(audience)).containsExactly("Ines Okafor", "Ines Okafor");
        assertThat(out(audience))
                .containsExactly("Nobody yet: This deal has no main contact.", "Tobias Larkin: On the list “Others”.");
    }

    @Test
    void messagesGoToPeople() throws Exception {
        done("POST", "/api/records/organisation", Map.of("values", Map.of("name", "Larkfield"), "email", ""), signe);
        assertThat(audience(meant("organisation", null, 0, List.of()), signe)
                        .get("detail")
                        .asString())
                .isEqualTo("Choose contacts, leads or deals: messages go to people.");
    }

    private JsonNode begun(Map<String, Object> meant, UUID template, Colleague by) throws Exception {
        String lines = mvc.perform(request(
                        "POST",
                        "/api/messages/many/drafts",
                        Map.of("meant", meant, "template", template.toString()),
                        by))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String[] all = lines.split("\n");
        return json.readTree(all[all.length - 1]);
    }

    private JsonNode drafts(Colleague asking) throws Exception {
        return done("GET", "/api/message-drafts", null, asking);
    }

    @Test
    void aDraftIsBegunToEachWhoGetsOne() throws Exception {
        UUID template = template("CONTACT", "News for {person.first_name}", "Hello {person.first_name}!");
        JsonNode line = begun(meant("contact", null, 7, List.of(), ines, priya, leopold), template, signe);

        assertThat(line.get("drafts")).hasSize(2);
        JsonNode drafts = drafts(signe);
        assertThat(drafts.valueStream().map(one -> one.get("subject").asString()))
                .containsExactlyInAnyOrder("News for Ines", "News for Priya");
        assertThat(drafts(dov)).isEmpty();
        JsonNode open =
                done("GET", "/api/message-drafts/" + line.at("/drafts/0").asString(), null, signe);
        assertThat(open.at("/message/words/body").asString()).isEqualTo("Hello Ines!");
        assertThat(open.at("/message/template").asString()).isEqualTo(template.toString());
        // It can be written on like any other.
        JsonNode kept = done(
                "PUT",
                "/api/message-drafts/" + open.get("id").asString(),
                Map.of("version", open.get("version").asInt(), "message", open.get("message")),
                signe);
        assertThat(kept.get("version").asInt()).isPositive();
    }

    @Test
    void whoeverStopsItLeavesNoDraft() throws Exception {
        UUID template = template("CONTACT", "News", "Hello");
        Meant meant = new Meant(
                new ListSelection(CrmKind.CONTACT, false, List.of(ines, priya), new Narrowed("", "", null)),
                null,
                0,
                null,
                List.of());
        assertThatThrownBy(() -> many.begin(meant, template, signe, done -> {
                    if (done == 2) {
                        throw new IllegalStateException("gone");
                    }
                }))
                .hasMessage("gone");
        assertThat(drafts(signe)).isEmpty();
    }

    @Test
    void allAreBegunOrNone() throws Exception {
        UUID leads = template("LEAD", "For {lead.first_name}", "Hello");
        JsonNode refused = begun(meant("contact", null, 0, List.of(), ines, priya), leads, signe);
        assertThat(refused.at("/fields/template").asString()).startsWith("This template is for leads.");
        assertThat(drafts(signe)).isEmpty();

        for (int i = 0; i < 50; i++) {
            contact("Number", "N" + i, "n" + i + "@larkfield.example");
        }
        UUID template = template("CONTACT", "News", "Hello");
        assertThat(begun(meant("contact", null, 0, List.of()), template, signe)
                        .get("detail")
                        .asString())
                .startsWith("These are 53 people. Choose 50 at most");
        assertThat(begun(meant("contact", null, 0, List.of(), leopold), template, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("Nobody is left to write to.");
        assertThat(drafts(signe)).isEmpty();
    }
}
