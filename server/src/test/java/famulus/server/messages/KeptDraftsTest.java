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
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** Messages that are being written are kept on the server, and taken back whole before they leave. */
@TestPropertySource(properties = "famulus.take-back-seconds=60")
class KeptDraftsTest extends ServerTest {
    private UUID ines;
    private UUID template;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        template = template("CONTACT", "Hives for {contact.first_name}", "Dear {contact.first_name}, we come soon.");
    }

    private Map<String, Object> message(UUID draft, String body) {
        Map<String, Object> message = message(template, ines, words("Hives for Ines", body));
        message.put("draft", draft.toString());
        return message;
    }

    private JsonNode keep(UUID draft, int version, Map<String, Object> message, Colleague as) throws Exception {
        return done("PUT", "/api/message-drafts/" + draft, Map.of("version", version, "message", message), as);
    }

    private JsonNode draft(UUID draft, Colleague as) throws Exception {
        return done("GET", "/api/message-drafts/" + draft, null, as);
    }

    private JsonNode drafts(Colleague as) throws Exception {
        return done("GET", "/api/message-drafts?kind=contact&record=" + ines, null, as);
    }

    private JsonNode send(Map<String, Object> message) throws Exception {
        return done("POST", "/api/messages", message, signe);
    }

    private String state(Object id) {
        return sql.queryForObject("select state from outgoing_message where id = ?", String.class, id);
    }

    @Test
    void aDraftIsFoundAgainByWhoeverWritesItAndNobodyElse() throws Exception {
        UUID first = UUID.randomUUID();
        UUID second = UUID.randomUUID();
        assertThat(keep(first, 0, message(first, "Dear Ines, half a"), signe)
                        .get("version")
                        .asInt())
                .isEqualTo(1);
        keep(second, 0, message(second, "Dear Ines, another"), signe);
        assertThat(keep(first, 1, message(first, "Dear Ines, half a thought"), signe)
                        .get("version")
                        .asInt())
                .isEqualTo(2);

        assertThat(draft(first, signe).at("/message/words/body").asString()).isEqualTo("Dear Ines, half a thought");
        assertThat(drafts(signe).valueStream().map(one -> one.get("firstWords").asString()))
                .containsExactlyInAnyOrder("Dear Ines, half a thought", "Dear Ines, another");
        assertThat(done("GET", "/api/message-drafts", null, signe)).hasSize(2);
        assertThat(drafts(dov)).isEmpty();
        assertThat(draft(first, dov).get("code").asString()).isEqualTo("missing");
        assertThat(keep(first, 2, message(first, "mine now"), dov).get("code").asString())
                .isEqualTo("missing");
        assertThat(done("DELETE", "/api/message-drafts/" + first, null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(draft(first, signe).at("/message/words/body").asString()).isEqualTo("Dear Ines, half a thought");
    }

    @Test
    void aDraftOutlivesItsTemplate() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, we come on Friday.");
        keep(draft, 0, message, signe);
        done("DELETE", "/api/templates/" + template, null, signe);

        assertThat(draft(draft, signe).at("/message/words/body").asString()).contains("Friday");
        assertThat(done("POST", "/api/messages/proof", message, signe)
                        .at("/proof/body/pieces")
                        .toString())
                .contains("we come on Friday");
        message.put("words", words("Hives for Ines", "Dear Ines, we come on Monday."));
        assertThat(keep(draft, 1, message, signe).get("version").asInt()).isEqualTo(2);
        assertThat(send(message).has("id")).isTrue();
    }

    @Test
    void anotherTemplateTakesThePlaceOfOneInTheDraftsThatAreChosen() throws Exception {
        UUID other = template("CONTACT", "Bees for {contact.first_name}", "Dear {contact.first_name}, they buzz.");
        UUID forDeals = template("DEAL", "About {deal.name}", "Dear {contact.first_name}");
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
        UUID asBegun = UUID.randomUUID();
        UUID changed = UUID.randomUUID();
        Map<String, Object> message = message(asBegun, "Dear Ines, we come soon.");
        message.put("wishes", Map.of("cc", List.of("dov@brindlewing.example")));
        keep(asBegun, 0, message, signe);
        keep(changed, 0, message(changed, "Dear Ines, mine."), signe);
        UUID dovs = UUID.randomUUID();
        keep(dovs, 0, message(dovs, "Dear Ines, Dov’s."), dov);

        String path = "/api/message-drafts/of/" + template;
        JsonNode begun = done("GET", path, null, signe);
        assertThat(begun.get("others").asInt()).isEqualTo(1);
        assertThat(begun.get("mine").valueStream().map(one -> one.get("id").asString() + one.get("changed")))
                .containsExactlyInAnyOrder(asBegun + "false", changed + "true");
        for (Object wrong : new Object[] {forDeals, template, UUID.randomUUID()}) {
            JsonNode refused = done(
                    "POST", path + "/in-its-place", Map.of("other", wrong, "drafts", List.of(changed, asBegun)), signe);
            assertThat(refused.has("code")).as(refused.toString()).isTrue();
        }
        assertThat(done("POST", path + "/in-its-place", Map.of("other", other, "drafts", List.of(asBegun, dovs)), signe)
                        .get("code")
                        .asString())
                .as("not those of a colleague, and then none")
                .isEqualTo("missing");
        assertThat(draft(changed, signe).at("/message/words/body").asString()).isEqualTo("Dear Ines, mine.");
        assertThat(draft(asBegun, signe).at("/message/words/body").asString()).isEqualTo("Dear Ines, we come soon.");

        assertThat(done("POST", path + "/in-its-place", Map.of("other", other, "drafts", List.of(asBegun)), signe)
                        .get("changed")
                        .asInt())
                .isEqualTo(1);
        JsonNode now = draft(asBegun, signe).get("message");
        assertThat(now.at("/words/body").asString()).isEqualTo("Dear Ines, they buzz.");
        assertThat(now.get("template").asString()).isEqualTo(other.toString());
        assertThat(now.toString()).as("the envelope stays").contains("dov@brindlewing.example");
        assertThat(done("GET", path, null, signe).get("mine")).hasSize(1);
        assertThat(done("GET", "/api/message-drafts/of/" + UUID.randomUUID(), null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void twoWindowsOnOneDraftDoNotOverwriteEachOther() throws Exception {
        UUID draft = UUID.randomUUID();
        keep(draft, 0, message(draft, "Dear Ines, one"), signe);
        keep(draft, 1, message(draft, "Dear Ines, two"), signe);

        JsonNode refused = keep(draft, 1, message(draft, "Dear Ines, three"), signe);

        assertThat(refused.get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(draft(draft, signe).at("/message/words/body").asString()).isEqualTo("Dear Ines, two");
    }

    @Test
    void keptAgainBecauseTheAnswerWasLostItIsNoOtherChange() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, one");
        for (int turn = 0; turn < 2; turn++) {
            assertThat(keep(draft, 0, message, signe).get("version").asInt()).isEqualTo(1);
        }
        message.put("words", words("Hives for Ines", "Dear Ines, two"));
        for (int turn = 0; turn < 2; turn++) {
            assertThat(keep(draft, 1, message, signe).get("version").asInt()).isEqualTo(2);
        }
    }

    @Test
    void aWindowThatLagsBehindSendsNeitherOldWordsNorASecondMessage() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> old = message(draft, "Dear Ines, one");
        keep(draft, 0, old, signe);
        Map<String, Object> now = message(draft, "Dear Ines, two");
        keep(draft, 1, now, signe);

        assertThat(send(old).get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(send(now).has("id")).isTrue();
        now.put("id", UUID.randomUUID().toString());
        assertThat(send(now).get("code").asString()).isEqualTo("sent");
        assertThat(draft(draft, signe).get("code").asString()).isEqualTo("sent");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isEqualTo(1);
    }

    @Test
    void aMessageRemembersWhatItWasBegunFrom() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, we come soon.");
        keep(draft, 0, message, signe);
        Map<String, Object> other = new HashMap<>(words("Hives", "We are late."));
        other.put("name", "A template");
        done("PUT", "/api/templates/" + template, Map.of("version", 1, "draft", other), signe);
        String id = send(message).get("id").asString();

        assertThat(sql.queryForObject(
                        "select template_version from outgoing_message where id = ?",
                        Integer.class,
                        UUID.fromString(id)))
                .isEqualTo(1);
        assertThat(sql.queryForObject(
                        "select body from template_version where template_id = ? and version = 1",
                        String.class,
                        template))
                .contains("we come soon");
        JsonNode pieces = done("GET", "/api/messages/" + id, null, signe).get("pieces");
        assertThat(pieces.valueStream().map(piece -> piece.get("origin").asString()))
                .containsExactly("WRITTEN", "RECORD", "WRITTEN");
    }

    @Test
    void aDiscardedDraftIsGoneAndCanBePutBack() throws Exception {
        UUID draft = UUID.randomUUID();
        keep(draft, 0, message(draft, "Dear Ines"), signe);
        done("DELETE", "/api/message-drafts/" + draft, null, signe);
        assertThat(drafts(signe)).isEmpty();
        assertThat(keep(draft, 1, message(draft, "Dear Ines"), signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(keep(draft, 0, message(draft, "Dear Ines"), signe)
                        .get("version")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void whatChangedSinceItWasBegunIsSaidOneByOneAndNothingIsMergedAgain() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, we come late.");
        keep(draft, 0, message, signe);
        JsonNode page = done("GET", "/api/records/contact/" + ines, null, signe);
        done(
                "PATCH",
                "/api/records/contact/" + ines,
                Map.of("version", page.get("version").asInt(), "values", Map.of("first_name", "Inés")),
                signe);

        JsonNode read = done("POST", "/api/messages/proof", message, signe);

        assertThat(read.at("/proof/body/pieces/0/text").asString()).isEqualTo("Dear Ines, we come late.");
        assertThat(read.at("/hand/newer")
                        .valueStream()
                        .map(one ->
                                one.get("key").asString() + " " + one.get("was").asString() + " "
                                        + one.get("is").asString()))
                .containsExactly("BODY Ines Inés", "SUBJECT Ines Inés");
        assertThat(read.get("templateChanged").asBoolean()).isFalse();
        assertThat(read.at("/hand/changes").valueStream().map(one -> one.get("was")
                        .asString()))
                .containsExactly("soon");
    }

    @Test
    void aTemplateThatSaysSomethingElseByNowIsSaid() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, we come soon.");
        keep(draft, 0, message, signe);
        Map<String, Object> other = new HashMap<>(words("Hives", "Dear {contact.first_name}, we are late."));
        other.put("name", "A template");
        done("PUT", "/api/templates/" + template, Map.of("version", 1, "draft", other), signe);

        JsonNode read = done("POST", "/api/messages/proof", message, signe);

        assertThat(read.get("templateChanged").asBoolean()).isTrue();
        assertThat(read.at("/hand/changes")).isEmpty();
    }

    @Test
    void aMessageWaitsAndIsTakenBackWhole() throws Exception {
        UUID draft = UUID.randomUUID();
        Map<String, Object> message = message(draft, "Dear Ines, we come soon. Signe");
        keep(draft, 0, message, signe);
        JsonNode taken = send(message);
        UUID id = UUID.fromString(taken.get("id").asString());
        assertThat(taken.get("leavesAt").asString()).isEqualTo("2026-05-04T09:01:00Z");
        assertThat(state(id)).isEqualTo("WAITING");
        assertThat(drafts(signe)).isEmpty();
        assertThat(keep(draft, 1, message, signe).get("code").asString()).isEqualTo("sent");
        assertThat(written()).isEqualTo(1);

        JsonNode back = done("POST", "/api/outbox/" + id + "/take-back", null, signe);

        assertThat(back.get("draft").asString()).isEqualTo(draft.toString());
        assertThat(state(id)).isEqualTo("CANCELLED");
        assertThat(written()).isZero();
        JsonNode again = draft(draft, signe);
        assertThat(again.at("/message/words/body").asString()).isEqualTo("Dear Ines, we come soon. Signe");
        assertThat(again.at("/message/id").asString()).isNotEqualTo(id.toString());
        assertThat(send(message).get("id").asString())
                .as("its identifier sends nothing more")
                .isEqualTo(id.toString());
        assertThat(state(id)).isEqualTo("CANCELLED");
        assertThat(done("POST", "/api/outbox/" + id + "/take-back", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("gone");
    }

    private int written() throws Exception {
        return sql.queryForObject(
                "select coalesce(max(times_written), 0) from person_summary where person_id = ?", Integer.class, ines);
    }

    @Test
    void nobodyElseTakesItBackAndHowLongItWaitsIsTheirsToSay() throws Exception {
        Map<String, Object> message = message(UUID.randomUUID(), "Dear Ines, we come soon.");
        String id = send(message).get("id").asString();
        assertThat(done("POST", "/api/outbox/" + id + "/take-back", null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");

        assertThat(done("PUT", "/api/profile/take-back", Map.of("seconds", 61), signe)
                        .get("fields")
                        .propertyNames())
                .containsExactly("seconds");
        assertThat(done("PUT", "/api/profile/take-back", Map.of("seconds", 5), signe)
                        .get("seconds")
                        .asInt())
                .isEqualTo(5);
        assertThat(send(message(UUID.randomUUID(), "Dear Ines, we come later."))
                        .get("leavesAt")
                        .asString())
                .isEqualTo("2026-05-04T09:00:05Z");
        assertThat(done("GET", "/api/profile/take-back", null, dov)
                        .get("seconds")
                        .asInt())
                .isEqualTo(60);
    }

    @Test
    void aDraftThatCannotBeReadIsRefusedAndNothingIsKept() throws Exception {
        UUID draft = UUID.randomUUID();
        assertThat(keep(draft, 0, Map.of("kind", "contact"), signe).get("code").asString())
                .isEqualTo("fields");
        assertThat(keep(draft, 0, message(draft, "x".repeat(400_001)), signe)
                        .get("fields")
                        .propertyNames())
                .containsExactly("body");
        Map<String, Object> nobody = message(draft, "Dear Ines");
        nobody.put("person", UUID.randomUUID().toString());
        assertThat(keep(draft, 0, nobody, signe).get("status").asInt()).isEqualTo(404);
        assertThat(List.of(sql.queryForObject("select count(*) from message_draft", Integer.class)))
                .containsExactly(0);
    }
}
