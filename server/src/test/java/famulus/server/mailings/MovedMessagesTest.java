package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.team.Colleague;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What one of a mailing’s people gets leaves at an hour of its own, and what is left of one at another than was planned. */
class MovedMessagesTest extends MailingTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");

    /** Moves what somebody gets; null for at once, and before the start for when it is planned. */
    private JsonNode move(UUID id, UUID person, Instant to) throws Exception {
        Map<String, Object> body = new HashMap<>();
        body.put("hour", to == null ? null : hour(to));
        return forOne("PUT", id, person, "/hour", body);
    }

    private static Map<String, String> hour(Instant at) {
        ZonedDateTime there = at.atZone(LONDON);
        return Map.of(
                "date", there.toLocalDate().toString(),
                "time", there.toLocalTime().toString(),
                "zone", LONDON.getId());
    }

    /** In so many hours, to the minute. */
    private Instant in(int hours) {
        return clock.instant().plus(Duration.ofHours(hours)).truncatedTo(java.time.temporal.ChronoUnit.MINUTES);
    }

    private JsonNode preview(UUID id, String name) throws Exception {
        return previews(id).stream()
                .map(line -> line.get("row"))
                .filter(row -> !row.isNull() && row.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void oneLeavesAtOnceAndAnotherLaterWhileTheOthersLeaveAsPlanned() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        assertThat(move(id, priya, null).has("code")).isFalse();
        arrive(2);
        assertThat(arrived()).containsExactly(INES, PRIYA);
        move(id, tobias, in(5));
        clock.forward(Duration.ofHours(4));
        assertThat(sender.sendNext()).isFalse();
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES, PRIYA, TOBIAS);
    }

    @Test
    void itStaysWhenTheMailingIsPausedAndGoesOn() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        Instant later = in(9);
        move(id, tobias, later);
        done("POST", "/api/mailings/" + id + "/pause", null, signe);
        change(id, plan -> plan.withObject("when").put("overMinutes", 0));
        assertThat(start(id, 2).has("code")).isFalse();
        arrive(2);
        assertThat(arrived()).containsExactly(INES, PRIYA);
        assertThat(done("GET", "/api/mailings/" + id + "/people", null, signe).findValuesAsString("dueAt"))
                .contains(later.toString());
    }

    @Test
    void beforeTheStartItIsChosenShownAndTakenBack() throws Exception {
        UUID id = mailing(ines, tobias);
        Instant later = in(3);
        move(id, tobias, later);
        assertThat(preview(id, "Tobias Larkin").get("at").asString()).isEqualTo(later.toString());
        assertThat(preview(id, "Tobias Larkin").get("moved").asBoolean()).isTrue();
        forOne("PUT", id, tobias, "/held", Map.of("held", true, "why", ""));
        forOne("PUT", id, tobias, "/held", Map.of("held", false, "why", ""));
        assertThat(preview(id, "Tobias Larkin").get("moved").asBoolean()).isTrue();
        send(id, 2);
        arrive(1);
        assertThat(arrived()).containsExactly(INES);

        UUID other = mailing(ines, tobias);
        move(other, tobias, later);
        move(other, tobias, null);
        assertThat(preview(other, "Tobias Larkin").get("moved").asBoolean()).isFalse();
        assertThat(sql.queryForObject("select count(*) from mailing_person where mailing_id = ?", Integer.class, other))
                .isZero();
    }

    @Test
    void theCompanysLimitHoldsForWhatIsMovedToo() throws Exception {
        done("PUT", "/api/mailings/rules", Map.of("most", 500, "perHour", 1, "perDay", 500, "look", false), amos);
        UUID id = underWay(0, ines, tobias);
        move(id, tobias, null);
        assertThat(sender.sendNext()).isFalse();
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        assertThat(arrived()).containsExactly(INES, TOBIAS);
    }

    /** Moves all that has not left; null for all of it at once. */
    private JsonNode moveAll(UUID id, Instant to, Colleague by) throws Exception {
        Map<String, Object> body = new HashMap<>();
        body.put("hour", to == null ? null : hour(to));
        return done("PUT", "/api/mailings/" + id + "/hour", body, by);
    }

    @Test
    void allThatIsLeftLeavesAtOnce() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        move(id, priya, in(9));
        forOne("PUT", id, tobias, "/held", Map.of("held", true, "why", ""));
        assertThat(moveAll(id, null, signe).has("code")).isFalse();
        reaches(id, "DONE");
        assertThat(arrived()).as("held is held").containsExactly(INES, PRIYA);
        assertThat(page(id).at("/plan/when/overMinutes").asInt()).isZero();
    }

    @Test
    void allThatIsLeftLeavesLaterSpreadAsItWas() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        Instant later = in(5);
        moveAll(id, later, signe);
        assertThat(done("GET", "/api/mailings/" + id + "/people", null, signe).findValuesAsString("dueAt"))
                .contains(later.toString(), later.plus(Duration.ofHours(1)).toString());
        clock.forward(Duration.ofHours(4));
        assertThat(sender.sendNext()).isFalse();
        clock.forward(Duration.ofHours(1));
        sender.look();
        arrive(2);
        clock.forward(Duration.ofHours(1));
        sender.look();
        reaches(id, "DONE");
        arrive(3);
    }

    @Test
    void aPausedMailingIsMovedAndStaysPaused() throws Exception {
        UUID id = underWay(120, ines, tobias);
        done("POST", "/api/mailings/" + id + "/pause", null, signe);
        moveAll(id, null, signe);
        assertThat(page(id).get("state").asString()).isEqualTo("PAUSED");
        assertThat(sender.sendNext()).isFalse();
        assertThat(start(id, 1).has("code")).isFalse();
        arrive(2);
    }

    @Test
    void whatCantBeMovedAsAWholeIsRefusedInWords() throws Exception {
        UUID id = mailing(ines, tobias);
        assertThat(moveAll(id, in(1), signe).get("code").asString()).isEqualTo("not-under-way");
        UUID under = underWay(120, ines, tobias);
        assertThat(moveAll(under, in(-1), signe).at("/fields/hour").asString()).contains("passed");
        assertThat(moveAll(under, in(1), petra).get("code").asString()).isEqualTo("forbidden");
        assertThat(moveAll(UUID.randomUUID(), in(1), signe).get("code").asString())
                .isEqualTo("missing");
        done("POST", "/api/mailings/" + under + "/stop", null, signe);
        assertThat(moveAll(under, null, signe).get("code").asString()).isEqualTo("not-under-way");
    }

    @Test
    void whatCantBeMovedIsRefusedInWords() throws Exception {
        UUID id = underWay(120, ines, tobias);
        assertThat(move(id, tobias, in(-1)).at("/fields/hour").asString()).contains("passed");
        assertThat(move(id, ines, in(1)).get("code").asString()).isEqualTo("gone");
        assertThat(move(id, UUID.randomUUID(), in(1)).get("code").asString()).isEqualTo("missing");
        Map<String, Object> body =
                Map.of("hour", Map.of("date", "2026-02-31", "time", "08:00", "zone", "Europe/London"));
        assertThat(forOne("PUT", id, tobias, "/hour", body).at("/fields/hour").asString())
                .isEqualTo("Choose a day and an hour.");
        assertThat(done("PUT", "/api/mailings/" + id + "/people/" + tobias + "/hour", body, petra)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        done("POST", "/api/mailings/" + id + "/stop", null, signe);
        assertThat(move(id, tobias, in(1)).get("code").asString()).isEqualTo("not-under-way");
    }
}
