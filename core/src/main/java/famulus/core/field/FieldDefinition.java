package famulus.core.field;

import java.util.List;
import java.util.Optional;

/**
 * What the catalogue knows of one field.
 *
 * @param kind whose field it is
 * @param name its word in paths: lower case, letters, digits and underscores
 * @param label what people read on screen
 * @param type what it holds
 * @param choices for choices: what may be chosen; else empty
 * @param relation for relations: which kind of record it leads to
 */
public record FieldDefinition(
        RecordKind kind,
        String name,
        String label,
        FieldType type,
        List<FieldOption> choices,
        Optional<RecordKind> relation) {
    public FieldDefinition {
        choices = List.copyOf(choices);
    }

    /** A field that is neither choice nor relation. */
    public static FieldDefinition plain(RecordKind kind, String name, String label, FieldType type) {
        return new FieldDefinition(kind, name, label, type, List.of(), Optional.empty());
    }

    /** A field that leads to a record of another kind. */
    public static FieldDefinition relation(RecordKind kind, String name, String label, RecordKind to) {
        return new FieldDefinition(kind, name, label, FieldType.RELATION, List.of(), Optional.of(to));
    }

    /**
     * One thing that may be chosen.
     *
     * @param code what is stored
     * @param label what is shown and printed
     * @param earlier labels it had before; conditions that name one of them go on holding
     * @param retired whether it stays with the records that have it, and is offered to no other
     */
    public record FieldOption(String code, String label, List<String> earlier, boolean retired) {
        public FieldOption {
            earlier = List.copyOf(earlier);
        }

        /** One in use that had other labels before. */
        public FieldOption(String code, String label, List<String> earlier) {
            this(code, label, earlier, false);
        }

        /** One in use that was never called anything else. */
        public FieldOption(String code, String label) {
            this(code, label, List.of());
        }
    }
}
