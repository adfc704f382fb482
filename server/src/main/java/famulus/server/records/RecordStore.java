package famulus.server.records;

import famulus.core.field.FieldType;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.RecordStoreMapper.AddressRow;
import famulus.server.records.RecordStoreMapper.ColumnTexts;
import famulus.server.records.RecordStoreMapper.ValueRow;
import famulus.server.records.RecordStoreMapper.ValueTexts;
import java.math.BigDecimal;
import java.sql.Date;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Turns records into rows and back. Checks nothing: what comes here has been checked. */
@Component
class RecordStore {
    private static final int AT_ONCE = 5_000;

    /** What tables give columns of which nothing is said. */
    private static final Map<String, String> GIVEN = Map.of("counting", "counted");

    private static final Map<String, String> UPPER_CASE = new ConcurrentHashMap<>();

    private final RecordStoreMapper mapper;
    private final Ids ids;

    RecordStore(RecordStoreMapper mapper, Ids ids) {
        this.mapper = mapper;
        this.ids = ids;
    }

    Optional<CrmRecord> read(CrmKind kind, UUID id, List<StoredField> fields) {
        return Optional.ofNullable(read(kind, List.of(id), fields).get(id));
    }

    /** Reads several records at once; those that are not there are left out. */
    Map<UUID, CrmRecord> read(CrmKind kind, Collection<UUID> wanted, List<StoredField> fields) {
        if (wanted.isEmpty()) {
            return Map.of();
        }
        Map<UUID, Map<String, ValueRow>> values = new HashMap<>();
        List<String> named = fields.stream()
                .filter(field -> field.column().isEmpty())
                .map(field -> field.definition().name())
                .toList();
        if (!named.isEmpty()) {
            mapper.values(wanted, named)
                    .forEach(value -> values.computeIfAbsent(value.recordId(), any -> new HashMap<>())
                            .put(value.fieldName(), value));
        }
        Map<UUID, CrmRecord> records = new HashMap<>();
        for (Map<String, Object> row : mapper.rows(kind.word(), wanted, columns(fields))) {
            UUID id = (UUID) cell(row, "id");
            Map<String, String> stored = stored(row, values.getOrDefault(id, Map.of()), fields);
            records.put(id, new CrmRecord(kind, id, ((Number) cell(row, "version")).intValue(), stored));
        }
        return records;
    }

    /** The columns that fields are kept in. */
    private static List<String> columns(List<StoredField> fields) {
        return fields.stream()
                .flatMap(field -> field.column().stream()
                        .flatMap(column -> field.definition().type() == FieldType.MONEY
                                ? Stream.of(column, column + "_currency")
                                : Stream.of(column)))
                .toList();
    }

    private static Map<String, String> stored(
            Map<String, Object> row, Map<String, ValueRow> values, List<StoredField> fields) {
        Map<String, String> stored = new HashMap<>();
        for (StoredField field : fields) {
            String text = field.column()
                    .map(column -> fromColumn(field.definition().type(), row, column))
                    .orElseGet(() -> fromValue(
                            field.definition().type(),
                            values.get(field.definition().name())));
            if (text != null && !text.isEmpty()) {
                stored.put(field.definition().name(), text);
            }
        }
        return stored;
    }

    /** Writes changed fields; an empty text clears one. Refuses when the record is no longer at {@code version}. */
    void update(CrmKind kind, UUID id, int version, Map<StoredField, String> changes) {
        Map<String, Object> columns = new LinkedHashMap<>();
        changes.forEach((field, text) -> field.column().ifPresent(column -> toColumn(field, column, text, columns)));
        if (mapper.update(kind.word(), id, version, columns) == 0) {
            throw Refusal.changedMeanwhile(
                    "Somebody has changed this record in the meantime. Look at it again, then change it.");
        }
        values(kind, id, changes);
    }

