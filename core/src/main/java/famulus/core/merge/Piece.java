package famulus.core.merge;

import java.util.Optional;

/**
 * A stretch of merged text and where it came from.
 *
 * @param text what is printed; empty for blanks and gaps
 * @param origin why
 * @param span the literal or field in the template's source
 * @param path which value was asked for first, for fields that ask for one
 * @param stored the value as stored, for what came from a record
 * @param written the field's written form; empty for literals
 * @param fallback which term of the chain printed: 0 for the first, 1 for the first fallback, and so on
 */
public record Piece(
        String text,
        Origin origin,
        Span span,
        Optional<Path> path,
        Optional<String> stored,
        String written,
        int fallback) {

    static Piece literal(String text, Span span) {
        return new Piece(text, Origin.WRITTEN, span, Optional.empty(), Optional.empty(), "", 0);
    }

    Piece withText(String changed) {
        return new Piece(changed, origin, span, path, stored, written, fallback);
    }
}
