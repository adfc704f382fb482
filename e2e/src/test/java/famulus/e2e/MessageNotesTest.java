package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The proofreader beside a message: notes at their lines, mended in one step, or ignored with a reason. */
class MessageNotesTest extends BrowserTest {
    private static Locator notes(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Notes"));
    }

    private static Locator note(Page page, String title) {
        return notes(page).locator(".note").filter(new Locator.FilterOptions().setHasText(title));
    }

    private Page writing(String template) {
        Page page = openContact("Signe", "Tyrell Blueford");
        beginMessage(page, template);
        return page;
    }

    @Test
    void aWrongWeekdayStopsAtItsLineAndIsMendedInOneStep() {
        Page page = writing("quo");
        Locator text = textbox(page, "Text of this message");
        goToEnd(page, text);
        page.keyboard().type("I will come on Friday, 9 May at ten.");
        Locator note = note(page, "9 May 2026 is a Saturday");
        note.waitFor();
        BoundingBox beside = note.boundingBox();
        BoundingBox line = page.getByText("I will come on Friday").boundingBox();
        org.assertj.core.api.Assertions.assertThat(beside.y).isBetween(line.y - 4, line.y + line.height + 4);

        page.keyboard().press("Control+Enter");
        assertThat(page.getByText("One thing to fix before this message can go"))
                .isVisible();
        note.getByText("Friday, 8 May", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(text).containsText("I will come on Friday, 8 May at ten.");
        assertThat(note).hasCount(0);
        page.keyboard().press("Control+z");
        assertThat(note(page, "9 May 2026 is a Saturday")).isVisible();
        button(page, "Discard").click();
    }

    @Test
    void aCheckIsIgnoredForAReasonThatItsHistoryTells() {
        Page page = writing("quo");
        Locator history = page.locator("button.message");
        int before = history.count();
        Locator text = textbox(page, "Text of this message");
        goToEnd(page, text);
        page.keyboard().type("The drawing is attached.");
        Locator note = note(page, "but no file is attached");
        note.waitFor();
        note.getByText("Ignore").click();
        page.keyboard().type("it went by post");
        page.keyboard().press("Enter");
        assertThat(note).hasCount(0);
        assertThat(notes(page).getByText("1 ignored")).isVisible();

        page.reload();
        assertThat(notes(page).getByText("1 ignored")).isVisible();
        goToEnd(page, text);
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Tyrell Blueford")).isVisible();
        assertThat(history).hasCount(before + 1);
        history.first().click();
        assertThat(page.getByText("Ignored by Signe: “attached”, but no file is attached"))
                .isVisible();
        assertThat(page.getByText("it went by post")).isVisible();

        // Whoever writes again the same day is told so, and reads what went before.
        beginMessage(page, "quo");
        note(page, "You wrote to Tyrell Blueford today")
                .getByText("Read that message")
                .click();
        Locator earlier = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Sent before"));
        assertThat(earlier.getByText("The drawing is attached.")).isVisible();
        page.keyboard().press("Escape");
        assertThat(earlier).hasCount(0);
        button(page, "Discard").click();
    }

    @Test
    void theNameOfSomebodyElseIsNoticed() {
        Page page = writing("Welcome");
        Locator text = textbox(page, "Block 2, text");
        goToEnd(page, text);
        page.keyboard().press("Enter");
        page.keyboard().type("Thank you, Priya, for the walk.");
        assertThat(note(page, "“Priya” is greeted, and the message goes to Tyrell Blueford"))
                .isVisible();
        page.keyboard().press("Alt+n");
        note(page, "“Priya” is greeted")
                .getByText("Tyrell", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(text).containsText("Thank you, Tyrell, for the walk.");
        assertThat(note(page, "“Priya” is greeted")).hasCount(0);
        button(page, "Discard").click();
    }

    @ParameterizedTest
    @CsvSource({"1280, LIGHT", "1280, DARK", "390, LIGHT"})
    void notesBesideAMessageAreAccessible(int width, ColorScheme scheme) {
        Page page = openContact("Signe", "Tyrell Blueford", width, scheme);
        beginMessage(page, "quo");
        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type("The drawing of 31 June is attached.");
        assertThat(note(page, "There is no “31 June”")).isVisible();
        assertThat(note(page, "but no file is attached")).isVisible();
        AccessibilityTest.scan(page, "notes beside a message");
        button(page, "Discard").click();
    }
}
