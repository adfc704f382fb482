package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** Real use, from nothing: the first visitor makes the administrator, who is led to a first message that arrives. */
class FirstRunTest extends BrowserTest {
    /** It begins from nothing. */
    @Override
    boolean alone() {
        return true;
    }

    private final GreenMail post =
            new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP).dynamicPort());

    @Override
    boolean demo() {
        return false;
    }

    @Override
    List<String> settings() {
        post.start();
        return List.of(
                "--spring.mail.host=127.0.0.1",
                "--spring.mail.port=" + post.getSmtp().getPort(),
                "--spring.mail.properties.mail.smtp.auth=false",
                "--spring.mail.properties.mail.smtp.starttls.required=false",
                "--spring.mail.properties.mail.smtp.starttls.enable=false");
    }

    @AfterAll
    void closePost() {
        post.stop();
    }

    private static Locator step(Page page, String title) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(title));
    }

    private static Locator within(Locator step, String button) {
        return step.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(button).setExact(true));
    }

    @Test
    void theFirstVisitorIsLedFromAnEmptyDatabaseToAMessageThatArrives() {
        Page page = open("/");
        List<String> failed = new ArrayList<>();
        textbox(page, "Name").fill("Ninefold Berry Farm");
        page.getByLabel("Country").fill("portu");
        page.getByLabel("Country").blur();
        assertThat(page.getByLabel("Country")).hasValue("Portugal");
        textbox(page, "First name").fill("Wilma");
        textbox(page, "Surname").fill("Tallow");
        textbox(page, "E-mail").fill("wilma@ninefold.example");
        page.getByLabel("Password").fill("short");
        button(page, "Begin").click();
        assertThat(page.getByText("A password has at least 12 characters.")).isVisible();
        page.getByLabel("Password").fill("nine folds of berries");
        button(page, "Begin").click();

        assertThat(page.getByText("4 to go")).isVisible();
        // From here on no request is refused.
        page.onResponse(answer -> {
            if (answer.status() >= 400) {
                failed.add(answer.status() + " " + answer.url());
            }
        });
        within(step(page, "Our company"), "Skip “Our company”").click();
        assertThat(page.getByText("3 to go")).isVisible();
        button(page, "Undo").click();
        assertThat(page.getByText("4 to go")).isVisible();
        within(step(page, "Our company"), "Fill in").click();
        textbox(page, "Town").fill("Ninefold");
        textbox(page, "Public address").fill("https://post.ninefold.example");
        button(page, "Save").click();
        assertThat(page.getByText("3 to go")).isVisible();

        within(step(page, "A first template"), "Choose a design").click();
        button(page, "Start with this one").waitFor();
        page.getByText("Thank-you", new Page.GetByTextOptions().setExact(true)).click();
        button(page, "Start with this one").click();
        button(page, "Create template").click();
        assertThat(page.getByText("made up, until you have contacts")).isVisible();
        assertThat(button(page, "Robin Sample")).isVisible();
        for (String place : List.of("People", "Deals", "Templates", "Materials", "Outbox")) {
            link(page, place).click();
            assertThat(link(page, place)).hasAttribute("aria-current", "page");
        }
        page.navigate(address("/people"));
        assertThat(page.getByText("No contacts yet.")).isVisible();

        link(page, "Today").click();
        within(step(page, "People to write to"), "Add people").click();
        textbox(page, "First name").fill("Jago");
        textbox(page, "Surname").fill("Wren");
        textbox(page, "E-mail").fill("jago@larkfield.example");
        button(page, "Add contact").click();
        assertThat(page.getByText("1 to go")).isVisible();

        within(step(page, "A first message"), "Write a message").click();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .fill("Thank-you");
        page.keyboard().press("Enter");
        page.getByLabel("what they did").fill("You came all the way");
        page.keyboard().press("Control+Enter");
        assertThat(post.waitForIncomingEmail(20_000, 1)).isTrue();
        page.navigate(address("/today"));
        assertThat(page.getByText("No message waits.")).isVisible();
        assertThat(page.getByText("First steps")).hasCount(0);
        assertThat(failed).isEmpty();
        lettingAColleagueIn(page);
    }

    /** Somebody new comes in under the address and password that they were given. */
    private void lettingAColleagueIn(Page page) {
        page.navigate(address("/team"));
        button(page, "Add a colleague").click();
        textbox(page, "First name").fill("Petra");
        textbox(page, "Surname").fill("Wold");
        textbox(page, "E-mail").fill("petra@ninefold.example");
        page.getByLabel("First password").fill("ten folds of berries");
        button(page, "Add").click();
        assertThat(page.getByText("Petra can sign in now.")).isVisible();

        Page petra = open("/");
        textbox(petra, "E-mail").fill("petra@ninefold.example");
        petra.getByLabel("Password").fill("wrong");
        button(petra, "Sign in").click();
        assertThat(petra.getByRole(AriaRole.ALERT)).containsText("is wrong");
        petra.getByLabel("Password").fill("ten folds of berries");
        button(petra, "Sign in").click();
        assertThat(petra.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places")))
                .isVisible();
        assertThat(link(petra, "Demo inboxes")).hasCount(0);
    }
}
