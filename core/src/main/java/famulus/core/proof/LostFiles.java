package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.List;

/** {@code file-lost}: a file of the template that is missing, as in a version that was brought back. */
public final class LostFiles {
    private LostFiles() {}

    /** Says how many files are missing; nothing when none is. */
    public static List<Note> notes(int lost) {
        return lost == 0
                ? List.of()
                : List.of(new Note(
                        StopCode.FILE_LOST.code(),
                        Note.Level.STOP,
                        lost == 1 ? "A file of this template is missing" : lost + " files of this template are missing",
                        "Remove it from the template, or attach another one.",
                        MessagePart.BODY,
                        new Span(0, 0),
                        List.of()));
    }
}
