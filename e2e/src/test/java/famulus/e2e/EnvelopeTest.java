package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Who gets a message, with what, and when; what waits is moved, opened, held and let go. */
class EnvelopeTest extends BrowserTest {
    private static Locator dialog(Page page, String name) {
        return page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator envelope(Page page) {
        return page.locator(".envelope");
    }

    private static Locator line(Page page, String subject) {
        return page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText(subject));
    }

    private static void outbox(Page page) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Outbox")))
                .click();
    }

    /** Begins an empty plain message to somebody, under a subject of its own. */
    private static void begin(Page page, String name, String subject) {
        find(page, name);
        page.keyboard().press("w");
        page.getByText("an empty plain message").click();
        textbox(page, "Subject of this message").fill(subject);
        goToEnd(page, textbox(page, "Text of this message"));
    }

    private static void attachedBy(Page page, String event, String property, String name) {
        page.locator(".mail")
                .evaluate(
                        "(mail, [event, property, name]) => { const brought = new DataTransfer();"
                                + " brought.items.add(new File(['plan'], name, { type: 'application/pdf' }));"
                                + " mail.dispatchEvent(new (property === 'clipboardData' ? ClipboardEvent : DragEvent)"
                                + "(event, { [property]: brought, bubbles: true, cancelable: true })); }",
                        new String[] {event, property, name});
    }

    /** A template of its own: other tests use those of the demo. */
    @Test
    void aTemplateWishesForTheEnvelopeAndItsStyleStandsAroundPlainWords() {
        Page page = begin("Signe", "An empty sheet", "Plans in writing");
        textbox(page, "Subject").fill("Plans for the year");
        goToEnd(page, textbox(page, "Text"));
        page.keyboard().type("All of it in writing.");
        assertThat(page.locator(".draft .around").last()).containsText("Brindlewing Pollination Services");
        page.getByLabel("Copy to", new Page.GetByLabelOptions().setExact(true)).fill("office@brindlewing.example");
        page.keyboard().press("Tab");
        page.getByLabel("Leaves").selectOption("TOMORROW");
        assertThat(page.locator("[role=status].kept")).isVisible();
        find(page, "Tobias Larkin");
        page.keyboard().press("w");
        chooseTemplate(page, "Plans in writing");
        assertThat(envelope(page)).containsText("with a copy to office@brindlewing.example");
        assertThat(envelope(page)).containsText("8:00");
        button(page, "Discard").click();
    }

    @Test
    void severalPeopleGetItWithFilesBroughtInEveryWay() {
        Page page = openAs("Signe", "/people");
        begin(page, "Tobias Larkin", "Plans of the farm");
        assertThat(envelope(page)).containsText("From Signe Halloran to tobias.larkin@larkfield.example");
        assertThat(envelope(page)).containsText("leaves now");

        button(page, "and nobody else").click();
        page.getByLabel("Priya Ivory").check();
        page.getByLabel("Copy to (cc)").fill("not an address");
        page.getByLabel("Hidden copy to (bcc)").focus();
        assertThat(dialog(page, "Who else gets it")).containsText("“not an address” is not an e-mail address");
        button(page, "Done").click();
        Locator fix = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Must fix"));
        assertThat(fix).containsText("“not an address” is not an e-mail address");
        fix.getByRole(AriaRole.BUTTON).first().click();
        page.getByLabel("Copy to (cc)").fill("Office <office@larkfield.example>");
        page.getByLabel("Hidden copy to (bcc)").fill("archive@brindlewing.example");
        page.getByLabel("Replies go to").fill("orders@brindlewing.example");
        page.getByLabel("Replies go to").press("Tab");
        assertThat(envelope(page)).containsText("replies go to orders@brindlewing.example");
        button(page, "Done").click();
        button(page, "Use the new one").click();
        assertThat(textbox(page, "Text of this message")).containsText("Dear Tobias and Priya,");
        assertThat(envelope(page)).containsText("and Priya Ivory with a copy to Office <office@larkfield.example>");

        button(page, "attach a file").click();
        page.locator("input[type=file][multiple]")
                .setInputFiles(new FilePayload(
                        "chosen.txt", "text/plain", "north".repeat(300).getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator(".file")).containsText("chosen.txt, 2 KB");
        attachedBy(page, "drop", "dataTransfer", "dropped.pdf");
        attachedBy(page, "paste", "clipboardData", "pasted.pdf");
        assertThat(page.locator(".file")).hasCount(3);
        assertThat(page.locator(".files")).containsText("2 KB in all");
        assertThat(page.locator(".keeping")).hasText("saved");

        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Tobias Larkin")).isVisible();
        find(page, "Priya Ivory");
        page.getByText("Plans of the farm").click();
        assertThat(page.locator(".mail")).containsText("attached: chosen.txt, dropped.pdf, pasted.pdf");
        assertThat(page.getByText("Hidden copy to archive@brindlewing.example")).isVisible();
        link(page, "Demo inboxes").click();
        assertThat(page.getByText("archive@brindlewing.example").first()).isVisible();
    }

    @Test
    void aMessageForLaterIsMovedOpenedAndSent() {
        Page page = openAs("Signe", "/people");
        begin(page, "Leopold Gosling", "For later");
        page.keyboard().type("See you soon.");
        button(page, "now").click();
        Locator slip = dialog(page, "When it leaves");
        page.getByLabel("On", new Page.GetByLabelOptions().setExact(true)).fill("2020-01-01");
        assertThat(slip).containsText("This hour has passed. Choose a later one.");
        assertThat(button(page, "Choose this hour")).isDisabled();
        button(page, "Their morning").click();
        assertThat(envelope(page)).containsText("08:00");
        button(page, "Send at that hour").click();
        assertThat(page.getByText("Leaves for Leopold Gosling on")).isVisible();

        outbox(page);
        assertThat(line(page, "For later")).containsText(", 08:00");
        line(page, "For later").getByText("Move…").click();
        button(page, "Next week").click();
        assertThat(slip).hasCount(0);
        line(page, "For later").getByText("Open").click();
        assertThat(textbox(page, "Text of this message")).containsText("See you soon.");
        page.locator(".envelope button").last().click();
        button(page, "Now").click();
        assertThat(envelope(page)).containsText("leaves now");
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Leopold Gosling")).isVisible();
        outbox(page);
        assertThat(line(page, "For later").first()).containsText("sent");
    }

    @Test
    void theDoNotEmailListStopsAMessageBeforeAndAfterItIsSent() {
        Page page = openAs("Oriel", "/people");
        begin(page, "Leopold Gosling", "Not to be sent");
        button(page, "now").click();
        button(page, "Their morning").click();
        button(page, "Send at that hour").click();
        assertThat(page.getByText("Leaves for Leopold Gosling on")).isVisible();

        button(page, "Never e-mail leopold.gosling@larkfield.example").click();
        page.getByLabel("Reason").fill("Asked us to stop");
        button(page, "Put on the do-not-email list").click();
        assertThat(page.getByText("Nobody writes to leopold.gosling@larkfield.example any more."))
                .isVisible();
        assertThat(page.getByText("leopold.gosling@larkfield.example is on the do-not-email list: Asked us to stop."))
                .isVisible();

        outbox(page);
        line(page, "Not to be sent").getByText("Send now").click();
        link(page, "Today").click();
        Locator held = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Held")));
        assertThat(held).containsText("on the do-not-email list: Asked us to stop.");
        held.getByText("Open").click();
        assertThat(page.getByText("To: leopold.gosling@larkfield.example is on the do-not-email list"))
                .isVisible();
        button(page, "Discard").click();

        page.navigate(page.url().replaceAll("/people.*", "/company/do-not-email"));
        button(page, "Remove leopold.gosling@larkfield.example").click();
        assertThat(page.getByText("Nobody is on the list.")).isVisible();
    }

    @Test
    void aPaperOfADealIsKeptHereAndGoesAlong() {
        Page page = openAs("Signe", "/deals");
        page.keyboard().press("/");
        page.keyboard().type("Larkfield East");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Larkfield East")))
                .first()
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Documents"))
                .getByText("add")
                .click();
        page.locator("form input[type=file]")
                .setInputFiles(new FilePayload("Agreement.pdf", "application/pdf", new byte[2_400_000]));
        assertThat(dialog(page, "Add a document")).containsText("Agreement.pdf 2.4 MB");
        button(page, "Save").click();
        assertThat(page.getByText("2.4 MB")).isVisible();
        page.keyboard().press("w");
        page.getByText("an empty plain message").click();
        button(page, "attach a file").click();
        button(page, "Agreement").click();
        assertThat(page.locator(".file")).containsText("Agreement, 2.4 MB");
        button(page, "Discard").click();
    }

    @Test
    void oneKeyLogsACallANoteOrAReply() {
        Page page = openContact("Dov", "Priya Ivory");
        for (Map.Entry<String, String> key :
                Map.of("c", "Log a call", "n", "Add a note", "r", "Log a reply").entrySet()) {
            page.keyboard().press(key.getKey());
            assertThat(dialog(page, key.getValue())).isVisible();
            page.keyboard().press("Escape");
            assertThat(dialog(page, key.getValue())).hasCount(0);
        }
    }
}
