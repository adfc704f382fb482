package famulus.core.record;

import java.util.ArrayList;
import java.util.List;

/**
 * A text without case and accents in which one can search, and which knows where each of its characters stood.
 *
 * <pre>
 *     FoldedText.of("Grüße  an ZOË").all("gruße an zoe")   // the whole text, from 0 to 13
 * </pre>
 */
public final class FoldedText {
    private final String original;
    private final String folded;
    /** Where each character of the folded text came from; its end last. */
    private final int[] at;

    /** A stretch of the original, from its first character to before its last. */
    public record Found(int start, int end) {}

    private FoldedText(String original) {
        this.original = original;
        StringBuilder text = new StringBuilder();
        List<Integer> from = new ArrayList<>();
        for (int i = 0; i < original.length(); ) {
            int point = original.codePointAt(i);
            String one = blank(point) ? " " : SearchText.folded(Character.toString(point));
            boolean again = one.equals(" ") && !text.isEmpty() && text.charAt(text.length() - 1) == ' ';
            for (int c = 0; c < one.length() && !again; c++) {
                text.append(one.charAt(c));
                from.add(i);
            }
            i += Character.charCount(point);
        }
        from.add(original.length());
        folded = text.toString();
        at = from.stream().mapToInt(Integer::intValue).toArray();
    }

    private static boolean blank(int point) {
        return Character.isWhitespace(point) || Character.isSpaceChar(point);
    }

    /** A text to be searched. */
    public static FoldedText of(String text) {
        return new FoldedText(text);
    }

    /**
     * Where some words stand in it as whole words, whatever their case, accents and the blanks between them.
     *
     * @param words words without letters or figures are found nowhere
     */
    public List<Found> all(String words) {
        String wanted = SearchText.folded(words);
        List<Found> found = new ArrayList<>();
        if (wanted.chars().noneMatch(Character::isLetterOrDigit)) {
            return found;
        }
        for (int from = folded.indexOf(wanted); from >= 0; from = folded.indexOf(wanted, from + 1)) {
            int to = from + wanted.length();
            if (edge(from) && edge(to)) {
                found.add(new Found(at[from], end(to)));
            }
        }
        return found;
    }

    /** The end of what comes before a place, without the blanks and marks that follow it. */
    private int end(int to) {
        int last = at[to - 1];
        int end = last + Character.charCount(original.codePointAt(last));
        while (end < original.length() && Character.getType(original.charAt(end)) == Character.NON_SPACING_MARK) {
            end++;
        }
        return end;
    }

    /** Whether a word ends or begins at a place. */
    private boolean edge(int place) {
        return place == 0
                || place == folded.length()
                || !Character.isLetterOrDigit(folded.charAt(place - 1))
                || !Character.isLetterOrDigit(folded.charAt(place));
    }
}
