package famulus.core.merge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Closes the holes that explicit blanks leave: no double space, no space before a mark or at the end of a line, no
 * empty line where the blank was alone on it. Only characters of the template are taken out, never one of a value.
 */
final class HoleCloser {
    private static final String MARKS = ",.;:!?)";

    private final List<Piece> pieces;
    private final StringBuilder text = new StringBuilder();
    private final List<Integer> blanks = new ArrayList<>();
    /** Per character: may it go, and has it gone. */
    private final boolean[] removable;

    private final boolean[] gone;

    private HoleCloser(List<Piece> pieces) {
        this.pieces = pieces;
        int length = pieces.stream().mapToInt(piece -> piece.text().length()).sum();
        removable = new boolean[length];
        gone = new boolean[length];
        for (Piece piece : pieces) {
            if (piece.leavesHole()) {
                blanks.add(text.length());
            }
            boolean literal =
                    piece.origin() == Origin.WRITTEN && piece.written().isEmpty();
            Arrays.fill(removable, text.length(), text.length() + piece.text().length(), literal);
            text.append(piece.text());
        }
    }

    static List<Piece> close(List<Piece> pieces) {
        if (!anyHole(pieces)) {
            return pieces;
        }
        HoleCloser closer = new HoleCloser(pieces);
        int closedUpTo = -1;
        for (int at : closer.blanks) {
            if (at > closedUpTo) {
                closedUpTo = closer.close(at);
            }
        }
        return closer.rest();
    }

    private static boolean anyHole(List<Piece> pieces) {
        for (Piece piece : pieces) {
            if (piece.leavesHole()) {
                return true;
            }
        }
        return false;
    }

    /** Closes the hole at {@code at}; returns the end of the line it took out, or -1 when it took none. */
    private int close(int at) {
        int left = at;
        while (left > 0 && (gone[left - 1] || isRemovableSpace(left - 1))) {
            left--;
        }
        int right = at;
        while (right < text.length() && (gone[right] || isRemovableSpace(right))) {
            right++;
        }
        boolean lineStart = left == 0 || text.charAt(left - 1) == '\n';
        boolean lineEnd = right == text.length() || text.charAt(right) == '\n';
        if (lineStart && lineEnd && !(left == 0 && right == text.length())) {
            return takeLine(left, right);
        }
        boolean spaceBefore = anyLeft(left, at);
        boolean spaceAfter = anyLeft(at, right);
        if (lineEnd || (right < text.length() && MARKS.indexOf(text.charAt(right)) >= 0 && !spaceAfter)) {
            remove(left, right);
        } else if (lineStart || (spaceBefore && spaceAfter)) {
            remove(at, right);
        }
        return -1;
    }

    /** Takes out the line between two line breaks, and one of two empty lines it would leave side by side. */
    private int takeLine(int left, int right) {
        boolean breakAfter = right < text.length();
        if (breakAfter && removable[right]) {
            remove(left, right + 1);
            boolean emptyBefore = left == 0 || (left >= 2 && text.charAt(left - 2) == '\n');
            boolean emptyAfter = right + 1 < text.length() && text.charAt(right + 1) == '\n' && removable[right + 1];
            if (emptyBefore && emptyAfter) {
                remove(right + 1, right + 2);
                return right + 1;
            }
            return right;
        }
        if (!breakAfter && left > 0 && removable[left - 1]) {
            remove(left - 1, right);
            return right;
        }
        remove(left, right);
        return right;
    }

    private boolean isRemovableSpace(int at) {
        return removable[at] && (text.charAt(at) == ' ' || text.charAt(at) == '\t');
    }

    private boolean anyLeft(int from, int to) {
        for (int i = from; i < to; i++) {
            if (!gone[i]) {
                return true;
            }
        }
        return false;
    }

    private void remove(int from, int to) {
        Arrays.fill(gone, from, to, true);
    }

    private List<Piece> rest() {
        List<Piece> rest = new ArrayList<>(pieces.size());
        int at = 0;
        for (Piece piece : pieces) {
            StringBuilder kept = new StringBuilder(piece.text().length());
            for (int i = 0; i < piece.text().length(); i++, at++) {
                if (!gone[at]) {
                    kept.append(text.charAt(at));
                }
            }
            rest.add(kept.length() == piece.text().length() ? piece : piece.withText(kept.toString()));
        }
        return rest;
    }
}
