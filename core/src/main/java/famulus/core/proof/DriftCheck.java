package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource;
import famulus.core.message.OwnText;
import famulus.core.syntax.Span;
import java.util.List;

/** {@code drift}: a message that has changed since its plain text was written by hand. */
final class DriftCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        MessageSource source = subject.source();
        // What it says now is made out only where somebody keeps a text by hand.
        boolean drifted = source.own()
                .filter(own -> source.layout()
                        .map(layout -> OwnText.saying(layout.design()))
                        .filter(now -> !own.of().equals(now))
                        .isPresent())
                .isPresent();
        if (!drifted) {
            return List.of();
        }
        return List.of(new Note(
                "drift",
                Note.Level.QUERY,
                "The plain text may say something else",
                "The message has changed since its plain text was written by hand. Read both.",
                MessagePart.PLAIN_TEXT,
                new Span(0, source.text(MessagePart.PLAIN_TEXT).length()),
                List.of()));
    }
}
