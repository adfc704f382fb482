package famulus.server.lists;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;

/**
 * A piece of SQL with the values it binds.
 *
 * @param text with a question mark for each value, and none elsewhere
 * @param values in the order of the question marks
 */
record Sql(String text, List<Object> values) {
    static final Sql TRUE = Sql.of("true");
    static final Sql FALSE = Sql.of("false");

    Sql {
        values = List.copyOf(values);
    }

    /** SQL with these values. */
    static Sql of(String text, Object... values) {
        return new Sql(text, Arrays.asList(values));
    }

    /** A template in which each {@code %s} is one of the parts; the parts' values follow in the same order. */
    static Sql put(String template, Sql... parts) {
        return new Sql(
                template.formatted((Object[]) Stream.of(parts).map(Sql::text).toArray()),
                Stream.of(parts).flatMap(part -> part.values().stream()).toList());
    }

    /** The parts with something between them. */
    static Sql join(String between, Collection<Sql> parts) {
        return new Sql(
                String.join(between, parts.stream().map(Sql::text).toList()),
                parts.stream().flatMap(part -> part.values().stream()).toList());
    }

    /** The text for MyBatis: each question mark as a parameter of the list {@code values}. */
    String numbered() {
        return numbered("values");
    }

    /** The same, of a list of another name. */
    String numbered(String list) {
        StringBuilder numbered = new StringBuilder(text.length() + 16 * values.size());
        int number = 0;
        for (char c : text.toCharArray()) {
            if (c == '?') {
                numbered.append("#{").append(list).append("[").append(number++).append("]}");
            } else {
                numbered.append(c);
            }
        }
        return numbered.toString();
    }

    /** This between two plain texts. */
    Sql wrapped(String before, String after) {
        return new Sql(before + text + after, values);
    }

    /** This, and another behind it. */
    Sql then(Sql next) {
        List<Object> all = new ArrayList<>(values);
        all.addAll(next.values);
        return new Sql(text + next.text, all);
    }
}
