package famulus.core.proof;

import famulus.core.message.MessagePart;
import java.util.List;
import java.util.Locale;

/** {@code language}: a message in another language than its reader's, although its template has a variant in theirs. */
final class LanguageCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        Locale reader = subject.around().reader();
        if (subject.around().variants().stream().noneMatch(one -> same(one, reader))) {
            return List.of();
        }
        return subject.texts().stream()
                .limit(1)
                .map(text -> text.language().locale())
                .filter(written -> !same(written, reader))
                .map(written -> note(subject, name(written), name(reader)))
                .toList();
    }

    private static boolean same(Locale one, Locale other) {
        return one.getLanguage().equals(other.getLanguage());
    }

    private static String name(Locale language) {
        return language.getDisplayLanguage(Locale.ENGLISH);
    }

    private static Note note(ProofSubject subject, String written, String wanted) {
        return subject.query(
                "language",
                "This is written in " + written + ", and its reader’s language is " + wanted,
                "The template has a variant in " + wanted + ". Begin again with it, or translate this.",
                MessagePart.BODY);
    }
}
