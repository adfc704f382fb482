package famulus.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.record.FoldedText.Found;
import org.junit.jupiter.api.Test;

class FoldedTextTest {
    private static String said(String text, String words) {
        Found found = FoldedText.of(text).all(words).getFirst();
        return text.substring(found.start(), found.end());
    }

    @Test
    void wordsAreFoundWhateverTheirCaseAccentsAndBlanks() {
        assertThat(said("An Zoe\u0308 Groß\n  aus Łódź.", "zoë gross")).isEqualTo("Zoe\u0308 Groß");
        assertThat(said("aus Łódź.", "LODZ")).isEqualTo("Łódź");
        assertThat(said("die Ælfred", "aelfred")).isEqualTo("Ælfred");
    }

    @Test
    void onlyWholeWordsAreFound() {
        assertThat(FoldedText.of("Rosemary, primrose, Rose-Ann").all("rose")).hasSize(1);
        assertThat(FoldedText.of("a, b").all(" , ")).isEmpty();
        assertThat(FoldedText.of("").all("x")).isEmpty();
    }
}
