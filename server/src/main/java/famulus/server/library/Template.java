package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A text kept for reuse.
 *
 * @param kind what it is for; a passage or signature has neither subject nor preview text
 * @param purpose what it is for, such as "After a call"; may be empty
 * @param about which kind of record its fields come from
 * @param mode what it is written as
 * @param body its words; of a letter or designed one those of its design
 * @param design versioned JSON, see docs/body.schema.json; empty for a plain one
 * @param houseStyle null for the default
 * @param header which header of the house style; empty for its first one, as with the footer
 * @param files what is attached to its messages
 * @param wishes what it wishes for the envelope of its messages
 * @param plainText its plain text, where that is kept by hand; null where it is derived
 * @param version counts kept changes
 * @param folder where it lies; null for a header or footer, which belongs to its style
 * @param readyVersion which of them others use; null while it has never been marked ready
 */
public record Template(
        UUID id,
        TemplateKind kind,
        String name,
        String purpose,
        About about,
        String subject,
        String previewText,
        String body,
        Mode mode,
        String design,
        @Schema(nullable = true) UUID houseStyle,
        String header,
        String footer,
        List<UUID> files,
        TemplateWishes wishes,
        @Schema(nullable = true) KeptPlainText plainText,
        int version,
        @Schema(nullable = true) Integer readyVersion,
        @Schema(nullable = true) UUID folder,
        UUID ownerId,
        String ownerName,
        Instant changedAt,
        String changedBy) {}
