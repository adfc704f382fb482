package famulus.core.intake;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.field.Value;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A value that a text may say, and the field it would come from.
 *
 * @param path where a template asks for it
 * @param field what is known of the field
 */
public record KnownValue(Path path, FieldDefinition field, Value value) {
    /**
     * All that is known around somebody, what is nearest to them first: a value that is theirs and their company’s is theirs.
     *
     * @param about what the template is to be about
     * @param context the person that the text was written to
     */
    public static List<KnownValue> around(MergeContext context, FieldCatalogue catalogue, About about) {
        List<KnownValue> known = new ArrayList<>();
        catalogue.reachable(about).forEach((path, field) -> {
            // What a message says of itself is made for each, and is no value of a record.
            boolean made = Root.of(path).filter(Root.MESSAGE::equals).isPresent();
            if (!made && path.words().size() > 1) {
                context.value(path)
                        .filter(value -> !value.missing())
                        .ifPresent(value -> known.add(new KnownValue(path, field, value)));
            }
        });
        known.sort(Comparator.comparingInt(one -> nearness(one.path(), about)));
        return known;
    }

    /** The sender signs, so that whoever sends and owns the record is the sender first. */
    private static int nearness(Path path, About about) {
        int root = Root.of(path)
                .map(one -> one == Root.SENDER
                        ? 2 * about.roots().indexOf(Root.OWNER) - 1
                        : 2 * about.roots().indexOf(one))
                .orElse(0);
        return root + 100 * path.words().size();
    }
}
