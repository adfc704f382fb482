package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.intake.HtmlToBlocks.Rebuilt;
import famulus.core.message.body.Align;
import famulus.core.message.body.Block;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Content;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.body.UnreadableBody;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Blocks made of HTML. */
class HtmlToBlocksTest {
    private static final String PICTURE = "picture:0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001";

    private static List<Paragraph> paragraphs(String html) {
        Rebuilt rebuilt = HtmlToBlocks.rebuild(html);
        return ((Content.Text) rebuilt.body().blocks().findFirst().orElseThrow().content())
                .text()
                .paragraphs();
    }

    private static Run plain(String words) {
        return new Run(words, Marks.NONE);
    }

    private static Run bold(String words) {
        return new Run(words, new Marks(true, false, false, false, "", 0, ""));
    }

    @Test
    void wordsKeepTheirHeadingsListsMarksAndLinks() {
        assertThat(paragraphs("<h1>Spring</h1><p>Dear <b>{person.first_name}</b>,<br>hello</p>"
                        + "<ul><li>one<li>two</ul><ol><li>first</ol><blockquote>said</blockquote>"
                        + "<p><a href='https://x.example'>more</a></p>"))
                .containsExactly(
                        new Paragraph(Kind.HEADING_1, Align.START, List.of(plain("Spring"))),
                        new Paragraph(
                                Kind.PARAGRAPH,
                                Align.START,
                                List.of(plain("Dear "), bold("{person.first_name}"), plain(",\nhello"))),
                        new Paragraph(Kind.BULLET, Align.START, List.of(plain("one"))),
                        new Paragraph(Kind.BULLET, Align.START, List.of(plain("two"))),
                        new Paragraph(Kind.NUMBERED, Align.START, List.of(plain("first"))),
                        new Paragraph(Kind.QUOTE, Align.START, List.of(plain("said"))),
                        new Paragraph(
                                Kind.PARAGRAPH,
                                Align.START,
                                List.of(new Run(
                                        "more", new Marks(false, false, false, false, "", 0, "https://x.example")))));
    }

    @Test
    void stylesOfWordsBecomeMarks() {
        assertThat(paragraphs(
                        "<p style='text-align:center'><span style='font-weight:700;color:#AA0000;font-size:20px'>A"))
                .containsExactly(new Paragraph(
                        Kind.PARAGRAPH,
                        Align.CENTRE,
                        List.of(new Run("A", new Marks(true, false, false, false, "#aa0000", 20, "")))));
    }

    @Test
    void picturesAndRulesBecomeBlocksOfTheirOwn() {
        Rebuilt rebuilt = HtmlToBlocks.rebuild("<p>Before</p><a href='https://x.example'><img src='" + PICTURE
                + "' alt='Hives' width=300></a><hr><p>After</p>");
        assertThat(rebuilt.body().blocks().map(Block::content).map(Content::kind))
                .containsExactly("text", "picture", "divider", "text");
        assertThat(rebuilt.body().blocks().map(Block::content))
                .contains(new Content.Picture(PICTURE.substring(8), 300, Align.START, "Hives", "https://x.example"));
        assertThat(rebuilt.lost()).isEmpty();
    }

    @Test
    void whatTablesLaidOutIsSaidToBeLost() {
        Rebuilt rebuilt = HtmlToBlocks.rebuild("<table bgcolor='#eeeeee'><tr><td>left</td><td>right</td></tr></table>");
        assertThat(rebuilt.lost()).hasSize(2).anyMatch(one -> one.contains("below the other"));
        assertThat(paragraphs("<table><tr><td>left</td><td>right</td></tr></table>"))
                .extracting(one -> one.runs().getFirst().text())
                .containsExactly("left", "right");
    }

    @Test
    void pictureThatAreNotHereAreSaidToBeLost() {
        assertThat(HtmlToBlocks.rebuild("<img src='https://x.example/a.png'>").lost())
                .containsExactly("Pictures that are not in Materials.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "<p></p>", "<p> <br> </p>", "<!-- x -->"})
    void nothingMakesNothing(String html) {
        assertThat(HtmlToBlocks.rebuild(html).body().blocks()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<ul><li>a<ol><li><p>b</p><li>c</ol><li>d</ul>",
                "<ul><li>a</li><ol><li>b</li><li>c</li></ol><li>d</li></ul>"
            })
    void listsWithinListsStandFurtherIn(String html) {
        assertThat(paragraphs(html))
                .containsExactly(
                        item(Kind.BULLET, 0, "a"),
                        item(Kind.NUMBERED, 1, "b"),
                        item(Kind.NUMBERED, 1, "c"),
                        item(Kind.BULLET, 0, "d"));
    }

    private static Paragraph item(Kind kind, int level, String words) {
        return new Paragraph(kind, Align.START, level, List.of(plain(words)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "text alone",
                "<table><tr><td><p>a<table><tr><td>b</table></table>",
                "<li>without a list",
                "<p>a<p>b<div>c<div>d</div></div>",
                "<h2><img src='picture:x'></h2>"
            })
    void whatIsRebuiltCanBeKept(String html) throws UnreadableBody {
        var body = HtmlToBlocks.rebuild(html).body();
        assertThat(BodyJson.read(BodyJson.write(body))).isEqualTo(body);
    }
}
