package famulus.server.messages;

import famulus.server.messages.MimeWriter.Mailbox;
import java.util.UUID;

/**
 * Somebody who gets a message.
 *
 * @param how in which line they stand
 * @param contact who of our contacts it is; null for an address that was typed, and for the person it is written to
 */
public record Recipient(How how, Mailbox mailbox, UUID contact) {
    /** The lines of an envelope (RFC 5322, 3.6.3). */
    public enum How {
        TO,
        CC,
        /** Seen by nobody else. */
        BCC
    }
}
