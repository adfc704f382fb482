package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FirstWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Dear Ines,¶ ¶Thank you¶for Monday.      | Thank you for Monday.",
                "Dear Ines, thank you.                   | Dear Ines, thank you.",
                "[Our mark] https://a.example¶¶Welcome   | Welcome",
                "[An open door]¶-----¶Dear Ines,¶Welcome | Welcome",
                "https://a.example¶Look here             | Look here",
                "Dear Ines,                              | Dear Ines,",
                "Αγαπητή Δέσποινα, καλημέρα              | Αγαπητή Δέσποινα, καλημέρα",
                "[Only a picture]                        | [Only a picture]",
            })
    void picturesAndGreetingsArePassedOver(String text, String words) {
        assertThat(FirstWords.of(text.replace('¶', '\n'))).isEqualTo(words);
    }

    @Test
    void aLongBeginningEndsAtAWord() {
        String words = FirstWords.of("word ".repeat(100));
        assertThat(words).endsWith("word…").hasSizeLessThanOrEqualTo(161);
        assertThat(FirstWords.of("🐝".repeat(200)).codePoints().noneMatch(c -> c >= 0xD800 && c <= 0xDFFF))
                .isTrue();
        assertThat(FirstWords.of("")).isEmpty();
    }
}
