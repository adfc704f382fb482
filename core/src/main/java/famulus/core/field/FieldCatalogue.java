package famulus.core.field;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Every field of every kind of record, in the order they are offered. Immutable. */
public final class FieldCatalogue {
    /** The day of sending, as a field of its own. */
    static final FieldDefinition TODAY =
            FieldDefinition.plain(RecordKind.OUR_COMPANY, "today", "Today", FieldType.DATE);
    /** The moment of sending. */
    static final FieldDefinition NOW = FieldDefinition.plain(RecordKind.OUR_COMPANY, "now", "Now", FieldType.DATE_TIME);
    /** Relations are followed so many steps when paths are listed; longer ones are read but not offered. */
    private static final int OFFERED_STEPS = 1;

    private final Map<RecordKind, Map<String, FieldDefinition>> fields = new EnumMap<>(RecordKind.class);

    /** A catalogue of these fields; a later one of the same kind and name takes the place of an earlier one. */
    public FieldCatalogue(Collection<FieldDefinition> definitions) {
        for (RecordKind kind : RecordKind.values()) {
            fields.put(kind, new LinkedHashMap<>());
        }
        definitions.forEach(field -> fields.get(field.kind()).put(field.name(), field));
    }

    /** The fields of one kind. */
    public List<FieldDefinition> of(RecordKind kind) {
        return List.copyOf(fields.get(kind).values());
    }

    /** One field, by its own name. */
    public Optional<FieldDefinition> field(RecordKind kind, String name) {
        return Optional.ofNullable(fields.get(kind).get(name));
    }

    /**
     * Follows a path to the field it ends at.
     *
     * @param about what the template is about: a path that can't be reached from there finds nothing
     */
    public Optional<FieldDefinition> resolve(Path path, About about) {
        if (path.words().size() == 1) {
            return moment(path.root());
        }
        Optional<Root> root = Root.of(path).filter(about.roots()::contains);
        if (root.isEmpty()) {
            return Optional.empty();
        }
        RecordKind kind = root.get().kind();
        for (int step = 1; step < path.words().size(); step++) {
            Optional<FieldDefinition> field = field(kind, path.words().get(step));
            if (field.isEmpty() || step == path.words().size() - 1) {
                return field;
            }
            if (field.get().relation().isEmpty()) {
                return Optional.empty();
            }
            kind = field.get().relation().get();
        }
        return Optional.empty();
    }

    /** The definition of a field by what somebody wrote as its path, if there is one. */
    public Optional<FieldDefinition> resolve(String written, About about) {
        return Path.read(written).flatMap(path -> resolve(path, about));
    }

    private static Optional<FieldDefinition> moment(String word) {
        return switch (word) {
            case "today" -> Optional.of(TODAY);
            case "now" -> Optional.of(NOW);
            default -> Optional.empty();
        };
    }

    /** Every path that can be offered to the writer of a template, with the field it ends at. */
    public Map<Path, FieldDefinition> reachable(About about) {
        Map<Path, FieldDefinition> reachable = new LinkedHashMap<>();
        about.roots().forEach(root -> collect(reachable, List.of(root.word()), root.kind(), 0));
        reachable.put(Path.of("today"), TODAY);
        reachable.put(Path.of("now"), NOW);
        return reachable;
    }

    private void collect(Map<Path, FieldDefinition> into, List<String> words, RecordKind kind, int steps) {
        for (FieldDefinition field : fields.get(kind).values()) {
            List<String> longer = new ArrayList<>(words);
            longer.add(field.name());
            if (field.type() != FieldType.RELATION) {
                into.put(new Path(longer), field);
            } else if (steps < OFFERED_STEPS) {
                collect(into, longer, field.relation().orElseThrow(), steps + 1);
            }
        }
    }
}
