package famulus.server.messages;

import famulus.core.delivery.CountedLinks;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.nio.ByteBuffer;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Gives a message that is about to leave the links to its reader's own pages, counted where company and person let it. */
@Component
class ReaderLinks {
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
        String key = key(secret);
        if (!address.known()) {
            return new LinkedContent(key, content, false, List.of(), Optional.empty());
        }
        boolean asks = (content.text() + content.html()).contains(address.unsubscribe(PublicAddress.PROOF));
        Optional<String> unsubscribe = asks ? Optional.of(address.unsubscribe(key)) : Optional.empty();
        String text = own(content.text(), key);
        String html = own(content.html(), key);
        if (html.isEmpty() || !team.countsReading() || !mayBeCounted(kind, person)) {
            return new LinkedContent(key, content.saying(text, html), false, List.of(), unsubscribe);
        }
        CountedLinks links = CountedLinks.of(
                html,
                address.pages(),
                number -> address.webCopy(key) + "/" + number,
                address.webCopy(key) + "/seen.gif");
        return new LinkedContent(key, content.saying(text, links.html()), true, links.addresses(), unsubscribe);
    }

    private boolean mayBeCounted(CrmKind kind, UUID person) {
        return !records.get(kind, person).text("counting").equals("not_counted");
    }

    /** A text that leaves with a message, with the links of its reader. */
    String own(String text, LinkedContent content) {
        return address.known() ? own(text, content.key()) : text;
    }

    private String own(String text, String key) {
        return text.replace(address.webCopy(PublicAddress.PROOF), address.webCopy(key));
    }

    private static String key(UUID id) {
        byte[] bits = ByteBuffer.allocate(16)
                .putLong(id.getMostSignificantBits())
                .putLong(id.getLeastSignificantBits())
                .array();
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
    }
}
