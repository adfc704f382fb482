package famulus.core.field;

import java.util.List;
import java.util.Locale;

/**
 * The name of a value: {@code contact.first_name}, {@code deal.organisation.name}, or one word such as {@code today}.
 *
 * @param words lower case, at least one, none empty
 */
public record Path(List<String> words) {
    public Path {
        words = words.stream().map(word -> word.toLowerCase(Locale.ROOT)).toList();
        if (words.isEmpty() || words.stream().anyMatch(String::isBlank)) {
            throw new IllegalArgumentException("A path has at least one word");
        }
    }

    /** Reads a path from its written form, such as {@code "person.first_name"}. */
    public static Path of(String written) {
        return new Path(List.of(written.strip().split("\\.")));
    }

    /** The first word: which record, or which moment. */
    public String root() {
        return words.getFirst();
    }

    /** The written form, words joined by points. */
    @Override
    public String toString() {
        return String.join(".", words);
    }
}
