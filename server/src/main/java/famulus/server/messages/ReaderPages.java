package famulus.server.messages;

import java.util.UUID;

/** Keeps the pages that the reader of a message can come back to; answered by the package that shows them. */
public interface ReaderPages {
    /** Keeps a message's pages, in the transaction that keeps the message, once it is kept. */
    void keep(UUID message, LinkedContent content);
}
