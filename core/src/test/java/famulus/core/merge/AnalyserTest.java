package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AnalyserTest {
    private static final FieldCatalogue CATALOGUE = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "blossom_starts", "Blossom starts", FieldType.DATE),
            FieldDefinition.plain(RecordKind.DEAL, "hive_count", "Hive count", FieldType.NUMBER),
            FieldDefinition.relation(RecordKind.DEAL, "organisation", "Organisation", RecordKind.ORGANISATION),
            FieldDefinition.relation(RecordKind.DEAL, "owner", "Owner", RecordKind.USER),
            FieldDefinition.plain(RecordKind.ORGANISATION, "name", "Name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.USER, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.OUR_COMPANY, "name", "Company name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.PERSON, "greeting", "Greeting", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.HISTORY, "last_reply", "Last reply", FieldType.DATE_TIME)));

    private static List<Problem> analyse(String text, About about) {
        return new Analyser(CATALOGUE, about).analyse(MergeParser.parse(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{person.first_name}", "{deal.organisation.name}", "{deal.owner as first name}",
                        "{organisation.name else nothing}",
                "{deal.hive_count as 2 decimals}", "{today as weekday}", "{contact.blossom_starts as \"d MMM\"}",
                        "no field at all"
            })
    void findsNothingWrong(String text) {
        assertThat(analyse(text, About.DEAL)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{person.frist_name}                  | There is no field “person.frist_name”",
                "{deal.organisation}                  | leads to another record",
                "{deal.hive_count as long date}       | can't be printed as “long date”",
                "{contact.blossom_starts as 2 decimals} | can't be printed as “2 decimals”",
                "{\"x\" as capitals}                  | takes no format",
                "{nothing else person.first_name}     | is never printed",
                "{lead.source}                        | A template about a deal has no lead",
                "{person.first_name.more}             | There is no field",
                "{tomorrow}                           | There is no field",
            })
    void saysWhatIsWrong(String text, String sentence) {
        assertThat(analyse(text, About.DEAL)).singleElement().satisfies(problem -> assertThat(problem.sentence())
                .contains(sentence));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "Dear {person.first_name              | Dear {person.first_name}",
                "Dear {person.first_name, hello       | Dear \\{person.first_name, hello",
                "{oops {person.first_name}            | \\{oops {person.first_name}",
                "{when contact.hives is 3}many        | {when contact.hives is 3}many{end}",
                "few{end} more                        | few more",
                "few{otherwise}more                   | fewmore",
                "{nothing else person.first_name as name else \"x\"}! | {nothing}!",
                "at {house.name else \"ours\"}         | at {our.name else \"ours\"}",
                "{person.salutation},                 | {person.greeting},",
                "{when history.last_answer is filled}a{end} | {when history.last_reply is filled}a{end}",
                "As agreed: {ask \"what\" else nothing} | As agreed: {write in \"what\" else nothing}",
            })
    void mendsWhatCanBeMendedInOneWayOnly(String text, String mended) {
        Problem.Fix fix = analyse(text, About.DEAL).getFirst().fix().orElseThrow();

        String changed = text.substring(0, fix.span().start())
                + fix.text()
                + text.substring(fix.span().end());
        assertThat(changed).isEqualTo(mended);
        assertThat(MergeParser.parse(changed).problems()).isEmpty();
    }

    @Test
    void namesTheNearestFieldsThatCanBeReached() {
        assertThat(analyse("{person.fristname}", About.PERSON).getFirst().nearest())
                .startsWith("person.first_name");
        assertThat(analyse("{contact.hive_count}", About.DEAL).getFirst().nearest())
                .contains("deal.hive_count");
    }

    @Test
    void marksThePathAndNotTheWholeField() {
        assertThat(analyse("Dear {person.nam else \"you\"}", About.PERSON)
                        .getFirst()
                        .span())
                .isEqualTo(new Span(6, 16));
    }

    @Test
    void aCatalogueListsWhatCanBeReachedAndNoMore() {
        assertThat(CATALOGUE.reachable(About.PERSON).keySet())
                .extracting(Path::toString)
                .contains("person.first_name", "sender.first_name", "today")
                .doesNotContain("deal.hive_count");
        assertThat(CATALOGUE.resolve(Path.of("deal.organisation.name"), About.DEAL))
                .map(FieldDefinition::kind)
                .isEqualTo(Optional.of(RecordKind.ORGANISATION));
    }
}
