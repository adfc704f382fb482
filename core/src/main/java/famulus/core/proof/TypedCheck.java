package famulus.core.proof;

import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.proof.Destinations.Nowhere;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads a text as its sender leaves it, after merging and whatever was changed by hand. Places lie in that text. */
public final class TypedCheck {
    private TypedCheck() {}

    /**
     * A place that is still to be filled.
     *
     * @param piece what merging left open there; empty where only its sender says that something is missing
     * @param at where it stands in the text
     */
    public record Open(Optional<Piece> piece, int at) {}

    /**
     * Everything that stops a text.
     *
     * @param subject the message as it was merged, which tells what the places to be filled are
     * @param text as it leaves
     */
    public static List<Note> read(ProofSubject subject, MessagePart part, String text, List<Open> open) {
        List<Note> notes = new ArrayList<>();
        open.forEach(one -> notes.add(note(subject, part, one)));
        Merged merged = subject.merged().merged(part);
        for (Piece piece : merged.pieces()) {
            String words = piece.text().strip();
            int at = piece.origin() == Origin.BROKEN && !words.isEmpty() ? text.indexOf(words) : -1;
            if (at >= 0) {
                notes.add(broken(subject, part, piece, new Span(at, at + words.length())));
            }
        }
        Fillers.in(text).forEach(one -> add(one.note(part, new Span(one.start(), one.end()), ""), notes));
        // What a writer meant as braces, or a record holds, stands so in what was merged.
        String asMerged = merged.text();
        Fillers.fields(text).stream()
                .filter(one -> !asMerged.contains(one.words()))
                .forEach(one -> add(one.note(part, new Span(one.start(), one.end()), ""), notes));
        for (Nowhere one : Destinations.inText(text)) {
            add(
                    stop(
                            StopCode.LINK_NOWHERE,
                            "“" + one.address() + "” leads nowhere",
                            one.why(),
                            part,
                            new Span(one.start(), one.end())),
                    notes);
        }
        if (text.isBlank() && notes.isEmpty() && part != MessagePart.PREVIEW_TEXT) {
            notes.add(
                    part == MessagePart.SUBJECT
                            ? stop(
                                    StopCode.NO_SUBJECT,
                                    "There is no subject",
                                    "Write a subject of one line.",
                                    part,
                                    new Span(0, 0))
                            : stop(StopCode.NO_BODY, "There is no text", "Write the message.", part, new Span(0, 0)));
        }
        return notes;
    }

    private static void add(Note note, List<Note> notes) {
        boolean taken = notes.stream()
                .anyMatch(other -> other.span().start() < note.span().end()
                        && note.span().start() < other.span().end());
        if (!taken) {
            notes.add(note);
        }
    }

    private static Note note(ProofSubject subject, MessagePart part, Open open) {
        Span here = new Span(open.at(), open.at());
        String remedy = "Add the value, or write something else.";
        if (open.piece().isEmpty()) {
            return stop(StopCode.GAP, "Something is missing here", remedy, part, here);
        }
        Piece piece = open.piece().get();
        if (piece.origin() == Origin.BROKEN || problem(subject, part, piece).isPresent()) {
            return broken(subject, part, piece, here);
        }
        return piece.origin() == Origin.ASKED
                ? stop(StopCode.ASK_OPEN, AskCheck.title(piece), "Write it in for this message.", part, here)
                : stop(StopCode.GAP, GapCheck.title(piece.path().orElseThrow(), subject), remedy, part, here);
    }

    private static Note broken(ProofSubject subject, MessagePart part, Piece piece, Span here) {
        return problem(subject, part, piece)
                .map(problem -> stop(
                        problem.code() == Problem.Code.FIELD_UNKNOWN ? StopCode.FIELD_UNKNOWN : StopCode.FIELD_BROKEN,
                        problem.sentence().replaceFirst("\\.$", ""),
                        "Write the real text, or remove it.",
                        part,
                        here))
                .orElseGet(() -> stop(
                        StopCode.FIELD_BROKEN,
                        "“" + piece.text().strip() + "” can’t be read",
                        "Write the real text, or remove it.",
                        part,
                        here));
    }

    /** Why a field can't work, where that is the reason that it is empty. */
    private static Optional<Problem> problem(ProofSubject subject, MessagePart part, Piece piece) {
        return subject.problems().getOrDefault(part, List.of()).stream()
                .filter(problem -> problem.span().start() >= piece.span().start()
                        && problem.span().end() <= piece.span().end())
                .findFirst();
    }

    private static Note stop(StopCode code, String title, String remedy, MessagePart part, Span span) {
        return new Note(code.code(), Note.Level.STOP, title, remedy, part, span, List.of());
    }
}
