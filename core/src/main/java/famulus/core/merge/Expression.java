package famulus.core.merge;

import famulus.core.field.Path;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Optional;

/**
 * What stands between the braces of a field: terms tried from left to right; the first that has a value prints.
 *
 * @param terms at least one
 */
public record Expression(List<Term> terms) {
    public Expression {
        terms = List.copyOf(terms);
        if (terms.isEmpty()) {
            throw new IllegalArgumentException("An expression has at least one term");
        }
    }

    /** The first path asked for, if any term asks for one; it names the field on screen. */
    public Optional<Path> leadingPath() {
        return terms.stream()
                .map(Term::operand)
                .filter(Operand.Reference.class::isInstance)
                .map(operand -> ((Operand.Reference) operand).path())
                .findFirst();
    }

    /**
     * One term of the chain.
     *
     * @param operand where the value comes from
     * @param format how it is printed; absent for the type's own way
     * @param span where the term stands in the source
     */
    public record Term(Operand operand, Optional<Format> format, Span span) {}
}
