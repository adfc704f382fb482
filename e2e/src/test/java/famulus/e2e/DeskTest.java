package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Writing a template with its proof beside it. */
class DeskTest extends BrowserTest {
    private Page newTemplate(String name) {
        Page page = openAs("Signe", "/templates");
        beginPlain(page, name, "CONTACT");
        textbox(page, "Subject").waitFor();
        return page;
    }

    private static Locator proof(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview"));
    }

    private static Locator notes(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Notes"));
    }

    @Test
    void aBraceOpensTheFieldFinderAndAChipStandsInTheText() {
        Page page = newTemplate("Finder");
        textbox(page, "Subject").focus();
        page.keyboard().type("Hives for {firs");
        Locator finder = page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Fields"));
        assertThat(finder.getByRole(AriaRole.OPTION).first()).containsText("First name");
        page.keyboard().press("Enter");
        page.keyboard().type(" in May");

        assertThat(textbox(page, "Subject").locator(".chip")).hasText("First name");
        assertThat(proof(page).locator(".inbox")).containsText("Despina in May");
        assertThat(page.getByText("saved")).isVisible();
    }

    @Test
    void aNewTemplateIsWrittenFromTheKeyboardAtOnce() {
        Page page = newTemplate("At once");
        assertThat(textbox(page, "Subject")).isFocused();
        page.keyboard().type("Straps");
        page.keyboard().press("Tab");
        page.keyboard().press("Tab");
        page.keyboard().type("They hold.");

        assertThat(proof(page).locator(".inbox")).containsText("Straps");
        assertThat(proof(page).locator(".mail .words")).hasText("They hold.");
    }

    @Test
    void aFieldThatIsTypedOutBecomesAChipAndBackspaceOpensItAgain() {
        Page page = newTemplate("Typed");
        Locator text = textbox(page, "Text");
        text.focus();
        page.keyboard().type("Dear {person.title else nothing} {person.last_name},");
        assertThat(text.locator(".chip")).hasCount(2);
        assertThat(proof(page).locator(".mail .words")).containsText("Dear Anthopoulou,");

        page.keyboard().press("ArrowLeft");
        page.keyboard().press("Backspace");
        assertThat(text.locator(".chip")).hasCount(1);
        assertThat(text).containsText("{person.last_name");
    }

    @Test
    void aChipsSlipChangesFallbackAndFormat() {
        Page page = newTemplate("Slip");
        Locator text = textbox(page, "Text");
        text.focus();
        page.keyboard().type("Blossom: {contact.access_notes} and {today}");
        assertThat(text.locator(".chip")).hasCount(2);
        text.locator(".chip").last().click();
        page.getByLabel("Format").selectOption("month");
        page.keyboard().press("Escape");
        text.locator(".chip").first().click();
        page.getByLabel("If missing").selectOption("text");
        assertThat(page.getByLabel("Words to print when it is missing")).isFocused();
        page.keyboard().type("by the gate");
        page.keyboard().press("Enter");

        assertThat(text.locator(".chip").first()).containsText("by the gate");
        assertThat(proof(page).locator(".mail .words")).containsText(Pattern.compile("Blossom: .* and May$"));
    }

