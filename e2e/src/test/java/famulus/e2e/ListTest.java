package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Lists by a condition, lists that are kept, and what is done with what is chosen in them. */
class ListTest extends BrowserTest {
    private static final Pattern CHOOSE = Pattern.compile("^Choose ");

    private static Locator lines(Page page) {
        return page.locator("[data-at] a");
    }

    private static Locator which(Page page) {
        return page.getByLabel("Which contacts", new Page.GetByLabelOptions().setExact(true));
    }

    private static void whose(Page page, String field, String verb, String value) {
        button(page, "whose …").click();
        compare(page, 0, field, verb, value);
    }

    private static void compare(Page page, int part, String field, String verb, String value) {
        page.getByLabel("What is compared").nth(part).selectOption(new SelectOption().setLabel(field));
        page.getByLabel("How", new Page.GetByLabelOptions().setExact(true))
                .nth(part)
                .selectOption(new SelectOption().setLabel(verb));
        page.getByLabel("Which", new Page.GetByLabelOptions().setExact(true))
                .nth(part)
                .selectOption(value);
    }

    @Test
    void aListIsNarrowedByASentenceThatTheAddressKeeps() {
        Page page = openAs("Signe", "/people/contacts");
        assertThat(page.getByText("240 contacts")).isVisible();
        whose(page, "Crop", "is", "apple");
        assertThat(page).hasURL(Pattern.compile("where=contact.crop\\+is\\+%22apple%22$"));
        Locator crops = page.locator("[data-at] [role=cell]:last-child");
        assertThat(crops.filter(new Locator.FilterOptions().setHasNotText("apple")))
                .hasCount(0);
        assertThat(crops.first()).hasText("apple");
        String number = page.getByText(Pattern.compile("^\\d\\d contacts$")).textContent();

        button(page, "and …").click();
        compare(page, 1, "Crop", "is", "pear");
        assertThat(page.getByText("No contact fits the condition.")).isVisible();
        page.getByLabel("How the parts are joined").selectOption("or");
        assertThat(page.getByText(Pattern.compile("^\\d\\d contacts$"))).not().hasText(number);
        page.reload();
        assertThat(page.getByLabel("What is compared")).hasCount(2);
        button(page, "Remove part 2").click();
        assertThat(page.getByText(number)).isVisible();

        page.keyboard().press("Escape");
        page.getByLabel("Find in this list").fill("okafor");
        assertThat(page.getByText("1 contact found")).isVisible();
        button(page, "remove the condition").click();
        assertThat(button(page, "whose …")).isVisible();
    }

    @Test
    void whatTheAddressAsksAndCantBeAskedIsSaidWithAWayOut() {
        Page page = openAs("Signe", "/people/organisations?where=contact.crop+is+%22apple%22");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("A list of organisations has no contact");
        button(page, "remove the condition").click();
        assertThat(lines(page).first()).isVisible();
    }

    @Test
    void aConditionIsSavedAsAListAndDeletedWithAWayBack() {
        Page page = openAs("Dov", "/people/contacts");
        whose(page, "Crop", "is", "almond");
        button(page, "save as a list…").click();
        button(page, "Save list").click();
        assertThat(page.getByText("This can’t be empty.")).isVisible();
        textbox(page, "Name").fill("Almond growers");
        button(page, "Save list").click();
        assertThat(which(page)).hasValue(Pattern.compile("[0-9a-f-]{36}"));
        assertThat(page).hasURL(Pattern.compile("\\?list=[0-9a-f-]{36}$"));

        button(page, "and …").click();
        compare(page, 1, "Crop", "is not", "pear");
        button(page, "save as a list…").click();
        button(page, "Save “Almond growers”").click();
        assertThat(button(page, "save as a list…")).hasCount(0);
        button(page, "about this list").click();
        assertThat(page.getByText("contacts whose Crop is almond and Crop is not pear"))
                .isVisible();
        textbox(page, "Name").fill("Almonds");
        button(page, "Save").click();
        assertThat(which(page).locator("option:checked")).hasText("Almonds");

        button(page, "about this list").click();
        button(page, "Delete list").click();
        assertThat(page.getByText("240 contacts")).isVisible();
        button(page, "Undo").click();
        which(page).selectOption(new SelectOption().setLabel("Almonds"));
        assertThat(page.getByLabel("What is compared")).hasCount(2);
        // What is mine alone is not there for others.
        Page others = openAs("Signe", page.url().replaceFirst("^https?://[^/]+", ""));
        assertThat(others.getByText("This list is missing.").first()).isVisible();
        button(others, "Show all contacts").click();
        assertThat(others.getByText("240 contacts")).isVisible();
    }

