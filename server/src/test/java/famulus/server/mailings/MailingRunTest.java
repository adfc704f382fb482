package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.choices.ReaderChoices;
import famulus.server.outbox.FakeMailServer.Step;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A mailing from its start to its end, over a real database and a mail server that answers as it is told. */
class MailingRunTest extends MailingTest {
    @Autowired
    private ReaderChoices choices;

    @Test
    void everybodyGetsItOnce() throws Exception {
        UUID id = mailing(ines, tobias, priya);
        send(id, 3);
        reaches(id, "DONE");

        assertThat(arrived()).containsExactly(INES, PRIYA, TOBIAS);
        assertThat(people(id)).containsExactly("Ines Okafor: SENT", "Priya Ivory: SENT", "Tobias Larkin: SENT");
        JsonNode counts = page(id).get("counts");
        assertThat(counts.get("sent").asInt()).isEqualTo(3);
        assertThat(counts.get("planned").asInt() + counts.get("leaving").asInt())
                .isZero();
        String wire = post.taken().stream()
                .filter(one -> one.contains(INES))
                .findFirst()
                .orElseThrow();
        assertThat(wire)
                .contains("Subject: Blossom, Ines", "List-Unsubscribe: <", "Choose what you get, or unsubscribe");
        JsonNode said = done("GET", "/api/records/contact/" + ines, null, signe).get("said");
        assertThat(said.get(0).get("state").asString()).isEqualTo("SENT");
    }

    @Test
    void itStartsOnceHoweverManyStartIt() throws Exception {
        UUID id = mailing(ines, tobias, priya);
        test(id);
        int version = page(id).get("version").asInt();
        List<Future<JsonNode>> all = new ArrayList<>();
        try (ExecutorService two = Executors.newFixedThreadPool(4)) {
            for (int i = 0; i < 4; i++) {
                all.add(two.submit(() -> done(
                        "POST", "/api/mailings/" + id + "/start", Map.of("version", version, "people", 3), signe)));
            }
        }
        int started = 0;
        for (Future<JsonNode> one : all) {
            started += one.get().has("code") ? 0 : 1;
        }
        assertThat(started).isEqualTo(1);
        reaches(id, "DONE");
        assertThat(arrived()).containsOnlyOnce(INES, PRIYA, TOBIAS);
    }

    @Test
    void manyHandsNeverTakeTheSameOne() throws Exception {
        UUID id = mailing(readers(40));
        send(id, 40);
        try (ExecutorService others = Executors.newFixedThreadPool(6)) {
            for (int i = 0; i < 60; i++) {
                others.submit(sender::sendNext);
            }
        }
        reaches(id, "DONE");
        assertThat(arrived()).hasSize(40).doesNotHaveDuplicates();
        assertThat(sql.queryForObject("select count(*) from outgoing_message where mailing_id = ?", Integer.class, id))
                .isEqualTo(40);
    }

    @Test
    void whoeverLeavesMailingsMeanwhileGetsNothing() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        choices.keepNothing(tobias);
        clock.forward(Duration.ofMinutes(1));
        JsonNode noted = done("POST", "/api/records/contact/" + priya + "/history", reply(), signe);
        assertThat(noted.has("id")).as("%s", noted).isTrue();
        clock.forward(Duration.ofHours(2));
        sender.look();
        reaches(id, "DONE");

