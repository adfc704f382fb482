package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;

/** Tests of a letter or designed message on its sheet: what its blocks are found and dragged by. */
abstract class SheetTest extends BrowserTest {
    static Locator draft(Page page) {
        return page.getByLabel("Draft", new Page.GetByLabelOptions().setExact(true));
    }

    /** The handles of all blocks in their order, as "Text 1". */
    static List<String> blocks(Page page) {
        return draft(page).locator("[data-block] > [data-handle]").all().stream()
                .map(one -> one.getAttribute("aria-label"))
                .toList();
    }

    static Locator handle(Page page, String name) {
        return draft(page)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name + "(, chosen)?$")));
    }

    static Locator slip(Page page, String title) {
        return page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName(title));
    }

    static void settled(Page page) {
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
    }

    /** Moves the mouse as a hand would: presses, goes there in steps, and leaves the button down. */
    static void dragOver(Page page, Locator what, double x, double y) {
        BoundingBox from = what.boundingBox();
        page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
        page.mouse().down();
        page.mouse().move(from.x + from.width / 2 + 8, from.y + from.height / 2 + 8);
        page.mouse().move(x, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(12));
    }
}
