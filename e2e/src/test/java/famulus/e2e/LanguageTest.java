package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Choices, blanks to write in, reckoned days and what the data really hold, on the desk and in use. */
class LanguageTest extends BrowserTest {
    private Page newTemplate(String name, String about) {
        Page page = openAs("Signe", "/templates");
        beginPlain(page, name, about);
        textbox(page, "Subject").waitFor();
        return page;
    }

    private Page openTemplate(String who, String name) {
        Page page = openAs(who, "/templates");
        link(page, name).click();
        proof(page).locator(".mail .words").waitFor();
        return page;
    }

    private static Locator proof(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview"));
    }

    private static Locator mail(Page page) {
        return proof(page).locator(".mail .words");
    }

    private static Locator slip(Page page) {
        return page.getByRole(AriaRole.DIALOG);
    }

    private static void write(Page page, String text) {
        textbox(page, "Text").focus();
        page.keyboard().insertText(text);
        page.keyboard().press("Escape");
    }

    @Test
    void aChoiceIsPutInFromTheFinderAndSaidAsASentence() {
        Page page = newTemplate("Choice", "CONTACT");
        Locator text = textbox(page, "Text");
        text.focus();
        page.keyboard().type("{when");
        page.keyboard().press("Enter");
        slip(page)
                .getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("When this branch prints"))
                .waitFor();

        assertThat(page.getByLabel("What is compared")).isFocused();
        page.getByLabel("What is compared").selectOption("contact.crop");
        page.getByLabel("How", new Page.GetByLabelOptions().setExact(true)).selectOption("IS");
        page.getByLabel("Which", new Page.GetByLabelOptions().setExact(true)).selectOption("apple");
        assertThat(slip(page).getByText(Pattern.compile("holds for \\d+ of 240")))
                .isVisible();
        page.keyboard().press("Escape");

