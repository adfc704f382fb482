package famulus.core.message.personal;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Look;
import famulus.core.message.body.RandomBody;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.personal.Refilling.Refill;
import famulus.core.message.personal.Refilling.Texts;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RefillingTest {
    private static List<Refill> instead(String text, String words, String written) {
        int at = text.indexOf(words);
        return at < 0 ? List.of() : List.of(new Refill(at, at + words.length(), written));
    }

    @Test
    void fieldsTakeThePlaceOfWords() {
        Texts texts = Refilling.of(
                new Texts("For Ines", "", "Dear {person.greeting}, dear Ines\\{, C:\\Ines", Optional.empty()),
                said -> instead(said.words(), "Ines", "{person.first_name}"));
        assertThat(texts.subject()).isEqualTo("For {person.first_name}");
        assertThat(texts.words()).isEqualTo("Dear {person.greeting}, dear {person.first_name}\\{, C:\\Ines");
    }

    @Test
    void aBackslashBeforeAFieldStaysOne() {
        Texts texts = Refilling.of(
                new Texts("", "", "C:\\Ines", Optional.empty()), said -> instead(said.words(), "Ines", "{x}"));
        assertThat(texts.words()).isEqualTo("C:\\\\{x}");
    }

    @Test
    void fieldsAreNotShown() {
        Refilling.of(new Texts("", "", "Dear {person.first_name}!", Optional.empty()), said -> {
            assertThat(said.words()).isEqualTo("Dear " + "\uFFFC".repeat(19) + "!");
            return List.of();
        });
    }

    /** Of HTML the words are looked through, and its tags, addresses and fields stay as they are. */
    @Test
    void theWordsOfHtmlAreFilledToo() {
        String html = "<p title=\"Ines\">Dear <b>Ines</b>, {person.last_name} &amp; In&euml;s</p><!-- Ines -->Ines";
        Body body = new Body(List.of(new Band(
                "a",
                List.of(new Column(1, Column.Upright.TOP, List.of(Block.of("h", new Content.OwnHtml(html))))),
                Look.USUAL,
                "",
                false)));
        List<String> read = new ArrayList<>();
        Texts filled = Refilling.of(new Texts("", "", "", Optional.of(body)), said -> {
            read.add(said.source().replace("\u200b", "").replace("\u2029", "/"));
            List<Refill> all = new ArrayList<>();
            for (int at = said.words().indexOf("Ines");
                    at >= 0;
                    at = said.words().indexOf("Ines", at + 1)) {
                all.add(new Refill(at, at + 4, "{person.first_name}"));
            }
            return all;
        });
        Content.OwnHtml own = (Content.OwnHtml)
                filled.body().orElseThrow().blocks().findFirst().orElseThrow().content();
        assertThat(own.source())
                .isEqualTo("<p title=\"Ines\">Dear <b>{person.first_name}</b>, {person.last_name} &amp; In&euml;s</p>"
                        + "<!-- Ines -->{person.first_name}");
        assertThat(read).containsExactly("/Dear Ines, {person.last_name} & Inës/Ines");
    }

    /** What is bold in part stays words; who looks for values is told so. */
    @Test
    void noFieldReachesOverABreak() {
        Marks bold = new Marks(true, false, false, false, "", 0, "");
        RichText text = new RichText(List.of(
                new Paragraph(
                        RichText.Kind.PARAGRAPH,
                        Align.START,
                        List.of(new Run("Dear Ines ", Marks.NONE), new Run("Okafor", bold))),
                Paragraph.of("Ines")));
        Body body = new Body(List.of(new Band(
                "r",
                List.of(new Column(1, Column.Upright.TOP, List.of(Block.of("b", new Content.Text(text))))),
                Look.USUAL,
                "",
                false)));
        Texts texts = Refilling.of(new Texts("", "", "", Optional.of(body)), said -> {
            assertThat(said.words()).isEqualTo("Dear Ines Okafor\u2029Ines");
            assertThat(said.whole(5, 16)).isFalse();
            assertThat(said.whole(5, 9)).isTrue();
            return List.of(new Refill(5, 16, "{x}"), new Refill(17, 21, "{y}"));
        });
        assertThat(texts.body().orElseThrow().toString())
                .contains("text=Dear Ines ", "text={y}")
                .doesNotContain("{x}");
    }

    @Test
    void aBodyThatNothingIsPutIntoStaysWhatItIs() {
        for (int seed = 0; seed < 100; seed++) {
            Texts given = new Texts("A", "B", "", Optional.of(new RandomBody(seed).body()));
            List<String> keys = new ArrayList<>();
            assertThat(Refilling.of(given, said -> {
                        keys.add(said.key());
                        return List.of();
                    }))
                    .isEqualTo(given);
            assertThat(keys).doesNotHaveDuplicates();
        }
    }
}
