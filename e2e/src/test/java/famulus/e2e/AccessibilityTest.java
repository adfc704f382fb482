package famulus.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

/** No violation of WCAG 2.2 AA that axe finds, on every view, in both themes. */
class AccessibilityTest extends BrowserTest {
    /** It looks at every view as the demo has it. */
    @Override
    boolean alone() {
        return true;
    }

    /** What axe is asked of a page: the identifiers of rules, or tags, and the sentence for each rule that is broken. */
    private static final String BROKEN =
            """
            async ([by, values]) => {
              const result = await axe.run(
                // No script runs where messages are shown, so axe can't either; their HTML is checked where it is made.
                { exclude: [['iframe']] },
                // What is right need not be told one by one: there is far more of it.
                { runOnly: { type: by, values }, iframes: false, resultTypes: ['violations'] });
              return result.violations.map(
                (rule) => `${rule.id}: ${rule.nodes[0].html} ${rule.nodes[0].failureSummary}`);
            }
            """;

    private static final String AXE = axe();

    private static String axe() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** Scans a view as it is, and its colours again on dark. */
    static void scan(Page page, String view) {
        // A view that is opened within the page finds it there: reading the script takes about as long as a scan.
        if (!(boolean) page.evaluate("() => 'axe' in window")) {
            page.evaluate(AXE);
        }
        none(view, page, "tag", List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        none(view + ", dark", page, "rule", List.of("color-contrast", "link-in-text-block"));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    private static void none(String view, Page page, String by, List<String> values) {
        assertThat((List<?>) page.evaluate(BROKEN, List.of(by, values)))
                .as(view)
                .isEmpty();
    }

    private static void heading(Page page, String name) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name))
                .first()
                .waitFor();
    }

    @Test
    void whatIsWrongIsFoundInBothThemes() {
        Page page = open("/", 1280, 800, ColorScheme.LIGHT);
        // The policy of a page of ours would keep a style of its own from it.
        page.navigate("about:blank");
        page.setContent("<html lang=en><title>A</title><main><h1>All of them</h1><img src=a.png></main></html>");
        assertThatThrownBy(() -> scan(page, "no words for a picture")).hasMessageContaining("image-alt");
        page.setContent(
                "<html lang=en><title>A</title><style>@media (prefers-color-scheme: dark) { h1 { color: #eee } }"
                        + "</style><main><h1>All of them</h1></main></html>");
        assertThatThrownBy(() -> scan(page, "pale on white")).hasMessageContaining("pale on white, dark");
    }

    @Test
    void everyView() {
        Page page = open("/", 1280, 800, ColorScheme.LIGHT);
        page.getByText("Who are you").waitFor();
        scan(page, "sign-in");
        signIn(page, "Signe");
        page.getByText("No message waits.").waitFor();
        scan(page, "Today");
        page.keyboard().press("2");
        page.locator("[data-at='5'] a").waitFor();
        scan(page, "People");
        page.getByLabel("Which contacts", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("Apples in blossom soon"));
        page.getByText("4 contacts").waitFor();
        page.getByLabel("All contacts", new Page.GetByLabelOptions().setExact(true))
                .last()
                .click();
        scan(page, "a list with a condition, all of it chosen");
        button(page, "Set a field…").click();
        page.getByLabel("Owner of all").waitFor();
        scan(page, "setting a field");
        page.keyboard().press("Escape");
        button(page, "Write to them…").click();
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Left out"))
                .waitFor();
        page.locator(".slip section[aria-label^='Preview of']").waitFor();
        scan(page, "writing to several");
        page.keyboard().press("Escape");
        button(page, "about this list").click();
        scan(page, "what a list is");
        page.keyboard().press("Escape");
        page.getByLabel("Which contacts", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("Came to our open day (14, fixed)"));
        button(page, "columns…").click();
        page.getByLabel("Add a column").waitFor();
        scan(page, "choosing columns");
        page.keyboard().press("Escape");
        find(page, "Ines Okafor-Brandt");
        scan(page, "a contact");
        page.locator(".message").first().click();
        page.locator(".mail").waitFor();
        scan(page, "a contact with a sent message open");
        page.keyboard().press("w");
        page.getByRole(AriaRole.OPTION).first().waitFor();
        scan(page, "choosing a template");
        // A plain one: of a designed message only the subject is written here.
        page.keyboard().type("After a call");
        page.keyboard().press("Enter");
        textbox(page, "Text of this message").waitFor();
        scan(page, "writing to a contact");
        button(page, "and nobody else").click();
        page.getByLabel("Copy to (cc)").waitFor();
        scan(page, "who else gets a message");
        page.keyboard().press("Escape");
        button(page, "now").click();
        button(page, "Choose this hour").waitFor();
        scan(page, "when a message leaves");
        page.keyboard().press("Escape");
        button(page, "Discard").click();
        page.keyboard().press("3");
        page.locator("[data-at='5'] a").click();
        heading(page, "Lines");
        scan(page, "a deal");
        page.keyboard().press("5");
        link(page, "Greetings of the season").waitFor();
        scan(page, "Mailings");
        link(page, "Greetings of the season").click();
        page.getByText("When it was opened").waitFor();
        scan(page, "a mailing that was sent");
        page.keyboard().press("5");
        link(page, "Before blossom, apples").click();
        button(page, "see who, and why").click();
        page.getByText("those with trouble first").waitFor();
        scan(page, "a mailing that is written");
        button(page, "Send a test…").click();
        scan(page, "a test of a mailing");
        page.keyboard().press("Escape");
        page.locator("main td .name").first().click();
        page.getByText("1 of ").waitFor();
        scan(page, "what one of them gets");
        page.keyboard().press("Escape");
        page.keyboard().press("4");
        link(page, "After a call").waitFor();
        scan(page, "Templates");
        button(page, "gallery").click();
        page.locator(".gallery iframe").first().waitFor();
        scan(page, "the gallery");
        button(page, "list").click();
        button(page, "More for Pick-up").click();
        scan(page, "what can be done with a template");
        page.keyboard().press("Escape");
        button(page, "Share My templates").click();
        button(page, "Add somebody").click();
        page.getByLabel("Shared with").waitFor();
        scan(page, "sharing a folder");
        page.keyboard().press("Escape");
        page.getByLabel("Choose Pick-up").check();
        button(page, "Move…").click();
        page.getByLabel("Into the folder").selectOption("");
        scan(page, "moving into a new folder");
        page.keyboard().press("Escape");
        button(page, "Choose none").click();
        link(page, "Pick-up").click();
        page.getByText("There is no field").first().waitFor();
        scan(page, "the desk with a note");
        page.locator(".chip").last().click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        scan(page, "a field's slip");
        page.keyboard().press("Escape");
        page.navigate(address("/templates"));
        link(page, "Before placement").click();
        page.locator(".tag.taken").first().waitFor();
        scan(page, "the desk with choices");
        page.locator(".tag.when").first().click();
        page.getByText("holds for").waitFor();
        scan(page, "a choice's slip");
        page.keyboard().press("Escape");
        page.keyboard().press("F2");
        button(page, "all of them").click();
        scan(page, "stress proofs");
        page.locator(".mail .value").first().click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        scan(page, "why a word says so");
        page.keyboard().press("Escape");
        page.locator(".chip.deal").last().click();
        page.getByText("Filled for").waitFor();
        scan(page, "what a field holds");
        page.keyboard().press("Escape");
        for (String part : new String[] {"details", "greetings", "holidays", "fields", "topics"}) {
            page.navigate(address("/company/" + part));
            page.getByRole(AriaRole.TABLE).waitFor();
            scan(page, "our company's " + part);
        }
        page.navigate(address("/people/contacts/import"));
        giveFile(
                page,
                "people.csv",
                "text/csv",
                "Surname,E-mail\nOkafor-Brandt,ines@larkfield.example\nGale,nobody\nWren,\n");
        button(page, "Check").click();
        page.getByText("is new").waitFor();
        scan(page, "an import with its check");
        page.navigate(address("/company/pipeline"));
        textbox(page, "stage 1").waitFor();
        scan(page, "the pipeline");
        page.navigate(address("/company/do-not-email"));
        page.getByLabel("Address or domain").waitFor();
        scan(page, "the do-not-email list");
        page.navigate(address("/company/tracking"));
        page.getByLabel("Track opens and clicks").waitFor();
        scan(page, "what is counted");
        page.navigate(address("/company/checks"));
        page.getByLabel("Names of somebody else")
                .or(page.getByText("Editors and administrators decide this."))
                .first()
                .waitFor();
        scan(page, "the checks");
        page.navigate(address("/templates/new"));
        page.locator("iframe").waitFor();
        scan(page, "New template");
        page.navigate(address("/templates"));
        link(page, "Welcome").click();
        page.locator("iframe").waitFor();
        scan(page, "the desk with a designed message");
        page.navigate(address("/templates"));
        link(page, "Delivery notice").click();
        page.locator(".sheet .chip").first().waitFor();
        scan(page, "the desk where a designed message is composed");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        button(page, "Item table").waitFor();
        scan(page, "the block drawer");
        page.keyboard().press("Escape");
        button(page, "Event 2").click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        button(page, "Space, background, border").click();
        scan(page, "a block's slip");
        page.keyboard().press("Escape");
        button(page, "Row 2").click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        scan(page, "a band's slip");
        page.keyboard().press("Escape");
        page.keyboard().press("Control+Enter");
        button(page, "Send the test").waitFor();
        scan(page, "sending a test");
        page.keyboard().press("Escape");
        button(page, "More").click();
        link(page, "Versions").click();
        page.getByText("marked ready").first().waitFor();
        scan(page, "versions");
        page.navigate(address("/materials/files"));
        button(page, "Upload files").waitFor();
        scan(page, "files");
        page.navigate(address("/materials/styles"));
        page.locator("iframe").waitFor();
        scan(page, "house styles");
        page.navigate(address("/materials/pictures"));
        page.getByRole(AriaRole.TABLE).waitFor();
        scan(page, "pictures");
        for (String part : List.of("passages", "signatures", "links", "feeds")) {
            page.navigate(address("/materials/" + part));
            page.getByRole(AriaRole.TABLE).waitFor();
            scan(page, part);
        }
        page.navigate(address("/materials/passages"));
        link(page, "How payment goes").click();
        page.locator(".sheet [role=textbox]").first().waitFor();
        scan(page, "a passage on the desk");
        page.navigate(address("/templates/from-message"));
        textbox(page, "The message")
                .fill("Hello Ines Okafor-Brandt,\n\nwe come to Larkfield Farms.\n\nKind regards\nDov");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Ines Okafor-Brandt"))
                .first()
                .click();
        scan(page, "a message that was pasted");
        button(page, "Find the fields").click();
        heading(page, "Values that can be fields");
        scan(page, "what was found in a message");
        page.navigate(address("/templates/new"));
        button(page, "Import").click();
        textbox(page, "Or paste the source of an HTML page").fill("<p onclick=x>Dear {person.first_name}</p>");
        scan(page, "bringing HTML in");
        page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Import"))
                .click();
        page.getByText("One thing left out").waitFor();
        button(page, "Start with this one").click();
        button(page, "Create template").click();
        textbox(page, "Source").waitFor();
        scan(page, "a source on the desk");
        link(page, "Outbox").click();
        page.getByText("sent").first().waitFor();
        scan(page, "Outbox");
        link(page, "Demo inboxes").click();
        heading(page, "Demo inboxes");
        scan(page, "Demo inboxes");
        button(page, "Signe").click();
        page.getByRole(AriaRole.DIALOG).waitFor();
        scan(page, "my slip");
        button(page, "My profile and signature").click();
        heading(page, "My profile");
        scan(page, "my profile");
        page.navigate(address("/team"));
        page.getByText("amos@brindlewing.example").waitFor();
        scan(page, "Team");
        page.keyboard().press("?");
        heading(page, "Keyboard shortcuts");
        scan(page, "Keys");
        page.navigate(address("/people/contacts/00000000-0000-0000-0000-000000000001"));
        page.getByRole(AriaRole.ALERT).waitFor();
        scan(page, "a record that is not there");
    }
}
