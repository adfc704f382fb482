package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class OldEndsTest {
    @Test
    void theSignatureAndWhatIsQuotedAreParted() {
        OldEnds ends = OldEnds.of(
                """
                Hello Ines,

                we come on Friday.

                Kind regards,
                Signe Halloran
                Tel. 01632 960100

                On Mon, 4 May 2026 at 09:12, Ines Okafor <ines@larkfield.example> wrote:
                > When do you come?
                """);
        assertThat(ends.words()).isEqualTo("Hello Ines,\n\nwe come on Friday.\n\nKind regards,");
        assertThat(ends.signature()).isEqualTo("Signe Halloran\nTel. 01632 960100");
        assertThat(ends.thread()).startsWith("On Mon, 4 May").endsWith("come?");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Words\r\n\r\nMit freundlichen Grüßen\r\nSigne",
                "Words\n\nViele Grüße aus Larkfield\nSigne",
                "Words\n\nBien cordialement,\nSigne",
                "Words\n-- \nSigne",
                "Words\n\nBest\n\nSigne\n\nVon: Ines\nGesendet: Montag\n\nWann?",
                "Words\n\nThanks!\nSigne\n\n-----Original Message-----\nWhen?"
            })
    void eachLanguageClosesInItsWay(String text) {
        assertThat(OldEnds.of(text).signature()).isEqualTo("Signe");
        assertThat(OldEnds.of(text).words()).startsWith("Words").doesNotContain("Signe", "Wann", "When");
    }

    @Test
    void aTextWithoutEndsStaysWhole() {
        assertThat(OldEnds.of("Thanks for the best season. Cheers went round.").words())
                .isEqualTo("Thanks for the best season. Cheers went round.");
        String letter = "Thanks\n" + "A long line that says a good deal more than a signature would. ".repeat(4);
        assertThat(OldEnds.of(letter).signature()).isEmpty();
        assertThat(OldEnds.of("")).isEqualTo(new OldEnds("", "", ""));
    }
}
