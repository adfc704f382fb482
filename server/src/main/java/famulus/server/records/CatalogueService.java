package famulus.server.records;

import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueMapper.ChoiceRow;
import famulus.server.records.CatalogueMapper.FieldRow;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which fields each kind of record has. */
@Service
public class CatalogueService {
    private final CatalogueMapper mapper;
    /** What was read last; good for as long as the stored revision is the same, whoever changed it. */
    private final AtomicReference<Read> read = new AtomicReference<>();

    private record Read(int revision, List<StoredField> fields, FieldCatalogue catalogue) {}

    CatalogueService(CatalogueMapper mapper) {
        this.mapper = mapper;
    }

    /** The catalogue as it is now. */
    public FieldCatalogue catalogue() {
        return read().catalogue();
    }

    private Read read() {
        int revision = mapper.revision();
        Read before = read.get();
        if (before != null && before.revision() == revision) {
            return before;
        }
        List<StoredField> fields = readFields();
        Read now = new Read(
                revision,
                fields,
                new FieldCatalogue(fields.stream().map(StoredField::definition).toList()));
        read.set(now);
        return now;
    }

    /**
     * A field with what its storage and its page need to know.
     *
     * @param column the table's column; empty for fields that keep their values in field_value
     * @param section under which heading of the record's page it stands
     * @param computed made from other fields, so that nobody types it
     * @param most how many characters may be typed
     * @param inList whether it is a column of its kind's list
     * @param beginning the code that a new record begins with where it has to hold something; empty for none
     */
    public record StoredField(
            FieldDefinition definition,
            Optional<String> column,
            String section,
            boolean required,
            boolean computed,
            int most,
            boolean inList,
            String beginning) {

        /** Whether it leads to another record. */
        public boolean isRelation() {
            return definition.type() == FieldType.RELATION;
        }
    }

    /** Every field, in the order of its kind's page. */
    public List<StoredField> fields() {
        return read().fields();
    }

    private List<StoredField> readFields() {
        Map<String, List<ChoiceRow>> choices = mapper.choices().stream()
                .collect(Collectors.groupingBy(choice -> choice.kind() + "." + choice.fieldName()));
        return mapper.fields().stream()
                .map(row -> field(row, choices.getOrDefault(row.kind() + "." + row.name(), List.of())))
                .toList();
    }

    /** The fields of one kind. */
    public List<StoredField> fields(CrmKind kind) {
        return fields().stream()
                .filter(field -> field.definition().kind() == kind.core())
                .toList();
    }

    /** The fields of a kind that somebody can fill, in the order of its page. */
    public List<StoredField> fillable(CrmKind kind) {
        return fields(kind).stream().filter(field -> !field.computed()).toList();
    }

    /**
     * Adds a field of the house's own, with its choices if it has any.
     *
     * @param position where it stands among the fields of its kind
     * @param computed whether nobody types it on a record's page
     */
    @Transactional
    public void add(FieldDefinition field, String section, int position, int most, boolean computed, boolean inList) {
        mapper.newRevision();
        mapper.insertField(new FieldRow(
                field.kind().word(),
                field.name(),
                field.label(),
                field.type().name(),
                null,
                section,
                position,
                false,
                computed,
                most,
                null,
                inList));
        choices(field.kind(), field.name(), field.choices());
    }

    private void choices(RecordKind kind, String name, List<FieldDefinition.FieldOption> choices) {
        int at = 1;
        for (FieldDefinition.FieldOption choice : choices) {
            mapper.insertChoice(new ChoiceRow(
                    kind.word(),
                    name,
                    choice.code(),
                    choice.label(),
                    at++,
                    null,
                    ChoiceRow.lines(choice.earlier()),
                    choice.retired()));
        }
    }

    /** The names of all fields of a kind, retired ones too: none of them may be given again. */
    List<String> names(RecordKind kind) {
        return mapper.names(kind.word());
    }

    int lastPosition(RecordKind kind) {
        return mapper.lastPosition(kind.word());
    }

    /** The house's own fields, in use and retired. */
    List<CatalogueMapper.OwnRow> own() {
        return mapper.own();
    }

    /** Changes how a field of the house's own is called. */
    @Transactional
    void change(RecordKind kind, String name, String label, boolean inList) {
        mapper.newRevision();
        if (mapper.change(kind.word(), name, label, inList) == 0) {
            throw Refusal.missing("This field");
        }
    }

    /** Takes a field out of use, or with null brings it back. */
    @Transactional
    void retire(RecordKind kind, String name, Instant at) {
        mapper.newRevision();
        if (mapper.retire(kind.word(), name, at) == 0) {
            throw Refusal.missing("This field");
        }
    }

    /** Removes a field that keeps its values elsewhere. */
    @Transactional
    void remove(RecordKind kind, String name) {
        mapper.newRevision();
        mapper.delete(kind.word(), name);
    }

    private static StoredField field(FieldRow row, List<ChoiceRow> choices) {
        FieldDefinition definition = new FieldDefinition(
                kind(row.kind()),
                row.name(),
                row.label(),
                FieldType.valueOf(row.type()),
                choices.stream()
                        .map(choice -> new FieldDefinition.FieldOption(
                                choice.code(), choice.label(), choice.earlierLabels(), choice.retired()))
                        .toList(),
                Optional.ofNullable(row.relation()).map(CatalogueService::kind));
        return new StoredField(
                definition,
                Optional.ofNullable(row.columnName()),
                row.section(),
                row.required(),
                row.computed(),
                row.most(),
                row.inList(),
                row.required() ? beginning(choices) : "");
    }

    /** The first one in use; of stages the first that is open. */
    private static String beginning(List<ChoiceRow> choices) {
        return choices.stream()
                .filter(choice -> !choice.retired()
                        && (choice.outcome() == null || choice.outcome().equals("OPEN")))
                .map(ChoiceRow::code)
                .findFirst()
                .orElse("");
    }

    static RecordKind kind(String word) {
        return Arrays.stream(RecordKind.values())
                .filter(kind -> kind.word().equals(word))
                .findFirst()
                .orElseThrow();
    }
}
