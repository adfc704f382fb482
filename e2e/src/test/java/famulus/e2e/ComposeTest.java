package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Letters and designed messages put together by hand: words, blocks, bands, dragging, taking back. */
class ComposeTest extends SheetTest {
    @Test
    void wordsAreFormattedByTypingByKeysAndOnTheTextSlip() {
        Page page = beginFrom("Signe", "Delivery notice", "Formatted");
        Locator text = textbox(page, "Block 1, text");
        goToEnd(page, text);
        page.keyboard().press("Enter");
        page.keyboard().type("- We bring **two** ladders");
        page.keyboard().press("Enter");
        page.keyboard().type("and {first");
        page.keyboard().press("Enter");
        page.keyboard().type(" is welcome");
        assertThat(message(page).locator("li").nth(0)).hasText("We bring two ladders");
        assertThat(message(page).getByText("two", new FrameLocator.GetByTextOptions().setExact(true)))
                .hasCSS("font-weight", "700");
        assertThat(message(page).locator("li").nth(1)).containsText("is welcome");
        page.keyboard().press("Enter");
        page.keyboard().press("Tab");
        page.keyboard().type("and a dog");
        assertThat(message(page).locator("li li")).hasText("and a dog");
        for (int outOfBothLists = 0; outOfBothLists < 3; outOfBothLists++) {
            page.keyboard().press("Enter");
        }
        page.keyboard().type("## How");
        assertThat(text.locator("p").last()).hasClass(Pattern.compile("heading-2"));
        page.keyboard().press("Shift+Home");
        Locator bar = page.getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Formatting"));
        bar.getByLabel("Kind of paragraph").selectOption("quote");
        assertThat(text.locator("p").last()).hasClass(Pattern.compile("quote"));
        text.focus();
        page.keyboard().press("Control+k");
        bar.getByLabel("leads to").fill("https://brindlewing.example/how");
        page.keyboard().press("Enter");
        assertThat(message(page).getByRole(AriaRole.LINK, new FrameLocator.GetByRoleOptions().setName("How")))
                .hasAttribute("href", "https://brindlewing.example/how");
        page.keyboard().press("Control+i");
        assertThat(text.locator("p").last().locator("em")).hasText("How");
        settled(page);
        page.reload();
        assertThat(textbox(page, "Block 1, text").locator("p").last().locator("em a, a em"))
                .hasText("How");
    }

