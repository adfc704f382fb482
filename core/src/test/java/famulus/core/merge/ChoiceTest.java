package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Choices, reckoned days and blanks to write in in a text. */
class ChoiceTest {
    private static final Map<String, Value> VALUES = Map.of(
            "deal.stage", new Value.Text("Won"),
            "deal.hives", new Value.Number(BigDecimal.TEN),
            "deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 14)),
            "person.first_name", new Value.Text("Ines"));

    private static Merged merge(String text, Map<String, String> answers) {
        MergeSettings settings = new MergeSettings(
                Locale.UK,
                ZoneId.of("Europe/London"),
                Instant.parse("2026-05-04T09:00:00Z"),
                WorkingDays.PLAIN,
                Map.of(),
                answers);
        return new Merger(settings)
                .merge(
                        MergeParser.parse(text),
                        (Path path) -> Optional.ofNullable(VALUES.get(path.toString())),
                        Place.BODY);
    }

    private static String text(String text) {
        return merge(text.replace("/", "\n"), Map.of()).text().replace("\n", "/");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            ignoreLeadingAndTrailingWhitespace = true,
            value = {
                "{when deal.stage is \"Won\"}yes{otherwise}no{end}                      | yes",
                "{when deal.stage is \"Lost\"}yes{otherwise}no{end}                     | no",
                "{when deal.stage is \"Lost\"}a{otherwise when deal.hives is 10}b{otherwise}c{end} | b",
                "Dear {person.first_name},{when deal.stage is \"Lost\"} sorry.{end} Bye | Dear Ines, Bye",
                "One {when deal.stage is \"Lost\"}x {end}two                            | One two",
                "One {when deal.stage is \"Lost\"}x{end}, two                           | One, two",
                "One {when deal.stage is \"Won\"}x{end}, two                            | One x, two",
                "One/{when deal.stage is \"Lost\"}x{end}/two                            | One/two",
                "One//{when deal.stage is \"Won\"}/x/{end}//two                         | One//x//two",
                "One//{when deal.stage is \"Lost\"}/x/{end}//two                        | One//two",
                "{when deal.stage is \"Won\"}{when deal.hives is 3}a{otherwise}b{end}{end} | b",
                "{when deal.stage is \"Won\"}{deal.hives as words}{end} hives           | ten hives",
                "Due {today plus 5 working days as long date}.                          | Due 11 May 2026.",
                "On {deal.placement_date minus 2 weeks as weekday}                      | On Thursday",
                "{deal.closes_on plus 1 week else \"soon\"}                              | soon",
            })
    void prints(String written, String expected) {
        assertThat(text(written)).isEqualTo(expected);
    }

    @Test
    void aMarkStandsWhereTheTakenBranchBegins() {
        String source = "{when deal.stage is \"Lost\"}a{otherwise}b{end}";
        List<Piece> marks = merge(source, Map.of()).pieces().stream()
                .filter(piece -> piece.marksChoice())
                .toList();

        assertThat(marks).hasSize(2);
        assertThat(marks.getFirst().span().start()).isEqualTo(source.indexOf("{otherwise}"));
        assertThat(marks.getLast().span().start()).isEqualTo(source.indexOf("{end}"));
    }

    @Test
    void aGapInABranchThatIsNotTakenIsNoGap() {
        assertThat(merge("{when deal.hives is 3}{deal.gone}{end}", Map.of()).gaps())
                .isEmpty();
        assertThat(merge("{when deal.hives is 10}{deal.gone}{end}", Map.of()).gaps())
                .hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a {when deal.hives is 10}b {person.first_name}     | This choice has no end      | 2",
                "a {end} b                                          | There is no {when …} that could | 2",
                "{otherwise}                                        | There is no {when …} before     | 0",
                "{when deal.hives is 1}a{otherwise}b{otherwise}c{end} | After {otherwise} no other      | 35",
                "{when deal.hives is}a{end}                         | Something to compare with       | 19",
                "{when deal.hives is 1}a{end of it}                 | Nothing can follow “end”        | 23",
                "{otherwise maybe}                                  | There is no {when …}            | 0",
            })
    void whatCannotBeReadIsNotedAndTheRestMerges(String written, String sentence, int at) {
        Program program = MergeParser.parse(written);
        assertThat(program.problems()).anySatisfy(problem -> {
            assertThat(problem.sentence()).contains(sentence);
            assertThat(problem.span().start()).isEqualTo(at);
        });
        Merged merged = merge(written, Map.of());
        assertThat(merged.complete()).isFalse();
        if (written.contains("person.first_name")) {
            assertThat(merged.text()).endsWith("b Ines");
        }
    }

    @Test
    void anUnreadableBranchIsPassedOverAndSeen() {
        Merged merged = merge("{when deal.hives maybe 3}a{otherwise}b{end}", Map.of());

        assertThat(merged.text()).isEqualTo("{when deal.hives maybe 3}b");
        assertThat(merged.complete()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(ints = {32, 33, 100, 5000})
    void deepNestingStaysInBounds(int depth) {
        String text = "{when deal.hives is 10}".repeat(depth) + "x" + "{end}".repeat(depth);
        Program program = MergeParser.parse(text);

        assertThat(program.problems().isEmpty()).isEqualTo(depth <= 32);
        assertThat(program.choices()).hasSize(Math.min(depth, 32));
        assertThat(MergeParser.parse(program.written()).choices()).hasSize(Math.min(depth, 32));
        assertThat(merge(text, Map.of()).text()).contains("x");
    }

    @Test
    void aMegabyteOfOpenTagsIsReadInLinearTime() {
        String text = "{when deal.hives is 10}{".repeat(42_000);

        assertThat(MergeParser.parse(text).problems()).hasSizeGreaterThan(42_000);
    }

    @Test
    void aBlankToWriteInWaitsForItsAnswer() {
        String text = "We agreed on {write in \"what we agreed\"}, {write in \"by when\" else \"soon\"}.";
        Merged open = merge(text, Map.of());

        assertThat(MergeParser.parse(text).blanks()).containsExactly("what we agreed", "by when");
        assertThat(open.asked()).singleElement().satisfies(piece -> assertThat(piece.stored())
                .contains("what we agreed"));
        assertThat(open.complete()).isFalse();

        Merged answered = merge(text, Map.of("what we agreed", " {two} rows ", "by when", "  "));
        assertThat(answered.text()).isEqualTo("We agreed on {two} rows, soon.");
        assertThat(answered.complete()).isTrue();
        assertThat(answered.pieces()).anyMatch(piece -> piece.origin() == Origin.ANSWERED);
    }
}
