package famulus.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes messages to people of a running demo in a browser, and measures inside the page: how long it takes from Enter in the
 * chooser until the message is on screen, and from a key press until its character is, and until what the server says of it.
 * Argument: the demo's address.
 */
public final class MessageBench {
    /** A rep's first words; the last word is looked for on the screen as it grows. */
    private static final String WARM_UP = "Just so that every part has been used once. ";

    private static final String MEASURED = "We bring them before sunrise, and would be glad of a hand with the straps.";
    /** As many as begin a message; one more is typed to. */
    private static final int PEOPLE = 35;
    /** To so many of them in a page that has just been loaded. */
    private static final int LOADED = 10;
    /** The first ones of each kind warm up what begins them. */
    private static final int WARMING = 5;
    /** Milliseconds between key presses. */
    private static final int PAUSE = 100;
    /** Milliseconds that a rep looks at somebody’s page before they write. */
    private static final int GLANCE = 400;

    /** Notes when Enter goes down, and when the second frame after the message's arrival begins. */
    private static final String WATCH_BEGIN =
            """
            () => {
              let pressed = 0;
              addEventListener('keydown', (event) => (pressed = event.timeStamp), { capture: true, once: true });
              window.begun = new Promise((done) => {
                const look = new MutationObserver(() => {
                  if (!document.querySelector('section.write .sheet .text')?.textContent) return;
                  look.disconnect();
                  requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - pressed)));
                });
                look.observe(document.body, { childList: true, subtree: true });
              });
            }""";

    /**
     * Notes when each key went down, when the message first shows the words as far as that key, and when the answer to words
     * that had them has been drawn: the second frame after it came.
     */
    private static final String WATCH_KEYS =
            """
            ([mark, words]) => {
              const pressed = [], shown = [], answered = [];
              const sheet = document.querySelector('section.write .sheet');
              document.addEventListener('keydown', (event) => {
                if (event.key.length === 1) pressed.push(event.timeStamp);
              }, true);
              new MutationObserver(() => {
                const text = sheet.textContent;
                const from = text.lastIndexOf(mark) + mark.length;
                while (shown.length < words.length && text.startsWith(words.slice(0, shown.length + 1), from))
                  shown.push(performance.now());
              }).observe(sheet, { subtree: true, childList: true, characterData: true });
              const ask = window.fetch;
              window.fetch = async (...request) => {
                const asked = pressed.length;
                const answer = await ask(...request);
                if (!(request[0].url ?? String(request[0])).includes('/api/messages/proof')) return answer;
                requestAnimationFrame(() => requestAnimationFrame(() => {
                  while (answered.length < asked) answered.push(performance.now());
                }));
                return answer;
              };
              window.messageBench = { pressed, shown, answered };
            }""";

    private MessageBench() {}

    /** Runs the measurement; writes a line for each figure. */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        List<String> people = people(arguments[0]);
        try (Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = TypingBench.browser(playwright)) {
            Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
            page.navigate(arguments[0] + "/");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Signe")))
                    .click();
            // Only then is she signed in.
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("People"))
                    .waitFor();
            page.evaluate(TypingBench.ADD_DESIGNED, TypingBench.designed());
            String spare = people.removeLast();
            List<Double> loaded = new ArrayList<>();
            for (String person : people.subList(0, LOADED)) {
                page.navigate(arguments[0] + "/people/contact/" + person);
                loaded.add(begin(page, "Welcome"));
            }
            say("Enter in the chooser to the message, in a page just loaded, times", measured(loaded));
            List<Double> begun = new ArrayList<>();
            for (String person : people.subList(LOADED, people.size())) {
                goOnTo(page, person);
                begun.add(begin(page, "Welcome"));
            }
            say("Enter in the chooser to the message, going from one to the next, times", measured(begun));
            page.navigate(arguments[0] + "/people/contact/" + spare);
            begin(page, "Forty blocks");
            type(page);
            say("key press to the character in the message of 40 blocks, keys", waits(page, "shown"));
            say("key press to the second frame after the answer to it, keys", waits(page, "answered"));
        }
    }

    /** Contacts with an address of their own, from anywhere in the list. */
    private static List<String> people(String address) throws IOException, InterruptedException {
        DemoClient demo = new DemoClient(address);
        demo.signIn("Signe");
        Matcher id = Pattern.compile("\\{\"id\":\"([^\"]+)\"")
                .matcher(demo.send("GET", "/api/records/contact?most=" + (PEOPLE + 1) + "&from=20", ""));
        List<String> found = new ArrayList<>();
        while (id.find()) {
            found.add(id.group(1));
        }
        return found;
    }

    private static List<Double> measured(List<Double> all) {
        return sorted(all.subList(WARMING, all.size()));
    }

    /** Opens the next person as the browser’s own way back and forth would: nothing is loaded anew. */
    private static void goOnTo(Page page, String person) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Discard"))
                .click();
        String path = "/people/contact/" + person;
        page.waitForResponse(
                answer -> answer.url().endsWith("/api/records/contact/" + person),
                () -> page.evaluate(
                        "path => { history.pushState({}, '', path); dispatchEvent(new PopStateEvent('popstate')); }",
                        path));
        page.waitForTimeout(GLANCE);
    }

    private static double begin(Page page, String template) {
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("History"))
                .waitFor();
        page.keyboard().press("w");
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Choose a template"))
                .waitFor();
        page.keyboard().type(template, new Keyboard.TypeOptions().setDelay(PAUSE));
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile(template)))
                .first()
                .waitFor();
        page.evaluate(WATCH_BEGIN);
        // Nobody presses Enter in the moment in which the last letter has been found.
        page.waitForTimeout(PAUSE);
        page.keyboard().press("Enter");
        return ((Number) page.evaluate("() => window.begun")).doubleValue();
    }

    private static void type(Page page) {
        Locator text = page.getByRole(
                AriaRole.TEXTBOX,
                new Page.GetByRoleOptions().setName("Block 3, text").setExact(true));
        text.focus();
        page.keyboard().press("Control+End");
        page.keyboard().type(WARM_UP, new Keyboard.TypeOptions().setDelay(PAUSE));
        page.evaluate(WATCH_KEYS, List.of(WARM_UP, MEASURED));
        page.keyboard().type(MEASURED, new Keyboard.TypeOptions().setDelay(PAUSE));
        page.waitForFunction("() => window.messageBench.answered.length >= window.messageBench.pressed.length");
    }

    private static List<Double> waits(Page page, String which) {
        @SuppressWarnings("unchecked")
        List<Number> waits = (List<Number>) page.evaluate(
                "(which) => window.messageBench.pressed.map((time, i) => window.messageBench[which][i] - time)", which);
        return sorted(waits.stream().map(Number::doubleValue).toList());
    }

    private static List<Double> sorted(List<Double> all) {
        return all.stream().sorted().toList();
    }

    private static void say(String what, List<Double> waits) {
        System.out.printf(
                Locale.ROOT,
                "%s %d: median %.0f ms, 95th percentile %.0f ms, longest %.0f ms%n",
                what,
                waits.size(),
                TypingBench.percentile(waits, 50),
                TypingBench.percentile(waits, 95),
                TypingBench.percentile(waits, 100));
    }
}
