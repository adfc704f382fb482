package famulus.core.message.render;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Content.ItemColumn;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.render.ToRender.DealLines;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What stands on paper. */
class PaperDocumentTest {
    private static final Paper PAPER = new Paper(
            Paper.Size.A4,
            List.of("Brindle & Sons", "2 Mill Lane"),
            List.of("Ines Brandt", "Larkfield"),
            "20 March 2026");
    private static final MergeSettings BRITISH =
            new MergeSettings(Locale.UK, ZoneId.of("Europe/London"), Instant.parse("2026-03-20T09:00:00Z"));

    private static Document paper(Mode mode, HouseStyle style, MergeSettings settings, DealLines deal, Band... bands) {
        Design design = new Design(mode, new Body(List.of(bands)), style, "", "");
        BodyText text = BodyText.of(design);
        var merged = new Merger(settings)
                .merge(
                        text.program(),
                        path -> path.equals(Path.of("person.first_name"))
                                ? Optional.of(new Value.Text("<b>Ines</b>"))
                                : Optional.empty(),
                        Place.BODY);
        ToRender message = new ToRender(
                design, text, merged, settings, "Our <offer>", "", deal, picture -> "data:," + picture, null);
        return Jsoup.parse(Renderer.onPaper(message, PAPER));
    }

    private static Document designed(Band... bands) {
        return paper(Mode.DESIGNED, HouseStyle.BARE, BRITISH, DealLines.NONE, bands);
    }

    private static Band band(Block... blocks) {
        return new Band(
                "b" + blocks[0].id(),
                List.of(new Column(1, Column.Upright.TOP, List.of(blocks))),
                Look.USUAL,
                "",
                false);
    }

    private static Block text(String id, String words) {
        return Block.of(id, new Content.Text(RichText.plain(words)));
    }

    @Test
    void aLetterHasItsSenderItsReaderTheDayAndItsSubject() {
        Document letter = paper(
                Mode.LETTER, HouseStyle.BARE, BRITISH, DealLines.NONE, band(text("t", "Dear {person.first_name},")));

        assertThat(letter.select(".sender").text()).isEqualTo("Brindle & Sons 2 Mill Lane");
        assertThat(letter.select(".reader").text()).isEqualTo("Ines Brandt Larkfield");
        assertThat(letter.select(".day").text()).isEqualTo("20 March 2026");
        assertThat(letter.select("h1").text()).isEqualTo("Our <offer>");
        assertThat(letter.title()).isEqualTo("Our <offer>");
        assertThat(letter.body().text()).contains("Dear <b>Ines</b>,");
        assertThat(letter.select("html").attr("lang")).isEqualTo("en-GB");
    }

    @Test
    void aDesignedMessageHasTheHeaderAndFooterOfItsStyle() {
        HouseStyle style = HouseStyle.BARE
                .withHeaders(List.of(new HouseStyle.Wrapping("usual", List.of(band(text("h", "Our header"))))))
                .withFooters(List.of(new HouseStyle.Wrapping("usual", List.of(band(text("f", "Our footer"))))));
        Document page = paper(Mode.DESIGNED, style, BRITISH, DealLines.NONE, band(text("t", "Its words")));

        assertThat(page.body().text()).isEqualTo("Our header Its words Our footer");
        assertThat(designed(band(text("t", "Its words"))).body().text())
                .isEqualTo("Brindle & Sons 2 Mill Lane Its words");
    }

    @Test
    void columnsStandBesideOneAnotherWithoutATable() {
        Document page = designed(new Band(
                "band",
                List.of(
                        new Column(1, Column.Upright.TOP, List.of(text("l", "Left"))),
                        new Column(3, Column.Upright.BOTTOM, List.of(text("r", "Right")))),
                Look.USUAL,
                "",
                false));

        assertThat(page.select("table")).isEmpty();
        assertThat(page.select(".row > .cell").eachText()).containsExactly("Left", "Right");
        assertThat(page.select(".cell").get(0).attr("style")).contains("width:25%");
        assertThat(page.select(".cell").get(1).attr("style")).contains("width:75%", "vertical-align:bottom");
    }

