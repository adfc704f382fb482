package famulus.core.syntax;

import java.util.List;
import java.util.Optional;

/**
 * What is wrong at one place of a text, whoever it is merged for.
 *
 * @param code which sort of problem
 * @param span the place in the source
 * @param sentence for the writer: names the thing and the remedy
 * @param nearest known names that may have been meant, best first; may be empty
 * @param fix the one obvious way to mend it, if there is one
 */
public record Problem(Code code, Span span, String sentence, List<String> nearest, Optional<Fix> fix) {
    public Problem {
        nearest = List.copyOf(nearest);
    }

    /** A problem that the writer has to mend by hand. */
    public Problem(Code code, Span span, String sentence, List<String> nearest) {
        this(code, span, sentence, nearest, Optional.empty());
    }

    /** This problem, with the one obvious way to mend it. */
    public Problem mendedBy(Fix way) {
        return new Problem(code, span, sentence, nearest, Optional.of(way));
    }

    /**
     * A change of the source that mends a problem.
     *
     * @param label what the writer is offered, such as {@code Take it out}
     * @param span what it takes the place of; an empty one puts in
     * @param text what stands there then
     */
    public record Fix(String label, Span span, String text) {
        /** Takes a stretch out. */
        public static Fix takeOut(Span span) {
            return new Fix("Remove it", span, "");
        }
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
