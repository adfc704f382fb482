package famulus.server.records;

import famulus.server.platform.Ids;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.RecordStore.NewRow;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Takes in many records at once, in the transaction of whoever calls. What comes here has been checked: fields are in the form
 * they are stored in.
 *
 * <p>Indexes are what costs: what is written in the order of an index is written once, what comes in any order is written again
 * and again. So identifiers come in their order, and records wait until there are many to be sorted.
 */
@Service
public class RecordIntake {
    private static final int MOST_ADDRESSES = 10;
    private static final int AT_ONCE = 500;
    private static final int WAITING = 20_000;

    private final RecordStore store;
    private final RecordService records;
    private final CatalogueService catalogue;
    private final RecordIndex index;
    private final RecordIndexMapper counts;
    private final PersonSummaries summaries;
    private final TeamService team;
    private final Revisions revisions;
    private final Ids ids;
    private final Clock clock;

    RecordIntake(
            RecordStore store,
            RecordService records,
            CatalogueService catalogue,
            RecordIndex index,
            RecordIndexMapper counts,
            PersonSummaries summaries,
            TeamService team,
            Revisions revisions,
            Ids ids,
            Clock clock) {
        this.store = store;
        this.records = records;
        this.catalogue = catalogue;
        this.index = index;
        this.counts = counts;
        this.summaries = summaries;
        this.team = team;
        this.revisions = revisions;
        this.ids = ids;
        this.clock = clock;
    }

    /**
     * A record to be taken in.
     *
     * @param stored what fields hold, by name
     * @param organisation the name of the organisation it belongs to; empty for none
     * @param addresses of a person, the one written to first in front
     */
    public record NewRecord(UUID id, Map<String, String> stored, String organisation, List<String> addresses) {}

    /**
     * A record that is here already, and what is to change.
     *
     * @param stored what fields are to hold, by name; those that are absent stay
     * @param addresses of a person, to be added where they are new
     */
    public record ChangedRecord(UUID id, Map<String, String> stored, List<String> addresses) {}

    /**
     * Begins to take in; {@link Intake#end} has to be called in the same transaction.
     *
     * @param expected how many records are about to come, more or less
     * @param goesOn called now and then while much is written; what it throws ends the work
     */
    public Intake begin(int expected, Runnable goesOn) {
        return new Intake(expected, goesOn);
    }

    /**
     * Records that come in one after another. At the end what is kept of other records is put right, and it is told that records
     * have changed; until then nobody else waits for a row that many records share.
     */
    public final class Intake {
        private final int expected;
        private final Runnable goesOn;
        private final Supplier<UUID> addressIds;
        private final Map<CrmKind, Supplier<UUID>> recordIds = new EnumMap<>(CrmKind.class);
        private final Map<CrmKind, List<NewRecord>> waiting = new EnumMap<>(CrmKind.class);
        private final Map<UUID, Integer> contacts = new HashMap<>();
        private final Map<UUID, String> owners =
                team.all().stream().collect(Collectors.toMap(Colleague::id, Colleague::firstName));

        private Intake(int expected, Runnable goesOn) {
            this.expected = expected;
            this.goesOn = goesOn;
            addressIds = ids.many(expected);
        }

        /** An identifier for a record to be taken in. */
        public UUID next(CrmKind kind) {
            return recordIds.computeIfAbsent(kind, any -> ids.many(expected)).get();
        }

        /** Takes in new records; deals at once, since their lines and contacts are about to follow. */
        public void add(CrmKind kind, List<NewRecord> come) {
            waiting.computeIfAbsent(kind, any -> new ArrayList<>()).addAll(come);
            if (kind == CrmKind.DEAL || waiting.get(kind).size() >= WAITING) {
                write(kind);
            }
        }

        /** Writes the records that wait, after the organisations they may belong to. */
        private void write(CrmKind kind) {
            List<NewRecord> come = waiting.remove(kind);
            if (come == null) {
                return;
            }
            write(CrmKind.ORGANISATION);
            Map<String, StoredField> fields = fields(kind);
            List<NewRow> rows = new ArrayList<>();
            List<Listed> listed = new ArrayList<>();
            Map<UUID, List<String>> addresses = new LinkedHashMap<>();
            for (NewRecord one : come) {
                Map<StoredField, String> stored = new LinkedHashMap<>();
                one.stored().forEach((name, text) -> stored.put(fields.get(name), text));
                records.begin(kind, stored);
                rows.add(new NewRow(one.id(), stored));
                addresses.put(one.id(), one.addresses());
                listed.add(listed(kind, one, stored, fields));
            }
            store.insert(kind, clock.instant(), rows);
            goesOn.run();
            if (kind.isPerson()) {
                summaries.begin(addresses.keySet());
                store.addAddresses(kind, addresses, addressIds);
                goesOn.run();
            }
            index.add(kind, listed, goesOn);
        }

