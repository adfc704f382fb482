package famulus.core.salutation;

import famulus.core.condition.TextKey;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Merged;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One way to greet one person. It fits when the person is addressed with its formality, has one of its titles, and has
 * every value that its address names.
 *
 * @param formality whom it is for
 * @param titles the titles it is for; none for everybody, with or without a title
 * @param opening the words before the name, such as {@code Dear}
 * @param address the name, in the merge language, from {@code person.title}, {@code person.first_name} and
 *     {@code person.last_name}; empty to greet without a name
 */
public record SalutationRule(Formality formality, List<String> titles, String opening, String address) {
    private static final Path TITLE = Path.of("person.title");
    private static final Path FIRST_NAME = Path.of("person.first_name");
    private static final Path LAST_NAME = Path.of("person.last_name");
    private static final Set<Path> KNOWN = Set.of(TITLE, FIRST_NAME, LAST_NAME);

    public SalutationRule {
        titles = List.copyOf(titles);
    }

    /**
     * A rule read once for all that are greeted.
     *
     * @param titles the keys of the titles it is for
     */
    record Read(SalutationRule rule, Program address, Set<String> titles) {
        Read(SalutationRule rule) {
            this(
                    rule,
                    MergeParser.parse(rule.address),
                    rule.titles.stream().map(TextKey::of).collect(Collectors.toSet()));
        }

        private boolean fits(Greeted person, Formality wanted) {
            return rule.formality == wanted && (titles.isEmpty() || titles.contains(TextKey.of(person.title())));
        }
    }

    /** What is wrong with the address, in a sentence; empty when it can be used. */
    public Optional<String> refusal() {
        Program program = MergeParser.parse(address);
        if (!program.problems().isEmpty()) {
            return Optional.of(program.problems().getFirst().sentence());
        }
        boolean unknown = program.fields().stream()
                .map(field -> field.expression().leadingPath())
                .anyMatch(path -> path.isEmpty() || !KNOWN.contains(path.get()));
        return unknown || !program.choices().isEmpty()
                ? Optional.of("A greeting can use {person.title}, {person.first_name} and {person.last_name}.")
                : Optional.empty();
    }

    /**
     * The name as a rule writes it; empty when the rule does not fit the person.
     *
     * @param merger of the language
     */
    static Optional<String> name(Read read, Greeted person, Formality wanted, Merger merger) {
        if (!read.fits(person, wanted)) {
            return Optional.empty();
        }
        Merged merged = merger.merge(read.address(), path -> value(path, person), Place.HEADER);
        return merged.complete() ? Optional.of(merged.text().strip()) : Optional.empty();
    }

    private static Optional<Value> value(Path path, Greeted person) {
        if (path.equals(TITLE)) {
            return Optional.of(new Value.Text(person.title()));
        }
        if (path.equals(FIRST_NAME)) {
            return Optional.of(new Value.Text(person.firstName()));
        }
        return path.equals(LAST_NAME) ? Optional.of(new Value.Text(person.lastName())) : Optional.empty();
    }
}
