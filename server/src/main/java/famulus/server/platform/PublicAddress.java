package famulus.server.platform;

import java.net.URI;
import java.util.Locale;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** Where those who were written to reach us: the beginning of the links that messages carry to our own pages. */
@Component
public class PublicAddress {
    /** Stands for the reader's own key as long as a message is only looked at. */
    public static final String PROOF = "proof";

    /** The path under which our pages for readers are. */
    public static final String PAGES = "/m/";

    private final FamulusProperties properties;
    private final Environment environment;

    PublicAddress(FamulusProperties properties, Environment environment) {
        this.properties = properties;
        this.environment = environment;
        String given = properties.publicAddress();
        if (!given.isEmpty() && !isAddress(given)) {
            throw new IllegalStateException(
                    "famulus.public-address says “" + given + "”. It is to be like https://post.example.com");
        }
    }

    private static boolean isAddress(String given) {
        try {
            URI uri = URI.create(given);
            String scheme = String.valueOf(uri.getScheme()).toLowerCase(Locale.ROOT);
            return (scheme.equals("https") || scheme.equals("http"))
                    && uri.getHost() != null
                    && uri.getQuery() == null
                    && uri.getFragment() == null;
        } catch (IllegalArgumentException none) {
            return false;
        }
    }

    /** Whether there is one; without it messages carry no links to us, and nothing is counted. */
    public boolean known() {
        return properties.demo() || !properties.publicAddress().isEmpty();
    }

    /** What all links to our pages for readers begin with. */
    public String pages() {
        return base() + PAGES;
    }

    /** The page that shows a message. */
    public String webCopy(String key) {
        return pages() + key;
    }

    /** The page on which a reader says that they want no rounds. */
    public String unsubscribe(String key) {
        return pages() + key + "/unsubscribe";
    }

    private String base() {
        String given = properties.publicAddress();
        if (!given.isEmpty()) {
            return given.endsWith("/") ? given.substring(0, given.length() - 1) : given;
        }
        String port = environment.getProperty("local.server.port", environment.getProperty("server.port", "8080"));
        return "http://localhost:" + port;
    }
}
