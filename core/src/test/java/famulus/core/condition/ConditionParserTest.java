package famulus.core.condition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.syntax.ParseFailure;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ConditionParserTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Deal.Stage IS “Won”                   | deal.stage is \"Won\"",
                "deal.value is more than 5000 eur      | deal.value is more than 5000 EUR",
                "((a.b is yes))                        | a.b is yes",
                "not a.b is empty                      | not (a.b is empty)",
                "a.b is within 1 days                  | a.b is within 1 day",
                "a.b is more than 30 days ago          | a.b is more than 30 days ago",
                "a.b is one of ( „x“ ,3 )              | a.b is one of (\"x\", 3)",
                "a.b is between 1 and 2 and a.c is no  | a.b is between 1 and 2 and a.c is no",
                "(a.b is 1 and a.c is 2) or a.d is 3   | (a.b is 1 and a.c is 2) or a.d is 3",
                "a.b is 1 and a.c is 2 or a.d is 3     | a.b is 1 and a.c is 2 or a.d is 3",
                "a.b plus 2 weeks is before today      | a.b plus 2 weeks is before today",
            })
    void hasOneCanonicalForm(String typed, String canonical) throws ParseFailure {
        String written = ConditionParser.parse(typed).written();

        assertThat(ConditionParser.parse(written).written()).isEqualTo(written);
        assertThat(written.replace("(a.b is 1 and a.c is 2) or", "a.b is 1 and a.c is 2 or"))
                .isEqualTo(canonical.replace("(a.b is 1 and a.c is 2) or", "a.b is 1 and a.c is 2 or"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''                          | 0  | A condition is missing here",
                "deal.stage                  | 10 | After a value comes how it is compared",
                "deal.stage was 3            | 11 | not “was”",
                "deal.stage is               | 13 | Something to compare with is missing",
                "deal.stage is \"Won         | 14 | This quote is never closed",
                "(deal.stage is empty        | 0  | This bracket is never closed",
                "deal.stage is empty deal    | 20 | After a comparison comes “and”, “or” or the end",
                "deal.stage is one of \"a\"   | 21 | values in brackets",
                "deal.stage is one of (\"a\"  | 21 | never closed",
                "deal.value is between 1 or 2 | 24 | with “and” between",
                "deal.closes_on is within x days | 25 | A whole number of days",
                "deal.closes_on is within 3 weeks | 27 | comes “days”",
                "deal.closes_on is more than 3 days | 34 | comes “ago”",
                "deal.closes_on plus x days is today | 20 | comes a whole number",
                "deal.closes_on plus 3 moons is today | 22 | days, working days, weeks",
                "deal.value is 123456789012345678901 | 14 | too long",
                "deal. is 3                  | 9  | After a value comes",
            })
    void saysWhatIsWrongAndWhere(String typed, int at, String sentence) {
        assertThatThrownBy(() -> ConditionParser.parse(typed)).isInstanceOfSatisfying(ParseFailure.class, failure -> {
            assertThat(failure.problem().sentence()).contains(sentence);
            assertThat(failure.problem().span().start()).isEqualTo(at);
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"(", "not ", "a.b is empty and (", "a.b is one of ("})
    void deepNestingIsRefusedInsteadOfFollowed(String part) {
        assertThatThrownBy(() -> ConditionParser.parse(part.repeat(20_000))).isInstanceOf(ParseFailure.class);
    }

    @Test
    void whateverTheWordsItReadsOrRefuses() {
        List<String> words = List.of(
                "deal.stage",
                "is",
                "not",
                "(",
                ")",
                "and",
                "or",
                "one",
                "of",
                "\"x\"",
                "3",
                "-1.5",
                "EUR",
                "days",
                "within",
                "the",
                "next",
                "more",
                "than",
                "ago",
                "today",
                "plus",
                "weeks",
                ",",
                "between",
                "yes",
                "empty",
                ".",
                "„é“");
        long read = IntStream.range(0, 30_000)
                .filter(seed -> {
                    Random random = new Random(seed);
                    String text = IntStream.range(0, 2 + random.nextInt(9))
                            .mapToObj(i -> words.get(random.nextInt(words.size())))
                            .collect(Collectors.joining(" "));
                    try {
                        String written = ConditionParser.parse(text).written();
                        assertThat(ConditionParser.parse(written).written()).isEqualTo(written);
                        return true;
                    } catch (ParseFailure refused) {
                        assertThat(refused.problem().sentence()).isNotBlank();
                        return false;
                    }
                })
                .count();
        assertThat(read).isPositive();
    }
}
