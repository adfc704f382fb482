package famulus.core.field;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Names that paths had before, so that a text with one of them can be offered the name of today. */
final class OldNames {
    /** First words of paths, by what they were. */
    private static final Map<String, String> ROOTS = Map.of("house", "our");
    /** Fields of any record, by what they were. */
    private static final Map<String, String> FIELDS =
            Map.of("salutation", "greeting", "last_answer", "last_reply", "answered", "replied");

    private OldNames() {}

    /** The path as it is written today, e.g. {@code our.name} for {@code house.name}; empty when no name of it is old. */
    static Optional<Path> today(Path path) {
        List<String> words = new ArrayList<>(path.words());
        words.set(0, ROOTS.getOrDefault(path.root(), path.root()));
        if (words.size() > 1) {
            words.set(words.size() - 1, FIELDS.getOrDefault(words.getLast(), words.getLast()));
        }
        return Optional.of(new Path(words)).filter(now -> !now.equals(path));
    }
}
