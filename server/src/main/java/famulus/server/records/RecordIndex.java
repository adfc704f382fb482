package famulus.server.records;

import famulus.core.record.SearchText;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.ListColumns.Column;
import famulus.server.records.RecordIndexMapper.PlaceRow;
import famulus.server.search.SearchIndex;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Keeps what records are found by and where they stand in their lists, with the records: within the transaction that
 * changes them.
 */
@Component
class RecordIndex {
    private static final int AT_ONCE = 500;
    private static final int ROWS_AT_ONCE = 5_000;

    private final RecordIndexMapper mapper;
    private final ListedRecords listed;
    private final CatalogueService catalogue;
    private final SearchIndex search;
    private final PersonSummaryMapper openDeals;

    RecordIndex(
            RecordIndexMapper mapper,
            ListedRecords listed,
            CatalogueService catalogue,
            SearchIndex search,
            PersonSummaryMapper openDeals) {
        this.openDeals = openDeals;
        this.mapper = mapper;
        this.listed = listed;
        this.catalogue = catalogue;
        this.search = search;
    }

    /** The columns of a kind's list, those of the house's own fields last. */
    List<Column> columns(CrmKind kind) {
        List<Column> columns = new ArrayList<>(ListColumns.of(kind).columns());
        for (StoredField field : catalogue.fields(kind)) {
            if (field.inList() && field.column().isEmpty()) {
                columns.add(ListColumns.own(field));
            }
        }
        return columns;
    }

    /** Makes words and places of some records anew. */
    void keep(CrmKind kind, Collection<UUID> ids) {
        List<Column> columns = columns(kind);
        Map<UUID, Listed> records = listed.read(kind, ids);
        Map<UUID, Set<String>> words = new HashMap<>();
        records.forEach((id, one) -> words.put(id, SearchText.words(texts(one))));
        search.keep(kind.word(), words);
        Set<PlaceRow> before = new HashSet<>(mapper.places(records.keySet()));
        List<PlaceRow> come = new ArrayList<>();
        for (Listed one : records.values()) {
            for (Column column : columns) {
                PlaceRow row = new PlaceRow(
                        column.name(), column.place(one), one.record().id());
                if (!before.remove(row)) {
                    come.add(row);
                }
            }
        }
        before.forEach(row -> mapper.delete(kind.word(), row));
        insert(kind, come, () -> {});
    }

    /**
     * Makes words and places of records that have just come, and have none.
     *
     * @param goesOn called after each portion
     */
    void add(CrmKind kind, Collection<Listed> records, Runnable goesOn) {
        List<Column> columns = columns(kind);
        Map<UUID, Set<String>> words = new HashMap<>();
        List<PlaceRow> come = new ArrayList<>();
        for (Listed one : records) {
            UUID id = one.record().id();
            words.put(id, SearchText.words(texts(one)));
            columns.forEach(column -> come.add(new PlaceRow(column.name(), column.place(one), id)));
        }
        search.add(kind.word(), words, goesOn);
        insert(kind, come, goesOn);
    }

    /** In the order of their index: rows that stand side by side are written together. */
    private void insert(CrmKind kind, List<PlaceRow> come, Runnable goesOn) {
        come.sort(Comparator.comparing(PlaceRow::sortedBy).thenComparing(PlaceRow::place));
        for (int i = 0; i < come.size(); i += ROWS_AT_ONCE) {
            List<PlaceRow> some = come.subList(i, Math.min(come.size(), i + ROWS_AT_ONCE));
            mapper.insert(
                    kind.word(),
                    some.stream().map(PlaceRow::sortedBy).toList(),
                    some.stream().map(PlaceRow::place).toList(),
                    some.stream().map(PlaceRow::recordId).toList());
            goesOn.run();
        }
    }

    /** What a record is found by. */
    private static List<String> texts(Listed one) {
        List<String> texts = new ArrayList<>();
        switch (one.record().kind()) {
            case CONTACT -> {
                texts.addAll(List.of(one.text("first_name"), one.text("last_name"), one.organisation()));
                texts.add(one.text("job_title"));
            }
            case LEAD -> {
                texts.addAll(List.of(one.text("first_name"), one.text("last_name"), one.text("company")));
                texts.addAll(List.of(one.label("source"), one.label("state")));
            }
            case DEAL -> texts.addAll(List.of(one.text("name"), one.organisation(), one.label("stage")));
            case ORGANISATION -> texts.addAll(List.of(one.text("name"), one.text("town"), one.text("postcode")));
        }
        texts.addAll(one.addresses());
        texts.add(one.owner());
        return texts;
    }

    /** Keeps that somebody was last written to at a moment; null for never. */
    void written(CrmKind kind, UUID person, Instant at) {
        mapper.place(person, ListColumns.WRITTEN)
                .ifPresent(row -> mapper.move(
                        kind.word(), ListColumns.WRITTEN, row.place(), Place.with(row.place(), Place.moment(at))));
    }

    /**
     * Makes some records anew that follow on one, by identifier, in a portion.
     *
     * @param cause whose records; see {@link RecordRenewals}
     * @param after the last one that was made anew; null for none
     * @return the last one of this portion; null when there are no more
     */
    UUID portion(CrmKind kind, RecordRenewals.Cause cause, UUID causeId, UUID after) {
        List<UUID> ids = mapper.after(kind.word(), cause.name(), causeId, after, AT_ONCE);
        if (ids.isEmpty()) {
            return null;
        }
        keep(kind, ids);
        if (kind == CrmKind.CONTACT && cause == RecordRenewals.Cause.KIND) {
            openDeals.deals(ids);
        }
        return ids.getLast();
    }

    /** Makes everything anew, and counts the contacts of organisations; for records put in place as they are. */
    void all() {
        mapper.countPeople();
        for (CrmKind kind : CrmKind.values()) {
            UUID done = portion(kind, RecordRenewals.Cause.KIND, null, null);
            while (done != null) {
                done = portion(kind, RecordRenewals.Cause.KIND, null, done);
            }
        }
    }
}
