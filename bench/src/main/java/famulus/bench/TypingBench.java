package famulus.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
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

    private TypingBench() {}

    /** Runs the measurement. */
    public static void main(String[] arguments) {
        try (Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setArgs(List.of("--no-sandbox", "--disable-dev-shm-usage", "--disable-gpu")))) {
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.navigate(arguments[0]);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Signe")))
                    .click();
            List<Double> waits = type(page);
            System.out.printf(
                    Locale.ROOT,
                    "key press to changed proof, %d keys at %d ms: median %.0f ms, 95th percentile %.0f ms, longest %.0f ms%n",
                    waits.size(),
                    PAUSE,
                    percentile(waits, 50),
                    percentile(waits, 95),
                    percentile(waits, 100));
        }
    }

    private static List<Double> type(Page page) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Templates"))
                .click();
        page.getByText("New template", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByText("An empty sheet", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByText("Begin with this one", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByLabel("Name for colleagues").fill("Typing");
        page.getByLabel("It is about").selectOption("CONTACT");
        page.getByText("Begin", new Page.GetByTextOptions().setExact(true)).click();
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
        @SuppressWarnings("unchecked")
        List<Number> waits = (List<Number>)
                page.evaluate("() => window.typingBench.pressed.map((time, i) => window.typingBench.shown[i] - time)");
        return waits.stream().map(Number::doubleValue).sorted().toList();
    }

    private static double percentile(List<Double> sorted, int percent) {
        return sorted.get(Math.max(0, (int) Math.ceil(sorted.size() * percent / 100.0) - 1));
    }
}