    private static void look(Page page) {
        page.getByRole(AriaRole.TABLE).waitFor();
    }

    @Test
    void linesAreChosenWithTheKeyboardAndTheMouse() {
        Page page = openAs("Signe", "/people/contacts");
        look(page);
        lines(page).first().focus();
        page.keyboard().press("Space");
        assertThat(page.getByText("1 chosen")).isVisible();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Shift+Space");
        assertThat(page.getByText("3 chosen")).isVisible();
        page.getByLabel(CHOOSE).nth(6).click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        assertThat(page.getByText("7 chosen")).isVisible();
        button(page, "Choose all 240").click();
        page.getByLabel(CHOOSE).nth(1).click();
        assertThat(page.getByText("239 chosen")).isVisible();
        button(page, "Choose none").click();
        assertThat(page.getByText("240 contacts")).isVisible();
    }

    @Test
    void aListHasTheseWithoutThoseAndSaysWhyAndWhatHasChanged() {
        Page page = openAs("Amos", "/people/contacts?where=contact.crop+is+%22cherry%22");
        look(page);
        String first = lines(page).first().textContent();
        String second = lines(page).nth(1).textContent();
        page.getByLabel(CHOOSE).nth(0).click();
        button(page, "Add to a list…").click();
        page.getByLabel("List", new Page.GetByLabelOptions().setExact(true)).selectOption("");
        textbox(page, "Name of the list").fill("Has cherries already");
        button(page, "Make it and add").click();
        page.getByLabel("Whom the list leaves out")
                .selectOption(new SelectOption().setLabel("those on “Has cherries already”"));
        assertThat(lines(page).first()).hasText(second);
        assertThat(page).hasURL(Pattern.compile("minus="));
        button(page, "save as a list…").click();
        textbox(page, "Name").fill("Cherries to come");
        button(page, "Save list").click();
        assertThat(which(page).locator("option:checked")).hasText("Cherries to come");
        assertThat(page.getByText("leaving out those on “Has cherries already”"))
                .isVisible();
        assertThat(lines(page).first()).hasText(second);
        String address = page.url();

        // Why somebody is on a fixed list stands beside them.
        which(page).selectOption(new SelectOption().setLabel("Has cherries already (1, fixed)"));
        assertThat(page.getByText("Put on")).isVisible();
        assertThat(page.getByText("5 May 2026 by Amos")).isVisible();
        page.getByLabel(CHOOSE).first().click();
        button(page, "Remove from this list").click();
        assertThat(page.getByText("Nobody is on this list yet.")).isVisible();

        page.navigate(address);
        assertThat(page.getByText(Pattern.compile("Since you looked on 5 May( 2026)?: 1 \\(" + first + "\\) came\\.")))
                .isVisible();
        button(page, "seen").click();
        assertThat(page.getByText("Since you looked")).hasCount(0);
        page.reload();
        look(page);
        assertThat(page.getByText("Since you looked")).hasCount(0);
    }

    @Test
    void theContactsOfDealsInARoleAreAListOfTheirOwn() {
        Page page = openAs("Oriel", "/people/contacts");
        look(page);
        page.getByLabel("On which deals")
                .selectOption(new SelectOption().setLabel("the deals of “Quoted, decision within two weeks”"));
        Locator shown = page.getByText(Pattern.compile("^\\d+ contacts$"));
        assertThat(shown).not().hasText("240 contacts");
        String all = shown.textContent();
        page.getByLabel("In which role").selectOption(new SelectOption().setLabel("the role “decides”"));
        assertThat(page).hasURL(Pattern.compile("deals=[0-9a-f-]{36}&role=decides"));
        assertThat(shown).not().hasText(all);
        String number = shown.textContent();
        button(page, "save as a list…").click();
        textbox(page, "Name").fill("Decide soon");
        button(page, "Save list").click();
        assertThat(page.getByText("on the deals of “Quoted, decision within two weeks”, in the role “decides”"))
                .isVisible();
        assertThat(page.getByText(number)).isVisible();
        button(page, "about this list").click();
        button(page, "Delete list").click();
        assertThat(page.getByText("240 contacts")).isVisible();
    }

