package famulus.core.proof;

import famulus.core.proof.SaidValue.Kind;
import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;

/** {@code salutation}: a greeting to nobody in particular although it is known who reads it. */
final class GreetedNameRule implements ProseRule {
    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        if (around.theirs().isEmpty() || around.theirs().getFirst().indexOf('@') >= 0) {
            return List.of();
        }
        List<Note> notes = new ArrayList<>();
        texts.stream().filter(ProseText::ofBody).forEach(text -> text.all("to_nobody").stream()
                .findFirst()
                .ifPresent(said -> notes.add(text.note(
                        "salutation",
                        Note.Level.QUERY,
                        "“" + text.words(said) + "”, and the message goes to "
                                + around.theirs().getFirst(),
                        "Greet them by their name.",
                        said))));
        around.values().stream()
                .filter(value -> value.kind() == Kind.INSTEAD_OF_NAME)
                .forEach(
                        value -> texts.stream().filter(ProseText::ofBody).forEach(text -> greetsWith(text, value.text())
                                .ifPresent(said -> notes.add(text.note(
                                        "salutation",
                                        Note.Level.QUERY,
                                        "“" + value.text() + "” stands for the "
                                                + value.label().toLowerCase(Locale.ROOT) + ", and the message goes to "
                                                + around.theirs().getFirst(),
                                        "Greet them by what is known of their name.",
                                        said)))));
        return notes;
    }

    /** Where a sentence begins with a greeting of these words; anywhere else they may stand for a name as they like. */
    private static Optional<Stretch> greetsWith(ProseText text, String words) {
        for (Stretch sentence : text.prose().sentences()) {
            String said = text.words(sentence);
            Matcher hello = text.language().pattern("hello").matcher(said);
            if (hello.lookingAt() && said.startsWith(words, hello.end() + 1)) {
                int at = sentence.start() + hello.end() + 1;
                return Optional.of(new Stretch(at, at + words.length()));
            }
        }
        return Optional.empty();
    }
}
