package famulus.core.proof;

import famulus.core.prose.FoundWords;
import famulus.core.prose.Prose.Stretch;
import famulus.core.syntax.OtherCodes;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.regex.Pattern;

/**
 * Finds words that were to be replaced, and codes that another system would have filled in. What counts as filler is kept by
 * language in {@code filler*.properties}; every language is looked for at once.
 */
final class Fillers {
    private static final List<Locale> LANGUAGES = List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH);

    private static final Pattern WORDS = words();

    private Fillers() {}

    /**
     * Filler in a text.
     *
     * @param says what is wrong with it, after its words
     */
    record Filler(int start, int end, String words, String says, String remedy) {
        /** The note about it, standing anywhere. */
        Note note(famulus.core.message.MessagePart part, famulus.core.syntax.Span span, String block) {
            return new Note(
                            StopCode.FILLER.code(),
                            Note.Level.STOP,
                            "“" + words + "” " + says,
                            remedy,
                            part,
                            span,
                            List.of())
                    .inBlock(block);
        }
    }

    /** All filler in a text, words first. */
    static List<Filler> in(String text) {
        List<Filler> found = new ArrayList<>();
        for (Stretch words : FoundWords.in(text).all(WORDS)) {
            found.add(new Filler(
                    words.start(),
                    words.end(),
                    words.of(text),
                    "is placeholder text",
                    "Write the real text, or remove it."));
        }
        OtherCodes.in(text)
                .forEach(code -> found.add(new Filler(
                        code.start(),
                        code.end(),
                        code.words(),
                        "is a code that nothing fills in",
                        "Put a field in its place.")));
        return found;
    }

    private static Pattern words() {
        List<String> all = new ArrayList<>();
        for (Locale language : LANGUAGES) {
            ResourceBundle bundle = bundle(language);
            // In a group of its own, since a pattern may say that capitals don't matter.
            bundle.keySet().stream()
                    .sorted()
                    .map(key -> "(?:" + bundle.getString(key) + ")")
                    .forEach(all::add);
        }
        return Pattern.compile(String.join("|", all), Pattern.UNICODE_CHARACTER_CLASS);
    }

    private static ResourceBundle bundle(Locale language) {
        return ResourceBundle.getBundle(
                "famulus.core.proof.filler",
                language,
                ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
    }
}
