package famulus.server.messages;

import famulus.core.field.Path;
import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where each stretch of a message came from. What the browser says of a stretch counts only where merging here gives the
 * same; all else was typed.
 */
final class KeptPieces {
    private static final String TYPED = "TYPED";

    private KeptPieces() {}

    /** The stretches of a message as it leaves, beside the same template as merged here. */
    static List<KeptPiece> of(List<TypedRun> runs, Merged merged) {
        List<String> literals = literals(merged);
        return runs.stream().map(run -> of(run, merged, literals)).toList();
    }

    /** All of a text that leaves as it was merged. */
    static List<KeptPiece> of(Merged merged) {
        return of(
                merged.pieces().stream()
                        .map(piece -> new TypedRun(piece.text(), piece.written(), false))
                        .toList(),
                merged);
    }

    private static KeptPiece of(TypedRun run, Merged merged, List<String> literals) {
        if (run.written().isEmpty()) {
            boolean asMerged = literals.stream().anyMatch(literal -> literal.contains(run.text()));
            return new KeptPiece(run.text(), asMerged ? Origin.WRITTEN.name() : TYPED, "", "");
        }
        Optional<Piece> piece = merged.pieces().stream()
                .filter(one -> one.written().equals(run.written()) && one.text().equals(run.text()))
                .findFirst();
        return piece.map(one -> new KeptPiece(
                        run.text(),
                        one.origin().name(),
                        one.path().map(Path::toString).orElse(""),
                        one.stored().orElse("")))
                .orElse(new KeptPiece(run.text(), TYPED, "", ""));
    }

    /** The stretches that are words of the template; a choice or a blank between two does not part them. */
    private static List<String> literals(Merged merged) {
        List<String> literals = new ArrayList<>();
        StringBuilder stretch = new StringBuilder();
        for (Piece piece : merged.pieces()) {
            boolean written =
                    piece.origin() == Origin.WRITTEN && piece.written().isEmpty();
            if (written) {
                stretch.append(piece.text());
            } else if (!piece.text().isEmpty()) {
                literals.add(stretch.toString());
                stretch.setLength(0);
            }
        }
        literals.add(stretch.toString());
        return literals;
    }
}
