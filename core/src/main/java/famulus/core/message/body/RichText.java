package famulus.core.message.body;

import java.util.List;

/**
 * Formatted text. Its runs hold the merge language; a field or choice may begin in one run and end in another.
 *
 * @param paragraphs from top to bottom
 */
public record RichText(List<Paragraph> paragraphs) {
    public RichText {
        paragraphs = List.copyOf(paragraphs);
    }

    /** Text without any formatting: a paragraph for each line. */
    public static RichText plain(String text) {
        return new RichText(text.lines().map(line -> Paragraph.of(line)).toList());
    }

    /** What a paragraph is. Items in a row make one list. */
    public enum Kind {
        PARAGRAPH,
        HEADING_1,
        HEADING_2,
        HEADING_3,
        BULLET,
        NUMBERED,
        QUOTE
    }

    /** A paragraph, heading, list item or quotation. */
    public record Paragraph(Kind kind, Align align, List<Run> runs) {
        public Paragraph {
            runs = List.copyOf(runs);
        }

        /** An ordinary paragraph of plain words. */
        public static Paragraph of(String text) {
            return new Paragraph(Kind.PARAGRAPH, Align.START, List.of(new Run(text, Marks.NONE)));
        }
    }

    /**
     * Words that look alike.
     *
     * @param text in the merge language; {@code \n} breaks the line
     */
    public record Run(String text, Marks marks) {}

    /**
     * How words look.
     *
     * @param colour {@code #rrggbb}; empty for the usual one
     * @param size in pixels, 8 to 72; 0 for the usual one
     * @param link an address in the merge language; empty for none
     */
    public record Marks(
            boolean bold, boolean italic, boolean underline, boolean strike, String colour, int size, String link) {
        /** Words as they are. */
        public static final Marks NONE = new Marks(false, false, false, false, "", 0, "");
    }
}
