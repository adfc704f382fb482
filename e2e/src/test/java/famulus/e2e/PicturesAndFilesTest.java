package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Pictures and files of a message: brought, cut, attached, refused. */
class PicturesAndFilesTest extends SheetTest {
    /** Takes an edge and moves it to the right, in pixels, without letting go. */
    private static void dragEdge(Page page, Locator edge, int by) {
        BoundingBox box = edge.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + by / 2.0, y);
        page.mouse().move(x + by, y);
    }

    /** A drop as another program makes it: what it carries, at the middle of an element. */
    private static void drop(Locator on, String type, String data) {
        on.evaluate(
                """
                (element, [type, data]) => {
                  const carried = new DataTransfer();
                  carried.setData(type, data);
                  const { left, top, width, height } = element.getBoundingClientRect();
                  const at = { clientX: left + width / 2, clientY: top + height / 2 };
                  for (const what of ['dragenter', 'dragover', 'drop']) {
                    element.dispatchEvent(new DragEvent(what, { ...at, dataTransfer: carried, bubbles: true, cancelable: true }));
                  }
                }
                """,
                List.of(type, data));
    }

    @Test
    void aPictureIsDroppedOnItsBlockAndWhatIsNoneIsRefused() throws IOException {
        Page page = beginFrom("Signe", "Delivery notice", "Pictured");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        button(page, "Picture").click();
        assertThat(page.getByText("No picture is chosen")).isVisible();
        button(page, "Choose a picture").click();
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(400, 200, BufferedImage.TYPE_INT_RGB), "png", png);
        Locator settings = slip(page, "Picture 2");
        settings.locator("input[type=file]").setInputFiles(new FilePayload("x.png", "image/png", "MZ".getBytes()));
        assertThat(settings.getByRole(AriaRole.ALERT)).containsText("This is not a picture");
        settings.locator("input[type=file]").setInputFiles(new FilePayload("Gate.png", "image/png", png.toByteArray()));
        assertThat(message(page)
                        .locator("img[src*='/api/materials/pictures/'][width='240']")
                        .last())
                .isVisible();
        settings.getByLabel("width in pixels").fill("120");
        settings.getByLabel("width in pixels").blur();
        assertThat(message(page).locator("img[width='120']")).isVisible();
        page.keyboard().press("Escape");
        assertThat(page.getByText("The picture has no description")).isVisible();

        // Its edge is dragged, and moved by keys; Escape leaves it as it was.
        Locator edge = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Width of the picture"));
        dragEdge(page, edge, 64);
        page.mouse().up();
        assertThat(message(page).locator("img[width='200']")).isVisible();
        page.keyboard().press("ArrowLeft");
        assertThat(message(page).locator("img[width='192']")).isVisible();
        dragEdge(page, edge, 40);
        page.keyboard().press("Escape");
        page.mouse().up();
        assertThat(edge).hasAttribute("aria-valuenow", "192");

        textbox(page, "Block 2, picture: description").fill("The gate to the long row");
        assertThat(page.getByText("The picture has no description")).isHidden();
        assertThat(message(page).locator("img[alt='The gate to the long row']")).isVisible();
    }

    @Test
    void aPictureIsCutByDraggingAndByKeysBrightenedAndTinted() {
        Page page = beginFrom("Signe", "Welcome", "Retouched");
        button(page, "Choose another picture").click();
        button(page, "Crop, brighten, tint").click();
        Locator left = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Crop the left"));
        var box = left.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + 60, box.y + box.height / 2, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        Locator shown = message(page).locator("img[src*='~cut.']");
        assertThat(shown).isVisible();
        page.getByLabel("left", new Page.GetByLabelOptions().setExact(true)).fill("0");
        page.getByLabel("left", new Page.GetByLabelOptions().setExact(true)).blur();
        assertThat(shown).hasCount(0);
        left.press("Shift+ArrowRight");
        left.press("ArrowRight");
        assertThat(message(page).locator("img[src*='~cut.11.0.0.0~']")).isVisible();
        page.getByLabel("right", new Page.GetByLabelOptions().setExact(true)).fill("95");
        page.getByLabel("right", new Page.GetByLabelOptions().setExact(true)).blur();
        assertThat(message(page).locator("img[src*='~cut.11.0.79.0~']")).isVisible();
        page.getByLabel("Brightness, from -100 to 100").fill("-30");
        page.getByLabel("Brightness, from -100 to 100").blur();
        button(page, "Tint it").click();
        assertThat(message(page).locator("img[src*='~light.-30~tint.3c5b82.60~']"))
                .isVisible();
        button(page, "Undo all changes").click();
        assertThat(message(page).locator("img[src*='~tint.']")).hasCount(0);
    }

    @Test
    void aFileIsAttachedAndAProgramIsRefused() {
        Page page = beginFrom("Signe", "Delivery notice", "With a file");
        button(page, "attach a file").click();
        Locator along = slip(page, "Attach a file");
        Locator chooser = along.locator("input[type=file]");
        chooser.setInputFiles(new FilePayload("tool.exe", "application/octet-stream", "MZ".getBytes()));
        assertThat(along.getByRole(AriaRole.ALERT)).containsText("tool.exe: This is a program or has macros.");
        chooser.setInputFiles(new FilePayload("Prices.pdf", "application/pdf", "%PDF".getBytes()));
        // The name alone is there while the file is still coming in.
        assertThat(button(page, "Remove Prices.pdf")).isVisible();
        settled(page);
        page.reload();
        assertThat(button(page, "Remove Prices.pdf")).isVisible();
        button(page, "Remove Prices.pdf").click();
        assertThat(draft(page).getByText("Prices.pdf")).isHidden();
    }

    @Test
    void aPictureFromAWebPageComesInOrIsToldToBeElsewhere() {
        Page page = beginFrom("Signe", "Welcome", "With pictures");
        Locator picture = button(page, "Choose another picture").first();
        drop(picture, "text/html", "<img src='https://pages.example/orchard.jpg'>");
        assertThat(page.getByText("This picture is on a web page, and nothing is fetched from there."))
                .isVisible();
        String dot = "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==";
        drop(picture, "text/html", "<img src='data:image/png;base64," + dot + "'>");
        Locator chosen = page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("picture").setExact(true));
        assertThat(chosen.first()).hasAttribute("aria-pressed", "true");
        page.keyboard().press("Escape");

        Locator words = page.getByRole(
                        AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile(", text$")))
                .first();
        drop(words, "text/html", "<p>Dropped <b>words</b></p><img src='https://pages.example/x.png'>");
        assertThat(words.locator("strong, b").filter(new Locator.FilterOptions().setHasText("words")))
                .isVisible();
        assertThat(page.getByText("Left out of what was pasted: a picture.")).isVisible();
    }

    /** The message itself and another template go along as PDF, made for its person. */
    @Test
    void aMessageGoesWithPapers() {
        Page page = openContact("Signe", "Leopold Gosling");
        page.keyboard().press("w");
        page.getByText("an empty letter").click();
        textbox(page, "Subject of this message").fill("Papers for you");
        button(page, "attach a file").click();
        Locator attach = slip(page, "Attach a file");
        page.getByLabel("Size of the paper").selectOption("A4");
        attach.getByText("this message").click();
        Locator files = page.locator(".file");
        assertThat(files).containsText("Papers for you.pdf");
        Download pdf = page.waitForDownload(
                () -> files.getByRole(AriaRole.LINK).first().click());
        assertThat(pdf.suggestedFilename()).isEqualTo("Papers for you.pdf");

        button(page, "attach another").click();
        page.getByLabel("or another template for them").fill("welcome");
        attach.getByText("Welcome", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(files).hasCount(2);
        assertThat(files.last()).containsText(Pattern.compile("^Welcome to Brindlewing.*\\.pdf"));
        button(page, "Discard").click();
    }
}
