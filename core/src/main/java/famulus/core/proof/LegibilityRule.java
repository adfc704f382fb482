package famulus.core.proof;

import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** {@code legibility}: a sentence or paragraph far longer than is read on a phone. */
final class LegibilityRule implements ProseRule {
    private static final int LONGEST_SENTENCE = 45;
    /** About what fills the screen of a phone. */
    private static final int LONGEST_PARAGRAPH = 130;

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}'’.-]*");

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        texts.stream().filter(ProseText::ofBody).forEach(text -> {
            List<Stretch> sentences = text.prose().sentences();
            sentences.forEach(one -> add(notes, text, one, LONGEST_SENTENCE, "This sentence has "));
            text.prose().paragraphs().stream()
                    .filter(one -> !sentences.contains(one))
                    .forEach(one -> add(notes, text, one, LONGEST_PARAGRAPH, "This paragraph has "));
        });
        return notes;
    }

    private static void add(List<Note> notes, ProseText text, Stretch one, int most, String title) {
        String words = text.words(one);
        // Words of one or two letters at the most: shorter than that it has too few of them anyway.
        if (words.length() <= most * 2) {
            return;
        }
        long count = WORD.matcher(words).results().count();
        if (count > most) {
            notes.add(text.note(
                    "legibility",
                    Note.Level.QUERY,
                    title + count + " words",
                    "On a phone nobody finds the end of it. Make two of it, or leave something out.",
                    one));
        }
    }
}
