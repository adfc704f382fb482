package famulus.core.message.body;

import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Paragraph;

/** Counts through the items of lists while paragraphs are read from top to bottom. */
public final class ListCount {
    private final int[] numbers = new int[Paragraph.DEEPEST + 1];
    private Kind kind = Kind.PARAGRAPH;
    private int depth = -1;
    private boolean goesOn;

    /**
     * Goes on to a paragraph.
     *
     * @return how far in it stands: as far as it says, but at most one further than the item before it; -1 when it is no item
     */
    public int next(Paragraph paragraph) {
        int before = depth;
        depth = paragraph.kind().isItem() ? Math.min(paragraph.level(), before + 1) : -1;
        goesOn = depth >= 0 && before >= 0 && (depth > 0 || before > 0 || paragraph.kind() == kind);
        kind = paragraph.kind();
        for (int deeper = depth + 1; deeper < numbers.length; deeper++) {
            numbers[deeper] = 0;
        }
        if (depth >= 0) {
            numbers[depth] = kind == Kind.NUMBERED ? numbers[depth] + 1 : 0;
        }
        return depth;
    }

    /** Whether the paragraph and the one before it are items of one list. */
    public boolean goesOn() {
        return goesOn;
    }

    /** What stands before an item in plain text, with the room on its left; nothing for anything else. */
    public String lead() {
        if (depth < 0) {
            return "";
        }
        return "   ".repeat(depth) + (kind == Kind.BULLET ? "- " : numbers[depth] + ". ");
    }
}
