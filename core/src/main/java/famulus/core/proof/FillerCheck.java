package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * {@code filler}: words that were to be replaced before the message leaves, and codes that other systems would have filled
 * in. What counts as filler is kept by language in {@code filler*.properties}; every language is looked for at once.
 */
final class FillerCheck implements Check {
    private static final List<Locale> LANGUAGES = List.of(Locale.ENGLISH, Locale.GERMAN);
    /** Letters and underscores between brackets, per cent signs or double angles. */
    private static final Pattern CODES = Pattern.compile("\\[\\[[^\\[\\]\\n]{1,60}]]|%%?[A-Z][A-Z0-9_]{2,40}%%?"
            + "|<<[^<>\\n]{1,60}>>|«[\\p{L}_]{2,40}»|\\$\\{[^{}\\n]{1,60}}|#[A-Z][A-Z_]{2,40}#");

    /** Most texts have none of these, and need not be looked through. */
    private static final String BEGINS_A_CODE = "[%<«$#";

    private static final Pattern WORDS = words();

    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            String text = subject.source().text(part);
            find(text, WORDS, part, "is still filler", "Write what belongs there, or take it out.", notes);
            if (text.chars().anyMatch(character -> BEGINS_A_CODE.indexOf(character) >= 0)) {
                find(text, CODES, part, "is a code that nothing fills in", "Put a field in its place.", notes);
            }
        }
        return notes;
    }

    private static void find(
            String text, Pattern pattern, MessagePart part, String says, String remedy, List<Note> notes) {
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            notes.add(new Note(
                    "filler",
                    Note.Level.STOP,
                    "“" + matcher.group() + "” " + says,
                    remedy,
                    part,
                    new Span(matcher.start(), matcher.end()),
                    List.of()));
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
