package famulus.core.merge;

import java.util.List;

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

    /** The fields in the order they stand. */
    public List<Node.Field> fields() {
        return nodes.stream()
                .filter(Node.Field.class::isInstance)
                .map(Node.Field.class::cast)
                .toList();
    }

    /** What could not be read, in the order it stands. */
    public List<Problem> problems() {
        return nodes.stream()
                .filter(Node.Broken.class::isInstance)
                .map(node -> ((Node.Broken) node).problem())
                .toList();
    }

    /** The canonical written form: parsing it gives the same parts again. */
    public String written() {
        return WrittenForm.of(nodes);
    }
}
