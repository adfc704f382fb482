package famulus.server.interchange;

import famulus.server.records.CrmKind;
import java.util.Map;
import java.util.UUID;

/** What is done with the records of a file: a check does nothing, an import writes them. */
interface ImportWriter {
    /** An identifier for a record that is about to be added. */
    UUID next(CrmKind kind);

    /** Makes organisations, by identifier with their names. */
    void organisations(Map<UUID, String> made);

    /** Adds records, with the identifiers they are given. */
    void add(Map<UUID, ImportItem> items);

    /**
     * Changes the records that some are.
     *
     * @return how many are other than before
     */
    int change(Map<ImportItem, UUID> items);
}
