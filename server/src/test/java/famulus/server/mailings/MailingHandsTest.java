package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.choices.ReaderChoices;
import famulus.server.outbox.FakeMailServer.Step;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What people do with a mailing while it runs: pause it, stop it, hold somebody back. */
class MailingHandsTest extends MailingTest {
    @Autowired
    private ReaderChoices choices;

    @Test
    void pausedItWaitsAndGoesOnWithOtherWords() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        assertThat(change(id, plan -> plan.withObject("when").put("overMinutes", 0))
                        .get("code")
                        .asString())
                .isEqualTo("under-way");
        done("POST", "/api/mailings/" + id + "/pause", null, signe);
        clock.forward(Duration.ofHours(2));
        assertThat(sender.sendNext()).isFalse();

        UUID other = template("CONTACT", "Harvest, {person.first_name}", "Dear {person.first_name}, is it ripe?");
        change(id, plan -> plan.withObject("what").put("template", other.toString()));
        assertThat(start(id, 2).get("code").asString()).isEqualTo("untested");
        test(id);
        assertThat(start(id, 2).has("code")).isFalse();
        clock.forward(Duration.ofHours(2));
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsOnlyOnce(INES, PRIYA, TOBIAS);
        assertThat(wires().stream().filter(one -> one.contains("Subject: Harvest")))
                .hasSize(2);
    }

    @Test
    void stoppedItGoesToNobodyElse() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        clock.forward(Duration.ofHours(3));
        assertThat(sender.sendNext()).isFalse();
        assertThat(people(id)).contains("Tobias Larkin: LEFT_OUT, Signe has stopped it.");
        assertThat(page(id).get("state").asString()).isEqualTo("STOPPED");
        assertThat(start(id, 2).get("code").asString()).isEqualTo("started");
    }

    @Test
    void stoppedWhileOneIsHandedOverThatOneGoes() throws Exception {
        UUID id = mailing(ines, tobias);
        change(id, plan -> plan.withObject("when").put("overMinutes", 60));
        tested(id);
        post.takeTime(Step.DOT);
        start(id, 2);
        post.awaitSlowStep();
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        post.goOn();
        await().until(() -> page(id).at("/counts/sent").asInt() == 1);
        assertThat(people(id)).contains("Ines Okafor: SENT", "Tobias Larkin: LEFT_OUT, Signe has stopped it.");
    }

    @Test
    void whoWasHeldBackStaysSoWhenItGoesOn() throws Exception {
        UUID id = mailing(ines, tobias);
        tested(id);
        post.answer(Step.MAIL, "421 closing down");
        start(id, 2);
        await().until(() -> page(id).at("/counts/planned").asInt() == 2
                && !page(id).get("restsUntil").isNull());
        done("POST", "/api/mailings/" + id + "/pause", null, signe);
        // Another hand may have had him just then: who is in a hand can't be held until he has come back.
        await().until(() -> !forOne("PUT", id, tobias, "/held", Map.of("held", true, "why", "on holiday"))
                        .has("code")
                && page(id).at("/counts/planned").asInt() == 1);
        post.behave();
        assertThat(start(id, 1).has("code")).isFalse();
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES);
        assertThat(people(id)).contains("Tobias Larkin: HELD, on holiday");
    }

    @Test
    void stoppedWhileTheMailServerPutsOneOffThatOneIsNotTriedAgain() throws Exception {
        UUID id = mailing(ines, tobias);
        change(id, plan -> plan.withObject("when").put("overMinutes", 60));
        tested(id);
        post.refuse("ines@larkfield.example", "450 not just now");
        post.takeTime(Step.RECIPIENT);
        start(id, 2);
        post.awaitSlowStep();
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        post.goOn();
        await().until(() -> page(id).at("/counts/leftOut").asInt() == 2);
        assertThat(people(id))
                .containsExactly(
                        "Ines Okafor: LEFT_OUT, Signe has stopped it.",
                        "Tobias Larkin: LEFT_OUT, Signe has stopped it.");
        assertThat(sql.queryForObject("select state from outgoing_message where mailing_id = ?", String.class, id))
                .isEqualTo("CANCELLED");
    }

    @Test
    void whatAProcessHadInHandOfAStoppedMailingStays() throws Exception {
        UUID id = underWay(60, ines, tobias);
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        sql.update("update mailing_person set state = 'LEAVING' where person_id = ?", tobias);
        sender.takeUp();
        assertThat(people(id)).contains("Tobias Larkin: LEFT_OUT, Signe has stopped it.");
        assertThat(page(id).at("/counts/leftOut").asInt()).isEqualTo(1);
    }

    @Test
    void thoseWhoAreHeldAtItsEndCanBeLeftOut() throws Exception {
        UUID id = underWay(60, ines, tobias);
        choices.keepNothing(tobias);
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(done("GET", "/api/mailings/under-way", null, signe)).hasSize(1);
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        assertThat(people(id)).contains("Tobias Larkin: LEFT_OUT, Signe has stopped it.");
        assertThat(done("GET", "/api/mailings/under-way", null, signe)).isEmpty();
        assertThat(page(id).get("state").asString()).isEqualTo("DONE");
        assertThat(done("POST", "/api/mailings/" + id + "/stop", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-under-way");
    }

    @Test
    void countsAreRightHoweverManyHoldBackAndLetGoMeanwhile() throws Exception {
        UUID[] many = readers(30);
        UUID id = mailing(many);
        send(id, 30);
        try (ExecutorService hands = Executors.newFixedThreadPool(6)) {
            for (int i = 0; i < 60; i++) {
                UUID one = many[29 - i % 30];
                boolean held = i < 30;
                hands.submit(() -> forOne("PUT", id, one, "/held", Map.of("held", held, "why", "")));
                hands.submit(sender::sendNext);
            }
        }
        for (UUID one : many) {
            forOne("PUT", id, one, "/held", Map.of("held", false, "why", ""));
        }
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).hasSize(30).doesNotHaveDuplicates();
        JsonNode counts = page(id).get("counts");
        assertThat(counts.get("sent").asInt()).isEqualTo(30);
        for (String none : List.of("planned", "leaving", "waiting", "held", "notSure")) {
            assertThat(counts.get(none).asInt()).as(none).isZero();
        }
    }
}
