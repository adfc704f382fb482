package famulus.server.messages;

import java.util.UUID;

/** Keeps the pages that the reader of a message can come back to; answered by the package that shows them. */
public interface ReaderPages {
    /** Keeps a message's pages, in the transaction that keeps the message, once it is kept. */
    void keep(UUID message, LinkedContent content);

    /**
     * Keeps the page of a message that anybody may see, likewise.
     *
     * @param key opens it
     * @param by who sends the message
     */
    void share(UUID message, String key, PageForAnybody.Page page, UUID by);
}
