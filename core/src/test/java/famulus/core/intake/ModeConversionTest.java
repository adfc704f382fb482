package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.PageChoice;
import famulus.core.message.body.RichText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Templates turned into HTML that is changed by hand, and back. */
class ModeConversionTest {
    private static Design design(Mode mode, Body body) {
        return new Design(mode, body, HouseStyle.BARE, "", "");
    }

    private static Body body(Block... blocks) {
        return new Body(List.of(
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false)));
    }

    private static Body body(Content... contents) {
        List<Block> blocks = new ArrayList<>();
        for (Content content : contents) {
            blocks.add(Block.of("b" + blocks.size(), content));
        }
        return body(blocks.toArray(Block[]::new));
    }

    private static String source(Converted converted) {
        return ((Content.OwnHtml)
                        converted.body().blocks().findFirst().orElseThrow().content())
                .source();
    }

    @Test
    void aLettersFieldsAndChoicesStayAsTheyAreWritten() {
        Body letter = body(new Content.Text(RichText.plain(
                "Dear {person.first_name else \"you\"}{when deal.hive_count is more than 5}, many{end}")));
        Converted converted = ModeConversion.convert(design(Mode.LETTER, letter), "", Mode.SOURCE);
        assertThat(converted.mode()).isEqualTo(Mode.SOURCE);
        assertThat(source(converted))
                .contains(">Dear {person.first_name else \"you\"}{when deal.hive_count is more than 5}, many{end}</p>");
    }

    @Test
    void linksOfFieldsAreLinksStill() {
        Body body = body(
                new Content.Button("Plan for {organisation.name}", "{deal.plan_link}", Align.START, "", ""),
                new Content.Button("News", "https://x.example/?for={person.email}", Align.START, "", ""));
        assertThat(source(ModeConversion.convert(design(Mode.DESIGNED, body), "", Mode.SOURCE)))
                .contains("href=\"{deal.plan_link}\"", ">Plan for {organisation.name}<")
                .contains("href=\"https://x.example/?for={person.email}\"");
    }

    @Test
    void whatIsWorkedOutForEverybodyAndConditionsOfBlocksAreSaidToBeLost() {
        Block shown = new Block(
                "b", new Content.Text(RichText.plain("Only some")), Look.USUAL, "deal.hive_count is filled", false);
        Block items = Block.of("i", new Content.Items(List.of(Content.ItemColumn.TOTAL), true, "no lines"));
        Converted converted = ModeConversion.convert(design(Mode.DESIGNED, body(shown, items)), "", Mode.SOURCE);
        assertThat(source(converted)).contains("Only some").doesNotContain("{when");
        assertThat(converted.lost())
                .anyMatch(one -> one.contains("Conditions"))
                .anyMatch(one -> one.contains("item table"));
    }

    @Test
    void thePageThatWasChosenStays() {
        PageChoice narrow = new PageChoice(480, "#224466", "", Optional.empty());
        Body chosen = new Body(body(new Content.Text(RichText.plain("Dear"))).bands(), narrow);
        Converted source = ModeConversion.convert(design(Mode.DESIGNED, chosen), "", Mode.SOURCE);
        assertThat(source.body().page()).isEqualTo(narrow);
        assertThat(ModeConversion.convert(design(Mode.SOURCE, source.body()), "", Mode.DESIGNED)
                        .body()
                        .page())
                .isEqualTo(narrow);
    }

    @Test
    void plainWordsBecomeASource() {
        Converted converted =
                ModeConversion.convert(design(Mode.PLAIN, Body.EMPTY), "Dear {person.first_name},\n\nbye", Mode.SOURCE);
        assertThat(source(converted)).contains("Dear {person.first_name},</p>", ">bye</p>");
    }

    @Test
    void aSourceIsRebuiltAsBlocksOrAsWords() {
        Body source = ModeConversion.ofSource("<script>x()</script><h1>Spring</h1><p>Dear {person.first_name}</p>");
        Converted letter = ModeConversion.convert(design(Mode.SOURCE, source), "", Mode.LETTER);
        assertThat(letter.body().blocks().map(Block::content).map(Content::kind))
                .containsExactly("text");
        Converted plain = ModeConversion.convert(design(Mode.SOURCE, source), "", Mode.PLAIN);
        assertThat(plain.text()).isEqualTo("Spring\n\nDear {person.first_name}");
        assertThat(plain.lost()).isNotEmpty();
    }

    @Test
    void otherConversionsAreAsBefore() {
        Body letter = body(new Content.Text(RichText.plain("Dear")));
        assertThat(ModeConversion.convert(design(Mode.LETTER, letter), "", Mode.PLAIN)
                        .text())
                .isEqualTo("Dear");
        assertThat(ModeConversion.convert(design(Mode.SOURCE, letter), "", Mode.SOURCE)
                        .body())
                .isEqualTo(letter);
    }
}
