package famulus.core.message.personal;

import famulus.core.merge.Origin;
import java.util.List;

/**
 * One text of a message as merging gave it.
 *
 * @param source in the merge language: words as they are, and the fields that are still to be filled in
 * @param values which stretches of it are values, in order
 */
public record MergedText(String source, List<FilledValue> values) {
    /** The key of the subject. */
    public static final String SUBJECT = "SUBJECT";
    /** The key of the preview text. */
    public static final String PREVIEW_TEXT = "PREVIEW_TEXT";
    /** The key of the words of a plain message. */
    public static final String BODY = "BODY";

    /** The key of the plain text that is kept by hand. */
    public static final String PLAIN_TEXT = "PLAIN_TEXT";

    public MergedText {
        values = List.copyOf(values);
    }

    /** The key of the formatted text of a block; its other strings have those of {@link famulus.core.message.body.Keys}. */
    public static String rich(String block) {
        return block + "#text";
    }

    /**
     * A value in a text.
     *
     * @param start its first character in the source
     * @param written the field it came from
     * @param origin why it says what it says
     * @param path which value was asked for; empty for none
     * @param stored the value as it was stored; empty where a text of the field itself printed
     * @param fallback which term of the field printed: 0 for the first
     */
    public record FilledValue(
            int start, int end, String written, Origin origin, String path, String stored, int fallback) {}

    /** What a value of it says. */
    public String text(FilledValue value) {
        return source.substring(value.start(), value.end());
    }
}
