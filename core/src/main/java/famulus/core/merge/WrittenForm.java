package famulus.core.merge;

import java.util.List;
import java.util.stream.Collectors;

/** Writes parsed parts back in the one canonical way: lower-case paths, straight quotes, single spaces. */
final class WrittenForm {
    private WrittenForm() {}

    static String of(List<Node> nodes) {
        StringBuilder written = new StringBuilder();
        for (int index = 0; index < nodes.size(); index++) {
            switch (nodes.get(index)) {
                case Node.Literal literal -> literal(written, literal.text(), index + 1 < nodes.size());
                case Node.Field field -> written.append(of(field.expression()));
                case Node.Broken broken -> written.append(broken.source());
            }
        }
        return written.toString();
    }

    static String of(Expression expression) {
        return expression.terms().stream().map(WrittenForm::of).collect(Collectors.joining(" else ", "{", "}"));
    }

    private static String of(Expression.Term term) {
        String operand =
                switch (term.operand()) {
                    case Operand.Reference reference -> reference.path().toString();
                    case Operand.Words words -> quoted(words.text());
                    case Operand.Figure figure -> figure.number().toPlainString();
                    case Operand.Nothing nothing -> "nothing";
                };
        return term.format().map(format -> operand + " as " + format.written()).orElse(operand);
    }

    static String quoted(String text) {
        StringBuilder quoted = new StringBuilder("\"");
        for (char c : text.toCharArray()) {
            if (c == '"' || c == '\\' || c == '{' || c == '}') {
                quoted.append('\\');
            }
            quoted.append(c);
        }
        return quoted.append('"').toString();
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
