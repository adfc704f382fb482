package famulus.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.record.SearchText;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordFitTest {
    @ParameterizedTest
    @CsvSource({
        "gate, gate, WHOLE",
        "gatepost, gate, BEGINNING",
        "liefertermin, termin, PART",
        "liefertermin, lief, BEGINNING",
        "placement, plcement, SLIP",
        "placement, placemetn, SLIP",
        "placement, plaement, SLIP",
        "placement, plasem, SLIP",
        "reminder, remidner, SLIP",
        "gate, gaet, SLIP",
        "gate, gat, BEGINNING",
        "gate, gta, ",
        "gather, gate, ",
        "calmly, call, ",
        "placement, xlacement, ",
        "agate, gate, ",
        "termin, liefertermin, ",
        "quote, quiet, ",
        "'', gate, "
    })
    void aWordFitsWhatWasTyped(String word, String typed, WordFit fit) {
        assertThat(WordFit.of(word, typed).orElse(null)).isEqualTo(fit);
    }

    /** One slip anywhere but in the first letter of a word of seven letters is forgiven. */
    @Test
    void anySlipIsForgiven() {
        Random random = new Random(20_260_504);
        for (int turn = 0; turn < 500; turn++) {
            String word = random.ints(7, 'a', 'z' + 1)
                    .mapToObj(one -> String.valueOf((char) one))
                    .collect(Collectors.joining());
            int at = 1 + random.nextInt(5);
            String typed =
                    switch (random.nextInt(3)) {
                        case 0 -> word.substring(0, at) + word.substring(at + 1);
                        case 1 -> word.substring(0, at) + 'q' + word.substring(at);
                        default ->
                            word.substring(0, at) + word.charAt(at + 1) + word.charAt(at) + word.substring(at + 2);
                    };
            assertThat(WordFit.of(word, typed)).as("%s for %s", typed, word).isPresent();
        }
    }

    private static String marked(String text, String typed) {
        return HitLine.of(text, SearchText.typed(typed)).stream()
                .map(part -> part.hit() ? "[" + part.text() + "]" : part.text())
                .collect(Collectors.joining());
    }

    @Test
    void theLineWithMostOfItIsShown() {
        assertThat(marked("Dear Ines,\nthe gate is open.\nLeave the gate code at the gate.", "gate code"))
                .isEqualTo("Leave the [gate] [code] at the [gate].");
        assertThat(marked("Guten Tag,\nder Liefertermin steht.", "Termin")).isEqualTo("der Liefer[termin] steht.");
        assertThat(marked("Chère Zoë, l’été arrive", "ete zoe")).isEqualTo("Chère [Zoë], l’[été] arrive");
        assertThat(marked("Straßen und Wege", "strass")).isEqualTo("[Straßen] und Wege");
        assertThat(marked("nothing of it", "gate")).isEmpty();
        assertThat(HitLine.of("", List.of("gate"))).isEmpty();
    }

    @Test
    void aLongLineIsCutAroundItsFirstPlace() {
        String words = "word ".repeat(60);
        String line = marked(words + "gate " + words, "gate");
        assertThat(line).startsWith("… word").endsWith(" …").contains("[gate]").hasSizeLessThan(130);
    }
}
