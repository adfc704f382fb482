package famulus.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SearchTextTest {
    @ParameterizedTest
    @CsvSource({
        "Zoë O’Brien-Kärcher, zoe o brien karcher",
        "STRASSE, strasse",
        "Straße, strasse",
        "Łukasz Ørsted, lukasz orsted",
        "ＦＵＬＬ ｗｉｄｔｈ, full width",
        "'  two   blanks\u00a0and one  ', two blanks and one",
        "a1-b2_c3, a1 b2 c3",
        "東京 支社, 東京 支社",
    })
    void wordsAreWithoutCaseAccentsAndWhatStandsBetween(String text, String words) {
        assertThat(String.join(" ", SearchText.words(List.of(text)))).isEqualTo(words);
    }

    @Test
    void anAddressIsAWordBesidesItsOwn() {
        assertThat(SearchText.words(List.of("Zoe.K@lane.example")))
                .containsExactly("zoe.k@lane.example", "zoe", "k", "lane", "example");
        assertThat(SearchText.typed("zoe.k@la")).containsExactly("zoe.k@la");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "\t\n ", "\u00a0"})
    void nothingButBlanksLooksForEverything(String typed) {
        assertThat(SearchText.typed(typed)).isEmpty();
        assertThat(SearchText.typed(null)).isEmpty();
    }

    /** No word has these signs in it, so that nothing is found rather than everything. */
    @ParameterizedTest
    @ValueSource(strings = {"%", "_", "!!", "…", "--"})
    void signsLookForNothing(String typed) {
        assertThat(SearchText.typed(typed)).hasSize(1);
        assertThat(SearchText.words(List.of(typed))).isEmpty();
    }

    @Test
    void longTextsAreCut() {
        assertThat(SearchText.typed("x".repeat(1_000))).containsExactly("x".repeat(SearchText.LONGEST_WORD));
        assertThat(SearchText.typed("a b c d e f g h i j")).hasSize(8);
        assertThat(SearchText.words(List.of("w".repeat(39) + "𐐀𐐀"))).allMatch(word -> word.length() <= 40);
        assertThat(SearchText.words(List.of("a ".repeat(5_000) + "b c"), 3)).containsExactly("a", "b", "c");
    }

    /** Whatever was kept is found by any beginning of any of its words. */
    @Test
    void everyBeginningFindsItsWord() {
        for (String word : SearchText.words(List.of("Zoë Kärcher-Straße 東京 ﬁne"))) {
            for (int length = 1; length <= word.length(); length++) {
                List<String> typed = SearchText.typed(word.substring(0, length));
                assertThat(typed).allMatch(word::startsWith);
            }
        }
    }
}
