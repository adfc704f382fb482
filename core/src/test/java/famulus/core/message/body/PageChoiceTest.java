package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.core.message.body.HouseStyle.FontFamily;
import famulus.core.message.body.HouseStyle.Page;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PageChoiceTest {
    private static final HouseStyle STYLE = HouseStyle.BARE;

    private static Body body(String page) throws UnreadableBody {
        return BodyJson.read("{\"version\":1,\"page\":" + page + ",\"bands\":[]}");
    }

    @Test
    void takesTheStyleWhereItChoosesNothing() {
        assertThat(PageChoice.NONE.on(STYLE)).isEqualTo(STYLE);
        HouseStyle chosen = new PageChoice(480, "", "", Optional.empty()).on(STYLE);
        assertThat(chosen.page().width()).isEqualTo(480);
        assertThat(chosen.page().background()).isEqualTo(STYLE.page().background());
        assertThat(chosen.type()).isEqualTo(STYLE.type());
    }

    @Test
    void standsInTheDesignOfItsMessage() throws Exception {
        Body body = body("{\"width\":700,\"background\":\"#eeeeee\",\"linkColour\":\"#aa0000\",\"text\":\"serif\"}");
        HouseStyle style = new Design(Mode.DESIGNED, body, STYLE, "", "").style();
        assertThat(style.page()).isEqualTo(new Page(700, "#eeeeee", STYLE.page().sheet(), true));
        assertThat(style.type().linkColour()).isEqualTo("#aa0000");
        assertThat(style.type().text()).isEqualTo(FontFamily.SERIF);
        assertThat(BodyJson.read(BodyJson.write(body))).isEqualTo(body);
    }

    @Test
    void countsForNothingWhereTheStyleIsFixed() {
        HouseStyle fixed = STYLE.with(new Page(600, "#ffffff", "#ffffff", false), STYLE.type());
        assertThat(new PageChoice(480, "#000000", "#ffffff", Optional.of(FontFamily.SERIF)).on(fixed))
                .isEqualTo(fixed);
    }

    @Test
    void whatIsOutOfRangeIsRefusedWithItsName() {
        for (String page : List.of(
                "{\"width\":319}", "{\"width\":901}", "{\"background\":\"red\"}", "{\"text\":\"wingdings\"}", "7")) {
            assertThatThrownBy(() -> body(page)).as(page).isInstanceOf(UnreadableBody.class);
        }
    }

    @Test
    void isMergedLikeABlock() throws Exception {
        Body base = body("{}");
        Body mine = body("{\"width\":500}");
        Body theirs = body("{\"width\":700}");
        assertThat(Merging.of(base, mine, base).mineFirst().page().width()).isEqualTo(500);
        assertThat(Merging.of(base, base, theirs).mineFirst().page().width()).isEqualTo(700);
        Merging.MergedBodies both = Merging.of(base, mine, theirs);
        assertThat(both.both()).containsExactly("page");
        assertThat(both.mineFirst().page().width()).isEqualTo(500);
        assertThat(both.theirsFirst().page().width()).isEqualTo(700);
    }

    @Test
    void goesAlongIntoALetterAndIsSaidToBeLostInPlainText() throws Exception {
        Body body = body("{\"width\":500}");
        assertThat(Conversion.convert(Mode.DESIGNED, body, "", Mode.LETTER)
                        .body()
                        .page())
                .isEqualTo(body.page());
        assertThat(Conversion.convert(Mode.DESIGNED, body, "", Mode.PLAIN).lost())
                .containsExactly("Page: its own width, colours and fonts.");
    }
}
