package famulus.core.message.personal;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Value;
import famulus.core.message.MergedFor;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RandomBody;
import famulus.core.message.body.RichText;
import famulus.core.message.render.Renderer;
import famulus.core.message.render.Rendering;
import famulus.core.message.render.ToRender;
import famulus.core.message.render.ToRender.DealLines;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PersonalisedTest {
    private static final Map<String, Value> SOMEBODY = Map.of(
            "person.first_name", new Value.Text("I{n\\és"),
            "deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 25)),
            "deal.hive_count", new Value.Number(new BigDecimal("48")),
            "deal.name", new Value.Text("Larkfield & {Sons}"));

    private static PersonalMessage personal(MessageSource source, Map<String, Value> values) {
        return Personalised.of(source, MergedFor.values(source, values));
    }

    private static MessageSource designed(Mode mode, Body body) {
        return MessageSource.designed("For {person.first_name}", "", new Design(mode, body, HouseStyle.BARE, "", ""));
    }

    private static Rendering rendered(MessageSource source, Map<String, Value> values) {
        MergedMessage merged = MergedFor.values(source, values);
        return Renderer.render(new ToRender(
                source.layout().orElseThrow().design(),
                source.layout().orElseThrow().text(),
                merged.body(),
                MergedFor.SETTINGS,
                merged.subject().text(),
                "",
                DealLines.NONE,
                picture -> "cid:" + picture,
                null));
    }

    /** Two stretches that look the same are one, whether they were written as one or as two. */
    private static String joined(String html) {
        String before;
        String after = html;
        do {
            before = after;
            after = before.replaceAll("</(b|i|u|s|strong|em|span|a)><\\1( [^>]*)?>(?=)", "\u0000$1$2\u0000");
            after = after.replaceAll("\u0000[^\u0000]*\u0000", "");
        } while (!after.equals(before));
        return after;
    }

    @Test
    void isRenderedAsItsTemplateIsForTheSamePerson() throws Exception {
        for (int seed = 0; seed < 240; seed++) {
            Body body = new RandomBody(seed).body();
            Mode mode = seed % 2 == 0 ? Mode.LETTER : Mode.DESIGNED;
            Map<String, Value> values = seed % 3 == 0 ? Map.of() : SOMEBODY;
            MessageSource template = designed(mode, body);
            PersonalMessage message = personal(template, values);
            // It is kept as JSON, and read again.
            Body kept = BodyJson.read(BodyJson.write(message.body().orElseThrow()));
            MessageSource own = MessageSource.designed(
                    message.subject(), message.previewText(), new Design(mode, kept, HouseStyle.BARE, "", ""));

            Rendering expected = rendered(template, values);
            Rendering actual = rendered(own, values);
            assertThat(actual.text()).as("text of %s", seed).isEqualTo(expected.text());
            assertThat(joined(actual.html())).as("HTML of %s", seed).isEqualTo(joined(expected.html()));
            assertThat(actual.calendars()).as("calendars of %s", seed).isEqualTo(expected.calendars());
        }
    }

    @Test
    void nothingOfItIsChangedBeforeSomebodyDoes() {
        for (int seed = 0; seed < 300; seed++) {
            Mode mode = seed % 2 == 0 ? Mode.LETTER : Mode.DESIGNED;
            PersonalMessage message = personal(designed(mode, new RandomBody(seed).body()), SOMEBODY);
            Map<String, String> now = OwnTexts.of(MessageSource.designed(
                    message.subject(),
                    message.previewText(),
                    new Design(mode, message.body().orElseThrow(), HouseStyle.BARE, "", "")));
            now.forEach((key, text) -> assertThat(text)
                    .as("%s", key)
                    .isEqualTo(
                            message.texts().get(key) == null
                                    ? "no text " + key
                                    : message.texts().get(key).source()));
        }
    }

    @Test
    void aPlainMessageSaysTheSameAndKeepsWhatIsOpen() {
        MessageSource template = new MessageSource(
                "Hives for {person.first_name}",
                "",
                "Dear {person.title} {person.first_name},\n{when deal.hive_count is filled}{deal.hive_count} hives{end}\n"
                        + "{contact.note else nothing}\n{write in \"what we agreed\"} {person.oops}");

        PersonalMessage message = personal(template, SOMEBODY);

        assertThat(message.subject()).isEqualTo("Hives for I\\{n\\és");
        assertThat(message.words())
                .isEqualTo("Dear {person.title} I\\{n\\és,\n48 hives\n{write in \"what we agreed\"} {person.oops}");
        MergedText text = message.texts().get(MergedText.BODY);
        assertThat(text.values().stream().map(text::text)).containsExactly("I\\{n\\és", "48");
        MessageSource own = new MessageSource(message.subject(), "", message.words());
        assertThat(MergedFor.values(own, SOMEBODY).body().text())
                .isEqualTo(MergedFor.values(template, SOMEBODY).body().text());
    }

    @Test
    void aPassageIsBlocksOfTheMessageWhereItLooksTheSame() {
        Block passage = Block.of(
                "p",
                new Content.Passage(
                        "terms",
                        "Terms",
                        List.of(band("x", Block.of("y", text("Half before, {person.first_name}."))))));
        MessageSource template = designed(Mode.LETTER, new Body(List.of(band("b", passage))));

        Body body = personal(template, SOMEBODY).body().orElseThrow();

        assertThat(body.blocks().map(block -> block.content().kind())).containsExactly("text");
        assertThat(Inserts.has(body, Content.Passage.class)).isFalse();
    }

    private static famulus.core.message.body.Band band(String id, Block block) {
        return new famulus.core.message.body.Band(
                id,
                List.of(new famulus.core.message.body.Column(
                        1, famulus.core.message.body.Column.Upright.TOP, List.of(block))),
                famulus.core.message.body.Look.USUAL,
                "",
                false);
    }

    private static Content text(String words) {
        return new Content.Text(RichText.plain(words));
    }
}
