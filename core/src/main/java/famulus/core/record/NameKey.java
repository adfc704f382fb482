package famulus.core.record;

import java.util.List;
import java.util.Set;

/**
 * The form in which a name is kept to be looked up whole: without case, accents and what stands between its words.
 *
 * <pre>
 *     NameKey.of("Zoë O’Brien-Kärcher")   // =zoe_o_brien_karcher
 * </pre>
 *
 * <p>No word that somebody types to find something begins so.
 */
public final class NameKey {
    private static final String BEGINNING = "=";
    private static final String BETWEEN = "_";

    private NameKey() {}

    /** The key of a name; empty for a text without words. Long ones are cut, as {@link SearchText} does. */
    public static String of(String name) {
        Set<String> words = SearchText.words(List.of(name));
        if (words.isEmpty()) {
            return "";
        }
        String key = BEGINNING + String.join(BETWEEN, words);
        return key.length() <= SearchText.LONGEST_WORD ? key : key.substring(0, SearchText.LONGEST_WORD);
    }
}
