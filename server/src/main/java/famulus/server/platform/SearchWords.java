package famulus.server.platform;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** What somebody typed to find something, as patterns. */
public final class SearchWords {
    private static final int MOST_WORDS = 8;

    private SearchWords() {}

    /** Splits what was typed into patterns for {@code like … escape '!'}; all of them have to match. */
    public static List<String> of(String search) {
        return Arrays.stream((search == null ? "" : search)
                        .strip()
                        .toLowerCase(Locale.ROOT)
                        .split("\\s+"))
                .filter(word -> !word.isEmpty())
                .limit(MOST_WORDS)
                .map(word -> "%" + word.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%")
                .toList();
    }
}
