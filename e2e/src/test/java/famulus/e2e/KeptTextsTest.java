package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Passages and signatures: written in the cupboard, used in templates, changed once for all. */
class KeptTextsTest extends BrowserTest {
    private static Locator row(Page page, String name) {
        return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private static void write(Page page, String word, String name, String words) {
        button(page, "New " + word).click();
        textbox(page, "Name for colleagues").fill(name);
        button(page, "Create").click();
        textbox(page, "Block 1, text").click();
        page.keyboard().type(words);
        assertThat(message(page).getByText(words)).isVisible();
    }

    private static void markReady(Page page) {
        button(page, "Mark ready").click();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Ready").setExact(true)))
                .isVisible();
    }

    /** The template that has it is shown before and after; nothing is ready until that is said there. */
    private static void markReadyHavingSeen(Page page, String template, String before, String after) {
        button(page, "Mark ready").click();
        Locator slip = page.getByRole(
                AriaRole.DIALOG, new Page.GetByRoleOptions().setName(Pattern.compile("^Mark this .* ready")));
        FrameLocator shown = slip.frameLocator("iframe[title='" + template + "']");
        assertThat(shown.getByText(after)).isVisible();
        slip.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("before"))
                .click();
        assertThat(shown.getByText(before)).isVisible();
        assertThat(shown.getByText(after)).hasCount(0);
        assertThat(page.getByText(Pattern.compile("changed since it was ready")))
                .isVisible();
        slip.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Mark ready"))
                .click();
        assertThat(slip).hasCount(0);
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Ready").setExact(true)))
                .isVisible();
    }

    private static Locator handle(Page desk) {
        return desk.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Passage \\d+$")));
    }

    /** Puts a passage at the end of a template, and returns the slip in which it was chosen. */
    private static Locator take(Page desk, String passage) {
        desk.keyboard().press("Alt+a");
        desk.getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Blocks"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Passage")))
                .click();
        handle(desk).click();
        Locator slip =
                desk.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(Pattern.compile("^Passage")));
        slip.getByLabel("Passage").selectOption(passage);
        return slip;
    }

    @Test
    void aPassageInUseIsDeletedOnceAnotherIsInItsPlace() {
        Page page = openAs("Oriel", "/materials/passages");
        for (String colour : new String[] {"green", "blue"}) {
            write(page, "passage", "The " + colour + " gate", "Please come in by the " + colour + " gate.");
            markReady(page);
            if (colour.equals("green")) {
                page.goBack();
            }
        }

        Page desk = beginFrom("Oriel", "Delivery notice", "By the gate");
        take(desk, "The blue gate");
        assertThat(message(desk).getByText("by the blue gate")).isVisible();
        assertThat(desk.getByText(Pattern.compile("^saved"))).isVisible();

        button(page, "More").click();
        button(page, "Delete passage").click();
        Locator slip = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("This passage is used"));
        assertThat(slip).containsText("By the gate");
        AccessibilityTest.scan(page, "a passage that is used");
        slip.getByLabel("Put in its place").selectOption("The green gate");
        slip.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Replace and delete"))
                .click();
        assertThat(page.getByText("“The blue gate” is deleted. One template has “The green gate” in its place."))
                .isVisible();
        assertThat(row(page, "The blue gate")).hasCount(0);
        desk.reload();
        assertThat(message(desk).getByText("by the green gate")).isVisible();
    }

    @Test
    void aPassageIsWrittenOnceAndChangedForAll() {
        Page page = openAs("Oriel", "/materials/passages");
        write(page, "passage", "Ladders", "We bring two ladders.");
        assertThat(textbox(page, "Subject")).hasCount(0);
        markReady(page);

        Page desk = beginFrom("Signe", "Delivery notice", "With ladders");
        Locator handle = handle(desk);
        Locator slip = take(desk, "Ladders");
        assertThat(message(desk).getByText("We bring two ladders.")).isVisible();
        assertThat(slip.getByText("Used nowhere else.")).isVisible();
        desk.keyboard().press("Escape");
        assertThat(desk.getByText(Pattern.compile("^saved"))).isVisible();

        page.reload();
        assertThat(page.getByText(Pattern.compile("marking it ready changes 1 template that you don’t see")))
                .isVisible();
        shareWithTheNorth(desk);
        page.reload();
        assertThat(page.getByText(Pattern.compile("marking it ready changes “With ladders”")))
                .isVisible();
        textbox(page, "Block 1, text").click();
        page.keyboard().press("Control+a");
        page.keyboard().type("We bring three ladders.");
        assertThat(page.getByText(Pattern.compile("changed since it was ready")))
                .isVisible();
        markReadyHavingSeen(page, "With ladders", "We bring two ladders.", "We bring three ladders.");
        desk.reload();
        assertThat(message(desk).getByText("We bring three ladders.")).isVisible();

        handle.click();
        slip.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Turn into own text"))
                .click();
        assertThat(handle).hasCount(0);
        assertThat(message(desk)
                        .getByText("We bring three ladders.", new FrameLocator.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    void aDesignedSignatureSignsMyMessages() {
        Page page = openAs("Dov", "/materials/signatures");
        write(page, "signature", "Dov with a bee", "Yours among the bees");
        markReady(page);
        page.goBack();
        row(page, "Dov with a bee").getByLabel("my messages").check();
        assertThat(row(page, "Dov with a bee").getByLabel("everyone who has chosen none"))
                .isDisabled();
        Page desk = beginFrom("Dov", "Delivery notice", "Signed");
        assertThat(message(desk).getByText("Yours among the bees")).isVisible();
        page.reload();
        row(page, "Dov with a bee").getByLabel("my messages").uncheck();
        desk.reload();
        assertThat(message(desk).getByText("Dov Marchbanks")).isVisible();
    }

    @Test
    void aHeaderOfAHouseStyleIsWrittenOnTheDeskAndStandsAboveItsTemplates() {
        Page page = openAs("Oriel", "/materials/styles");
        button(page, "Add a header or footer").click();
        textbox(page, "Name for colleagues").fill("Under the trees");
        page.getByLabel("Where").selectOption("Below the message");
        button(page, "Create").click();
        textbox(page, "Block 1, text").click();
        page.keyboard().type("Seven days a week in blossom.");
        assertThat(message(page).getByText("Seven days a week in blossom.")).isVisible();
        assertThat(textbox(page, "Subject")).hasCount(0);
        assertThat(page.getByText("used nowhere yet")).isVisible();
        markReady(page);

        Page desk = beginFrom("Signe", "Delivery notice", "With its own foot");
        button(desk, "With its own foot").click();
        desk.getByLabel("Footer").selectOption("Under the trees");
        desk.keyboard().press("Escape");
        assertThat(message(desk).getByText("Seven days a week in blossom.")).isVisible();
        assertThat(desk.getByText(Pattern.compile("^saved"))).isVisible();
        shareWithTheNorth(desk);

        page.reload();
        assertThat(page.getByText(Pattern.compile("marking it ready changes “With its own foot”")))
                .isVisible();
        textbox(page, "Block 1, text").click();
        page.keyboard().press("Control+a");
        page.keyboard().type("By day and by night.");
        markReadyHavingSeen(page, "With its own foot", "Seven days a week in blossom.", "By day and by night.");
        desk.reload();
        assertThat(message(desk).getByText("By day and by night.")).isVisible();
        button(page, "More").click();
        button(page, "Delete footer").click();
        assertThat(page.getByText(Pattern.compile("It is used in “With its own foot”")))
                .isVisible();
    }
}
