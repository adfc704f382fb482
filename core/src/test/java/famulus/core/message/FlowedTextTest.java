package famulus.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FlowedTextTest {
    @Test
    void breaksLongLinesAtASpaceThatStays() {
        String flowed = FlowedText.of("word ".repeat(30) + "end");

        assertThat(flowed.split("\r\n"))
                .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(72));
        assertThat(flowed.split("\r\n")[0]).endsWith(" ");
    }

    @Test
    void stuffsWhatLooksLikeAQuotation() {
        assertThat(FlowedText.of("> not a quotation\nFrom here\n indented"))
                .isEqualTo(" > not a quotation\r\n From here\r\n  indented");
    }

    @Test
    void leavesALongAddressWhole() {
        String address = "https://brindlewing.example/" + "x".repeat(120);
        assertThat(FlowedText.of("See " + address + " please")).contains(address);
    }

    @Test
    void keepsTheSignatureMark() {
        assertThat(FlowedText.of("Bye  \n-- \nSigne")).isEqualTo("Bye\r\n-- \r\nSigne");
    }

    static IntStream seeds() {
        return IntStream.range(0, 1000);
    }

    /** Whatever the text: what is read back is what was written, but for spaces at the ends of lines. */
    @ParameterizedTest
    @MethodSource("seeds")
    void readsBackAsWritten(int seed) {
        Random random = new Random(seed);
        String text = IntStream.range(0, random.nextInt(200))
                .mapToObj(i -> switch (random.nextInt(9)) {
                    case 0 -> "\n";
                    case 1 -> "  ";
                    case 2 -> ">";
                    case 3 -> "From ";
                    case 4 -> "-- ";
                    case 5 -> "\n-- \n";
                    default -> "honey".substring(random.nextInt(5)) + " ";
                })
                .collect(Collectors.joining());
        String expected = text.lines()
                .map(line -> line.equals("-- ") ? line : line.stripTrailing())
                .collect(Collectors.joining("\n"));

        assertThat(FlowedText.read(FlowedText.of(text)).stripTrailing()).isEqualTo(expected.stripTrailing());
    }
}
