package famulus.core.merge;

import famulus.core.condition.Condition;
import famulus.core.syntax.Problem;

/** When a branch of a choice prints. */
public sealed interface Guard {

    /** When a condition holds. */
    record When(Condition condition) implements Guard {}

    /** When none before it does. */
    record Otherwise() implements Guard {}

    /**
     * Never, because its condition can't be read. The tag prints as it was written, so that it is seen.
     *
     * @param source the tag as written, braces included
     */
    record Unreadable(String source, Problem problem) implements Guard {}
}
