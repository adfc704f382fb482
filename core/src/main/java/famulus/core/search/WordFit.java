package famulus.core.search;

import java.util.Optional;

/**
 * In which way a word fits one that was typed, the best way first. Both are folded: without case and accents (see
 * {@link famulus.core.record.SearchText}).
 */
public enum WordFit {
    /** It is the word. */
    WHOLE,
    /** The word begins with it. */
    BEGINNING,
    /** It is a later part of a compound: “termin” of “liefertermin”. */
    PART,
    /** The word, or its beginning, is a slip of the keys away. */
    SLIP;

    /** Shorter beginnings are no part of a compound, and have no slips: too much would fit them. */
    public static final int SHORTEST = 4;
    /** Shorter words are no compounds. */
    public static final int SHORTEST_COMPOUND = 8;

    private static final int LONG = 8;
    /** Of fewer letters a beginning that is a slip away says little: “gate” is no slip for “gather”. */
    private static final int SHORTEST_BEGINNING = 6;

    /** How a word fits what was typed; empty where it does not. */
    public static Optional<WordFit> of(String word, String typed) {
        if (word.equals(typed)) {
            return Optional.of(WHOLE);
        }
        if (word.startsWith(typed)) {
            return Optional.of(BEGINNING);
        }
        if (typed.length() < SHORTEST) {
            return Optional.empty();
        }
        if (word.length() >= SHORTEST_COMPOUND && word.indexOf(typed) > 0) {
            return Optional.of(PART);
        }
        return slips(word, typed) <= slips(typed) ? Optional.of(SLIP) : Optional.empty();
    }

    /** How many slips are forgiven: one, or two in a long word. */
    public static int slips(String typed) {
        if (typed.length() < SHORTEST) {
            return 0;
        }
        return typed.length() < LONG ? 1 : 2;
    }

    /** Whether what was typed may be the beginning of a word although it has a slip. */
    public static boolean slipsInBeginnings(String typed) {
        return typed.length() >= SHORTEST_BEGINNING;
    }

    /** Keys left out, added, changed or swapped between what was typed and a word or its beginning; the first letter is right. */
    private static int slips(String word, String typed) {
        int most = slips(typed);
        if (word.isEmpty() || word.charAt(0) != typed.charAt(0) || word.length() < typed.length() - most) {
            return Integer.MAX_VALUE;
        }
        int[] before = new int[word.length() + 1];
        int[] last = new int[word.length() + 1];
        int[] now = new int[word.length() + 1];
        for (int j = 0; j <= word.length(); j++) {
            last[j] = j;
        }
        for (int i = 1; i <= typed.length(); i++) {
            now[0] = i;
            for (int j = 1; j <= word.length(); j++) {
                int same = typed.charAt(i - 1) == word.charAt(j - 1) ? 0 : 1;
                now[j] = Math.min(Math.min(last[j] + 1, now[j - 1] + 1), last[j - 1] + same);
                boolean swapped = i > 1
                        && j > 1
                        && typed.charAt(i - 1) == word.charAt(j - 2)
                        && typed.charAt(i - 2) == word.charAt(j - 1);
                if (swapped) {
                    now[j] = Math.min(now[j], before[j - 2] + 1);
                }
            }
            int[] spare = before;
            before = last;
            last = now;
            now = spare;
        }
        int least = last[word.length()];
        for (int j = 0; slipsInBeginnings(typed) && j < word.length(); j++) {
            least = Math.min(least, last[j]);
        }
        return least;
    }
}
