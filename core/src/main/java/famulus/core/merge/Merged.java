package famulus.core.merge;

import java.util.List;

/**
 * A text merged for one person.
 *
 * @param pieces in order; their texts joined are the merged text
 */
public record Merged(List<Piece> pieces) {
    public Merged {
        pieces = List.copyOf(pieces);
    }

    /** The text as it would be read. Gaps print nothing. */
    public String text() {
        int length = 0;
        for (Piece piece : pieces) {
            length += piece.text().length();
        }
        StringBuilder text = new StringBuilder(length);
        for (Piece piece : pieces) {
            text.append(piece.text());
        }
        return text.toString();
    }

    /** What is missing, in the order it stands. */
    public List<Gap> gaps() {
        return pieces.stream()
                .filter(piece -> piece.origin() == Origin.GAP)
                .map(piece -> new Gap(piece.path().orElseThrow(), piece.span()))
                .toList();
    }

    /** The blanks to write in that wait for an answer, in the order they stand. */
    public List<Piece> asked() {
        return pieces.stream().filter(piece -> piece.origin() == Origin.ASKED).toList();
    }

    /** Whether everything could be read and filled. */
    public boolean complete() {
        return pieces.stream().noneMatch(piece -> switch (piece.origin()) {
            case GAP, BROKEN, ASKED -> true;
            default -> false;
        });
    }
}
