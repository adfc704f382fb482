package famulus.core.calendar;

import famulus.core.syntax.TokenCursor;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Units that can be added to a day or a moment. */
public enum TimeUnit {
    HOUR("hour"),
    DAY("day"),
    WORKING_DAY("working day"),
    WEEK("week"),
    MONTH("month");

    private final String one;

    TimeUnit(String one) {
        this.one = one;
    }

    /** The word for so many of them. */
    public String written(long number) {
        return number == 1 ? one : one + "s";
    }

    /** Reads a unit, in the singular or the plural; empty when something else comes next. */
    static Optional<TimeUnit> read(TokenCursor tokens) {
        return Arrays.stream(values())
                .filter(unit -> tokens.takeIf(List.of((unit.one + "s").split(" ")))
                        || tokens.takeIf(List.of(unit.one.split(" "))))
                .findFirst();
    }
}
