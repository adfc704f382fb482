package famulus.server.materials;

import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Fetches feeds from addresses that an administrator has entered. Never from a private network, so that nothing behind the
 * house's walls can be read through it; the demo's own feeds, on this very server, are the exception. Redirects
 * are not followed.
 */
@Component
class FeedFetcher {
    private static final int LARGEST = 2_000_000;
    private static final String PRACTICE = "/demo-feeds/";

    private final FamulusProperties properties;
    private final Environment environment;

    FeedFetcher(FamulusProperties properties, Environment environment) {
        this.properties = properties;
        this.environment = environment;
    }

    /** What is at an address; refused when it may not be asked, does not answer, or answers too much. */
    String fetch(String address) {
        URI uri = uri(address);
        HttpRequest request = HttpRequest.newBuilder(uri)
                .timeout(Duration.ofSeconds(10))
                .header("Accept", "application/rss+xml, application/atom+xml, application/xml")
                .build();
        try (HttpClient client = HttpClient.newBuilder()
                .connectTimeout(Duration.ofSeconds(5))
                .followRedirects(HttpClient.Redirect.NEVER)
                .build()) {
            HttpResponse<InputStream> response = client.send(request, HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream body = response.body()) {
                if (response.statusCode() != 200) {
                    throw wrong("There is no feed at this address: it answers " + response.statusCode() + ".");
                }
                byte[] bytes = body.readNBytes(LARGEST + 1);
                if (bytes.length > LARGEST) {
                    throw wrong("The feed at this address is larger than 2 MB.");
                }
                return new String(bytes, StandardCharsets.UTF_8);
            }
        } catch (IOException silent) {
            throw wrong("This address does not answer.");
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw wrong("The feed at this address broke off before its end.");
        }
    }

    private static Refusal notAnAddress() {
        return wrong("Write an address such as https://news.example/feed.xml.");
    }

    private URI uri(String address) {
        URI uri;
        try {
            uri = URI.create(address.strip());
        } catch (IllegalArgumentException unreadable) {
            throw notAnAddress();
        }
        boolean web = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
        if (!web || uri.getHost() == null || uri.getUserInfo() != null) {
            throw notAnAddress();
        }
        if (!practice(uri)) {
            publicOnly(uri.getHost());
        }
        return uri;
    }

    private boolean practice(URI uri) {
        String port = environment.getProperty("local.server.port", "");
        return properties.demo()
                && uri.getHost().equals("localhost")
                && String.valueOf(uri.getPort()).equals(port)
                && uri.normalize().getPath().startsWith(PRACTICE);
    }

    private static void publicOnly(String host) {
        try {
            for (InetAddress one : InetAddress.getAllByName(host)) {
                boolean unique = one.getAddress().length == 16 && (one.getAddress()[0] & 0xfe) == 0xfc;
                if (one.isLoopbackAddress()
                        || one.isSiteLocalAddress()
                        || one.isLinkLocalAddress()
                        || one.isAnyLocalAddress()
                        || one.isMulticastAddress()
                        || unique) {
                    throw wrong("Feeds are not read from private networks.");
                }
            }
        } catch (UnknownHostException unknown) {
            throw wrong("There is no server called “" + host + "”.");
        }
    }

    private static Refusal wrong(String sentence) {
        return Refusal.field("address", sentence);
    }
}
