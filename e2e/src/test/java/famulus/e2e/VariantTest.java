package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A template in two languages, and links that are kept once. */
class VariantTest extends BrowserTest {
    private static Locator languages(Page page) {
        return page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Languages"));
    }

    private static Locator row(Page page, String name) {
        return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    /** A line of the library. */
    private static Locator line(Page page, String name) {
        return page.getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))));
    }

    @Test
    void aVariantIsWrittenBesideAndOneLineStandsForBoth() {
        Page page = beginFrom("Signe", "Delivery notice", "Two tongues");
        languages(page)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("add a language"))
                .click();
        page.getByLabel("This one is in").selectOption("English");
        page.getByLabel("The new one is in").selectOption("German");
        button(page, "Create").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Two tongues (German)")))
                .isVisible();
        assertThat(languages(page).getByText("German")).hasAttribute("aria-current", "page");

        // While it is translated, what it is translated from can be read beside it.
        FrameLocator original = page.frameLocator("iframe[title='The message in another language']");
        textbox(page, "Block 1, text").click();
        page.keyboard().press("Control+a");
        page.keyboard().type("Wir kommen");
        assertThat(message(page).getByText("Wir kommen")).isVisible();
        page.keyboard().press("Escape");
        textbox(page, "Block 1, text").blur();
        page.keyboard().press("l");
        assertThat(original.getByText("We are on our way")).isVisible();
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("English").setExact(true)))
                .hasAttribute("aria-pressed", "true");
        original.getByText("Two things help us").dblclick();
        assertThat(textbox(page, "Block 3, text")).isFocused();
        button(page, "German, this one").click();
        assertThat(message(page).getByText("Wir kommen")).isVisible();
        languages(page).getByText("English").click();
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName("Two tongues").setExact(true)))
                .isVisible();
        link(page, "Templates").click();
        assertThat(line(page, "Two tongues")).hasCount(1);
        assertThat(line(page, "Two tongues")).containsText("also in German");
    }

    @Test
    void aSavedLinkIsChangedOnceForAllThatLeadThere() {
        Page page = openAs("Oriel", "/materials/links");
        button(page, "New link").click();
        textbox(page, "Name").fill("Season plan");
        textbox(page, "Leads to").fill("brindlewing");
        button(page, "Save").click();
        assertThat(page.getByText(Pattern.compile("https://"))).not().hasCount(0);
        textbox(page, "Leads to").fill("https://brindlewing.example/season");
        button(page, "Save").click();
        assertThat(row(page, "Season plan")).containsText("{our.season_plan}");

        Page desk = beginFrom("Oriel", "Invitation", "With the plan");
        desk.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Button \\d+$")))
                .first()
                .click();
        desk.getByLabel("Leads to a saved link").selectOption("Season plan");
        desk.keyboard().press("Escape");
        assertThat(message(desk).locator("a[href='https://brindlewing.example/season']"))
                .isVisible();
        assertThat(desk.getByText(Pattern.compile("^saved"))).isVisible();

        page.reload();
        assertThat(row(page, "Season plan")).containsText("With the plan");
        row(page, "Season plan")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("edit"))
                .click();
        textbox(page, "Leads to").fill("https://brindlewing.example/plan-2027");
        button(page, "Save").click();
        assertThat(row(page, "Season plan")).containsText("plan-2027");
        desk.reload();
        assertThat(message(desk).locator("a[href='https://brindlewing.example/plan-2027']"))
                .isVisible();
    }
}
