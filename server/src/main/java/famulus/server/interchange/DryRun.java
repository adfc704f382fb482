package famulus.server.interchange;

import famulus.server.platform.Ids;
import famulus.server.records.CrmKind;
import java.util.Map;
import java.util.UUID;

/** Writes nothing; for a check. */
record DryRun(Ids ids) implements ImportWriter {
    @Override
    public UUID next(CrmKind kind) {
        return ids.next();
    }

    @Override
    public void organisations(Map<UUID, String> made) {
        // Nothing is made.
    }

    @Override
    public void add(Map<UUID, ImportItem> items) {
        // Nothing is added.
    }

    @Override
    public int change(Map<ImportItem, UUID> items) {
        return items.size();
    }
}
