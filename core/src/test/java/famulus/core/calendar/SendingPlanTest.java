package famulus.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.calendar.SendingPlan.Reader;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SendingPlanTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final ZoneId AUCKLAND = ZoneId.of("Pacific/Auckland");
    private static final List<ZoneId> ZONES =
            List.of(LONDON, ZoneId.of("America/New_York"), AUCKLAND, ZoneId.of("Asia/Kolkata"));
    /** Tuesday 5 May 2026, ten in the morning in London. */
    private static final Instant NOW = Instant.parse("2026-05-05T09:00:00Z");

    private static Reader in(ZoneId zone) {
        return new Reader(zone, WorkingDays.PLAIN);
    }

    private static SendingPlan plan(Duration over, boolean theirHours, int perHour, int perDay) {
        return new SendingPlan(NOW, over, theirHours, perHour, perDay);
    }

    @Test
    void allLeaveAtTheStartWhereNothingSpeaksAgainstIt() {
        assertThat(plan(Duration.ZERO, false, 500, 500).times(Collections.nCopies(3, in(LONDON)), List.of()))
                .containsOnly(NOW);
    }

    @Test
    void theyAreSpreadEvenly() {
        assertThat(plan(Duration.ofHours(2), false, 500, 500).times(Collections.nCopies(4, in(LONDON)), List.of()))
                .containsExactly(
                        NOW,
                        NOW.plus(Duration.ofMinutes(30)),
                        NOW.plus(Duration.ofMinutes(60)),
                        NOW.plus(Duration.ofMinutes(90)));
    }

    @Test
    void whatLeftBeforeCountsTowardsTheHour() {
        Instant lately = NOW.minus(Duration.ofMinutes(20));
        assertThat(plan(Duration.ZERO, false, 2, 500).times(Collections.nCopies(3, in(LONDON)), List.of(lately)))
                .containsExactly(NOW, NOW.plus(Duration.ofMinutes(40)), NOW.plus(Duration.ofHours(1)));
    }

    @Test
    void eachLeavesWhileItsReaderIsAtWork() {
        List<Instant> times = plan(Duration.ZERO, true, 500, 500).times(List.of(in(LONDON), in(AUCKLAND)), List.of());
        assertThat(times).containsExactly(NOW, Instant.parse("2026-05-05T20:00:00Z"));
    }

    @Test
    void whatWouldLeaveAfterWorkIsSpreadOverTheHoursBefore() {
        // 15:00 in London; two of the four hours are worked.
        SendingPlan afternoon =
                new SendingPlan(Instant.parse("2026-05-05T14:00:00Z"), Duration.ofHours(4), true, 500, 500);
        assertThat(afternoon.times(Collections.nCopies(4, in(LONDON)), List.of()))
                .containsExactly(
                        Instant.parse("2026-05-05T14:00:00Z"),
                        Instant.parse("2026-05-05T14:30:00Z"),
                        Instant.parse("2026-05-05T15:00:00Z"),
                        Instant.parse("2026-05-05T15:30:00Z"));
    }

    @Test
    void overDaysTheNightsAreLeftOut() {
        // From Friday, 13:00 in London, over three days: four hours on Friday, and five on Monday.
        SendingPlan friday = new SendingPlan(Instant.parse("2026-05-08T12:00:00Z"), Duration.ofDays(3), true, 500, 500);
        assertThat(friday.times(Collections.nCopies(3, in(LONDON)), List.of()))
                .containsExactly(
                        Instant.parse("2026-05-08T12:00:00Z"),
                        Instant.parse("2026-05-08T15:00:00Z"),
                        Instant.parse("2026-05-11T09:00:00Z"));
    }

    @Test
    void whoIsNotAtWorkAtAllMeanwhileIsReachedAsSlowlyOnceTheyAre() {
        // In Auckland it is nine in the evening.
        assertThat(plan(Duration.ofHours(2), true, 500, 500).times(Collections.nCopies(2, in(AUCKLAND)), List.of()))
                .containsExactly(Instant.parse("2026-05-05T20:00:00Z"), Instant.parse("2026-05-05T21:00:00Z"));
    }

    @Test
    void theirHoursKeepToTheirClockWhenItChanges() {
        // Clocks in London go back in the night to Sunday 25 October 2026.
        SendingPlan friday = new SendingPlan(Instant.parse("2026-10-23T16:00:00Z"), Duration.ZERO, true, 500, 500);
        assertThat(friday.times(List.of(in(LONDON)), List.of())).containsExactly(Instant.parse("2026-10-26T08:00:00Z"));
    }

    @Test
    void aPlanByWhichNothingCouldLeaveIsNone() {
        assertThatThrownBy(() -> plan(Duration.ZERO, false, 0, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @RepeatedTest(60)
    void noLimitIsEverPassedAndNobodyIsForgotten(RepetitionInfo which) {
        Random random = new Random(which.getCurrentRepetition());
        boolean theirHours = random.nextBoolean();
        int perHour = 1 + random.nextInt(9);
        int perDay = 1 + random.nextInt(30);
        List<Reader> readers = Stream.generate(() -> in(ZONES.get(random.nextInt(ZONES.size()))))
                .limit(random.nextInt(60))
                .toList();
        List<Instant> gone = Stream.generate(() -> NOW.minusSeconds(random.nextInt(90_000)))
                .limit(random.nextInt(Math.min(perHour, perDay)))
                .toList();
        List<Instant> times = plan(Duration.ofMinutes(random.nextInt(900)), theirHours, perHour, perDay)
                .times(readers, gone);
        assertThat(times).hasSameSizeAs(readers).doesNotContainNull().noneMatch(NOW::isAfter);
        List<Instant> all = new ArrayList<>(gone);
        all.addAll(times);
        assertNeverMore(all, perHour, Duration.ofHours(1));
        assertNeverMore(all, perDay, Duration.ofHours(24));
        for (int i = 0; theirHours && i < times.size(); i++) {
            ZonedDateTime there = times.get(i).atZone(readers.get(i).zone());
            assertThat(WorkingDays.PLAIN.worked(there.toLocalDate())).isTrue();
            assertThat(there.toLocalTime()).isBetween(LocalTime.of(8, 0), LocalTime.of(17, 0));
        }
    }

    private static void assertNeverMore(List<Instant> all, int most, Duration span) {
        List<Instant> sorted = all.stream().sorted().toList();
        for (int i = most; i < sorted.size(); i++) {
            assertThat(Duration.between(sorted.get(i - most), sorted.get(i))).isGreaterThanOrEqualTo(span);
        }
    }
}
