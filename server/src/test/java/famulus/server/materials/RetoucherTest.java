package famulus.server.materials;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Retouching;
import famulus.core.message.render.PictureCopy;
import famulus.server.materials.PictureService.PictureContent;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RetoucherTest {
    /** Red on the left half, white on the right. */
    private static byte[] halves(String format) throws IOException {
        BufferedImage picture = new BufferedImage(200, 100, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = picture.createGraphics();
        drawing.setColor(Color.WHITE);
        drawing.fillRect(0, 0, 200, 100);
        drawing.setColor(Color.RED);
        drawing.fillRect(0, 0, 100, 100);
        drawing.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(picture, format, bytes);
        return bytes.toByteArray();
    }

    private static PictureContent copy(String format, Retouching retouching, int most) throws IOException {
        return Retoucher.copy("image/" + format, halves(format), new PictureCopy("x", retouching, most));
    }

    private static BufferedImage points(PictureContent copy) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(copy.content()));
    }

    @Test
    void whatNeedsNoChangeKeepsItsBytes() throws IOException {
        assertThat(copy("png", Retouching.NONE, 200).content()).isEqualTo(halves("png"));
        assertThat(copy("png", Retouching.NONE, 0).content()).isEqualTo(halves("png"));
    }

    @Test
    void theStillOfAVideoHasAPlayMarkInItsMiddle() throws IOException {
        PictureCopy still = new PictureCopy("x", Retouching.NONE, 0).playing();
        BufferedImage marked = points(Retoucher.copy("image/png", halves("png"), still));
        assertThat(marked.getRGB(100, 50)).as("the triangle").isEqualTo(0xffffffff);
        assertThat(marked.getRGB(88, 50) & 0xff0000).as("the disc on red").isLessThan(0x600000);
        assertThat(marked.getRGB(5, 5)).as("all else").isEqualTo(0xffff0000);
    }

    @Test
    void whatIsCutOffIsGone() throws IOException {
        BufferedImage cut = points(copy("png", new Retouching(50, 10, 0, 20, 0, "", 0), 0));
        assertThat(cut.getWidth()).isEqualTo(100);
        assertThat(cut.getHeight()).isEqualTo(70);
        assertThat(cut.getRGB(0, 0)).as("the red half is cut off").isEqualTo(0xffffffff);
    }

    @Test
    void aCopyIsNoWiderThanAskedForAndKeepsItsShape() throws IOException {
        BufferedImage small = points(copy("png", Retouching.NONE, 50));
        assertThat(small.getWidth()).isEqualTo(50);
        assertThat(small.getHeight()).isEqualTo(25);
    }

    @Test
    void aPhotographStaysOneAndAStillGifBecomesAPng() throws IOException {
        Retouching darker = new Retouching(0, 0, 0, 0, -30, "", 0);
        assertThat(copy("jpeg", darker, 0).mediaType()).isEqualTo("image/jpeg");
        assertThat(copy("gif", darker, 0).mediaType()).isEqualTo("image/png");
    }

    @ParameterizedTest
    @CsvSource({
        "0, '', 0, ff336699",
        "100, '', 0, ffffffff",
        "-100, '', 0, ff000000",
        "-50, '', 0, ff19334c",
        "0, '#000000', 100, ff000000",
        "0, '#336699', 0, ff336699",
    })
    void colours(int brightness, String tint, int strength, String becomes) {
        int point = Retoucher.coloured(0xff336699, new Retouching(0, 0, 0, 0, brightness, tint, strength));
        assertThat(Integer.toHexString(point)).isEqualTo(becomes);
    }

    @Test
    void aTintLeavesBlackAndWhiteAndWhatIsClear() {
        Retouching tinted = new Retouching(0, 0, 0, 0, 0, "#3c5b82", 100);
        assertThat(Retoucher.coloured(0xff000000, tinted)).isEqualTo(0xff000000);
        assertThat(Retoucher.coloured(0xffffffff, tinted)).isEqualTo(0xffffffff);
        assertThat(Retoucher.coloured(0x00808080, tinted) >>> 24).isZero();
    }

    @Test
    void whatCanNotBeReadStaysAsItIs() {
        byte[] broken = {1, 2, 3};
        assertThat(Retoucher.copy("image/png", broken, new PictureCopy("x", Retouching.NONE, 10))
                        .content())
                .isEqualTo(broken);
    }

    @Test
    void copiesAreKeptUntilTheirPictureGoes() {
        PictureCopies copies = new PictureCopies();
        int[] made = {0};
        for (int turn = 0; turn < 3; turn++) {
            copies.of("bee~wide.160", () -> {
                made[0]++;
                return Optional.of(new PictureContent("image/png", new byte[10]));
            });
        }
        assertThat(made[0]).isEqualTo(1);
        copies.forget("bee");
        assertThat(copies.of("bee~wide.160", Optional::empty)).isEmpty();
    }

    @Test
    void theOldestCopiesAreLetGoWhenThereIsTooMuch() {
        PictureCopies copies = new PictureCopies();
        for (int i = 0; i < 20; i++) {
            copies.of("picture-" + i, () -> Optional.of(new PictureContent("image/png", new byte[1_000_000])));
        }
        assertThat(copies.of("picture-0", Optional::empty)).isEmpty();
        assertThat(copies.of("picture-19", Optional::empty)).isPresent();
    }
}
