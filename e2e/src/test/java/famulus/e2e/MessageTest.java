package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A message to one person, changed where it stands, put aside, gone on with elsewhere, sent, and taken back. */
class MessageTest extends BrowserTest {
    /** Its messages can be taken back for a minute. */
    @Override
    boolean alone() {
        return true;
    }

    @Override
    List<String> settings() {
        return List.of("--famulus.take-back-seconds=60");
    }

    private static Locator saved(Page page) {
        return page.locator(".keeping");
    }

    private static Locator drafts(Page page, String title) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(title));
    }

    private static Locator dialog(Page page, String name) {
        return page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void theUsualFollowUpTakesSixKeysAndOneTakesItBackWhole() {
        Page page = openContact("Signe", "Priya Ivory");
        page.keyboard().press("w");
        page.keyboard().type("quo");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Text of this message")).isFocused();
        page.keyboard().press("Control+Enter");
        assertThat(page.getByText("On its way to Priya Ivory in 60 seconds.")).isVisible();
        assertThat(textbox(page, "Text of this message")).hasCount(0);

        page.keyboard().press("u");
        Locator text = textbox(page, "Text of this message");
        assertThat(text).containsText("Dear Priya");
        assertThat(page.getByText("On its way to")).hasCount(0);
        goToEnd(page, text);
        page.keyboard().type("PS: one thing more");
        page.keyboard().press("Control+Enter");
        assertThat(page.getByText("On its way to Priya Ivory in 60 seconds.")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Outbox")))
                .click();
        Locator line = page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("leaves at"));
        line.getByText("Send now").click();
        assertThat(line).hasCount(0);
        link(page, "Demo inboxes").click();
        assertThat(page.locator(".letter .text")).containsText("PS: one thing more");
    }

    /** The code of the message comes late: what is typed meanwhile is neither lost nor taken for shortcuts. */
    @Test
    void whatIsTypedBeforeTheMessageIsThereChoosesItsTemplate() {
        Page page = openAs("Signe", "/people");
        List<Route> held = new ArrayList<>();
        page.route(Pattern.compile(".*/Write-[^/]*\\.js"), held::add);
        find(page, "Ines Okafor-Brandt");
        page.keyboard().press("w");
        page.keyboard().type("call");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Subject of this message")).hasCount(0);
        held.forEach(Route::resume);
        assertThat(textbox(page, "Subject of this message")).containsText("What we said on the phone");
        page.keyboard().press("Escape");
        button(page, "Discard").click();
    }

    /** Each wish for the envelope counts, however quickly one follows another. */
    @Test
    void twoPeopleTickedAtOnceBothGetIt() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "Welcome");
        button(page, "and nobody else").click();
        page.evaluate("() => document.querySelectorAll('fieldset input').forEach((one, at) => at < 2 && one.click())");
        assertThat(page.locator(".envelope")).containsText(Pattern.compile("and \\w+ \\w+, \\w+ \\w+"));
        assertThat(page.locator(".sheet .value").first()).hasText(Pattern.compile("Dear Ines, \\w+,? and \\w+"));
        button(page, "Done").click();
        button(page, "Discard").click();
    }

    @Test
    void wordsOfADesignedMessageAreChangedInPlaceAndTakenBackOneByOne() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "Welcome");
        Locator text = textbox(page, "Block 2, text");
        assertThat(page.locator(".sheet .value").first()).hasText("Dear Ines");
        assertThat(page.locator(".mine")).hasCount(0);
        text.focus();
        page.keyboard().press("Control+Home");
        page.keyboard().press("Control+Shift+ArrowRight");
        page.keyboard().type("Your ");
        assertThat(text).containsText("Your first days");
        Locator mine = text.locator(".mine");
        assertThat(mine).hasCount(1);
        mine.click();
        assertThat(dialog(page, "Changed for this message")).containsText("The template says: “The”");
        button(page, "As the template says").click();
        assertThat(mine).hasCount(0);

        // A field put in says at once what it says to this person.
        goToEnd(page, text);
        page.keyboard().type(" From {organisation");
        page.keyboard().press("Enter");
        assertThat(text.locator(".chip")).hasCount(0);
        assertThat(text).containsText("From Larkfield Orchards");
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(text).not().containsText("From Larkfield Orchards");

        // Blocks too are this message's alone.
        page.keyboard().press("Alt+Shift+D");
        assertThat(textbox(page, "Block 3, text")).containsText("three working days");
        button(page, "All as the template says").click();
        assertThat(page.locator(".mine")).hasCount(0);
        assertThat(textbox(page, "Block 3, text")).hasCount(0);
        button(page, "Discard").click();
        assertThat(page.getByText("The message is discarded.")).isVisible();
    }

    @Test
    void aDraftIsGoneOnWithOnAnotherMachine() {
        Page page = openContact("Dov", "Ines Okafor-Brandt");
        beginMessage(page, "After a call");
        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type("Half a thought");
        assertThat(saved(page)).hasText("saved");

        Page elsewhere = openAs("Dov", "/today");
        Locator draft = drafts(elsewhere, "Drafts to finish").getByRole(AriaRole.LINK);
        assertThat(draft).hasText("What we said on the phone");
        assertThat(drafts(openAs("Signe", "/today"), "Drafts to finish")).hasCount(0);
        draft.click();
        Locator there = textbox(elsewhere, "Text of this message");
        goToEnd(elsewhere, there);
        elsewhere.keyboard().type(", and the rest");
        assertThat(saved(elsewhere)).hasText("saved");

        // The first window goes on too: nothing is overwritten, one is asked.
        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type(" of mine");
        assertThat(page.getByText("This draft was changed in another window.")).isVisible();
        button(page, "Take the other one").click();
        assertThat(textbox(page, "Text of this message")).containsText("Half a thought, and the rest");
        page.reload();
        assertThat(textbox(page, "Text of this message")).containsText("Half a thought, and the rest");

        // It is put aside, another one is begun beside it, and it is gone on with.
        button(page, "Save and close").click();
        assertThat(page.getByText("Saved as a draft.")).isVisible();
        beginMessage(page, "Quote cover");
        assertThat(saved(page)).hasText("saved");
        button(page, "Save and close").click();
        assertThat(drafts(page, "Drafts").getByRole(AriaRole.LISTITEM)).hasCount(2);
        drafts(page, "Drafts").getByText("What we said on the phone").click();
        assertThat(textbox(page, "Text of this message")).containsText("Half a thought, and the rest");
        button(page, "Discard").click();
        assertThat(drafts(page, "Drafts").getByRole(AriaRole.LISTITEM)).hasCount(1);
    }

    @Test
    void whatChangedOnTheRecordIsOfferedAndNeverPutInByItself() {
        Page page = openContact("Signe", "Despina Anthopoulou");
        beginMessage(page, "After a call");
        assertThat(saved(page)).hasText("saved");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^First name")))
                .click();
        textbox(page, "First name").fill("Dora");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Dora").first()).isVisible();
        page.reload();
        Locator since = drafts(page, "Changed since");
        assertThat(since).containsText("“Despina” is “Dora” now.");
        Locator text = textbox(page, "Text of this message");
        assertThat(text).containsText("Dear Despina,");
        button(page, "Use the new one").click();
        assertThat(text).containsText("Dear Dora,");
        assertThat(since).hasCount(0);
        button(page, "Discard").click();
    }

    @Test
    void anEmptyLetterBeginsAtItsSubjectAndOneIsAskedWhereSomethingIsToBeChecked() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "nothing is called so");
        assertThat(textbox(page, "Subject of this message")).isFocused();
        page.keyboard().type("A question");
        Locator text = textbox(page, "Block 1, text");
        assertThat(text).containsText("Dear Ines,");
        goToEnd(page, text);
        page.keyboard().type("May I call you about TBC?");
        assertThat(page.locator(".mine")).hasCount(0);
        assertThat(drafts(page, "Must fix")).isVisible();
        page.keyboard().press("Control+Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("“TBC” is placeholder text");
        Locator asked = dialog(page, "Send this message?");
        assertThat(asked).hasCount(0);
        for (int i = 0; i < " about TBC?".length(); i++) {
            page.keyboard().press("Backspace");
        }
        assertThat(drafts(page, "Must fix")).hasCount(0);
        page.keyboard().press("Control+Enter");
        assertThat(asked).containsText("to check:");
        asked.getByText("Not yet").click();
        assertThat(text).isVisible();
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt in 60 seconds."))
                .isVisible();
        button(page, "Take back (u)").click();
        assertThat(text).containsText("May I call you");
        button(page, "Discard").click();
    }

    @Test
    void whatFollowsAMessageKnowsItAfterAReloadAndCanLeaveIt() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        openMessage(page, "Welcome to");
        button(page, "Write the next one").click();
        chooseTemplate(page, "After a call");
        Locator subject = textbox(page, "Subject of this message");
        assertThat(subject).hasText(Pattern.compile("^Re: Welcome to"));
        assertThat(saved(page)).hasText("saved");
        page.reload();
        assertThat(page.getByText("in the same conversation.")).isVisible();
        button(page, "Start a new conversation").click();
        assertThat(page.getByText("in the same conversation.")).hasCount(0);
        assertThat(subject).hasText("What we said on the phone");
        button(page, "Discard").click();
    }

    @Test
    void aMessageIsSentAgainBecomesATemplateAndIsShownOnTheWeb() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        openMessage(page, "Welcome to");
        button(page, "Send again to…").click();
        // At once: whoever is chosen is found for these letters.
        page.keyboard().type("Priya Ivory");
        page.keyboard().press("Enter");
        assertThat(page.locator(".sheet .value").first()).hasText("Dear Priya");
        assertThat(page.locator(".envelope")).containsText("From Signe Halloran to priya.ivory@larkfield.example");
        assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("Priya");
        button(page, "Discard").click();

        find(page, "Ines Okafor-Brandt");
        openMessage(page, "Welcome to");
        link(page, "As a template…").click();
        button(page, "Create template…").click();
        textbox(page, "Name for colleagues").fill("Welcome, as it worked");
        button(page, "Create template").click();
        assertThat(page.locator(".sheet .chip").first()).isVisible();
        assertThat(page.getByText("Welcome, as it worked").first()).isVisible();

        find(page, "Ines Okafor-Brandt");
        openMessage(page, "Welcome to");
        button(page, "Show on the web…").click();
        button(page, "Make a link for anybody").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("can’t be shown to anybody");
        button(page, "Make a link").click();
        Locator link = page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.LINK);
        assertThat(link).hasCount(1);
        Page copy = page.waitForPopup(link::click);
        assertThat(copy.getByText("Dear Ines").first()).isVisible();
        copy.close();
        button(page, "Close it").click();
        assertThat(link).hasCount(0);
    }

    private static void openMessage(Page page, String subject) {
        page.locator("button.message")
                .filter(new Locator.FilterOptions().setHasText(subject))
                .first()
                .click();
        button(page, "Show on the web…").waitFor();
    }

    @Test
    void aMessageIsWrittenAndSentOnAPhone() {
        Page page = openContact("Signe", "Ines Okafor-Brandt", 390, ColorScheme.LIGHT);
        beginMessage(page, "After a call");
        Locator text = textbox(page, "Text of this message");
        goToEnd(page, text);
        page.keyboard().type("From the road");
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt in 60 seconds."))
                .isVisible();
        button(page, "Take back (u)").click();
        assertThat(text).containsText("From the road");
        button(page, "Discard").click();
    }
}
