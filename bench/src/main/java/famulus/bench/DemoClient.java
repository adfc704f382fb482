package famulus.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Speaks with a running demo as its browser does, signed in as one of the made-up team. */
final class DemoClient {
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String address;

    /** Speaks with the demo at an address such as {@code http://localhost:8080}. */
    DemoClient(String address) {
        this.address = address;
    }

    /** Signs in as whoever has this first name. */
    void signIn(String name) throws IOException, InterruptedException {
        String session = send("GET", "/api/session", "");
        Matcher person =
                Pattern.compile("\"id\":\"([^\"]+)\",\"name\":\"" + name).matcher(session);
        if (!person.find()) {
            throw new IllegalStateException("No demo at " + address);
        }
        send("POST", "/api/session/demo", "{\"id\": \"" + person.group(1) + "\"}");
        send("GET", "/api/session", "");
    }

    /** Asks, and returns the answer; whatever is refused ends the measurement. */
    String send(String method, String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request(method, path, body), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 400) {
            throw new IllegalStateException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    /**
     * Asks for an answer of several lines, and hangs up once one of them has a word.
     *
     * @return milliseconds until then
     */
    double untilLine(String method, String path, String body, String word) throws IOException, InterruptedException {
        long began = System.nanoTime();
        HttpResponse<InputStream> answer =
                http.send(request(method, path, body), HttpResponse.BodyHandlers.ofInputStream());
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.contains(word)) {
                    return (System.nanoTime() - began) / 1e6;
                }
            }
        }
        throw new IllegalStateException("No line of " + path + " has " + word);
    }

    /** Sends a file as it is, and returns the answer. */
    String upload(String path, String text) throws IOException, InterruptedException {
        return http.send(request("POST", path, text, "application/octet-stream"), HttpResponse.BodyHandlers.ofString())
                .body();
    }

    private HttpRequest request(String method, String path, String body) {
        return request(method, path, body, "application/json");
    }

    private HttpRequest request(String method, String path, String body, String type) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", type)
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request.build();
    }
}
