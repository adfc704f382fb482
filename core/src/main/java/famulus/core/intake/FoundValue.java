package famulus.core.intake;

import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import java.util.List;

/**
 * A value of a record that a text says.
 *
 * @param start its first character in the text
 * @param end where what follows begins
 * @param fields what can take its place, the likeliest first; one at least
 * @param sure whether it is hardly anything else; “12” may be the number of the deal, and may not
 */
public record FoundValue(int start, int end, List<Proposed> fields, boolean sure) {
    public FoundValue {
        fields = List.copyOf(fields);
    }

    /**
     * A field in the place of words.
     *
     * @param field what is known of it
     * @param written in the merge language, with its default if it wants one
     */
    public record Proposed(Path path, FieldDefinition field, String written) {}
}
