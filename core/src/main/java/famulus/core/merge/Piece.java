package famulus.core.merge;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.syntax.Span;
import java.util.Optional;

/**
 * A stretch of merged text and where it came from.
 *
 * @param text what is printed; empty for blanks and gaps
 * @param origin why
 * @param span the literal or field in the template's source
 * @param path which value was asked for first, for fields that ask for one
 * @param value the value, for what came from a record; the hint, for what is asked of the sender
 * @param written the field's written form; empty for literals
 * @param fallback which term of the chain printed: 0 for the first, 1 for the first fallback, and so on
 */
public record Piece(
        String text,
        Origin origin,
        Span span,
        Optional<Path> path,
        Optional<Value> value,
        String written,
        int fallback) {

    static Piece literal(String text, Span span) {
        return new Piece(text, Origin.WRITTEN, span, Optional.empty(), Optional.empty(), "", 0);
    }

    static Piece broken(String text, Span span) {
        return new Piece(text, Origin.BROKEN, span, Optional.empty(), Optional.empty(), "", 0);
    }

    static Piece mark(Origin origin, Span span) {
        return new Piece("", origin, span, Optional.empty(), Optional.empty(), "", 0);
    }

    /** The value as it is stored; for a blank to write in its hint. */
    public Optional<String> stored() {
        return value.map(Formats::stored);
    }

    /** Whether it prints nothing on purpose, so that the hole it leaves is closed. */
    boolean leavesHole() {
        return origin == Origin.BLANK || marksChoice();
    }

    /** Whether it only marks where a branch begins or a choice ends. */
    public boolean marksChoice() {
        return origin == Origin.BRANCH || origin == Origin.CHOICE_END || origin == Origin.CHOICE_PASSED;
    }

    Piece withText(String changed) {
        return new Piece(changed, origin, span, path, value, written, fallback);
    }
}
