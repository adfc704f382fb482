package famulus.server.messages;

import famulus.core.field.Path;
import famulus.core.merge.Expression;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Merged;
import famulus.core.merge.Node;
import famulus.core.merge.Operand;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.personal.HandChanges;
import famulus.core.message.personal.HandChanges.Changed;
import famulus.core.message.personal.HandChanges.Kept;
import famulus.core.message.personal.MergedText;
import famulus.core.message.render.PlainAround;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Where each stretch of a plain message came from: words of its template, a value, or its sender's hand. */
final class KeptPieces {
    private static final String TYPED = "TYPED";

    private final String source;
    private final HandChanges hand;
    private final List<KeptPiece> pieces = new ArrayList<>();

    private KeptPieces(String source, HandChanges hand) {
        this.source = source;
        this.hand = hand;
    }

    /** The stretches of a text that leaves just as its template was merged. */
    static List<KeptPiece> of(Merged merged) {
        return joined(merged.pieces().stream()
                .filter(piece -> !piece.text().isEmpty())
                .map(KeptPieces::piece)
                .toList());
    }

    /**
     * The stretches of a text that its sender could change.
     *
     * @param begun the text as it was merged from its template
     * @param source the text as it is now
     * @param leaves the same as it is read
     */
    static List<KeptPiece> of(MergedText begun, String source, Merged leaves) {
        KeptPieces kept = new KeptPieces(source, HandChanges.of(begun, source));
        for (Piece piece : leaves.pieces()) {
            if (piece.origin() == Origin.WRITTEN && piece.written().isEmpty()) {
                kept.words(piece.span().start(), piece.span().end());
            } else if (!piece.text().isEmpty()) {
                kept.pieces.add(piece(piece));
            }
        }
        return joined(kept.pieces);
    }

    /** The stretches of a whole message: those of its words, and what its house style says around them. */
    static List<KeptPiece> within(PlainAround around, List<KeptPiece> words) {
        List<KeptPiece> whole = new ArrayList<>();
        if (!around.above().isEmpty()) {
            whole.add(new KeptPiece(around.above() + "\n\n", Origin.WRITTEN.name(), "", ""));
        }
        whole.addAll(words);
        if (!around.below().isEmpty()) {
            whole.add(new KeptPiece("\n\n" + around.below(), Origin.WRITTEN.name(), "", ""));
        }
        return joined(whole);
    }

    /** Words that stand side by side and come from the same hand are one stretch. */
    private static List<KeptPiece> joined(List<KeptPiece> pieces) {
        List<KeptPiece> joined = new ArrayList<>();
        for (KeptPiece piece : pieces) {
            KeptPiece before = joined.isEmpty() ? null : joined.getLast();
            boolean words = piece.origin().equals(Origin.WRITTEN.name())
                    || piece.origin().equals(TYPED);
            if (before != null && words && piece.origin().equals(before.origin())) {
                joined.set(joined.size() - 1, new KeptPiece(before.text() + piece.text(), piece.origin(), "", ""));
            } else {
                joined.add(piece);
            }
        }
        return joined;
    }

    private static KeptPiece piece(Piece piece) {
        return new KeptPiece(
                piece.text(),
                piece.origin().name(),
                piece.path().map(Path::toString).orElse(""),
                piece.stored().orElse(""));
    }

    /** Words of the message, parted where values stand in them and where they were changed. */
    private void words(int from, int to) {
        int at = from;
        while (at < to) {
            int here = at;
            Kept value = hand.values().stream()
                    .filter(one -> one.start() == here && one.end() <= to)
                    .findFirst()
                    .orElse(null);
            if (value != null) {
                pieces.add(new KeptPiece(
                        printed(source.substring(at, value.end())),
                        value.value().origin().name(),
                        value.value().path(),
                        value.value().stored()));
                at = value.end();
                continue;
            }
            Changed change = hand.changed().stream()
                    .filter(one -> one.start() <= here && here < one.end())
                    .findFirst()
                    .orElse(null);
            int end = change == null ? next(here, to) : Math.min(change.end(), to);
            String text = printed(source.substring(here, end));
            pieces.add(change == null ? new KeptPiece(text, Origin.WRITTEN.name(), "", "") : typed(text, change));
            at = end;
        }
    }

    /** Where the next value or change begins. */
    private int next(int after, int end) {
        int next = end;
        for (Kept value : hand.values()) {
            next = value.start() > after ? Math.min(next, value.start()) : next;
        }
        for (Changed change : hand.changed()) {
            next = change.start() > after && change.end() > change.start() ? Math.min(next, change.start()) : next;
        }
        return next;
    }

    /** What took the place of just one field is what its sender gave for it. */
    private static KeptPiece typed(String text, Changed change) {
        List<Node> was = MergeParser.parse(change.was().strip()).nodes();
        if (was.size() != 1 || !(was.getFirst() instanceof Node.Field field)) {
            return new KeptPiece(text, TYPED, "", "");
        }
        Optional<String> asked = field.expression().terms().stream()
                .map(Expression.Term::operand)
                .flatMap(operand -> operand instanceof Operand.WriteIn blank ? Stream.of(blank.hint()) : Stream.empty())
                .findFirst();
        return asked.map(hint -> new KeptPiece(text, Origin.ANSWERED.name(), "", hint))
                .orElseGet(() -> new KeptPiece(
                        text,
                        Origin.CHOSEN.name(),
                        field.expression().leadingPath().map(Path::toString).orElse(""),
                        ""));
    }

    /** Words as they are read: a brace that is one stands in the source with a mark before it. */
    private static String printed(String words) {
        if (words.indexOf('{') < 0) {
            return words;
        }
        StringBuilder text = new StringBuilder();
        for (Node node : MergeParser.parse(words).nodes()) {
            text.append(node instanceof Node.Literal literal ? literal.text() : "");
        }
        return text.toString();
    }
}
