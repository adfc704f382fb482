package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** {@code subject-long}, {@code preview-missing}: what an inbox would cut off, or show nothing for. */
final class SubjectCheck implements Check {
    private static final int LONGEST = 60;

    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        String line = subject.merged().subject().text().strip();
        int length = line.codePointCount(0, line.length());
        if (length > LONGEST) {
            notes.add(note(
                    "subject-long",
                    "The subject is " + length + " characters long for " + subject.personName(),
                    "Inboxes show about " + LONGEST + ". Put what matters first, or shorten it.",
                    MessagePart.SUBJECT,
                    subject));
        }
        if (subject.source().layout().isPresent()) {
            String preview = subject.merged().previewText().text().strip();
            if (preview.isEmpty()) {
                notes.add(note(
                        "preview-missing",
                        "There is no preview text",
                        "An inbox shows it after the subject; without one it shows whatever comes first.",
                        MessagePart.PREVIEW_TEXT,
                        subject));
            } else if (preview.toLowerCase(Locale.ROOT).equals(line.toLowerCase(Locale.ROOT))) {
                notes.add(note(
                        "preview-missing",
                        "The preview text repeats the subject",
                        "Write the next thing the reader should know.",
                        MessagePart.PREVIEW_TEXT,
                        subject));
            }
        }
        return notes;
    }

    private static Note note(String code, String title, String remedy, MessagePart part, ProofSubject subject) {
        Span whole = new Span(0, subject.source().text(part).length());
        return new Note(code, Note.Level.QUERY, title, remedy, part, whole, List.of());
    }
}
