package famulus.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import famulus.server.Famulus;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.TestInstancePostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * What takes seconds to start, and so is started once for all classes: the browser, and the application with the demo's
 * data. Both are closed after the last test.
 */
final class StartedOnce implements TestInstancePostProcessor {
    private static final String TAKE_BACK = "--famulus.take-back-seconds=";
    /** How long a test looks for what it expects, in milliseconds; the pace of a laden machine is no fault of a page. */
    static final double PATIENCE = 60_000;

    /** The one without a screen takes half as much of the processors; where it is not installed the whole one shows the same. */
    private static final Path CHROMIUM = Stream.of("chromium-headless-shell", "chromium")
            .map(Path.of("/usr/bin")::resolve)
            .filter(Files::isExecutable)
            .findFirst()
            .orElseThrow(() -> new IllegalStateException("Debian’s chromium is not installed"));

    @Override
    public void postProcessTestInstance(Object test, ExtensionContext context) {
        Started started = context.getRoot()
                .getStore(Namespace.create(StartedOnce.class))
                .computeIfAbsent(Started.class, any -> new Started(), Started.class);
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        ((BrowserTest) test).use(started);
    }

    /** The browser, and the application once somebody has asked for it. */
    static final class Started implements AutoCloseable {
        private final Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        private final Browser browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(CHROMIUM)
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-dev-shm-usage",
                                "--disable-gpu",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                // Each message that is shown would have a process of its own.
                                "--disable-features=IsolateSandboxedIframes",
                                "--no-first-run")));
        private final List<Window> windows = new ArrayList<>();
        private ConfigurableApplicationContext shared;

        /** A window of this size that nobody uses: one that was left, or a new one. */
        Window window(int width, int height, ColorScheme scheme) {
            Window window = windows.stream()
                    .filter(one -> one.free(width, height, scheme))
                    .findFirst()
                    .orElseGet(() -> opened(width, height, scheme));
            window.take();
            return window;
        }

        private Window opened(int width, int height, ColorScheme scheme) {
            Window window = new Window(browser, width, height, scheme);
            windows.add(window);
            return window;
        }

        /** The application with the demo's data that classes share. */
        ConfigurableApplicationContext shared() {
            if (shared == null) {
                shared = application(true, List.of());
            }
            return shared;
        }

        /** An application of one's own; whoever asks for it closes it. */
        ConfigurableApplicationContext application(boolean demo, List<String> settings) {
            List<String> arguments = new ArrayList<>(
                    demo
                            ? DemoMadeOnce.arguments(DemoMadeOnce.copy())
                            : List.of("--server.port=0", "--famulus.data=memory", "--famulus.demo=false"));
            arguments.addAll(settings);
            if (settings.stream().noneMatch(one -> one.startsWith(TAKE_BACK))) {
                // What is sent leaves at once, unless a class is about taking it back.
                arguments.add(TAKE_BACK + 0);
            }
            return SpringApplication.run(Famulus.class, arguments.toArray(String[]::new));
        }

        @Override
        public void close() {
            browser.close();
            playwright.close();
            if (shared != null) {
                shared.close();
            }
        }
    }
}
