package famulus.server.records;

import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.field.Value;
import famulus.core.record.StoredValue;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** The values around one person, in their stored form, by the records they stand on. */
final class GatheredValues implements MergeContext {
    /** What a record's facts say of a relation: the identifier of the record it leads to. */
    static final String LEADS_TO = " leads to";

    private final FieldCatalogue catalogue;
    private final BiFunction<RecordKind, String, Map<String, String>> related;
    private final Map<Root, Map<String, String>> roots = new EnumMap<>(Root.class);

    /**
     * No values yet.
     *
     * @param related the facts of a record that a relation leads to, by its kind and identifier
     */
    GatheredValues(FieldCatalogue catalogue, BiFunction<RecordKind, String, Map<String, String>> related) {
        this.catalogue = catalogue;
        this.related = related;
    }

    void put(Root root, Map<String, String> facts) {
        roots.put(root, facts);
    }

    @Override
    public Optional<Value> value(Path path) {
        Optional<Root> root = Root.of(path).filter(roots::containsKey);
        if (root.isEmpty() || path.words().size() < 2) {
            return Optional.empty();
        }
        Map<String, String> facts = roots.get(root.get());
        RecordKind kind = root.get().kind();
        for (int step = 1; step < path.words().size(); step++) {
            Optional<FieldDefinition> field = catalogue.field(kind, path.words().get(step));
            if (field.isEmpty()) {
                return Optional.empty();
            }
            if (step == path.words().size() - 1) {
                return StoredValue.of(field.get(), facts.get(field.get().name()));
            }
            if (field.get().relation().isEmpty()) {
                return Optional.empty();
            }
            kind = field.get().relation().get();
            String id = facts.getOrDefault(field.get().name() + LEADS_TO, "");
            facts = id.isEmpty() ? Map.of() : related.apply(kind, id);
        }
        return Optional.empty();
    }
}
