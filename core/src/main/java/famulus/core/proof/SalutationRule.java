package famulus.core.proof;

import famulus.core.proof.SaidValue.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** {@code salutation}: a greeting to nobody in particular although it is known who reads it. */
final class SalutationRule implements ProseRule {
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
                .forEach(value -> SaidPlace.of(texts, value)
                        .ifPresent(place -> notes.add(place.text()
                                .note(
                                        "salutation",
                                        Note.Level.QUERY,
                                        "“" + value.text() + "” stands for the "
                                                + value.label().toLowerCase(Locale.ROOT) + ", and the message goes to "
                                                + around.theirs().getFirst(),
                                        "Greet them by what is known of their name.",
                                        place.at()))));
        return notes;
    }
}
