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
import famulus.core.message.body.Retouching;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.render.ToRender.DealLines;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What blocks become in HTML and in plain text. */
class RendererTest {
    private static final MergeSettings SETTINGS =
            new MergeSettings(Locale.UK, ZoneId.of("Europe/London"), Instant.parse("2026-03-20T09:00:00Z"));
    private final Map<Path, Value> values = new HashMap<>();

    private void put(String path, Value value) {
        values.put(Path.of(path), value);
    }

    private Rendering render(Mode mode, HouseStyle style, MergeSettings settings, DealLines deal, Block... blocks) {
        Body body = new Body(List.of(
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false)));
        Design design = new Design(mode, body, style, "", "");
        BodyText text = BodyText.of(design);
        var merged =
                new Merger(settings).merge(text.program(), path -> Optional.ofNullable(values.get(path)), Place.BODY);
        return Renderer.render(
                new ToRender(design, text, merged, settings, "A subject", "", deal, picture -> "cid:" + picture, null));
    }

    private Rendering letter(Block... blocks) {
        return render(Mode.LETTER, HouseStyle.BARE, SETTINGS, DealLines.NONE, blocks);
    }

    private Rendering designed(Block... blocks) {
        return render(Mode.DESIGNED, HouseStyle.BARE, SETTINGS, DealLines.NONE, blocks);
    }

    private static Block text(Paragraph... paragraphs) {
        return Block.of("t", new Content.Text(new RichText(List.of(paragraphs))));
    }

    private static Run run(String text) {
        return new Run(text, Marks.NONE);
    }

    private static Run linked(String text, String address) {
        return new Run(text, new Marks(false, false, false, false, "", 0, address));
    }

    private static Run bold(String text) {
        return new Run(text, new Marks(true, false, false, false, "", 0, ""));
    }

    private static Paragraph of(Kind kind, Run... runs) {
        return new Paragraph(kind, Align.START, List.of(runs));
    }

    @Test
    void neverLetsAValueBecomeMarkup() {
        put("person.first_name", new Value.Text("<script>alert(1)</script> & \"Co\""));
        Rendering rendering = designed(
                text(of(Kind.PARAGRAPH, run("Dear {person.first_name}"))),
                Block.of("p", new Content.Picture("bee", 80, Align.START, "{person.first_name}", "")));
        assertThat(rendering.html())
                .contains("Dear &lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;Co&quot;")
                .contains("alt=\"&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;Co&quot;\"")
                .doesNotContain("<script");
        assertThat(rendering.text()).contains("Dear <script>alert(1)</script> & \"Co\"");
    }

    @Test
    void aPictureIsShownAsItsBlockCutsAndColoursIt() {
        Retouching retouching = new Retouching(10, 0, 0, 5, 15, "", 0);
        Content.Picture bee = new Content.Picture("bee", 200, Align.START, "A bee", "", retouching);
        Rendering whole = designed(Block.of("p", bee));
        assertThat(whole.html()).contains("src=\"cid:bee~cut.10.0.0.5~light.15~wide.480\" width=\"200\"");
        assertThat(whole.pictures()).containsExactly("bee~cut.10.0.0.5~light.15~wide.480");
        Rendering beside = designed(Block.of("p", new Content.Pairing(bee, RichText.plain("Bees"), false, 50)));
        assertThat(beside.pictures()).containsExactly("bee~cut.10.0.0.5~light.15~wide.480");
    }

    @Test
    void anIconStandsBeforeASocialLinkAndIsNotReadOut() {
        Block links = Block.of(
                "s",
                new Content.SocialLinks(
                        List.of(
                                new Content.SocialLink("Films", "https://films.example/", Content.SocialIcon.FILM),
                                new Content.SocialLink("Web", "https://web.example/", Content.SocialIcon.NONE)),
                        Align.START));
        Rendering rendering = designed(links);
        assertThat(rendering.pictures()).containsExactly("drawn-icon-film");
        assertThat(rendering.html()).containsOnlyOnce("<img").contains("src=\"cid:drawn-icon-film\"", "alt=\"\"");
        assertThat(rendering.text()).contains("Films").doesNotContain("icon");
    }

    @Test
    void aPassageIsWrittenAsIfItStoodThere() {
        Block inner = Block.of("b-t", new Content.Text(RichText.plain("Frost: {deal.hive_count}")));
        Band within =
                new Band("b-band", List.of(new Column(1, Column.Upright.TOP, List.of(inner))), Look.USUAL, "", false);
        Block passage = Block.of("b", new Content.Passage("p", "About frost", List.of(within)));
        put("deal.hive_count", new Value.Number(BigDecimal.TEN));
        assertThat(designed(passage).html()).contains(">Frost: 10<").doesNotContain("data-block");
        assertThat(letter(passage).html()).contains(">Frost: 10<");
        assertThat(letter(passage).text()).isEqualTo("Frost: 10");
        Block empty = Block.of("b", new Content.Passage("p", "", List.of()));
        assertThat(letter(empty).html()).doesNotContain("<div");
    }

    @Test
    void aPassageIsLeftOutWhereItsBandIsNotShown() {
        Block inner = Block.of("b-t", new Content.Text(RichText.plain("Frost")));
        Band within = new Band(
                "b-band",
                List.of(new Column(1, Column.Upright.TOP, List.of(inner))),
                Look.USUAL,
                "deal.hive_count is filled",
                false);
        Block passage = Block.of("b", new Content.Passage("p", "About frost", List.of(within)));
        assertThat(designed(passage).html()).doesNotContain("Frost");
        assertThat(letter(passage).text()).isEmpty();
    }

    @Test
    void itemsFurtherInAreListsWithinTheItemAbove() {
        Rendering list = letter(text(
                item(Kind.NUMBERED, 0, "gate"),
                item(Kind.BULLET, 1, "code"),
                item(Kind.BULLET, 3, "at most one further"),
                item(Kind.NUMBERED, 0, "road"),
                of(Kind.PARAGRAPH, run("Between")),
                item(Kind.NUMBERED, 2, "anew, at the edge")));
        assertThat(list.text())
                .isEqualTo(
                        """
                1. gate
                   - code
                      - at most one further
                2. road

                Between

                1. anew, at the edge""");
        assertThat(list.html().replaceAll(" style=\"[^\"]*\"|\n", ""))
                .contains("<ol><li>gate<ul><li>code<ul><li>at most one further</li></ul></li></ul></li>"
                        + "<li>road</li></ol><p>Between</p><ol><li>anew, at the edge</li></ol>");
    }

    private static Paragraph item(Kind kind, int level, String words) {
        return new Paragraph(kind, Align.START, level, List.of(run(words)));
    }

    @Test
    void aChoiceMayReachThroughRunsAndParagraphs() {
        Paragraph[] paragraphs = {
            of(Kind.PARAGRAPH, run("Dear grower,{when deal.hive_count is more than 4} many "), bold("hives{end}")),
            of(Kind.PARAGRAPH, run("{when deal.hive_count is more than 4}A second paragraph")),
            of(Kind.BULLET, run("and a line of a list{end}")),
            of(Kind.PARAGRAPH, run("Goodbye")),
        };
        put("deal.hive_count", new Value.Number(BigDecimal.valueOf(3)));
        assertThat(letter(text(paragraphs)).text()).isEqualTo("Dear grower,\n\nGoodbye");
        put("deal.hive_count", new Value.Number(BigDecimal.valueOf(30)));
        Rendering many = letter(text(paragraphs));
        assertThat(many.text())
                .isEqualTo("Dear grower, many hives\n\nA second paragraph\n\n- and a line of a list\n\nGoodbye");
        assertThat(many.html())
                .contains("<span style=\"font-weight:bold;\">hives</span>")
                .contains("<ul")
                .contains("<li");
    }

    @Test
    void showsABlockOnlyWhenItsConditionHolds() {
        Block block = new Block(
                "t",
                new Content.Text(RichText.plain("Only for apples")),
                Look.USUAL,
                "contact.crop is \"apple\"",
                true);
        put("contact.crop", new Value.Text("pear"));
        assertThat(designed(block).html()).doesNotContain("Only for apples");
        put("contact.crop", new Value.Text("apple"));
        assertThat(designed(block).html()).contains("Only for apples").contains("class=\"small-hidden\"");
    }

    @Test
    void escapesValuesWithinAddressesAndDropsThoseThatRun() {
        put("deal.name", new Value.Text("Quote 7 / apples & pears"));
        put("document.link", new Value.Text("https://brindlewing.example/q/7"));
        put("contact.website", new Value.Text("javascript:alert(1)"));
        Rendering rendering = designed(
                text(of(Kind.PARAGRAPH, linked("here", "https://brindlewing.example/?for={deal.name}"))),
                Block.of("b1", new Content.Button("Read it", "{document.link}", Align.START, "", "")),
                Block.of("b2", new Content.Button("Never", "{contact.website}", Align.START, "", "")));
        assertThat(rendering.html())
                .contains("href=\"https://brindlewing.example/?for=Quote%207%20%2F%20apples%20%26%20pears\"")
                .contains("href=\"https://brindlewing.example/q/7\"")
                .doesNotContain("javascript");
        assertThat(rendering.text())
                .contains("Read it: https://brindlewing.example/q/7")
                .contains("Never");
    }

    @Test
    void saysAnAddressOnceInPlainText() {
        String address = "https://brindlewing.example/plan";
        assertThat(letter(text(
                                of(Kind.PARAGRAPH, run("See "), linked("our plan", address), run(".")),
                                of(Kind.PARAGRAPH, run("Again "), linked("the plan", address))))
                        .text())
                .isEqualTo("See our plan <" + address + ">.\n\nAgain the plan");
    }

    @Test
    void aLetterHasNoTablesAndStartsWithItsWords() {
        Rendering letter = letter(text(of(Kind.PARAGRAPH, run("Dear grower,"))));
        assertThat(letter.html())
                .doesNotContain("<table")
                .doesNotContain("<style")
                .contains("<p style=\"margin:0 0 0;\">Dear grower,</p>");
    }

    @Test
    void itemsAddUpToTheCentAsShown() {
        List<ItemLine> lines = List.of(
                line("North", 7, 3, "1.115", "0", "20"),
                line("South", 7, 3, "1.115", "10", "20"),
                line("East", 1, 1, "0.05", "0", "7"));
        ItemSums sums = ItemSums.of(lines, "GBP");
        assertThat(sums.lines()).extracting(one -> one.net().toPlainString()).containsExactly("23.42", "21.08", "0.05");
        assertThat(sums.net()).isEqualByComparingTo("44.55");
        assertThat(sums.taxes().get(new BigDecimal("2E+1"))).isEqualByComparingTo("8.90");
        assertThat(sums.taxes().get(BigDecimal.valueOf(7))).isEqualByComparingTo("0.00");
        assertThat(sums.total()).isEqualByComparingTo("53.45");
        assertThat(ItemSums.of(lines, "JPY").net().scale()).isZero();
    }

    @Test
    void itemsAreARealTableAndColumnsInPlainText() {
        Block block = Block.of(
                "items",
                new Content.Items(
                        List.of(ItemColumn.DESCRIPTION, ItemColumn.QUANTITY, ItemColumn.TOTAL),
                        true,
                        "Nothing is agreed yet."));
        DealLines deal = new DealLines(
                List.of(line("North block", 20, 3, "24", "0", "20"), line("Hill", 4, 3, "24", "5", "20")), "GBP");
        Rendering rendering = render(Mode.DESIGNED, HouseStyle.BARE, SETTINGS, deal, block);
        assertThat(rendering.html())
                .contains("<th scope=\"col\"")
                .contains("£1,713.60</td>")
                .contains("Tax 20&nbsp;%");
        assertThat(rendering.text())
                .isEqualTo(
                        """
                Description  Quantity     Amount
                North block        20  £1,440.00
                Hill                4    £273.60
                Discount, taken off above  £14.40
                Net                    £1,713.60
                Tax 20 %                 £342.72
                Total                  £2,056.32"""
                                .replace("20 %", "20\u00a0%"));
        assertThat(designed(block).text()).isEqualTo("Nothing is agreed yet.");
        MergeSettings german = new MergeSettings(Locale.GERMANY, ZoneId.of("Europe/Berlin"), SETTINGS.now());
        assertThat(render(Mode.LETTER, HouseStyle.BARE, german, deal, block).text())
                .contains("Steuer 20\u00a0%")
                .contains("2.056,32");
    }

    private static ItemLine line(String what, int hives, int weeks, String rate, String discount, String tax) {
        return new ItemLine(
                what,
                BigDecimal.valueOf(hives),
                "hives",
                new BigDecimal(rate).multiply(BigDecimal.valueOf(weeks)),
                new BigDecimal(discount),
                new BigDecimal(tax),
                "");
    }

    @Test
    void anEventKeepsItsHourAcrossAClockChange() {
        Block block = Block.of(
                "e",
                new Content.Event(
                        "Hives; placed, early",
                        "{deal.placement_date}",
                        LocalTime.of(5, 30),
                        90,
                        "Europe/London",
                        "Gate 2"));
        put("deal.placement_date", new Value.Day(LocalDate.of(2026, 3, 28)));
        Rendering before = designed(block);
        assertThat(before.calendars()).singleElement().satisfies(file -> assertThat(file.content())
                .contains("DTSTART:20260328T053000Z")
                .contains("DTEND:20260328T070000Z")
                .contains("SUMMARY:Hives\\; placed\\, early")
                .contains("\r\nBEGIN:VEVENT\r\n"));
        put("deal.placement_date", new Value.Day(LocalDate.of(2026, 3, 29)));
        Rendering after = designed(block);
        assertThat(after.calendars().getFirst().content()).contains("DTSTART:20260329T043000Z");
        assertThat(after.text())
                .contains("Sunday, 29 March 2026, 05:30 – 07:00")
                .contains("Gate 2");
        values.clear();
        assertThat(designed(block).calendars()).isEmpty();
    }

    @Test
    void aWholeDayIsADate() {
        put("deal.placement_date", new Value.Day(LocalDate.of(2026, 3, 28)));
        Rendering rendering =
                designed(Block.of("e", new Content.Event("Placement", "{deal.placement_date}", null, 60, "", "")));
        assertThat(rendering.calendars().getFirst().content())
                .contains("DTSTART;VALUE=DATE:20260328")
                .contains("DTEND;VALUE=DATE:20260329");
    }

    @Test
    void takesTheHeaderThatIsChosenAndAlwaysTheSmallPrint() {
        HouseStyle.Wrapping mark = wrapping("mark", "Our mark");
        HouseStyle.Wrapping plain = wrapping("plain", "No mark");
        HouseStyle bare = HouseStyle.BARE;
        HouseStyle style = new HouseStyle(
                "Ours",
                bare.page(),
                bare.type(),
                16,
                bare.button(),
                List.of(mark, plain),
                List.of(),
                RichText.plain("Small"));
        Body body = new Body(List.of());
        assertThat(textOf(new Design(Mode.DESIGNED, body, style, "", ""))).isEqualTo("Our mark\n\n----------\n\nSmall");
        assertThat(textOf(new Design(Mode.DESIGNED, body, style, "plain", ""))).startsWith("No mark");
        assertThat(textOf(new Design(Mode.DESIGNED, body, style, Design.NONE, "")))
                .isEqualTo("----------\n\nSmall");
        assertThat(textOf(new Design(Mode.LETTER, body, style, "", ""))).isEqualTo("----------\n\nSmall");
    }

    private static HouseStyle.Wrapping wrapping(String name, String words) {
        Block block = Block.of("h-" + name, new Content.Text(RichText.plain(words)));
        return new HouseStyle.Wrapping(
                name,
                List.of(new Band(
                        "hb-" + name,
                        List.of(new Column(1, Column.Upright.TOP, List.of(block))),
                        Look.USUAL,
                        "",
                        false)));
    }

    private static String textOf(Design design) {
        BodyText text = BodyText.of(design);
        var merged = new Merger(SETTINGS).merge(text.program(), path -> Optional.empty(), Place.BODY);
        return Renderer.render(
                        new ToRender(design, text, merged, SETTINGS, "s", "", DealLines.NONE, picture -> "", null))
                .text();
    }

    private static Block own(String source) {
        return Block.of("h", new Content.OwnHtml(source));
    }

    @Test
    void valuesInOwnHtmlAreCharactersWhereverTheyStand() {
        put("person.first_name", new Value.Text("<b onclick=x>\"'&"));
        put("deal.plan_link", new Value.Text("javascript:alert(1)"));
        Rendering rendering = letter(own("<p title='{person.first_name}'>{person.first_name}</p>"
                + "<a href='{deal.plan_link}'>plan</a><a href='https://x.example/?q={person.first_name}'>more</a>"));
        assertThat(rendering.html())
                .contains("<p title=\"&lt;b onclick=x&gt;&quot;'&amp;\">&lt;b onclick=x&gt;\"'&amp;</p>")
                .contains("<a>plan</a>")
                .contains("<a href=\"https://x.example/?q=%3Cb%20onclick%3Dx%3E%22%27%26\">more</a>");
        assertThat(rendering.text()).contains("more <https://x.example/?q=%3Cb");
    }

    @Test
    void ownHtmlIsCleanedAndItsBracesInStyleSheetsAreNone() {
        put("person.first_name", new Value.Text("Ines"));
        assertThat(designed(own("<style>p { color: red }</style><script>x()</script><p>Dear {person.first_name}"))
                        .html())
                .contains("<p style=\"color:red\">Dear Ines</p>")
                .doesNotContain("<script");
    }

    @Test
    void picturesInOwnHtmlGoAlong() {
        String id = "0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001";
        Rendering rendering = letter(own("<img src='picture:" + id + "' alt='Hives'>"));
        assertThat(rendering.html()).contains("<img src=\"cid:" + id + "\" alt=\"Hives\">");
        assertThat(rendering.pictures()).containsExactly(id);
        assertThat(rendering.text()).isEqualTo("[Hives]");
    }

    @Test
    void aSourceStandsBetweenTheHeaderAndFooterOfItsHouse() {
        Block mark = Block.of("mark", new Content.Text(RichText.plain("Our header")));
        Band header =
                new Band("header", List.of(new Column(1, Column.Upright.TOP, List.of(mark))), Look.USUAL, "", false);
        HouseStyle bare = HouseStyle.BARE;
        HouseStyle style = new HouseStyle(
                "Ours",
                bare.page(),
                bare.type(),
                16,
                bare.button(),
                List.of(new HouseStyle.Wrapping("a", List.of(header))),
                List.of(),
                RichText.plain("Small print"));
        Rendering rendering = render(Mode.SOURCE, style, SETTINGS, DealLines.NONE, own("<p>Brought in</p>"));
        assertThat(rendering.html()).containsSubsequence("Our header", "<p>Brought in</p>", "Small print");
        assertThat(rendering.text()).isEqualTo("Our header\n\nBrought in\n\n----------\n\nSmall print");
    }

    @Test
    void aNoteStandsAboveHtmlThatWasBroughtInAndLeavesItAsItIs() {
        Block note = text(Paragraph.of("Just for you"));
        Rendering rendering =
                render(Mode.SOURCE, HouseStyle.BARE, SETTINGS, DealLines.NONE, note, own("<p>Brought in</p>"));
        assertThat(rendering.html())
                .containsSubsequence(
                        "max-width:600px;margin:0 auto;padding:", "Just for you", "<div>\n<p>Brought in</p>");
        assertThat(rendering.text()).isEqualTo("Just for you\n\nBrought in");
    }

    @Test
    void aFeedShowsItsNewestEntriesAsCharacters() {
        List<Content.Entry> entries = List.of(
                new Content.Entry("<b>Frost</b> {person.first_name}", "Pears & plums", "https://x.example/frost"),
                new Content.Entry("Bloom", "", "javascript:alert(1)"),
                new Content.Entry("Third", "", ""));
        put("person.first_name", new Value.Text("Ines"));
        Rendering rendering = letter(Block.of("f", new Content.Feed("feed", 2, true, "Blossom watch", entries)));
        assertThat(rendering.html())
                .contains(">&lt;b&gt;Frost&lt;/b&gt; {person.first_name}</a><br>Pears &amp; plums")
                .contains("<b>Bloom</b>")
                .doesNotContain("javascript", "Third");
        assertThat(rendering.text())
                .isEqualTo("<b>Frost</b> {person.first_name}\nPears & plums\nhttps://x.example/frost\n\nBloom");
        assertThat(letter(Block.of("f", new Content.Feed("feed", 2, true, "", List.of())))
                        .text())
                .isEmpty();
    }
}