    @Test
    void marksWhatIsWrongWithTheNearestNameAndMendsIt() {
        Page page = newTemplate("Notes");
        Locator text = textbox(page, "Text");
        text.focus();
        page.keyboard().type("Dear {person.frist_name}, the rest still merges on {today as long date}. {oops");
        page.keyboard().press("Escape");

        assertThat(notes(page)).containsText("There is no field “person.frist_name”");
        assertThat(notes(page)).containsText("This brace is never closed");
        assertThat(notes(page)).containsText("There is no subject");
        assertThat(proof(page).locator(".mail .words")).containsText("the rest still merges on 5 May 2026.");

        notes(page)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("person.first_name"))
                .click();
        assertThat(text.locator(".chip").first()).hasText("First name");
        assertThat(notes(page)).not().containsText("frist");
    }

    @Test
    void aKeyStepsThroughTheNotes() {
        Page page = newTemplate("Keys");
        textbox(page, "Text").focus();
        page.keyboard().type("A line.");
        page.keyboard().press("Enter");
        page.keyboard().type("Dear {contact.mobile}");
        assertThat(notes(page)).containsText("Despina Anthopoulou has no mobile");
        page.keyboard().press("Alt+n");
        assertThat(textbox(page, "Subject")).isFocused();
        page.keyboard().press("Alt+n");
        assertThat(textbox(page, "Text")).isFocused();
    }

    @Test
    void previousAndNextPersonByKeyAlsoWhileWriting() {
        Page page = newTemplate("People");
        textbox(page, "Text").focus();
        page.keyboard().type("Dear {person.full_name as name},");
        Locator who = proof(page).locator(".person");
        // The fourth in the order of the list; quick presses are taken one after another.
        String first = who.innerText();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("F9");
        }
        assertThat(proof(page).locator(".mail .words")).containsText("Kalliope");
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Shift+F9");
        }
        assertThat(who).hasText(first);
        page.keyboard().type(" ");
        assertThat(textbox(page, "Text")).containsText(", ");
    }

    @Test
    void surviveAReloadInTheMiddleOfASentence() {
        Page page = newTemplate("Reload");
        textbox(page, "Text").focus();
        page.keyboard().type("Half a sen");
        page.reload();
        assertThat(textbox(page, "Text")).hasText("Half a sen");
    }

    @Test
    void aLostLineKeepsTheWordsAndSaysSo() {
        Page page = newTemplate("Line");
        page.context().setOffline(true);
        textbox(page, "Text").focus();
        page.keyboard().type("Written in a tunnel.");
        assertThat(page.getByText("Your words are safe in this browser.")).isVisible();

        page.context().setOffline(false);
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        page.evaluate("localStorage.clear()");
        page.reload();
        assertThat(textbox(page, "Text")).hasText("Written in a tunnel.");
    }

    @Test
    void twoPeopleNeverOverwriteEachOtherUnseen() {
        Page page = openAs("Oriel", "/templates?find=quote+reminder");
        link(page, "Quote reminder").click();
        textbox(page, "Preview text").waitFor();
        Page other = openAs("Amos", page.url().replace(address(""), ""));
        textbox(page, "Preview text").waitFor();
        textbox(other, "Preview text").waitFor();

        goToEnd(other, textbox(other, "Preview text"));
        other.keyboard().type(" (Amos)");
        assertThat(textbox(page, "Preview text")).containsText("(Amos)");

        page.context().setOffline(true);
        goToEnd(page, textbox(page, "Preview text"));
        page.keyboard().type(" (Oriel)");
        goToEnd(other, textbox(other, "Preview text"));
        other.keyboard().type(" again");
        assertThat(other.getByText(Pattern.compile("^saved 10:"))).isVisible();
        page.context().setOffline(false);
        assertThat(page.getByText("Amos changed the preview text too.")).isVisible();
        button(page, "Take theirs").click();
        assertThat(textbox(page, "Preview text")).containsText("(Amos) again");
    }

    @Test
    void deletingIsUndoneFromTheBar() {
        Page page = openAs("Signe", "/templates");
        button(page, "More for Quote reminder").click();
        button(page, "Delete template").click();
        assertThat(link(page, "Quote reminder")).hasCount(0);
        button(page, "Undo").click();
        assertThat(link(page, "Quote reminder")).isVisible();
    }

    @Test
    void somebodyElsesTemplateIsReadAndDuplicated() {
        Page page = openAs("Signe", "/templates");
        link(page, "Quote cover").click();
        assertThat(page.getByText("read only")).isVisible();
        button(page, "More").click();
        button(page, "Duplicate").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .hasText("Quote cover (copy)");
    }
}
