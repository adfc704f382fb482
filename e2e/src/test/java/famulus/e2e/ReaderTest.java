package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.RequestOptions;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What a reader does with a message, and what the sender then knows. */
class ReaderTest extends BrowserTest {
    /** It unsubscribes somebody and stops the counting. */
    @Override
    boolean alone() {
        return true;
    }

    private static final String SOMEBODYS_PROGRAM = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101";

    private static Locator newest(Page page, String subject) {
        return page.locator(".said li", new Page.LocatorOptions().setHasText(subject))
                .first();
    }

    @Test
    void aReaderOpensAMessageLeavesRoundsAndGetsAFollowUp() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        String record = page.url();
        beginMessage(page, "Welcome");
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();

        link(page, "Demo inboxes").click();
        // Another one may be the newest that has arrived so far.
        page.getByText(Pattern.compile("^Welcome to")).first().click();
        String counted = message(page)
                .getByRole(AriaRole.LINK)
                .and(message(page).locator("[href*='/m/']"))
                .first()
                .getAttribute("href");
        org.assertj.core.api.Assertions.assertThat(counted).matches("http://localhost:[0-9]+/m/[^/]{20,}/[0-9]+");
        String pages = counted.substring(0, counted.lastIndexOf('/'));

        // A picture that is fetched as soon as the message is there is a machine's; somebody's is later.
        page.navigate(record);
        page.waitForCondition(() -> {
            page.request().get(pages + "/seen.gif", RequestOptions.create().setHeader("User-Agent", SOMEBODYS_PROGRAM));
            return newest(page, "Welcome to")
                    .getByText(Pattern.compile("^opened 5 May"))
                    .isVisible();
        });

        Page reader = open("/");
        reader.navigate(pages + "/unsubscribe");
        assertThat(reader.getByText("Choose what you get")).isVisible();
        button(reader, "Unsubscribe").click();
        assertThat(reader.getByText("You will get no more group e-mails")).isVisible();
        assertThat(page.getByText("Unsubscribed from messages to several people."))
                .isVisible();
        button(reader, "Resubscribe").click();
        assertThat(page.getByText("Unsubscribed from messages to several people."))
                .isHidden();
        reader.navigate(pages);
        assertThat(reader.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Welcome")))
                .isVisible();

        newest(page, "Welcome to").locator("button.message").click();
        assertThat(page.getByText("resubscribed to mailings")).isVisible();
        button(page, "Write the next one").click();
        chooseTemplate(page, "After a call");
        assertThat(textbox(page, "Subject of this message"))
                .hasText(Pattern.compile("^Re: Welcome to Brindlewing Pollination Services"));
        button(page, "Send now").click();
        assertThat(newest(page, "Re: Welcome to")).isVisible();
        link(page, "Demo inboxes").click();
        page.getByText(Pattern.compile("^Re: Welcome to")).first().click();
        button(page, "headers").click();
        assertThat(page.locator(".letter dl")).containsText("In-Reply-To");
    }

    @Test
    void aReaderChoosesTopicsAndHowOftenAndItIsKeptTo() {
        Page editor = openAs("Oriel", "/company/topics");
        button(editor, "Add a topic").click();
        textbox(editor, "Name of topic 4").fill("Recipes");
        button(editor, "Move Recipes up").click();
        button(editor, "Save").click();
        assertThat(editor.getByText("The topics are saved.")).isVisible();
        assertThat(textbox(editor, "Name of topic 3")).hasValue("Recipes");

        Page page = openAs("Signe", "/people/contacts?find=Okafor-Brandt");
        page.getByLabel("Choose Ines Okafor-Brandt").check();
        button(page, "Write to them…").click();
        page.getByLabel("What it is about").selectOption("Recipes");
        page.getByLabel("Leave out whoever was written to lately").selectOption("0");
        assertThat(page.getByText("Each message says at its foot why its reader gets it"))
                .isVisible();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .fill("Season opener");
        page.keyboard().press("Enter");
        page.getByText("1 draft is begun.").waitFor();
        page.locator("a[href*='draft=']").first().click();
        assertThat(page.getByText("one of several")).isVisible();
        assertThat(page.getByText("Choose what you get, or unsubscribe").first())
                .isVisible();
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();
        String record = page.url();

        link(page, "Demo inboxes").click();
        page.getByText("The bees are awake, Ines").first().click();
        button(page, "source").click();
        Matcher link = Pattern.compile("http://localhost:\\d+/m/[\\w-]+/unsubscribe")
                .matcher(page.locator(".letter pre").textContent().replaceAll("\\r?\\n ", ""));
        org.assertj.core.api.Assertions.assertThat(link.find()).isTrue();
        Page reader = open("/");
        reader.navigate(link.group());
        button(reader, "Stop e-mails about “Recipes”").click();
        assertThat(reader.getByText("Saved.")).isVisible();
        assertThat(reader.getByLabel("Recipes")).not().isChecked();
        page.navigate(record);
        assertThat(page.getByText("Wants nothing about “Recipes”.")).isVisible();
        button(reader, "Undo").click();
        assertThat(reader.getByText("It is as it was before.")).isVisible();
        reader.getByLabel("How often at most").selectOption("once a month");
        button(reader, "Save").click();
        assertThat(page.getByText("Wants one a month at most")).isVisible();

        page.navigate(address("/people/contacts?find=Okafor-Brandt"));
        page.getByLabel("Choose Ines Okafor-Brandt").check();
        button(page, "Write to them…").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Wants one a month at most, and got one today.");
        assertThat(button(page, "Put Ines Okafor-Brandt back")).hasCount(0);
    }

    @Test
    void anAdministratorSettlesWhatIsCounted() {
        Page page = openAs("Signe", "/company/tracking");
        assertThat(page.getByLabel("Track opens and clicks")).isDisabled();

        Page amos = openAs("Amos", "/company/tracking");
        amos.getByLabel("Track opens and clicks").uncheck();
        assertThat(amos.getByText("Opens and clicks are not tracked from the next message on."))
                .isVisible();
        amos.reload();
        assertThat(amos.getByLabel("Track opens and clicks")).not().isChecked();
        amos.getByLabel("Track opens and clicks").check();
        assertThat(amos.getByText("Opens and clicks are tracked from the next message on."))
                .isVisible();
    }
}
