package famulus.core.prose;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A language whose words are known here. Its patterns are read from {@code words_*.properties} once. */
public enum WrittenLanguage {
    ENGLISH(Locale.ENGLISH),
    GERMAN(Locale.GERMAN),
    FRENCH(Locale.FRENCH);

    /** So many small words tell a language, even where they are few. */
    private static final int ENOUGH = 2;

    private static final Pattern WORD = Pattern.compile("\\p{L}+");

    private final Locale locale;
    private final ResourceBundle words;
    private final Map<String, Pattern> patterns = new ConcurrentHashMap<>();
    private final Set<String> small;

    WrittenLanguage(Locale locale) {
        this.locale = locale;
        this.words = ResourceBundle.getBundle(
                "famulus.core.prose.words",
                locale,
                ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
        this.small = Set.copyOf(list("small"));
    }

    /** As ISO 639 names it, without a region. */
    public Locale locale() {
        return locale;
    }

    /**
     * The language of a text, by the small words in it.
     *
     * @param likely what its reader reads: that of a text too short to tell
     * @return empty for a text in a language that is not known here
     */
    public static Optional<WrittenLanguage> of(String text, Locale likely) {
        int[] counts = new int[values().length];
        var word = WORD.matcher(text);
        int all = 0;
        while (word.find()) {
            all++;
            String one = word.group().toLowerCase(Locale.ROOT);
            for (WrittenLanguage language : values()) {
                if (language.small.contains(one)) {
                    counts[language.ordinal()]++;
                }
            }
        }
        int most = Arrays.stream(counts).max().orElse(0);
        long asMany = Arrays.stream(counts).filter(count -> count == most).count();
        if (most >= ENOUGH && asMany == 1) {
            return Arrays.stream(values())
                    .filter(language -> counts[language.ordinal()] == most)
                    .findFirst();
        }
        // A long text without any small word is in a language of its own, whatever its reader speaks.
        return all > 20 * (1 + most) ? Optional.empty() : of(likely);
    }

    private static Optional<WrittenLanguage> of(Locale locale) {
        return Arrays.stream(values())
                .filter(language -> language.locale.getLanguage().equals(locale.getLanguage()))
                .findFirst();
    }

    /** What is kept under a key as a pattern; capitals don't matter in it, spaces stand for any white space. */
    public Pattern pattern(String key) {
        return patterns.computeIfAbsent(
                key, one -> compiled(words.getString(one), Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
    }

    /** What is kept under any of some keys, of which there is at least one. */
    public Pattern anyOf(List<String> keys) {
        return patterns.computeIfAbsent(
                String.join("|", keys),
                all -> compiled(
                        keys.stream().map(words::getString).collect(Collectors.joining("|")),
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE));
    }

    /** The same where capitals matter: “May” is a month, “may” is none. */
    public Pattern exact(String key) {
        return patterns.computeIfAbsent("=" + key, one -> compiled(words.getString(key), 0));
    }

    private static Pattern compiled(String pattern, int flags) {
        String written = pattern.replace(" ?", "\\s*").replace(" ", "\\s+").replace("'", "['’]");
        return Pattern.compile(
                "(?<![\\p{L}\\p{N}])(?:" + written + ")(?![\\p{L}\\p{N}])", flags | Pattern.UNICODE_CHARACTER_CLASS);
    }

    /** What is kept under a key as a list, in its order. */
    public List<String> list(String key) {
        return List.of(words.getString(key).split("\\s*,\\s*"));
    }
}
