package famulus.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/** Which days are worked where somebody is: not the weekend, and no holiday. Immutable to its users; safe to share. */
public final class WorkingDays {
    /** Saturday and Sunday off, and no holiday. */
    public static final WorkingDays PLAIN = new WorkingDays(List.of());

    private static final Set<DayOfWeek> WEEKEND = Set.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);

    private final List<Holiday> holidays;
    private final Map<Integer, Map<LocalDate, String>> byYear = new ConcurrentHashMap<>();

    /** Working days with these holidays. */
    public WorkingDays(Collection<Holiday> holidays) {
        this.holidays = List.copyOf(holidays);
    }

    /** Whether people work on a day. */
    public boolean worked(LocalDate day) {
        return !WEEKEND.contains(day.getDayOfWeek()) && holiday(day).isEmpty();
    }

    /** The name of the holiday that a day is, in its country's own words; empty for any other day. */
    public Optional<String> holiday(LocalDate day) {
        return Optional.ofNullable(
                byYear.computeIfAbsent(day.getYear(), this::ofYear).get(day));
    }

    /**
     * Counts working days on from a day, or back.
     *
     * @param number how many; 0 gives the day itself if it is worked, else the next one that is
     */
    public LocalDate plus(LocalDate day, long number) {
        LocalDate reached = day;
        if (number == 0) {
            while (!worked(reached)) {
                reached = reached.plusDays(1);
            }
            return reached;
        }
        int way = number > 0 ? 1 : -1;
        for (long left = Math.abs(number); left > 0; ) {
            reached = reached.plusDays(way);
            if (worked(reached)) {
                left--;
            }
        }
        return reached;
    }

    private Map<LocalDate, String> ofYear(int year) {
        return holidays.stream()
                .collect(Collectors.toUnmodifiableMap(
                        holiday -> holiday.rule().in(year), Holiday::name, (first, other) -> first + ", " + other));
    }

    /** A holiday of a country, with its name in that country's own words. */
    public record Holiday(String name, HolidayRule rule) {}
}
