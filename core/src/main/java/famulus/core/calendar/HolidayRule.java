package famulus.core.calendar;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.MonthDay;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * On which day of a year a holiday falls. Written as:
 *
 * <pre>
 * 12-25                 the same day of every year, month first
 * 01-01 moved           the same, and the Monday after when it falls on a weekend
 * 12-26 moved twice     the same, for the second of two days that move together: the Tuesday after
 * easter, easter+39     so many days after Easter Sunday, or before it with a minus
 * first monday may      the first, second, third, fourth or last such day of a month
 * 2027-06-21            one day of one year
 * </pre>
 */
public sealed interface HolidayRule {

    /** The day of a year; for a day of one year only, that day whatever the year. */
    LocalDate in(int year);

    /** Reads a rule; empty when it is none. */
    static Optional<HolidayRule> read(String written) {
        String rule = written.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        try {
            Matcher fixed = Fixed.FORM.matcher(rule);
            if (fixed.matches()) {
                int moves = fixed.group(2) == null ? 0 : fixed.group(3) == null ? 1 : 2;
                return Optional.of(new Fixed(MonthDay.parse("--" + fixed.group(1)), moves));
            }
            Matcher easter = Easter.FORM.matcher(rule);
            if (easter.matches()) {
                return Optional.of(new Easter(easter.group(1) == null ? 0 : Integer.parseInt(easter.group(1))));
            }
            Matcher weekday = Weekday.FORM.matcher(rule);
            if (weekday.matches()) {
                return Optional.of(new Weekday(
                        Weekday.ordinal(weekday.group(1)),
                        DayOfWeek.valueOf(weekday.group(2).toUpperCase(Locale.ROOT)),
                        Month.valueOf(weekday.group(3).toUpperCase(Locale.ROOT))));
            }
            return rule.matches("[0-9]{4}-[0-9]{2}-[0-9]{2}")
                    ? Optional.of(new Once(LocalDate.parse(rule)))
                    : Optional.empty();
        } catch (DateTimeException | IllegalArgumentException wrong) {
            return Optional.empty();
        }
    }

    /**
     * The same day of every year.
     *
     * @param moves 0 when it stays on a weekend; 1 or 2 when it moves to the first or second day after it
     */
    record Fixed(MonthDay day, int moves) implements HolidayRule {
        private static final Pattern FORM = Pattern.compile("([0-9]{2}-[0-9]{2})( moved( twice)?)?");

        @Override
        public LocalDate in(int year) {
            LocalDate date = day.atYear(year);
            boolean weekend = date.getDayOfWeek().getValue() >= DayOfWeek.SATURDAY.getValue();
            // The second of two days also gives way when the first has moved onto it.
            boolean pushed = moves == 2 && date.getDayOfWeek() == DayOfWeek.MONDAY;
            if (moves == 0 || !(weekend || pushed)) {
                return date;
            }
            if (pushed) {
                return date.plusDays(1);
            }
            return date.with(TemporalAdjusters.next(moves == 1 ? DayOfWeek.MONDAY : secondAfter(date)));
        }

        private static DayOfWeek secondAfter(LocalDate date) {
            return date.getDayOfWeek() == DayOfWeek.SATURDAY ? DayOfWeek.MONDAY : DayOfWeek.TUESDAY;
        }
    }

    /** So many days after Easter Sunday of the western churches. */
    record Easter(int days) implements HolidayRule {
        private static final Pattern FORM = Pattern.compile("easter([+-][0-9]{1,3})?");

        /** By the anonymous Gregorian computus (Meeus, Jones and Butcher). */
        @Override
        public LocalDate in(int year) {
            int a = year % 19;
            int b = year / 100;
            int c = year % 100;
            int h = (19 * a + b - b / 4 - (b - (b + 8) / 25 + 1) / 3 + 15) % 30;
            int l = (32 + 2 * (b % 4) + 2 * (c / 4) - h - c % 4) % 7;
            int m = (a + 11 * h + 22 * l) / 451;
            int n = h + l - 7 * m + 114;
            return LocalDate.of(year, n / 31, n % 31 + 1).plusDays(days);
        }
    }

    /** The first, second … or last such day of a month; {@code ordinal} is -1 for the last. */
    record Weekday(int ordinal, DayOfWeek weekday, Month month) implements HolidayRule {
        private static final Pattern FORM = Pattern.compile("(first|second|third|fourth|last) ([a-z]+) ([a-z]+)");

        private static int ordinal(String word) {
            return switch (word) {
                case "first" -> 1;
                case "second" -> 2;
                case "third" -> 3;
                case "fourth" -> 4;
                default -> -1;
            };
        }

        @Override
        public LocalDate in(int year) {
            return LocalDate.of(year, month, 1).with(TemporalAdjusters.dayOfWeekInMonth(ordinal, weekday));
        }
    }

    /** One day of one year. */
    record Once(LocalDate day) implements HolidayRule {
        @Override
        public LocalDate in(int year) {
            return day;
        }
    }
}
