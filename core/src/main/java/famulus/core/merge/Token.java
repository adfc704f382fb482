package famulus.core.merge;

/**
 * The smallest parts of an expression.
 *
 * @param kind which sort
 * @param text the word in lower case, the number's digits, or the string's content with escapes resolved
 * @param span where it stands in the source
 */
record Token(Kind kind, String text, Span span) {
    enum Kind {
        WORD,
        NUMBER,
        STRING,
        POINT,
        END
    }

    boolean isWord(String word) {
        return kind == Kind.WORD && text.equals(word);
    }
}
