package famulus.server.records;

import famulus.core.record.NameKey;
import famulus.core.record.SearchText;
import famulus.server.platform.Ids;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.ListColumns.Column;
import famulus.server.records.RecordIndexMapper.PlaceRow;
import famulus.server.records.RecordIndexMapper.StandingRow;
import famulus.server.search.SearchIndex;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
        // Held before the records are read: whoever changes them after that waits here, and reads what is written now.
        Map<UUID, Map<String, String>> before =
                places(mapper.hold(ids.stream().sorted(Ids.ORDER).toList()));
        Map<UUID, Listed> records = listed.read(kind, ids);
        Map<UUID, Set<String>> words = new HashMap<>();
        records.forEach((id, one) -> words.put(id, words(one)));
        search.keep(kind.word(), words);
        List<Column> columns = columns(kind);
        Map<UUID, Map<String, String>> after = new HashMap<>();
        records.forEach((id, one) -> after.put(id, places(one, columns)));
        change(kind, before, after);
    }

    private void change(CrmKind kind, Map<UUID, Map<String, String>> before, Map<UUID, Map<String, String>> after) {
        List<PlaceRow> come = new ArrayList<>();
        Map<UUID, String> standings = new TreeMap<>(Ids.ORDER);
        after.forEach((id, places) -> {
            Map<String, String> had = before.getOrDefault(id, Map.of());
            if (!places.equals(had)) {
                standings.put(id, Standing.text(places));
                rows(had)
                        .filter(row -> !row.place().equals(places.get(row.sortedBy())))
                        .forEach(row -> mapper.delete(kind.word(), row));
                rows(places)
                        .filter(row -> !row.place().equals(had.get(row.sortedBy())))
                        .forEach(come::add);
            }
        });
        insert(kind, come, () -> {});
        if (!standings.isEmpty()) {
            mapper.putStandings(standings.keySet(), standings.values());
        }
    }

    private static Stream<PlaceRow> rows(Map<String, String> places) {
        return places.entrySet().stream().map(one -> new PlaceRow(one.getKey(), one.getValue()));
    }

    private static Map<String, String> places(Listed one, List<Column> columns) {
        return columns.stream().collect(Collectors.toMap(Column::name, column -> column.place(one)));
    }

    private static Map<UUID, Map<String, String>> places(List<StandingRow> rows) {
        return rows.stream().collect(Collectors.toMap(StandingRow::recordId, row -> Standing.read(row.places())));
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
        Map<UUID, String> standings = new TreeMap<>(Ids.ORDER);
        for (Listed one : records) {
            UUID id = one.record().id();
            words.put(id, words(one));
            Map<String, String> places = places(one, columns);
            rows(places).forEach(come::add);
            standings.put(id, Standing.text(places));
        }
        search.add(kind.word(), words, goesOn);
        insert(kind, come, goesOn);
        List<UUID> ids = List.copyOf(standings.keySet());
        for (int i = 0; i < ids.size(); i += ROWS_AT_ONCE) {
            List<UUID> some = ids.subList(i, Math.min(ids.size(), i + ROWS_AT_ONCE));
            mapper.insertStandings(some, some.stream().map(standings::get).toList());
            goesOn.run();
        }
    }

    /** In the order of their index: rows that stand side by side are written together. */
    private void insert(CrmKind kind, List<PlaceRow> come, Runnable goesOn) {
        come.sort(Comparator.comparing(PlaceRow::sortedBy).thenComparing(PlaceRow::place));
        for (int i = 0; i < come.size(); i += ROWS_AT_ONCE) {
            List<PlaceRow> some = come.subList(i, Math.min(come.size(), i + ROWS_AT_ONCE));
            mapper.insert(
                    kind.word(),
                    some.stream().map(PlaceRow::sortedBy).toList(),
                    some.stream().map(PlaceRow::place).toList());
            goesOn.run();
        }
    }

    /** The words a record is found by, and its name as one, to be looked up whole. */
    private static Set<String> words(Listed one) {
        Set<String> words = SearchText.words(texts(one));
        switch (one.record().kind()) {
            case CONTACT, LEAD -> {
                String first = one.text("first_name");
                String last = one.text("last_name");
                Stream.of(first, last, first + " " + last)
                        .map(NameKey::of)
                        .filter(key -> !key.isEmpty())
                        .forEach(words::add);
            }
            case ORGANISATION -> words.add(NameKey.of(one.text("name")));
            case DEAL -> {}
        }
        return words;
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
        Map<UUID, Map<String, String>> before = places(mapper.hold(List.of(person)));
        Map<UUID, Map<String, String>> after = new HashMap<>();
        before.forEach((id, places) -> {
            Map<String, String> moved = new HashMap<>(places);
            moved.computeIfPresent(ListColumns.WRITTEN, (column, place) -> ListPlace.with(place, ListPlace.moment(at)));
            after.put(id, moved);
        });
        change(kind, before, after);
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
        // What is kept of people is locked before their places, as by whoever writes to them.
        if (kind == CrmKind.CONTACT && cause == RecordRenewals.Cause.KIND) {
            openDeals.deals(ids);
        }
        keep(kind, ids);
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
