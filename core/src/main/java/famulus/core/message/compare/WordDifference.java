package famulus.core.message.compare;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import famulus.core.message.compare.Change.Of;
import famulus.core.message.compare.Change.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What differs between two texts, in whole words and whole fields. */
public final class WordDifference {
    /** A brace that is one with the mark before it, a field, a word, a run of space, or any other sign. */
    private static final Pattern WORD =
            Pattern.compile("(?:\\\\\\\\)*\\\\\\{|\\{[^{}\\n]*}|[\\p{L}\\p{N}_'’]+|\\s+|.", Pattern.DOTALL);
    /** Beyond so many words what differs is told as one stretch: finding out would take too long. */
    private static final int MOST_WORDS = 8000;

    private WordDifference() {}

    /**
     * Compares.
     *
     * @return both texts in one, in order; those of both versions joined give the later text back without the words that
     *     are only before, and likewise the earlier one
     */
    public static List<Stretch> of(String before, String after) {
        if (before.equals(after)) {
            return before.isEmpty() ? List.of() : List.of(new Stretch(Of.BOTH, before));
        }
        List<String> from = words(before);
        List<String> to = words(after);
        List<Stretch> all = new ArrayList<>();
        if (from.size() + to.size() > MOST_WORDS) {
            add(all, Of.BEFORE, List.of(before));
            add(all, Of.AFTER, List.of(after));
            return all;
        }
        int at = 0;
        for (AbstractDelta<String> delta : DiffUtils.diff(from, to).getDeltas()) {
            add(all, Of.BOTH, from.subList(at, delta.getSource().getPosition()));
            add(all, Of.BEFORE, delta.getSource().getLines());
            add(all, Of.AFTER, delta.getTarget().getLines());
            at = delta.getSource().getPosition() + delta.getSource().size();
        }
        add(all, Of.BOTH, from.subList(at, from.size()));
        return all;
    }

    private static void add(List<Stretch> all, Of of, List<String> words) {
        String text = String.join("", words);
        if (!text.isEmpty()) {
            all.add(new Stretch(of, text));
        }
    }

    private static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        Matcher matcher = WORD.matcher(text);
        while (matcher.find()) {
            words.add(matcher.group());
        }
        return words;
    }
}
