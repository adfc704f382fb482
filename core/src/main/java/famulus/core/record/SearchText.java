package famulus.core.record;

import com.ibm.icu.text.Normalizer2;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * The words that something is found by. Case and accents do not matter, nor does what stands between words:
 *
 * <pre>
 *     SearchText.words(List.of("Zoë O’Brien-Kärcher", "zoe@lane.example"))
 *         // zoe, o, brien, karcher, zoe@lane.example, lane, example
 * </pre>
 */
public final class SearchText {
    /** Longer words are found by so much of them. */
    public static final int LONGEST_WORD = 40;

    private static final int MOST_WORDS = 60;
    private static final int MOST_TYPED = 8;
    private static final Pattern MARKS = Pattern.compile("\\p{M}+");
    private static final Pattern BLANKS = Pattern.compile("[\\s\\p{Z}\\p{Cc}]+");
    private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");

    private SearchText() {}

    /** A text without case and accents, its blanks each one space. */
    public static String folded(String text) {
        String given = text == null ? "" : text;
        if (hasNothingToFoldButCase(given)) {
            return given.toLowerCase(Locale.ROOT);
        }
        String apart = Normalizer2.getNFKDInstance().normalize(given);
        String plain = MARKS.matcher(apart).replaceAll("").toLowerCase(Locale.ROOT);
        return BLANKS.matcher(plain.replace("ß", "ss")
                        .replace("ø", "o")
                        .replace("ł", "l")
                        .replace("æ", "ae"))
                .replaceAll(" ")
                .strip();
    }

    /** As most words: printable ASCII, with single spaces within it. Lists fold thousands of them. */
    private static boolean hasNothingToFoldButCase(String text) {
        char before = ' ';
        for (int i = 0; i < text.length(); i++) {
            char sign = text.charAt(i);
            if (sign < ' ' || sign > '~' || (sign == ' ' && before == ' ')) {
                return false;
            }
            before = sign;
        }
        return text.isEmpty() || before != ' ';
    }

    /** The words of some texts, each once, 60 at most; an e-mail address is a word besides those it is made of. */
    public static Set<String> words(Collection<String> texts) {
        return words(texts, MOST_WORDS);
    }

    /** The same with so many words at most. */
    public static Set<String> words(Collection<String> texts, int most) {
        Set<String> words = new LinkedHashSet<>();
        for (String text : texts) {
            for (String piece : folded(text).split(" ")) {
                if (piece.indexOf('@') > 0) {
                    words.add(cut(piece));
                }
                for (String word : BETWEEN.split(piece)) {
                    if (!word.isEmpty()) {
                        words.add(cut(word));
                    }
                }
                if (words.size() >= most) {
                    return words;
                }
            }
        }
        return words;
    }

    /**
     * What was typed to find something: the beginnings of words, each once, eight at most. Empty when nothing was typed but
     * blanks; then everything fits. Signs that no word is made of fit nothing.
     */
    public static List<String> typed(String search) {
        Set<String> words = new LinkedHashSet<>();
        for (String piece : folded(search).split(" ")) {
            if (piece.indexOf('@') > 0) {
                words.add(cut(piece));
                continue;
            }
            for (String word : BETWEEN.split(piece)) {
                if (!word.isEmpty()) {
                    words.add(cut(word));
                }
            }
        }
        String whole = folded(search);
        return words.isEmpty() && !whole.isEmpty()
                ? List.of(cut(whole))
                : words.stream().limit(MOST_TYPED).toList();
    }

    private static String cut(String word) {
        if (word.length() <= LONGEST_WORD) {
            return word;
        }
        int end = Character.isHighSurrogate(word.charAt(LONGEST_WORD - 1)) ? LONGEST_WORD - 1 : LONGEST_WORD;
        return word.substring(0, end);
    }
}
