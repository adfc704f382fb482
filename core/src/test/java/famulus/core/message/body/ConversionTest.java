package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.message.body.Conversion.Converted;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** From one mode to another: words stay, and what does not is said. */
class ConversionTest {
    private static final String PLAIN =
            """
            Dear {person.first_name else "neighbour"},

            this is one
            line and another.

            - first
            - second
               - further in
            - third

            {sender.signature else sender.full_name}""";

    @Test
    void aPlainTextComesBackFromALetterAsItWas() {
        Converted letter = Conversion.convert(Mode.PLAIN, Body.EMPTY, PLAIN, Mode.LETTER);
        assertThat(letter.lost()).isEmpty();
        assertThat(((Content.Text) letter.body().block("b1").orElseThrow().content())
                        .text()
                        .paragraphs())
                .extracting(RichText.Paragraph::kind)
                .containsExactly(
                        RichText.Kind.PARAGRAPH,
                        RichText.Kind.PARAGRAPH,
                        RichText.Kind.BULLET,
                        RichText.Kind.BULLET,
                        RichText.Kind.BULLET,
                        RichText.Kind.BULLET,
                        RichText.Kind.PARAGRAPH);
        Converted back = Conversion.convert(Mode.LETTER, letter.body(), "", Mode.PLAIN);
        assertThat(back.text()).isEqualTo(PLAIN);
        assertThat(back.lost()).isEmpty();
    }

    @Test
    void aLetterLosesNothingByBecomingDesigned() {
        Body body = new RandomBody(8).body();
        Converted designed = Conversion.convert(Mode.LETTER, body, "", Mode.DESIGNED);
        assertThat(designed.body()).isEqualTo(body);
        assertThat(designed.lost()).isEmpty();
    }

    @Test
    void everyBlockAndConditionIsStillThereInALetter() {
        for (int seed = 0; seed < 100; seed++) {
            Body body = new RandomBody(seed).body();
            Converted letter = Conversion.convert(Mode.DESIGNED, body, "", Mode.LETTER);
            assertThat(letter.body().blocks().map(Block::id).toList())
                    .isEqualTo(body.blocks().map(Block::id).toList());
            if (body.blocks().findAny().isPresent()) {
                assertThat(paths(letter.body())).containsAll(paths(body));
            }
            boolean columns =
                    body.bands().stream().anyMatch(band -> band.columns().size() > 1);
            assertThat(String.join(" ", letter.lost()).contains("Columns")).isEqualTo(columns);
        }
    }

    private static Set<String> paths(Body body) {
        Set<String> paths = new TreeSet<>();
        Design design = new Design(Mode.DESIGNED, body, HouseStyle.BARE, "", "");
        for (Path path : BodyText.of(design).program().paths()) {
            paths.add(path.toString());
        }
        return paths;
    }

    @Test
    void aPlainTextKeepsConditionsAndAddressesAndSaysWhatIsGone() {
        Block button = new Block(
                "b1",
                new Content.Button("Read it", "{document.link}", Align.START, "", ""),
                Look.USUAL,
                "document.link is filled",
                false);
        Block picture = Block.of("b2", new Content.Picture("x", 100, Align.START, "Hives", ""));
        Body body = new Body(List.of(new Band(
                "a", List.of(new Column(1, Column.Upright.TOP, List.of(button, picture))), Look.USUAL, "", false)));
        Converted plain = Conversion.convert(Mode.DESIGNED, body, "", Mode.PLAIN);
        assertThat(plain.text()).isEqualTo("{when document.link is filled}Read it: {document.link}{end}");
        assertThat(MergeParser.parse(plain.text()).problems()).isEmpty();
        assertThat(plain.lost()).containsExactly("Pictures.");
    }
}
