package famulus.core.audience;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.audience.PastedAddresses.Pasted;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PastedAddressesTest {
    private static String said(PastedAddresses read) {
        return read.found().stream()
                .map(one -> one.name().isEmpty() ? one.address() : one.name() + " = " + one.address())
                .collect(Collectors.joining(" | "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '~',
            quoteCharacter = '`',
            textBlock =
                    """
                    ines@larkfield.example                                   ~ ines@larkfield.example
                    Ines Okafor <ines@larkfield.example>                     ~ Ines Okafor = ines@larkfield.example
                    "Okafor-Brandt, Ines" <ines@larkfield.example>           ~ Ines Okafor-Brandt = ines@larkfield.example
                    Okafor-Brandt, Ines <ines@larkfield.example>             ~ Ines Okafor-Brandt = ines@larkfield.example
                    ines@larkfield.example (Ines Okafor)                     ~ Ines Okafor = ines@larkfield.example
                    <ines@larkfield.example>; tobias@wrenhill.example,       ~ ines@larkfield.example | tobias@wrenhill.example
                    Ines Okafor ines@larkfield.example                       ~ Ines Okafor = ines@larkfield.example
                    Ines;Okafor;ines@larkfield.example;Larkfield             ~ Ines Okafor = ines@larkfield.example
                    mailto:ines@larkfield.example                            ~ ines@larkfield.example
                    “ines@larkfield.example”.                                ~ ines@larkfield.example
                    "Zoë “Zee” O'Neill" <zoe@wrenhill.example>               ~ Zoë Zee O'Neill = zoe@wrenhill.example
                    An open " quote, ines@larkfield.example                  ~ An open quote = ines@larkfield.example
                    """)
    void addressesAreReadHoweverTheyAreWritten(String line, String expected) {
        PastedAddresses read = PastedAddresses.read(line);
        assertThat(said(read)).isEqualTo(expected);
        assertThat(read.wrong()).isEmpty();
    }

    @Test
    void aTableIsReadWithoutItsHeading() {
        PastedAddresses read = PastedAddresses.read(
                "First name,Surname,E-mail\nInes,Okafor,ines@larkfield.example\r\n\nTobias,Larkin,tobias@wrenhill.example\n");
        assertThat(read.found())
                .containsExactly(
                        new Pasted("Ines Okafor", "ines@larkfield.example", 2),
                        new Pasted("Tobias Larkin", "tobias@wrenhill.example", 4));
        assertThat(read.wrong()).isEmpty();
    }

    @Test
    void whatIsNoAddressIsSaidWithItsLine() {
        PastedAddresses read = PastedAddresses.read(
                "ines@larkfield.example\nTobias Larkin\npriya@\nINES@Larkfield.example, leo@wren hill.example");
        assertThat(said(read)).isEqualTo("ines@larkfield.example");
        assertThat(read.twice()).isEqualTo(1);
        assertThat(read.wrong().stream().map(one -> one.line() + ": " + one.sentence()))
                .containsExactly(
                        "2: There is no address in this line.",
                        "3: “priya@” is not an e-mail address: it needs a name, an @ and a domain.",
                        "4: The part after the @ in “leo@wren” is not a domain.");
    }

    @Test
    void aHundredThousandLinesAreReadAndSoIsAnything() {
        String many = IntStream.range(0, 100_000)
                .mapToObj(i -> "\"Name " + i + ", N\" <n" + i + "@larkfield.example>")
                .collect(Collectors.joining("\n"));
        assertThat(PastedAddresses.read(many).found()).hasSize(100_000);

        Random random = new Random(5);
        List<String> signs =
                List.of("@", "<", ">", "\"", ",", ";", "\n", "a", ".", " ", "x.example", "\uD83D\uDC1D", "(");
        for (int i = 0; i < 2_000; i++) {
            String text = IntStream.range(0, 60)
                    .mapToObj(any -> signs.get(random.nextInt(signs.size())))
                    .collect(Collectors.joining());
            PastedAddresses read = PastedAddresses.read(text);
            assertThat(read.found()).allSatisfy(one -> assertThat(one.address()).contains("@"));
        }
    }
}
