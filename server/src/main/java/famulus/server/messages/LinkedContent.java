package famulus.server.messages;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What a message says, with the links of its own reader in it.
 *
 * @param key opens the reader's pages to whoever has it; as long as an identifier, and as hard to guess
 * @param shared opens a page that anybody may see; empty where the message has no link to one
 * @param links where the counted ones lead; empty when nothing is counted
 * @param unsubscribe the link with which the reader leaves mailings; empty when the message has none
 * @param several whether it is one of a message to several people
 * @param topic what that is about; null for none of our topics
 */
public record LinkedContent(
        String key,
        Optional<String> shared,
        MessageContent content,
        boolean counted,
        List<String> links,
        Optional<String> unsubscribe,
        boolean several,
        UUID topic) {
    /** What is one of nothing else. */
    LinkedContent(
            String key,
            Optional<String> shared,
            MessageContent content,
            boolean counted,
            List<String> links,
            Optional<String> unsubscribe) {
        this(key, shared, content, counted, links, unsubscribe, false, null);
    }

    /** The same, as one of a message to several people. */
    LinkedContent toSeveral(UUID about) {
        return new LinkedContent(key, shared, content, counted, links, unsubscribe, true, about);
    }
}
