package famulus.core.message;

import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The texts of a message as written, fields and all.
 *
 * @param subject one line
 * @param previewText one line; may be empty
 * @param body any number of lines, broken by {@code \n}; of a letter or designed message the words of its design
 * @param layout the design of those words; empty for a message that is only words
 * @param around what its house style says around a message that is only words, or around the text that is kept by hand; empty
 *     for a message that has neither, or no style
 * @param own its plain text, where that is kept by hand
 */
public record MessageSource(
        String subject,
        String previewText,
        String body,
        Optional<Layout> layout,
        Optional<Layout> around,
        Optional<OwnText> own) {
    /** A design and its words as one text, which follow from it: two of one design are equal. */
    public record Layout(Design design, BodyText text) {
        /** A design with its words. */
        public static Layout of(Design design) {
            return new Layout(design, BodyText.of(design));
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Layout layout && design.equals(layout.design);
        }

        @Override
        public int hashCode() {
            return design.hashCode();
        }

        private Layout styled(UnaryOperator<HouseStyle> style) {
            return of(design.in(style.apply(design.style())));
        }
    }

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
        return new MessageSource(
                subject, previewText, body, Optional.empty(), Optional.of(Layout.of(around)), Optional.empty());
    }

    /** The same message in another design. */
    public MessageSource in(Design other) {
        Layout in = Layout.of(other);
        return new MessageSource(subject, previewText, in.text().source(), Optional.of(in), around, own);
    }

    /** The same message in another style. */
    public MessageSource styled(UnaryOperator<HouseStyle> style) {
        Optional<Layout> other = layout.map(one -> one.styled(style));
        return new MessageSource(
                subject,
                previewText,
                other.map(one -> one.text().source()).orElse(body),
                other,
                around.map(one -> one.styled(style)),
                own);
    }

    /**
     * The same message with a plain text that is kept by hand.
     *
     * @param text in the place of the one that is derived
     * @param style what the style says around it, around an empty body
     */
    public MessageSource keeping(OwnText text, Design style) {
        return new MessageSource(subject, previewText, body, layout, Optional.of(Layout.of(style)), Optional.of(text));
    }

    /** A letter or designed message. */
    public static MessageSource designed(String subject, String previewText, Design design) {
        Layout layout = Layout.of(design);
        return new MessageSource(
                subject, previewText, layout.text().source(), Optional.of(layout), Optional.empty(), Optional.empty());
    }

    /** One of the texts. */
    public String text(MessagePart part) {
        return switch (part) {
            case SUBJECT -> subject;
            case PREVIEW_TEXT -> previewText;
            case BODY -> body;
            case AROUND -> around.map(one -> one.text().source()).orElse("");
            case PLAIN_TEXT -> own.map(OwnText::words).orElse("");
        };
    }

    /** The design of one of the texts; empty for one that is only words. */
    public Optional<Layout> layout(MessagePart part) {
        return switch (part) {
            case BODY -> layout;
            case AROUND -> around;
            case SUBJECT, PREVIEW_TEXT, PLAIN_TEXT -> Optional.empty();
        };
    }

    /** Parses its texts. */
    public MessageProgram parse() {
        return new MessageProgram(
                program(MessagePart.SUBJECT),
                program(MessagePart.PREVIEW_TEXT),
                program(MessagePart.BODY),
                program(MessagePart.AROUND),
                program(MessagePart.PLAIN_TEXT));
    }

    private Program program(MessagePart part) {
        return layout(part).map(one -> one.text().program()).orElseGet(() -> MergeParser.parse(text(part)));
    }
}
