package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import famulus.server.outbox.FakeMailServer.Step;
import famulus.server.team.Colleague;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import tools.jackson.databind.JsonNode;

/** From the button to the line: a real database, the real worker, a mail server that answers as it is told. */
@Import(SendingTest.Post.class)
public class SendingTest extends ServerTest {
    @TestConfiguration
    public static class Post {
        @Bean
        FakeMailServer fakeMailServer() throws IOException {
            return new FakeMailServer();
        }
    }

    @Autowired
    private FakeMailServer post;

    @Autowired
    private OutboxWorker worker;

    private UUID ines;
    private UUID template;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        post.behave();
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        template = template(
                "CONTACT",
                "Hives for {person.first_name}",
                "Dear {person.first_name},\nKind regards\n{sender.first_name}");
    }

    private Map<String, Object> message(UUID id) {
        Map<String, Object> message = new HashMap<>();
        message.put("id", id.toString());
        message.put("template", template.toString());
        message.put("kind", "contact");
        message.put("person", ines.toString());
        message.put("words", words("Hives for Ines", "Dear Ines,\nGrüße 🐝"));
        return message;
    }

    private JsonNode send(Map<String, Object> message, Colleague as) throws Exception {
        return done("POST", "/api/messages", message, as);
    }

    private String state(UUID id) {
        return sql.queryForObject("select state from outgoing_message where id = ?", String.class, id);
    }

    private void reaches(UUID id, String state) {
        await().until(() -> state(id).equals(state));
    }

    @Test
    void answersAndChoicesStandInTheHistoryAsTheyWere() throws Exception {
        template = template(
                "CONTACT",
                "x",
                "We agreed {write in \"what we agreed\"}. {when person.title is empty}So be it. {end}Kind regards");
        UUID id = UUID.randomUUID();
        Map<String, Object> message = message(id);
        message.put("answers", Map.of("what we agreed", "48 hives"));
        message.remove("words");
        send(message, signe);
        reaches(id, "SENT");

        JsonNode pieces = done("GET", "/api/messages/" + id, null, dov).get("pieces");

        assertThat(pieces.valueStream().map(piece -> piece.get("origin").asString()))
                .containsExactly("WRITTEN", "ANSWERED", "WRITTEN");
        assertThat(pieces.get(1).get("stored").asString()).isEqualTo("what we agreed");
    }

    @Test
    void arrivesExactlyAsItIsKept() throws Exception {
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        reaches(id, "SENT");

        String wire = post.taken().remove();
        byte[] kept = wire(id);
        assertThat(wire.stripTrailing())
                .isEqualTo(new String(kept, java.nio.charset.StandardCharsets.UTF_8).stripTrailing());

        JsonNode read = done("GET", "/api/messages/" + id, null, dov);
        assertThat(read.get("read").get("text").asString()).isEqualTo("Dear Ines,\nGrüße 🐝");
        assertThat(read.get("read").get("from").asString()).isEqualTo("Signe Tester <signe@brindlewing.example>");
        assertThat(wire).contains("Message-ID: <" + id + "@brindlewing.example>", "format=flowed");
        assertThat(done("GET", "/api/records/contact/" + ines, null, signe)
                        .get("said")
                        .get(0)
                        .get("state")
                        .asString())
                .isEqualTo("SENT");
    }

    @Test
    void remembersWhereItsWordsCameFrom() throws Exception {
        UUID id = UUID.randomUUID();
        Map<String, Object> message = message(id);
        message.put("words", words("Hives for Ines", "Dear Ines,\nsee you\nsigne"));
        send(message, signe);

        JsonNode pieces = done("GET", "/api/messages/" + id, null, signe).get("pieces");
        assertThat(pieces.valueStream().map(piece -> piece.get("origin").asString()))
                .startsWith("WRITTEN", "RECORD")
                .endsWith("TYPED");
        assertThat(sql.queryForObject(
                        "select count(*) from template_version where template_id = ?", Integer.class, template))
                .isEqualTo(1);
    }

    @Test
    void theSameMessageSentTwiceGoesOnce() throws Exception {
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        send(message(id), signe);
        reaches(id, "SENT");

        assertThat(post.taken()).hasSize(1);
        assertThat(send(message(id), dov).get("code").asString()).isEqualTo("forbidden");
    }

    @Test
    void waitsAndTriesAgainWhenRefusedForNow() throws Exception {
        post.answer(Step.RECIPIENT, "451 come back later");
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        await().until(() -> state(id).equals("WAITING") && attempts(id) == 1);

        JsonNode line = done("GET", "/api/outbox", null, signe).get("lines").get(0);
        assertThat(line.get("lastAnswer").asString()).contains("come back later");
        assertThat(line.get("nextAttemptAt").asString()).isEqualTo("2026-05-04T09:01:00Z");

        post.behave();
        clock.forward(Duration.ofMinutes(2));
        reaches(id, "SENT");
        assertThat(post.taken()).hasSize(1);
    }

    private int attempts(UUID id) {
        return sql.queryForObject("select count(*) from message_attempt where message_id = ?", Integer.class, id);
    }

    /** As a process leaves it that dies with a message in its hands. */
    @Test
    void aMessageThatWasBeingHandedOverIsNotRepeatedByItself() throws Exception {
        UUID id = waiting();
        sql.update("update outgoing_message set state = 'SENDING' where id = ?", id);
        post.behave();

        worker.takeUp();
        worker.send(id);

        assertThat(state(id)).isEqualTo("NOT_SURE");
        assertThat(post.taken()).isEmpty();
        assertThat(line(id).get("lastAnswer").asString()).startsWith("Famulus was stopped");
        assertThat(done("POST", "/api/outbox/" + id + "/try-now", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-waiting");
    }

    /** With a second application on one database, the scheduler finds out that the first has gone. */
    @Test
    void aMessageThatTheSchedulerGivesBackIsNotSureEither() throws Exception {
        UUID id = waiting();
        sql.update("update outgoing_message set state = 'SENDING' where id = ?", id);

        assertThat(worker.send(id)).isEmpty();

        assertThat(state(id)).isEqualTo("NOT_SURE");
    }

    @Test
    void whatIsNotSureIsSentAgainWhenSomebodySaysSo() throws Exception {
        post.hangUp(Step.DOT);
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        reaches(id, "NOT_SURE");
        String before = sql.queryForObject("select message_id from outgoing_message where id = ?", String.class, id);
        clock.forward(Duration.ofDays(2));
        worker.mend();
        assertThat(state(id)).isEqualTo("NOT_SURE");
        assertThat(line(id).get("mayHandle").asBoolean()).isTrue();
        JsonNode others = done("GET", "/api/outbox", null, dov);
        assertThat(others.get("notSure").asInt()).isEqualTo(1);
        assertThat(others.at("/lines/0/mayHandle").asBoolean(true)).isFalse();
        post.behave();

        assertThat(done("POST", "/api/outbox/" + id + "/send-again", null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        done("POST", "/api/outbox/" + id + "/send-again", null, signe);
        reaches(id, "SENT");

        assertThat(post.taken().remove()).contains("Message-ID: " + before);
        JsonNode sent = done("GET", "/api/messages/" + id, null, signe);
        assertThat(sent.get("maybeRepeated").asBoolean()).isTrue();
        assertThat(done("POST", "/api/outbox/" + id + "/send-again", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-waiting");
    }

    @Test
    void whatIsNotSureIsSentWhenItIsKnownToHaveArrived() throws Exception {
        post.hangUp(Step.DOT);
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        reaches(id, "NOT_SURE");

        done("POST", "/api/outbox/" + id + "/arrived", null, signe);

        assertThat(line(id).get("state").asString()).isEqualTo("SENT");
        assertThat(line(id).get("sentAt").asString()).isEqualTo("2026-05-04T09:00:00Z");
        assertThat(done("POST", "/api/outbox/" + id + "/arrived", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("not-waiting");
    }

    /** A message that was refused for now and waits for its next try. */
    private UUID waiting() throws Exception {
        post.answer(Step.RECIPIENT, "451 come back later");
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        await().until(() -> state(id).equals("WAITING") && attempts(id) == 1);
        return id;
    }

    private JsonNode line(UUID id) throws Exception {
        return done("GET", "/api/outbox", null, signe)
                .get("lines")
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id.toString()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aClockThatWasSetBackStopsNothing() throws Exception {
        UUID id = waiting();
        clock.forward(Duration.ofHours(-5));
        post.behave();

        worker.mend();
        assertThat(line(id).get("nextAttemptAt").asString()).isEqualTo("2026-05-04T04:01:00Z");
        clock.forward(Duration.ofMinutes(2));
        reaches(id, "SENT");
    }

    @Test
    void aMessageWithoutAnEntryIsPutInLineAgain() throws Exception {
        UUID id = waiting();
        sql.update("delete from scheduled_tasks where task_instance = ?", id.toString());
        post.behave();

        worker.mend();

        reaches(id, "SENT");
    }

    @Test
    void anErrorOfOursIsAnAttemptWithItsWords() throws Exception {
        post.breakRoute();
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        await().until(() -> state(id).equals("WAITING") && attempts(id) == 1);

        assertThat(line(id).get("lastAnswer").asString())
                .contains("Something went wrong on our side", "There is no way to the post");
        assertThat(tries(id)).isEqualTo(1);
        post.behave();
        clock.forward(Duration.ofMinutes(2));
        reaches(id, "SENT");
    }

    private int tries(UUID id) {
        return sql.queryForObject("select tries from outgoing_message where id = ?", Integer.class, id);
    }

    @Test
    void tryingNowUsesUpNoTriesAndAnswersHonestly() throws Exception {
        UUID id = waiting();
        for (int times = 2; times <= 12; times++) {
            int attempts = times;
            done("POST", "/api/outbox/" + id + "/try-now", null, signe);
            await().until(() -> state(id).equals("WAITING") && attempts(id) == attempts);
        }
        assertThat(tries(id)).isEqualTo(1);
        assertThat(line(id).get("nextAttemptAt").asString()).isEqualTo("2026-05-04T09:01:00Z");

        post.behave();
        done("POST", "/api/outbox/" + id + "/try-now", null, signe);
        reaches(id, "SENT");
        JsonNode refused = done("POST", "/api/outbox/" + id + "/try-now", null, signe);
        assertThat(refused.get("code").asString()).isEqualTo("not-waiting");
        assertThat(refused.get("detail").asString()).isEqualTo("This message has been sent already.");
    }

    @Test
    void theSameIdentifierFourTimesAtOnceGoesOnceAndAnswersTheSame() throws Exception {
        for (int round = 0; round < 10; round++) {
            UUID id = UUID.randomUUID();
            List<String> answers;
            try (ExecutorService callers = Executors.newFixedThreadPool(4)) {
                List<Future<String>> asked = callers.invokeAll(Collections.nCopies(
                        4, () -> send(message(id), signe).get("id").asString()));
                answers = new ArrayList<>();
                for (Future<String> one : asked) {
                    answers.add(one.get());
                }
            }
            assertThat(answers).hasSize(4).containsOnly(id.toString());
            reaches(id, "SENT");
        }
        assertThat(post.taken()).hasSize(10);
    }

    @Test
    void whatWasCancelledStaysAndItsIdentifierSendsNothing() throws Exception {
        UUID id = waiting();
        done("DELETE", "/api/outbox/" + id, null, signe);
        post.behave();

        send(message(id), signe);
        worker.mend();
        worker.send(id);

        assertThat(state(id)).isEqualTo("CANCELLED");
        assertThat(post.taken()).isEmpty();
        assertThat(done("GET", "/api/records/contact/" + ines, null, signe).get("said"))
                .isEmpty();
        assertThat(done("POST", "/api/outbox/" + id + "/try-now", null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This message was cancelled.");
    }

    @Test
    void pausesGrowAndEndSomeday() throws Exception {
        post.hangUp(Step.DATA);
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        await().until(() -> state(id).equals("WAITING") && attempts(id) == 1);
        Duration before = Duration.ofMinutes(1);
        for (int attempt = 2; attempt < 9; attempt++) {
            Duration pause = Duration.between(clock.instant(), worker.send(id).orElseThrow());
            assertThat(pause).isGreaterThan(before);
            before = pause;
        }
        assertThat(worker.send(id)).isEmpty();
        assertThat(state(id)).isEqualTo("REFUSED");
    }

    @Test
    void endsWhenRefusedForGood() throws Exception {
        post.answer(Step.RECIPIENT, "550 nobody of that name");
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        reaches(id, "REFUSED");

        assertThat(done("DELETE", "/api/outbox/" + id, null, dov).get("code").asString())
                .isEqualTo("forbidden");
        done("DELETE", "/api/outbox/" + id, null, signe);
        assertThat(state(id)).isEqualTo("CANCELLED");
    }

    @Test
    void doesNotLeaveWithAGap() throws Exception {
        Map<String, Object> message = message(UUID.randomUUID());
        message.put("words", words("Hives for Ines", "Dear {person.title}"));

        assertThat(send(message, signe).get("code").asString()).isEqualTo("gap");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void needsASubjectWordsAndAnAddress() throws Exception {
        Map<String, Object> noSubject = message(UUID.randomUUID());
        noSubject.put("words", words("", "Dear Ines"));
        Map<String, Object> noText = message(UUID.randomUUID());
        noText.put("words", words("Hives", "  \n"));
        Map<String, Object> noAddress = message(UUID.randomUUID());
        noAddress.put("person", contact("Tobias", "Wren", "").toString());

        assertThat(send(noSubject, signe).get("fields").propertyNames()).containsExactly("subject");
        assertThat(send(noText, signe).get("fields").propertyNames()).containsExactly("body");
        assertThat(send(noAddress, signe).get("fields").propertyNames()).containsExactly("address");
    }

    @Test
    void aLineBreakNeverMakesASecondHeader() throws Exception {
        Map<String, Object> message = message(UUID.randomUUID());
        message.put("words", words("Hives\r\nBcc: all@club.example", "Dear Ines"));

        assertThat(send(message, signe).get("fields").propertyNames()).containsExactly("subject");
    }

    @Test
    void assistantsSendForAgentsAndNobodyElseDoes() throws Exception {
        UUID id = UUID.randomUUID();
        Map<String, Object> message = message(id);
        message.put("sender", signe.id().toString());

        assertThat(send(message, dov).get("code").asString()).isEqualTo("forbidden");
        send(message, petra);
        assertThat(done("GET", "/api/messages/" + id, null, signe)
                        .get("read")
                        .get("from")
                        .asString())
                .startsWith("Signe");
        Map<String, Object> asAdministrator = message(UUID.randomUUID());
        asAdministrator.put("sender", amos.id().toString());
        assertThat(send(asAdministrator, petra).get("fields").propertyNames()).containsExactly("sender");
    }

    @Test
    void answersGoWhereTheSenderWantsThem() throws Exception {
        assertThat(done("PUT", "/api/profile/answers", Map.of("answersTo", "not an address"), signe)
                        .get("fields")
                        .propertyNames())
                .containsExactly("answersTo");
        done("PUT", "/api/profile/answers", Map.of("answersTo", "orchards@brindlewing.example"), signe);
        UUID id = UUID.randomUUID();
        send(message(id), signe);
        assertThat(header(id, "Reply-To")).isEqualTo("Signe Tester <orchards@brindlewing.example>");

        done("PUT", "/api/profile/answers", Map.of("answersTo", " "), signe);
        id = UUID.randomUUID();
        send(message(id), signe);
        assertThat(header(id, "Reply-To")).isEmpty();
    }

    private String header(UUID id, String name) throws Exception {
        return done("GET", "/api/messages/" + id, null, signe)
                .get("read")
                .get("headers")
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .map(one -> one.get("value").asString())
                .findFirst()
                .orElse("");
    }
}
