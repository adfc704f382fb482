package famulus.server.platform;

import java.net.URI;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Where those who were written to reach us: the beginning of the links that messages carry to our own pages. What the server
 * was started with comes first, then what is typed in Company settings; the demo falls back on this machine.
 */
@Component
public class PublicAddress {
    /** Stands for the reader's own key as long as a message is only looked at. */
    public static final String PROOF = "proof";

    /** Stands likewise for the key of the page that anybody may see. */
    public static final String SHARED_PROOF = "shared-proof";

    /** The path under which our pages for readers are. */
    public static final String PAGES = "/m/";

    /** What the link to the page for unsubscribing ends with. */
    public static final String UNSUBSCRIBE = "/unsubscribe";

    private final FamulusProperties properties;
    private final Environment environment;
    private final ObjectProvider<KeptPublicAddress> typed;

    PublicAddress(FamulusProperties properties, Environment environment, ObjectProvider<KeptPublicAddress> typed) {
        this.properties = properties;
        this.environment = environment;
        this.typed = typed;
        String given = properties.publicAddress();
        if (!given.isEmpty() && !isAddress(given)) {
            throw new IllegalStateException(
                    "famulus.public-address says “" + given + "”. It has to look like https://post.example.com");
        }
    }

    /** Why an address can't be one, in a sentence; nothing for one that can, e.g. {@code https://post.example.com}. */
    public static Optional<String> refusal(String typed) {
        return isAddress(typed)
                ? Optional.empty()
                : Optional.of("Write an address such as https://post.example.com, without anything behind a ? or #.");
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

    /** Whether the server was started with one, so that none can be typed. */
    public boolean fixed() {
        return !properties.publicAddress().isEmpty();
    }

    /**
     * Our pages for readers, as they are linked from messages.
     *
     * @param begin what all links to them begin with, such as {@code https://post.example.com/m/}
     */
    public record Pages(String begin) {
        /** The page that shows a message. */
        public String webCopy(String key) {
            return begin + key;
        }

        /** The page on which a reader says that they want no mailings. */
        public String unsubscribe(String key) {
            return webCopy(key) + UNSUBSCRIBE;
        }
    }

    /**
     * What a message says of its own pages, by field.
     *
     * @param key opens the pages of its reader
     * @param shared opens the page that anybody may see
     */
    public static Map<String, String> facts(Pages pages, String key, String shared) {
        return Map.of(
                "unsubscribe_link", pages.unsubscribe(key),
                "web_copy_link", pages.webCopy(key),
                "share_link", pages.webCopy(shared));
    }

    /** Our pages for readers; empty where nobody can reach them, and messages carry no links to us and nothing is counted. */
    public Optional<Pages> pages() {
        return given().map(given -> given.endsWith("/") ? given.substring(0, given.length() - 1) : given)
                .or(this::thisMachine)
                .map(base -> new Pages(base + PAGES));
    }

    /** The address set for the server, or else the one that was typed. */
    public Optional<String> given() {
        return fixed()
                ? Optional.of(properties.publicAddress())
                : Optional.ofNullable(typed.getIfAvailable()).flatMap(KeptPublicAddress::kept);
    }

    private Optional<String> thisMachine() {
        String port = environment.getProperty("local.server.port", environment.getProperty("server.port", "8080"));
        return properties.demo() ? Optional.of("http://localhost:" + port) : Optional.empty();
    }
}
