package famulus.core.prose;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.ResourceBundle;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FoundWordsTest {
    private static final Pattern ANY = Pattern.compile("\\S+");

    private static List<Stretch> found(Pattern pattern, String text) {
        List<Stretch> all = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            all.add(new Stretch(matcher.start(), matcher.end()));
        }
        return all;
    }

    /** Words that the patterns are made of, with others among them, on lines that come again. */
    private static String text(WrittenLanguage language, Random random) {
        ResourceBundle words = ResourceBundle.getBundle("famulus.core.prose.words", language.locale());
        List<String> said = new ArrayList<>(List.of("2025", "8", "Ines", "(", ")", "!!", "…", "\u00a0", "\t"));
        words.keySet().stream().sorted().forEach(key -> {
            Matcher word = Pattern.compile("\\p{L}+").matcher(words.getString(key));
            while (word.find()) {
                said.add(word.group());
            }
        });
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 60; i++) {
            text.append(said.get(random.nextInt(said.size())))
                    .append(List.of(" ", " ", " ", ", ", ". ", "\n", "\n\n").get(random.nextInt(7)));
        }
        return text.toString();
    }

    @ParameterizedTest
    @EnumSource(WrittenLanguage.class)
    void findsWhatIsFoundInTheWholeText(WrittenLanguage language) {
        ResourceBundle words = ResourceBundle.getBundle("famulus.core.prose.words", language.locale());
        Random random = new Random(11);
        int places = 0;
        for (int turn = 0; turn < 40; turn++) {
            String text = text(language, random);
            // The second time other words stand before it.
            for (String whole : List.of(text, "Dear Tobias,\n" + text)) {
                for (String key : words.keySet()) {
                    for (Pattern pattern : List.of(language.pattern(key), language.exact(key))) {
                        List<Stretch> wanted = found(pattern, whole);
                        assertEquals(wanted, FoundWords.in(whole).all(pattern), key + " in\n" + whole);
                        places += wanted.size();
                    }
                }
            }
        }
        assertTrue(places > 1_000, places + " places");
    }

    @Test
    void aPatternReachesBeyondItsLine() {
        Pattern pattern = Pattern.compile("look\\s+forward\\s+to");
        assertEquals(
                List.of(new Stretch(3, 18)),
                FoundWords.in("We look\nforward\nto it.").all(pattern));
    }

    @Test
    void whatStandsBeforeALineIsSeen() {
        Pattern behind = Pattern.compile("(?<=[a-z]\\s)Sie");
        assertEquals(List.of(new Stretch(4, 7)), FoundWords.in("wir\nSie").all(behind));
        assertEquals(List.of(), FoundWords.in("WIR\nSie").all(behind));
    }

    @Test
    void theBeginningOfATextIsNotThatOfALine() {
        assertEquals(List.of(new Stretch(0, 2)), FoundWords.in("ab\nab").all(Pattern.compile("^ab")));
        assertEquals(List.of(new Stretch(3, 5)), FoundWords.in("ab\nab").all(Pattern.compile("ab$")));
    }

    @Test
    void moreLinesThanAreRemembered() {
        for (int i = 0; i < 10_000; i++) {
            String text = "line " + i;
            assertEquals(found(ANY, text), FoundWords.in(text).all(ANY));
        }
        String longLine = "word ".repeat(1_000);
        assertEquals(1_000, FoundWords.in(longLine).all(ANY).size());
    }

    @Test
    void aSentenceHasWordsOrHasNone() {
        Pattern pattern = Pattern.compile("^See you");
        assertTrue(FoundWords.has("See you there.", pattern));
        assertFalse(FoundWords.has("I will see you there.", pattern));
    }
}
