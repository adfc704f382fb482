package famulus.server.materials;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.platform.Refusal;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures that mail programs don't show are kept as PNG, or refused in words. */
class PictureFileTest {
    private static PictureFile svg(String inside) {
        return PictureFile.read(
                ("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"40\" height=\"20\">" + inside + "</svg>")
                        .getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void anSvgIsDrawnAtTwiceItsSize() throws Exception {
        PictureFile drawn = svg("<rect width=\"20\" height=\"20\" fill=\"#ff0000\"/>");
        assertThat(drawn.mediaType()).isEqualTo("image/png");
        assertThat(drawn.width()).isEqualTo(80);
        assertThat(drawn.height()).isEqualTo(40);
        BufferedImage points = ImageIO.read(new ByteArrayInputStream(drawn.content()));
        assertThat(points.getRGB(10, 20)).isEqualTo(0xffff0000);
        assertThat(points.getRGB(70, 20)).as("clear where nothing is drawn").isZero();
    }

    @Test
    void aHugeDrawingIsDrawnNoWiderThanAMessageShows() {
        PictureFile drawn = PictureFile.read(
                "<?xml version=\"1.0\"?><svg xmlns=\"http://www.w3.org/2000/svg\" width=\"50000\" height=\"50000\"/>"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(drawn.width()).isEqualTo(1200);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<rect onload=\"x()\" width=\"1\" height=\"1\"/>",
                "<image href=\"https://x.example/a.png\"/>",
                "<image xlink:href=\"file:///etc/passwd\"/>",
                "<use href=\"other.svg#a\"/>",
                "<style>@import 'https://x.example/a.css';</style>",
                "<rect style=\"fill:url(https://x.example/#a)\"/>",
                "<foreignObject><p>x</p></foreignObject>",
                "<a href=\"javascript:alert(1)\"/>"
            })
    void aDrawingThatRunsOrRefersToSomethingOutsideIsRefused(String inside) {
        assertThatThrownBy(() -> svg(inside)).isInstanceOf(Refusal.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"<svg", "<svg><rect", "<?xml version=\"1.0\"?><svg xmlns=\"x\"><a></b></svg>"})
    void aDamagedDrawingIsRefused(String text) {
        assertThatThrownBy(() -> PictureFile.read(text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void entitiesAreNeverReadIn() {
        String text = "<!DOCTYPE svg [<!ENTITY x SYSTEM \"file:///etc/passwd\">]>"
                + "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"4\" height=\"4\"><text>&x;</text></svg>";
        assertThatThrownBy(() -> PictureFile.read(text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void aWebpIsKeptAsPng() {
        byte[] webp = Base64.getDecoder().decode("UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA==");
        PictureFile kept = PictureFile.read(webp);
        assertThat(kept.mediaType()).isEqualTo("image/png");
        assertThat(kept.width()).isEqualTo(1);
        assertThat(kept.height()).isEqualTo(1);
    }

    /** Each of these took seconds or all memory when it was drawn within the application. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "<filter id=\"f\"><feGaussianBlur stdDeviation=\"5000\"/></filter>"
                        + "<rect width=\"20\" height=\"20\" filter=\"url(#f)\"/>",
                "<path stroke=\"red\" stroke-dasharray=\"0.0001\" d=\"M0 0 L100000 100000\"/>",
                "<g id=\"a\"><rect width=\"1\" height=\"1\"/></g><g id=\"b\"><use href=\"#a\"/><use href=\"#a\"/></g>",
            })
    void aDrawingIsDrawnOrRefusedAndTheApplicationGoesOn(String inside) throws Exception {
        try {
            assertThat(svg(inside).mediaType()).isEqualTo("image/png");
        } catch (Refusal tooMuch) {
            assertThat(tooMuch.fields().get("file")).contains("too long to draw");
        }
        anSvgIsDrawnAtTwiceItsSize();
    }

    @Test
    void aDrawingOfAnyLengthIsRefusedOrDrawn() {
        String path = "M0 0" + " L9 9 L0 3".repeat(400_000);
        assertThatThrownBy(() -> svg("<path d=\"" + path + "\"/>")).isInstanceOf(Refusal.class);
    }
}