    @Test
    void whatIsPastedComesInCleanAndWhatWasDroppedIsSaid() {
        Page page = beginFrom("Signe", "After a visit", "Pasted");
        goToEnd(page, textbox(page, "Block 1, text"));
        paste(
                page,
                "<h2 style=\"color:red\">Terms</h2><p class=\"Private\">Pay <b>soon</b>, <a href=\"javascript:alert(1)\">now</a>"
                        + "<img src=\"https://x.example/a.png\"></p><ol><li>One</li><li>Two</li></ol>"
                        + "<table><tr><td>a</td><td>b</td></tr></table>",
                "Terms");
        Locator text = textbox(page, "Block 1, text");
        assertThat(text.locator("p.heading-2").filter(new Locator.FilterOptions().setHasText("Terms")))
                .hasText("Terms");
        assertThat(text.locator("p.numbered")
                        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^(One|Two)$"))))
                .hasCount(2);
        assertThat(text.getByText("a · b")).isVisible();
        assertThat(text.locator("img:not(.ProseMirror-separator), a, [style*=red]"))
                .hasCount(0);
        assertThat(page.getByText("Left out of what was pasted: a picture, the frame of a table."))
                .isVisible();
    }

    /** A message of rows keeps the columns of a table; a letter has one column. */
    @Test
    void aTableThatIsPastedIntoADesignedMessageBecomesRows() {
        Page page = beginFrom("Signe", "Delivery notice", "Tabled");
        goToEnd(page, textbox(page, "Block 1, text"));
        paste(
                page,
                "<table><tr><td bgcolor=\"#2f5d3a\">Our offer</td></tr><tr><td width=\"30%\">Forty hives</td><td width=\"70%\">"
                        + "for <b>{deal.name}</b></td></tr></table>",
                "Our offer");
        assertThat(page.getByText("Pasted as 2 rows.")).isVisible();
        Locator row =
                draft(page).getByRole(AriaRole.REGION).filter(new Locator.FilterOptions().setHasText("Forty hives"));
        assertThat(row.locator(".column")).hasCount(2);
        assertThat(message(page).getByText("Our offer")).isVisible();
        page.keyboard().press("Control+z");
        assertThat(draft(page).getByText("Forty hives")).hasCount(0);
    }

    /** A paste as another program makes it, where the cursor is. */
    private static void paste(Page page, String html, String text) {
        page.evaluate(
                """
                ([html, text]) => {
                  const data = new DataTransfer();
                  data.setData('text/html', html);
                  data.setData('text/plain', text);
                  document.activeElement.dispatchEvent(
                    new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
                }""",
                List.of(html, text));
    }

    @Test
    void blocksArePutInFromTheDrawerFromTheLineBetweenAndByKeys() {
        Page page = beginFrom("Signe", "Delivery notice", "Put in");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        page.keyboard().press("ArrowDown");
        page.keyboard().press("ArrowUp");
        page.keyboard().press("Enter");
        assertThat(textbox(page, "Block 2, text")).isFocused();
        page.keyboard().type("Between");
        assertThat(blocks(page)).containsExactly("Text 1", "Text 2", "Event 3", "Text 4", "Signature 5");
        assertThat(message(page).getByText("Between")).isVisible();

        draft(page)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("add here").setExact(true))
                .last()
                .click();
        slip(page, "Add here")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Button")))
                .click();
        textbox(page, "Block 6, button").fill("Read more");
        assertThat(page.getByText("The button leads nowhere")).isVisible();
        textbox(page, "Block 6, button: address").fill("brindlewing.example");
        button(page, "Put https:// before it").click();
        assertThat(page.getByText("The button leads nowhere")).isHidden();
        assertThat(message(page).getByRole(AriaRole.LINK, new FrameLocator.GetByRoleOptions().setName("Read more")))
                .hasAttribute("href", "https://brindlewing.example");
    }

