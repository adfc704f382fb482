package famulus.core.proof;

import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import java.util.ArrayList;
import java.util.List;

/** {@code ask-open}: a blank to write in that the sender has not filled in for this message. */
final class AskCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        if (!subject.sending()) {
            return List.of();
        }
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            for (Piece piece : subject.merged().merged(part).asked()) {
                notes.add(new Note(
                        "ask-open",
                        Note.Level.STOP,
                        title(piece),
                        "Write it in for this message.",
                        part,
                        piece.span(),
                        List.of()));
            }
        }
        return notes;
    }

    /** Says what is asked. */
    static String title(Piece piece) {
        return "“" + piece.stored().orElse("") + "” is not filled in";
    }
}
