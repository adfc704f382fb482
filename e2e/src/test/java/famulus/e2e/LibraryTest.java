package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Templates by their folders: shared, moved by hand and by keys, and seen by those who may. */
class LibraryTest extends BrowserTest {
    private Page begun(String who, String name) {
        Page page = openAs(who, "/templates");
        beginPlain(page, name, "CONTACT");
        textbox(page, "Subject").fill("About Friday");
        textbox(page, "Text").fill("Is Friday good?");
        assertThat(page.getByText(Pattern.compile("saved")).first()).isVisible();
        return page;
    }

    private static Locator line(Page page, String name) {
        return page.locator("tr:has(a)")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.LINK,
                                new Page.GetByRoleOptions().setName(name).setExact(true))));
    }

    private static Locator section(Page page, String folder) {
        return page.locator("tbody")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName(folder).setExact(true))));
    }

    private static void choose(Page page, String label, String option) {
        page.getByLabel(label).selectOption(new SelectOption().setLabel(option));
    }

    /** What nobody could send as it stands is found before somebody tries. */
    @Test
    void whatMustBeFixedIsFound() {
        Page page = openAs("Dov", "/templates");
        beginPlain(page, "Broken on purpose", "CONTACT");
        textbox(page, "Subject").fill("Hello");
        textbox(page, "Text").click();
        page.keyboard().type("Is {contact.mondey} good?");
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        link(page, "Templates").click();
        page.getByLabel("Ready or not").selectOption("with must-fix notes");
        assertThat(link(page, "Broken on purpose")).isVisible();
        assertThat(page.getByText("1 template found")).isVisible();
        page.getByLabel("Ready or not").selectOption("ready");
        assertThat(link(page, "Broken on purpose")).hasCount(0);
    }

    @Test
    void aNewTemplateIsOnesOwnAndIsSharedInOneStepFromTheDesk() {
        Page page = begun("Signe", "Bridge of thorns");
        assertThat(page.locator(".where")).containsText("in “My templates” · Only you");
        button(page, "Mark ready").click();
        assertThat(page.getByText(Pattern.compile(", for a contact · ready")).first())
                .isVisible();
        Page other = openAs("Dov", "/templates?find=thorns");
        assertThat(other.getByText("No template matches.")).isVisible();

        button(page, "Share…").click();
        choose(page, "Into the folder", "a new folder, shared with others");
        textbox(page, "Name of the folder").fill("Thorny matters");
        choose(page, "May use what is in it", "Dov Marchbanks");
        button(page, "Make it and move").click();
        assertThat(page.locator(".where")).containsText("in “Thorny matters” · Dov may use");
        assertThat(line(other, "Bridge of thorns")).isVisible();
        assertThat(section(other, "Thorny matters")).containsText("You may use");

        // What is taken back is gone for Dov at once.
        button(page, "Undo").click();
        assertThat(page.locator(".where")).containsText("My templates");
        assertThat(other.getByText("No template matches.")).isVisible();
    }

    @Test
    void aFolderIsMadeSharedRenamedAndDeleted() {
        // Where the list shows some templates only, it goes to the folder that was made.
        Page page = openAs("Dov", "/templates?which=favourite");
        button(page, "New folder").click();
        textbox(page, "Name").fill("Autumn");
        button(page, "Save").click();
        assertThat(page).hasURL(Pattern.compile("folder="));
        assertThat(page.getByLabel("Which templates")).hasValue("all");
        assertThat(section(page, "Autumn")).containsText("Only you · empty");

        // Whoever adds somebody before it is known who there is gets the line once that has come.
        List<Route> held = new ArrayList<>();
        page.route("**/api/teams", held::add);
        button(page, "Share Autumn").click();
        button(page, "Add somebody").click();
        assertThat(page.getByText("Shared with nobody.")).isVisible();
        page.waitForCondition(() -> !held.isEmpty());
        page.unroute("**/api/teams");
        held.forEach(Route::resume);
        choose(page, "Shared with", "the north team");
        button(page, "Add somebody").click();
        page.getByLabel("Shared with").nth(1).selectOption("ROLE KEEPER");
        page.getByLabel("What they may do").nth(1).selectOption("CHANGE");
        button(page, "Save").click();
        assertThat(section(page, "Autumn")).containsText("The north team may use; editors may change");
        Page editor = openAs("Oriel", "/templates");
        assertThat(section(editor, "Autumn")).isVisible();

        button(page, "Change Autumn").click();
        textbox(page, "Name").fill("Late autumn");
        button(page, "Save").click();
        assertThat(section(editor, "Late autumn")).isVisible();
        button(page, "Change Late autumn").click();
        button(page, "Delete folder").click();
        assertThat(section(editor, "Late autumn")).isHidden();
        button(page, "Undo").click();
        assertThat(section(editor, "Late autumn")).containsText("editors may change");
    }

    @Test
    void templatesAreMovedByDraggingAndByKeys() {
        Page page = openAs("Oriel", "/templates");
        button(page, "New folder").click();
        textbox(page, "Name").fill("Drawer");
        button(page, "Save").click();
        Locator drawer = section(page, "Drawer");
        assertThat(drawer).containsText("empty");

        line(page, "First word").locator(".subject").dragTo(drawer.locator(".heading"));
        assertThat(drawer.getByRole(AriaRole.LINK)).hasText(new String[] {"First word"});
        button(page, "Undo").click();
        assertThat(drawer.getByRole(AriaRole.LINK)).hasCount(0);

        line(page, "First word").getByRole(AriaRole.LINK).focus();
        page.keyboard().press(" ");
        page.keyboard().press("ArrowUp");
        page.keyboard().press(" ");
        assertThat(page.getByText("2 chosen")).isVisible();
        page.keyboard().press("m");
        choose(page, "Into the folder", "Drawer");
        page.keyboard().press("Enter");
        button(page, "Move").click();
        assertThat(drawer.getByRole(AriaRole.LINK)).hasCount(2);
        button(page, "Drawer").click();
        assertThat(page.getByLabel("In which folder")).hasValue(Pattern.compile(".+"));
        assertThat(page).hasURL(Pattern.compile("folder="));
        page.reload();
        assertThat(page.locator("tr:has(a)")).hasCount(2);
        button(page, "show all").click();
        assertThat(section(page, "Everyone")).isVisible();
        // Put back, since others look for them where they were.
        for (int i = 0; i < 2; i++) {
            drawer.getByRole(AriaRole.LINK).first().focus();
            page.keyboard().press("m");
            choose(page, "Into the folder", "Everyone");
            button(page, "Move").click();
            assertThat(drawer.getByRole(AriaRole.LINK)).hasCount(1 - i);
        }
    }

    @Test
    void templatesAreFoundNarrowedAndMarked() {
        Page page = openAs("Dov", "/templates");
        assertThat(page.getByRole(
                        AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Preview of "))))
                .isVisible();
        page.keyboard().press("/");
        page.keyboard().type("plcaement");
        assertThat(line(page, "Before placement")).isVisible();
        assertThat(line(page, "Winter hello")).isHidden();
        page.keyboard().press("Control+a");
        page.keyboard().type("thank you for the season");
        page.keyboard().press("Enter");
        // Others may have been made of it by now, and stand before it.
        assertThat(page.locator(".templates .name [data-id]").first()).isFocused();
        assertThat(line(page, "Thank you for the season")).isVisible();
        assertThat(line(page, "Winter hello")).isHidden();
        page.keyboard().press("/");
        page.keyboard().press("Control+a");
        page.keyboard().type("gate");
        assertThat(line(page, "Placement notice").locator("mark")).hasText("gate");
        page.keyboard().press("ArrowDown");
        assertThat(page.locator(".templates .name [data-id]").first()).isFocused();
        line(page, "After the site visit").getByRole(AriaRole.LINK).focus();
        assertThat(page.getByRole(
                                AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview of After the site visit"))
                        .getByText("Access as you described it"))
                .isVisible();
        page.keyboard().press("f");
        assertThat(page.getByLabel("Favourite After the site visit")).hasAttribute("aria-pressed", "true");
        page.navigate(address("/templates?which=favourite"));
        assertThat(page.locator("tr:has(a)")).hasCount(1);
        page.getByLabel("Which templates").selectOption("all");
        page.getByLabel("For what", new Page.GetByLabelOptions().setExact(true)).selectOption("LEAD");
        assertThat(page).hasURL(Pattern.compile("for=LEAD"));
        assertThat(line(page, "First word")).isVisible();
        assertThat(line(page, "Placement notice")).isHidden();
        button(page, "show all").click();
        assertThat(line(page, "Placement notice")).isVisible();
        page.getByLabel("Favourite After the site visit").click();
    }

    /** Before one chooses, each template is read as this very person would read it. */
    @Test
    void whatIsChosenToWriteFromIsReadBefore() {
        Page page = openAs("Signe", "/people/contacts?find=Okafor-Brandt");
        page.getByRole(AriaRole.TABLE).getByRole(AriaRole.LINK).first().click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        page.keyboard().press("w");
        page.keyboard().type("winter");
        Locator preview =
                page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview of Winter hello"));
        assertThat(preview).containsText("Ines Okafor-Brandt");
        assertThat(preview).containsText("The colonies are quiet now");
        page.keyboard().press("ArrowDown");
        assertThat(preview).isHidden();
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Subject of this message")).hasText("Before the buds swell");
    }

    @Test
    void whatWasDeletedIsBroughtBackFromTheBin() {
        Page page = begun("Dov", "Withered");
        link(page, "Templates").click();
        button(page, "More for Withered").click();
        button(page, "Delete template").click();
        assertThat(line(page, "Withered")).isHidden();
        page.reload();
        page.getByLabel("Which templates").selectOption("deleted");
        button(page, "Withered").click();
        button(page, "Bring back").click();
        assertThat(page.getByText("The bin is empty.")).isVisible();
        page.getByLabel("Which templates").selectOption("all");
        assertThat(line(page, "Withered")).isVisible();

        page.navigate(address("/templates?folder=" + new UUID(7, 7)));
        button(page, "Show every folder").click();
        assertThat(line(page, "Withered")).isVisible();
    }

    /** What is tagged, renamed and archived is found so; what is exported comes back. */
    @Test
    void templatesArePutInOrderAndTravel() {
        Page page = begun("Signe", "Foxglove");
        link(page, "Templates").click();
        link(page, "Foxglove").focus();
        page.keyboard().press("t");
        page.getByLabel("Add a tag").fill("wayside");
        page.keyboard().press("Enter");
        button(page, "Tagged wayside: show all of these").click();
        assertThat(page).hasURL(Pattern.compile("tag=wayside"));
        assertThat(page.locator("tr:has(a)")).hasCount(1);
        link(page, "Foxglove").focus();
        page.keyboard().press("r");
        assertThat(textbox(page, "Name of Foxglove")).isFocused();
        page.keyboard().type("Foxgloves");
        page.keyboard().press("Enter");
        assertThat(link(page, "Foxgloves")).isFocused();

        page.keyboard().press(" ");
        button(page, "Archive").click();
        assertThat(line(page, "Foxgloves")).isHidden();
        page.getByLabel("Which templates").selectOption("archived");
        link(page, "Foxgloves").click();
        Locator where = page.locator(".where");
        assertThat(where).containsText("Archived: it is offered to nobody");
        button(page, "Bring back").click();
        assertThat(where).containsText("Only you");
        page.locator(".notices p")
                .filter(new Locator.FilterOptions().setHasText("“Foxgloves” is back."))
                .getByText("Undo")
                .click();
        assertThat(where).containsText("Archived");
        page.goBack();
        assertThat(line(page, "Foxgloves")).isVisible();
        button(page, "More for Foxgloves").click();
        button(page, "Bring back").click();
        assertThat(page.getByText("Nothing is archived.").or(page.getByText("No template matches.")))
                .isVisible();
        page.getByLabel("Which templates").selectOption("all");

        page.getByLabel("Choose Foxgloves").check();
        button(page, "Export…").click();
        page.getByLabel("As", new Page.GetByLabelOptions().setExact(true)).selectOption("Markdown");
        assertThat(page.getByText(Pattern.compile("^Words, headings, lists"))).isVisible();
        Download markdown = page.waitForDownload(() -> button(page, "Download").click());
        assertEquals("templates as markdown.zip", markdown.suggestedFilename());
        button(page, "Export…").click();
        Download file = page.waitForDownload(() -> button(page, "Download").click());
        button(page, "Hand over…").click();
        page.getByLabel("To", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("Dov Marchbanks"));
        button(page, "Hand over").click();
        assertThat(line(page, "Foxgloves")).isHidden();
        link(page, "Import").click();
        page.locator("input[type=file]").setInputFiles(file.path());
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("Foxgloves"))
                        .filter(new Locator.FilterOptions().setHasText("new")))
                .isVisible();
        button(page, "Import 1 thing").click();
        assertThat(line(page, "Foxgloves").getByText("wayside")).isVisible();
        assertThat(page.getByText("1 template added.")).isVisible();
        Page dov = openAs("Dov", "/templates?tag=wayside");
        assertThat(line(dov, "Foxgloves")).isVisible();
    }

    /** A template that is meant for other months comes last where a message is begun, and says why. */
    @Test
    void whatATemplateIsMeantForIsSaid() {
        Page page = begun("Dov", "Advent greeting");
        page.navigate(address("/templates?find=Advent+greeting"));
        button(page, "More for Advent greeting").click();
        button(page, "When it is used…").click();
        Locator slip =
                page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("When “Advent greeting” is used"));
        page.getByLabel("December").check();
        page.getByLabel("Add a country").fill("Atlantis");
        slip.getByText("Save").click();
        assertThat(slip).containsText("There is no country called “Atlantis”.");
        page.getByLabel("Add a country").fill("Germany");
        page.getByLabel("Add a country").press("Tab");
        assertThat(slip.getByLabel("Countries")).containsText("Germany");
        slip.getByText("Save").click();
        assertThat(slip).hasCount(0);
        find(page, "Leopold Gosling");
        page.keyboard().press("w");
        Locator offered = page.getByRole(AriaRole.OPTION);
        assertThat(offered.filter(new Locator.FilterOptions().setHasText("Advent greeting")))
                .containsText("for December, Germany");
        assertThat(offered.first()).not().containsText("Advent greeting");
    }

    @Test
    void theGalleryShowsHowTemplatesLook() {
        Page page = openAs("Dov", "/templates");
        button(page, "gallery").click();
        assertThat(page).hasURL(Pattern.compile("view=gallery"));
        Locator welcome = page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName("Welcome").setExact(true));
        welcome.scrollIntoViewIfNeeded();
        assertThat(page.getByRole(AriaRole.LISTITEM)
                        .filter(new Locator.FilterOptions().setHas(welcome))
                        .frameLocator("iframe")
                        .getByText("The first days"))
                .isVisible();
        welcome.focus();
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowRight");
        assertThat(welcome).isFocused();
        page.keyboard().press("/");
        page.keyboard().type("plcaement");
        assertThat(link(page, "Before placement")).isVisible();
        assertThat(welcome).isHidden();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Subject")).isVisible();
    }

    @Test
    void anAdministratorMakesTeams() {
        Page page = openAs("Amos", "/team");
        button(page, "Add a team").click();
        textbox(page, "Name").fill("south");
        page.getByLabel("Oriel Tamsin").check();
        button(page, "Save").click();
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("south")))
                .containsText("Oriel");
        button(page, "Change the south team").click();
        button(page, "Delete team").click();
        assertThat(button(page, "Change the south team")).isHidden();
    }
}
