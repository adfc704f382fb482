package famulus.core.merge;

import famulus.core.field.Path;
import famulus.core.syntax.Problem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * A text parsed for merging: immutable, safe to share between threads, merged as often as needed.
 *
 * @param source the text it was parsed from
 * @param nodes its parts in order; together they cover the whole source
 */
public record Program(String source, List<Node> nodes) {
    public Program {
        nodes = List.copyOf(nodes);
    }

    /** Every node in the order it stands, those within choices after the choice itself. */
    public List<Node> all() {
        List<Node> all = new ArrayList<>();
        collect(nodes, all);
        return all;
    }

    private static void collect(List<Node> from, List<Node> into) {
        for (Node node : from) {
            into.add(node);
            if (node instanceof Node.Choice choice) {
                choice.branches().forEach(branch -> collect(branch.nodes(), into));
            }
        }
    }

    /** The fields in the order they stand, those within choices too. */
    public List<Node.Field> fields() {
        return all().stream()
                .filter(Node.Field.class::isInstance)
                .map(Node.Field.class::cast)
                .toList();
    }

    /** The choices in the order they begin, those within others too. */
    public List<Node.Choice> choices() {
        return all().stream()
                .filter(Node.Choice.class::isInstance)
                .map(Node.Choice.class::cast)
                .toList();
    }

    /** The hints of its blanks to write in, each once and in the order they stand. */
    public List<String> blanks() {
        return fields().stream()
                .flatMap(field -> field.expression().terms().stream())
                .map(Expression.Term::operand)
                .filter(Operand.WriteIn.class::isInstance)
                .map(blank -> ((Operand.WriteIn) blank).hint())
                .distinct()
                .toList();
    }

    /** Every path that its fields and conditions name, each once, in the order they stand. */
    public List<Path> paths() {
        return all().stream()
                .flatMap(node -> switch (node) {
                    case Node.Field field ->
                        field.expression().terms().stream()
                                .map(Expression.Term::operand)
                                .filter(Operand.Reference.class::isInstance)
                                .map(reference -> ((Operand.Reference) reference).path());
                    case Node.Choice choice ->
                        choice.branches().stream()
                                .map(Node.Branch::guard)
                                .filter(Guard.When.class::isInstance)
                                .flatMap(when -> ((Guard.When) when).condition().paths());
                    case Node.Literal literal -> Stream.<Path>empty();
                    case Node.Broken broken -> Stream.<Path>empty();
                })
                .distinct()
                .toList();
    }

    /** What could not be read, in the order it stands. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        for (Node node : all()) {
            switch (node) {
                case Node.Broken broken -> problems.add(broken.problem());
                case Node.Choice choice ->
                    choice.branches().forEach(branch -> {
                        if (branch.guard() instanceof Guard.Unreadable unreadable) {
                            problems.add(unreadable.problem());
                        }
                    });
                case Node.Literal literal -> {}
                case Node.Field field -> {}
            }
        }
        return problems.stream()
                .sorted(Comparator.comparingInt(problem -> problem.span().start()))
                .toList();
    }

    /** The canonical written form: parsing it gives the same parts again. */
    public String written() {
        return WrittenForm.of(nodes);
    }
}
