package famulus.core.syntax;

import java.util.List;

/**
 * What is wrong at one place of a text, whoever it is merged for.
 *
 * @param code which sort of problem
 * @param span the place in the source
 * @param sentence for the writer: names the thing and the remedy
 * @param nearest known names that may have been meant, best first; may be empty
 */
public record Problem(Code code, Span span, String sentence, List<String> nearest) {
    public Problem {
        nearest = List.copyOf(nearest);
    }

    /** Sorts of problem. */
    public enum Code {
        /** A path that leads nowhere. */
        FIELD_UNKNOWN,
        /** Written in a way that can't work. */
        FIELD_BROKEN,
        /** A condition that comes out the same for everybody. */
        FOREGONE
    }
}
