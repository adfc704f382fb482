package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Letters and designed messages: begun from a design, proved, sent, and in the house's style. */
class DesignTest extends BrowserTest {
    private static Locator block(Page page, String name) {
        return textbox(page, name);
    }

    @Test
    void aDesignIsBegunWordsAreChangedAndTheProofFollows() {
        Page page = beginFrom("Signe", "Welcome", "Welcome to bees");
        assertThat(message(page).getByRole(AriaRole.HEADING).first()).hasText("Welcome");
        Locator text = block(page, "Block 4, text");
        text.focus();
        page.keyboard().press("Control+a");
        page.keyboard().type("Shall I call {person.first_name} on {today plus 2 working days as weekday}?");
        assertThat(text.locator(".chip")).hasCount(2);
        assertThat(message(page).getByText(Pattern.compile("Shall I call Despina on Thursday\\?")))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        page.reload();
        assertThat(block(page, "Block 4, text")).containsText("Shall I call");
    }

    @Test
    void aDesignIsBegunByKeysAloneAndTheCursorStandsInTheSubject() {
        Page page = openAs("Signe", "/templates/new");
        Locator letter = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^An empty letter")));
        assertThat(letter).isFocused();
        page.keyboard().press("ArrowDown");
        assertThat(letter).not().isFocused();
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Name for colleagues")).isFocused();
        page.keyboard().type("Blossom walk");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Subject")).isFocused();
        page.keyboard().type("Walk with me");
        assertThat(page.getByLabel("As the inbox shows it")).containsText("Walk with me");
    }

    @Test
    void theProofIsSeenOnAPhoneAsTextWithoutPicturesAndOverTheWholePage() {
        Page page = beginFrom("Signe", "Season’s greeting", "Greeting");
        Locator frame = page.locator("iframe[title='The message']");
        button(page, "phone").click();
        assertThat(frame).hasCSS("width", "390px");
        Locator edge = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Width of the preview"));
        edge.press("ArrowRight");
        assertThat(frame).hasCSS("width", "400px");
        var at = edge.boundingBox();
        page.mouse().move(at.x + 4, at.y + 100);
        page.mouse().down();
        page.mouse().move(at.x + 100, at.y + 100);
        // So near a tablet's width, it rests on it.
        page.mouse().up();
        assertThat(button(page, "tablet")).hasAttribute("aria-pressed", "true");
        assertThat(frame).hasCSS("width", "600px");
        button(page, "no pictures").click();
        assertThat(message(page).locator("img[src]")).hasCount(0);
        assertThat(message(page).locator("img").first()).hasAttribute("alt", "Brindlewing Pollination Services");
        button(page, "plain").click();
        assertThat(page.getByLabel("As plain text")).containsText("[A small house in the snow between bare trees]");
        page.getByRole(AriaRole.HEADING).first().click();
        page.keyboard().press("Escape");
        button(page, "wide").click();
        page.keyboard().press("p");
        assertThat(button(page, "back to the draft")).isVisible();
        page.keyboard().press("p");
        assertThat(button(page, "whole page")).isVisible();
    }