        private Listed listed(
                CrmKind kind, NewRecord one, Map<StoredField, String> stored, Map<String, StoredField> fields) {
            Map<String, String> byName = new HashMap<>();
            stored.forEach((field, text) -> byName.put(field.definition().name(), text));
            CrmRecord record = new CrmRecord(kind, one.id(), 1, byName);
            String owner = record.relation("owner")
                    .map(id -> owners.getOrDefault(id, ""))
                    .orElse("");
            if (kind == CrmKind.CONTACT) {
                record.relation("organisation").ifPresent(id -> contacts.merge(id, 1, Integer::sum));
            }
            return new Listed(record, fields, one.organisation(), owner, null, 0, one.addresses());
        }

        /**
         * Changes records.
         *
         * @return how many of them really are other than before
         */
        public int change(CrmKind kind, Collection<ChangedRecord> changes) {
            if (changes.isEmpty()) {
                return 0;
            }
            // One that came in just now may be among them.
            write(CrmKind.ORGANISATION);
            write(kind);
            return RecordIntake.this.change(kind, changes);
        }

        /** Ends taking in. */
        public void end() {
            List.copyOf(waiting.keySet()).forEach(this::write);
            List<UUID> organisations =
                    contacts.keySet().stream().sorted(Ids.ORDER).toList();
            organisations.forEach(id -> counts.peopleBy(id, contacts.get(id)));
            for (int i = 0; i < organisations.size(); i += AT_ONCE) {
                index.keep(CrmKind.ORGANISATION, organisations.subList(i, Math.min(organisations.size(), i + AT_ONCE)));
            }
            revisions.changed(RecordService.COUNTED);
        }
    }

    private Map<String, StoredField> fields(CrmKind kind) {
        return catalogue.fields(kind).stream()
                .collect(Collectors.toMap(field -> field.definition().name(), Function.identity()));
    }

    private int change(CrmKind kind, Collection<ChangedRecord> changes) {
        List<UUID> wanted = changes.stream().map(ChangedRecord::id).toList();
        Map<String, StoredField> fields = fields(kind);
        Map<UUID, CrmRecord> before = new HashMap<>(records.all(kind, wanted));
        Map<UUID, List<PersonAddress>> addresses = kind.isPerson() ? records.addresses(wanted) : Map.of();
        Set<UUID> changed = new HashSet<>();
        for (ChangedRecord change : changes) {
            CrmRecord was = before.get(change.id());
            if (was != null) {
                CrmRecord is = change(kind, was, change, fields, changed);
                before.put(change.id(), is);
                if (address(kind, change, addresses.getOrDefault(change.id(), List.of()))) {
                    changed.add(change.id());
                }
            }
        }
        index.keep(kind, changed);
        return changed.size();
    }

    private CrmRecord change(
            CrmKind kind, CrmRecord was, ChangedRecord change, Map<String, StoredField> fields, Set<UUID> changed) {
        Map<StoredField, String> different = new LinkedHashMap<>();
        Map<String, String> stored = new HashMap<>(was.stored());
        change.stored().forEach((name, text) -> {
            if (!text.equals(was.text(name))) {
                different.put(fields.get(name), text);
                stored.put(name, text);
            }
        });
        if (different.isEmpty()) {
            return was;
        }
        store.update(kind, was.id(), was.version(), different);
        CrmRecord is = new CrmRecord(kind, was.id(), was.version() + 1, stored);
        records.follow(was, is);
        changed.add(was.id());
        return is;
    }

    private boolean address(CrmKind kind, ChangedRecord change, List<PersonAddress> before) {
        List<PersonAddress> after = new ArrayList<>(before);
        for (String address : change.addresses()) {
            boolean there = after.stream().anyMatch(one -> one.address().equalsIgnoreCase(address));
            if (!there && after.size() < MOST_ADDRESSES) {
                after.add(new PersonAddress(null, address, ""));
            }
        }
        if (after.size() == before.size()) {
            return false;
        }
        store.addresses(kind, change.id(), after);
        return true;
    }
}
