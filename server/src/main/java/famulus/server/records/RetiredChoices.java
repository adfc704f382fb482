package famulus.server.records;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import java.util.List;
import java.util.Optional;

/** A retired choice stays with the records that have it; no other record gets it, however it comes. */
public final class RetiredChoices {
    private RetiredChoices() {}

    /**
     * Why a field can't hold something.
     *
     * @param stored what it is to hold, as it is stored
     * @param before what it holds already; null for nothing
     */
    public static Optional<String> refusal(FieldDefinition field, String stored, String before) {
        List<String> had = before == null ? List.of() : before.lines().toList();
        return stored.lines()
                .filter(code -> !had.contains(code))
                .flatMap(code -> field.choices().stream()
                        .filter(choice -> choice.retired() && choice.code().equals(code)))
                .map(FieldOption::label)
                .findFirst()
                .map(label -> "“" + label + "” is retired. Choose another one.");
    }
}
