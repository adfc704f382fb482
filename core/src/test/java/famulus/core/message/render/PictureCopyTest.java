package famulus.core.message.render;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Retouching;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PictureCopyTest {
    private static final String BEE = "3f2a0000-0000-4000-8000-000000000001";

    @Test
    void aPictureAsItIsHasItsOwnNameForAKey() {
        assertThat(new PictureCopy(BEE, Retouching.NONE, 0).key()).isEqualTo(BEE);
    }

    @Test
    void aKeySaysWhatIsDone() {
        Retouching retouching = new Retouching(5, 0, 10, 0, -20, "#3c5b82", 60);
        assertThat(new PictureCopy("bee", retouching, 480).key())
                .isEqualTo("bee~cut.5.0.10.0~light.-20~tint.3c5b82.60~wide.480");
    }

    @Test
    void aTintWithoutStrengthIsNone() {
        assertThat(new PictureCopy("bee", new Retouching(0, 0, 0, 0, 0, "#3c5b82", 0), 0).key())
                .isEqualTo("bee");
    }

    @ParameterizedTest
    @CsvSource({"72, 160", "80, 160", "81, 320", "240, 480", "600, 1200", "900, 1800"})
    void aCopyIsTwiceAsWideAsItIsShown(int shown, int wide) {
        assertThat(PictureCopy.shown("bee", Retouching.NONE, shown).most()).isEqualTo(wide);
    }

    @RepeatedTest(200)
    void aKeyReadGivesTheCopyAgain(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        boolean tinted = random.nextBoolean();
        Retouching retouching = new Retouching(
                random.nextInt(45),
                random.nextInt(45),
                random.nextInt(46),
                random.nextInt(46),
                random.nextInt(201) - 100,
                tinted ? String.format("#%06x", random.nextInt(0x1000000)) : "",
                tinted ? 1 + random.nextInt(100) : 0);
        PictureCopy copy = new PictureCopy(BEE, retouching, random.nextBoolean(), random.nextInt(10_000));
        assertThat(PictureCopy.of(copy.key())).contains(copy);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "../secret",
                "bee~",
                "bee~cut.5.0.10",
                "bee~cut.50.0.41.0",
                "bee~cut.0.91.0.0",
                "bee~light.101",
                "bee~light.-101",
                "bee~tint.3c5b8.50",
                "bee~tint.3c5b82.101",
                "bee~wide.99999",
                "bee~wide.480~light.5",
                "bee%0d%0a",
                "bee\r\nX: y"
            })
    void whatIsNoKeyNamesNothing(String key) {
        assertThat(PictureCopy.of(key)).isEmpty();
    }
}
