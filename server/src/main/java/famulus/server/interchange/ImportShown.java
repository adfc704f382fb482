package famulus.server.interchange;

import famulus.core.field.FieldType;
import famulus.core.table.TableStyle.DateOrder;
import famulus.server.records.CrmKind;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * A file that is imported, as it was understood.
 *
 * @param cards whether it is a vCard file; then nothing of {@code settings} but the encoding counts
 * @param rows how many rows of records it has
 * @param leftOut what cards have that no record has a place for
 * @param wrong why its columns can't go where they are to go; null for nothing
 * @param done what became of it; null until it is imported
 */
record ImportShown(
        UUID id,
        CrmKind kind,
        String name,
        boolean cards,
        int rows,
        ImportSettings settings,
        List<ShownColumn> columns,
        List<ShownTarget> targets,
        List<String> encodings,
        List<String> leftOut,
        @Schema(nullable = true) String wrong,
        @Schema(nullable = true) Done done) {
    /**
     * How a file is read.
     *
     * @param delimiter one sign
     * @param headings which row has the headings, from 1; 0 for none
     * @param decimal a point or a comma
     * @param targets where each column goes, by its word; empty for those that are left out
     */
    record ImportSettings(
            String encoding, String delimiter, int headings, DateOrder dates, String decimal, List<String> targets) {}

    /**
     * A column.
     *
     * @param heading what stands over it; else which one it is
     * @param samples some of its cells
     * @param type what a new field for it would hold
     * @param choices what could be chosen in the new field; empty where it is no choice
     */
    record ShownColumn(String heading, List<String> samples, FieldType type, List<String> choices) {}

    /** Where a column can go. */
    record ShownTarget(String word, String label) {}

    /** What became of its rows. */
    record Done(int added, int updated, int skipped, int faulty) {}
}
