package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** HTML brought in from elsewhere, and written by hand. */
class SourceTest extends BrowserTest {
    private static final String NEWS =
            """
            <title>Blossom news for {person.first_name else "you"}</title>
            <style>.head { background: #3f6b2e; color: #ffffff }</style>
            <table><tr><td class=head onclick="steal()">Blossom news</td></tr>
            <tr><td>Dear {person.first_name else "grower"}</td></tr></table><script>steal()</script>
            """;

    private static FrameLocator.GetByTextOptions exactly() {
        return new FrameLocator.GetByTextOptions().setExact(true);
    }

    @Test
    void aMessageOfItHasANoteOfItsSendersAboveIt() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "orchard-news.html", "text/html", NEWS);
        button(page, "Start with this one").click();
        button(page, "Create template").click();
        textbox(page, "Source").waitFor();

        find(page, "Priya Ivory");
        beginMessage(page, "orchard-news");
        assertThat(textbox(page, "Source")).containsText("Blossom news");
        button(page, "write a note of your own above it").click();
        assertThat(textbox(page, "Your note")).isFocused();
        page.keyboard().type("Priya, the second part is for you.");
        assertThat(textbox(page, "Your note")).containsText("the second part");
        button(page, "As Priya Ivory will read it").click();
        assertThat(message(page).getByText("Priya, the second part is for you."))
                .isVisible();
        assertThat(message(page).getByText("Blossom news", exactly())).isVisible();
        button(page, "Back to writing").click();
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Priya Ivory")).isVisible();
        link(page, "Demo inboxes").click();
        // It may arrive after its inbox was opened.
        page.getByText(Pattern.compile("^Blossom news for Priya")).first().click();
        assertThat(message(page).getByText("Priya, the second part is for you."))
                .isVisible();
    }

    /** Markdown becomes a letter, and an e-mail a page as it looked. */
    @Test
    void otherFilesAreImportedToo() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "spring.md", "text/markdown", "# Spring **news**\n\nDear {person.first_name},\n\n- one\n- two");
        Locator preview = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview of the design"));
        assertThat(preview).containsText("Spring news");
        assertThat(preview.frameLocator("iframe").getByRole(AriaRole.LISTITEM)).hasCount(2);
        assertThat(page.locator("li button[aria-pressed=true]")).containsText("letter · for a contact");
        button(page, "Import").click();
        giveFile(
                page,
                "old.eml",
                "message/rfc822",
                ("From: a@ninefold.example\r\nSubject: As it looked\r\nContent-Type: text/html\r\n\r\n"
                        + "<p style=\"color:#aa0000\">Red words</p>"));
        assertThat(preview).containsText("As it looked");
        assertThat(preview.frameLocator("iframe").getByText("Red words")).hasCSS("color", "rgb(170, 0, 0)");
    }

    @Test
    void isBroughtInCleanChangedByHandAndRebuiltAsALetter() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "spring-news.html", "text/html", NEWS);
        assertThat(page.getByText("2 things left out")).isVisible();
        assertThat(page.getByText("1 attribute that runs a script: onclick")).isVisible();
        button(page, "Start with this one").click();
        assertThat(textbox(page, "Name for colleagues")).hasValue("spring-news");
        button(page, "Create template").click();
        Locator editor = textbox(page, "Source");
        assertThat(message(page).getByText("Blossom news", exactly())).hasCSS("background-color", "rgb(63, 107, 46)");
        assertThat(page.locator(".chip").getByText("First name")).isVisible();

        editor.click();
        page.keyboard().press("Control+End");
        page.keyboard().type("<p>Yours, {sender.first");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("^First name")))
                .first()
                .waitFor();
        page.keyboard().press("Enter");
        assertThat(editor).containsText("{sender.first_name}");
        assertThat(message(page).getByText("Signe", exactly())).isVisible();
        page.keyboard().type(" on<b onclick=x>ce</b>");
        assertThat(page.getByText("Some of this HTML is not sent")).isVisible();
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        page.reload();
        assertThat(editor).containsText("on<b onclick=x>ce</b>");
        page.keyboard().press("Control+z");
        assertThat(editor).not().containsText("onclick");

        button(page, "spring-news").click();
        page.getByLabel("Written as").selectOption("letter");
        button(page, "Make it a letter").click();
        page.keyboard().press("Escape");
        assertThat(textbox(page, "Block 1, text")).containsText("Blossom news");
        assertThat(message(page).getByText("Blossom news", exactly())).isVisible();
    }

    @Test
    void isOneBlockAmongOthers() {
        Page page = beginFrom("Signe", "Delivery notice", "With own HTML");
        page.keyboard().press("Alt+a");
        page.getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Blocks"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Own HTML")))
                .click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("own html: source$")))
                .click();
        page.keyboard().type("<p style='color:#aa0000'>By hand</p>");
        assertThat(message(page).getByText("By hand", exactly())).hasCSS("color", "rgb(170, 0, 0)");
    }
}
