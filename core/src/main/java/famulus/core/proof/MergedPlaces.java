package famulus.core.proof;

import famulus.core.merge.Piece;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** A merged text that knows where in its source each of its characters was written. */
final class MergedPlaces {
    private final StringBuilder text = new StringBuilder();
    private final List<Piece> pieces = new ArrayList<>();
    private final List<Integer> starts = new ArrayList<>();

    /**
     * Joins pieces.
     *
     * @param which those to take
     */
    MergedPlaces(List<Piece> all, Predicate<Piece> which) {
        for (Piece piece : all) {
            if (!piece.text().isEmpty() && which.test(piece)) {
                starts.add(text.length());
                pieces.add(piece);
                text.append(piece.text());
            }
        }
    }

    /** What is read. */
    String text() {
        return text.toString();
    }

    /** Where a stretch of the text was written: to the character within words, the whole field for a value. */
    Span span(int start, int end) {
        int first = at(start);
        int last = at(Math.max(start, end - 1));
        return new Span(
                written(first, start).start(),
                written(last, Math.max(start, end - 1)).end());
    }

    /** Whether a stretch of the text stands letter by letter in the source. */
    boolean literal(int start, int end) {
        for (int index = at(start); index <= at(Math.max(start, end - 1)); index++) {
            if (!asWritten(pieces.get(index))) {
                return false;
            }
        }
        Span span = span(start, end);
        return span.end() - span.start() == end - start;
    }

    private int at(int offset) {
        int low = 0;
        int high = starts.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (starts.get(middle) <= offset) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    private static boolean asWritten(Piece piece) {
        return piece.written().isEmpty()
                && piece.text().length() == piece.span().end() - piece.span().start();
    }

    private Span written(int index, int offset) {
        Piece piece = pieces.get(index);
        Span span = piece.span();
        if (!asWritten(piece)) {
            return span;
        }
        int at = span.start() + offset - starts.get(index);
        return new Span(at, at + 1);
    }
}
