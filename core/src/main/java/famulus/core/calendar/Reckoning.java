package famulus.core.calendar;

import famulus.core.field.Path;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A value, or a day or moment reckoned from one: {@code deal.placement_date minus 2 weeks}.
 *
 * @param path where to start from; {@code today} and {@code now} are moments of their own
 * @param steps taken in order; none for the value itself
 */
public record Reckoning(Path path, List<Step> steps) {
    public Reckoning {
        steps = List.copyOf(steps);
    }

    /** The value at a path, as it is. */
    public static Reckoning of(Path path) {
        return new Reckoning(path, List.of());
    }

    /** Whether anything is added or taken away. */
    public boolean reckoned() {
        return !steps.isEmpty();
    }

    /** The written form. */
    public String written() {
        return path + steps.stream().map(Step::written).collect(Collectors.joining());
    }

    /**
     * One addition.
     *
     * @param number how many; negative to take away
     */
    public record Step(long number, TimeUnit unit) {
        private String written() {
            long far = Math.abs(number);
            return (number < 0 ? " minus " : " plus ") + far + " " + unit.written(far);
        }
    }
}
