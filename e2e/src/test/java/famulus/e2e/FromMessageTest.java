package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A template is made of a message that worked. */
class FromMessageTest extends BrowserTest {
    private static final String MESSAGE =
            """
            From: Signe <signe@brindlewing.example>
            To: priya.ivory@larkfield.example
            Subject: Priya, one more thing
            Date: Mon, 4 May 2026 09:12:00 +0100
            MIME-Version: 1.0
            Content-Type: text/plain; charset=utf-8

            Hello Priya,

            PRIYA IVORY stays on our list. Tobias Larkin has the key.

            Kind regards,
            Somebody Else

            On Mon, 4 May 2026 at 08:00, Priya Ivory wrote:
            > When do you come?
            """;

    @Test
    void anEmailFileBecomesATemplate() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "From a message").click();
        giveFile(page, "worked.eml", "message/rfc822", MESSAGE.replace("\n", "\r\n"));
        assertThat(textbox(page, "Subject")).hasValue("Priya, one more thing");
        assertThat(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Priya Ivory .*their address"))))
                .hasAttribute("aria-pressed", "true");
        button(page, "Find the fields").click();

        Locator message = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The message"));
        Locator found = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What was found"));
        assertThat(message).containsText("Hello First name,");
        assertThat(message).containsText("Full name stays on our list.");
        assertThat(message).not().containsText("Somebody Else");
        assertThat(message).not().containsText("When do you come?");
        assertThat(found).containsText("Tobias Larkin");
        found.getByLabel("Leave out the old signature; the sender’s takes its place")
                .uncheck();
        assertThat(message).containsText("Somebody Else");
        found.getByLabel("Leave out the old signature; the sender’s takes its place")
                .check();
        found.getByLabel("“PRIYA IVORY”").uncheck();
        assertThat(message).containsText("PRIYA IVORY stays on our list.");

        button(page, "Create template…").click();
        textbox(page, "Name for colleagues").fill("One more thing");
        button(page, "Create template").click();
        assertThat(page.locator(".sheet .chip").first()).containsText("First name");
        assertThat(page.locator(".sheet").first()).containsText("PRIYA IVORY stays on our list.");
        assertThat(page.getByText("Only you").first()).isVisible();
    }

    @Test
    void oneMessageOfAMailboxIsChosen() {
        Page page = openAs("Signe", "/templates/from-message");
        String other =
                MESSAGE.replace("Priya, one more thing", "The stall in June").replace("4 May", "3 May");
        giveFile(page, "sent.mbox", "application/mbox", "From a\n" + other + "\nFrom b\n" + MESSAGE);
        Locator messages =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Messages of the mailbox file"));
        assertThat(messages.getByRole(AriaRole.LISTITEM)).hasCount(2);
        assertThat(messages.getByRole(AriaRole.LISTITEM).first()).containsText("one more thing");
        assertThat(textbox(page, "Find one by its subject or whom it went to")).isFocused();
        AccessibilityTest.scan(page, "messages of a mailbox");
        page.keyboard().type("stall");
        assertThat(messages.getByRole(AriaRole.LISTITEM)).hasCount(1);
        page.keyboard().press("Tab");
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        assertThat(button(page, "Find the fields")).isFocused();
        assertThat(textbox(page, "Subject")).hasValue("The stall in June");
        assertThat(textbox(page, "The message")).hasValue(Pattern.compile("PRIYA IVORY stays on our list"));
    }

    @Test
    void whatIsNoMessageIsSaidAndNothingIsLost() {
        Page page = openAs("Signe", "/templates/from-message");
        textbox(page, "The message").fill("Dear colleague,\n\nwe begin tomorrow.");
        giveFile(page, "x.eml", "message/rfc822", "no mail");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("This is no e-mail");
        assertThat(textbox(page, "The message")).hasValue("Dear colleague,\n\nwe begin tomorrow.");
        button(page, "Go on without a person").click();
        assertThat(page.getByText("Nobody was chosen whose values could be found."))
                .isVisible();
        button(page, "Back to the text").click();
        assertThat(textbox(page, "The message")).hasValue("Dear colleague,\n\nwe begin tomorrow.");
    }
}
