package famulus.core.merge;

import famulus.core.field.Path;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Optional;

/** One part of a parsed text. Knows where it stood in the source, and nothing of records or output. */
public sealed interface Node {
    /** Where the node stood in the source it was parsed from. */
    Span span();

    /**
     * Text that prints as it stands.
     *
     * @param text the characters to print, escapes already resolved
     * @param span where they were written, escapes included
     * @param inBody the piece it is in running text, made once, since it is the same at every merge
     * @param inHeader the piece it is in one line
     */
    record Literal(String text, Span span, Piece inBody, Piece inHeader) implements Node {
        /** A literal with its pieces. */
        public Literal(String text, Span span) {
            this(text, span, Piece.literal(Place.BODY.safe(text), span), Piece.literal(Place.HEADER.safe(text), span));
        }

        /** The piece it is in a place. */
        Piece piece(Place place) {
            return place == Place.BODY ? inBody : inHeader;
        }
    }

    /**
     * A merge field.
     *
     * @param expression what is asked for, in order
     * @param span from the opening to the closing brace, both included
     * @param written its canonical written form
     * @param leading the first path asked for, if one is
     */
    record Field(Expression expression, Span span, String written, Optional<Path> leading) implements Node {
        /** A field whose written form is worked out once, since it is asked for at every merge. */
        public Field(Expression expression, Span span) {
            this(expression, span, WrittenForm.of(expression), expression.leadingPath());
        }
    }

    /**
     * A choice between passages. The first branch whose guard lets it prints; none may.
     *
     * @param branches at least one, in order; an {@code otherwise} without a condition can only be the last
     * @param span from the opening of the first tag to the end of {@code {end}}
     * @param end where {@code {end}} stands
     */
    record Choice(List<Branch> branches, Span span, Span end) implements Node {
        public Choice {
            branches = List.copyOf(branches);
        }
    }

    /**
     * One passage of a choice.
     *
     * @param guard when it prints
     * @param tag where its opening tag stands
     * @param nodes what it prints
     */
    record Branch(Guard guard, Span tag, List<Node> nodes) {
        public Branch {
            nodes = List.copyOf(nodes);
        }

        /**
         * The opening tag in its canonical written form.
         *
         * @param first whether it is the first branch of its choice
         */
        public String written(boolean first) {
            return WrittenForm.tag(guard, first);
        }
    }

    /**
     * A brace that opens nothing the language knows. Kept word for word, so that nothing a writer typed is lost.
     *
     * @param source the characters as written, opening brace included
     * @param problem what is wrong with them
     * @param span where they stand
     */
    record Broken(String source, Problem problem, Span span) implements Node {}
}
