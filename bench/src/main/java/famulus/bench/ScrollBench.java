package famulus.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.regex.Pattern;

/**
 * Drags the bar of the list of contacts up and down in a browser: how long frames are meanwhile, and how long it takes until
 * the lines are there once it rests. Argument: the demo's address.
 */
public final class ScrollBench {
    private static final int RESTS = 20;
    private static final String FRAMES =
            """
            async (to) => {
              const list = document.querySelector('.ledger .body');
              const from = list.scrollTop;
              const frames = [];
              let last = performance.now();
              for (let step = 1; step <= 45; step++) {
                list.scrollTop = from + ((to - from) * step) / 45;
                await new Promise((resolve) => requestAnimationFrame(resolve));
                const now = performance.now();
                frames.push(now - last);
                last = now;
              }
              const rested = performance.now();
              const there = () => {
                const lines = [...list.querySelectorAll('.tall .line')];
                return lines.length > 5 && lines.every((line) => line.querySelector('a'));
              };
              while (!there()) await new Promise((resolve) => requestAnimationFrame(resolve));
              return [Math.max(...frames), performance.now() - rested];
            }
            """;

    private ScrollBench() {}

    /** Measures and prints. */
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
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^People")))
                    .first()
                    .click();
            page.waitForSelector(".ledger .body a");
            double height =
                    ((Number) page.evaluate("document.querySelector('.ledger .tall').offsetHeight")).doubleValue();
            Random random = new Random(6);
            List<Double> frames = new ArrayList<>();
            List<Double> rests = new ArrayList<>();
            for (int i = 0; i < RESTS; i++) {
                List<?> times = (List<?>) page.evaluate(FRAMES, random.nextDouble() * (height - 600));
                frames.add(((Number) times.get(0)).doubleValue());
                rests.add(((Number) times.get(1)).doubleValue());
            }
            System.out.printf(
                    Locale.ROOT,
                    "list of %d lines dragged %d times: longest frame of each, median %.0f ms, longest %.0f ms; lines there"
                            + " after resting, median %.0f ms, longest %.0f ms%n",
                    Math.round(height / 33),
                    RESTS,
                    middle(frames),
                    longest(frames),
                    middle(rests),
                    longest(rests));
        }
    }

    private static double middle(List<Double> times) {
        return times.stream().sorted().toList().get(times.size() / 2);
    }

    private static double longest(List<Double> times) {
        return times.stream().max(Comparator.naturalOrder()).orElseThrow();
    }
}