        assertThat(text.locator(".tag").first()).hasText("when Crop is apple");
        assertThat(text.locator(".tag")).hasCount(3);
        page.keyboard().type("for apples");
        assertThat(text).containsText("Crop is applefor applesotherwise");
        assertThat(text.locator(".tag.taken")).hasText("otherwise");
    }

    @Test
    void theSentenceAndTheWrittenFormAreOneCondition() {
        Page page = newTemplate("Both ways", "DEAL");
        write(page, "{when deal.stage is \"Won\" or deal.value is more than 5000}a{otherwise}b{end}");
        Locator when = textbox(page, "Text").locator(".tag.when");
        assertThat(when).hasText("when Stage is Won or Value is more than 5000");
        when.click();
        assertThat(page.getByLabel("The figure")).hasValue("5000");
        assertThat(page.getByLabel("How the parts are joined")).hasValue("or");

        page.getByLabel("How the parts are joined").selectOption("and");
        assertThat(when).hasText("when Stage is Won and Value is more than 5000");
        page.getByLabel("The figure").fill("100");
        page.getByLabel("The figure").press("Tab");
        button(page, "Written form").click();
        assertThat(page.getByLabel("Written form")).hasValue("deal.stage is \"Won\" and deal.value is more than 100");

        page.getByLabel("Written form").fill("deal.closes_on is within the next 10 days");
        page.getByLabel("Written form").press("Enter");
        assertThat(page.getByLabel("How many days")).hasValue("10");
        page.getByLabel("Written form").fill("deal.stag is \"won\"");
        page.getByLabel("Written form").press("Enter");
        assertThat(slip(page)).containsText("There is no field “deal.stag”. Did you mean deal.stage");
    }

    @Test
    void branchesAreAddedTakenOutAndDissolved() {
        Page page = newTemplate("Branches", "CONTACT");
        write(page, "{when contact.crop is \"apple\"}A{otherwise}B{end} end");
        Locator text = textbox(page, "Text");
        assertThat(text.locator(".tag")).hasCount(3);
        text.locator(".tag.when").click();
        button(page, "Add a branch").click();
        page.keyboard().type("C");
        assertThat(text.locator(".tag")).hasCount(4);
        assertThat(text).containsText(Pattern.compile("A.*otherwise when.*C.*otherwise.*B"));

        text.locator(".tag.otherwise").first().click();
        button(page, "Remove this branch").click();
        assertThat(text.locator(".tag")).hasCount(3);

        text.locator(".tag.when").click();
        button(page, "Remove the choice, keep its words").click();
        assertThat(text.locator(".tag")).hasCount(0);
        assertThat(text).containsText("AB end");
        page.keyboard().press("Control+z");
        assertThat(text.locator(".tag")).hasCount(3);
    }

    @Test
    void theBranchThatThePersonGetsIsMarkedAndFollowsThePerson() {
        Page page = newTemplate("Marked", "CONTACT");
        write(page, "{when contact.orchard_name is empty}no orchard{otherwise}with {contact.orchard_name}{end}");
        Locator text = textbox(page, "Text");
        assertThat(mail(page)).hasText("no orchard");
        assertThat(text.locator(".tag.taken")).hasText(Pattern.compile("^when"));
        page.keyboard().press("F9");
        assertThat(mail(page)).containsText("with ");
        assertThat(text.locator(".tag.taken")).hasText(Pattern.compile("^otherwise"));
    }

    @Test
    void aDayIsReckonedOnItsSlip() {
        Page page = newTemplate("Date calculation", "CONTACT");
        write(page, "By {today as long date}.");
        assertThat(mail(page)).hasText("By 5 May 2026.");
        textbox(page, "Text").locator(".chip").click();
        button(page, "plus or minus …").click();
        assertThat(mail(page)).hasText("By 12 May 2026.");
        page.getByLabel("How many").fill("15");
        page.getByLabel("How many").press("Tab");
        assertThat(mail(page)).hasText("By 26 May 2026.");
        assertThat(textbox(page, "Text").locator(".chip")).containsText("Today plus 15 working days");
    }

    @Test
    void aFieldShowsWhatItHoldsBeforeItIsPutIn() {
        Page page = newTemplate("Holds", "CONTACT");
        textbox(page, "Text").focus();
        page.keyboard().type("{variety");
        Locator option = page.getByRole(AriaRole.OPTION).first();
        assertThat(option).containsText(Pattern.compile("\\d+ of 240"));
        assertThat(page.locator(".summary")).containsText(Pattern.compile("have one, most often \\w+"));
        assertThat(page.locator(".summary")).containsText("all in capitals");
    }

    @Test
    void missingValuesAreFilledInAColumnWithoutLeavingTheDesk() {
        Page page = newTemplate("Column", "CONTACT");
        write(page, "Dear {person.first_name else \"there\"},");
        textbox(page, "Text").locator(".chip").click();
        Locator lacking = slip(page)
                .getByRole(
                        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("would see “there”")));
        String before = lacking.innerText();
        lacking.click();
        Locator lines = slip(page)
                .getByRole(AriaRole.LIST, new Locator.GetByRoleOptions().setName("People without it"))
                .getByRole(AriaRole.LISTITEM);
        lines.nth(0).getByRole(AriaRole.TEXTBOX).fill("Alma");
        lines.nth(0).getByRole(AriaRole.TEXTBOX).press("Enter");
        assertThat(lines.nth(0)).containsText("saved");
        assertThat(lines.nth(1).getByRole(AriaRole.TEXTBOX)).isFocused();
        assertThat(lacking).not().hasText(before);
    }

    @Test
    void oneKeyStepsThroughTheStressProofsAndSaysWhy() {
        Page page = openTemplate("Signe", "Before placement");
        textbox(page, "Text").focus();
        page.keyboard().press("F2");
        Locator stress = page.locator(".stress");
        assertThat(stress).containsText(Pattern.compile("Hard case 1 of \\d+"));
        page.keyboard().press("F2");
        assertThat(stress).containsText(Pattern.compile("Hard case 2 of \\d+"));
        page.keyboard().press("Shift+F2");
        assertThat(stress).containsText(Pattern.compile("Hard case 1 of \\d+"));
        button(page, "all of them").click();
        assertThat(stress).containsText(Pattern.compile("of \\d+ people show all \\d+ things this draft does"));
        assertThat(stress).containsText("when Placement date is empty");
        page.keyboard().press("F9");
        assertThat(button(page, "Hard cases")).isVisible();
    }

    @Test
    void aWordSaysWhyItIsThereAndLeadsToTheChipAndTheRecord() {
        Page page = openTemplate("Signe", "After the site visit");
        Locator word = mail(page)
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Despina")));
        word.hover();
        Locator hint = page.getByRole(AriaRole.TOOLTIP);
        assertThat(hint).containsText("person.first_name");
        assertThat(hint).containsText("from the record");
        word.click();
        button(page, "Go to it in the draft").click();
        assertThat(textbox(page, "Text")).isFocused();

        word.click();
        link(page, "Open it on the record").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Despina Anthopoulou")))
                .isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("First name Despina")))
                .isFocused();
    }

    @Test
    void whatATemplateAsksIsFilledInWithTabAndStaysInTheHistory() {
        Page page = openContact("Signe", "Ines Okafor-Brandt");
        page.keyboard().press("w");
        page.getByRole(AriaRole.OPTION).first().waitFor();
        page.keyboard().type("What we agreed");
        assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("What we agreed");
        page.keyboard().press("Enter");
        Locator agreed = textbox(page, "what we agreed");
        assertThat(agreed).isFocused();

        page.keyboard().press("Control+Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("“what we agreed” is not filled in yet");

        agreed.focus();
        page.keyboard().type("48 hives for East");
        page.keyboard().press("Tab");
        assertThat(textbox(page, "what I do next")).isFocused();
        Locator text = textbox(page, "Text of this message");
        assertThat(text).containsText("We agreed: 48 hives for East.");
        page.keyboard().type("send the plan");
        page.keyboard().press("Tab");
        assertThat(text).isFocused();
        assertThat(text).containsText("I’ll send the plan by Friday, 8 May 2026");
        assertThat(text).containsText("Please remember that the bees need water");

        page.reload();
        assertThat(text).containsText("We agreed: 48 hives for East.");
        button(page, "Send now").click();
        page.getByText("On its way to Ines Okafor-Brandt.").waitFor();
        page.locator(".message")
                .filter(new Locator.FilterOptions().setHasText("What we agreed for Larkfield East"))
                .click();
        assertThat(page.locator(".mail .answered").first()).containsText("48 hives for East");
    }

    @Test
    void aBlankToWriteInIsPutInFromTheFinder() {
        Page page = newTemplate("Asks", "CONTACT");
        textbox(page, "Text").focus();
        page.keyboard().type("We said: {write in");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("What to write in")).isFocused();
        page.getByLabel("What to write in").fill("what was said");
        page.getByLabel("What to write in").press("Enter");

        assertThat(textbox(page, "Text").locator(".chip.blank")).hasText("what was said");
        assertThat(mail(page).locator(".blank")).hasText("what was said");
    }

    @Test
    void anOldNameIsAnErrorThatOffersTodaysAndHalfAFieldIsNoEmptyText() {
        Page page = newTemplate("Old names", "CONTACT");
        Locator text = textbox(page, "Text");
        text.focus();
        page.keyboard().type("{when");
        assertThat(text.locator("xpath=..")).not().hasClass(Pattern.compile("\\bempty\\b"));
        page.keyboard().press("Escape");
        for (int i = 0; i < 5; i++) {
            page.keyboard().press("Backspace");
        }
        page.keyboard().insertText("From {house.name}.");
        assertThat(page.getByText("“house.name” is an old name")).isVisible();
        button(page, "Use our.name").click();
        assertThat(text).containsText("Company name");
        assertThat(mail(page)).containsText("From Brindlewing Pollination Services.");
    }
}
