package famulus.e2e;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import famulus.e2e.StartedOnce.Started;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application with its demo, in Debian's Chromium, driven as a hand would. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@ExtendWith(StartedOnce.class)
abstract class BrowserTest {
    private Started started;
    private ConfigurableApplicationContext application;
    private final List<Window> windows = new ArrayList<>();

    /** Whether the application runs with the made-up company. */
    boolean demo() {
        return true;
    }

    /** What else the application is started with. */
    List<String> settings() {
        return List.of();
    }

    /** Whether it changes what others lean on, or they what it leans on: then it has an application of its own. */
    boolean alone() {
        return false;
    }

    void use(Started shared) {
        this.started = shared;
    }

    @BeforeAll
    void start() {
        application = alone() ? started.application(demo(), settings()) : started.shared();
    }

    @AfterEach
    void closePages() {
        windows.forEach(window -> window.leave(address("")));
        windows.clear();
    }

    @AfterAll
    void stop() {
        if (alone()) {
            application.close();
        }
    }

    String address(String path) {
        int port = ((WebServerApplicationContext) application).getWebServer().getPort();
        return "http://localhost:" + port + path;
    }

    /** Opens a page of 1280 × 800 in a browser that knows of nobody. */
    Page open(String path) {
        return open(path, 1280, 800, ColorScheme.LIGHT);
    }

    Page open(String path, int width, int height, ColorScheme scheme) {
        Page page = blank(width, height, scheme);
        page.navigate(address(path));
        return page;
    }

    private Page blank(int width, int height, ColorScheme scheme) {
        Window window = started.window(width, height, scheme);
        windows.add(window);
        Page page = window.page();
        page.onPageError(error -> {
            throw new AssertionError("The page failed: " + error);
        });
        return page;
    }

    /** Opens a page as somebody who has signed in to the demo. */
    Page openAs(String name, String path) {
        return openAs(name, before -> path, 1280, ColorScheme.LIGHT);
    }

    /** Opens somebody’s page. */
    Page openContact(String name, String contact) {
        return openContact(name, contact, 1280, ColorScheme.LIGHT);
    }

    Page openContact(String name, String contact, int width, ColorScheme scheme) {
        Page page = openAs(name, before -> before.contact(contact), width, scheme);
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        return page;
    }

    /** Opens what has been made ready for it. */
    private Page openAs(String name, Function<Beforehand, String> path, int width, ColorScheme scheme) {
        Page page = blank(width, 800, scheme);
        Beforehand before = new Beforehand(page, address(""));
        before.signIn(name);
        page.navigate(address(path.apply(before)));
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .waitFor();
        return page;
    }

    static Page signIn(Page page, String name) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))
                .click();
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"))
                .waitFor();
        return page;
    }

    /** Begins a plain template on an empty sheet, from the list of templates. */
    static void beginPlain(Page page, String name, String about) {
        button(page, "New template").click();
        button(page, "Start with this one").waitFor();
        page.getByText("An empty sheet", new Page.GetByTextOptions().setExact(true))
                .click();
        button(page, "Start with this one").click();
        textbox(page, "Name for colleagues").fill(name);
        page.getByLabel("It is for").selectOption(about);
        button(page, "Create template").click();
    }

    /** Begins a template from one of the designs, and waits for the desk. */
    Page begin(String who, String design, String name) {
        Page page = openAs(who, "/templates");
        button(page, "New template").click();
        // The list that is left has templates of the same names.
        button(page, "Start with this one").waitFor();
        page.getByText(design, new Page.GetByTextOptions().setExact(true)).click();
        button(page, "Start with this one").click();
        textbox(page, "Name for colleagues").fill(name);
        button(page, "Create template").click();
        textbox(page, "Subject").waitFor();
        return page;
    }

    /** The desk of a template that has been made from a design with fields. */
    Page beginFrom(String who, String design, String name) {
        Page page = openAs(who, before -> before.template(design, name), 1280, ColorScheme.LIGHT);
        // Once its fields are chips the desk is settled.
        page.locator(".sheet .chip").first().waitFor();
        return page;
    }

    /** Puts a template of one's own where the north team may use it, and editors may change it. */
    static void shareWithTheNorth(Page desk) {
        button(desk, "Share…").click();
        desk.getByLabel("Into the folder").selectOption(new SelectOption().setLabel("North team"));
        button(desk, "Move").click();
        desk.locator(".where")
                .filter(new Locator.FilterOptions().setHasText("North team"))
                .waitFor();
    }

    /** The message in its frame, as the recipient would see it. */
    static FrameLocator message(Page page) {
        return page.frameLocator("iframe[title='The message']");
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator textbox(Page page, String name) {
        return page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Begins a message on somebody's page, from the first template that fits what is typed. */
    static void beginMessage(Page page, String template) {
        page.keyboard().press("w");
        chooseTemplate(page, template);
    }

    /** Chooses what to write from, where that is asked. */
    static void chooseTemplate(Page page, String template) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .waitFor();
        page.keyboard().type(template);
        // At once: what is chosen is what is typed, not what was found for the letters before.
        page.keyboard().press("Enter");
        textbox(page, "Subject of this message").waitFor();
    }

    /** Goes to somebody's page by the list and its search. */
    static void find(Page page, String name) {
        link(page, "People").click();
        page.getByRole(AriaRole.TABLE).waitFor();
        page.keyboard().press("/");
        page.keyboard().type(name);
        link(page, name).click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
    }

    /** Chooses a file of text where the page asks for one. */
    static void giveFile(Page page, String name, String type, String text) {
        giveFile(page, name, type, text.getBytes(StandardCharsets.UTF_8));
    }

    static void giveFile(Page page, String name, String type, byte[] bytes) {
        page.locator("input[type=file]").setInputFiles(new FilePayload(name, type, bytes));
    }

    /** Puts the cursor at the end of a text, as somebody who goes on writing. */
    static void goToEnd(Page page, Locator text) {
        text.focus();
        page.keyboard().press("Control+End");
    }
}
