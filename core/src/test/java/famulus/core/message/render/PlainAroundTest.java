package famulus.core.message.render;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Value;
import famulus.core.message.MergedFor;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.render.ToRender.DealLines;
import famulus.core.proof.Circumstances;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PlainAroundTest {
    private static final Map<String, Value> OURS =
            Map.of("our.name", new Value.Text("Brindlewing {x}"), "our.town", new Value.Text("Harrow Vale"));

    private static Band band(String id, Content... contents) {
        List<Block> blocks = IntStream.range(0, contents.length)
                .mapToObj(i -> Block.of(id + i, contents[i]))
                .toList();
        return new Band(id, List.of(new Column(1, Column.Upright.TOP, blocks)), Look.USUAL, "", false);
    }

    private static final HouseStyle STYLE = new HouseStyle(
            "Ours",
            HouseStyle.BARE.page(),
            HouseStyle.BARE.type(),
            16,
            HouseStyle.BARE.button(),
            List.of(new Wrapping(
                    "Logo",
                    List.of(band(
                            "h",
                            new Content.Picture("logo", 200, Align.START, "Our logo", ""),
                            new Content.Picture("mark", 80, Align.START, "Our pages", "https://ours.example/"),
                            new Content.Text(RichText.plain("{our.name}")))))),
            List.of(new Wrapping(
                    "Call us",
                    List.of(band("f", new Content.Button("Call us", "https://call.example/", Align.START, "", ""))))),
            RichText.plain("{our.name}, {our.town}"));

    private static MessageSource plain(String header) {
        return MessageSource.plain(
                "Hello", "", "Dear Ines,\n\nhello.\n", new Design(Mode.DESIGNED, Body.EMPTY, STYLE, header, ""));
    }

    private static PlainAround around(MessageSource source) {
        MessageSource.Layout layout = source.around().orElseThrow();
        return PlainAround.of(new ToRender(
                layout.design(),
                layout.text(),
                MergedFor.values(source, OURS).around(),
                MergedFor.SETTINGS,
                "",
                "",
                DealLines.NONE,
                picture -> picture,
                null));
    }

    @Test
    void wordsOfTheStyleStandAroundThoseOfTheMessage() {
        assertThat(around(plain("")).whole("Dear Ines,\n\nhello.\n"))
                .isEqualTo(
                        """
                        Our pages: https://ours.example/

                        Brindlewing {x}

                        Dear Ines,

                        hello.

                        Call us: https://call.example/

                        ----------

                        Brindlewing {x}, Harrow Vale""");
    }

    @Test
    void aTemplateMayWantNoHeader() {
        assertThat(around(plain(Design.NONE)).above()).isEmpty();
    }

    @Test
    void aStyleThatSaysNothingIsNotThere() {
        MessageSource source =
                MessageSource.plain("", "", "x", new Design(Mode.DESIGNED, Body.EMPTY, HouseStyle.BARE, "", ""));
        assertThat(around(source)).isEqualTo(PlainAround.NONE);
        assertThat(PlainAround.NONE.whole(" Dear Ines \n")).isEqualTo("Dear Ines");
    }

    @Test
    void whatTheStyleLacksStopsTheMessage() {
        MessageSource source = plain("");
        MergedMessage merged = MergedFor.values(source, Map.of("our.name", new Value.Text("Brindlewing")));
        List<Note> notes = Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        merged,
                        "Ines",
                        path -> path.words().getLast(),
                        true,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)));
        assertThat(notes.stream().filter(Note::stops).map(Note::title)).containsExactly("Our company has no town");
        assertThat(merged.complete()).isFalse();
    }

    private static List<String> stops(RichText smallPrint, String link) {
        HouseStyle style = new HouseStyle(
                "Ours",
                STYLE.page(),
                STYLE.type(),
                16,
                STYLE.button(),
                List.of(),
                List.of(new Wrapping(
                        "Call us", List.of(band("f", new Content.Button("Call us", link, Align.START, "", ""))))),
                smallPrint);
        MessageSource source =
                MessageSource.plain("Hello", "", "Dear Ines", new Design(Mode.DESIGNED, Body.EMPTY, style, "", ""));
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        MergedFor.values(source, OURS),
                        "Ines",
                        path -> path.words().getLast(),
                        true,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)))
                .stream()
                .filter(Note::stops)
                .map(note -> note.code() + " " + note.part())
                .toList();
    }

    /** What the style says leaves with the message, so it is read like the message. */
    @Test
    void whatNoMessageMaySayIsNotSaidAroundItEither() {
        assertThat(stops(RichText.plain("{our.name}"), "https://call.example/")).isEmpty();
        assertThat(stops(RichText.plain("Registered office: TBC"), "https://call.example/"))
                .containsExactly("filler AROUND");
        assertThat(stops(RichText.plain("{our.name}"), "https://")).containsExactly("link-nowhere AROUND");
        assertThat(stops(RichText.plain("{our.name}"), "")).containsExactly("link-nowhere AROUND");
    }

    @Test
    void anotherStyleSaysSomethingElseAroundTheSameWords() {
        MessageSource other = plain("").styled(style -> HouseStyle.BARE);
        assertThat(around(other)).isEqualTo(PlainAround.NONE);
        assertThat(other.body()).isEqualTo(plain("").body());
    }
}
