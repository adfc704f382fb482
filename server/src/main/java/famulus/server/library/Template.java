package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.MessageSource;
import java.time.Instant;
import java.util.UUID;

/**
 * A text kept for reuse.
 *
 * @param purpose what it is for, such as "After a call"; may be empty
 * @param about which kind of record its fields come from
 * @param version counts kept changes
 */
public record Template(
        UUID id,
        String name,
        String purpose,
        About about,
        String subject,
        String previewText,
        String body,
        int version,
        UUID ownerId,
        String ownerName,
        Instant changedAt,
        String changedBy) {

    /** The three texts, as the core reads them. */
    public MessageSource source() {
        return new MessageSource(subject, previewText, body);
    }
}
