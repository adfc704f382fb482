package famulus.core.merge;

import famulus.core.field.Value;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * Remembers how values were printed in one language. The same days and amounts come again from person to person, and
 * printing one by the rules of a language takes ten times as long as finding it here. Safe to share.
 */
final class PrintedBefore {
    /** Some 2 MB at most; when it is full it begins anew, which costs less than knowing what was used last. */
    private static final int MOST = 10_000;

    private final Map<Asked, String> printed = new ConcurrentHashMap<>();

    private record Asked(Value value, Format format) {}

    /**
     * A value as it was printed before, else as it is printed now.
     *
     * @param value a day, a number or an amount
     * @param format one that prints a value alike on every day; empty for the type's own way
     */
    String text(Value value, Optional<Format> format, Supplier<String> print) {
        Asked asked = new Asked(value, format.orElse(null));
        String before = printed.get(asked);
        if (before != null) {
            return before;
        }
        String text = print.get();
        if (printed.size() >= MOST) {
            printed.clear();
        }
        printed.put(asked, text);
        return text;
    }
}
