package famulus.core.html;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Counts what is taken out, and says it. */
final class Removed {
    /** Which of a sort are named; the others are only counted. */
    private static final int MOST_NAMED = 60;

    private final Map<String, Integer> counts = new LinkedHashMap<>();

    /** One more of a sort, such as {@code "form"} or {@code "attribute that runs a script: onclick"}. */
    void add(String sort) {
        if (counts.containsKey(sort) || counts.size() < MOST_NAMED) {
            counts.merge(sort, 1, Integer::sum);
        } else {
            counts.merge("other part", 1, Integer::sum);
        }
    }

    /** A sentence for each sort, in the order they were met. */
    List<String> sentences() {
        return counts.entrySet().stream()
                .map(one -> one.getValue() == 1 ? "1 " + one.getKey() : one.getValue() + " × " + one.getKey())
                .toList();
    }
}
