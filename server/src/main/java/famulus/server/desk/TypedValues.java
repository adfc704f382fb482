package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.record.FieldInput;
import famulus.core.record.PlainLine;
import famulus.core.record.StoredValue;
import famulus.server.platform.Refusal;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Reads what a sender types for one message. */
@Component
class TypedValues {
    private static final int LONGEST_ANSWER = 4000;

    private final TeamService team;

    TypedValues(TeamService team) {
        this.team = team;
    }

    /** An answer is words, on as many lines as the sender likes. */
    static Map<String, String> answers(Map<String, String> typed) {
        Map<String, String> wrong = new HashMap<>();
        typed.forEach((hint, answer) -> PlainLine.refusalOfLines(answer, LONGEST_ANSWER, false)
                .ifPresent(sentence -> wrong.put("answers." + hint, sentence)));
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return typed;
    }

    /** Values for one message, by path; refused where one doesn’t fit its field. */
    Map<Path, Value> values(Map<String, String> chosen, About about, FieldCatalogue catalogue) {
        if (chosen.isEmpty()) {
            return Map.of();
        }
        Map<Path, Value> values = new HashMap<>();
        Map<String, String> wrong = new HashMap<>();
        House house = team.house();
        chosen.forEach((written, typed) -> {
            Optional<FieldDefinition> field = catalogue.resolve(written, about);
            if (field.isEmpty()) {
                wrong.put(written, "There is no field with this name.");
                return;
            }
            FieldInput input = FieldInput.read(field.get(), 1000, true, typed, house.country(), house.currency());
            input.refusal().ifPresentOrElse(sentence -> wrong.put(written, sentence), () -> StoredValue.of(
                            field.get(), input.stored())
                    .ifPresent(value -> values.put(Path.of(written), value)));
        });
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return values;
    }
}