    @Test
    void aBlockIsDraggedToWhereALineSaysAndReturnsWhenDroppedElsewhere() {
        Page page = beginFrom("Signe", "Delivery notice", "Dragged");
        BoundingBox event = draft(page).locator("[data-block]").nth(1).boundingBox();
        BoundingBox first = draft(page).locator("[data-block]").nth(0).boundingBox();
        dragOver(page, handle(page, "Text 3"), event.x + 100, first.y - 2);
        assertThat(draft(page).getByText("2 up", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(draft(page).getByText("a row of its own, 1 up")).isVisible();
        page.mouse().up();
        assertThat(draft(page).getByText("2 up")).isHidden();
        assertThat(handle(page, "Text 1")).isFocused();
        assertThat(textbox(page, "Block 1, text")).containsText("Two things help us");
        assertThat(message(page).getByRole(AriaRole.HEADING).first()).hasText("Two things help us");

        List<String> before = blocks(page);
        dragOver(page, handle(page, "Text 1"), 1100, 400);
        page.mouse().up();
        assertThat(textbox(page, "Block 1, text")).containsText("Two things help us");
        assertThat(blocks(page)).isEqualTo(before);

        page.keyboard().press("Control+z");
        assertThat(textbox(page, "Block 3, text")).containsText("Two things help us");
    }

    @Test
    void aKindIsDraggedUpFromTheDrawer() {
        Page page = beginFrom("Signe", "Delivery notice", "From the drawer");
        button(page, "add a block").click();
        BoundingBox event = draft(page).locator("[data-block]").nth(1).boundingBox();
        dragOver(page, button(page, "Line"), event.x + 150, event.y);
        page.mouse().up();
        assertThat(draft(page).locator("hr")).hasCount(1);
        assertThat(blocks(page)).containsExactly("Text 1", "Line 2", "Event 3", "Text 4", "Signature 5");
    }

    @Test
    void blocksAreMovedDuplicatedChosenAndDeletedByKeysAndComeBack() {
        Page page = beginFrom("Signe", "Delivery notice", "By keys");
        handle(page, "Event 2").focus();
        page.keyboard().press("Alt+ArrowUp");
        assertThat(handle(page, "Event 1")).isFocused();
        page.keyboard().press("Alt+ArrowDown");
        assertThat(handle(page, "Event 2")).isFocused();
        page.keyboard().press("Alt+Shift+D");
        assertThat(handle(page, "Event 3")).isFocused();
        page.keyboard().press(" ");
        handle(page, "Text 1").focus();
        page.keyboard().press(" ");
        page.keyboard().press("Delete");
        assertThat(page.getByText("2 blocks deleted.")).isVisible();
        assertThat(blocks(page)).containsExactly("Event 1", "Text 2", "Signature 3");
        page.keyboard().press("Control+z");
        assertThat(blocks(page)).containsExactly("Text 1", "Event 2", "Event 3", "Text 4", "Signature 5");
        page.keyboard().press("Control+z");
        assertThat(blocks(page)).containsExactly("Text 1", "Event 2", "Text 3", "Signature 4");
        page.keyboard().press("Control+y");
        assertThat(blocks(page)).hasSize(5);
    }

    @Test
    void whatWasDoneIsTakenBackAlsoAfterAReloadInMidSentence() {
        Page page = beginFrom("Signe", "Delivery notice", "Taken back");
        Locator text = textbox(page, "Block 1, text");
        String begun = text.innerText();
        goToEnd(page, text);
        page.keyboard().type(" Ring the bell");
        page.reload();
        assertThat(textbox(page, "Block 1, text")).containsText("Ring the bell");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Control+z");
        assertThat(textbox(page, "Block 1, text")).not().containsText("Ring the bell");
        assertThat(textbox(page, "Block 1, text").innerText()).isEqualTo(begun);
        page.keyboard().press("Control+Shift+z");
        assertThat(textbox(page, "Block 1, text")).containsText("Ring the bell");
        settled(page);
    }

    @Test
    void aBandGetsColumnsAndItsBlocksMoveBetweenThem() {
        Page page = beginFrom("Signe", "Delivery notice", "Columns");
        handle(page, "Row 2").click();
        Locator settings = slip(page, "Row 2");
        settings.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("2").setExact(true))
                .click();
        settings.getByLabel("part of the width").first().fill("3");
        settings.getByLabel("part of the width").first().blur();
        page.keyboard().press("Escape");
        Locator band = draft(page).locator("section[data-part]").nth(1);
        assertThat(band.locator(".column")).hasCount(2);
        Locator edge = band.getByRole(AriaRole.SEPARATOR);
        BoundingBox narrow = band.locator(".column").nth(1).boundingBox();
        dragOver(page, edge, narrow.x - 120, narrow.y + 30);
        page.mouse().up();
        BoundingBox right = band.locator(".column").nth(1).boundingBox();
        assertThat(right.width).isGreaterThan(narrow.width + 80);
        edge.focus();
        page.keyboard().press("ArrowRight");
        assertThat(band.locator(".column").nth(1).boundingBox().width).isLessThan(right.width);
        right = band.locator(".column").nth(1).boundingBox();
        dragOver(page, handle(page, "Text 3"), right.x + right.width / 2, right.y + 4);
        page.mouse().up();
        assertThat(band.locator(".column").nth(1)).containsText("Two things help us");
        assertThat(message(page).getByText("Two things help us")).isVisible();
        settled(page);
        page.reload();
        assertThat(draft(page).locator(".column.split").nth(1)).containsText("Two things help us");
    }

    @Test
    void copiedBlocksArePastedIntoAnotherTemplate() {
        Page page = beginFrom("Signe", "Delivery notice", "Copied from");
        handle(page, "Text 1").focus();
        page.keyboard().press("Control+c");
        page.keyboard().press("Control+v");
        assertThat(blocks(page)).containsExactly("Text 1", "Text 2", "Event 3", "Text 4", "Signature 5");
        settled(page);
        link(page, "Templates").click();
        link(page, "Delivery notice").click();
        handle(page, "Event 2").focus();
        page.keyboard().press("Control+v");
        assertThat(textbox(page, "Block 3, text")).containsText("We are on our way");
        page.keyboard().press("Control+z");
        assertThat(blocks(page)).containsExactly("Text 1", "Event 2", "Text 3", "Signature 4");
        settled(page);
    }

    @Test
    void aBlockIsShownOnlyWhenASentenceHolds() {
        Page page = beginFrom("Signe", "Delivery notice", "Shown when");
        handle(page, "Text 3").click();
        Locator settings = slip(page, "Text 3");
        settings.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Show it only when …"))
                .click();
        settings.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Written form"))
                .click();
        settings.getByLabel("Written form").fill("deal.value is less than 0");
        page.keyboard().press("Enter");
        assertThat(settings.getByText(Pattern.compile("holds for"))).containsText("0 of");
        page.keyboard().press("Escape");
        assertThat(draft(page).getByText(Pattern.compile("^shown when .*less than 0")))
                .isVisible();
        assertThat(message(page).getByText("Two things help us")).isHidden();
    }

    @Test
    void theItemTablesColumnsAreDraggedIntoAnotherOrder() {
        Page page = beginFrom("Signe", "Delivery notice", "Items");
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        button(page, "Item table").click();
        handle(page, "Item table 2").click();
        Locator columns =
                slip(page, "Item table 2").getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Columns"));
        BoundingBox first = columns.locator("button").first().boundingBox();
        dragOver(page, columns.locator("button").nth(3), first.x + 10, first.y + 10);
        page.mouse().up();
        assertThat(columns.locator("button")).hasText(new String[] {"Amount", "Description", "Quantity", "Price"});
        columns.locator("button").first().focus();
        page.keyboard().press("ArrowRight");
        assertThat(columns.locator("button")).hasText(new String[] {"Description", "Amount", "Quantity", "Price"});
        assertThat(message(page).locator("th").nth(1)).containsText("Amount");
    }

    @Test
    void aLetterIsWrittenWithoutBands() {
        Page page = beginFrom("Signe", "First word", "A letter");
        assertThat(draft(page).getByText("row", new Locator.GetByTextOptions().setExact(true)))
                .hasCount(0);
        int before = blocks(page).size();
        textbox(page, "Block 1, text").focus();
        page.keyboard().press("Alt+a");
        page.keyboard().press("Enter");
        page.keyboard().type("One more thing.");
        assertThat(blocks(page)).hasSize(before + 1);
        assertThat(message(page).getByText("One more thing.")).isVisible();
    }

    @Test
    void draftAndProofPointAtEachOther() {
        Page page = beginFrom("Signe", "Delivery notice", "Pointing");
        draft(page).locator("[data-block]").nth(2).hover();
        assertThat(message(page).locator("[data-pointed]")).containsText("Two things help us");
        message(page).getByText("Two things help us").hover();
        assertThat(draft(page).locator("[data-block].pointed")).containsText("Two things help us");
        message(page).getByText("an open door").dblclick();
        assertThat(textbox(page, "Block 3, text")).isFocused();
        page.keyboard().type("wide ");
        assertThat(message(page).getByText(Pattern.compile("wide "))).isVisible();
    }

    @Test
    void aMessageChoosesItsPageWhereTheHouseStyleLetsIt() {
        Page page = beginFrom("Signe", "Welcome", "Narrow");
        Locator wide = message(page).locator("table.sheet").first();
        assertThat(wide).hasAttribute("style", Pattern.compile("max-width:600px"));
        Locator opener =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Style: ")));
        opener.click();
        Locator slip = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Page"));
        slip.getByLabel("width").fill("440");
        slip.getByLabel("width").press("Tab");
        assertThat(wide).hasAttribute("style", Pattern.compile("max-width:440px"));
        slip.getByLabel("Font of the text").selectOption("typewriter");
        assertThat(wide).hasAttribute("style", Pattern.compile("Courier"));
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        page.reload();
        assertThat(wide).hasAttribute("style", Pattern.compile("max-width:440px"));
        page.keyboard().press("Control+z");
        page.keyboard().press("Control+z");
        assertThat(wide).hasAttribute("style", Pattern.compile("max-width:600px"));

        Page keeper = openAs("Oriel", "/materials/styles");
        keeper.getByLabel("messages may choose a page of their own").uncheck();
        button(keeper, "Save").click();
        assertThat(keeper.getByText(Pattern.compile("is saved"))).isVisible();
        page.reload();
        opener.click();
        assertThat(slip.getByText("doesn’t let messages choose their own width, colours or font"))
                .isVisible();
    }
}
