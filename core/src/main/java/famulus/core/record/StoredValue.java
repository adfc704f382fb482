package famulus.core.record;

import famulus.core.field.FieldDefinition;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Reads the stored form of a field, as {@link FieldInput} makes it, as a value for merging. */
public final class StoredValue {
    private StoredValue() {}

    /**
     * Returns the value; empty when nothing is stored, or when what is stored can't be read as the field's type (the
     * field then counts as missing, rather than spoil a message).
     */
    public static Optional<Value> of(FieldDefinition field, String stored) {
        if (stored == null || stored.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    switch (field.type()) {
                        case TEXT, LONG_TEXT, EMAIL, LINK -> new Value.Text(stored);
                        case NUMBER -> new Value.Number(new BigDecimal(stored));
                        case MONEY -> money(stored);
                        case DATE -> new Value.Day(LocalDate.parse(stored));
                        case DATE_TIME -> new Value.Moment(Instant.parse(stored));
                        case CHOICE -> choice(field, stored);
                        case CHOICES -> new Value.Several(labels(field, stored));
                        case YES_NO -> new Value.YesNo(stored.equals("yes"));
                        case PHONE -> new Value.Phone(stored);
                        case USER, RELATION -> name(stored);
                    });
        } catch (DateTimeException | NumberFormatException unreadable) {
            return Optional.empty();
        }
    }

    /** Reads an amount as it is stored: a decimal number, a blank and its currency by ISO 4217. */
    public static Value.Money money(String stored) {
        String[] parts = stored.split(" ", 2);
        return new Value.Money(new BigDecimal(parts[0]), parts.length > 1 ? parts[1] : "");
    }

    /** A colleague's name is handed over as first and last name with a line break between. */
    private static Value name(String stored) {
        String[] names = stored.split("\n", 2);
        return new Value.Name(names[0], names.length > 1 ? names[1] : "");
    }

    private static List<String> labels(FieldDefinition field, String stored) {
        return Arrays.stream(stored.split("\n")).map(code -> label(field, code)).toList();
    }

    private static Value choice(FieldDefinition field, String code) {
        return field.choices().stream()
                .filter(choice -> choice.code().equals(code))
                .findFirst()
                .map(choice -> new Value.Text(choice.label(), choice.earlier()))
                .orElseGet(() -> new Value.Text(code));
    }

    private static String label(FieldDefinition field, String code) {
        return field.choices().stream()
                .filter(choice -> choice.code().equals(code))
                .map(FieldDefinition.FieldOption::label)
                .findFirst()
                .orElse(code);
    }
}
