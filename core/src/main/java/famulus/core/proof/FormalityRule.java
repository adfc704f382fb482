package famulus.core.proof;

import famulus.core.proof.Correspondence.Written;
import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenLanguage;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * {@code salutation}: a reader who is addressed more, or less, formally than in the last message of the same writer that tells,
 * as “du” after “Sie”. English addresses everybody alike. A message that has both says nothing.
 */
final class FormalityRule implements ProseRule {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    /** How somebody is addressed, and by which word. */
    private record Address(boolean formal, Stretch word) {}

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        return texts.stream()
                .filter(ProseText::ofBody)
                .flatMap(text -> address(text).stream().flatMap(now -> note(text, now, around).stream()))
                .limit(1)
                .toList();
    }

    private static Optional<Note> note(ProseText text, Address now, Circumstances around) {
        Optional<Written> last = around.before().stream()
                .flatMap(before -> before.newest().stream())
                .filter(one -> one.by().isEmpty())
                .filter(one -> address(one, text.language()).isPresent())
                .findFirst();
        return last.flatMap(one -> address(one, text.language())
                .filter(then -> then.formal() != now.formal())
                .map(then -> text.note(
                                "salutation",
                                Note.Level.QUERY,
                                "“" + text.words(now.word()) + "”, and your message of "
                                        + one.day().format(DAY) + " said “"
                                        + then.word().of(one.opening()) + "”",
                                "Address them as you did then, unless you have agreed otherwise.",
                                now.word())
                        .about(one.id())));
    }

    private static Optional<Address> address(Written message, WrittenLanguage language) {
        return address(ProseText.of(message.opening(), language));
    }

    private static Optional<Address> address(ProseText text) {
        List<Stretch> formal = text.all(text.language().exact("formal"));
        List<Stretch> familiar = text.all(text.language().exact("familiar"));
        return formal.isEmpty() == familiar.isEmpty()
                ? Optional.empty()
                : Optional.of(new Address(familiar.isEmpty(), (familiar.isEmpty() ? formal : familiar).getFirst()));
    }
}
