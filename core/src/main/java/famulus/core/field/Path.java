package famulus.core.field;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The name of a value: {@code contact.first_name}, {@code deal.organisation.name}, or one word such as {@code today}.
 * Two are equal when their words are. Paths are looked up for every field of every message, so the written form and its
 * hash are kept.
 */
public final class Path {
    private final List<String> words;
    private final String written;

    /**
     * A path of words.
     *
     * @param words at least one, none blank; upper case counts as lower case
     */
    public Path(List<String> words) {
        this.words = words.stream().map(word -> word.toLowerCase(Locale.ROOT)).toList();
        if (words.isEmpty() || words.stream().anyMatch(String::isBlank)) {
            throw new IllegalArgumentException("A path has at least one word");
        }
        // One string for all paths of a name: telling two of a name alike then needs no look at their characters.
        this.written = String.join(".", this.words).intern();
    }

    /** Reads a path from its written form, such as {@code "person.first_name"}, where it is known to be one. */
    public static Path of(String written) {
        return new Path(List.of(written.strip().split("\\.")));
    }

    /**
     * Reads a path from what somebody wrote, or a program sent, in its place.
     *
     * @return nothing where there is a word too few: before the first point, between two, after the last
     */
    public static Optional<Path> read(String written) {
        List<String> words = List.of(written.strip().split("\\.", -1));
        return words.stream().anyMatch(String::isBlank) ? Optional.empty() : Optional.of(new Path(words));
    }

    /** Its words, in lower case. */
    public List<String> words() {
        return words;
    }

    /** The first word: which record, or which moment. */
    public String root() {
        return words.getFirst();
    }

    @Override
    public boolean equals(Object other) {
        return this == other || (other instanceof Path path && written.equals(path.written));
    }

    @Override
    public int hashCode() {
        return written.hashCode();
    }

    /** The written form, words joined by points. */
    @Override
    public String toString() {
        return written;
    }
}
