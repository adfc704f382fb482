package famulus.server.lists;

import famulus.core.calendar.Reckoning;
import famulus.core.calendar.TimeUnit;
import java.util.List;

/** So many units on; fewer than none for back. */
public record ShownStep(long number, TimeUnit unit) {
    /** What is added to a day, and taken from it. */
    public static List<ShownStep> of(Reckoning reckoning) {
        return reckoning.steps().stream()
                .map(step -> new ShownStep(step.number(), step.unit()))
                .toList();
    }
}
