package famulus.core.proof;

import famulus.core.prose.Prose.Stretch;
import java.util.List;
import java.util.Optional;

/**
 * Where a message says a value.
 *
 * @param text the text that says it first
 */
record SaidPlace(ProseText text, Stretch at) {
    /** The first place; empty for a value that has been changed by hand. */
    static Optional<SaidPlace> of(List<ProseText> texts, SaidValue value) {
        return texts.stream()
                .filter(ProseText::ofMessage)
                .flatMap(text -> in(text, value.text()).stream())
                .findFirst();
    }

    private static Optional<SaidPlace> in(ProseText text, String words) {
        int at = text.prose().text().indexOf(words);
        return at < 0 ? Optional.empty() : Optional.of(new SaidPlace(text, new Stretch(at, at + words.length())));
    }
}
