package famulus.server.outbox;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** Is told what becomes of messages that belong to a mailing; answered by the package that keeps mailings. */
public interface MessageGroups {
    /**
     * A message stands otherwise now; called in the transaction that says so. Nothing happens for one that stands alone.
     *
     * @param words the mail server's own, or why it is held; may be empty
     */
    void became(UUID message, MessageState state, String words);

    /** The mail server took nothing when a message of a mailing was handed to it; called in the same transaction. */
    void away(UUID message, String words);

    /** When a message is looked at again whose mailing rests or was paused; empty where it may leave now. */
    Optional<Instant> rests(UUID message);

    /** Why a message that has not left is not to be tried again, as its mailing was stopped; asked in the same transaction. */
    Optional<String> over(UUID message);
}
