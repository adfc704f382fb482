package famulus.core.proof;

import famulus.core.prose.Prose.Stretch;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** {@code nothing-asked}: a first message that has neither a question, a link nor a next step for its reader. */
final class NothingAskedRule implements ProseRule {
    private static final Pattern QUESTION = Pattern.compile("\\?|https?://|www\\.");

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        Optional<ProseText> body = texts.stream().filter(ProseText::ofBody).findFirst();
        boolean asked = !around.first()
                || body.isEmpty()
                || body.get().prose().text().isBlank()
                || texts.stream()
                        .anyMatch(text -> text.links()
                                || !text.all(QUESTION).isEmpty()
                                || !text.all("next_step").isEmpty());
        if (asked) {
            return List.of();
        }
        Stretch last = body.get().prose().paragraphs().getLast();
        return List.of(body.get()
                .note(
                        "nothing-asked",
                        Note.Level.QUERY,
                        "The message asks nothing of its reader",
                        "End with one question, or say what happens next.",
                        last));
    }
}
