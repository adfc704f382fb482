package famulus.core.merge;

import famulus.core.syntax.Quoted;
import java.util.List;
import java.util.stream.Collectors;

/** Writes parsed parts back in the one canonical way: lower-case paths, straight quotes, single spaces. */
final class WrittenForm {
    private WrittenForm() {}

    static String of(List<Node> nodes) {
        StringBuilder written = new StringBuilder();
        write(nodes, written, false);
        return written.toString();
    }

    private static void write(List<Node> nodes, StringBuilder written, boolean braceAfter) {
        for (int index = 0; index < nodes.size(); index++) {
            switch (nodes.get(index)) {
                case Node.Literal literal -> literal(written, literal.text(), braceAfter || index + 1 < nodes.size());
                case Node.Field field -> written.append(field.written());
                case Node.Broken broken -> written.append(broken.source());
                case Node.Choice choice -> {
                    for (int turn = 0; turn < choice.branches().size(); turn++) {
                        Node.Branch branch = choice.branches().get(turn);
                        written.append(tag(branch.guard(), turn == 0));
                        write(branch.nodes(), written, true);
                    }
                    written.append("{end}");
                }
            }
        }
    }

    /** The opening tag of a branch. */
    static String tag(Guard guard, boolean first) {
        return switch (guard) {
            case Guard.When when ->
                (first ? "{when " : "{otherwise when ") + when.condition().written() + "}";
            case Guard.Otherwise otherwise -> "{otherwise}";
            case Guard.Unreadable unreadable -> unreadable.source();
        };
    }

    static String of(Expression expression) {
        return expression.terms().stream().map(WrittenForm::of).collect(Collectors.joining(" else ", "{", "}"));
    }

    private static String of(Expression.Term term) {
        String operand =
                switch (term.operand()) {
                    case Operand.Reference reference -> reference.reckoning().written();
                    case Operand.WriteIn blank -> "write in " + Quoted.of(blank.hint());
                    case Operand.Text words -> Quoted.of(words.text());
                    case Operand.Figure figure -> figure.number().toPlainString();
                    case Operand.Nothing nothing -> "nothing";
                };
        return term.format().map(format -> operand + " as " + format.written()).orElse(operand);
    }

    /** A backslash counts only before a brace; there it is doubled, and the brace gets one of its own. */
    private static void literal(StringBuilder written, String text, boolean braceFollows) {
        int backslashes = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '{') {
                written.repeat('\\', backslashes + 1);
            }
            written.append(c);
            backslashes = c == '\\' ? backslashes + 1 : 0;
        }
        if (braceFollows) {
            written.repeat('\\', backslashes);
        }
    }
}
