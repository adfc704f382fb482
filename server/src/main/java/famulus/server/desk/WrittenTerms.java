package famulus.server.desk;

import famulus.core.merge.Expression;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.merge.Operand;
import famulus.core.merge.Program;
import famulus.core.syntax.Span;
import famulus.server.lists.ShownCondition;
import famulus.server.platform.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts a field together from what its slip says of each term. */
final class WrittenTerms {
    private static final Span NOWHERE = new Span(0, 0);

    private WrittenTerms() {}

    /** The written form of a chain of terms; refused when a term says what no term can. */
    static String of(List<ShownTerm> terms) {
        if (terms == null || terms.isEmpty()) {
            throw Refusal.field("field", "A field needs something to print.");
        }
        List<Expression.Term> parsed = new ArrayList<>();
        terms.forEach(term -> parsed.add(term(term)));
        Node.Field field = new Node.Field(new Expression(parsed), NOWHERE);
        return new Program("", List.of(field)).written();
    }

    private static Expression.Term term(ShownTerm term) {
        return switch (term.kind()) {
            case "nothing" -> new Expression.Term(new Operand.Nothing(), Optional.empty(), NOWHERE);
            case "text" -> new Expression.Term(new Operand.Text(line(term.value())), Optional.empty(), NOWHERE);
            case "blank" -> blank(term);
            case "number" ->
                new Expression.Term(new Operand.Figure(ShownCondition.number(term.value())), Optional.empty(), NOWHERE);
            default -> reference(term);
        };
    }

    /** A path with its format is read by the parser itself, so that the two never differ. */
    private static Expression.Term reference(ShownTerm term) {
        String format = term.format() == null || term.format().isBlank() ? "" : " as " + term.format();
        StringBuilder reckoned = new StringBuilder(term.value());
        if (term.steps() != null) {
            term.steps().forEach(step -> reckoned.append(step.number() < 0 ? " minus " : " plus ")
                    .append(Math.abs(step.number()))
                    .append(' ')
                    .append(step.unit().written(step.number())));
        }
        Program program = MergeParser.parse("{" + reckoned + format + "}");
        program.problems().stream().findFirst().ifPresent(problem -> {
            throw Refusal.field("field", problem.sentence());
        });
        if (program.nodes().size() != 1 || !(program.nodes().getFirst() instanceof Node.Field field)) {
            throw Refusal.field("field", "Choose a field.");
        }
        return field.expression().terms().getFirst();
    }

    private static Expression.Term blank(ShownTerm term) {
        String hint = line(term.value()).strip();
        if (hint.isEmpty()) {
            throw Refusal.field("field", "Say what the sender should write in here.");
        }
        return new Expression.Term(new Operand.WriteIn(hint), Optional.empty(), NOWHERE);
    }

    private static String line(String value) {
        return value == null ? "" : value.replaceAll("[\\r\\n]+", " ");
    }
}
