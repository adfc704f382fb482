package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.intake.MarkdownReader.Read;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Paragraph;
import java.util.List;
import org.junit.jupiter.api.Test;

class MarkdownReaderTest {
    private static List<Paragraph> paragraphs(Read read) {
        return read.body()
                .blocks()
                .filter(block -> block.content() instanceof Content.Text)
                .flatMap(block -> ((Content.Text) block.content()).text().paragraphs().stream())
                .toList();
    }

    @Test
    void headingsListsMarksAndFieldsComeOver() {
        Read read = MarkdownReader.read(
                """
                # Your **visit**

                Dear {person.first_name else "there"},
                see *our* [page](https://brindlewing.example).

                - one
                - two

                > quoted
                """);
        assertThat(read.title()).isEqualTo("Your visit");
        assertThat(paragraphs(read))
                .extracting(Paragraph::kind)
                .containsExactly(Kind.HEADING_1, Kind.PARAGRAPH, Kind.BULLET, Kind.BULLET, Kind.QUOTE);
        assertThat(BodyText.of(new Design(Mode.LETTER, read.body(), HouseStyle.BARE, "", ""))
                        .program()
                        .paths())
                .extracting(Object::toString)
                .containsExactly("person.first_name");
        assertThat(read.lost()).isEmpty();
    }

    @Test
    void htmlStaysWordsAndBadLinksGo() {
        Read read = MarkdownReader.read("A <script>x()</script> [b](javascript:alert(1))\n\n<div>c</div>");
        assertThat(read.lost()).contains("HTML within the text: it stays as words.");
        assertThat(read.body().toString()).doesNotContain("javascript:");
    }

    @Test
    void deepAndLongTextsAreRead() {
        assertThat(MarkdownReader.read(">".repeat(50_000) + " deep").body().toString())
                .contains("deep");
        assertThat(MarkdownReader.read("").body().blocks()).isEmpty();
        StringBuilder stairs = new StringBuilder();
        for (int i = 0; i < 2_000; i++) {
            stairs.append(" ".repeat(2 * i)).append("- step\n");
        }
        assertThat(paragraphs(MarkdownReader.read(stairs.toString()))).isNotEmpty();
    }
}
