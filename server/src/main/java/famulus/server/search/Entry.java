package famulus.server.search;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;

/** All words of one thing as one text, each behind a space: a word has none in it. */
final class Entry {
    static final String BEFORE_EACH = " ";

    private Entry() {}

    static String of(Set<String> words) {
        return words.stream().map(BEFORE_EACH::concat).collect(Collectors.joining());
    }

    static Set<String> words(String entry) {
        return entry.isEmpty()
                ? Set.of()
                : new LinkedHashSet<>(Arrays.asList(entry.substring(1).split(BEFORE_EACH)));
    }
}
