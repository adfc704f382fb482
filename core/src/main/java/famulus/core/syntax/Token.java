package famulus.core.syntax;

/**
 * The smallest parts of an expression.
 *
 * @param kind which sort
 * @param text the word in lower case, the number's digits, or the string's content with escapes resolved
 * @param span where it stands in the source
 */
public record Token(Kind kind, String text, Span span) {
    /** Sorts of token. */
    public enum Kind {
        WORD,
        NUMBER,
        STRING,
        POINT,
        COMMA,
        OPENING,
        CLOSING,
        END
    }

    /** Whether this is that word. */
    public boolean isWord(String word) {
        return kind == Kind.WORD && text.equals(word);
    }
}
