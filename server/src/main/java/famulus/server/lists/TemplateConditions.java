package famulus.server.lists;

import famulus.core.condition.ConditionWords;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.Path;
import famulus.core.field.PathReading;
import java.util.List;

/** How conditions are read and said in templates about something. */
public record TemplateConditions(FieldCatalogue catalogue, About about) {
    /** Follows paths from what the template is about. */
    public PathReading paths() {
        return new PathReading(catalogue, about);
    }

    /** Says conditions in words. */
    public ConditionWords words() {
        return new ConditionWords(this::label, this::choices);
    }

    /** What can be chosen in a field; none for other fields. */
    List<FieldOption> choices(Path path) {
        return catalogue.resolve(path, about).map(FieldDefinition::choices).orElse(List.of());
    }

    /** What a field is called; its path where there is none. */
    public String label(Path path) {
        return catalogue.resolve(path, about).map(FieldDefinition::label).orElse(path.toString());
    }
}