    void insert(CrmKind kind, UUID id, Instant at, Map<StoredField, String> fields) {
        Map<String, Object> columns = new LinkedHashMap<>();
        columns.put("id", id);
        columns.put("created_at", at);
        columns.put("version", 1);
        fields.forEach((field, text) -> field.column().ifPresent(column -> toColumn(field, column, text, columns)));
        mapper.insert(kind.word(), columns);
        values(kind, id, fields);
    }

    /** A record to be put in place, with its fields as they are stored. */
    record NewRow(UUID id, Map<StoredField, String> fields) {}

    /** Puts many records in place at once, those of one organisation side by side, as an index has them. */
    void insert(CrmKind kind, Instant at, List<NewRow> come) {
        List<NewRow> rows = new ArrayList<>(come);
        rows.sort(Comparator.comparing(RecordStore::grouped));
        for (int i = 0; i < rows.size(); i += AT_ONCE) {
            insertSome(kind, at, rows.subList(i, Math.min(rows.size(), i + AT_ONCE)));
        }
    }

    private void insertSome(CrmKind kind, Instant at, List<NewRow> rows) {
        Set<StoredField> fields = new LinkedHashSet<>();
        rows.forEach(row -> fields.addAll(row.fields().keySet()));
        List<UUID> ids = rows.stream().map(NewRow::id).toList();
        List<ColumnTexts> columns = new ArrayList<>();
        List<ValueRow> values = new ArrayList<>();
        for (StoredField field : fields) {
            if (field.column().isPresent()) {
                columns.addAll(columns(field, field.column().get(), rows));
                continue;
            }
            String name = field.definition().name();
            for (NewRow row : rows) {
                String text = row.fields().getOrDefault(field, "");
                if (!text.isEmpty()) {
                    values.add(toValue(row.id(), name, field.definition().type(), text));
                }
            }
        }
        mapper.insertAll(kind.word(), at, ids, columns);
        if (!values.isEmpty()) {
            values.sort(Comparator.comparing(ValueRow::recordId, Ids.ORDER));
            mapper.insertValues(kind.word(), values.stream().map(ValueTexts::of).toList());
        }
    }

    private static String grouped(NewRow row) {
        StringBuilder key = new StringBuilder();
        row.fields().forEach((field, text) -> {
            if (field.definition().name().equals("organisation")) {
                key.insert(0, text + " ");
            } else if (field.definition().name().equals("last_name")) {
                key.append(text);
            }
        });
        return key.toString();
    }

    private static List<ColumnTexts> columns(StoredField field, String column, List<NewRow> rows) {
        List<String> texts = rows.stream()
                .map(row -> row.fields().getOrDefault(field, GIVEN.getOrDefault(column, "")))
                .map(text -> text.isEmpty() ? null : text)
                .toList();
        return switch (field.definition().type()) {
            case MONEY ->
                List.of(
                        new ColumnTexts(column, "decimal(14, 2)", part(texts, 0)),
                        new ColumnTexts(column + "_currency", "varchar", part(texts, 1)));
            case NUMBER -> List.of(new ColumnTexts(column, "decimal(20, 6)", texts));
            case DATE -> List.of(new ColumnTexts(column, "date", texts));
            case RELATION -> List.of(new ColumnTexts(column, "uuid", texts));
            default -> List.of(new ColumnTexts(column, "varchar", texts));
        };
    }

    private static List<String> part(List<String> texts, int part) {
        return texts.stream()
                .map(text -> text == null ? null : text.split(" ")[part])
                .toList();
    }

    /** Gives many people who have none their addresses, by person. */
    void addAddresses(CrmKind kind, Map<UUID, List<String>> addresses, Supplier<UUID> next) {
        List<AddressRow> rows = new ArrayList<>();
        addresses.forEach((person, all) -> {
            for (int i = 0; i < all.size(); i++) {
                rows.add(new AddressRow(next.get(), kind.word(), person, all.get(i), "", i));
            }
        });
        rows.sort(Comparator.comparing(AddressRow::address));
        for (int i = 0; i < rows.size(); i += AT_ONCE) {
            List<AddressRow> some = rows.subList(i, Math.min(rows.size(), i + AT_ONCE));
            mapper.insertAddresses(
                    kind.word(),
                    some.stream().map(AddressRow::id).toList(),
                    some.stream().map(AddressRow::personId).toList(),
                    some.stream().map(AddressRow::address).toList(),
                    some.stream().map(row -> String.valueOf(row.position())).toList());
        }
    }