    @Test
    void aButtonSaysWhereItLeads() {
        Document page = designed(band(
                Block.of("b", new Content.Button("Our plan", "https://brindle.example/plan?a=1", Align.START, "", "")),
                Block.of(
                        "m",
                        new Content.Button(
                                "Write to us", "mailto:us@brindle.example?subject=x", Align.START, "", ""))));

        assertThat(page.select("b").eachText()).contains("Our plan", "Write to us");
        assertThat(page.select("a").eachText())
                .containsExactly("https://brindle.example/plan?a=1", "us@brindle.example");
        assertThat(page.select("table")).isEmpty();
    }

    @Test
    void aPictureStandsBesideItsText() {
        Block pairing = Block.of(
                "p",
                new Content.Pairing(
                        new Content.Picture("bee", 200, Align.START, "A bee", ""),
                        RichText.plain("About bees"),
                        false,
                        40));

        Document page = designed(band(pairing));

        assertThat(page.select(".cell")).hasSize(2);
        assertThat(page.select(".cell").get(0).select("img").attr("alt")).isEqualTo("A bee");
        assertThat(page.select(".cell").get(0).attr("style")).contains("width:40%");
        assertThat(page.select(".cell").get(1).text()).isEqualTo("About bees");
    }

    @Test
    void theItemTableMayBreakBetweenItsRowsAndRepeatsItsHeading() {
        DealLines deal = new DealLines(
                Stream.of("North", "South")
                        .map(name -> new ItemLine(
                                name,
                                BigDecimal.TEN,
                                "hives",
                                new BigDecimal("24"),
                                BigDecimal.ZERO,
                                new BigDecimal("20"),
                                ""))
                        .toList(),
                "GBP");
        Block items = Block.of(
                "i", new Content.Items(List.of(ItemColumn.DESCRIPTION, ItemColumn.TOTAL), true, "Nothing yet."));

        Document page = paper(Mode.DESIGNED, HouseStyle.BARE, BRITISH, deal, band(items));

        assertThat(page.select("table thead th")).hasSize(2);
        assertThat(page.select("table tbody tr")).hasSize(2);
        assertThat(page.select("table").parents().select(".whole")).isEmpty();
        assertThat(page.select("style").html())
                .contains("thead { display: table-header-group; }", "-fs-table-paginate");
    }

    @Test
    void whatIsNotShownToSomebodyIsNotOnTheirPaper() {
        Document page = designed(
                new Band(
                        "band",
                        List.of(new Column(1, Column.Upright.TOP, List.of(text("t", "For others")))),
                        Look.USUAL,
                        "person.last_name is filled",
                        false),
                band(text("u", "For all")));

        assertThat(page.body().text()).endsWith("For all").doesNotContain("For others");
    }

    @Test
    void wordsThatRunToTheLeftDo() {
        MergeSettings arabic =
                new MergeSettings(Locale.forLanguageTag("ar-EG"), ZoneId.of("Africa/Cairo"), BRITISH.now());

        Document page = paper(Mode.DESIGNED, HouseStyle.BARE, arabic, DealLines.NONE, band(text("t", "شكرا")));

        assertThat(page.select("html").attr("dir")).isEqualTo("rtl");
        assertThat(page.select("style").html()).contains("direction: rtl");
    }

    @ParameterizedTest
    @CsvSource({"en-GB, A4", "de-DE, A4", "en-US, LETTER", "fr-CA, LETTER", "en, LETTER", "ja-JP, A4"})
    void theSizeIsWhatARegionPrintsOn(String locale, Paper.Size size) {
        assertThat(Paper.Size.usualIn(Locale.forLanguageTag(locale))).isEqualTo(size);
    }
}
