package famulus.core.message.personal;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Value;
import famulus.core.message.MergedFor;
import famulus.core.message.MessageSource;
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
import famulus.core.message.body.RandomBody;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.personal.FieldsAgain.Written;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FieldsAgainTest {
    private static final Map<String, Value> INES = Map.of(
            "person.first_name", new Value.Text("I{n\\és"),
            "deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 25)),
            "deal.hive_count", new Value.Number(new BigDecimal("48")),
            "deal.name", new Value.Text("Larkfield & {Sons}"));
    private static final Map<String, Value> TOM = Map.of("person.first_name", new Value.Text("Tom"));

    private static PersonalMessage personal(MessageSource source, Map<String, Value> values) {
        return Personalised.of(source, MergedFor.values(source, values));
    }

    private static MessageSource letter(String subject, Body body) {
        return MessageSource.designed(subject, "", new Design(Mode.LETTER, body, HouseStyle.BARE, "", ""));
    }

    private static Body body(Content content) {
        Block block = Block.of("t", content);
        return new Body(List.of(
                new Band("b", List.of(new Column(1, Column.Upright.TOP, List.of(block))), Look.USUAL, "", false)));
    }

    private static Written again(MessageSource now, PersonalMessage begun) {
        return FieldsAgain.of(now, begun.texts(), begun.links());
    }

    private static Run run(String text, boolean bold, String link) {
        return new Run(text, new Marks(bold, false, false, false, "", 0, link));
    }

    private static Content.Text paragraph(Run... runs) {
        return new Content.Text(
                new RichText(List.of(new Paragraph(RichText.Kind.PARAGRAPH, Align.START, List.of(runs)))));
    }

    private static Content block(Written written) {
        return written.body().orElseThrow().block("t").orElseThrow().content();
    }

    @Test
    void mergedForTheSamePersonItSaysWhatItSaid() {
        for (int seed = 0; seed < 200; seed++) {
            PersonalMessage message = personal(letter("For {person.first_name}", new RandomBody(seed).body()), INES);
            MessageSource own = letter(message.subject(), message.body().orElseThrow());

            Written written = again(own, message);

            MessageSource template = letter(written.subject(), written.body().orElseThrow());
            assertThat(personal(template, INES).body()).as("body of %s", seed).isEqualTo(message.body());
            assertThat(written.subject()).isEqualTo("For {person.first_name}");
        }
    }

    @Test
    void wordsOfTheSenderStayAndValuesAreFieldsAgain() {
        MessageSource template = new MessageSource(
                "Hives for {person.first_name}", "", "Dear {person.first_name},\n{deal.hive_count} hives come.");
        PersonalMessage begun = personal(template, INES);
        MessageSource own = new MessageSource(
                begun.subject(), "", begun.words().replace("48 hives", "50 hives") + " See you \\soon{write in \"x\"}");

        Written written = again(own, begun);

        assertThat(written.subject()).isEqualTo("Hives for {person.first_name}");
        assertThat(written.words())
                .isEqualTo("Dear {person.first_name},\n50 hives come. See you \\soon{write in \"x\"}");
        assertThat(MergedFor.values(new MessageSource("", "", written.words()), TOM)
                        .body()
                        .text())
                .startsWith("Dear Tom,");
    }

    @Test
    void aBackslashBeforeAFieldIsStillOne() {
        PersonalMessage begun = personal(new MessageSource("", "", "C:\\\\{deal.hive_count}"), INES);
        assertThat(begun.words()).isEqualTo("C:\\48");

        Written written = again(new MessageSource("", "", begun.words()), begun);

        assertThat(written.words()).isEqualTo("C:\\\\{deal.hive_count}");
    }

    @Test
    void aValueThatWasMadeBoldInPartStaysWords() {
        Body template = body(paragraph(run("{deal.hive_count} hives", false, "")));
        PersonalMessage begun = personal(letter("", template), INES);

        Written written = again(letter("", body(paragraph(run("4", true, ""), run("8 hives", false, "")))), begun);

        assertThat(block(written)).isEqualTo(paragraph(run("4", true, ""), run("8 hives", false, "")));
    }

    @Test
    void anAddressWithAValueIsOneForOthersAgain() {
        String address = "https://larkfield.example/?for={person.first_name}";
        Body template = body(paragraph(run("Look here", false, address), run(" or there.", false, "")));
        PersonalMessage begun = personal(letter("", template), INES);
        Content.Text said = (Content.Text)
                begun.body().orElseThrow().block("t").orElseThrow().content();
        assertThat(said.text().paragraphs().getFirst().runs().getFirst().marks().link())
                .isEqualTo("https://larkfield.example/?for=I%7Bn%5C%C3%A9s");

        Written written = again(letter("", begun.body().orElseThrow()), begun);

        assertThat(block(written)).isEqualTo(template.block("t").orElseThrow().content());
    }
}