    List<AddressRow> addresses(UUID personId) {
        return mapper.addresses(List.of(personId));
    }

    /** The addresses of several people, those of each in order. */
    List<AddressRow> addresses(Collection<UUID> people) {
        return people.isEmpty() ? List.of() : mapper.addresses(people);
    }

    /** The people who have an address. */
    Set<UUID> peopleAt(String address) {
        return mapper.peopleAt(address);
    }

    /** Takes the place of all addresses a person has; the first one is written to first. */
    void addresses(CrmKind kind, UUID personId, List<PersonAddress> addresses) {
        mapper.clearAddresses(personId);
        int position = 0;
        for (PersonAddress address : addresses) {
            UUID id = address.id() == null ? ids.next() : address.id();
            mapper.insertAddress(
                    new AddressRow(id, kind.word(), personId, address.address(), address.label(), position++));
        }
    }

    private void values(CrmKind kind, UUID id, Map<StoredField, String> fields) {
        fields.forEach((field, text) -> {
            if (field.column().isEmpty()) {
                String name = field.definition().name();
                mapper.clearValue(id, name);
                if (!text.isEmpty()) {
                    mapper.insertValue(
                            kind.word(), toValue(id, name, field.definition().type(), text));
                }
            }
        });
    }

    private static void toColumn(StoredField field, String column, String text, Map<String, Object> columns) {
        boolean nothing = text.isEmpty();
        switch (field.definition().type()) {
            case MONEY -> {
                columns.put(column, nothing ? null : new BigDecimal(text.split(" ")[0]));
                columns.put(column + "_currency", nothing ? null : text.split(" ")[1]);
            }
            case NUMBER -> columns.put(column, nothing ? null : new BigDecimal(text));
            case DATE -> columns.put(column, nothing ? null : LocalDate.parse(text));
            case RELATION -> columns.put(column, nothing ? null : UUID.fromString(text));
            default -> columns.put(column, nothing ? null : text);
        }
    }

    private static String fromColumn(FieldType type, Map<String, Object> row, String column) {
        Object value = cell(row, column);
        if (value == null) {
            return null;
        }
        return switch (type) {
            case MONEY -> ((BigDecimal) value).toPlainString() + " " + cell(row, column + "_currency");
            case DATE -> (value instanceof Date day ? day.toLocalDate() : value).toString();
            default -> value.toString();
        };
    }

    private static ValueRow toValue(UUID id, String field, FieldType type, String text) {
        return switch (type) {
            case MONEY -> new ValueRow(id, field, text.split(" ")[1], new BigDecimal(text.split(" ")[0]), null);
            case NUMBER -> new ValueRow(id, field, null, new BigDecimal(text), null);
            case DATE -> new ValueRow(id, field, null, null, LocalDate.parse(text));
            default -> new ValueRow(id, field, text, null, null);
        };
    }

    private static String fromValue(FieldType type, ValueRow value) {
        if (value == null) {
            return null;
        }
        return switch (type) {
            case MONEY ->
                value.numberValue().setScale(2, java.math.RoundingMode.HALF_UP).toPlainString() + " "
                        + value.textValue();
            case NUMBER -> value.numberValue().stripTrailingZeros().toPlainString();
            case DATE -> value.dateValue().toString();
            default -> value.textValue();
        };
    }

    /** Databases differ in the case they give names of columns back in. */
    private static Object cell(Map<String, Object> row, String column) {
        Object value = row.get(UPPER_CASE.computeIfAbsent(column, any -> column.toUpperCase(Locale.ROOT)));
        return value == null ? row.get(column) : value;
    }
}
