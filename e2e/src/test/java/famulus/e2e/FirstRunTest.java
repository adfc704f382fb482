package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Real use, from nothing: the first visitor makes the administrator, who lets a colleague in. */
class FirstRunTest extends BrowserTest {
    @Override
    boolean demo() {
        return false;
    }

    @Test
    void theFirstVisitorMakesTheAdministrator() {
        Page page = open("/");
        textbox(page, "Name").fill("Ninefold Berry Farm");
        textbox(page, "First name").fill("Wilma");
        textbox(page, "Surname").fill("Tallow");
        textbox(page, "E-mail").fill("wilma@ninefold.example");
        page.getByLabel("Password").fill("short");
        button(page, "Begin").click();
        assertThat(page.getByText("A password has at least 12 characters.")).isVisible();
        page.getByLabel("Password").fill("nine folds of berries");
        button(page, "Begin").click();
        assertThat(page.getByText("0 contacts")).isVisible();

        page.navigate(address("/team"));
        button(page, "Add a colleague").click();
        textbox(page, "First name").fill("Jago");
        textbox(page, "Surname").fill("Wren");
        textbox(page, "E-mail").fill("jago@ninefold.example");
        page.getByLabel("First password").fill("ten folds of berries");
        button(page, "Add").click();
        assertThat(page.getByText("Jago can sign in now.")).isVisible();

        Page jago = open("/");
        textbox(jago, "E-mail").fill("jago@ninefold.example");
        jago.getByLabel("Password").fill("wrong");
        button(jago, "Sign in").click();
        assertThat(jago.getByRole(AriaRole.ALERT)).containsText("is wrong");
        jago.getByLabel("Password").fill("ten folds of berries");
        button(jago, "Sign in").click();
        assertThat(jago.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places")))
                .isVisible();
        assertThat(link(jago, "Demo inboxes")).hasCount(0);
    }
}
