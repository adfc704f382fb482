package famulus.e2e;

import com.google.gson.JsonArray;
import com.google.gson.JsonElement;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.RequestOptions;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.function.Predicate;
import java.util.stream.StreamSupport;

/**
 * What has to be there before a test begins, asked of the server as its pages ask for it, with the cookies of a page: who is
 * signed in, a template, where somebody's page is. Tests that are about getting there go through the pages.
 */
final class Beforehand {
    private final Page page;
    private final String address;

    /** For a page of the application at an address such as {@code http://localhost:8080}. */
    Beforehand(Page page, String address) {
        this.page = page;
        this.address = address;
    }

    /** Signs in to the demo as whoever's name begins so. */
    void signIn(String name) {
        JsonObject who = new JsonObject();
        JsonArray people = get("/api/session").getAsJsonObject().getAsJsonArray("people");
        who.add("id", one(people, one -> nameOf(one).startsWith(name), name).get("id"));
        post("/api/session/demo", who);
        // A session has a token of its own for what it writes.
        get("/api/session");
    }

    /** Makes a template from one of the designs; its path. */
    String template(String design, String name) {
        JsonArray designs = get("/api/templates/starters").getAsJsonArray();
        JsonObject draft = one(
                        designs, one -> nameOf(one.getAsJsonObject("draft")).equals(design), design)
                .getAsJsonObject("draft");
        draft.addProperty("name", name);
        JsonObject made = post("/api/templates", draft).getAsJsonObject();
        return "/templates/" + made.getAsJsonObject("template").get("id").getAsString();
    }

    /** Where the page of a contact is. */
    String contact(String name) {
        JsonArray lines = get("/api/records/contact?search=" + URLEncoder.encode(name, StandardCharsets.UTF_8))
                .getAsJsonObject()
                .getAsJsonArray("lines");
        // The first cell of a line is the name.
        JsonObject line = one(
                lines, one -> one.getAsJsonArray("cells").get(0).getAsString().equals(name), name);
        return "/people/contacts/" + line.get("id").getAsString();
    }

    private static String nameOf(JsonObject object) {
        return object.get("name").getAsString();
    }

    private static JsonObject one(JsonArray many, Predicate<JsonObject> wanted, String name) {
        return StreamSupport.stream(many.spliterator(), false)
                .map(JsonElement::getAsJsonObject)
                .filter(wanted)
                .findFirst()
                .orElseThrow(() -> new AssertionError("There is no " + name));
    }

    private JsonElement get(String path) {
        return answer(requests().get(address + path));
    }

    private JsonElement post(String path, JsonElement body) {
        RequestOptions options = RequestOptions.create()
                .setHeader("Content-Type", "application/json")
                .setData(body.toString());
        page.context().cookies(address).stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .map(cookie -> cookie.value)
                .forEach(token -> options.setHeader("X-XSRF-TOKEN", token));
        return answer(requests().post(address + path, options));
    }

    private APIRequestContext requests() {
        return page.context().request();
    }

    private static JsonElement answer(APIResponse response) {
        if (!response.ok()) {
            throw new AssertionError(response.url() + ": " + response.status() + " " + response.text());
        }
        return JsonParser.parseString(response.text());
    }
}
