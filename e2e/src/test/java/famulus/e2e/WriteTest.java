package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Writing to one record, from the key to the recipient's inbox. */
class WriteTest extends BrowserTest {
    /** It stops the mail server and fills in what is missing of people. */
    @Override
    boolean alone() {
        return true;
    }

    @Test
    void aMessageGoesFromTheKeyToTheInboxExactlyAsWritten() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "Placement notice");
        assertThat(page.getByText("used").first()).isVisible();

        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type("PS: Grüße & <b>thanks</b>");
        assertThat(textbox(page, "Text of this message").locator(".mine")).hasText("PS: Grüße & <b>thanks</b>");
        page.keyboard().press("Control+Enter");
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();
        Locator sent = page.locator(".message", new Page.LocatorOptions().setHasText("hives for Larkfield East on"))
                .first();
        sent.click();
        assertThat(page.locator(".mail .text")).containsText("PS: Grüße & <b>thanks</b>");

        link(page, "Demo inboxes").click();
        assertThat(page.locator(".letter .text")).containsText("PS: Grüße & <b>thanks</b>");
        button(page, "headers").click();
        assertThat(page.locator(".letter dl")).containsText("@brindlewing.example>");
        button(page, "source").click();
        assertThat(page.locator(".letter pre")).containsText("format=flowed");
    }

    @Test
    void anotherTemplateTakesThePlaceOfOneThatGoesInADraft() {
        Page page = openAs("Signe", "/templates");
        beginPlain(page, "Goes", "CONTACT");
        textbox(page, "Subject").focus();
        page.keyboard().type("Goes away");
        textbox(page, "Text").focus();
        page.keyboard().type("Dear {contact.first_name}, we come.");
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        String desk = page.url();
        find(page, "Ines Okafor-Brandt");
        beginMessage(page, "Goes");
        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type(" Mine.");
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();

        page.navigate(desk);
        button(page, "More").click();
        button(page, "Delete template").click();
        Locator slip = page.getByRole(AriaRole.DIALOG);
        assertThat(slip).containsText("One draft of yours was begun from it. They keep their words");
        button(page, "Put another in its place …").click();
        // What was changed by hand is begun anew only where one says so.
        Locator draft = slip.getByRole(AriaRole.CHECKBOX);
        assertThat(draft).not().isChecked();
        assertThat(slip).containsText("changed by hand");
        draft.check();
        Locator choice = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"));
        choice.fill("Placement notice");
        choice.press("Enter");
        assertThat(slip).containsText("“Placement notice” takes its place in one draft");
        button(page, "Replace and delete").click();
        assertThat(page.getByText("“Goes” is deleted. One draft is begun anew from “Placement notice”."))
                .isVisible();
        find(page, "Ines Okafor-Brandt");
        page.getByText("hives for Larkfield East on").first().waitFor();
        assertThat(page.getByText("Goes away")).hasCount(0);
    }

    @Test
    void aGapIsFilledForThisMessageOrOnTheRecord() {
        Page page = openAs("Signe", "/templates");
        beginPlain(page, "Gaps", "CONTACT");
        textbox(page, "Subject").focus();
        page.keyboard().type("For {contact.title} Okafor");
        textbox(page, "Text").focus();
        page.keyboard().type("Call {contact.mobile}, {contact.title}.");
        assertThat(textbox(page, "Text").locator(".chip")).hasCount(2);
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();

        find(page, "Ines Okafor-Brandt");
        beginMessage(page, "Gaps");
        Locator title = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Title is missing"));
        textbox(page, "Title").fill("Dr");
        title.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save to the record"))
                .click();
        assertThat(textbox(page, "Subject of this message")).hasText("For Dr Okafor");
        assertThat(page.getByText("One thing to fix before this message can go:"))
                .isVisible();

        button(page, "Send now").click();
        Locator mobile = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Mobile is missing"));
        textbox(page, "Mobile").fill("no number");
        mobile.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("For this message"))
                .click();
        assertThat(mobile.getByRole(AriaRole.ALERT)).containsText("is not a telephone number");
        textbox(page, "Mobile").fill("01632 960 500");
        textbox(page, "Mobile").press("Enter");
        assertThat(textbox(page, "Text of this message")).hasText("Call +44 1632 960500, Dr.");

        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();
    }

    /** The last blocks of a message are drawn last; a missing value in them is come to all the same. */
    @Test
    void aGapInTheLastBlockIsAskedForFirst() {
        Page page = beginFrom("Signe", "Welcome", "Far down");
        Locator last = page.getByRole(
                        AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("^Block \\d+, text")))
                .last();
        goToEnd(page, last);
        page.keyboard().type(" Call {contact.mobile} first.");
        assertThat(last.locator(".chip").last()).containsText("Mobile");
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();

        find(page, "Despina Anthopoulou");
        beginMessage(page, "Far down");
        assertThat(page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Mobile is missing")))
                .isVisible();
        button(page, "Discard").click();
    }

    @Test
    void whatStopsAMessageIsShownWhereItStands() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "After a call");
        Locator text = textbox(page, "Text of this message");
        goToEnd(page, text);
        page.keyboard().type("PS: the price is TBC");

        Locator stops = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Must fix"));
        assertThat(stops).containsText("“TBC” is placeholder text");
        assertThat(text.locator(".noted.stop")).hasText("TBC");
        button(page, "Send now").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("“TBC” is placeholder text");

        stops.getByRole(AriaRole.BUTTON).click();
        page.keyboard().type("120 pounds");
        assertThat(stops).hasCount(0);
        assertThat(text).containsText("PS: the price is 120 pounds");
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();
    }

    @Test
    void aMessageBegunSurvivesAReload() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        beginMessage(page, "After a call");
        goToEnd(page, textbox(page, "Text of this message"));
        page.keyboard().type("Half a thou");
        page.reload();
        assertThat(textbox(page, "Text of this message")).containsText("Half a thou");
        button(page, "Discard").click();
    }

    @Test
    void whatWaitsIsShownAndGoesWhenThePostOpens() {
        Page page = openAs("Dov", "/demo-inboxes");
        button(page, "Stop the mail server").click();
        assertThat(page.getByText("mail server is stopped")).isVisible();
        find(page, "Ines Okafor-Brandt");
        beginMessage(page, "After a call");
        button(page, "Send now").click();
        page.getByText("waits in the outbox").first().waitFor();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Outbox")))
                .click();
        assertThat(page.getByText("The mail server can’t be reached.")).isVisible();
        page.keyboard().press("1");
        assertThat(page.getByText("1 in the outbox to look after")).isVisible();
        assertThat(page.getByText("The mail server can’t be reached.")).isVisible();

        Page elsewhere = openAs("Dov", "/demo-inboxes");
        button(elsewhere, "Start the mail server").click();
        assertThat(page.getByText("No message waits.")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Outbox")))
                .click();
        assertThat(page.getByText("nothing waits")).isVisible();
    }

    @Test
    void anAssistantWritesForAnAgent() {
        Page page = openContact("Petra", "Ines Okafor-Brandt");
        beginMessage(page, "After a call");
        page.getByLabel("From")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Signe Halloran"));
        assertThat(textbox(page, "Text of this message")).containsText("Signe Halloran");
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Ines Okafor-Brandt.")).isVisible();
    }

    @Test
    void aDealIsWrittenToByItsContact() {
        Page page = openAs("Signe", "/deals?find=larkfield+east");
        link(page, "Larkfield East, 48 hives").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        beginMessage(page, "Quote cover");
        assertThat(textbox(page, "Subject of this message")).hasText("Our quote: Larkfield East, 48 hives");
    }
}
