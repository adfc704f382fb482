package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.html.HtmlCleaner;
import famulus.core.intake.WrittenOut.Text;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Templates in formats that others read: what stands in them comes back, and what can't is said. */
class WrittenOutTest {
    private static final String PICTURE = "0b9f2f2e-7c1e-4d0a-9b43-9a8b61d8a001";

    private static Text letter(Body body) {
        return new Text("Hello", "", Optional.of(new Design(Mode.LETTER, body, HouseStyle.BARE, "", "")));
    }

    private static WrittenOut markdown(Body body) {
        return WrittenOut.markdown(letter(body), picture -> "pictures/" + picture + ".png");
    }

    /** A body as it is when it has been read: its words, by paragraph, with what marks them. */
    private static List<String> said(Body body) {
        return body.blocks()
                .flatMap(block -> block.content() instanceof Content.Text text
                        ? text.text().paragraphs().stream()
                        : Stream.empty())
                .map(paragraph -> paragraph.kind() + "/" + paragraph.level() + ": "
                        + paragraph.runs().stream().map(WrittenOutTest::said).collect(Collectors.joining()))
                .toList();
    }

    private static String said(Run run) {
        Marks marks = run.marks();
        return (marks.bold() ? "<b>" : "") + (marks.italic() ? "<i>" : "") + marks.link() + "«" + run.text() + "»";
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "# Spring\n\nDear {contact.first_name else \"you\"},\n\nall is *well*.\n",
                "## Second\n\n### Third\n\n> said\n",
                "- one\n- two\n   - deep\n- three\n",
                "1. one\n2. two\n",
                "A [link](<https://x.example/?a={contact.email}>) and **bold** words\n",
                "5\\. is no list, and # no heading\n",
                "Two\\\nlines, 3 \\* 4 \\[square\\] a\\_b\n",
            })
    void whatIsReadIsWrittenAsItWas(String text) {
        assertThat(markdown(MarkdownReader.read(text).body()).text()).isEqualTo(text);
    }

    /** Any letter of words comes back from Markdown with the same words, kinds and marks. */
    @Test
    void anyLetterComesBack() {
        Random random = new Random(7);
        String[] words = {
            "bees",
            "a*b",
            "under_score",
            "[x]",
            "1. first",
            "# no",
            "- dash",
            "{contact.first_name}",
            "<b>",
            "Q&A",
            "back\\slash",
            "> no",
            "Größe",
            "+ plus",
            "==="
        };
        for (int turn = 0; turn < 300; turn++) {
            List<Paragraph> paragraphs = new ArrayList<>();
            int count = 1 + random.nextInt(5);
            for (int i = 0; i < count; i++) {
                Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
                List<Run> runs = new ArrayList<>();
                int many = 1 + random.nextInt(3);
                for (int j = 0; j < many; j++) {
                    // Runs that look alike are one when they are read.
                    Marks marks = new Marks(j % 2 == 1, false, false, false, "", 0, "");
                    runs.add(new Run((j > 0 ? " " : "") + words[random.nextInt(words.length)], marks));
                }
                paragraphs.add(new Paragraph(kind, Align.START, 0, runs));
            }
            Body body =
                    Conversion.convert(Mode.PLAIN, Body.EMPTY, "x", Mode.LETTER).body();
            Body made = ofText(body, new RichText(paragraphs));
            String written = markdown(made).text();
            assertThat(joined(said(MarkdownReader.read(written).body())))
                    .as(written)
                    .isEqualTo(joined(said(made)));
        }
    }

    private static Body ofText(Body like, RichText text) {
        return new Body(like.bands().stream()
                .map(band -> new Band(
                        band.id(),
                        List.of(new Column(1, Column.Upright.TOP, List.of(Block.of("b1", new Content.Text(text))))),
                        band.look(),
                        "",
                        false))
                .toList());
    }

    /** Where a mark ends, before or after a space, is nobody's concern. */
    private static List<String> joined(List<String> paragraphs) {
        return paragraphs.stream()
                .map(one -> one.replace("» ", "»")
                        .replace("« ", "«")
                        .replaceAll("\\s+", " ")
                        .replace(" »", "»"))
                .toList();
    }

    @Test
    void aPageShowsItsPicturesWhereTheyLie() {
        Body source = ModeConversion.ofSource(HtmlCleaner.cleanSource(
                        "<p>Dear {contact.first_name else \"A & B\"}</p><img src='picture:" + PICTURE + "'>")
                .html());
        Text text = new Text(
                "A <b> & {deal.name}", "", Optional.of(new Design(Mode.SOURCE, source, HouseStyle.BARE, "", "")));
        WrittenOut page = WrittenOut.page(text, HouseStyle.BARE, picture -> "pictures/" + picture + ".png");
        assertThat(page.text())
                .contains("<title>A &lt;b&gt; &amp; {deal.name}</title>", "src=\"pictures/" + PICTURE + ".png\"")
                .contains("Dear {contact.first_name else \"A & B\"}");
        assertThat(page.pictures()).containsExactly(PICTURE);
        assertThat(page.lost()).isEmpty();
        Text plain = new Text("Hello", "Dear {contact.first_name},\n\n- one", Optional.empty());
        assertThat(WrittenOut.page(plain, HouseStyle.BARE, any -> any).text())
                .contains("Dear {contact.first_name},", "<li")
                .contains("one");
    }

    @Test
    void whatAFormatCantSayIsSaid() {
        Body body = MarkdownReader.read("Hello").body();
        Body signed = new Body(body.bands().stream()
                .map(band -> new Band(
                        band.id(),
                        List.of(new Column(
                                1,
                                Column.Upright.TOP,
                                List.of(
                                        Block.of("b1", new Content.Divider(1, "")),
                                        Block.of("b2", new Content.Signature(List.of()))))),
                        band.look(),
                        "contact.vip is yes",
                        false))
                .toList());
        WrittenOut out = markdown(signed);
        assertThat(out.text()).isEqualTo("{when contact.vip is yes}* * *{end}\n");
        assertThat(out.lost()).containsExactly("The sender’s signature.");
        assertThat(WrittenOut.words(letter(body)).text()).isEqualTo("Hello\n");
        assertThat(WrittenOut.words(new Text("", "Only words", Optional.empty()))
                        .text())
                .isEqualTo("Only words\n");
        assertThat(WrittenOut.markdown(new Text("", "- a\n- b\n\nc", Optional.empty()), any -> any)
                        .text())
                .isEqualTo("- a\n- b\n\nc\n");
    }
}
