package famulus.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import famulus.core.condition.ConditionParser;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeParser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merged;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Texts that no writer means: reading, analysing and merging them ends, and says what is wrong. */
class FuzzTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.CONTACT, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "since", "Since", FieldType.DATE),
            FieldDefinition.plain(RecordKind.CONTACT, "hives", "Hives", FieldType.NUMBER)));
    private static final Merger MERGER = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));
    private static final List<String> SEEDS = List.of(
            "Dear {contact.first_name else \"there\"}, {when contact.hives is more than 5}many{otherwise}few{end}.",
            "{contact.since minus 5 working days as weekday and long date else nothing}",
            "{when not (contact.since is within 30 days or contact.hives is between 1 and 9)}x{end}",
            "{otherwise when contact.first_name is one of (\"a\", “b”)}{end}\\{ {write in \"what we agreed\"}");

    private static Merged merge(String text) {
        Program program = MergeParser.parse(text);
        new Analyser(CATALOGUE, About.CONTACT).analyse(program);
        return MERGER.merge(
                program,
                path -> path.toString().equals("contact.hives")
                        ? Optional.of(new Value.Number(BigDecimal.TEN))
                        : Optional.of(new Value.Text("{contact.first_name}{when")),
                Place.BODY);
    }

    static Stream<String> changed() {
        Random random = new Random(20_260_504);
        return IntStream.range(0, 4000).mapToObj(turn -> {
            StringBuilder text = new StringBuilder(SEEDS.get(random.nextInt(SEEDS.size())));
            for (int i = 0; i < 1 + random.nextInt(8); i++) {
                int at = random.nextInt(text.length() + 1);
                switch (random.nextInt(4)) {
                    case 0 -> text.insert(at, (char) random.nextInt(0x2100));
                    case 1 -> text.delete(at, Math.min(text.length(), at + 1 + random.nextInt(6)));
                    case 2 -> text.insert(at, SEEDS.get(random.nextInt(SEEDS.size())));
                    default ->
                        text.insert(
                                at,
                                List.of("{", "}", "{end}", "(", "\"", " plus 3 days", " is ", "{when ")
                                        .get(random.nextInt(8)));
                }
            }
            return text.toString();
        });
    }

    @Test
    void whateverIsChangedInATextItIsReadAndMerged() {
        changed().forEach(text -> {
            assertThatCode(() -> merge(text)).as(text).doesNotThrowAnyException();
            String written = MergeParser.parse(text).written();
            assertThat(MergeParser.parse(written).written()).as(text).isEqualTo(written);
        });
    }

    static Stream<String> large() {
        return Stream.of(
                "{when contact.hives is 1}".repeat(100) + "x" + "{end}".repeat(100),
                "{when contact.hives is 1}".repeat(40_000),
                "{end}{otherwise}".repeat(60_000),
                "{".repeat(1_000_000),
                "{when " + "(".repeat(1_000_000) + "}",
                "{when " + "not ".repeat(250_000) + "a.b is 1}x{end}",
                "{when " + "a.b is 1 and ".repeat(70_000) + "a.b is 1}x{end}",
                "{" + "a.".repeat(400_000) + "b}",
                "{a.b" + " else c.d".repeat(100_000) + "}",
                "{today" + " plus 1 day".repeat(90_000) + "}",
                "{contact.first_name} ".repeat(1_000),
                "{contact.hives as \"" + "y".repeat(900_000) + "\"}",
                "{\"" + "\\".repeat(1_000_000),
                "Bees ".repeat(200_000));
    }

    @ParameterizedTest
    @MethodSource("large")
    void howeverLargeOrDeepATextIsItIsReadAndMerged(String text) {
        assertThat(merge(text)).isNotNull();
    }

    @Test
    void deepNestingIsANoteWithItsPlace() {
        String text = "{when contact.hives is 1}".repeat(100) + "x" + "{end}".repeat(100);

        List<Problem> problems = MergeParser.parse(text).problems();

        assertThat(problems).anySatisfy(problem -> {
            assertThat(problem.sentence()).contains("32 deep");
            assertThat(problem.span().start()).isEqualTo(32 * "{when contact.hives is 1}".length());
        });
    }

    @Test
    void valuesAreNeverReadAgain() {
        assertThat(merge("{contact.first_name}").text()).isEqualTo("{contact.first_name}{when");
    }

    static Stream<String> pointless() {
        return Stream.of(
                "{when contact.since is \"Ines\"}x{end}",
                "{when contact.first_name is more than 3}x{end}",
                "{when contact.hives is yes}x{end}",
                "{when contact.hives was 3}x{end}",
                "{when contact.hives plus 3 days is today}x{end}",
                "{when contact.nothing_like_it is 3}x{end}");
    }

    @ParameterizedTest
    @MethodSource("pointless")
    void comparisonsThatCantWorkAreNotedWithAPlace(String text) {
        List<Problem> problems = new Analyser(CATALOGUE, About.CONTACT).analyse(MergeParser.parse(text));

        assertThat(problems).hasSize(1);
        assertThat(problems.getFirst().span().start()).isBetween(5, text.indexOf('}'));
    }

    @Test
    void conditionsByThemselvesEndToo() {
        changed().forEach(text -> {
            try {
                ConditionParser.parse(text);
            } catch (ParseFailure refused) {
                assertThat(refused.problem().sentence()).isNotBlank();
            }
        });
    }
}
