package famulus.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.InputStreamReader;
import java.io.StringReader;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTableTest {
    @Test
    void readsRowsWithTheLinesTheyBeginIn() {
        assertThat(rows("a,b\r\n\r\n1,6\" pipe\n2,\"q\nr\"\r3,\"x \"\"y\"\"\"\n", ','))
                .containsExactly(
                        new TableRow(1, List.of("a", "b")),
                        new TableRow(3, List.of("1", "6\" pipe")),
                        new TableRow(4, List.of("2", "q\nr")),
                        new TableRow(6, List.of("3", "x \"y\"")));
    }

    @Test
    void givesWhatWasWritten() {
        Random random = new Random(7);
        List<String> pieces = List.of("a", "\"", ",", ";", "\n", "\r\n", " ", "é", "=1+1", "''", "😀");
        for (int turn = 0; turn < 300; turn++) {
            List<List<String>> table = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            for (int row = 0; row < 4; row++) {
                List<String> cells = new ArrayList<>();
                for (int column = 0; column < 3; column++) {
                    StringBuilder cell = new StringBuilder("c");
                    for (int i = random.nextInt(6); i > 0; i--) {
                        cell.append(pieces.get(random.nextInt(pieces.size())));
                    }
                    cells.add(cell.toString());
                }
                table.add(cells);
                text.append(String.join(
                                ";",
                                cells.stream()
                                        .map(cell -> '"' + cell.replace("\"", "\"\"") + '"')
                                        .toList()))
                        .append(random.nextBoolean() ? "\n" : "\r\n");
            }
            assertThat(rows(text.toString(), ';').stream().map(TableRow::cells)).isEqualTo(table);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"a,b\n1,\"abc\n2,3\n4,5\n", "a,b\n1,\"abc\"d\n", "a,b\n1,\"x"})
    void saysWhereAQuotationMarkIsNotClosed(String text) {
        assertThatThrownBy(() -> rows(text, ','))
                .isInstanceOf(UnreadableTable.class)
                .hasMessageStartingWith("Line 2, column 2: A quotation mark opens here");
    }

    @Test
    void saysWhereACellIsTooLong() {
        for (int length : List.of(200_000, 10_000_000)) {
            assertThatThrownBy(() -> rows("a,b\n1,2\n3," + "x".repeat(length), ','))
                    .hasMessageStartingWith("Line 3, column 2: This cell is too long");
        }
    }

    @Test
    void saysWhereThereAreTooManyColumns() {
        assertThatThrownBy(() -> rows("a\n" + ",".repeat(2_000), ',')).hasMessageStartingWith("Line 2, column 501:");
    }

    @Test
    void saysWhereAnEncodingEnds() {
        var decoder = StandardCharsets.UTF_8.newDecoder().onMalformedInput(CodingErrorAction.REPORT);
        byte[] bytes = "a,b\nK\u00e4rcher,2\n".getBytes(StandardCharsets.ISO_8859_1);
        CsvTable table = new CsvTable(new InputStreamReader(new ByteArrayInputStream(bytes), decoder), ',');
        assertThatThrownBy(() -> table.forEachRemaining(row -> {})).hasMessageContaining("Choose another encoding");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"'a;b;c\n1,5;2;3\n2,5;3;4\n'|;", "'a,b\n\"x;y;z\",2\n\"u;v;w\",3\n'|,", "'one\ntwo\n'|,"})
    void findsTheDelimiter(String text, char delimiter) {
        assertThat(Delimiter.of(text)).isEqualTo(delimiter);
    }

    @Test
    void findsTabsAndBarsInATextThatIsCutOff() {
        assertThat(Delimiter.of("a\tb\tc\n1\t2\t3\n4\t\"5")).isEqualTo('\t');
        assertThat(Delimiter.of("a|b\n1|2, 3\n4|5, 6\n")).isEqualTo('|');
    }

    @Test
    void keepsFormulasFromBeingWorkedOut() {
        for (String harmful : List.of("=1+1", "+cmd", "-cmd", "@sum", "\t=1", "\r=1", "=HYPERLINK(\"x\")", "+44 x")) {
            String cell = SpreadsheetCell.safe(harmful);
            assertThat(cell).startsWith("'");
            assertThat(SpreadsheetCell.plain(cell)).isEqualTo(harmful);
        }
        for (String harmless : List.of("+441632960187", "-5.5", "a=b", "'quoted", "")) {
            assertThat(SpreadsheetCell.safe(harmless)).isEqualTo(harmless);
            assertThat(SpreadsheetCell.plain(harmless)).isEqualTo(harmless);
        }
        assertThat(SpreadsheetCell.plain("=\"0123\"")).isEqualTo("0123");
        assertThat(SpreadsheetCell.isFormula("=\"0123\"")).isFalse();
        assertThat(SpreadsheetCell.isFormula("=\"0\"&\"1\"")).isTrue();
    }

    private static List<TableRow> rows(String text, char delimiter) {
        List<TableRow> rows = new ArrayList<>();
        new CsvTable(new StringReader(text), delimiter).forEachRemaining(rows::add);
        return rows;
    }
}
