package famulus.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * Types into the writing desk of a running demo and measures, inside the page, how long each key press takes until the
 * proof shows its character. Argument: the demo's address. Writes one line.
 */
public final class TypingBench {
    private static final String LETTER = "Dear {person.first_name else \"all\"},\n\nthe bees for "
            + "{organisation.name} will come on {today as weekday and long date}. Please leave the gate open, "
            + "and keep the dogs in until we have gone.\n\nKind regards\n{sender.first_name}\n\n";
    private static final String WARM_UP = "Just so that every part has been used once. ";
    private static final String MEASURED = "We bring the hives before sunrise, when the bees are still at home, and we "
            + "would be glad of a hand with the straps. Coffee is welcome too: the drivers have been up since two.";
    /** Milliseconds between key presses: a quick typist's ten a second. */
    private static final int PAUSE = 100;

    /** Notes when each key went down, and when the proof first shows the typed words as far as that key. */
    private static final String WATCH =
            """
            ([mark, words]) => {
              const pressed = [], shown = [];
              const proof = document.querySelector('section.proof');
              document.addEventListener('keydown', (event) => {
                if (event.key.length === 1) pressed.push(event.timeStamp);
              }, true);
              new MutationObserver(() => {
                const text = proof.querySelector('.mail').textContent;
                const from = text.lastIndexOf(mark) + mark.length;
                while (shown.length < words.length && text.startsWith(words.slice(0, shown.length + 1), from))
                  shown.push(performance.now());
              }).observe(proof, { subtree: true, childList: true, characterData: true });
              window.typingBench = { pressed, shown };
            }""";

    /** The same for a message in its frame. */
    private static final String WATCH_FRAME =
            """
            ([mark, words]) => {
              const pressed = [], shown = [];
              const proof = document.querySelector('section.proof iframe').contentDocument;
              document.addEventListener('keydown', (event) => {
                if (event.key.length === 1) pressed.push(event.timeStamp);
              }, true);
              new MutationObserver(() => {
                const text = proof.body.textContent;
                const from = text.lastIndexOf(mark) + mark.length;
                while (shown.length < words.length && text.startsWith(words.slice(0, shown.length + 1), from))
                  shown.push(performance.now());
              }).observe(proof, { subtree: true, childList: true, characterData: true });
              window.typingBench = { pressed, shown };
            }""";

    /** Adds a designed template and returns its identifier. */
    static final String ADD_DESIGNED =
            """
            async (design) => {
              const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
              const answer = await fetch('/api/templates', {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify({
                  name: 'Forty blocks', purpose: '', about: 'CONTACT', subject: 'Hives', previewText: 'Soon', body: '',
                  mode: 'DESIGNED', design, houseStyle: null, header: '', footer: '',
                }),
              });
              return (await answer.json()).template.id;
            }""";

    private static final int BLOCKS = 40;

    private TypingBench() {}

    /** Runs the measurement. */
    public static void main(String[] arguments) {
        try (Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = browser(playwright)) {
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.navigate(arguments[0]);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Signe")))
                    .click();
            say("key press to changed proof", type(page));
            page.navigate(arguments[0] + "templates/" + page.evaluate(ADD_DESIGNED, designed()));
            say("the same in a designed message of " + BLOCKS + " blocks", typeInBlock(page));
            List<Double> frames = drag(page);
            System.out.printf(
                    Locale.ROOT,
                    "dragging a block of them, %d frames: median %.1f ms, 95th percentile %.1f ms a frame%n",
                    frames.size(),
                    percentile(frames, 50),
                    percentile(frames, 95));
        }
    }

    private static void say(String what, List<Double> waits) {
        System.out.printf(
                Locale.ROOT,
                "%s, %d keys at %d ms: median %.0f ms, 95th percentile %.0f ms, longest %.0f ms%n",
                what,
                waits.size(),
                PAUSE,
                percentile(waits, 50),
                percentile(waits, 95),
                percentile(waits, 100));
    }

