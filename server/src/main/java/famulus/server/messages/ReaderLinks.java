package famulus.server.messages;

import famulus.core.delivery.CountedLinks;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.PublicAddress.Pages;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** Gives a message that is about to leave the links to its reader's own pages, counted where company and person let it. */
@Component
class ReaderLinks {
    /** How a link of the preview begins, wherever it leads: our public address may have been another one then. */
    private static final Pattern OF_PREVIEW = Pattern.compile(
            "https?://[^\\s\"'<>()]*?" + Pattern.quote(PublicAddress.PAGES + PublicAddress.PROOF) + "(?![\\w-])");

    /** The same of the page that anybody may see. */
    private static final Pattern OF_SHARED = Pattern.compile("https?://[^\\s\"'<>()]*?"
            + Pattern.quote(PublicAddress.PAGES + PublicAddress.SHARED_PROOF) + "(?![\\w-])");

    /** The same within another address, as in a link that begins an e-mail (RFC 3986, 2.1). */
    private static final Pattern OF_SHARED_WITHIN =
            Pattern.compile("https?%3A%2F%2F[\\w.~%-]*?%2Fm%2F" + PublicAddress.SHARED_PROOF + "(?![\\w-])");

    private static final String TO_UNSUBSCRIBE = PublicAddress.PAGES + PublicAddress.PROOF + PublicAddress.UNSUBSCRIBE;

    private final PublicAddress address;
    private final Ids ids;
    private final RecordService records;
    private final TeamService team;

    ReaderLinks(PublicAddress address, Ids ids, RecordService records, TeamService team) {
        this.address = address;
        this.ids = ids;
        this.records = records;
        this.team = team;
    }

    /** Puts the links of one reader in place of the preview's. */
    LinkedContent put(MessageContent content, CrmKind kind, UUID person) {
        return put(content, kind, person, ids.next());
    }

    /**
     * The same with a key of one's own; for the demo's data, which are always the same.
     *
     * @param secret what the key is made from
     */
    LinkedContent put(MessageContent content, CrmKind kind, UUID person, UUID secret) {
        String key = Ids.key(secret);
        String begun = content.text() + "\n" + content.html();
        Optional<Pages> reached = address.pages();
        if (reached.isEmpty()) {
            if (OF_PREVIEW.matcher(begun).find() || shares(begun)) {
                throw Refusal.because(
                        "no-public-address",
                        "This message has a link to our pages, and our company has no public address now. Remove the link.");
            }
            return new LinkedContent(key, Optional.empty(), content, false, List.of(), Optional.empty());
        }
        Pages pages = reached.get();
        Optional<String> unsubscribe =
                begun.contains(TO_UNSUBSCRIBE) ? Optional.of(pages.unsubscribe(key)) : Optional.empty();
        Optional<String> shared = shares(begun) ? Optional.of(sharedKey(secret)) : Optional.empty();
        String text = own(content.text(), pages, key, shared);
        String html = own(content.html(), pages, key, shared);
        if (html.isEmpty() || !team.countsReading() || !mayBeCounted(kind, person)) {
            return new LinkedContent(key, shared, content.saying(text, html), false, List.of(), unsubscribe);
        }
        CountedLinks links = CountedLinks.of(
                html, pages.begin(), number -> pages.webCopy(key) + "/" + number, pages.webCopy(key) + "/seen.gif");
        return new LinkedContent(key, shared, content.saying(text, links.html()), true, links.addresses(), unsubscribe);
    }

    private boolean mayBeCounted(CrmKind kind, UUID person) {
        return !records.get(kind, person).text("counting").equals("not_counted");
    }

    /** A text that leaves with a message, with the links of its reader. */
    String own(String text, LinkedContent content) {
        return address.pages()
                .map(pages -> own(text, pages, content.key(), content.shared()))
                .orElse(text);
    }

    private static boolean shares(String text) {
        return OF_SHARED.matcher(text).find() || OF_SHARED_WITHIN.matcher(text).find();
    }

    /** A key of its own, from which nobody finds that of the reader: whoever it is passed on to may not act as them. */
    private static String sharedKey(UUID secret) {
        return Ids.key(UUID.nameUUIDFromBytes(("shared " + secret).getBytes(StandardCharsets.UTF_8)));
    }

    private static String own(String text, Pages pages, String key, Optional<String> shared) {
        String own = OF_PREVIEW.matcher(text).replaceAll(Matcher.quoteReplacement(pages.webCopy(key)));
        if (shared.isEmpty()) {
            return own;
        }
        String page = pages.webCopy(shared.get());
        String plain = OF_SHARED.matcher(own).replaceAll(Matcher.quoteReplacement(page));
        return OF_SHARED_WITHIN
                .matcher(plain)
                .replaceAll(Matcher.quoteReplacement(URLEncoder.encode(page, StandardCharsets.UTF_8)));
    }
}
