package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Two people at one template, and a line that breaks. */
class TogetherTest extends BrowserTest {
    private static void settled(Page page) {
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
    }

    @Test
    void twoPeopleSeeEachOtherAndTheirChangesGoTogether() {
        Page signe = beginFrom("Signe", "Delivery notice", "Together");
        settled(signe);
        shareWithTheNorth(signe);
        Page oriel = openAs("Oriel", signe.url().replaceFirst("^https?://[^/]+", ""));
        oriel.locator(".sheet .chip").first().waitFor();
        assertThat(signe.getByText(Pattern.compile("Oriel is here too"))).isVisible();
        assertThat(oriel.getByText(Pattern.compile("Signe is here too"))).isVisible();

        // What one keeps the other sees at once.
        goToEnd(oriel, textbox(oriel, "Block 3, text"));
        oriel.keyboard().type(" Yours, Oriel");
        assertThat(textbox(signe, "Block 3, text")).containsText("Yours, Oriel");

        // Both write at the same time, without a line between them.
        signe.context().setOffline(true);
        goToEnd(signe, textbox(signe, "Block 1, text"));
        signe.keyboard().type(" Mind the dog");
        goToEnd(oriel, textbox(oriel, "Block 3, text"));
        oriel.keyboard().type(" and the bees");
        settled(oriel);
        assertThat(signe.getByText("Your words are safe in this browser.")).isVisible();
        signe.context().setOffline(false);
        assertThat(textbox(signe, "Block 3, text")).containsText("and the bees");
        assertThat(signe.getByText("Oriel changed this template too. Both changes are in it."))
                .isVisible();
        settled(signe);
        assertThat(textbox(oriel, "Block 1, text")).containsText("Mind the dog");

        // What one did is taken back, and done again, without what the other did, also after a reload.
        signe.reload();
        signe.locator(".sheet .chip").first().waitFor();
        textbox(signe, "Block 1, text").focus();
        signe.keyboard().press("Control+z");
        assertThat(textbox(signe, "Block 1, text")).not().containsText("Mind the dog");
        assertThat(textbox(signe, "Block 3, text")).containsText("Yours, Oriel and the bees");
        signe.keyboard().press("Control+y");
        settled(signe);
        assertThat(textbox(oriel, "Block 1, text")).containsText("Mind the dog");

        // Both change the same block: one is asked.
        signe.context().setOffline(true);
        goToEnd(signe, textbox(signe, "Block 1, text"));
        signe.keyboard().type(", he is old");
        goToEnd(oriel, textbox(oriel, "Block 1, text"));
        oriel.keyboard().type(", he is loud");
        settled(oriel);
        signe.context().setOffline(false);
        assertThat(signe.getByText("Oriel changed block 1 too.")).isVisible();
        // She goes on writing before she says which.
        goToEnd(signe, textbox(signe, "Block 3, text"));
        signe.keyboard().type(" till Friday");
        button(signe, "Keep mine").click();
        settled(signe);
        assertThat(textbox(oriel, "Block 1, text")).containsText("he is old");
        assertThat(textbox(oriel, "Block 3, text")).containsText("and the bees till Friday");
        link(oriel, "Templates").click();
        assertThat(signe.getByText(Pattern.compile("Oriel is here too"))).isHidden();
    }

    @Test
    void aQueryIsLetPassForAReason() {
        Page page = beginFrom("Signe", "Delivery notice", "Let pass");
        textbox(page, "Preview text").focus();
        page.keyboard().press("Control+a");
        page.keyboard().press("Delete");
        assertThat(page.getByText("There is no preview text")).isVisible();
        button(page, "Ignore").click();
        page.keyboard().type("the first line says it");
        page.keyboard().press("Enter");
        assertThat(page.getByText("1 ignored")).isVisible();
        assertThat(page.getByText("There is no preview text")).isHidden();
        page.getByText("1 ignored").click();
        button(page, "check again").click();
        assertThat(page.getByText("There is no preview text")).isVisible();
        assertThat(page.getByText("1 ignored")).isHidden();
    }
}
