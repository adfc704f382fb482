package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A template on its way: tested, marked ready, changed, compared, brought back. */
class VersionTest extends BrowserTest {
    @Test
    void aTestIsSentToColleaguesAsItWouldLeave() {
        Page page = beginFrom("Signe", "Delivery notice", "Tested notice");
        assertThat(page.getByText("not tested")).isVisible();
        goToEnd(page, textbox(page, "Block 1, text"));
        page.keyboard().type(" Bring gloves.");
        page.keyboard().press("Control+Enter");
        page.getByLabel("Dov Marchbanks").check();
        button(page, "Send the test").click();
        assertThat(page.getByText("The test is on its way to 2 inboxes.")).isVisible();
        assertThat(page.getByText(Pattern.compile("^tested "))).isVisible();
        goToEnd(page, textbox(page, "Block 1, text"));
        page.keyboard().type(" And boots.");
        assertThat(page.getByText("changed since its test")).isVisible();

        link(page, "Demo inboxes").click();
        page.getByText(Pattern.compile("^dov@")).first().click();
        assertThat(message(page).getByText("Bring gloves.")).isVisible();
        assertThat(message(page).getByText("Dear Stavros")).isVisible();
        link(page, "Outbox").click();
        assertThat(page.getByText("test by Signe").first()).isVisible();
    }

    @Test
    void whatCouldNotLeaveIsNotTested() {
        Page page = beginFrom("Signe", "Delivery notice", "Not yet");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        button(page, "Button").click();
        page.keyboard().type("See more");
        assertThat(button(page, "Mark ready")).isDisabled();
        page.keyboard().press("Control+Enter");
        button(page, "Send the test").click();
        assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT))
                .containsText("This message can’t be sent: The button leads nowhere.");
    }

    @Test
    void othersUseWhatWasMarkedReadyUntilItIsMarkedAgain() {
        Page page = beginFrom("Signe", "Delivery notice", "Marked notice");
        shareWithTheNorth(page);
        Page dov = openAs("Dov", "/people");
        find(dov, "Ines Okafor-Brandt");
        dov.keyboard().press("w");
        dov.keyboard().type("Marked notice");
        Locator offered = dov.getByRole(AriaRole.OPTION);
        assertThat(offered.filter(new Locator.FilterOptions().setHasText("with an empty letter")))
                .isVisible();
        assertThat(offered.filter(new Locator.FilterOptions().setHasText("Marked notice")))
                .hasCount(0);
        button(page, "Mark ready").click();
        assertThat(button(page, "Ready")).isDisabled();
        goToEnd(page, textbox(page, "Block 1, text"));
        page.keyboard().type(" Half a thought");
        assertThat(page.getByText(Pattern.compile("changed since it was ready")))
                .isVisible();

        find(dov, "Ines Okafor-Brandt");
        dov.keyboard().press("w");
        assertThat(dov.getByRole(AriaRole.COMBOBOX)).isFocused();
        dov.keyboard().type("Marked notice");
        offered.filter(new Locator.FilterOptions().setHasText("Marked notice")).click();
        assertThat(dov.getByText("Please note the day")).isVisible();
        assertThat(dov.getByText("Half a thought")).hasCount(0);
    }

    @Test
    void versionsAreComparedWordByWordAndBroughtBack() {
        Page page = beginFrom("Signe", "Delivery notice", "Compared notice");
        button(page, "Mark ready").click();
        assertThat(button(page, "Ready")).isVisible();
        goToEnd(page, textbox(page, "Block 1, text"));
        page.keyboard().type(" Bring gloves.");
        page.keyboard().press("Alt+a");
        button(page, "Line").click();
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        button(page, "More").click();
        link(page, "Versions").click();
        Locator changes = page.getByLabel("What has changed since");
        assertThat(changes.locator("ins").first()).hasText(" Bring gloves.");
        assertThat(changes.getByText("Divider 2")).isVisible();
        button(page, "Restore this version").click();
        assertThat(textbox(page, "Block 1, text")).not().containsText("gloves");
        assertThat(page.getByText("The version is restored.")).isVisible();
    }

    @Test
    void aTestGoesToTheCheckInboxesThatEditorsKeep() {
        Page page = beginFrom("Oriel", "Delivery notice", "For every program");
        page.keyboard().press("Control+Enter");
        Locator list = page.getByRole(
                AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^the check inboxes")));
        assertThat(list).isDisabled();
        button(page, "edit").click();
        Locator inboxes = textbox(page, "Check inboxes, one a line");
        inboxes.fill("phone@looks.example\nnobody");
        button(page, "Save the list").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("nobody: ");
        inboxes.fill("phone@looks.example\noffice@looks.example");
        button(page, "Save the list").click();
        list.check();
        page.getByLabel("me", new Page.GetByLabelOptions().setExact(true)).uncheck();
        button(page, "Send the test").click();
        assertThat(page.getByText("The test is on its way to 2 inboxes.")).isVisible();

        Page signe = openAs("Signe", "/demo-inboxes");
        assertThat(signe.getByText("office@looks.example").first()).isVisible();
    }
}
