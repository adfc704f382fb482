package famulus.core.table;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.record.FieldInput;
import famulus.core.table.TableStyle.DateOrder;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CellReaderTest {
    private static final TableStyle BRITISH = new TableStyle(DateOrder.DAY_FIRST, '.');
    private static final TableStyle GERMAN = new TableStyle(DateOrder.DAY_FIRST, ',');
    private static final TableStyle AMERICAN = new TableStyle(DateOrder.MONTH_FIRST, '.');

    @ParameterizedTest
    @CsvSource({
        "2026-05-21, 2026-05-21",
        "2026-05-21T10:30:00, 2026-05-21",
        "21/05/2026, 2026-05-21",
        "21.5.26, 2026-05-21",
        "1.2.71, 1971-02-01",
        "21/05/2026 00:00, 2026-05-21",
        "21 May 2026, 2026-05-21",
        "21. Mai 2026, 2026-05-21",
        "21 mai 2026, 2026-05-21",
        "2026/05/21, 2026-05-21"
    })
    void readsDates(String cell, String day) {
        assertThat(read(FieldType.DATE, cell, BRITISH)).isEqualTo(day);
    }

    @Test
    void readsTheMonthFirstWhereTheTableDoes() {
        assertThat(read(FieldType.DATE, "05/06/2026", AMERICAN)).isEqualTo("2026-05-06");
        assertThat(read(FieldType.DATE, "05/06/2026", BRITISH)).isEqualTo("2026-06-05");
        assertThat(refusal(FieldType.DATE, "21/05/2026", AMERICAN))
                .isEqualTo("“21/05/2026” is not a date, read with the month first.");
        assertThat(refusal(FieldType.DATE, "31/02/2026", BRITISH)).contains("not a date");
    }

    @ParameterizedTest
    @CsvSource({"'1,048.5', 1048.5", "'12 500', 12500", "1'250.75, 1250.75", "-3, -3", "0.10, 0.1"})
    void readsNumbersWithAPoint(String cell, String number) {
        assertThat(read(FieldType.NUMBER, cell, BRITISH)).isEqualTo(number);
    }

    @ParameterizedTest
    @CsvSource({"'1.048,5', 1048.5", "'36,5', 36.5", "1.250, 1250"})
    void readsNumbersWithAComma(String cell, String number) {
        assertThat(read(FieldType.NUMBER, cell, GERMAN)).isEqualTo(number);
    }

    /** What is not grouped by threes was written in another style: it is never made into another number. */
    @Test
    void refusesNumbersOfAnotherStyle() {
        assertThat(refusal(FieldType.NUMBER, "36,5", BRITISH)).contains("read with a decimal point");
        assertThat(refusal(FieldType.NUMBER, "36.5", GERMAN)).contains("read with a decimal comma");
        assertThat(refusal(FieldType.NUMBER, "a lot", GERMAN)).contains("“a lot” is not a number");
    }

    @ParameterizedTest
    @CsvSource({
        "'£1,920.00', 1920.00 GBP",
        "'1,920', 1920.00 GBP",
        "1920.5 EUR, 1920.50 EUR",
        "€ 12.00, 12.00 EUR",
        "$5, 5.00 USD",
        "chf 7, 7.00 CHF",
        "1000.00 JPY, 1000 JPY"
    })
    void readsMoney(String cell, String money) {
        assertThat(read(FieldType.MONEY, cell, BRITISH)).isEqualTo(money);
    }

    @Test
    void readsYesAndNoInThreeLanguages() {
        assertThat(List.of("Yes", "ja", "OUI", "x", "true", "1"))
                .allMatch(cell -> read(FieldType.YES_NO, cell, BRITISH).equals("yes"));
        assertThat(List.of("No", "nein", "non", "FALSE", "0"))
                .allMatch(cell -> read(FieldType.YES_NO, cell, BRITISH).equals("no"));
        assertThat(refusal(FieldType.YES_NO, "maybe", BRITISH)).isEqualTo("“maybe” is neither yes nor no.");
    }

    @Test
    void findsChoicesByWhatTheyAreCalled() {
        FieldDefinition country = new FieldDefinition(
                RecordKind.LEAD,
                "country",
                "Country",
                FieldType.CHOICE,
                List.of(new FieldOption("DE", "Germany"), new FieldOption("GB", "United Kingdom")),
                Optional.empty());
        CellReader reader = new CellReader(BRITISH, "GB", "GBP");
        for (String name : List.of("DE", "de", "Germany", "GERMANY", "Deutschland", "Allemagne", "DEU")) {
            assertThat(reader.read(country, 2, name).stored()).isEqualTo("DE");
        }
        assertThat(reader.read(country, 2, "Nowhere").refusal()).contains("“Nowhere” is not among the choices.");
        FieldDefinition crops = new FieldDefinition(
                RecordKind.CONTACT,
                "likes",
                "Likes",
                FieldType.CHOICES,
                List.of(new FieldOption("a", "Tea, black", List.of("Tea")), new FieldOption("b", "Coffee")),
                Optional.empty());
        assertThat(reader.read(crops, 100, "coffee; tea").stored()).isEqualTo("a\nb");
        assertThat(reader.read(crops, 100, "coffee, milk").refusal()).isPresent();
    }

    @Test
    void readsLinksAddressesAndTexts() {
        assertThat(read(FieldType.LINK, "www.lane.example/a", BRITISH)).isEqualTo("https://www.lane.example/a");
        assertThat(read(FieldType.EMAIL, "Ines Wren <ines@lane.example>", BRITISH))
                .isEqualTo("ines@lane.example");
        assertThat(read(FieldType.EMAIL, "mailto:ines@lane.example", BRITISH)).isEqualTo("ines@lane.example");
        assertThat(read(FieldType.TEXT, " two\r\nlines\u00a0here ", BRITISH)).isEqualTo("two lines here");
        assertThat(read(FieldType.LONG_TEXT, "two\r\nlines", BRITISH)).isEqualTo("two\nlines");
        assertThat(read(FieldType.TEXT, "=\"0123\"", BRITISH)).isEqualTo("0123");
        assertThat(refusal(FieldType.TEXT, "=A1&B1", BRITISH)).contains("formula");
        assertThat(refusal(FieldType.TEXT, "x".repeat(300), BRITISH)).contains("at most 200");
    }

    @Test
    void seesTheStyleOfATable() {
        assertThat(style("21.05.2026", "1.048,50")).isEqualTo(GERMAN);
        assertThat(style("5/21/2026", "1,048.50")).isEqualTo(AMERICAN);
        assertThat(style("21/05/2026", "36.5")).isEqualTo(BRITISH);
        assertThat(style("1,250,000").decimal()).isEqualTo('.');
        assertThat(style("36,5 kg").decimal()).isEqualTo(',');
        assertThat(TableStyle.of(List.of("05/06/2026"), ',', "US").dates()).isEqualTo(DateOrder.MONTH_FIRST);
        assertThat(TableStyle.of(List.of("1250"), ';', "DE").decimal()).isEqualTo(',');
    }

    @Test
    void guessesWhatAColumnHolds() {
        assertThat(guess("yes", "no", "yes")).isEqualTo(FieldType.YES_NO);
        assertThat(guess("1", "0", "1")).isEqualTo(FieldType.NUMBER);
        assertThat(guess("21/05/2026", "1/6/2026")).isEqualTo(FieldType.DATE);
        assertThat(guess("21/05/2026", "1/6/2026", "soon", "2/6/2026", "3/6/2026"))
                .isEqualTo(FieldType.DATE);
        assertThat(guess("21/05/2026", "soon")).isEqualTo(FieldType.TEXT);
        assertThat(guess("36.5", "1,250")).isEqualTo(FieldType.NUMBER);
        assertThat(guess("0012", "0450")).isEqualTo(FieldType.TEXT);
        assertThat(guess("a@b.example", "c@d.example")).isEqualTo(FieldType.EMAIL);
        assertThat(guess("https://a.example")).isEqualTo(FieldType.LINK);
        assertThat(guess("x".repeat(200))).isEqualTo(FieldType.LONG_TEXT);
        assertThat(guess("anything", "else")).isEqualTo(FieldType.TEXT);
        assertThat(FieldGuess.of(List.of("red", "blue", "red", "red", "blue", "red", "blue", "red"), BRITISH))
                .isEqualTo(new FieldGuess(FieldType.CHOICE, List.of("red", "blue")));
        assertThat(guess()).isEqualTo(FieldType.TEXT);
    }

    private static FieldType guess(String... cells) {
        return FieldGuess.of(List.of(cells), BRITISH).type();
    }

    private static TableStyle style(String... cells) {
        return TableStyle.of(List.of(cells), ',', "GB");
    }

    private static String read(FieldType type, String cell, TableStyle style) {
        FieldInput input = input(type, cell, style);
        assertThat(input.refusal()).isEmpty();
        return input.stored();
    }

    private static String refusal(FieldType type, String cell, TableStyle style) {
        return input(type, cell, style).refusal().orElseThrow();
    }

    private static FieldInput input(FieldType type, String cell, TableStyle style) {
        FieldDefinition field = FieldDefinition.plain(RecordKind.CONTACT, "some", "Some", type);
        return new CellReader(style, "GB", "GBP").read(field, 200, cell);
    }
}
