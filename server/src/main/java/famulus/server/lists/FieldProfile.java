package famulus.server.lists;

import famulus.core.field.FieldType;
import famulus.server.records.CrmKind;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * What a field really holds, for all the people a template could go to.
 *
 * @param counted whether it can be counted; a salutation, for one, is made for each person anew
 * @param of how many people there are
 * @param sampled how many were asked where some stand for all; 0 where everybody was
 * @param error how much more or less {@code filled} may be, in 19 of 20 cases; 0 for an exact count
 * @param commonest the values most people have, the commonest first
 * @param longest the longest text, or the largest figure or latest day
 * @param odd values unlike the rest, with why
 * @param missing some of those who have none, who would see the fallback
 * @param choices what can be chosen when one fills it in
 */
public record FieldProfile(
        String path,
        String label,
        FieldType type,
        boolean counted,
        int filled,
        int of,
        int sampled,
        int error,
        List<CommonValue> commonest,
        @Schema(nullable = true) OddValue longest,
        List<OddValue> odd,
        List<Lacking> missing,
        List<FilledChoice> choices) {

    /** A value, and how many have it. */
    public record CommonValue(String value, int people) {}

    /** Somebody's value, and what is odd about it. */
    public record OddValue(String why, String value, CrmKind kind, UUID id, String name) {}

    /**
     * Somebody without a value.
     *
     * @param remark their company
     * @param place the record it could be filled in on; null when nobody types it
     */
    public record Lacking(
            CrmKind kind, UUID id, String name, String remark, @Schema(nullable = true) FillPlace place) {}

    /** Where a missing value can be filled in. */
    public record FillPlace(CrmKind kind, UUID id, String field) {}

    /** A choice, by its code and its label. */
    public record FilledChoice(String code, String label) {}
}
