package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.List;

/** {@code no-subject}, {@code no-body}: a text that is empty once merged. */
final class EmptyTextCheck implements Check {
    private final MessagePart part;
    private final String code;
    private final String title;
    private final String remedy;

    EmptyTextCheck(MessagePart part, String code, String title, String remedy) {
        this.part = part;
        this.code = code;
        this.title = title;
        this.remedy = remedy;
    }

    @Override
    public List<Note> read(ProofSubject subject) {
        boolean says = !subject.merged().merged(part).text().isBlank()
                || !subject.merged().merged(part).gaps().isEmpty();
        if (says) {
            return List.of();
        }
        Span whole = new Span(0, subject.source().text(part).length());
        return List.of(new Note(code, Note.Level.STOP, title, remedy, part, whole, List.of()));
    }
}
