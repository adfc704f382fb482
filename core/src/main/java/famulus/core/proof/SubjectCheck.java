package famulus.core.proof;

import famulus.core.message.MessagePart;
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
            notes.add(tooLong(subject, length + " characters long for " + subject.personName()));
        } else {
            subject.around()
                    .longest()
                    .filter(longest -> longest.length() > LONGEST)
                    .ifPresent(longest -> notes.add(tooLong(
                            subject,
                            longest.length() + " characters long where "
                                    + subject.label().apply(longest.path()) + " is “" + longest.value() + "”")));
        }
        if (subject.source().layout().isPresent()) {
            String preview = subject.merged().previewText().text().strip();
            if (preview.isEmpty()) {
                notes.add(subject.query(
                        "preview-missing",
                        "There is no preview text",
                        "An inbox shows it after the subject; without one it shows whatever comes first.",
                        MessagePart.PREVIEW_TEXT));
            } else if (preview.toLowerCase(Locale.ROOT).equals(line.toLowerCase(Locale.ROOT))) {
                notes.add(subject.query(
                        "preview-missing",
                        "The preview text repeats the subject",
                        "Write the next thing the reader should know.",
                        MessagePart.PREVIEW_TEXT));
            }
        }
        return notes;
    }

    private static Note tooLong(ProofSubject subject, String howLong) {
        return subject.query(
                "subject-long",
                "The subject is " + howLong,
                "Inboxes show about " + LONGEST + ". Put what matters first, or shorten it.",
                MessagePart.SUBJECT);
    }
}
