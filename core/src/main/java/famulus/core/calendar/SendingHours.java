package famulus.core.calendar;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Good hours to write to somebody, and what speaks against an hour.
 *
 * @param ours the clock of whoever writes
 * @param theirs the clock of whoever is written to
 * @param days which days are worked where they are
 */
public record SendingHours(ZoneId ours, ZoneId theirs, WorkingDays days) {
    private static final LocalTime MORNING = LocalTime.of(8, 0);
    private static final LocalTime AFTERNOON = LocalTime.of(14, 0);
    private static final LocalTime EARLIEST = LocalTime.of(7, 0);
    private static final LocalTime LATEST = LocalTime.of(19, 0);
    private static final Set<DayOfWeek> WEEKEND = Set.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);

    /** Why an hour is offered. */
    public enum Kind {
        /** The next morning of a day that is worked where they are. */
        THEIR_MORNING,
        /** The next afternoon of such a day. */
        THEIR_AFTERNOON,
        /** Tomorrow morning by the clock of whoever writes. */
        TOMORROW,
        /** The morning of the first day worked next week, where they are. */
        NEXT_WEEK
    }

    /** An hour that is offered; on their clock, but for {@link Kind#TOMORROW}. */
    public record Offered(Kind kind, PlannedHour hour) {}

    /** Hours to choose among, each a moment of its own, in the order of {@link Kind}. */
    public List<Offered> offered(Instant now) {
        List<Offered> offered = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            Offered one = new Offered(kind, hour(kind, now));
            boolean there = offered.stream()
                    .anyMatch(other -> other.hour().moment().equals(one.hour().moment()));
            if (!there) {
                offered.add(one);
            }
        }
        return offered;
    }

    /** The hour of a kind, as it is now. */
    public PlannedHour hour(Kind kind, Instant now) {
        LocalDate today = LocalDate.ofInstant(now, theirs);
        return switch (kind) {
            case THEIR_MORNING -> next(MORNING, today, now);
            case THEIR_AFTERNOON -> next(AFTERNOON, today, now);
            case TOMORROW -> new PlannedHour(LocalDate.ofInstant(now, ours).plusDays(1), MORNING, ours);
            case NEXT_WEEK -> {
                LocalDate monday = today.plusDays(8L - today.getDayOfWeek().getValue());
                yield new PlannedHour(days.plus(monday, 0), MORNING, theirs);
            }
        };
    }

    private PlannedHour next(LocalTime time, LocalDate from, Instant now) {
        LocalDate day = days.plus(from, 0);
        PlannedHour hour = new PlannedHour(day, time, theirs);
        return hour.moment().isAfter(now) ? hour : new PlannedHour(days.plus(day, 1), time, theirs);
    }

    /** What whoever writes should know of an hour, each in a sentence; nothing for a good one. */
    public List<String> remarks(PlannedHour hour) {
        List<String> remarks = new ArrayList<>();
        if (hour.comesTwice()) {
            remarks.add("The clocks go back that night, so this hour comes twice. The first one is taken.");
        }
        against(hour.moment(), "they are").forEach(one -> remarks.add(one + "."));
        return remarks;
    }

    /**
     * What speaks against a moment where they are, each in a sentence without its stop; nothing against one in office hours.
     *
     * @param who whoever is written to, and “is” or “are”
     */
    public List<String> against(Instant moment, String who) {
        List<String> against = new ArrayList<>();
        LocalDate date = LocalDate.ofInstant(moment, theirs);
        LocalTime time = LocalTime.ofInstant(moment, theirs);
        days.holiday(date).ifPresent(name -> against.add("It is a holiday where " + who + ": " + name));
        if (WEEKEND.contains(date.getDayOfWeek())) {
            against.add("It is the weekend where " + who);
        }
        if (time.isBefore(EARLIEST) || time.isAfter(LATEST)) {
            against.add("It is " + time.withSecond(0).withNano(0) + " where " + who + ", outside office hours");
        }
        return against;
    }
}
