package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.HouseStyle.Wrapping;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a house style has around its messages. */
class HouseStyleTest {
    private static Wrapping wrapping(String name, String words) {
        Block block = Block.of("b" + words, new Content.Text(RichText.plain(words)));
        Band band = new Band(
                "band" + words, List.of(new Column(1, Column.Upright.TOP, List.of(block))), Look.USUAL, "", false);
        return new Wrapping(name, List.of(band));
    }

    private static final HouseStyle STYLE =
            HouseStyle.BARE.wearing(true, wrapping("Wide", "one")).wearing(true, wrapping("Narrow", "two"));

    @Test
    void bandsTakeThePlaceOfThoseOfTheSameName() {
        HouseStyle other = STYLE.wearing(true, wrapping("Wide", "three"));
        assertThat(other.headers()).containsExactly(wrapping("Wide", "three"), wrapping("Narrow", "two"));
        assertThat(STYLE.headers()).containsExactly(wrapping("Wide", "one"), wrapping("Narrow", "two"));
        assertThat(STYLE.wearing(false, wrapping("Wide", "foot")).headers()).isEqualTo(STYLE.headers());
    }

    @Test
    void theFirstOneIsTheUsualOneAndTheNextFollowsWhenItIsGone() {
        assertThat(STYLE.header("")).contains(wrapping("Wide", "one"));
        assertThat(STYLE.without(true, "Wide").header("")).contains(wrapping("Narrow", "two"));
        assertThat(STYLE.without(true, "Wide").without(true, "Narrow").header(""))
                .isEmpty();
        assertThat(STYLE.without(true, "Nobody")).isEqualTo(STYLE);
        assertThat(STYLE.footer("")).isEmpty();
    }

    @Test
    void onlyDesignedMessagesAndSourcesHaveThem() {
        for (Mode mode : Mode.values()) {
            Design design = new Design(mode, Body.EMPTY, STYLE, "Narrow", "");
            boolean wrapped = mode == Mode.DESIGNED || mode == Mode.SOURCE;
            assertThat(design.above()).as(mode.name()).hasSize(wrapped ? 1 : 0);
            assertThat(new Design(mode, Body.EMPTY, STYLE, Design.NONE, "").above())
                    .as(mode + " that wants none")
                    .isEmpty();
        }
    }

    @Test
    void aDesignInAnotherStyleKeepsWhatItChoseItself() {
        PageChoice narrow = new PageChoice(480, "", "", Optional.empty());
        Design design = new Design(Mode.DESIGNED, new Body(List.of(), narrow), HouseStyle.BARE, "Narrow", "");
        Design other = design.in(STYLE);
        assertThat(other.above()).isEqualTo(wrapping("Narrow", "two").bands());
        assertThat(other.style().page().width()).isEqualTo(480);
        assertThat(design.style().headers()).isEmpty();
    }
}
