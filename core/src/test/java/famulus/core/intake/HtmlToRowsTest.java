package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.html.HtmlCleaner;
import famulus.core.intake.HtmlToBlocks.Rebuilt;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Column;
import famulus.core.message.body.Column.Upright;
import famulus.core.message.body.Content;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.body.UnreadableBody;
import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** Rows and columns made of the tables of a page. */
class HtmlToRowsTest {
    private static Rebuilt rebuild(String html) {
        return HtmlToRows.rebuild(HtmlCleaner.cleanSource(html).html());
    }

    private static String words(Column column) {
        return column.blocks().stream()
                .map(block -> block.content() instanceof Content.Text text
                        ? text.text().paragraphs().stream()
                                .map(one -> one.runs().stream().map(Run::text).collect(Collectors.joining()))
                                .collect(Collectors.joining("/"))
                        : block.content().kind())
                .collect(Collectors.joining("|"));
    }

    /** The first paragraph of a row. */
    private static Paragraph paragraph(Band row) {
        Content.Text text =
                (Content.Text) row.columns().getFirst().blocks().getFirst().content();
        return text.text().paragraphs().getFirst();
    }

    private static List<String> rows(Body body) {
        return body.bands().stream()
                .map(band -> band.columns().stream().map(HtmlToRowsTest::words).collect(Collectors.joining(" ‖ ")))
                .toList();
    }

    @Test
    void aRowOfCellsIsARowOfColumnsAndTablesAroundTablesAreLookedThrough() {
        Rebuilt rebuilt = rebuild("<table><tr><td><table><tr><td colspan=2><h1>Spring</h1><p>Hello</td></tr>"
                + "<tr><td width=33%>Left<hr></td><td width=67% valign=middle>Right</td></tr>"
                + "<tr><td>&nbsp;</td><td>Alone</td></tr></table></td></tr></table><p>After</p>");
        assertThat(rows(rebuilt.body())).containsExactly("Spring/Hello", "Left|divider ‖ Right", "Alone/After");
        Band two = rebuilt.body().bands().get(1);
        assertThat(two.columns()).extracting(Column::share).containsExactly(33, 67);
        assertThat(two.columns()).extracting(Column::upright).containsExactly(Upright.TOP, Upright.MIDDLE);
        assertThat(rebuilt.lost()).isEmpty();
    }

    @Test
    void backgroundsAndPaddingsOfCellsStay() {
        Rebuilt rebuilt = rebuild(
                "<table bgcolor='#fff' align=center><tr><td style='background:#2F5D3A;padding:18px 10px;color:#FFF'>Head</td></tr>"
                        + "<tr><td>A</td><td>B</td></tr>"
                        + "<tr><td bgcolor='#eeeeee'>C</td><td style='background-color:rgb(1, 2, 3)'>D</td></tr></table>");
        List<Band> bands = rebuilt.body().bands();
        assertThat(bands.get(0).look().background()).isEqualTo("#2f5d3a");
        assertThat(bands.get(0).look().above()).isEqualTo(18);
        assertThat(bands.get(0).look().left()).isEqualTo(10);
        assertThat(bands.get(1).look().background()).isEqualTo("#ffffff");
        assertThat(bands.get(2).columns())
                .extracting(column -> column.blocks().getFirst().look().background())
                .containsExactly("#eeeeee", "#010203");
        assertThat(paragraph(bands.get(0)).runs().getFirst().marks().colour()).isEqualTo("#ffffff");
        assertThat(rebuilt.lost()).isEmpty();
        assertThat(paragraph(bands.get(1)).align())
                .as("a table in the middle of its page says nothing of its words")
                .isEqualTo(Align.START);
    }

    @Test
    void moreColumnsThanARowHasStandBelowEachOtherAndItIsSaid() {
        Rebuilt rebuilt = rebuild("<table><tr><td>1</td><td>2</td><td>3</td><td>4</td><td>5</td></tr></table>");
        assertThat(rows(rebuilt.body())).containsExactly("1/2/3/4/5");
        assertThat(rebuilt.lost()).containsExactly("The layout of tables: columns become one below the other.");
    }

    @Test
    void aListThatIsLongerThanAMessageIsOneColumn() {
        Rebuilt rebuilt = rebuild("<table>" + "<tr><td>A</td><td>B</td></tr>".repeat(500) + "</table>");
        assertThat(rebuilt.body().bands()).hasSize(1);
        assertThat(rebuilt.lost()).isNotEmpty();
    }

    @Test
    void columnsWithinAColumnStandBelowEachOther() {
        Rebuilt rebuilt =
                rebuild("<table><tr><td>A<table><tr><td>1</td><td>2</td></tr></table></td><td>B</td></tr></table>");
        assertThat(rows(rebuilt.body())).containsExactly("A/1/2 ‖ B");
        assertThat(rebuilt.lost()).isNotEmpty();
    }

    @Test
    void aPageOfWordsIsOneRow() {
        assertThat(rows(rebuild("<h1>A</h1><p>B</p><ul><li>C</ul>").body())).containsExactly("A/B/C");
        assertThat(rebuild("").body()).isEqualTo(Body.EMPTY);
    }

    @Test
    void whatIsMadeCanBeKept() throws UnreadableBody {
        Body body = rebuild("<div bgcolor='#eeeeee'><table><tr><td>A</td><td>{when deal.value is known}B{end}</td></tr>"
                        + "</table></div>")
                .body();
        assertThat(BodyJson.read(BodyJson.write(body))).isEqualTo(body);
    }

    @Test
    void aThousandTablesWithinEachOtherTakeNoLongerThanTheyShould() {
        String html = "<table><tr><td>a</td><td>".repeat(1_000) + "end" + "</td></tr></table>".repeat(1_000);
        Assertions.assertThatNoException()
                .isThrownBy(() -> org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                        Duration.ofSeconds(20), () -> rebuild(html)));
    }
}
