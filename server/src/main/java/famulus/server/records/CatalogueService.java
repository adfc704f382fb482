package famulus.server.records;

import famulus.core.merge.FieldCatalogue;
import famulus.core.merge.FieldDefinition;
import famulus.core.merge.FieldType;
import famulus.core.merge.RecordKind;
import famulus.server.records.CatalogueMapper.ChoiceRow;
import famulus.server.records.CatalogueMapper.FieldRow;
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
     */
    public record StoredField(
            FieldDefinition definition,
            Optional<String> column,
            String section,
            boolean required,
            boolean computed,
            int most) {

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

    /**
     * Adds a field of the house's own, with its choices if it has any.
     *
     * @param position where it stands among the fields of its kind
     */
    @Transactional
    public void add(FieldDefinition field, String section, int position, int most) {
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
                false,
                most,
                null));
        int at = 1;
        for (FieldDefinition.Choice choice : field.choices()) {
            mapper.insertChoice(new ChoiceRow(field.kind().word(), field.name(), choice.code(), choice.label(), at++));
        }
    }

    private static StoredField field(FieldRow row, List<ChoiceRow> choices) {
        FieldDefinition definition = new FieldDefinition(
                kind(row.kind()),
                row.name(),
                row.label(),
                FieldType.valueOf(row.type()),
                choices.stream()
                        .map(choice -> new FieldDefinition.Choice(choice.code(), choice.label()))
                        .toList(),
                Optional.ofNullable(row.relation()).map(CatalogueService::kind));
        return new StoredField(
                definition,
                Optional.ofNullable(row.columnName()),
                row.section(),
                row.required(),
                row.computed(),
                row.most());
    }

    private static RecordKind kind(String word) {
        return Arrays.stream(RecordKind.values())
                .filter(kind -> kind.word().equals(word))
                .findFirst()
                .orElseThrow();
    }
}
