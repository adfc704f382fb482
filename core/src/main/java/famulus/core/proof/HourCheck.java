package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.List;

/** {@code hour}: a message that reaches its reader on a holiday, at the weekend, or outside office hours where they are. */
final class HourCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.around().arrival().stream()
                .flatMap(arrival -> arrival.hours().against(arrival.at(), subject.personName() + " is").stream())
                .limit(1)
                .map(against -> note(subject, against))
                .toList();
    }

    private static Note note(ProofSubject subject, String against) {
        Span whole = new Span(0, subject.source().text(MessagePart.SUBJECT).length());
        return new Note(
                "hour",
                Note.Level.QUERY,
                against,
                "“Send later” has hours that suit them.",
                MessagePart.SUBJECT,
                whole,
                List.of());
    }
}
