package famulus.core.message.personal;

import famulus.core.merge.Merged;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource;
import famulus.core.message.OwnText;
import famulus.core.message.body.Body;
import famulus.core.message.body.SlotPieces;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Makes a merged message one of its own. Rendered, it gives what its template gave for the same person. */
public final class Personalised {
    private Personalised() {}

    /**
     * Makes a message.
     *
     * @param source as it was written
     * @param merged the same, merged for the person
     */
    public static PersonalMessage of(MessageSource source, MergedMessage merged) {
        Map<String, MergedText> texts = new HashMap<>();
        String subject = words(MergedText.SUBJECT, merged.subject(), texts);
        String previewText = words(MergedText.PREVIEW_TEXT, merged.previewText(), texts);
        String words = source.layout().isPresent() ? "" : words(MergedText.BODY, merged.body(), texts);
        Map<String, String> links = new HashMap<>();
        Optional<Body> body = source.layout()
                .map(layout -> new PersonalBody(new SlotPieces(layout.text(), merged.body()), texts, links)
                        .of(layout.design().body()));
        return new PersonalMessage(subject, previewText, words, body, own(source, merged, body, texts), texts, links);
    }

    /** The text that is kept by hand, of the message as it is now, unless it was of another one before. */
    private static Optional<OwnText> own(
            MessageSource source, MergedMessage merged, Optional<Body> body, Map<String, MergedText> texts) {
        return source.own()
                .map(before -> before.taken(
                        words(MergedText.PLAIN_TEXT, merged.plainText(), texts),
                        source.layout().orElseThrow().design(),
                        body.orElseThrow()));
    }

    private static String words(String key, Merged merged, Map<String, MergedText> texts) {
        TextWriter writer = new TextWriter();
        String source = writer.add(merged.pieces());
        texts.put(key, writer.text());
        return source;
    }
}
