package famulus.core.message;

import famulus.core.merge.Merged;
import java.util.stream.Stream;

/**
 * A message merged for one person.
 *
 * @param subject one line
 * @param previewText one line
 * @param body lines broken by {@code \n}
 * @param around what its house style says around plain words; empty where it says nothing
 * @param plainText its plain text, where that is kept by hand; empty where it is derived
 */
public record MergedMessage(Merged subject, Merged previewText, Merged body, Merged around, Merged plainText) {

    /** One of the texts. */
    public Merged merged(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
            case AROUND -> around;
            case PLAIN_TEXT -> plainText;
        };
    }

    /** Whether nothing is missing or broken, so that it may leave. */
    public boolean complete() {
        return Stream.of(MessagePart.values()).map(this::merged).allMatch(Merged::complete);
    }
}
