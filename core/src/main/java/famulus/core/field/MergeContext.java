package famulus.core.field;

import java.util.Optional;

/** Where a merge finds its values: one person, and the records around them. */
@FunctionalInterface
public interface MergeContext {
    /**
     * Looks a value up.
     *
     * @param path as written in the template; {@code today} and {@code now} are never asked for
     * @return the stored value; empty when there is none or the path leads nowhere
     */
    Optional<Value> value(Path path);
}
