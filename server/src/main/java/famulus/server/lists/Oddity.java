package famulus.server.lists;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.server.lists.SqlValue.Sort;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What makes a value look unlike the rest, as SQL.
 *
 * @param why in words that follow the value
 * @param test true for odd values; may name {@code s.middle} and {@code s.spread}, the mean and the standard deviation
 *     of all values, or of the lengths of all texts
 */
record Oddity(String why, Sql test) {
    private static final Set<String> NAMES =
            Set.of("first_name", "last_name", "full_name", "name", "company", "title", "job_title", "town");
    private static final int MANY_SPREADS = 4;

    /** What can be odd about a field's values. */
    static List<Oddity> of(FieldDefinition field, SqlValue value) {
        return switch (value.sort()) {
            case TEXT -> texts(field, value);
            case NUMBER, MONEY -> List.of(farFromTheRest(value.value()));
            case DAY ->
                List.of(new Oddity(
                        "years from the rest",
                        Sql.put(
                                "abs(extract(epoch from %s) - s.middle) > " + MANY_SPREADS + " * s.spread",
                                value.value())));
            case MOMENT, ANSWER, SEVERAL -> List.of();
        };
    }

    /** What {@code s.middle} and {@code s.spread} are made of; null for values that have no middle. */
    static Sql measured(SqlValue value) {
        return switch (value.sort()) {
            case TEXT -> Sql.put("char_length(%s)", value.value());
            case NUMBER, MONEY -> value.value();
            case DAY -> Sql.put("extract(epoch from %s)", value.value());
            case MOMENT, ANSWER, SEVERAL -> null;
        };
    }

    private static List<Oddity> texts(FieldDefinition field, SqlValue value) {
        Sql text = value.value();
        List<Oddity> odd = new ArrayList<>();
        if (field.type() == FieldType.CHOICE) {
            return odd;
        }
        odd.add(new Oddity("spaces at an end", Sql.put("%s <> %s", value.raw(), text)));
        odd.add(new Oddity("two spaces together", Sql.put("position('  ' in %s) > 0", text)));
        if (field.type() == FieldType.TEXT) {
            odd.add(new Oddity(
                    "all in capitals",
                    Sql.put(
                            "char_length(%s) > 3 and %s = upper(%s) and %s <> lower(%s)",
                            text, text, text, text, text)));
            odd.add(new Oddity(
                    "characters that don’t belong in a name", Sql.put("regexp_like(%s, '[_#*<>{}|\\\\!]')", text)));
        }
        if (NAMES.contains(field.name())) {
            odd.add(new Oddity("digits in a name", Sql.put("regexp_like(%s, '[0-9]')", text)));
            odd.add(new Oddity(
                    "all in small letters", Sql.put("%s = lower(%s) and %s <> upper(%s)", text, text, text, text)));
        }
        if (field.type() == FieldType.TEXT) {
            odd.add(new Oddity(
                    "much longer than the rest",
                    Sql.put(
                            "char_length(%s) > 20 and char_length(%s) > s.middle + " + MANY_SPREADS + " * s.spread",
                            text,
                            text)));
        }
        return odd;
    }

    private static Oddity farFromTheRest(Sql number) {
        return new Oddity("far from the rest", Sql.put("abs(%s - s.middle) > " + MANY_SPREADS + " * s.spread", number));
    }

    /** Whether a sort has a longest or largest value worth showing. */
    static boolean hasLongest(SqlValue value) {
        return value.sort() != Sort.ANSWER && value.sort() != Sort.SEVERAL;
    }
}
