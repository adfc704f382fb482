package famulus.server.desk;

import famulus.core.field.FieldType;
import famulus.core.merge.Origin;
import famulus.server.records.CrmKind;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;

/**
 * A piece of the merged text; {@code source} and {@code label} are empty for what stands so in the template.
 *
 * @param format how it is printed; empty for the type's own way
 * @param fallback which term of the chain printed: 0 for the first
 * @param place where the value is kept; null when it is on no record
 */
public record ShownPiece(
        String text,
        Origin origin,
        String source,
        String label,
        String path,
        String stored,
        String written,
        String format,
        int fallback,
        FieldType type,
        @Schema(nullable = true) ValuePlace place,
        int start,
        int end) {
    /** Where a value is kept. */
    public record ValuePlace(CrmKind kind, UUID id, String field) {}
}
