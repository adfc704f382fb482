package famulus.core.message;

import famulus.core.merge.Merged;
import java.util.Optional;

/**
 * A message merged for one person.
 *
 * @param subject one line
 * @param previewText one line
 * @param body lines broken by {@code \n}
 * @param around what stands around it
 * @param own its plain text, where that is kept by hand
 */
public record MergedMessage(
        Merged subject, Merged previewText, Merged body, Optional<Merged> around, Optional<Merged> own) {

    /** One of the texts. */
    public Merged merged(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
        };
    }

    /** Whether nothing is missing or broken, so that it may leave. */
    public boolean complete() {
        return subject.complete()
                && previewText.complete()
                && body.complete()
                && around.map(Merged::complete).orElse(true)
                && own.map(Merged::complete).orElse(true);
    }
}
