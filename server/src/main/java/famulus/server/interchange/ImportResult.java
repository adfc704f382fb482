package famulus.server.interchange;

import famulus.core.table.Identity.Sameness;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * What a pass over a file came to.
 *
 * @param rows how many rows it has
 * @param fresh how many records are new
 * @param known how many are here already, or stand in the file before
 * @param faulty how many rows can't be taken
 * @param organisations how many organisations are made because rows name them
 * @param added how many records were, or would be, added
 * @param updated how many were changed
 * @param skipped how many were passed over, or had nothing new
 * @param faults the first rows that can't be taken, and why
 * @param duplicates the first records that are here already
 */
record ImportResult(
        int rows,
        int fresh,
        int known,
        int faulty,
        int organisations,
        int added,
        int updated,
        int skipped,
        List<RowFault> faults,
        List<Duplicate> duplicates) {
    /**
     * Why a row can't be taken.
     *
     * @param line where it begins in the file; of cards, which one it is
     * @param column which cell is to blame, from 1; 0 for the row as a whole
     */
    record RowFault(long line, int column, String heading, String cell, String sentence) {}

    /**
     * A record that is here already.
     *
     * @param line where it begins in the file
     * @param name what it is called in the file
     * @param knownName what the one that is here is called
     * @param known which one it is; empty when it is one of the same file
     * @param earlier the line of the file it stands in before; 0 when it is a record
     */
    record Duplicate(
            long line,
            String name,
            Sameness sameness,
            String knownName,
            @Schema(nullable = true) UUID known,
            long earlier) {}
}
