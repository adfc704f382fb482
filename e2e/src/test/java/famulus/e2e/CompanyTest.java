package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The house's rules: its own fields, facts, holidays and ways of greeting. */
class CompanyTest extends BrowserTest {
    /** It renames stages, greetings and people. */
    @Override
    boolean alone() {
        return true;
    }

    private static Locator row(Page page, String text) {
        return page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(text));
    }

    @Test
    void aCheckIsMadeMustFixForTheCompanyAndBackAgain() {
        Page page = openAs("Amos", "/company/checks");
        Locator level = page.getByLabel("A subject that shouts");
        level.selectOption("Must fix");
        assertThat(page.getByText("A subject that shouts: must fix from now on."))
                .isVisible();

        find(page, "Priya Ivory");
        beginMessage(page, "quo");
        textbox(page, "Subject of this message").fill("URGENT: your quote");
        button(page, "Send now").click();
        assertThat(page.getByText("One thing to fix before this message can go"))
                .isVisible();
        button(page, "Discard").click();

        page.navigate(address("/company/checks"));
        assertThat(level).hasValue("STOP");
        level.selectOption("Off");
        assertThat(page.getByText("A subject that shouts: off from now on.")).isVisible();
        button(page, "Undo").click();
        assertThat(level).hasValue("STOP");
        level.selectOption("To check");
        page.reload();
        assertThat(level).hasValue("QUERY");
        Page other = openAs("Dov", "/company/checks");
        assertThat(other.getByText("Editors and administrators decide this.")).isVisible();
        assertThat(other.getByLabel("A subject that shouts")).hasCount(0);
    }

    @Test
    void aFieldOfOnesOwnIsAddedUsedRenamedAndRetired() {
        Page page = openAs("Amos", "/company/fields");
        button(page, "Add a field").click();
        textbox(page, "Name").fill("Gate code");
        page.getByLabel("a column of the list").check();
        button(page, "Save").click();
        assertThat(row(page, "Gate code")).containsText("{contact.gate_code}");

        find(page, "Ines Okafor-Brandt");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Gate code")))
                .click();
        page.keyboard().type("4711");
        page.keyboard().press("Enter");
        assertThat(page.getByText("4711")).isVisible();
        link(page, "People").click();
        assertThat(page.getByRole(AriaRole.COLUMNHEADER, new Page.GetByRoleOptions().setName("Gate code")))
                .isVisible();

        page.navigate(address("/templates"));
        beginPlain(page, "At the gate", "CONTACT");
        textbox(page, "Text").focus();
        page.keyboard().type("Code {gate");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Text").locator(".chip")).hasText("Gate code");
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();

        page.navigate(address("/company/fields"));
        row(page, "Gate code").getByText("edit").click();
        textbox(page, "Name").fill("Code of the gate");
        button(page, "Save").click();
        assertThat(row(page, "Code of the gate")).containsText("{contact.gate_code}");

        row(page, "Code of the gate").getByText("retire").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("One template uses it");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("At the gate");
        button(page, "Retire").click();
        assertThat(row(page, "Code of the gate")).containsText("retired");
        row(page, "Code of the gate").getByText("restore").click();
        assertThat(row(page, "Code of the gate")).not().containsText("retired");
    }

    @Test
    void whatAFieldCantBeIsSaidAtThePlace() {
        Page page = openAs("Amos", "/company/fields");
        button(page, "Add a field").click();
        textbox(page, "Name").fill("First name");
        button(page, "Save").click();
        assertThat(page.getByText("Another field has this name already.")).isVisible();
        assertThat(textbox(page, "Name")).hasValue("First name");
    }

    @Test
    void salutationsShowHowTheyComeOutBeforeTheyAreKept() {
        Page page = openAs("Oriel", "/company/greetings");
        Locator examples = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview"));
        assertThat(examples).containsText(Pattern.compile("Dear \\w+"));
        textbox(page, "Rule 4, opening").fill("Hello");
        assertThat(examples).containsText(Pattern.compile("Hello \\w+"));
        textbox(page, "Rule 4, address").fill("{deal.name}");
        assertThat(page.getByText("A greeting can use {person.title}")).isVisible();
        button(page, "Discard changes").click();
        assertThat(textbox(page, "Rule 4, opening")).hasValue("Dear");
    }

    @Test
    void howSomebodyIsAddressedIsSetOnTheirPage() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Title")))
                .click();
        page.keyboard().type("Ms");
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Addressed")))
                .click();
        page.getByLabel("Addressed").last().selectOption("formal");
        page.keyboard().press("Enter");
        assertThat(page.getByText("formally")).isVisible();
        page.keyboard().press("w");
        page.getByRole(AriaRole.OPTION).first().waitFor();
        page.keyboard().type("Season opener");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Season opener");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Text of this message")).containsText("Dear Ms Okafor-Brandt,");
    }

    @Test
    void twoValuesKeptQuicklyOneAfterTheOtherAreBothKept() {
        Page page = openContact("Signe", "Leopold Gosling");
        List<Route> held = new ArrayList<>();
        page.route("**/api/records/contact/*", route -> {
            if (route.request().method().equals("PATCH") && held.isEmpty()) {
                held.add(route);
            } else {
                route.resume();
            }
        });
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Title")))
                .click();
        page.keyboard().type("Prof");
        page.keyboard().press("Enter");
        page.waitForCondition(() -> !held.isEmpty());
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Job title")))
                .click();
        page.keyboard().type("Head of the bottling hall");
        page.keyboard().press("Enter");
        held.getFirst().resume();
        assertThat(page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Job title Head of the bottling hall")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Title Prof")))
                .isVisible();
    }

    @Test
    void holidaysAreChangedWithWhatIsWrongAtItsLine() {
        Page page = openAs("Oriel", "/company/holidays");
        button(page, "Add a holiday").click();
        textbox(page, "Name of holiday 9").fill("Day of the bee");
        textbox(page, "Day of holiday 9").fill("31 June");
        button(page, "Save").click();
        assertThat(page.getByText("This is not a date.")).isVisible();
        textbox(page, "Day of holiday 9").fill("05-20");
        button(page, "Save").click();
        page.getByText("The holidays of United Kingdom are saved.").waitFor();
        page.reload();
        assertThat(textbox(page, "Name of holiday 9")).hasValue("Day of the bee");
        button(page, "Restore the defaults").click();
        assertThat(textbox(page, "Name of holiday 9")).hasCount(0);
    }

    @Test
    void aDetailOfOurCompanyIsKeptWithItsDay() {
        Page page = openAs("Oriel", "/company");
        assertThat(row(page, "Hives kept")).containsText("2400");
        button(page, "Add a detail").click();
        textbox(page, "Name").fill("Queens raised");
        page.getByLabel("Type").selectOption("NUMBER");
        textbox(page, "Value").fill("a few");
        page.getByLabel("As of").fill("2026-04-01");
        page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save"))
                .click();
        assertThat(textbox(page, "Value")).hasAttribute("aria-invalid", "true");
        textbox(page, "Value").fill("300");
        page.getByRole(AriaRole.DIALOG)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Save"))
                .click();
        assertThat(row(page, "Queens raised")).containsText("2026-04-01");
        row(page, "Queens raised").getByText("remove").click();
        assertThat(row(page, "Queens raised")).hasCount(0);
        button(page, "Undo").click();
        assertThat(row(page, "Queens raised")).hasCount(1);
    }

    @Test
    void aStageIsRenamedAndTemplatesThatNamedItGoOn() {
        Page page = openAs("Amos", "/company/pipeline");
        textbox(page, "stage 3").fill("offer out");
        button(page, "Cancel").click();
        assertThat(textbox(page, "stage 3")).hasValue("quoted");

        textbox(page, "stage 3").fill("offer out");
        button(page, "Add a stage").click();
        page.keyboard().type("on hold");
        page.keyboard().press("Alt+ArrowUp");
        page.keyboard().press("Alt+ArrowUp");
        assertThat(textbox(page, "stage 5")).isFocused();
        assertThat(textbox(page, "stage 5")).hasValue("on hold");
        button(page, "Move on hold down").press("Enter");
        assertThat(button(page, "Move on hold down")).isFocused();
        button(page, "Save").click();
        assertThat(page.getByText("Saved.")).isVisible();
        page.reload();
        assertThat(textbox(page, "stage 3")).hasValue("offer out");
        page.navigate(address("/deals"));
        assertThat(page.getByRole(AriaRole.TABLE).getByText("offer out").first())
                .isVisible();

        page.navigate(address("/company/pipeline"));
        textbox(page, "stage 3").fill("quoted");
        page.getByLabel("Remove on hold").click();
        button(page, "Save").click();
        assertThat(page.getByText("Saved.")).isVisible();
    }

    @Test
    void anOptionThatRecordsHaveIsRetiredAndSaysWhereItIsUsed() {
        Page page = openAs("Amos", "/company/pipeline");
        Locator stages = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Stages of deals"));
        assertThat(button(page, "Remove lost")).hasCount(0);
        button(page, "Retire lost").click();
        assertThat(button(page, "Restore lost")).isVisible();
        button(page, "Save").click();
        assertThat(page.getByText("Saved.")).isVisible();
        Locator lost = stages.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHas(button(page, "Restore lost")));
        assertThat(lost).containsText("retired");
        lost.getByRole(AriaRole.LINK).click();
        assertThat(page.getByText("deals found")).isVisible();
        page.getByRole(AriaRole.TABLE).getByRole(AriaRole.LINK).first().click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stage"))
                .click();
        assertThat(page.getByLabel("Stage", new Page.GetByLabelOptions().setExact(true)))
                .containsText("lost");
        page.navigate(address("/deals?find=quoted"));
        page.getByRole(AriaRole.TABLE).getByRole(AriaRole.LINK).first().click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stage"))
                .click();
        assertThat(page.getByLabel("Stage", new Page.GetByLabelOptions().setExact(true)))
                .not()
                .containsText("lost");
        page.navigate(address("/company/pipeline"));
        button(page, "Restore lost").click();
        button(page, "Save").click();
        assertThat(page.getByText("Saved.")).isVisible();

        page.navigate(address("/company/fields"));
        row(page, "{contact.crop}").getByText("edit").click();
        textbox(page, "choice 1").fill("apples");
        button(page, "Save").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
        page.navigate(address("/people/contacts"));
        assertThat(page.getByRole(AriaRole.TABLE).getByText("apples").first()).isVisible();
        page.navigate(address("/company/fields"));
        row(page, "{contact.crop}").getByText("edit").click();
        textbox(page, "choice 1").fill("apple");
        button(page, "Save").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    @Test
    void aLanguageIsFoundByTyping() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Language"))
                .click();
        Locator typed = page.getByLabel("Language", new Page.GetByLabelOptions().setExact(true));
        typed.fill("Nowherish");
        typed.press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nowherish");
        typed.fill("portuguese");
        typed.press("Enter");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Language")))
                .containsText("Portuguese");
    }

    @Test
    void ourCompanysDetailsAreCheckedWhereTheyAreTyped() {
        Page page = openAs("Amos", "/company");
        page.getByLabel("Public address").fill("post.example.com");
        page.getByLabel("Country").fill("Atlantis");
        page.getByLabel("Country").blur();
        assertThat(page.getByText("Nothing here is called “Atlantis”.")).isVisible();
        page.getByLabel("Country").fill("fr");
        page.getByLabel("Country").blur();
        assertThat(page.getByLabel("Country")).hasValue("France");
        page.getByLabel("Country").fill("United Kingdom");
        page.getByLabel("Country").blur();
        button(page, "Save").click();
        assertThat(page.getByText("Write an address such as https://post.example.com"))
                .isVisible();
        page.getByLabel("Public address").fill("");
        button(page, "Save").click();
        assertThat(page.getByText("Saved.")).isVisible();
    }

    @Test
    void othersReadTheRulesAndDoNotChangeThem() {
        Page page = openAs("Signe", "/company/fields");
        assertThat(row(page, "Orchard name")).isVisible();
        assertThat(button(page, "Add a field")).hasCount(0);
        page.navigate(address("/company/holidays"));
        assertThat(row(page, "Good Friday")).isVisible();
        assertThat(button(page, "Save")).hasCount(0);
    }
}
