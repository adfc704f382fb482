package famulus.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.TimeUnit;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.merge.MergeParser;
import famulus.core.syntax.Span;
import famulus.server.desk.Chip.Role;
import famulus.server.lists.ShownStep;
import famulus.server.records.CrmKind;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands for the fields of a text while it is written. */
class ChipsTest {
    private static final FieldCatalogue FIELDS = new FieldCatalogue(List.of(
            FieldDefinition.plain(RecordKind.PERSON, "first_name", "First name", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "variety", "Variety", FieldType.TEXT),
            FieldDefinition.plain(RecordKind.CONTACT, "hectares", "Hectares", FieldType.NUMBER),
            FieldDefinition.plain(RecordKind.DEAL, "placement_date", "Placement date", FieldType.DATE)));

    private static List<Chip> chips(String written, Set<Span> taken) {
        return Chips.of(MergeParser.parse(written), taken, FIELDS, About.DEAL, CrmKind.CONTACT);
    }

    private static Chip chip(String written) {
        List<Chip> chips = chips(written, Set.of());
        assertThat(chips).hasSize(1);
        return chips.getFirst();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '\'',
            value = {
                "'{person.first_name}'                                   | FIELD | First name             | contact | '' ",
                "'{contact.variety else \"your apples\"}'                | FIELD | Variety                | contact | your apples",
                "'{contact.variety else contact.hectares else nothing}'  | FIELD | Variety                | contact | Hectares ⁄ blank",
                "'{deal.placement_date minus 2 days else 12}'            | FIELD | Placement date minus 2 days | deal | 12",
                "'{deal.placement_date else today plus 1 week}'          | FIELD | Placement date         | deal    | Today plus 1 week",
                "'{today plus 5 working days}'                           | FIELD | Today plus 5 working days | date | ''",
                "'{write in \"what we agreed\"}'                              | WRITE_IN | what we agreed      | blank   | ''"
            })
    void saysWhatAFieldIsAndWhatStandsInForIt(String written, Role role, String label, String source, String fallback) {
        Chip chip = chip("Dear " + written.strip() + ",");

        assertThat(chip.role()).isEqualTo(role);
        assertThat(chip.label()).isEqualTo(label);
        assertThat(chip.source()).isEqualTo(source);
        assertThat(chip.fallback()).isEqualTo(fallback.strip());
        assertThat(chip.known()).isTrue();
        assertThat(chip.start()).isEqualTo(5);
        assertThat(chip.written()).isEqualTo(written.strip());
    }

    @Test
    void tellsItsTermsOneByOne() {
        Chip chip = chip("{deal.placement_date plus 3 working days as long date else \"soon\"}");

        assertThat(chip.type()).isEqualTo(FieldType.DATE);
        assertThat(chip.terms())
                .containsExactly(
                        new ShownTerm(
                                "field",
                                "deal.placement_date",
                                "long date",
                                List.of(new ShownStep(3, TimeUnit.WORKING_DAY))),
                        new ShownTerm("text", "soon", "", List.of()));
        assertThat(chip.formats()).contains("long date").doesNotContain("upper case");
    }

    @Test
    void aFieldThatIsNotThereIsShownByItsPath() {
        Chip chip = chip("{contact.shoe_size else contact.variety}");

        assertThat(chip.known()).isFalse();
        assertThat(chip.label()).isEqualTo("contact.shoe_size");
    }

    /** The marks of a choice are told apart from those of another, and the branch that the person gets is told. */
    @Test
    void marksTheBranchesOfAChoice() {
        String written =
                "{when contact.variety is filled}a{otherwise when contact.hectares is more than 4}b{otherwise}c{end}"
                        + " {when contact.variety is empty}d{end}";
        Span second = chips(written, Set.of()).stream()
                .filter(chip -> chip.role() == Role.OTHERWISE)
                .map(chip -> new Span(chip.start(), chip.end()))
                .findFirst()
                .orElseThrow();

        List<Chip> marks = chips(written, Set.of(second));

        assertThat(marks)
                .extracting(Chip::role)
                .containsExactly(Role.WHEN, Role.OTHERWISE, Role.OTHERWISE, Role.END, Role.WHEN, Role.END);
        assertThat(marks).extracting(Chip::choice).containsExactly(0, 0, 0, 0, 1, 1);
        assertThat(marks).extracting(Chip::taken).containsExactly(false, true, false, false, false, false);
        assertThat(marks.get(0).label()).isEqualTo("Variety is filled");
        assertThat(marks.get(1).label()).isEqualTo("Hectares is more than 4");
        assertThat(marks.get(2).label()).isEmpty();
    }

    @Test
    void aConditionThatCannotBeReadIsShownAsItIsWritten() {
        Chip mark = chips("{when contact.variety sounds like \"x\"}a{end}", Set.of())
                .getFirst();

        assertThat(mark.known()).isFalse();
        assertThat(mark.label()).isEqualTo("contact.variety sounds like \"x\"");
    }
}
