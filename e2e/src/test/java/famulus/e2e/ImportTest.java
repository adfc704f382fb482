package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;

/** Files of records, in and out. */
class ImportTest extends BrowserTest {
    /** It adds and changes contacts. */
    @Override
    boolean alone() {
        return true;
    }

    private static final String FAIR =
            """
            Vorname;Nachname;E-Mail;Firma;Telefon;Visited our stand
            Ines;Okafor-Brandt;ines@larkfield.example;Larkfield Orchards;+44 1632 960187;03.05.2026
            Jörg;Möwenstein;joerg@nordhof.example;Nordhof Obst;+49 30 901820;03.05.2026
            Alma;Tiefbach;alma@tiefbach.example;Tiefbach Gärten;;04.05.2026
            Ruth;Sonnleithner;ruth@nordhof.example;Nordhof Obst;12;03.05.2026
            Karl;Weidegrund;karl at weidegrund;;;04.05.2026
            """;

    private static void choose(Page page, String name, byte[] bytes) {
        page.locator("input[type=file]").setInputFiles(new FilePayload(name, "text/csv", bytes));
    }

    private static Locator row(Page page, String table, String text) {
        return page.getByRole(AriaRole.TABLE, new Page.GetByRoleOptions().setName(table))
                .getByRole(AriaRole.ROW)
                .filter(new Locator.FilterOptions().setHasText(text));
    }

    private static String text(Download download) throws IOException {
        return Files.readString(download.path(), StandardCharsets.UTF_8);
    }

    @Test
    void peopleOfAFairComeInAndMistakesGoBack() throws IOException {
        Page page = openAs("Amos", "/people");
        button(page, "Import, export").click();
        link(page, "Import contacts from CSV or vCard").click();
        choose(page, "fair.csv", FAIR.getBytes(Charset.forName("windows-1252")));

        assertThat(page.getByLabel("Encoding")).hasValue("windows-1252");
        assertThat(page.getByLabel("What separates the columns")).hasValue(";");
        assertThat(page.getByLabel("“Nachname” goes to")).hasValue("last_name");
        assertThat(row(page, "Columns", "Nachname")).containsText("Möwenstein");
        page.getByLabel("“Visited our stand” goes to").selectOption("a new field …");
        assertThat(textbox(page, "Name")).hasValue("Visited our stand");
        assertThat(page.getByLabel("Holds", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("DATE");
        button(page, "Add field").click();
        assertThat(page.getByLabel("“Visited our stand” goes to")).hasValue("visited_our_stand");
        page.reload();
        assertThat(page.getByLabel("“Visited our stand” goes to")).hasValue("visited_our_stand");

        button(page, "Check").click();
        assertThat(page.getByText("2 contacts are new, 1 here already, 2 rows with mistakes."))
                .isVisible();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Check and import")))
                .isFocused();
        assertThat(row(page, "With mistakes", "12").first()).containsText("is not a telephone number");
        assertThat(row(page, "Here already", "Ines Okafor-Brandt")).containsText("same address");
        page.getByLabel("What happens with records that are here already").selectOption("update them from the file");
        assertThat(page.getByText("This will add 2 contacts, update 1, in one step."))
                .isVisible();
        button(page, "Import").click();

        assertThat(page.getByText("2 contacts added, 1 updated, 0 skipped, 2 rows not imported."))
                .isVisible();
        String back = text(page.waitForDownload(
                () -> link(page, "Download the rows that were not imported").click()));
        assertThat(back)
                .contains("Why it was not imported")
                .contains("E-Mail: “karl at weidegrund” is not an e-mail address");
        link(page, "Show all contacts").click();
        find(page, "Jörg Möwenstein");
        assertThat(page.getByText("3 May 2026")).isVisible();
        find(page, "Ines Okafor-Brandt");
        assertThat(page.getByText("3 May 2026").first()).isVisible();
        String card =
                text(page.waitForDownload(() -> link(page, "Export as vCard").click()));
        assertThat(card).contains("FN:Ines Okafor-Brandt").contains("ines@larkfield.example");
    }

    @Test
    void aFileThatCannotBeReadIsSaidAtItsPlace() {
        Page page = openAs("Signe", "/people/leads/import");
        choose(page, "leads.xlsx", new byte[] {'P', 'K', 3, 4, 1, 2, 3});
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("save it as CSV");
        choose(page, "leads.csv", "Surname,Company\nWren,\"Mill\nGale,Ash\n".getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByRole(AriaRole.ALERT))
                .containsText("leads.csv: Line 2, column 2: A quotation mark opens here");
        choose(page, "leads.csv", "Who,Where\nred,blue\n".getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Choose the column that holds the surname");
        assertThat(button(page, "Check")).isDisabled();
        page.getByLabel("“Who” goes to").selectOption("First name and surname");
        assertThat(button(page, "Check")).isEnabled();
        page.getByLabel("“Where” goes to").selectOption("First name and surname");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Two columns go to");
        assertThat(page.getByText("a new field")).hasCount(0);
        button(page, "Cancel").click();
        assertThat(page.getByText("lead", new Page.GetByTextOptions().setExact(true)))
                .hasCount(0);
        page.navigate(address("/people/leads/import?file=00000000-0000-0000-0000-000000000001"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Choose it again");
    }

    @Test
    void aLongImportCanBeStoppedAndLeavesNothing() {
        StringBuilder many = new StringBuilder("Name,Postcode\n");
        for (int i = 0; i < 20_000; i++) {
            many.append("Stopped Farm ").append(i).append(",AB1\n");
        }
        Page page = openAs("Signe", "/people/organisations/import");
        choose(page, "farms.csv", many.toString().getBytes(StandardCharsets.UTF_8));
        button(page, "Check").click();
        assertThat(page.getByText("20,000 organisations are new")).isVisible();
        button(page, "Import").click();
        assertThat(page.getByText("of 20,000 rows")).isVisible();
        button(page, "Stop").click();
        assertThat(page.getByText("Stopped. Nothing was imported.")).isVisible();
        button(page, "Cancel").click();
        // The columns of the file stand in a table too: the list is there when one can find in it.
        page.getByRole(AriaRole.SEARCHBOX, new Page.GetByRoleOptions().setName("Find in this list"))
                .waitFor();
        page.keyboard().press("/");
        page.keyboard().type("Stopped");
        assertThat(page.getByText("No organisation matches “Stopped”.")).isVisible();
    }

    @Test
    void dealsGoOutAndComeBackUnchanged() throws IOException {
        Page page = openAs("Signe", "/deals");
        button(page, "Import, export").click();
        String deals = text(
                page.waitForDownload(() -> link(page, "Export all deals as CSV").click()));
        assertThat(deals.lines().count()).isGreaterThan(50);
        page.keyboard().press("Escape");
        page.navigate(address("/deals/import"));
        choose(page, "deals.csv", deals.getBytes(StandardCharsets.UTF_8));
        button(page, "Check").click();
        assertThat(page.getByText("0 deals are new")).isVisible();
        assertThat(page.getByText("with mistakes")).hasCount(0);
    }
}
