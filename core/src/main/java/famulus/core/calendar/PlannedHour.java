package famulus.core.calendar;

import com.ibm.icu.text.TimeZoneNames;
import com.ibm.icu.util.ULocale;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;

/** An hour on somebody's clock at which something is to happen. */
public record PlannedHour(LocalDate date, LocalTime time, ZoneId zone) {
    private static final Duration FURTHEST = Duration.ofDays(366);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.UK);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.UK);

    /** The hour that a moment is on a clock. */
    public static PlannedHour at(Instant moment, ZoneId zone) {
        LocalDateTime there = LocalDateTime.ofInstant(moment, zone);
        return new PlannedHour(there.toLocalDate(), there.toLocalTime(), zone);
    }

    /**
     * Why nothing can be planned for it, in a sentence: it is over, too far ahead, or left out when clocks go forward. Empty
     * when it can.
     */
    public Optional<String> refusal(Instant now) {
        if (skipped()) {
            LocalDateTime after =
                    zone.getRules().getTransition(date.atTime(time)).getDateTimeAfter();
            return Optional.of("There is no " + CLOCK.format(time) + " on " + DAY.format(date) + " in " + place(zone)
                    + ": the clocks go forward to " + CLOCK.format(after) + ". Choose another hour.");
        }
        if (!moment().isAfter(now)) {
            return Optional.of("This hour has passed. Choose a later one.");
        }
        return moment().isAfter(now.plus(FURTHEST))
                ? Optional.of("This is more than a year ahead. Choose an earlier day.")
                : Optional.empty();
    }

    /** The moment it is; the first of two where clocks go back, the one right after where they go forward. */
    public Instant moment() {
        return date.atTime(time).atZone(zone).withEarlierOffsetAtOverlap().toInstant();
    }

    /** Whether it comes twice, since clocks go back. */
    public boolean comesTwice() {
        return zone.getRules().getValidOffsets(date.atTime(time)).size() > 1;
    }

    private boolean skipped() {
        return zone.getRules().getValidOffsets(date.atTime(time)).isEmpty();
    }

    /** The same moment on another clock. */
    public PlannedHour in(ZoneId other) {
        return at(moment(), other);
    }

    /** E.g. {@code Tuesday 5 May, 08:00}. */
    public String words() {
        return DAY.format(date) + ", " + CLOCK.format(time);
    }

    /** What a time zone is called by people: the place it is named after, by CLDR. E.g. {@code New York}. */
    public static String place(ZoneId zone) {
        String place = TimeZoneNames.getInstance(ULocale.ENGLISH).getExemplarLocationName(zone.getId());
        return place == null ? zone.getId() : place;
    }
}
