package famulus.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.SendingHours.Kind;
import famulus.core.calendar.SendingHours.Offered;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;

class SendingHoursTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final ZoneId NEW_YORK = ZoneId.of("America/New_York");
    private static final ZoneId AUCKLAND = ZoneId.of("Pacific/Auckland");
    /** Monday 4 May 2026, ten in the morning in London. */
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");

    private static PlannedHour hour(String date, String time, ZoneId zone) {
        return new PlannedHour(LocalDate.parse(date), LocalTime.parse(time), zone);
    }

    private static Instant offered(ZoneId theirs, WorkingDays days, Kind kind, Instant now) {
        return new SendingHours(LONDON, theirs, days)
                .offered(now).stream()
                        .filter(one -> one.kind() == kind)
                        .map(one -> one.hour().moment())
                        .findFirst()
                        .orElseThrow();
    }

    private static Instant theirMorning(ZoneId theirs, String now) {
        return offered(theirs, WorkingDays.PLAIN, Kind.THEIR_MORNING, Instant.parse(now));
    }

    @Test
    void theirMorningIsTheNextOneByTheirClock() {
        assertThat(theirMorning(LONDON, "2026-05-04T09:00:00Z")).isEqualTo("2026-05-05T07:00:00Z");
        assertThat(theirMorning(NEW_YORK, "2026-05-04T09:00:00Z")).isEqualTo("2026-05-04T12:00:00Z");
        assertThat(theirMorning(AUCKLAND, "2026-05-04T09:00:00Z")).isEqualTo("2026-05-04T20:00:00Z");
    }

    @Test
    void theirMorningIsEightWhicheverWayTheirClocksGo() {
        // London goes forward on 29 March, back on 25 October 2026; New York on 8 March and 1 November.
        assertThat(theirMorning(LONDON, "2026-03-27T20:00:00Z")).isEqualTo("2026-03-30T07:00:00Z");
        assertThat(theirMorning(LONDON, "2026-10-23T20:00:00Z")).isEqualTo("2026-10-26T08:00:00Z");
        assertThat(theirMorning(NEW_YORK, "2026-03-06T20:00:00Z")).isEqualTo("2026-03-09T12:00:00Z");
        assertThat(theirMorning(NEW_YORK, "2026-10-30T20:00:00Z")).isEqualTo("2026-11-02T13:00:00Z");
    }

    @Test
    void daysOffArePassedOver() {
        WorkingDays days = new WorkingDays(List.of(new WorkingDays.Holiday(
                "Market day", HolidayRule.read("2026-05-05").orElseThrow())));
        assertThat(offered(LONDON, days, Kind.THEIR_MORNING, NOW)).isEqualTo("2026-05-06T07:00:00Z");
        assertThat(new SendingHours(LONDON, LONDON, days).remarks(hour("2026-05-05", "08:00", LONDON)))
                .containsExactly("It is a holiday where they are: Market day.");
    }

    @Test
    void eachMomentIsOfferedOnce() {
        List<Offered> offered = new SendingHours(LONDON, LONDON, WorkingDays.PLAIN).offered(NOW);
        assertThat(offered)
                .extracting(Offered::kind)
                .containsExactly(Kind.THEIR_MORNING, Kind.THEIR_AFTERNOON, Kind.NEXT_WEEK);
        assertThat(offered).extracting(one -> one.hour().words()).contains("Monday 11 May, 08:00");
    }

    @Test
    void anHourOutsideTheirDayIsSaid() {
        SendingHours hours = new SendingHours(LONDON, NEW_YORK, WorkingDays.PLAIN);
        assertThat(hours.remarks(hour("2026-05-05", "08:00", LONDON)))
                .containsExactly("It is 03:00 where they are, outside office hours.");
        assertThat(hours.remarks(hour("2026-05-09", "15:00", LONDON)))
                .containsExactly("It is the weekend where they are.");
        assertThat(hours.remarks(hour("2026-05-05", "15:00", LONDON))).isEmpty();
    }

    @Test
    void anHourThatIsLeftOutOrOverIsRefused() {
        assertThat(hour("2026-03-29", "01:30", LONDON).refusal(Instant.parse("2026-03-01T00:00:00Z")))
                .contains(
                        "There is no 01:30 on Sunday 29 March in London: the clocks go forward to 02:00. Choose another"
                                + " hour.");
        assertThat(hour("2026-05-04", "10:00", LONDON).refusal(NOW))
                .contains("This hour has passed. Choose a later one.");
        assertThat(hour("2027-06-04", "10:00", LONDON).refusal(NOW))
                .get()
                .asString()
                .contains("more than a year");
        assertThat(hour("2026-05-04", "10:01", LONDON).refusal(NOW)).isEmpty();
    }

    @Test
    void anHourThatComesTwiceIsTheFirst() {
        PlannedHour twice = hour("2026-10-25", "01:30", LONDON);
        assertThat(twice.refusal(NOW)).isEmpty();
        assertThat(twice.moment()).isEqualTo("2026-10-25T00:30:00Z");
        assertThat(new SendingHours(LONDON, LONDON, WorkingDays.PLAIN).remarks(twice))
                .contains("The clocks go back that night, so this hour comes twice. The first one is taken.");
    }

    @Test
    void whatIsOfferedIsAlwaysToComeAndNeverADayOff() {
        for (ZoneId theirs : List.of(LONDON, NEW_YORK, AUCKLAND)) {
            SendingHours hours = new SendingHours(LONDON, theirs, WorkingDays.PLAIN);
            for (int i = 0; i < 24 * 370; i += 5) {
                Instant now = NOW.plus(Duration.ofHours(i)).plusSeconds(i);
                for (Offered one : hours.offered(now)) {
                    assertThat(one.hour().refusal(now)).as("%s at %s", one, now).isEmpty();
                    if (one.kind() != Kind.TOMORROW) {
                        assertThat(hours.remarks(one.hour()))
                                .as("%s at %s", one, now)
                                .isEmpty();
                    }
                }
            }
        }
    }

    @Test
    void zonesAreCalledAfterTheirPlace() {
        assertThat(PlannedHour.place(NEW_YORK)).isEqualTo("New York");
        assertThat(PlannedHour.place(ZoneId.of("Z"))).isNotEmpty();
    }
}
