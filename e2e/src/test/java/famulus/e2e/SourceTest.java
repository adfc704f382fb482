package famulus.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** HTML brought in from elsewhere, and written by hand. */
class SourceTest extends BrowserTest {
    private static final String NEWS =
            """
            <title>Blossom news for {person.first_name else "you"}</title>
            <style>.head { background: #3f6b2e; color: #ffffff }</style>
            <table><tr><td class=head onclick="steal()">Blossom news</td></tr>
            <tr><td>Dear {person.first_name else "grower"}</td></tr></table><script>steal()</script>
            """;

    private static FrameLocator.GetByTextOptions exactly() {
        return new FrameLocator.GetByTextOptions().setExact(true);
    }

    @Test
    void aMessageOfItHasANoteOfItsSendersAboveIt() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "orchard-news.html", "text/html", NEWS);
        assertThat(page.locator("li button[aria-pressed=true]")).containsText("orchard-news");
        button(page, "Start with this one").click();
        button(page, "Create template").click();
        textbox(page, "Source").waitFor();

        find(page, "Priya Ivory");
        beginMessage(page, "orchard-news");
        assertThat(textbox(page, "Source")).containsText("Blossom news");
        button(page, "write a note of your own above it").click();
        assertThat(textbox(page, "Your note")).isFocused();
        page.keyboard().type("Priya, the second part is for you.");
        assertThat(textbox(page, "Your note")).containsText("the second part");
        button(page, "As Priya Ivory will read it").click();
        assertThat(message(page).getByText("Priya, the second part is for you."))
                .isVisible();
        assertThat(message(page).getByText("Blossom news", exactly())).isVisible();
        button(page, "Back to writing").click();
        button(page, "Send now").click();
        assertThat(page.getByText("On its way to Priya Ivory")).isVisible();
        link(page, "Demo inboxes").click();
        // It may arrive after its inbox was opened.
        page.getByText(Pattern.compile("^Blossom news for Priya")).first().click();
        assertThat(message(page).getByText("Priya, the second part is for you."))
                .isVisible();
    }

    /** Markdown becomes a letter, and an e-mail a page as it looked. */
    @Test
    void otherFilesAreImportedToo() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "spring.md", "text/markdown", "# Spring **news**\n\nDear {person.first_name},\n\n- one\n- two");
        Locator preview = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview of the design"));
        assertThat(preview).containsText("Spring news");
        assertThat(preview.frameLocator("iframe").getByRole(AriaRole.LISTITEM)).hasCount(2);
        assertThat(page.locator("li button[aria-pressed=true]")).containsText("letter · for a contact");
        button(page, "Import").click();
        giveFile(
                page,
                "old.eml",
                "message/rfc822",
                ("From: a@ninefold.example\r\nSubject: As it looked\r\nContent-Type: text/html\r\n\r\n"
                        + "<p style=\"color:#aa0000\">Red words</p>"));
        assertThat(preview).containsText("As it looked");
        assertThat(preview.frameLocator("iframe").getByText("Red words")).hasCSS("color", "rgb(170, 0, 0)");
    }

    /** A zip of pages: one is chosen, its picture comes with it, and fields take the places of another system’s codes. */
    @Test
    void aPageComesWithItsPicturesAndWithFieldsForCodes() throws IOException {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        byte[] zip = zip(Map.of(
                "mail/spring.html",
                ("<title>News for {{first_name}}</title><p>Dear *|FNAME|*, of [[Zodiac]]</p>"
                                + "<img src=img/Gate%20sign.png alt='A gate'>")
                        .getBytes(StandardCharsets.UTF_8),
                "mail/other.html",
                "<p>Other".getBytes(StandardCharsets.UTF_8),
                "mail/img/gate sign.png",
                picture()));
        giveFile(page, "spring.zip", "application/zip", zip);
        page.getByLabel("Which page of spring.zip").selectOption("mail/spring.html");
        button(page, "Import this page").click();
        Locator preview = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Preview of the design"));
        assertThat(preview).containsText("3 codes of another system");
        assertThat(preview.frameLocator("iframe").getByAltText("A gate")).isVisible();
        assertThat(preview.getByLabel("Field for *|FNAME|*")).hasValue("contact.first_name");
        AccessibilityTest.scan(page, "an imported page with codes");
        preview.getByLabel("Field for [[Zodiac]]").selectOption("contact.job_title");
        button(page, "Put 3 fields in").click();
        assertThat(preview).not().containsText("of another system");
        assertThat(preview.locator(".subject")).not().containsText("{{");
        button(page, "As it came").click();
        assertThat(preview.frameLocator("iframe").getByText("Dear *|FNAME|*")).isVisible();
        assertThat(preview.frameLocator("iframe").getByAltText("A gate")).isVisible();

        button(page, "Start with this one").click();
        button(page, "Create template").click();
        assertThat(textbox(page, "Source")).containsText("Dear {contact.first_name}, of {contact.job_title}");
        link(page, "Materials").click();
        link(page, "Pictures").click();
        assertThat(page.getByRole(
                        AriaRole.CELL,
                        new Page.GetByRoleOptions().setName("gate sign").setExact(true)))
                .isVisible();
    }

    /** A picture that a template shows is deleted once another one is in its place there. */
    @Test
    void anotherPictureTakesThePlaceOfOneThatIsShown() throws IOException {
        Page page = openAs("Oriel", "/templates/new");
        button(page, "Import").click();
        String drawn = Base64.getEncoder().encodeToString(picture());
        giveFile(
                page,
                "old orchard.html",
                "text/html",
                "<p>Hello</p><img alt='Orchard' src='data:image/png;base64," + drawn + "'>");
        assertThat(page.locator("li button[aria-pressed=true]")).containsText("with a picture");
        button(page, "Start with this one").click();
        button(page, "Create template").click();
        assertThat(message(page).getByAltText("Orchard")).isVisible();

        Page materials = openAs("Oriel", "/materials/pictures");
        materials
                .locator("input[type=file]")
                .setInputFiles(new FilePayload("new orchard.png", "image/png", otherPicture()));
        assertThat(button(materials, "Change new orchard")).isVisible();
        button(materials, "Change old orchard").click();
        button(materials, "Delete picture").click();
        Locator slip =
                materials.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("This picture is used"));
        assertThat(slip).containsText("old orchard");
        slip.getByLabel("Put in its place").selectOption("new orchard");
        assertThat(slip.getByText("in its place").last()).isVisible();
        AccessibilityTest.scan(materials, "a picture that is used");
        slip.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Replace and delete"))
                .click();
        assertThat(materials.getByText("“old orchard” is deleted. One template has “new orchard” in its place."))
                .isVisible();
        assertThat(button(materials, "Change old orchard")).hasCount(0);
    }

    private static byte[] otherPicture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 60, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(80, 40, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static byte[] zip(Map<String, byte[]> things) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> one : things.entrySet()) {
                zip.putNextEntry(new ZipEntry(one.getKey()));
                zip.write(one.getValue());
            }
        }
        return out.toByteArray();
    }

    @Test
    void isBroughtInCleanChangedByHandAndRebuiltAsALetter() {
        Page page = openAs("Signe", "/templates/new");
        button(page, "Import").click();
        giveFile(page, "spring-news.html", "text/html", NEWS);
        assertThat(page.getByText("2 things left out")).isVisible();
        assertThat(page.getByText("1 attribute that runs a script: onclick")).isVisible();
        button(page, "Start with this one").click();
        assertThat(textbox(page, "Name for colleagues")).hasValue("spring-news");
        button(page, "Create template").click();
        Locator editor = textbox(page, "Source");
        assertThat(message(page).getByText("Blossom news", exactly())).hasCSS("background-color", "rgb(63, 107, 46)");
        assertThat(page.locator(".chip").getByText("First name")).isVisible();

        editor.click();
        page.keyboard().press("Control+End");
        page.keyboard().type("<p>Yours, {sender.first");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("^First name")))
                .first()
                .waitFor();
        page.keyboard().press("Enter");
        assertThat(editor).containsText("{sender.first_name}");
        assertThat(message(page).getByText("Signe", exactly())).isVisible();
        page.keyboard().type(" on<b onclick=x>ce</b>");
        assertThat(page.getByText("Some of this HTML is not sent")).isVisible();
        assertThat(page.getByText(Pattern.compile("^saved"))).isVisible();
        page.reload();
        assertThat(editor).containsText("on<b onclick=x>ce</b>");
        page.keyboard().press("Control+z");
        assertThat(editor).not().containsText("onclick");

        button(page, "spring-news").click();
        page.getByLabel("Written as").selectOption("letter");
        button(page, "Make it a letter").click();
        page.keyboard().press("Escape");
        assertThat(textbox(page, "Block 1, text")).containsText("Blossom news");
        assertThat(message(page).getByText("Blossom news", exactly())).isVisible();
    }

    @Test
    void isOneBlockAmongOthers() {
        Page page = beginFrom("Signe", "Delivery notice", "With own HTML");
        page.keyboard().press("Alt+a");
        page.getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Blocks"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Own HTML")))
                .click();
        page.getByRole(AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(Pattern.compile("own html: source$")))
                .click();
        page.keyboard().type("<p style='color:#aa0000'>By hand</p>");
        assertThat(message(page).getByText("By hand", exactly())).hasCSS("color", "rgb(170, 0, 0)");
    }
}
