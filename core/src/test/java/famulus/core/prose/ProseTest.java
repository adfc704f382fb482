package famulus.core.prose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProseTest {
    private static final String MARKS = "aB3 .!?…\n>\"”)(-é";

    private static List<String> sentences(String text) {
        Prose prose = Prose.of(text);
        return prose.sentences().stream().map(one -> one.of(prose.text())).toList();
    }

    @Test
    void aSentenceEndsAtItsMarkAndAtTheEndOfALine() {
        assertThat(sentences("Dear Ines,\nthe roof is done. Is Friday good? Yes!"))
                .containsExactly("Dear Ines,", "the roof is done.", "Is Friday good?", "Yes!");
    }

    @Test
    void whatIsShortenedEndsNoSentence() {
        assertThat(sentences("Dr. Hendry and Mrs. Hale came on the 8. May with Prof. Ito. They left at 5."))
                .containsExactly("Dr. Hendry and Mrs. Hale came on the 8. May with Prof. Ito.", "They left at 5.");
        assertThat(sentences("Wir kommen am 8. Mai z. B. um neun. Geht das?"))
                .containsExactly("Wir kommen am 8. Mai z. B. um neun.", "Geht das?");
    }

    @Test
    void theMessageQuotedBelowIsNotRead() {
        assertThat(Prose.of("Yes.\n\nOn Mon, 11 May 2026 at 09:12, Tobias Larkin wrote:\n> Attached?")
                        .text())
                .isEqualTo("Yes.\n\n");
        assertThat(Prose.of("Ja.\n> Anbei der Plan").text()).isEqualTo("Ja.\n");
        String told = "On Monday Tobias wrote that the key is lost.\nShall we wait?";
        assertThat(Prose.of(told).text()).isEqualTo(told);
    }

    @Test
    void theSentenceOfAPlaceIsFound() {
        Prose prose = Prose.of("One is here. Two is there.\nThree");

        assertThat(prose.sentenceAt(14).of(prose.text())).isEqualTo("Two is there.");
        assertThat(prose.sentenceAt(27).of(prose.text())).isEqualTo("Three");
    }

    @Test
    void sentencesAndParagraphsLieInOrderAndNoneIsBlank() {
        Random random = new Random(4711);
        for (int turn = 0; turn < 2000; turn++) {
            liesInOrder(random.ints(random.nextInt(60), 0, MARKS.length())
                    .mapToObj(MARKS::charAt)
                    .map(String::valueOf)
                    .collect(Collectors.joining()));
        }
    }

    private static void liesInOrder(String text) {
        Prose prose = Prose.of(text);
        for (List<Prose.Stretch> all : List.of(prose.sentences(), prose.paragraphs())) {
            int before = 0;
            for (Prose.Stretch one : all) {
                assertThat(one.start()).isGreaterThanOrEqualTo(before);
                assertThat(one.of(prose.text())).isNotBlank();
                before = one.end();
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "We come on Friday and bring the ladder | de | ENGLISH",
                "Wir kommen am Freitag und bringen die Leiter mit | en | GERMAN",
                "Nous venons vendredi avec l'échelle | en | FRENCH",
                "Danke! | de | GERMAN",
                "OK | fr | FRENCH",
            })
    void aLanguageIsToldByItsSmallWordsElseByItsReader(String text, String reader, WrittenLanguage language) {
        assertThat(WrittenLanguage.of(text, Locale.of(reader))).contains(language);
    }

    @Test
    void aLanguageWithoutWordsIsReadByNobody() {
        assertThat(WrittenLanguage.of("Hyvää päivää", Locale.of("fi"))).isEmpty();
        assertThat(WrittenLanguage.of(
                        "Kiitos viestistä ja puhelusta. Lähetän tarjouksen huomenna aamulla, ja jos sopii, tulen maanantaina"
                                + " käymään teillä katsomassa kattoa sekä ikkunoita kello yhdeksän aikaan autolla.",
                        Locale.UK))
                .isEmpty();
    }
}
