package famulus.e2e;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;

/**
 * A browser with cookies and storage of its own. The next test gets it as if new, but for the scripts and styles that it
 * has read already: without them a page takes half as long again to open.
 */
final class Window {
    private final int width;
    private final int height;
    private final ColorScheme scheme;
    private final BrowserContext context;
    private boolean taken;

    Window(Browser browser, int width, int height, ColorScheme scheme) {
        this.width = width;
        this.height = height;
        this.scheme = scheme;
        this.context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setColorScheme(scheme)
                .setTimezoneId("Europe/London"));
        context.setDefaultTimeout(StartedOnce.PATIENCE);
    }

    boolean free(int wide, int high, ColorScheme wished) {
        return !taken && width == wide && height == high && scheme == wished;
    }

    void take() {
        taken = true;
    }

    Page page() {
        return context.newPage();
    }

    /** Forgets whoever used it: pages, cookies, and what the application at the address has kept in it. */
    void leave(String address) {
        context.setOffline(false);
        List<Page> pages = context.pages();
        if (!pages.isEmpty()) {
            CDPSession session = context.newCDPSession(pages.getFirst());
            JsonObject what = new JsonObject();
            what.addProperty("origin", address);
            what.addProperty("storageTypes", "local_storage,indexeddb,websql,service_workers");
            session.send("Storage.clearDataForOrigin", what);
            session.detach();
        }
        // Session storage goes with its page.
        pages.forEach(Page::close);
        context.clearCookies();
        taken = false;
    }
}