    @Test
    void aFieldIsSetForAllThatAreChosenAndTakenBack() {
        Page page = openAs("Signe", "/people/leads");
        look(page);
        page.getByLabel("All leads", new Page.GetByLabelOptions().setExact(true))
                .last()
                .click();
        button(page, "Set a field…").click();
        page.getByLabel("Field", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("Came from"));
        page.getByLabel("Came from of all").selectOption(new SelectOption().setLabel("Web form"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Set for")))
                .click();
        assertThat(page.getByText(Pattern.compile("^Came from is set for \\d+ leads\\.")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.CELL).filter(new Locator.FilterOptions().setHasText("Recommended")))
                .hasCount(0);
        button(page, "Undo").click();
        assertThat(page.getByRole(AriaRole.CELL)
                        .filter(new Locator.FilterOptions().setHasText("Recommended"))
                        .first())
                .isVisible();
    }

    @Test
    void aFixedListIsMadeOfWhatIsChosen() {
        Page page = openAs("Dov", "/people/contacts");
        look(page);
        page.getByLabel(CHOOSE).nth(0).click();
        page.getByLabel(CHOOSE).nth(2).click();
        button(page, "Add to a list…").click();
        page.getByLabel("List", new Page.GetByLabelOptions().setExact(true)).selectOption("");
        textbox(page, "Name of the list").fill("To call this week");
        button(page, "Make it and add").click();
        assertThat(page.getByText("2 are on “To call this week” now.")).isVisible();

        which(page).selectOption(new SelectOption().setLabel("To call this week (2, fixed)"));
        assertThat(page.getByText("2 chosen")).hasCount(0);
        assertThat(lines(page)).hasCount(2);
        page.getByLabel(CHOOSE).first().click();
        button(page, "Remove from this list").click();
        assertThat(lines(page)).hasCount(1);
        assertThat(page.getByText("1 is removed from “To call this week”.")).isVisible();

        button(page, "about this list").click();
        assertThat(page.getByText("A fixed list: contacts that were put on it by hand."))
                .isVisible();
        button(page, "Delete list").click();
        assertThat(page.getByText("240 contacts")).isVisible();
        button(page, "Undo").click();
        assertThat(which(page).locator("option", new Locator.LocatorOptions().setHasText("To call this week")))
                .hasCount(1);
    }

    @Test
    void whoseAddressesArePastedIsPutOnAFixedList() {
        Page page = openAs("Amos", "/people/leads");
        look(page);
        page.getByLabel(CHOOSE).first().click();
        button(page, "Add to a list…").click();
        textbox(page, "Name of the list").fill("From the fair");
        button(page, "Make it and add").click();
        page.getByLabel("Which leads", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("From the fair (1, fixed)"));
        assertThat(lines(page)).hasCount(1);

        button(page, "paste addresses…").click();
        page.getByLabel(Pattern.compile("^Addresses, however"))
                .fill("\"Quill, Hazel\" <hazel@wrenhill.example>; nonsense@");
        button(page, "See who they are").click();
        assertThat(page.getByText("1 address that nobody has: hazel@wrenhill.example."))
                .isVisible();
        assertThat(page.getByText("Line 1: “nonsense@” is not an e-mail address"))
                .isVisible();
        button(page, "Put on the list").click();
        assertThat(page.getByText("There is nobody in it who can be put on this list."))
                .isVisible();
        page.getByLabel("Add this one as a lead").check();
        button(page, "Put on the list").click();
        assertThat(page.getByText("1 is on “From the fair” now.").last()).isVisible();
        assertThat(link(page, "Hazel Quill")).isVisible();
    }

    @Test
    void eachChoosesColumnsOfTheirOwn() {
        Page page = openAs("Dov", "/deals");
        look(page);
        button(page, "columns…").click();
        button(page, "Without Organisation").click();
        page.getByLabel("Add a column").selectOption(new SelectOption().setLabel("Hive count"));
        Locator heads = page.getByRole(AriaRole.COLUMNHEADER);
        assertThat(heads).hasText(new String[] {
            "", "Deal ↑", "Stage", "Owner", "Value", "Decision by", "Placement date", "Hive count"
        });
        button(page, "Hive count further left").click();
        assertThat(heads.nth(6)).hasText("Hive count");
        page.reload();
        assertThat(heads.nth(6)).hasText("Hive count");
        button(page, "columns…").click();
        button(page, "Show the usual columns").click();
        assertThat(heads).hasCount(8);
        assertThat(heads.nth(2)).hasText("Organisation");
    }

    @Test
    void whatIsChosenIsTakenOutIntoAFile() throws IOException {
        Page page = openAs("Signe", "/people/contacts?find=okafor");
        look(page);
        page.getByLabel(CHOOSE).first().click();
        button(page, "Export…").click();
        Download download = page.waitForDownload(() -> button(page, "CSV file").click());
        List<String> rows = Files.readAllLines(download.path());
        assertThat(page.getByText("1 chosen")).isVisible();
        org.assertj.core.api.Assertions.assertThat(rows).hasSize(2);
        org.assertj.core.api.Assertions.assertThat(rows.get(1)).contains("Okafor-Brandt");
    }

    @Test
    void aDraftIsBegunToEachWhoGetsAMessage() {
        Page page = openAs("Oriel", "/people/contacts?list=");
        look(page);
        which(page).selectOption(new SelectOption().setLabel("Apples in blossom soon"));
        assertThat(page.getByText("4 contacts")).isVisible();
        page.getByLabel("All contacts", new Page.GetByLabelOptions().setExact(true))
                .last()
                .click();
        button(page, "Write to them…").click();
        Locator left = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Left out"));
        page.getByLabel("Leave out whoever was written to lately").selectOption("90");
        assertThat(left).containsText("Ines Okafor-Brandt Written to ");
        button(page, "Put Ines Okafor-Brandt back").click();
        // Whoever puts somebody back says why.
        Locator why = page.getByLabel("Why Ines Okafor-Brandt gets it all the same");
        assertThat(why).isFocused();
        assertThat(button(page, "Put back")).isDisabled();
        page.keyboard().type("They asked for it on the telephone");
        page.keyboard().press("Enter");
        assertThat(left).containsText("gets it all the same: They asked for it on the telephone");
        assertThat(button(page, "Leave Ines Okafor-Brandt out")).isFocused();
        page.keyboard().press("Enter");
        assertThat(button(page, "Put Ines Okafor-Brandt back")).isFocused();
        page.getByLabel("Leave out those on a list")
                .selectOption(new SelectOption().setLabel("everybody on “Came to our open day”"));
        assertThat(page.getByText("get a message")).isVisible();
        page.getByLabel("Leave out those on a list").selectOption("");

        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .fill("Season opener");
        Locator fitting = page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Templates that fit"));
        assertThat(fitting.getByRole(AriaRole.OPTION).first()).containsText("Season opener");
        page.keyboard().press("Enter");
        assertThat(page.getByText(Pattern.compile("^\\d drafts are begun"))).isVisible();
        assertThat(page).hasURL(Pattern.compile("/today$"));
        Locator drafts = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Drafts to finish"));
        drafts.getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText("Percival"))
                .click();
        assertThat(textbox(page, "Subject of this message")).containsText("Percival");
    }

    @Test
    void aLetterIsPutOnPaperForEachWhoIsChosen() throws IOException {
        Page page = openAs("Signe", "/people/contacts?find=okafor");
        look(page);
        page.getByLabel(CHOOSE).first().click();
        button(page, "Export…").click();
        button(page, "Letters as PDF…").click();
        page.getByLabel("In one file or several").selectOption("each");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .fill("Long time");
        Locator fitting = page.getByRole(AriaRole.LISTBOX, new Page.GetByRoleOptions().setName("Templates that fit"));
        assertThat(fitting.getByRole(AriaRole.OPTION).first()).containsText("Long time no word");
        Download download = page.waitForDownload(() -> page.keyboard().press("Enter"));
        org.assertj.core.api.Assertions.assertThat(download.suggestedFilename()).isEqualTo("letters.zip");
        org.assertj.core.api.Assertions.assertThat(Files.size(download.path())).isGreaterThan(1_000);
    }
}
