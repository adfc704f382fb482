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
        QUOTE;

        /** Whether it is an item of a list. */
        public boolean isItem() {
            return this == BULLET || this == NUMBERED;
        }
    }

    /**
     * A paragraph, heading, list item or quotation.
     *
     * @param level how far in a list item stands, 0 to {@value #DEEPEST}; 0 for everything else
     */
    public record Paragraph(Kind kind, Align align, int level, List<Run> runs) {
        /** How far in an item can stand. */
        public static final int DEEPEST = 3;

        public Paragraph {
            level = kind.isItem() ? Math.clamp(level, 0, DEEPEST) : 0;
            runs = List.copyOf(runs);
        }

        /** One that stands at the edge. */
        public Paragraph(Kind kind, Align align, List<Run> runs) {
            this(kind, align, 0, runs);
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
     * @param colour {@code #rrggbb}; empty for the default
     * @param size in pixels, 8 to 72; 0 for the default
     * @param link an address in the merge language; empty for none
     */
    public record Marks(
            boolean bold, boolean italic, boolean underline, boolean strike, String colour, int size, String link) {
        /** Words as they are. */
        public static final Marks NONE = new Marks(false, false, false, false, "", 0, "");
    }
}