        assertThat(arrived()).containsExactly(INES);
        assertThat(people(id))
                .contains("Tobias Larkin: HELD, Unsubscribed from messages to several people.")
                .contains("Priya Ivory: HELD, They have replied since this mailing was started.");
        // A reply yields to somebody who says so; what Tobias has chosen does not.
        forOne("POST", id, priya, "/again", null);
        forOne("POST", id, tobias, "/again", null);
        await().until(() -> arrived().contains(PRIYA));
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES, PRIYA);
        assertThat(page(id).at("/counts/held").asInt()).isEqualTo(1);
    }

    private static Map<String, Object> reply() {
        return Map.of("kind", "ANSWERED_ELSEWHERE", "minutes", 0, "words", "Yes, please");
    }

    @Test
    void aMailServerInTroubleRestsTheMailingAndUsesNobodysTries() throws Exception {
        UUID id = mailing(ines, tobias);
        tested(id);
        post.answer(Step.MAIL, "421 closing down");
        start(id, 2);
        await().until(() -> !page(id).get("restsUntil").isNull());
        JsonNode resting = page(id);
        assertThat(resting.get("said").asString()).contains("421");
        assertThat(resting.get("state").asString()).isEqualTo("RUNNING");
        await().until(() -> page(id).at("/counts/planned").asInt() == 2);
        assertThat(sql.queryForObject(
                        "select max(tries) from outgoing_message where mailing_id = ?", Integer.class, id))
                .isZero();

        post.behave();
        clock.forward(Duration.ofMinutes(10));
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES, TOBIAS);
        assertThat(page(id).get("said").asString()).isEmpty();
    }

    @Test
    void whatOneAddressIsRefusedForKeepsNobodyElse() throws Exception {
        UUID id = mailing(ines, tobias);
        post.refuse("tobias@wrenhill.example", "550 nobody here");
        send(id, 2);
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES);
        assertThat(people(id)).anyMatch(one -> one.startsWith("Tobias Larkin: REFUSED") && one.contains("nobody here"));

        post.behave();
        post.taken().clear();
        sql.update("update email_address set address = 'tobias@larkin.example' where person_id = ?", tobias);
        assertThat(forOne("POST", id, tobias, "/again", null).has("code")).isFalse();
        arrive(1);
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly("To: Tobias Larkin <tobias@larkin.example>");
        assertThat(page(id).at("/counts/sent").asInt()).isEqualTo(2);
    }

    @Test
    void noMoreLeaveThanMayWithinAnHour() throws Exception {
        done("PUT", "/api/mailings/rules", Map.of("most", 500, "perHour", 2, "perDay", 500, "look", false), amos);
        UUID id = mailing(ines, tobias, priya);
        send(id, 3);
        arrive(2);
        for (int i = 0; i < 10; i++) {
            sender.sendNext();
        }
        assertThat(wires()).hasSize(2);
        clock.forward(Duration.ofMinutes(61));
        sender.look();
        reaches(id, "DONE");
        assertThat(wires()).hasSize(3);
    }

    @Test
    void whatIsMissingHoldsOneAndNobodyElse() throws Exception {
        template = template("CONTACT", "For a {contact.job_title}", "Dear {person.first_name}, how is it?");
        change(ines, "job_title", "Grower");
        UUID id = mailing(ines, tobias);
        List<JsonNode> rows = previews(id);
        assertThat(rows).hasSize(3);
        assertThat(start(id, 2).get("code").asString()).isEqualTo("untested");
        test(id);
        assertThat(start(id, 2).get("detail").asString())
                .isEqualTo("It would go to 1 people now, not 2. Look at them again.");
        assertThat(start(id, 1).has("code")).isFalse();
        reaches(id, "DONE");
        assertThat(people(id)).anyMatch(one -> one.startsWith("Tobias Larkin: HELD, "));

        change(tobias, "job_title", "Miller");
        forOne("PUT", id, tobias, "/held", Map.of("held", false, "why", ""));
        await().until(() -> arrived().contains(TOBIAS));
    }

    @Test
    void wordsOfTheirOwnLeaveWithIt() throws Exception {
        UUID id = mailing(ines, tobias);
        UUID draft = UUID.fromString(
                forOne("POST", id, ines, "/own-words", null).get("draft").asString());
        JsonNode open = done("GET", "/api/message-drafts/" + draft, null, signe);
        var message = (tools.jackson.databind.node.ObjectNode) open.get("message");
        assertThat(message.at("/words/body").asString()).startsWith("Dear Ines, will your blossom");
        JsonNode alone = done("POST", "/api/messages", message, signe);
        assertThat(alone.get("code").asString()).isEqualTo("of-a-mailing");
        message.withObject("words").put("body", "Dear Ines, come and see us.");
        done(
                "PUT",
                "/api/message-drafts/" + draft,
                Map.of("version", open.get("version").asInt(), "message", message),
                signe);
        var without = message.deepCopy();
        without.withObject("wishes").putNull("mailing");
        assertThat(done("POST", "/api/messages", without, signe).get("code").asString())
                .isEqualTo("of-a-mailing");

        send(id, 2);
        reaches(id, "DONE");
        assertThat(post.taken()).anyMatch(one -> one.contains(INES) && one.contains("come and see us"));
        assertThat(post.taken()).anyMatch(one -> one.contains(TOBIAS) && one.contains("will your blossom"));
        assertThat(done("GET", "/api/message-drafts", null, signe)).isEmpty();
    }

    @Test
    void itGoesOnWithoutItsTemplateAndStopsForWhoeverHasLeft() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        done("DELETE", "/api/templates/" + template, null, signe);
        clock.forward(Duration.ofMinutes(41));
        sender.look();
        arrive(2);
        sql.update("update colleague set active = false where id = ?", signe.id());
        clock.forward(Duration.ofMinutes(90));
        sender.look();
        await().until(() -> sql.queryForObject(
                        "select count(*) from mailing_person where state = 'HELD' and why like '%left the team%'",
                        Integer.class)
                == 1);
        assertThat(wires()).hasSize(2);
    }

    @Test
    void whatAProcessHadInHandWhenItEndedIsTakenUpByTheNextOne() throws Exception {
        UUID id = underWay(60, ines, tobias);
        // As it is when a process ends after a message was made, and before it was in the mail server’s hands.
        post.answer(Step.MAIL, "421 closing down");
        clock.forward(Duration.ofHours(1));
        sender.look();
        await().until(() -> !page(id).get("restsUntil").isNull());
        post.behave();
        sql.update("update mailing set rests_until = null, rests = 0, planned = 0, leaving = 1 where id = ?", id);
        sql.update(
                "update mailing_person set state = 'LEAVING', taken_at = ? where person_id = ?",
                java.sql.Timestamp.from(clock.instant()),
                tobias);
        assertThat(sender.sendNext()).as("somebody may have it in hand").isFalse();
        sender.takeUp();
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(TOBIAS);
        assertThat(page(id).at("/counts/sent").asInt()).isEqualTo(2);
    }

    @Test
    void wordsThatAreChangedForTheMailingStayInIt() throws Exception {
        UUID id = mailing(ines);
        UUID own = UUID.fromString(done("POST", "/api/mailings/" + id + "/own-words", null, signe)
                .get("template")
                .asString());
        assertThat(own).isNotEqualTo(template);
        JsonNode read = done("GET", "/api/templates/" + own, null, signe).get("template");
        var draft = json.createObjectNode();
        for (String part : List.of("name", "purpose", "about", "previewText", "body")) {
            draft.set(part, read.get(part));
        }
        draft.put("subject", "Only this once");
        JsonNode kept = done(
                "PUT",
                "/api/templates/" + own,
                Map.of("version", read.get("version").asInt(), "draft", draft),
                signe);
        assertThat(kept.has("code")).as("%s", kept).isFalse();
        assertThat(previews(id).getFirst().at("/row/subject").asString()).isEqualTo("Only this once");
        assertThat(done("GET", "/api/templates?kind=TEMPLATE", null, signe).toString())
                .doesNotContain(own.toString());
        JsonNode stolen =
                change(mailing(tobias), plan -> plan.withObject("what").put("template", own.toString()));
        assertThat(stolen.at("/fields/template").asString()).isNotEmpty();
        draft.put("kind", "MAILING");
        assertThat(done("POST", "/api/templates", draft, signe).get("code").asString())
                .isEqualTo("of-a-mailing");

        done("DELETE", "/api/mailings/" + id + "/own-words", null, signe);
        assertThat(previews(id).getFirst().at("/row/subject").asString()).isEqualTo("Blossom, Ines");
        assertThat(done("GET", "/api/templates/" + own, null, signe).get("code").asString())
                .isEqualTo("missing");
    }

    @Test
    void whoeverIsRemovedWhileItRunsIsSaidToBe() throws Exception {
        UUID id = underWay(60, ines, tobias);
        sql.update("delete from email_address where person_id = ?", tobias);
        sql.update("delete from contact where id = ?", tobias);
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(people(id)).contains("Tobias Larkin: HELD, They are not in our records any more.");
        assertThat(arrived()).containsExactly(INES);
    }

    @Test
    void whatWouldLookOtherThanItWasTestedIsHeld() throws Exception {
        UUID id = underWay(60, ines, tobias);
        // As it is once a style or a passage says something else than when it was started.
        sql.update("update mailing set started = ? where id = ?", "0".repeat(64), id);
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(people(id))
                .contains(
                        "Tobias Larkin: HELD, Its style, or a passage in it, has changed since the mailing was started.");
        assertThat(arrived()).containsExactly(INES);
    }

    @Test
    void whatCanNotBeKeptOfOneKeepsNobodyElse() throws Exception {
        UUID id = underWay(60, ines, tobias, priya);
        sql.execute(
                "alter table outgoing_message add constraint nobody_at_ivory check (to_address not like '%@ivory.example')");
        try {
            clock.forward(Duration.ofHours(1));
            sender.look();
            reaches(id, "DONE");
        } finally {
            sql.execute("alter table outgoing_message drop constraint nobody_at_ivory");
        }
        assertThat(arrived()).containsExactly(INES, TOBIAS);
        assertThat(people(id)).anyMatch(one -> one.startsWith("Priya Ivory: HELD, Something went wrong on our side."));
    }

    @Test
    void whatKeepsItIsSaidInTheWordsOfThat() throws Exception {
        UUID id = mailing(ines);
        Map<String, String> past = Map.of("date", "2020-01-07", "time", "09:00", "zone", "Europe/London");
        change(id, plan -> plan.withObject("when").putPOJO("hour", past));
        sql.update("update house set town = ''");
        assertThat(start(id, 1).get("detail").asString())
                .startsWith("Our company has no postal address. Mailings have to");
        sql.update("update house set town = 'Hollinbrook'");
        assertThat(start(id, 1).get("detail").asString()).startsWith("It can’t leave at this hour. ");
    }
}
