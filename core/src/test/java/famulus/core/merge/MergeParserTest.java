package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MergeParserTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{person.first_name        | never closed",
                "Hi {}                     | nothing between these braces",
                "{person.}                 | After the point",
                "{else \"x\"}              | missing before",
                "{a.b as longdate}         | no format called",
                "{a.b as}                  | comes a format",
                "{a.b \"x\"}               | comes “else”, “as” or the closing brace",
                "{a.b else \"x}            | quote is never closed",
                "{a.b + 1}                 | does not belong in a field",
                "{today as \"bbb\"}        | not a date pattern",
                "{a.b as \"x\" or y}       | text for no",
                "{write \"x\"}              | begins with “write in”",
                "{write in}                | comes a hint for the sender",
                "{write in \" \"}           | comes a hint for the sender",
                "{ask \"x\"}                | written “write in” now",
            })
    void saysWhatIsWrong(String text, String sentence) {
        assertThat(MergeParser.parse(text).problems()).singleElement().satisfies(problem -> {
            assertThat(problem.sentence()).contains(sentence);
            assertThat(problem.span().end()).isLessThanOrEqualTo(text.length());
        });
    }

    @Test
    void readsOnAfterWhatItCannotRead() {
        Program program = MergeParser.parse("{person.first_name\n{sender.name} and {deal.name");

        assertThat(program.problems()).hasSize(2);
        assertThat(program.fields()).hasSize(1);
    }

    @Test
    void namesTheNearestFormats() {
        assertThat(MergeParser.parse("{a.b as lang date}").problems().getFirst().nearest())
                .startsWith("long date");
    }

    @Test
    void readsAMillionCharactersAndAThousandFieldsInBoundedTime() {
        String braces = "{".repeat(1_000_000);
        String fields = "{person.first_name else \"there\"}, ".repeat(30_000);

        Assertions.assertTimeoutPreemptively(Duration.ofSeconds(20), () -> {
            assertThat(MergeParser.parse(braces).problems()).hasSize(1_000_000);
            assertThat(MergeParser.parse(fields).fields()).hasSize(30_000);
        });
    }

    @Test
    void refusesNumbersNobodyMeans() {
        assertThat(MergeParser.parse("{" + "9".repeat(5000) + "}").problems()).hasSize(1);
    }
}
