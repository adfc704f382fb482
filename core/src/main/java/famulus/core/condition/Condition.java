package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.field.Path;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A condition as parsed; immutable. */
public sealed interface Condition {
    /** Where it stands in the source it was parsed from. */
    Span span();

    /** The canonical written form; parsing it gives an equal condition, but for the places. */
    String written();

    /** Every path that is compared or compared with, in the order it stands; moments such as {@code today} too. */
    default Stream<Path> paths() {
        return switch (this) {
            case Every every -> every.parts().stream().flatMap(Condition::paths);
            case Any any -> any.parts().stream().flatMap(Condition::paths);
            case Not not -> not.part().paths();
            case Comparison comparison ->
                Stream.concat(
                        Stream.of(comparison.subject().path()),
                        comparison.values().stream()
                                .filter(Measure.Other.class::isInstance)
                                .map(other ->
                                        ((Measure.Other) other).reckoning().path()));
        };
    }

    /** Holds when all of its parts hold. */
    record Every(List<Condition> parts, Span span) implements Condition {
        public Every {
            parts = List.copyOf(parts);
        }

        @Override
        public String written() {
            return parts.stream()
                    .map(part ->
                            part instanceof Every || part instanceof Any ? "(" + part.written() + ")" : part.written())
                    .collect(Collectors.joining(" and "));
        }
    }

    /** Holds when at least one of its parts holds. */
    record Any(List<Condition> parts, Span span) implements Condition {
        public Any {
            parts = List.copyOf(parts);
        }

        @Override
        public String written() {
            return parts.stream()
                    .map(part -> part instanceof Any ? "(" + part.written() + ")" : part.written())
                    .collect(Collectors.joining(" or "));
        }
    }

    /** Holds when its part does not. */
    record Not(Condition part, Span span) implements Condition {
        @Override
        public String written() {
            return "not (" + part.written() + ")";
        }
    }

    /**
     * Compares a value.
     *
     * @param subject what is compared
     * @param verb how
     * @param values with what: none, one, two or several, as the verb asks for
     */
    record Comparison(Reckoning subject, Verb verb, List<Measure> values, Span span) implements Condition {
        public Comparison {
            values = List.copyOf(values);
        }

        @Override
        public String written() {
            String written = subject.written() + " " + verb.written();
            return switch (verb.takes()) {
                case NOTHING -> written;
                case ONE -> written + " " + values.getFirst().written();
                case TWO ->
                    written + " " + values.getFirst().written() + " and "
                            + values.getLast().written();
                case SEVERAL ->
                    values.stream().map(Measure::written).collect(Collectors.joining(", ", written + " (", ")"));
                case DAYS -> {
                    String days = values.getFirst().written();
                    yield written + " " + days + (days.equals("1") ? " day" : " days") + verb.after();
                }
            };
        }
    }
}
