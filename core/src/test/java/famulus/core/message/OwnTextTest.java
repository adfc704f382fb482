package famulus.core.message;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Value;
import famulus.core.merge.Analyser;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.personal.FieldsAgain;
import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.PersonalMessage;
import famulus.core.message.personal.Personalised;
import famulus.core.message.render.Renderer;
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

class OwnTextTest {
    private static final Map<String, Value> INES =
            Map.of("person.first_name", new Value.Text("Ines"), "deal.name", new Value.Text("East"));

    private static Design design(Content... contents) {
        List<Block> blocks = IntStream.range(0, contents.length)
                .mapToObj(i -> Block.of("b" + i, contents[i]))
                .toList();
        Band band = new Band("a", List.of(new Column(1, Column.Upright.TOP, blocks)), Look.USUAL, "", false);
        return new Design(Mode.DESIGNED, new Body(List.of(band)), HouseStyle.BARE, "", "");
    }

    private static Content text(String words) {
        return new Content.Text(RichText.plain(words));
    }

    private static Content button(String link) {
        return new Content.Button("See {deal.name}", link, Align.START, "", "");
    }

    private static MergedMessage merged(MessageSource source) {
        return MergedFor.values(source, INES);
    }

    private static MessageSource kept(Design design, String words) {
        return MessageSource.designed("Hello", "", design)
                .keeping(new OwnText(words, OwnText.saying(design)), design.of(Body.EMPTY));
    }

    private static List<String> notes(MessageSource source) {
        return Proofreader.standard()
                .read(new ProofSubject(
                        source,
                        Map.of(),
                        merged(source),
                        "Ines",
                        path -> path.words().getLast(),
                        true,
                        Circumstances.on(LocalDate.EPOCH, Locale.UK)))
                .stream()
                .map(Note::code)
                .toList();
    }

    @Test
    void theDerivedTextIsBegunWithFieldsAsTheyAreWritten() {
        Design design = design(
                text(
                        "Dear {person.first_name as name else \"friend\"}, \\{so\\} {when deal.name is filled}{deal.name}{otherwise}soon{end}."),
                button("https://x.example/?d={deal.name}"));
        String begun = Renderer.textAsWritten(design);
        assertThat(begun)
                .isEqualTo(
                        "Dear {person.first_name as name else \"friend\"}, \\{so\\} {when deal.name is filled}{deal.name}"
                                + "{otherwise}soon{end}.\n\nSee {deal.name}: https://x.example/?d={deal.name}");
        assertThat(merged(kept(design, begun)).plainText().text())
                .isEqualTo("Dear Ines, {so\\} East.\n\nSee East: https://x.example/?d=East");
    }

    @Test
    void whatItLacksStopsTheMessage() {
        assertThat(notes(kept(design(text("Hello")), "Dear {person.last_name}")))
                .contains("gap");
        assertThat(notes(kept(design(text("Hello")), "{write in \"what we said\"}")))
                .contains("ask-open");
    }

    /** Whatever stops words of a message stops those. */
    @Test
    void whatNoMessageMaySayIsNotSaidInItEither() {
        assertThat(notes(kept(design(text("Hello")), "Dear Ines, the price is TBC.")))
                .contains("filler");
        assertThat(notes(kept(design(text("Hello")), "See https:// for more"))).contains("link-nowhere");
        Analyser nothingKnown = new Analyser(new FieldCatalogue(List.of()), About.CONTACT);
        MessageSource unknown = kept(design(text("Hello")), "Dear {person.oops}");
        assertThat(unknown.parse().problems(nothingKnown).get(MessagePart.PLAIN_TEXT))
                .isNotEmpty();
    }

    @Test
    void aMessageThatHasChangedSinceIsANote() {
        Design design = design(text("Dear {person.first_name}"));
        MessageSource kept = kept(design, "Dear {person.first_name}!");
        assertThat(notes(kept)).doesNotContain("drift");
        Design changed = design(text("Good day, {person.first_name}"));
        MessageSource drifted =
                MessageSource.designed("Hello", "", changed).keeping(kept.own().orElseThrow(), changed.of(Body.EMPTY));
        assertThat(notes(drifted)).contains("drift");
    }

    /** A message that says what its template says has not drifted, and drifts once somebody changes it. */
    @Test
    void aMessageOfItsOwnHasItsOwnToo() {
        Design design = design(text("Dear {person.first_name}"), button("https://x.example/"));
        MessageSource template = kept(design, "Dear {person.first_name}!");
        PersonalMessage message = Personalised.of(template, merged(template));
        OwnText own = message.own().orElseThrow();
        assertThat(own.words()).isEqualTo("Dear Ines!");
        assertThat(message.texts().get(MergedText.PLAIN_TEXT).values()).hasSize(1);

        Design personal = design.of(message.body().orElseThrow());
        MessageSource written = MessageSource.designed("Hello", "", personal).keeping(own, design.of(Body.EMPTY));
        assertThat(notes(written)).doesNotContain("drift");

        FieldsAgain.Written again = FieldsAgain.of(written, message.texts(), message.links());
        assertThat(again.own()).isEqualTo(template.own());

        Design hand = design(text("Dear Ines, and all"), button("https://x.example/"));
        MessageSource changed = MessageSource.designed("Hello", "", hand).keeping(own, design.of(Body.EMPTY));
        assertThat(notes(changed)).contains("drift");
        PersonalMessage of = Personalised.of(changed, merged(changed));
        assertThat(of.own().orElseThrow().of()).as("once drifted it stays so").isEqualTo(own.of());
    }
}
