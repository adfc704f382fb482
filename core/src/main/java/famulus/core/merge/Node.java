package famulus.core.merge;

/** One part of a parsed text. Knows where it stood in the source, and nothing of records or output. */
public sealed interface Node {
    /** Where the node stood in the source it was parsed from. */
    Span span();

    /**
     * Text that prints as it stands.
     *
     * @param text the characters to print, escapes already resolved
     * @param span where they were written, escapes included
     */
    record Literal(String text, Span span) implements Node {}

    /**
     * A merge field.
     *
     * @param expression what is asked for, in order
     * @param span from the opening to the closing brace, both included
     */
    record Field(Expression expression, Span span) implements Node {}

    /**
     * A brace that opens nothing the language knows. Kept word for word, so that nothing a writer typed is lost.
     *
     * @param source the characters as written, opening brace included
     * @param problem what is wrong with them
     * @param span where they stand
     */
    record Broken(String source, Problem problem, Span span) implements Node {}
}
