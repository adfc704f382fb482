package famulus.core.prose;

import famulus.core.prose.Prose.Stretch;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A day as a text names it.
 *
 * @param whole where it stands, with its weekday
 * @param days which days of which months it may be: two where 4/5 may be read both ways
 * @param year the year it names; empty for none
 * @param weekday the weekday it names; empty for none
 * @param name where that weekday stands
 * @param number where the number of the day stands
 */
public record WrittenDate(
        Stretch whole,
        List<DayAndMonth> days,
        Optional<Integer> year,
        Optional<DayOfWeek> weekday,
        Optional<Stretch> name,
        Stretch number) {
    /** A day that no year is named for is one that has just been, or that comes in the months ahead. */
    private static final int DAYS_BACK = 120;

    /** A day of a month, which may not exist. */
    public record DayAndMonth(int day, Month month) {
        /** Whether any year has it. */
        public boolean exists() {
            return day >= 1 && day <= month.maxLength();
        }

        private Optional<LocalDate> in(int year) {
            try {
                return Optional.of(LocalDate.of(year, month, day));
            } catch (DateTimeException none) {
                return Optional.empty();
            }
        }
    }

    public WrittenDate {
        days = List.copyOf(days);
    }

    /** Whether there is such a day: 31 June is none, and 29 February is one in some years only. */
    public boolean exists() {
        return days.stream()
                .anyMatch(one -> one.exists()
                        && year.map(number -> one.day()
                                        <= YearMonth.of(number, one.month()).lengthOfMonth())
                                .orElse(true));
    }

    /** The day that is meant on a day: in the year it names, else where it falls next to that day. */
    public Optional<LocalDate> nearest(LocalDate from) {
        return meant(from).findFirst();
    }

    /** The days that may be meant: more than one where it may be read in two ways. */
    public Stream<LocalDate> meant(LocalDate from) {
        LocalDate back = from.minusDays(DAYS_BACK);
        return days.stream()
                .flatMap(one -> year.isPresent()
                        ? one.in(year.get()).stream()
                        : IntStream.rangeClosed(back.getYear(), back.getYear() + 8)
                                .boxed()
                                .flatMap(number -> one.in(number).stream())
                                .filter(day -> !day.isBefore(back))
                                .findFirst()
                                .stream())
                .sorted(Comparator.comparingLong(day -> Math.abs(ChronoUnit.DAYS.between(from, day))));
    }

    /** The days that may be meant by somebody who tells of the past: the last of their name up to a day. */
    public Stream<LocalDate> past(LocalDate to) {
        return days.stream()
                .flatMap(one -> IntStream.rangeClosed(0, 8)
                        .boxed()
                        .flatMap(back -> one.in(year.orElse(to.getYear()) - back).stream())
                        .filter(day -> !day.isAfter(to))
                        .findFirst()
                        .stream());
    }
}
