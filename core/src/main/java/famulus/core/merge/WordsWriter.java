package famulus.core.merge;

/**
 * Writes words in the merge language so that they are printed just as they are, and fields between them; the counterpart of
 * {@link MergeParser}. One writer writes one stretch of source, piece by piece. E.g. the words {@code a {b}} are written
 * {@code a \{b}}.
 */
public final class WordsWriter {
    /** How many backslashes stand right before the place: they count only where a brace follows. */
    private int backslashes;

    /** The source of words to be printed as they are. */
    public String words(String text) {
        StringBuilder written = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '{') {
                written.repeat('\\', backslashes + 1);
            }
            written.append(c);
            backslashes = c == '\\' ? backslashes + 1 : 0;
        }
        return written.toString();
    }

    /**
     * The source of a field, or of anything else that begins with a brace.
     *
     * @param written its written form, braces included
     */
    public String field(String written) {
        String source = "\\".repeat(backslashes) + written;
        backslashes = 0;
        return source;
    }
}
