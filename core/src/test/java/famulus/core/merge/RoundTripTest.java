package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.syntax.Span;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever the text: parsing, writing back and parsing again gives the same parts. */
class RoundTripTest {
    static Stream<String> texts() {
        return Generated.texts(4000);
    }

    @ParameterizedTest
    @MethodSource("texts")
    void parseWriteParseIsTheSame(String text) {
        Program once = MergeParser.parse(text);
        Program again = MergeParser.parse(once.written());

        assertThat(shape(again)).isEqualTo(shape(once));
        assertThat(again.written()).isEqualTo(once.written());
    }

    @ParameterizedTest
    @MethodSource("texts")
    void theNodesCoverTheWholeText(String text) {
        int at = 0;
        for (Node node : MergeParser.parse(text).nodes()) {
            assertThat(node.span().start()).isEqualTo(at);
            at = node.span().end();
        }
        assertThat(at).isEqualTo(text.length());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{ Person.FIRST_name  ELSE “there” } | {person.first_name else \"there\"}",
                "{deal.deposit AS Whole Money}       | {deal.deposit as whole money}",
                "{contact.water as „ja“ or „nein“}   | {contact.water as \"ja\" or \"nein\"}",
                "{deal.rate as 1 decimal}            | {deal.rate as 1 decimals}",
                "{today as \"d. MMMM\"}              | {today as \"d. MMMM\"}",
                "a \\{plain} brace                   | a \\{plain} brace",
                "{Today PLUS 1 days}                 | {today plus 1 day}",
                "{WRITE In “what”}                   | {write in \"what\"}",
                "{WHEN a.b IS “x”}y{End}             | {when a.b is \"x\"}y{end}",
                "{when (a.b is 1 or a.c is 2 eur) and a.d is empty}y{end} | {when (a.b is 1 or a.c is 2 EUR) and a.d is empty}y{end}",
            })
    void hasOneCanonicalForm(String typed, String canonical) {
        assertThat(MergeParser.parse(typed).written()).isEqualTo(canonical);
    }

    @Test
    void aBackslashCountsOnlyBeforeABrace() {
        Program program = MergeParser.parse("C:\\temp \\\\{person.name}");

        assertThat(program.nodes().getFirst()).isEqualTo(new Node.Literal("C:\\temp \\", new Span(0, 10)));
        assertThat(program.fields()).hasSize(1);
    }

    private static List<String> shape(Program program) {
        return shape(program.nodes());
    }

    private static List<String> shape(List<Node> nodes) {
        return nodes.stream()
                .map(node -> switch (node) {
                    case Node.Literal literal -> "literal " + literal.text();
                    case Node.Field field -> "field " + WrittenForm.of(field.expression());
                    case Node.Broken broken -> "broken " + broken.source();
                    case Node.Choice choice ->
                        "choice "
                                + choice.branches().stream()
                                        .map(branch -> WrittenForm.tag(branch.guard(), true) + shape(branch.nodes()))
                                        .toList();
                })
                .toList();
    }
}
