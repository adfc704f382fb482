package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import famulus.server.choices.ReaderChoices;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import tools.jackson.databind.JsonNode;

/** Messages that are sent for a later hour leave then, unless something that matters has changed. It is Monday 4 May, 10:00. */
@Import(SendingTest.Post.class)
class SendLaterTest extends ServerTest {
    @Autowired
    private FakeMailServer post;

    @Autowired
    private ReaderChoices choices;

    @Autowired
    private OutboxWorker worker;

    private UUID ines;
    private UUID template;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        post.behave();
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        fill("job_title", "Grower");
        template = template(
                "CONTACT",
                "For a {contact.job_title}",
                "Dear {contact.first_name}, until {today plus 1 days as long date}.");
    }

    private void fill(String field, String value) throws Exception {
        change(ines, field, value);
    }

    private static Map<String, String> hour(String date, String time, String zone) {
        return Map.of("date", date, "time", time, "zone", zone);
    }

    private Map<String, Object> planned(Map<String, String> hour) throws Exception {
        Map<String, Object> wishes = Map.of("hour", hour);
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", template.toString());
        begin.put("kind", "contact");
        begin.put("id", ines.toString());
        begin.put("wishes", wishes);
        JsonNode begun = done("POST", "/api/messages/begin", begin, signe);
        Map<String, Object> message = message(template, ines, null);
        message.put("words", begun.get("words"));
        message.put("wishes", wishes);
        return message;
    }

    private UUID plan(Map<String, String> hour) throws Exception {
        Map<String, Object> message = planned(hour);
        UUID draft = UUID.randomUUID();
        message.put("draft", draft.toString());
        done("PUT", "/api/message-drafts/" + draft, Map.of("version", 0, "message", message), signe);
        JsonNode taken = done("POST", "/api/messages", message, signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        return UUID.fromString(taken.get("id").asString());
    }

    private UUID tomorrow() throws Exception {
        return plan(hour("2026-05-05", "08:00", "Europe/London"));
    }

    private String column(String name, UUID id) {
        return sql.queryForObject(
                "select cast(" + name + " as varchar) from outgoing_message where id = ?", String.class, id);
    }

    /** The scheduler goes by a clock that stands still, so it is asked to look again and again. */
    private void reaches(UUID id, String state) {
        await().untilAsserted(() -> {
            worker.look();
            assertThat(column("state", id))
                    .as("%s, %s", column("last_answer", id), column("held_why", id))
                    .isEqualTo(state);
        });
    }

    private void untilEightTomorrow() {
        clock.forward(Duration.between(clock.instant(), Instant.parse("2026-05-05T07:00:00Z")));
    }

    private void held(UUID id, String why) {
        untilEightTomorrow();
        reaches(id, "HELD");
        assertThat(column("held_why", id)).isEqualTo(why);
        assertThat(post.taken()).isEmpty();
    }

    private JsonNode act(String method, String what, UUID id, Object body, Colleague as) throws Exception {
        return done(method, "/api/outbox/" + id + what, body, as);
    }

    @Test
    void oneOfSeveralDoesNotLeaveToWhoHasUnsubscribedSince() throws Exception {
        Map<String, Object> message = planned(hour("2026-05-05", "08:00", "Europe/London"));
        Map<String, Object> several = new HashMap<>();
        several.put("topic", null);
        several.put("reason", null);
        Map<String, Object> wishes = new HashMap<>(Map.of("hour", hour("2026-05-05", "08:00", "Europe/London")));
        wishes.put("several", several);
        message.put("wishes", wishes);
        UUID id = UUID.fromString(
                done("POST", "/api/messages", message, signe).get("id").asString());
        choices.keepNothing(ines);
        held(id, "They have unsubscribed since this was written.");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-05-05, 08:00, Europe/London, 2026-05-05T07:00:00Z",
        "2026-05-05, 08:00, America/New_York, 2026-05-05T12:00:00Z",
        "2026-05-05, 08:00, Pacific/Auckland, 2026-05-04T20:00:00Z",
        "2026-10-25, 01:30, Europe/London, 2026-10-25T00:30:00Z",
        "2026-11-02, 08:00, America/New_York, 2026-11-02T13:00:00Z",
        "2027-03-29, 08:00, Europe/London, 2027-03-29T07:00:00Z",
    })
    void leavesAtItsHourAndSaysSo(String date, String time, String zone, Instant moment) throws Exception {
        UUID id = plan(hour(date, time, zone));
        assertThat(column("state", id)).isEqualTo("WAITING");
        clock.forward(Duration.between(clock.instant(), moment.minusSeconds(1)));
        assertThat(column("state", id)).isEqualTo("WAITING");
        clock.forward(Duration.ofSeconds(1));
        reaches(id, "SENT");

        String wire = post.taken().remove();
        String sent = wire.lines()
                .filter(line -> line.startsWith("Date: "))
                .findFirst()
                .orElseThrow();
        assertThat(new jakarta.mail.internet.MailDateFormat()
                        .parse(sent.substring(6))
                        .toInstant())
                .isEqualTo(moment);
        assertThat(new String(wire(id), java.nio.charset.StandardCharsets.US_ASCII))
                .contains(sent);
    }

    @Test
    void aTemplateThatIsDeletedHoldsNothing() throws Exception {
        UUID id = tomorrow();
        done("DELETE", "/api/templates/" + template, null, signe);
        untilEightTomorrow();
        reaches(id, "SENT");
        assertThat(post.taken().remove()).contains("Subject: For a Grower");
    }

    /** What it carries was frozen with it. */
    @Test
    void aFileThatIsDeletedFromMaterialsHoldsNothing() throws Exception {
        String file = upload("/api/materials/files", Map.of("name", "list.txt"), new byte[] {65}, signe)
                .get("id")
                .asString();
        Map<String, Object> message = planned(hour("2026-05-05", "08:00", "Europe/London"));
        message.put("words", words("Hello", "Dear Ines.", List.of(UUID.fromString(file))));
        UUID id = UUID.fromString(
                done("POST", "/api/messages", message, signe).get("id").asString());
        done("DELETE", "/api/materials/files/" + file, null, oriel);
        untilEightTomorrow();
        reaches(id, "SENT");
        assertThat(post.taken().remove()).contains("list.txt");
    }

    /** The clock may have gone on while it was written, not while it waited for its hour. */
    @Test
    void itsDatesAreThoseOfItsHour() throws Exception {
        UUID id = plan(hour("2026-05-07", "08:00", "Europe/London"));
        clock.forward(Duration.between(clock.instant(), Instant.parse("2026-05-07T07:00:00Z")));
        reaches(id, "SENT");
        assertThat(post.taken().remove()).contains("until 8 May 2026.");
    }

    @Test
    void aValueThatWouldPrintDifferentlyHoldsIt() throws Exception {
        UUID id = tomorrow();
        fill("job_title", "Beekeeper");
        held(id, "“Job title” is “Beekeeper” by now; the message says “Grower”.");
        JsonNode line = done("GET", "/api/outbox/open", null, signe).get(0);
        assertThat(line.get("state").asString()).isEqualTo("HELD");
        assertThat(line.get("heldWhy").asString()).contains("Beekeeper");
        assertThat(done("GET", "/api/outbox/count", null, signe).get("held").asInt())
                .isEqualTo(1);
    }

    @Test
    void aValueThatIsMissingByNowHoldsIt() throws Exception {
        UUID id = tomorrow();
        fill("job_title", "");
        held(id, "“Job title” is missing now; the message says “Grower”.");
    }

    @Test
    void aDateWorkedOutForAnotherDayHoldsIt() throws Exception {
        UUID id = tomorrow();
        clock.forward(Duration.ofDays(2));
        reaches(id, "HELD");
        assertThat(column("held_why", id)).contains("“7 May 2026” by now; the message says “6 May 2026”");
    }

    @Test
    void aValueThatItsSenderWroteThemselvesHoldsNothing() throws Exception {
        Map<String, Object> message = planned(hour("2026-05-05", "08:00", "Europe/London"));
        message.put("words", words("For a grower and friend", "Dear Ines, until Friday."));
        UUID id = UUID.fromString(
                done("POST", "/api/messages", message, signe).get("id").asString());
        fill("job_title", "Beekeeper");
        untilEightTomorrow();
        reaches(id, "SENT");
    }

    @Test
    void aTemplateThatHasChangedSinceHoldsNothing() throws Exception {
        UUID id = tomorrow();
        done(
                "PUT",
                "/api/templates/" + template,
                Map.of("version", 1, "draft", words("Another", "Quite another {contact.last_name}")),
                signe);
        untilEightTomorrow();
        reaches(id, "SENT");
        assertThat(post.taken().remove()).contains("Subject: For a Grower");
    }

    @Test
    void aClockSetBackDoesNotHurryIt() throws Exception {
        clock.forward(Duration.ofHours(2));
        UUID id = tomorrow();
        clock.forward(Duration.ofHours(-3));
        worker.mend();
        assertThat(column("next_attempt_at", id)).startsWith("2026-05-05 07:00:00");
        untilEightTomorrow();
        reaches(id, "SENT");
    }

    @Test
    void whatCannotBeLookedAtStaysUntilItCan() throws Exception {
        UUID id = tomorrow();
        byte[] plan = sql.queryForObject("select packed from message_plan", byte[].class);
        sql.update("update message_plan set packed = X'00'");
        untilEightTomorrow();
        await().until(() -> {
            worker.look();
            return sql.queryForObject(
                    "select execution_time > timestamp with time zone '2026-05-05 07:00:00Z' from scheduled_tasks"
                            + " where task_instance = ?",
                    Boolean.class,
                    id.toString());
        });
        assertThat(column("state", id)).isEqualTo("WAITING");
        sql.update("update message_plan set packed = ?", plan);
        clock.forward(Duration.ofSeconds(10));
        reaches(id, "SENT");
    }

    @Test
    void anAnswerHoldsIt() throws Exception {
        UUID id = tomorrow();
        clock.forward(Duration.ofMinutes(5));
        done(
                "POST",
                "/api/records/contact/" + ines + "/history",
                Map.of("kind", "ANSWERED_ELSEWHERE", "minutes", 0, "words", "Rang back."),
                signe);
        held(id, "They have replied since this was written.");
    }

    @Test
    void theDoNotEmailListHoldsItWhateverSomebodySays() throws Exception {
        UUID id = tomorrow();
        done("POST", "/api/do-not-email", Map.of("entry", "larkfield.example", "reason", "Closed down"), dov);
        String why = "ines@larkfield.example is on the do-not-email list with all of larkfield.example: Closed down.";
        held(id, why);
        act("POST", "/as-it-is", id, null, signe);
        reaches(id, "HELD");
        assertThat(post.taken()).isEmpty();
    }

    @Test
    void itsSenderHavingLeftHoldsIt() throws Exception {
        UUID id = tomorrow();
        team.change(new Colleague(
                signe.id(), signe.email(), "Signe", "Tester", Role.AGENT, "", "", signe.signature(), false));
        held(id, "Signe Tester has left the team.");
    }

    @Test
    void whatIsHeldGoesAsItIsOnceSomebodySaysSo() throws Exception {
        UUID id = tomorrow();
        fill("job_title", "Beekeeper");
        untilEightTomorrow();
        reaches(id, "HELD");
        assertThat(act("POST", "/as-it-is", id, null, dov).get("code").asString())
                .isEqualTo("forbidden");
        act("POST", "/as-it-is", id, null, signe);
        reaches(id, "SENT");
        assertThat(post.taken()).hasSize(1);
        assertThat(act("POST", "/as-it-is", id, null, signe).get("code").asString())
                .isEqualTo("not-held");
    }

    @Test
    void whatIsHeldOrWaitsCanBeOpenedAndIsADraftAgain() throws Exception {
        UUID id = tomorrow();
        fill("job_title", "Beekeeper");
        untilEightTomorrow();
        reaches(id, "HELD");
        String draft = act("POST", "/take-back", id, null, signe).get("draft").asString();
        assertThat(done("GET", "/api/message-drafts/" + draft, null, signe)
                        .at("/message/wishes/hour/time")
                        .asString())
                .isEqualTo("08:00");
        assertThat(column("state", id)).isEqualTo("CANCELLED");
        assertThat(sql.queryForObject("select count(*) from message_plan", Integer.class))
                .isZero();
    }

    @Test
    void movedItLeavesAtTheOtherHour() throws Exception {
        template = template("CONTACT", "Hello", "Dear {contact.first_name}.");
        UUID id = tomorrow();
        Map<String, Object> later = Map.of("hour", hour("2026-05-06", "09:00", "Europe/London"));
        assertThat(act("PUT", "/hour", id, later, dov).get("code").asString()).isEqualTo("forbidden");
        act("PUT", "/hour", id, later, signe);
        untilEightTomorrow();
        assertThat(column("state", id)).isEqualTo("WAITING");
        clock.forward(Duration.ofHours(25));
        reaches(id, "SENT");
    }

    @Test
    void itIsNotMovedToAnHourAtWhichItsWordsWouldBeWrong() throws Exception {
        UUID id = tomorrow();
        Map<String, Object> later = Map.of("hour", hour("2026-05-06", "09:00", "Europe/London"));
        assertThat(act("PUT", "/hour", id, later, signe).at("/fields/hour").asString())
                .contains("“7 May 2026” by now; the message says “6 May 2026”", "Open it");
        assertThat(column("planned_for", id)).startsWith("2026-05-05");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-05-04 | 09:00 | Europe/London    | This hour has passed. Choose a later one.",
                "2027-03-28 | 01:30 | Europe/London    | There is no 01:30 on Sunday 28 March in London: the clocks go forward to"
                        + " 02:00. Choose another hour.",
                "2028-01-01 | 08:00 | Europe/London    | This is more than a year ahead. Choose an earlier day.",
                "2026-02-30 | 08:00 | Europe/London    | Choose a day and an hour.",
                "2026-05-05 | 8am   | Europe/London    | Choose a day and an hour.",
                "2026-05-05 | 08:00 | Europe/Nowhere   | Choose a day and an hour.",
            })
    void anHourThatIsNoneIsRefusedAtItsPlace(String date, String time, String zone, String sentence) throws Exception {
        Map<String, Object> message = message(template, ines, words("Hello", "Dear Ines."));
        message.put("wishes", Map.of("hour", hour(date, time, zone)));
        assertThat(done("POST", "/api/messages", message, signe)
                        .at("/fields/hour")
                        .asString())
                .isEqualTo(sentence);
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void goodHoursAreOfferedOnBothClocks() throws Exception {
        JsonNode hours = done(
                "POST",
                "/api/messages/hours",
                Map.of(
                        "kind",
                        "contact",
                        "person",
                        ines.toString(),
                        "hour",
                        hour("2026-05-04", "23:00", "Europe/London")),
                signe);
        assertThat(hours.at("/offered/0/kind").asString()).isEqualTo("THEIR_MORNING");
        assertThat(hours.at("/offered/0/hour/ours").asString()).isEqualTo("Tuesday 5 May, 08:00");
        assertThat(hours.at("/hour/remarks").toString()).contains("It is a holiday where they are", "23:00");
        assertThat(List.of(hours.get("oursName").asString())).contains("London");
        JsonNode planned = done(
                "POST",
                "/api/messages/hours",
                Map.of("kind", "contact", "person", ines.toString(), "moment", "2026-05-05T10:35:00Z"),
                signe);
        assertThat(planned.at("/hour/hour/time").asString()).as("on our clock").isEqualTo("11:35");
        assertThat(planned.at("/hour/hour/zone").asString()).isEqualTo("Europe/London");
    }
}