    /** Texts and buttons in bands of two columns. */
    static String designed() {
        StringBuilder bands = new StringBuilder();
        for (int at = 0; at < BLOCKS; at += 2) {
            bands.append(at == 0 ? "" : ",")
                    .append(
                            "{\"id\":\"a" + at + "\",\"columns\":[{\"blocks\":[{\"id\":\"b" + at
                                    + "\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"Dear {person.first_name else \\\"all\\\"},"
                                    + " we come on {today as weekday and long date} and bring \"},{\"text\":\"hives\",\"bold\":true}]}]}]},"
                                    + "{\"blocks\":[{\"id\":\"b" + (at + 1)
                                    + "\",\"kind\":\"button\",\"label\":\"Read more\",\"link\":\"https://brindlewing.example/\"}]}]}");
        }
        return "{\"version\":1,\"bands\":[" + bands + "]}";
    }

    private static List<Double> typeInBlock(Page page) {
        Locator text = page.getByRole(
                AriaRole.TEXTBOX,
                new Page.GetByRoleOptions().setName("Block 3, text").setExact(true));
        text.locator(".chip").first().waitFor();
        text.focus();
        page.keyboard().press("Control+End");
        page.keyboard().type(WARM_UP, new Keyboard.TypeOptions().setDelay(PAUSE));
        FrameLocator frame = page.frameLocator("iframe[title='The message']");
        frame.getByText(WARM_UP.strip()).waitFor();
        page.evaluate(WATCH_FRAME, List.of(WARM_UP, MEASURED));
        page.keyboard().type(MEASURED, new Keyboard.TypeOptions().setDelay(PAUSE));
        frame.getByText(MEASURED).waitFor();
        return waits(page);
    }

    /** Drags a block over the others and back, and returns how long each frame was on the screen. */
    private static List<Double> drag(Page page) {
        Locator handle = page.locator("[data-block] > [data-handle]").nth(2);
        handle.scrollIntoViewIfNeeded();
        BoundingBox from = handle.boundingBox();
        page.evaluate(
                """
                () => {
                  const frames = (window.frameTimes = []);
                  let last = 0;
                  const next = (now) => { if (last) frames.push(now - last); last = now; requestAnimationFrame(next); };
                  requestAnimationFrame(next);
                }""");
        page.mouse().move(from.x + 8, from.y + 8);
        page.mouse().down();
        page.mouse().move(from.x + 20, from.y + 20);
        for (int turn = 0; turn < 4; turn++) {
            page.mouse().move(300, 700, new Mouse.MoveOptions().setSteps(60));
            page.mouse().move(300, 200, new Mouse.MoveOptions().setSteps(60));
        }
        @SuppressWarnings("unchecked")
        List<Number> frames = (List<Number>) page.evaluate("() => window.frameTimes.slice(5)");
        page.mouse().move(1200, 400);
        page.mouse().up();
        return frames.stream().map(Number::doubleValue).sorted().toList();
    }

    private static List<Double> waits(Page page) {
        @SuppressWarnings("unchecked")
        List<Number> waits = (List<Number>)
                page.evaluate("() => window.typingBench.pressed.map((time, i) => window.typingBench.shown[i] - time)");
        return waits.stream().map(Number::doubleValue).sorted().toList();
    }

    private static List<Double> type(Page page) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Templates"))
                .click();
        page.getByText("New template", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByText("An empty sheet", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByText("Start with this one", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByLabel("Name for colleagues").fill("Typing");
        page.getByLabel("It is for").selectOption("CONTACT");
        page.getByText("Create template", new Page.GetByTextOptions().setExact(true))
                .click();
        Locator text = page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName("Text").setExact(true));
        text.waitFor();
        text.focus();
        page.keyboard().insertText(LETTER);
        page.keyboard().type(WARM_UP, new Keyboard.TypeOptions().setDelay(PAUSE));
        page.locator("section.proof .mail", new Page.LocatorOptions().setHasText(WARM_UP.strip()))
                .waitFor();
        page.evaluate(WATCH, List.of(WARM_UP, MEASURED));
        page.keyboard().type(MEASURED, new Keyboard.TypeOptions().setDelay(PAUSE));
        page.locator("section.proof .mail", new Page.LocatorOptions().setHasText(MEASURED))
                .waitFor();
        return waits(page);
    }

    /** The machine's own Chromium, without a screen. */
    static Browser browser(Playwright playwright) {
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of("--no-sandbox", "--disable-dev-shm-usage", "--disable-gpu")));
    }

    /** The value that so many in a hundred do not exceed, of values in order. */
    static double percentile(List<Double> sorted, int percent) {
        return sorted.get(Math.max(0, (int) Math.ceil(sorted.size() * percent / 100.0) - 1));
    }
}
