package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** One template to a list of people: chosen, looked through, tested, sent, and what came of it. */
class MailingTest extends BrowserTest {
    /** Others count what is in the outbox and in people's histories. */
    @Override
    boolean alone() {
        return true;
    }

    private static Locator rows(Page page) {
        return page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName("What each of them gets"))
                .locator("tbody tr");
    }

    private static Locator foot(Page page) {
        return page.locator("footer");
    }

    private static void notify(Page page, String words) {
        assertThat(page.getByText(words)).isVisible();
    }

    /** Chooses the three first contacts with apples in a list, and begins a mailing to them. */
    private Page toThreeGrowers(String who) {
        Page page = openAs(who, "/people/contacts?where=contact.crop+is+%22apple%22");
        Locator lines = page.locator("[data-at]");
        lines.first().waitFor();
        page.getByLabel(Pattern.compile("^Choose ")).nth(1).click();
        page.getByLabel(Pattern.compile("^Choose "))
                .nth(3)
                .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
        assertThat(page.getByText("3 chosen")).isVisible();
        button(page, "Mailing to them").click();
        page.waitForURL(Pattern.compile("/mailings/[0-9a-f-]{36}$"));
        textbox(page, "Name of the mailing").waitFor();
        page.getByLabel("Leave out whoever was written to lately").selectOption("0");
        return page;
    }

    private static void choose(Page page, String template) {
        button(page, "choose a template …").click();
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .waitFor();
        page.keyboard().type(template);
        page.keyboard().press("Enter");
        assertThat(link(page, "open it on the desk")).isVisible();
    }

    private static void test(Page page) {
        button(page, "Send a test…").click();
        button(page, "Send the test").click();
        assertThat(page.getByText(Pattern.compile("^Tested as it is"))).isVisible();
    }

    @Test
    void aMailingIsWrittenLookedThroughTestedAndSent() {
        Page page = toThreeGrowers("Signe");
        textbox(page, "Name of the mailing").fill("Spring, three of them");
        assertThat(page.getByText("Nobody yet")).hasCount(0);
        page.keyboard().press("Control+Enter");
        assertThat(page.locator("[data-part=What]")).isFocused();
        choose(page, "season op");
        assertThat(rows(page)).hasCount(3);
        assertThat(foot(page)).containsText("3 people");
        assertThat(foot(page)).containsText("3 will go");

        // Words of its own are changed on the desk, from where one comes back.
        button(page, "change words for this mailing").click();
        // They are part of the mailing, though they are written on the desk.
        assertThat(page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                        .locator("[aria-current]"))
                .hasText("Mailings");
        link(page, "back to the mailing").click();
        assertThat(page.getByText("in words of its own")).isVisible();
        button(page, "as the template says").click();
        assertThat(link(page, "open it on the desk")).isVisible();

        // Each whole, one after the other.
        button(page, "step through all 3").click();
        assertThat(page.getByText("1 of 3")).isVisible();
        page.keyboard().press(".");
        assertThat(page.getByText("2 of 3")).isVisible();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("The bees are awake");
        page.keyboard().press("Escape");

        // One is held back, and one gets words of their own.
        page.getByLabel(Pattern.compile("^Hold .* back$")).first().click();
        assertThat(foot(page)).containsText("1 held");
        assertThat(rows(page).first()).containsText("held back by Signe");
        page.getByLabel(Pattern.compile("^Change words for ")).nth(1).click();
        textbox(page, "Subject of this message").fill("Only for you");
        assertThat(page.getByText("It leaves with")).isVisible();
        assertThat(button(page, "Send now")).hasCount(0);
        page.keyboard().press("Control+Enter");
        page.waitForURL(Pattern.compile("/mailings/[0-9a-f-]{36}$"));
        assertThat(rows(page).filter(new Locator.FilterOptions().setHasText("Only for you")))
                .containsText("words of their own");

        // What is next is the test, and then the button, which no key presses.
        assertThat(page.getByText("Not tested as it is now.")).isVisible();
        test(page);
        page.keyboard().press("Control+Enter");
        assertThat(page.locator("[data-send]")).isFocused();
        assertThat(button(page, "Yes, send it")).hasCount(0);
        page.keyboard().press("Enter");
        assertThat(page.getByText("2 people get “Spring, three of them”.")).isVisible();
        button(page, "Yes, send it").click();
        assertThat(page.getByText("2 of 2 sent, 1 held.")).isVisible();

        link(page, "Mailings").click();
        Locator line = page.locator("tbody tr").filter(new Locator.FilterOptions().setHasText("Spring, three of them"));
        assertThat(line).containsText("sent, 1 held");
        Locator from = page.getByLabel("Who they are from");
        from.selectOption(new SelectOption().setLabel("Oriel Tamsin"));
        assertThat(line).hasCount(0);
        from.selectOption("");
        assertThat(line).hasCount(1);
        page.getByLabel("Which mailings").selectOption(new SelectOption().setLabel("those not sent"));
        assertThat(line).hasCount(0);

        // In the outbox it is one line, which opens.
        link(page, "Outbox").click();
        Locator group = page.getByRole(
                AriaRole.LIST, new Page.GetByRoleOptions().setName("Mailings").setExact(true));
        assertThat(group).containsText("2 messages of one mailing");
        button(page, "its messages").click();
        assertThat(page.getByLabel("Messages of Spring, three of them").locator("li"))
                .hasCount(3);
        link(page, "Spring, three of them").click();
        button(page, Pattern.compile("^Let .* have it$")).click();
        assertThat(page.getByText("3 of 3 sent.")).isVisible();
    }

    private static Locator button(Page page, Pattern name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aColleagueSendsItBackWithWhatIsToBeChangedAtItsPlace() {
        Page page = toThreeGrowers("Signe");
        choose(page, "season op");
        assertThat(rows(page)).hasCount(3);
        page.getByLabel("Ask a colleague to look at it").selectOption(new SelectOption().setLabel("Dov Marchbanks"));
        assertThat(page.getByText("Dov is asked to look at it.")).isVisible();

        // Dov marks a word of what the first of them gets, and says something of it; and something of a part.
        Page other = openAs("Dov", URI.create(page.url()).getPath());
        assertThat(other.getByText("You are asked to look at it.")).isVisible();
        button(other, "step through all 3").click();
        Locator subject = other.getByRole(AriaRole.DIALOG).locator(".subject");
        assertThat(subject).containsText("awake");
        subject.dblclick(new Locator.DblclickOptions().setPosition(20, 8));
        textbox(other, "What is to be changed in this message").fill("They sleep still.");
        other.keyboard().press("Enter");
        assertThat(other.getByRole(AriaRole.DIALOG)).containsText("”: They sleep still.");
        other.keyboard().press("Escape");
        other.getByLabel("About which part").selectOption("When");
        textbox(other, "What is to be changed").fill("Not before the fair.");
        other.keyboard().press("Enter");
        button(other, "Send it back").click();
        assertThat(other.getByText("Dov has sent it back:")).isVisible();

        // Signe finds both where they belong.
        assertThat(page.getByText("Dov has sent it back:")).isVisible();
        assertThat(rows(page).filter(new Locator.FilterOptions().setHasText("They sleep still.")))
                .hasCount(1);
        assertThat(page.getByRole(
                        AriaRole.REGION,
                        new Page.GetByRoleOptions().setName("When").setExact(true)))
                .containsText("Not before the fair.");
    }

    @Test
    void whatIsMissingIsFilledInWhereItIsMissed() {
        Page page = openAs("Dov", "/templates");
        beginPlain(page, "Visit at the gate", "CONTACT");
        textbox(page, "Subject").fill("A visit, {contact.title}");
        textbox(page, "Text").fill("Dear {person.first_name}, may we come?");
        page.getByText(Pattern.compile("^saved")).first().waitFor();
        page.navigate(address("/people/contacts"));
        page.locator("[data-at]").first().waitFor();
        page.getByLabel(Pattern.compile("^Choose ")).nth(1).click();
        button(page, "Mailing to them").click();
        page.getByLabel("Leave out whoever was written to lately").selectOption("0");
        choose(page, "visit at");
        page.getByLabel(Pattern.compile("^Fill in what is missing for ")).click();
        page.getByLabel("Title", new Page.GetByLabelOptions().setExact(true)).fill("Master of the gate");
        page.keyboard().press("Enter");
        assertThat(rows(page).first()).containsText("A visit, Master of the gate");
        assertThat(rows(page).first()).containsText("words of their own");
        assertThat(foot(page)).containsText("1 will go");
    }

    @Test
    void itIsPlannedPausedAndStopped() {
        Page page = toThreeGrowers("Signe");
        choose(page, "season op");
        page.getByLabel("Over how long").selectOption("240");
        assertThat(page.getByText(Pattern.compile("^The first leaves"))).isVisible();
        button(page, Pattern.compile("^Purpose: ")).click();
        assertThat(textbox(page, "What this mailing is for")).isFocused();
        page.keyboard().type("Greetings to growers");
        page.keyboard().press("Enter");
        assertThat(button(page, "Purpose: Greetings to growers")).isVisible();
        // One of them gets it at an hour of its own, and with the others after all.
        Locator moved = rows(page).first();
        button(page, Pattern.compile("^Move the message to ")).first().click();
        page.getByLabel("at", new Page.GetByLabelOptions().setExact(true)).fill("11:35");
        button(page, "Choose this hour").click();
        assertThat(moved).containsText("moved…");
        // Asked again, the fields begin with it: its reader is in France, where it is an hour later.
        button(page, Pattern.compile("^Move the message to ")).first().click();
        assertThat(page.getByLabel("at", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("10:35");
        page.keyboard().press("Escape");
        button(page, Pattern.compile("^Send to .* with the others$")).click();
        assertThat(moved).not().containsText("moved…");
        page.reload();
        assertThat(page.getByLabel("Over how long")).hasValue("240");
        assertThat(button(page, "Purpose: Greetings to growers")).isVisible();
        test(page);
        page.locator("[data-send]").click();
        button(page, "Yes, send it").click();
        assertThat(page.getByText("1 of 3 sent, 2 to go.")).isVisible();

        // In the outbox one of its messages leaves now, another is held back and let go, and all of it is paused.
        link(page, "Outbox").click();
        button(page, "its messages").click();
        Locator messages = page.locator("ul[aria-label^='Messages of'] li");
        assertThat(messages).hasCount(3);
        button(page, Pattern.compile("^Move the message to ")).first().click();
        button(page, "Now").click();
        assertThat(messages.filter(new Locator.FilterOptions().setHasText("sent")))
                .hasCount(2);
        button(page, Pattern.compile("^Hold .* back$")).click();
        button(page, Pattern.compile("^Let .* have it$")).click();
        assertThat(messages.filter(new Locator.FilterOptions().setHasText("planned, ")))
                .hasCount(1);
        // All that is left leaves the day after, as it is spread.
        button(page, Pattern.compile("^Move what is left of ")).click();
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill("2020-01-01");
        button(page, "Choose this hour").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("passed");
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill("2026-05-08");
        page.keyboard().press("Enter");
        assertThat(messages.filter(new Locator.FilterOptions().setHasText("planned, 8 May")))
                .hasCount(1);
        button(page, Pattern.compile("^Stop .* for good$")).click();
        assertThat(page.getByText("1 person would not get it any more.")).isVisible();
        button(page, "Cancel").click();
        button(page, Pattern.compile("^Pause ")).click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Go on with ")))
                .click();
        assertThat(page.getByText("Signe has paused it.")).isVisible();
        assertThat(page.getByLabel("Over how long")).isVisible();
        button(page, "Stop for good…").click();
        button(page, "Yes, stop it for good").click();
        assertThat(page.getByText("Signe has stopped it.").first()).isVisible();
        page.getByLabel("Who is shown").selectOption("LEFT_OUT");
        assertThat(page.getByLabel("Its people").locator("li")).hasCount(1);
    }

    @Test
    void whatCameOfItIsAReportWithListsToGoOnWith() throws IOException {
        Page page = openAs("Dov", "/mailings");
        link(page, "Greetings of the season").click();
        assertThat(page.getByText(Pattern.compile("14 of 24, 58 %"))).isVisible();
        assertThat(page.getByText(Pattern.compile("^\\d+ followed one on a computer")))
                .isVisible();
        Download file = page.waitForDownload(() -> button(page, "Export as CSV").click());
        String table = Files.readString(file.path());
        org.assertj.core.api.Assertions.assertThat(table.lines()).hasSize(25);
        org.assertj.core.api.Assertions.assertThat(table).contains("Followed a link");
        button(page, "those who did not open it").click();
        notify(page, "“Greetings of the season: those who did not open it” has 10 records.");
        assertThat(page.locator("[data-at] a")).hasCount(10);

        page.navigate(address("/mailings"));
        link(page, "Greetings of the season").click();
        button(page, "Copy").click();
        assertThat(textbox(page, "Name of the mailing")).hasValue("Greetings of the season (copy)");
        assertThat(page.getByText("not sent · made by Dov")).isVisible();
        button(page, "Delete…").click();
        button(page, "Yes, delete it").click();
        page.waitForURL(Pattern.compile("/mailings$"));
        assertThat(page.getByText("(copy)")).hasCount(0);
    }

    @Test
    void dealsAreNamedThatCameOfIt() {
        Page page = openAs("Signe", "/mailings");
        link(page, "Greetings of the season").click();
        button(page, "name a deal …").click();
        Locator finder =
                page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Name a deal that came of it"));
        assertThat(finder).isFocused();
        page.keyboard().type("oxenhay");
        page.keyboard().press("Enter");
        Locator deals = page.getByLabel("Deals that came of it").locator("tbody tr");
        assertThat(deals).hasCount(1);
        assertThat(deals).containsText("Oxenhay");
        assertThat(page.getByText(Pattern.compile("^Those that were won brought £|^None of them has been won")))
                .isVisible();
        page.reload();
        assertThat(deals).hasCount(1);
        button(page, Pattern.compile(" did not come of it$")).click();
        assertThat(deals).hasCount(0);
    }

    @Test
    void aColleagueLetsAMailingGoOutInTheirName() {
        Page dov = openAs("Dov", "/profile");
        dov.getByLabel("Colleagues may send mailings in my name").check();
        button(dov, "Save").click();
        notify(dov, "Your profile is saved.");
        Page page = toThreeGrowers("Signe");
        choose(page, "season op");
        page.getByLabel("In whose name").selectOption(new SelectOption().setLabel("Dov Marchbanks"));
        assertThat(rows(page).first()).containsText("Dov");
        assertThat(foot(page)).containsText("3 will go");
        dov.getByLabel("Colleagues may send mailings in my name").uncheck();
        // What is saved last is the profile itself.
        dov.waitForResponse("**/api/profile", () -> button(dov, "Save").click());
        page.reload();
        assertThat(page.getByText("Dov Marchbanks does not let colleagues send mailings in their name.")
                        .first())
                .isVisible();
    }

    @Test
    void twoOnOneMailingSeeWhatTheOtherDoes() {
        Page signe = toThreeGrowers("Signe");
        Page oriel = openAs("Oriel", signe.url().replaceFirst("^https?://[^/]+", ""));
        textbox(signe, "Name of the mailing").fill("Both of us");
        assertThat(textbox(oriel, "Name of the mailing")).hasValue("Both of us");
        oriel.getByLabel("Over how long").selectOption("60");
        assertThat(signe.getByLabel("Over how long")).hasValue("60");
        Page dov = openAs("Dov", signe.url().replaceFirst("^https?://[^/]+", ""));
        assertThat(dov.getByText("Both of us")).isVisible();
        assertThat(textbox(dov, "Name of the mailing")).hasCount(0);
        assertThat(button(dov, "Copy")).isVisible();
    }
}
