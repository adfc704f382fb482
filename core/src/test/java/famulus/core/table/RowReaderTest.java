package famulus.core.table;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.table.RowReader.Fault;
import famulus.core.table.RowReader.ReadRow;
import famulus.core.table.TableStyle.DateOrder;
import famulus.core.table.Target.Other;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RowReaderTest {
    private static final FieldDefinition FIRST = field("first_name", "First name", FieldType.TEXT);
    private static final FieldDefinition LAST = field("last_name", "Surname", FieldType.TEXT);
    private static final FieldDefinition PHONE = field("phone", "Phone", FieldType.PHONE);
    private static final FieldDefinition SINCE = field("customer_since", "Customer since", FieldType.DATE);
    private static final Target FIRST_NAME = new Target.OfField(FIRST, 20);
    private static final Target LAST_NAME = new Target.OfField(LAST, 20);
    private static final Target NAME = new Target.OfName(new Target.OfField(FIRST, 20), new Target.OfField(LAST, 20));
    private static final Target ORGANISATION = new Target.OfRelation(
            FieldDefinition.relation(RecordKind.CONTACT, "organisation", "Organisation", RecordKind.ORGANISATION));
    private static final List<Target> TARGETS = List.of(
            FIRST_NAME,
            LAST_NAME,
            NAME,
            Other.EMAIL,
            ORGANISATION,
            new Target.OfField(PHONE, 40),
            new Target.OfField(SINCE, 10));

    private static FieldDefinition field(String name, String label, FieldType type) {
        return FieldDefinition.plain(RecordKind.CONTACT, name, label, type);
    }

    @Test
    void matchesColumnsByHeadingsInThreeLanguages() {
        assertThat(matched("First name", "Surname", "E-mail", "Organisation", "Phone", "Customer since"))
                .containsExactly("first_name", "last_name", "email", "organisation", "phone", "customer_since");
        assertThat(matched("VORNAME", "Nachname", "E-Mail-Adresse", "Firma", "Telefon"))
                .containsExactly("first_name", "last_name", "email", "organisation", "phone");
        assertThat(matched("Prénom", "Nom", "Courriel", "Société", "Tél."))
                .containsExactly("first_name", "last_name", "email", "organisation", "phone");
    }

    @Test
    void givesNoTargetTwiceButThatOfAddresses() {
        assertThat(matched("Surname", "Last name", "E-mail", "E-mail 2", "Shoe size"))
                .containsExactly("last_name", "", "email", "email", "");
    }

    @Test
    void followsWhatWasChosenBefore() {
        Map<String, String> before = Map.of(ColumnMatch.key("Who?"), "full_name", ColumnMatch.key("E-Mail"), "");
        assertThat(matched(before, "Who?", "E-Mail")).containsExactly("full_name", "");
    }

    @Test
    void matchesColumnsByWhatTheyHold() {
        List<TableColumn> columns = List.of(
                new TableColumn("A", List.of("ines@lane.example", "bo@lane.example"), Optional.empty()),
                new TableColumn("B", List.of("+44 1632 960187", "01632 960112"), Optional.empty()),
                new TableColumn("C", List.of("green", "red"), Optional.empty()),
                new TableColumn("D", List.of("03.04.2020", "21.05.2020"), Optional.empty()));
        assertThat(words(new ColumnMatch(TARGETS, Map.of()).match(columns))).containsExactly("email", "phone", "", "");
    }

    @Test
    void aFullNameMayBePartedAnywhere() {
        assertThat(Identity.named("Ana de la Cruz", "Mill Lane"))
                .extracting(Identity::name)
                .containsExactly("ana de la cruz", "de la cruz ana", "la cruz ana de", "cruz ana de la");
        assertThat(Identity.named("WREN, Inés", "Mill Lane")).singleElement().satisfies(one -> {
            assertThat(one.name()).isEqualTo("wren ines");
            assertThat(one.belongsTo()).isEqualTo("mill lane");
        });
        assertThat(Identity.named(" Prince ", "")).extracting(Identity::name).containsExactly("prince");
    }

    @Test
    void findsTheRowOfHeadings() {
        assertThat(headings("Surname,E-mail", "Wren,ines@lane.example")).isEqualTo(1);
        assertThat(headings("People,Reach", "Surname,E-mail", "Wren,ines@lane.example"))
                .isEqualTo(2);
        assertThat(headings("Wren,ines@lane.example", "Gale,bo@lane.example")).isZero();
        assertThat(headings("Colour,Size", "red,12")).isEqualTo(1);
        assertThat(headings("red,12", "blue,14")).isZero();
    }

    @Test
    void readsARow() {
        ReadRow read = reader(LAST_NAME, Other.EMAIL, ORGANISATION, TARGETS.get(6))
                .read(row("Wren", "Ines <ines@lane.example>; i.wren@mill.example", "Mill Lane", "21.05.2026"));
        assertThat(read.faults()).isEmpty();
        assertThat(read.stored()).isEqualTo(Map.of("last_name", "Wren", "customer_since", "2026-05-21"));
        assertThat(read.addresses()).containsExactly("ines@lane.example", "i.wren@mill.example");
        assertThat(read.related()).isEqualTo(Map.of("organisation", "Mill Lane"));
    }

    @Test
    void partsNames() {
        RowReader reader = reader(NAME);
        assertThat(reader.read(row("Zoë Ann Kärcher")).stored())
                .isEqualTo(Map.of("first_name", "Zoë Ann", "last_name", "Kärcher"));
        assertThat(reader.read(row("Kärcher, Zoë")).stored())
                .isEqualTo(Map.of("first_name", "Zoë", "last_name", "Kärcher"));
        assertThat(reader.read(row("Kärcher")).stored()).isEqualTo(Map.of("last_name", "Kärcher"));
        assertThat(reader.read(row("x".repeat(21))).faults())
                .containsExactly(new Fault(0, "This is 21 characters long; at most 20 can be kept."));
        assertThat(reader(NAME, LAST_NAME)
                        .read(row("Zoë Kärcher", "Kärcher-Weiß"))
                        .stored())
                .isEqualTo(Map.of("first_name", "Zoë", "last_name", "Kärcher-Weiß"));
    }

    @Test
    void saysWhichCellIsToBlame() {
        ReadRow read = reader(LAST_NAME, Other.EMAIL, TARGETS.get(5)).read(row("", "nobody", "12"));
        assertThat(read.isSound()).isFalse();
        assertThat(read.faults()).extracting(Fault::column).containsExactlyInAnyOrder(0, 1, 2);
        assertThat(read.faults()).contains(new Fault(0, "Surname is missing."));
        assertThat(reader(Other.EMAIL).read(row("a@b.example")).faults())
                .containsExactly(new Fault(-1, "Surname is missing."));
    }

    @Test
    void refusesRowsThatAreTooLong() {
        assertThat(reader(LAST_NAME).read(row("Wren", "", "")).faults()).isEmpty();
        assertThat(reader(LAST_NAME).read(row("Wren", "more")).faults())
                .containsExactly(
                        new Fault(-1, "There are 2 cells in this row, and 1 columns. Is a quotation mark missing?"));
    }

    @Test
    void readsLinesOfDeals() {
        RowReader reader = reader(LAST_NAME, Other.LINE_DESCRIPTION, Other.LINE_QUANTITY, Other.LINE_PRICE);
        ReadRow read = reader.read(row("", "Placing", "2,5", "1.250,00 €"));
        assertThat(read.faults()).isEmpty();
        assertThat(read.others())
                .isEqualTo(Map.of(
                        Other.LINE_DESCRIPTION, "Placing", Other.LINE_QUANTITY, "2.5", Other.LINE_PRICE, "1250.00"));
        assertThat(reader.read(row("A", "Placing", "some", "")).faults())
                .containsExactly(new Fault(2, "“some” is not a number."));
    }

    private static RowReader reader(Target... columns) {
        return new RowReader(
                Stream.of(columns).map(Optional::of).toList(),
                new CellReader(new TableStyle(DateOrder.DAY_FIRST, ','), "GB", "GBP"),
                List.of(LAST));
    }

    private static TableRow row(String... cells) {
        return new TableRow(2, List.of(cells));
    }

    private static List<String> matched(String... headings) {
        return matched(Map.of(), headings);
    }

    private static List<String> matched(Map<String, String> remembered, String... headings) {
        return words(new ColumnMatch(TARGETS, remembered)
                .match(Stream.of(headings)
                        .map(heading -> new TableColumn(heading, List.of(), Optional.empty()))
                        .toList()));
    }

    private static List<String> words(List<Optional<Target>> match) {
        return match.stream().map(one -> one.map(Target::word).orElse("")).toList();
    }

    private static int headings(String... rows) {
        List<TableRow> first = new ArrayList<>();
        for (String row : rows) {
            first.add(new TableRow(first.size() + 1L, List.of(row.split(","))));
        }
        return new ColumnMatch(TARGETS, Map.of()).headings(first);
    }
}
