package famulus.core.departure;

import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.TypedCheck;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A text that its sender may have changed after merging. The places of its notes lie in the text as the sender leaves it.
 *
 * @param part which text of the message
 * @param stretches all of it, in order
 */
public record TypedWords(MessagePart part, List<Stretch> stretches) {
    private static final Set<Origin> OPEN = Set.of(Origin.GAP, Origin.ASKED, Origin.BROKEN);

    public TypedWords {
        stretches = List.copyOf(stretches);
    }

    /** All of it. */
    public String text() {
        StringBuilder text = new StringBuilder();
        stretches.forEach(stretch -> text.append(stretch.text()));
        return text.toString();
    }

    /**
     * The notes about a message of which some texts were typed: those of the proofreader for all others, and for these what
     * is to be said of the words as they stand now.
     *
     * @param notes of the message as it was merged
     */
    public static List<Note> notes(ProofSubject merged, List<Note> notes, List<TypedWords> typed) {
        List<Note> all = new ArrayList<>(notes.stream()
                .filter(note -> typed.stream().noneMatch(one -> one.part() == note.part()))
                .toList());
        for (TypedWords one : typed) {
            all.addAll(one.notes(merged));
        }
        all.sort(Comparator.comparing(Note::part)
                .thenComparingInt(note -> note.span().start()));
        return List.copyOf(all);
    }

    private List<Note> notes(ProofSubject subject) {
        return TypedCheck.read(subject, part, text(), open(subject.merged().merged(part)));
    }

    /** The places still to be filled, in the order they stand. */
    private List<TypedCheck.Open> open(Merged merged) {
        List<Piece> waiting = new ArrayList<>(merged.pieces().stream()
                .filter(piece -> OPEN.contains(piece.origin()))
                .toList());
        List<TypedCheck.Open> open = new ArrayList<>();
        int at = 0;
        for (Stretch stretch : stretches) {
            if (stretch.mayBeOpen()) {
                int here = at;
                Optional<Piece> which = waiting.stream()
                        .filter(piece -> piece.written().equals(stretch.written()))
                        .findFirst();
                which.ifPresent(waiting::remove);
                if (which.isPresent() || stretch.gap()) {
                    open.add(new TypedCheck.Open(which, here));
                }
            }
            at += stretch.text().length();
        }
        waiting.forEach(piece ->
                hole(merged, piece).ifPresent(hole -> open.add(new TypedCheck.Open(Optional.of(piece), hole))));
        return open;
    }

    /**
     * Where a gap that no stretch speaks of has left its hole: the words around it still stand as merging left them, and what
     * follows it is a mark or the end of the line, so that nothing can have been written in its place. E.g. “Dear ,”.
     */
    private Optional<Integer> hole(Merged merged, Piece piece) {
        int index = merged.pieces().indexOf(piece);
        String before =
                merged.pieces().subList(0, index).stream().map(Piece::text).reduce("", String::concat);
        String after = merged.pieces().subList(index + 1, merged.pieces().size()).stream()
                .map(Piece::text)
                .reduce("", String::concat);
        String left = before.substring(before.lastIndexOf('\n') + 1);
        String right = after.lines().findFirst().orElse("");
        boolean marked = right.isBlank() || ",.;:!?)".indexOf(right.charAt(0)) >= 0;
        if (left.isBlank() || !marked) {
            return Optional.empty();
        }
        String mark = right.isBlank() ? "" : right.substring(0, 1);
        String text = text();
        for (int from = text.indexOf(left); from >= 0; from = text.indexOf(left, from + 1)) {
            int at = from + left.length();
            boolean lineBegins = from == 0 || text.charAt(from - 1) == '\n';
            boolean same = mark.isEmpty() ? at == text.length() || text.charAt(at) == '\n' : text.startsWith(mark, at);
            if (lineBegins && same) {
                return Optional.of(at);
            }
        }
        return Optional.empty();
    }
}
