package famulus.server.interchange;

import famulus.server.records.CrmKind;
import famulus.server.records.DealService;
import famulus.server.records.DealService.DealLine;
import famulus.server.records.RecordIntake.ChangedRecord;
import famulus.server.records.RecordIntake.Intake;
import famulus.server.records.RecordIntake.NewRecord;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Writes what a pass decides, in the transaction it runs in. */
final class RecordWriter implements ImportWriter {
    private final CrmKind kind;
    private final Intake intake;
    private final DealService deals;
    private final UUID owner;
    private final String role;

    /**
     * Begins.
     *
     * @param owner who looks after records of which nobody else is said to
     * @param role what a contact is on a deal
     */
    RecordWriter(CrmKind kind, Intake intake, DealService deals, UUID owner, String role) {
        this.kind = kind;
        this.intake = intake;
        this.deals = deals;
        this.owner = owner;
        this.role = role;
    }

    @Override
    public UUID next(CrmKind of) {
        return intake.next(of);
    }

    @Override
    public void organisations(Map<UUID, String> made) {
        List<NewRecord> come = new ArrayList<>();
        made.forEach((id, name) ->
                come.add(new NewRecord(id, Map.of("name", name, "owner", owner.toString()), "", List.of())));
        intake.add(CrmKind.ORGANISATION, come);
    }

    @Override
    public void add(Map<UUID, ImportItem> items) {
        List<NewRecord> come = new ArrayList<>();
        items.forEach((id, item) -> {
            Map<String, String> stored = stored(item);
            stored.putIfAbsent("owner", owner.toString());
            come.add(new NewRecord(
                    id, stored, item.organisationName(), item.head().addresses()));
        });
        intake.add(kind, come);
        items.forEach((id, item) -> around(id, item));
    }

    private static Map<String, String> stored(ImportItem item) {
        Map<String, String> stored = new LinkedHashMap<>(item.head().stored());
        if (item.organisation() != null) {
            stored.put("organisation", item.organisation().toString());
        }
        if (item.owner() != null) {
            stored.put("owner", item.owner().toString());
        }
        return stored;
    }

    @Override
    public int change(Map<ImportItem, UUID> items) {
        List<ChangedRecord> changes = new ArrayList<>();
        items.forEach((item, id) ->
                changes.add(new ChangedRecord(id, stored(item), item.head().addresses())));
        int changed = intake.change(kind, changes);
        items.forEach((item, id) -> around(id, item));
        return changed;
    }

    /** A deal's lines take the place of those it had; its contact becomes the main one. */
    private void around(UUID id, ImportItem item) {
        if (kind != CrmKind.DEAL) {
            return;
        }
        List<DealLine> lines = item.lines();
        if (!lines.isEmpty()) {
            deals.lines(id, lines);
        }
        if (item.contact() != null) {
            deals.contact(id, item.contact(), role, true);
        }
    }

    /** Ends the work. */
    void end() {
        intake.end();
    }
}
