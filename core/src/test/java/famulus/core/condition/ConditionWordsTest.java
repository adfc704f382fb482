package famulus.core.condition;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.syntax.ParseFailure;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConditionWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "deal.stage is \"Won\"                                     | Stage is Won",
                "deal.stage is one of (\"Won\", \"Placed\")                | Stage is one of Won, Placed",
                "deal.value is between 5 and 10 EUR                        | Value is between 5 and 10 EUR",
                "deal.closes_on minus 2 weeks is before today plus 1 day   | Closes_on minus 2 weeks is before today plus 1 day",
                "deal.closes_on is within the next 1 days                  | Closes_on is within the next 1 day",
                "deal.closes_on is more than 3 days ago                    | Closes_on is more than 3 days ago",
                "deal.water is yes and not (a.b is empty or a.c is filled) | Water is yes and not (B is empty or C is filled)",
                "a.b is empty and (a.c is 1 or a.d is 2)                   | B is empty and (C is 1 or D is 2)",
            })
    void saysItInWords(String written, String expected) throws ParseFailure {
        assertThat(words(List.of()).of(ConditionParser.parse(written))).isEqualTo(expected);
    }

    @Test
    void choicesAreCalledWhatTheyAreCalledToday() throws ParseFailure {
        ConditionWords words = words(
                List.of(new FieldOption("won", "Signed", List.of("Won", "Gained")), new FieldOption("lost", "Lost")));

        assertThat(words.of(ConditionParser.parse("deal.stage is one of (\"gained\", \"lost\", \"else\")")))
                .isEqualTo("Stage is one of Signed, lost, else");
    }

    private static ConditionWords words(List<FieldOption> choices) {
        return new ConditionWords(
                path -> {
                    String last = path.words().getLast();
                    return last.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + last.substring(1);
                },
                path -> choices);
    }
}
