package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The newest entries of a feed in a message. */
class FeedTest extends BrowserTest {
    private static Locator row(Page page, String name) {
        return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    @Test
    void isReadFromAnAddressAndShownInALetter() {
        Page page = openAs("Amos", "/materials/feeds");
        textbox(page, "Or add one by its address").fill("http://10.1.2.3/feed.xml");
        button(page, "Add feed").click();
        assertThat(page.getByText("Feeds are not read from private networks.")).isVisible();
        textbox(page, "Or add one by its address").fill(address("/demo-feeds/hedge-letter.xml"));
        button(page, "Add feed").click();
        assertThat(row(page, "The hedge letter")).containsText("Leave the hawthorn till June");
        row(page, "The hedge letter")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("refresh"))
                .click();
        assertThat(page.getByText("“The hedge letter” is up to date.")).isVisible();

        Page desk = beginFrom("Signe", "Delivery notice", "With a feed");
        desk.keyboard().press("Alt+a");
        desk.getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Blocks"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Feed")))
                .click();
        assertThat(desk.getByText("There is no feed here")).isVisible();
        desk.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Feed \\d+$")))
                .click();
        desk.getByLabel("Feed", new Page.GetByLabelOptions().setExact(true)).selectOption("The hedge letter");
        FrameLocator message = message(desk);
        assertThat(message.getByRole(
                        AriaRole.LINK, new FrameLocator.GetByRoleOptions().setName("Leave the hawthorn till June")))
                .hasAttribute("href", "https://hedge-letter.example/hawthorn");
        desk.getByLabel("entries at most").fill("1");
        desk.getByLabel("with what each is about").check();
        assertThat(message.getByText("It feeds what the orchard no longer does."))
                .isVisible();
        assertThat(message.getByText("A wet margin is a full hive")).hasCount(0);
        assertThat(desk.getByText("There is no feed here")).hasCount(0);
    }
}
