package famulus.core.condition;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.PathReading;
import famulus.core.field.RecordKind;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ConditionAnalyserTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            new FieldDefinition(
                    RecordKind.DEAL,
                    "stage",
                    "Stage",
                    FieldType.CHOICE,
                    List.of(
                            new FieldDefinition.FieldOption("won", "won"),
                            new FieldDefinition.FieldOption("lost", "lost"),
                            new FieldDefinition.FieldOption("quoted", "quoted")),
                    Optional.empty()),
            FieldDefinition.plain(RecordKind.DEAL, "name", "Deal name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.DEAL, "value", "Value", FieldType.MONEY),
            FieldDefinition.plain(RecordKind.DEAL, "hives", "Hives", FieldType.NUMBER),
            FieldDefinition.plain(RecordKind.DEAL, "closes_on", "Decision by", FieldType.DATE),
            FieldDefinition.plain(RecordKind.DEAL, "frost", "Frost", FieldType.YES_NO),
            FieldDefinition.relation(RecordKind.DEAL, "owner", "Owner", RecordKind.USER)));

    private static List<Problem> problems(String written, About about) throws ParseFailure {
        return new ConditionAnalyser(new PathReading(CATALOGUE, about)).analyse(ConditionParser.parse(written));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "deal.stage is \"Won\" and deal.value is more than 5000 EUR",
                "deal.hives is between 2 and 2",
                "deal.closes_on is after today plus 3 working days",
                "deal.closes_on is not \"2026-05-04\"",
                "deal.frost is yes or deal.frost is empty",
                "deal.owner is deal.name",
                "deal.name contains \"a\" and deal.name contains \"b\"",
                "not (deal.stage is \"won\" or deal.stage is \"lost\")",
                "deal.hives is more than 3 or deal.hives is less than 3",
                "deal.closes_on is within the next 5 days and deal.closes_on is more than 3 days ago or deal.hives is 1",
            })
    void hasNothingToSayAboutWhatCanHoldAndFail(String written) throws ParseFailure {
        assertThat(problems(written, About.DEAL)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "deal.stag is \"won\"               | There is no field “deal.stag”.",
                "deal.value is deal.valu            | There is no field “deal.valu”.",
                "deal.stage is \"wun\"              | Stage can't be “wun”. It can be “won”, “lost”, “quoted”.",
                "deal.stage is more than 3          | Stage can't be compared with “is more than”.",
                "deal.name is 3                     | Deal name is a text and can't be compared with 3.",
                "deal.hives is \"many\"             | Hives is a number and can't be compared",
                "deal.hives is 3 EUR                | Hives is a number and can't be compared with 3 EUR.",
                "deal.closes_on is before deal.name | Decision by is a day",
                "deal.closes_on is \"tomorrow\"     | Decision by is a day",
                "deal.frost is 1                    | Frost is yes or no",
                "deal.name plus 3 days is empty     | Deal name is not a date",
                "deal.owner starts with \"S\"       | Owner can't be compared with",
            })
    void saysWhatCannotWork(String written, String sentence) throws ParseFailure {
        assertThat(problems(written, About.DEAL)).singleElement().satisfies(problem -> assertThat(problem.sentence())
                .contains(sentence));
    }

    @Test
    void offersTheNearestLabelAndTheNearestField() throws ParseFailure {
        assertThat(problems("deal.stage is \"wonn\"", About.DEAL).getFirst().nearest())
                .contains("won");
        assertThat(problems("deal.vaule is 1", About.DEAL).getFirst().nearest()).contains("deal.value");
    }

    @Test
    void saysWhyARecordCannotBeReachedAndWhatCan() throws ParseFailure {
        assertThat(problems("deal.value is 1", About.LEAD).getFirst().sentence())
                .isEqualTo("A template about a lead has no deal to take “deal.value” from. It can use person, lead, "
                        + "owner, sender, our, history, message.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "deal.name is filled or deal.name is empty",
                "deal.hives is more than 3 or deal.hives is at most 3 or deal.hives is empty",
                "not (deal.stage is \"won\" and deal.stage is \"lost\")",
                "deal.frost is yes or deal.frost is not yes",
            })
    void findsWhatAlwaysHolds(String written) throws ParseFailure {
        assertThat(problems(written, About.DEAL)).singleElement().satisfies(problem -> {
            assertThat(problem.code()).isEqualTo(Problem.Code.FOREGONE);
            assertThat(problem.sentence()).startsWith("This is always true");
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "deal.name is \"a\" and deal.name is \"b\"",
                "deal.hives is more than 5 and deal.hives is less than 5",
                "deal.hives is between 9 and 3",
                "deal.closes_on is before \"2026-01-01\" and deal.closes_on is after \"2026-02-01\"",
                "deal.name is empty and deal.name is \"x\"",
            })
    void findsWhatCanNeverHold(String written) throws ParseFailure {
        assertThat(problems(written, About.DEAL)).singleElement().satisfies(problem -> {
            assertThat(problem.code()).isEqualTo(Problem.Code.FOREGONE);
            assertThat(problem.sentence()).startsWith("This is never true");
        });
    }

    @Test
    void manyPartsAreLeftUndecidedRatherThanTriedForEver() throws ParseFailure {
        String many = "deal.name is \"0\"";
        for (int i = 1; i < 300; i++) {
            many += " or deal.f" + i + " is \"" + i + "\"";
        }
        assertThat(ConstantConditions.of(ConditionParser.parse(many))).isEmpty();
    }
}