    @Test
    void aDesignedMessageIsSentAndReadByItsRecipient() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        page.keyboard().press("w");
        page.keyboard().type("Season");
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText("Season’s greeting"))
                .click();
        assertThat(page.getByText("some quiet days")).isVisible();
        button(page, "As Ines Okafor-Brandt will read it").click();
        assertThat(message(page).getByText("some quiet days")).isVisible();
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to")).isVisible();
        link(page, "Demo inboxes").click();
        page.getByText("ines@larkfield.example").first().click();
        FrameLocator arrived = message(page);
        assertThat(arrived.getByText("Dear Ines")).isVisible();
        assertThat(arrived.locator("img").first()).hasAttribute("src", Pattern.compile("^data:image/png"));
        button(page, "text").click();
        assertThat(page.locator(".letter .text, .mail .text").first())
                .containsText("[A small house in the snow between bare trees]");
    }

    @Test
    void aModeIsChangedOnceItIsSaidWhatIsLostAndTakenBack() {
        Page page = beginFrom("Signe", "Delivery notice", "Notice");
        button(page, "Notice").click();
        page.getByLabel("Written as").selectOption("PLAIN");
        assertThat(page.getByText("The calendar file of an event")).isVisible();
        button(page, "Make it plain").click();
        assertThat(textbox(page, "Text")).containsText("We are on our way");
        button(page, "Undo").click();
        assertThat(message(page).getByText("We are on our way")).isVisible();
        assertThat(page.getByText("attached: event.ics")).isVisible();
    }

    @Test
    void aPictureIsBroughtInAndDescribedAndWhatIsNoneIsRefused() throws IOException {
        Page page = openAs("Signe", "/materials/pictures");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "png", png);
        Locator chooser = page.locator("input[type=file]");
        chooser.setInputFiles(new FilePayload("Gate.png", "image/png", png.toByteArray()));
        assertThat(page.getByText("80 × 60")).isVisible();
        button(page, "Change Gate").click();
        textbox(page, "Description").fill("The gate to the long row");
        button(page, "Save").click();
        assertThat(page.getByText("The gate to the long row")).isVisible();
        chooser.setInputFiles(new FilePayload("virus.png", "image/png", "MZ".getBytes()));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("virus.png: This is not a picture");
    }

    @Test
    void aPictureLiesInAFolderAndIsFoundByThoseWhoMayUseIt() throws IOException {
        Page page = openAs("Signe", "/materials/pictures");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(70, 50, BufferedImage.TYPE_INT_RGB), "png", png);
        page.getByLabel("into").selectOption("mine alone");
        page.locator("input[type=file]").setInputFiles(new FilePayload("Lane.png", "image/png", png.toByteArray()));
        Locator place = page.getByLabel("Folder of Lane");
        assertThat(place).hasValue(Pattern.compile(".+"));
        assertThat(place.locator("option").first()).hasText("mine alone");

        Page other = openAs("Dov", "/materials/pictures");
        assertThat(other.getByText("Our mark", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(other.getByText("Lane", new Page.GetByTextOptions().setExact(true)))
                .hasCount(0);
        place.selectOption("North team");
        assertThat(page.getByText("“Lane” is in “North team” now.")).isVisible();
        // The page that is open there hears of it.
        assertThat(other.getByText("Lane", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(button(other, "Change Lane")).hasCount(0);
        button(page, "Undo").click();
        assertThat(other.getByText("Lane", new Page.GetByTextOptions().setExact(true)))
                .hasCount(0);
    }

    @Test
    void aHouseStyleShowsWhatItChangesBeforeItIsKept() {
        Page page = openAs("Oriel", "/materials/styles");
        button(page, "Delivery notice").click();
        FrameLocator proof = page.frameLocator("iframe[title='Delivery notice']");
        Locator heading = proof.getByRole(AriaRole.HEADING).first();
        assertThat(heading).hasCSS("color", "rgb(59, 42, 26)");
        page.locator("label.colour")
                .filter(new Locator.FilterOptions().setHasText("headings"))
                .locator("input")
                .fill("#aa2211");
        assertThat(heading).hasCSS("color", "rgb(170, 34, 17)");
        button(page, "before").click();
        assertThat(heading).hasCSS("color", "rgb(59, 42, 26)");
        button(page, "Discard changes").click();
        assertThat(button(page, "before")).isHidden();

        Page agent = openAs("Signe", "/materials/styles");
        assertThat(agent.getByText("Editors, administrators and those they name change this style."))
                .isVisible();
        assertThat(button(agent, "Copy")).isHidden();

        button(page, "Who can change it").click();
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Signe Halloran")))
                .check();
        assertThat(button(page, "Who can change it (1 named)")).isVisible();
        agent.reload();
        assertThat(button(agent, "Save")).isVisible();
        assertThat(button(agent, "Copy")).isHidden();
    }

    @Test
    void thePlainTextIsKeptByHandUntilTheMessageSaysSomethingElse() {
        Page page = beginFrom("Signe", "Welcome", "Welcome in two ways");
        button(page, "write it by hand").click();
        Locator text = textbox(page, "Plain text, kept by hand");
        assertThat(text.locator(".chip").first()).isVisible();
        text.focus();
        page.keyboard().press("Control+Home");
        page.keyboard().type("By hand: ");
        button(page, "plain").click();
        assertThat(page.locator("pre.mail")).containsText("By hand: ");
        assertThat(page.getByText("The message has changed since.")).hasCount(0);

        block(page, "Block 2, text").focus();
        page.keyboard().type("And one thing more. ");
        assertThat(page.getByText("The plain text may say something else")).isVisible();
        button(page, "It is right").click();
        assertThat(page.getByText("The plain text may say something else")).hasCount(0);
        button(page, "Take it from the message again").click();
        assertThat(page.locator("pre.mail")).containsText("And one thing more.");
        assertThat(page.locator("pre.mail")).not().containsText("By hand: ");
    }
}
