package famulus.core.merge;

import famulus.core.field.Value;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Remembers how values were printed in one language. The same days and amounts come again from person to person, and
 * printing one by the rules of a language takes ten times as long as finding it here. Safe to share: an entry is never
 * changed, and a thread that misses another's prints the value again.
 */
final class PrintedBefore {
    /** Some 2 MB at most. A power of two; of two values that fall on one place the later is kept. */
    private static final int PLACES = 1 << 14;

    private final Entry[] entries = new Entry[PLACES];

    private record Entry(Value value, Format format, String text) {}

    /**
     * A value as it was printed before, else as it is printed now.
     *
     * @param value a day, a number or an amount
     * @param format one that prints a value alike on every day; empty for the type's own way
     */
    String text(Value value, Optional<Format> format, Supplier<String> print) {
        Format asked = format.orElse(null);
        int place = place(value.hashCode() * 31 + (asked == null ? 0 : asked.hashCode()));
        Entry before = entries[place];
        if (before != null && before.value.equals(value) && same(before.format, asked)) {
            return before.text;
        }
        String text = print.get();
        entries[place] = new Entry(value, asked, text);
        return text;
    }

    private static boolean same(Format one, Format other) {
        return one == other || (one != null && one.equals(other));
    }

    /** Amounts differ in few bits of their hash; this spreads them over all places. */
    private static int place(int hash) {
        return (hash * 0x9E3779B9) >>> (Integer.SIZE - Integer.numberOfTrailingZeros(PLACES));
    }
}
