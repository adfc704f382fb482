package famulus.e2e.killed;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody who speaks to the application as a browser does, with its cookie and its token. */
final class Visitor {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String EMAIL = "amos@brindlewing.example";
    private static final String PASSWORD = "a long enough one";

    private final String address;
    private CookieManager cookies;
    private HttpClient http;

    Visitor(String address) {
        this.address = address;
        leave();
    }

    /** An answer: its status, and what it says. */
    record Answer(int status, JsonNode body) {
        boolean fine() {
            return status / 100 == 2;
        }
    }

    private void leave() {
        cookies = new CookieManager();
        http = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .cookieHandler(cookies)
                .connectTimeout(Duration.ofSeconds(20))
                .build();
    }

    /** Makes the company, as its first visitor does, who is let in with that. */
    void setUp() throws IOException {
        get("/api/session");
        post(
                "/api/first-run",
                Map.of(
                        "houseName",
                        "Brindlewing",
                        "firstName",
                        "Amos",
                        "lastName",
                        "Quill",
                        "email",
                        EMAIL,
                        "password",
                        PASSWORD,
                        "country",
                        "GB",
                        "timeZone",
                        "Europe/London",
                        "currency",
                        "GBP"));
        get("/api/session");
    }

    /** Signs in anew, as after a start. */
    void signIn() throws IOException {
        leave();
        get("/api/session");
        post("/api/session", Map.of("email", EMAIL, "password", PASSWORD));
        get("/api/session");
    }

    Answer get(String path) throws IOException {
        return ask(HttpRequest.newBuilder().GET(), path);
    }

    Answer post(String path, Object body) throws IOException {
        return ask(
                HttpRequest.newBuilder()
                        .header("Content-Type", "application/json")
                        .POST(BodyPublishers.ofString(JSON.writeValueAsString(body))),
                path);
    }

    Answer put(String path, Object body) throws IOException {
        return ask(
                HttpRequest.newBuilder()
                        .header("Content-Type", "application/json")
                        .PUT(BodyPublishers.ofString(JSON.writeValueAsString(body))),
                path);
    }

    /** Sends a file as it is. */
    Answer upload(String path, String text) throws IOException {
        return ask(
                HttpRequest.newBuilder()
                        .header("Content-Type", "application/octet-stream")
                        .POST(BodyPublishers.ofString(text)),
                path);
    }

    /** An answer that comes a line at a time. */
    BufferedReader lines(String path, Object body) throws IOException {
        HttpRequest.Builder request = HttpRequest.newBuilder()
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(JSON.writeValueAsString(body)));
        token(request);
        try {
            return new BufferedReader(new InputStreamReader(
                    http.send(request.uri(URI.create(address + path)).build(), BodyHandlers.ofInputStream())
                            .body(),
                    StandardCharsets.UTF_8));
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IOException(interrupted);
        }
    }

    private void token(HttpRequest.Builder request) {
        for (HttpCookie cookie : cookies.getCookieStore().getCookies()) {
            if (cookie.getName().equals("XSRF-TOKEN")) {
                request.header("X-XSRF-TOKEN", cookie.getValue());
            }
        }
    }

    private Answer ask(HttpRequest.Builder request, String path) throws IOException {
        token(request);
        try {
            HttpResponse<String> answer = http.send(
                    request.uri(URI.create(address + path))
                            .timeout(Duration.ofMinutes(1))
                            .build(),
                    BodyHandlers.ofString());
            String body = answer.body();
            return new Answer(answer.statusCode(), body.isEmpty() ? JSON.createObjectNode() : JSON.readTree(body));
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IOException(interrupted);
        }
    }
}
