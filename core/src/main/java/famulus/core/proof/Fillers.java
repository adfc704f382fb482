package famulus.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds words that were to be replaced, and codes that another system would have filled in. What counts as filler is kept by
 * language in {@code filler*.properties}; every language is looked for at once.
 */
final class Fillers {
    private static final List<Locale> LANGUAGES = List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH);

    /** A name that may have dots and dashes. */
    private static final String NAME = "[\\p{L}_][\\p{L}\\p{N}_.:-]{1,40}";

    private static final String CAPITALS = "[A-Z][A-Z0-9_]{2,40}";
    /** Between marks that people write for emphasis only a name that joins its words is a code. */
    private static final String JOINED = "[A-Z][A-Z0-9]*(?:_[A-Z0-9]+)+";

    private static final String JOINED_ANYHOW = "\\p{L}[\\p{L}\\p{N}]*(?:[_.][\\p{L}\\p{N}]+)+";

    /** Codes by their shape, whatever filled them in: names between doubled, paired or mirrored marks. */
    private static final Pattern CODES = Pattern.compile(String.join(
            "|",
            "\\[\\[[^\\[\\]\\n]{1,60}]]",
            "\\[" + JOINED + "]",
            "<%[^%<>\\n]{1,60}%>",
            "<<[^<>\\n]{1,60}>>",
            "%%?" + CAPITALS + "%%?",
            "«[\\p{L}_]{2,40}»",
            "[$#@!]\\{[^{}\\n]{1,60}}",
            "#" + CAPITALS + "#",
            "\\$\\$?" + CAPITALS + "\\$\\$?",
            "@@" + NAME + "@@",
            "__" + JOINED + "__",
            "\\|\\|" + CAPITALS + "\\|\\|",
            "\\*\\|[^|\\n]{1,60}\\|\\*",
            "\\(\\(" + JOINED_ANYHOW + "\\)\\)",
            "~~?" + JOINED + "~~?"));

    /** Most texts have none of these, and need not be looked through. */
    private static final String BEGINS_A_CODE = "[%<«$#@!_|*(~";

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
        find(text, WORDS, "is placeholder text", "Write the real text, or remove it.", found);
        if (text.chars().anyMatch(character -> BEGINS_A_CODE.indexOf(character) >= 0)) {
            find(text, CODES, "is a code that nothing fills in", "Put a field in its place.", found);
        }
        return found;
    }

    private static void find(String text, Pattern pattern, String says, String remedy, List<Filler> found) {
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            found.add(new Filler(matcher.start(), matcher.end(), matcher.group(), says, remedy));
        }
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
