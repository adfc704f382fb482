package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Lists and pages of people and deals. */
class PeopleAndDealsTest extends BrowserTest {
    @Test
    void theLedgerSortsFiltersAndScrollsWithoutPaging() {
        Page page = openAs("Signe", "/people/contacts");
        assertThat(page.getByText("240 contacts")).isVisible();

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Name")))
                .click();
        assertThat(page.getByRole(AriaRole.COLUMNHEADER).nth(1)).hasAttribute("aria-sort", "descending");
        assertThat(page).hasURL(Pattern.compile("down=yes"));

        page.getByRole(AriaRole.TABLE).hover();
        page.mouse().wheel(0, 240 * 33);
        assertThat(link(page, "Despina Anthopoulou").first()).isVisible();

        page.keyboard().press("/");
        page.keyboard().type("okafor larkfield");
        assertThat(page.getByText("1 contact found")).isVisible();
        page.goBack();
        page.reload();
        assertThat(page.getByRole(AriaRole.TABLE)).isVisible();
    }

    @Test
    void somebodyIsFoundAndOpenedWithoutTheMouse() {
        Page page = openAs("Signe", "/people/contacts");
        assertThat(page.getByText("240 contacts")).isVisible();
        page.keyboard().press("/");
        page.keyboard().type("okafor larkfield");
        page.keyboard().press("Enter");
        assertThat(link(page, "Ines Okafor-Brandt")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Ines Okafor-Brandt")))
                .isVisible();
        page.goBack();
        page.keyboard().press("/");
        page.keyboard().press("ArrowDown");
        assertThat(link(page, "Ines Okafor-Brandt")).isFocused();
    }

    @Test
    void theArrowKeysWalkTheLines() {
        Page page = openAs("Signe", "/deals");
        Locator first = page.locator("[data-at='0'] a");
        first.focus();
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("[data-at='1'] a")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Lines")))
                .isVisible();
    }

    @Test
    void aFactIsChangedInItsPlaceAndBadOnesAreRefusedThere() {
        Page page = openAs("Signe", "/people");
        find(page, "Ines Okafor-Brandt");

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Phone"))
                .first()
                .click();
        Locator phone = textbox(page, "Phone");
        phone.fill("call me");
        phone.press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("is not a telephone number");
        assertThat(phone).hasValue("call me");
        phone.fill("01632 960 444");
        phone.press("Enter");
        assertThat(page.getByText("+44 1632 960444")).isVisible();

        button(page, "add another").click();
        Locator address = textbox(page, "E-mail address");
        address.fill("ines at home");
        address.press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("is not an e-mail address");
        address.press("Escape");
    }

    @Test
    void callsAreNotedAndTakenBackWithUndo() {
        Page page = openAs("Dov", "/people");
        find(page, "Ines Okafor-Brandt");

        button(page, "Log a call").click();
        textbox(page, "Minutes").fill("7");
        textbox(page, "About the call").fill("Prefers <b>Thursdays</b>.");
        button(page, "Save").click();
        assertThat(page.getByText("Prefers <b>Thursdays</b>.")).isVisible();

        button(page, "remove").first().click();
        assertThat(page.getByText("Prefers <b>Thursdays</b>.")).hasCount(0);
        button(page, "Undo").click();
        assertThat(page.getByText("Prefers <b>Thursdays</b>.")).isVisible();
    }

    @Test
    void aNewContactIsMadeAndItsMistakesAreSaidAtTheField() {
        Page page = openAs("Signe", "/people/contacts");
        button(page, "New contact").click();
        textbox(page, "E-mail").fill("nobody");
        button(page, "Add contact").click();
        assertThat(page.getByText("is not an e-mail address")).isVisible();
        assertThat(page.getByText("This can’t be empty.")).isVisible();

        textbox(page, "Surname").fill("Saltmarsh");
        textbox(page, "E-mail").fill("s@saltmarsh.example");
        button(page, "Add contact").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("Saltmarsh").setLevel(1)))
                .isVisible();
    }

    @Test
    void aDealShowsItsLinesAndTakesDocuments() {
        Page page = openAs("Signe", "/deals?find=larkfield+east");
        link(page, "Larkfield East, 48 hives").click();
        assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Sum"))))
                .containsText("£9,600.00");

        button(page, "edit").click();
        page.getByLabel("Quantity, line 1").fill("50");
        button(page, "Save lines").click();
        assertThat(page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^Sum"))))
                .containsText("£10,000.00");

        page.locator("section", new Page.LocatorOptions().setHasText("Documents"))
                .last()
                .getByText("add")
                .click();
        textbox(page, "Name").fill("Map of the rows");
        textbox(page, "Link").fill("somewhere");
        button(page, "Save").click();
        assertThat(page.getByText("is not an address")).isVisible();
        textbox(page, "Link").fill("https://brindlewing.example/map");
        button(page, "Save").click();
        assertThat(link(page, "Map of the rows")).isVisible();
    }

    @Test
    void aRecordHasAPictureOfItsOwn() throws IOException {
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
        Page page = openAs("Signe", "/people");
        find(page, "Tobias Larkin");
        Locator chooser = page.locator("input[type=file][aria-label='Picture of Tobias Larkin']");
        chooser.setInputFiles(new FilePayload("x.png", "image/png", "MZ".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator(".notices .stop")).isVisible();
        chooser.setInputFiles(new FilePayload("tobias.png", "image/png", png.toByteArray()));
        Locator picture = page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Picture of Tobias Larkin"));
        assertThat(picture).isVisible();
        page.reload();
        assertThat(picture).isVisible();
        button(page, "Remove").click();
        assertThat(button(page, "Add a picture")).isVisible();
    }
}
