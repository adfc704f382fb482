package famulus.core.message.compare;

import java.util.List;

/**
 * One thing that differs.
 *
 * @param kind what became of it
 * @param where what it is, such as {@code Subject} or {@code Text 3}
 * @param words its words before and after, joined; for a block that is only in one version, all of them
 * @param settings whether something else of it differs too, such as its look or its picture
 */
public record Change(Kind kind, String where, List<Stretch> words, boolean settings) {
    public Change {
        words = List.copyOf(words);
    }

    /** What became of a part. */
    public enum Kind {
        ADDED,
        REMOVED,
        CHANGED,
        MOVED
    }

    /** Words that are in both versions or in one. */
    public record Stretch(Of of, String text) {}

    /** Which version words are of. */
    public enum Of {
        BOTH,
        BEFORE,
        AFTER
    }
}
