package famulus.core.message;

import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import java.util.Optional;

/**
 * The texts of a message as written, fields and all.
 *
 * @param subject one line
 * @param previewText one line; may be empty
 * @param body any number of lines, broken by {@code \n}; of a letter or designed message the words of its design
 * @param layout the design of those words; empty for a message that is only words
 * @param around what its house style says around a message that is only words, or around the text that is kept by hand; empty
 *     where it says nothing
 * @param own its plain text, where that is kept by hand
 */
public record MessageSource(
        String subject,
        String previewText,
        String body,
        Optional<Layout> layout,
        Optional<Layout> around,
        Optional<OwnText> own) {
    /** A design and its words as one text. */
    public record Layout(Design design, BodyText text) {}

    /** A message that is only words. */
    public MessageSource(String subject, String previewText, String body) {
        this(subject, previewText, body, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /**
     * A message that is only words, in a house style.
     *
     * @param around the header, footer and small print of the style, around an empty body
     */
    public static MessageSource plain(String subject, String previewText, String body, Design around) {
        return new MessageSource(subject, previewText, body, Optional.empty(), said(around), Optional.empty());
    }

    /** The same message in another design. */
    public MessageSource in(Design other) {
        BodyText text = BodyText.of(other);
        return new MessageSource(
                subject, previewText, text.source(), Optional.of(new Layout(other, text)), around, own);
    }

    private static Optional<Layout> said(Design around) {
        BodyText text = BodyText.of(around);
        return text.source().isBlank() ? Optional.empty() : Optional.of(new Layout(around, text));
    }

    /**
     * The same message with a plain text that is kept by hand.
     *
     * @param text in the place of the one that is derived
     * @param style what the style says around it, around an empty body
     */
    public MessageSource keeping(OwnText text, Design style) {
        return new MessageSource(subject, previewText, body, layout, said(style), Optional.of(text));
    }

    /** A letter or designed message. */
    public static MessageSource designed(String subject, String previewText, Design design) {
        BodyText text = BodyText.of(design);
        return new MessageSource(
                subject,
                previewText,
                text.source(),
                Optional.of(new Layout(design, text)),
                Optional.empty(),
                Optional.empty());
    }

    /** One of the texts. */
    public String text(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
        };
    }

    /** Parses the three texts. */
    public MessageProgram parse() {
        Program parsedSubject = MergeParser.parse(subject);
        return new MessageProgram(
                parsedSubject,
                MergeParser.parse(previewText),
                layout.map(one -> one.text().program()).orElseGet(() -> MergeParser.parse(body)),
                around.map(one -> one.text().program()),
                own.map(one -> MergeParser.parse(one.words())));
    }
}
