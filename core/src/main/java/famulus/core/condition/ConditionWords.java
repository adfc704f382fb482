package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.field.Path;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Says a condition as a sentence that people read: labels in place of paths, no quotes, no brackets that need none. */
public final class ConditionWords {
    private final Function<Path, String> label;

    /**
     * Words for conditions.
     *
     * @param label what a path is called on screen
     */
    public ConditionWords(Function<Path, String> label) {
        this.label = label;
    }

    /** The sentence, without a capital at its beginning and without a full stop. */
    public String of(Condition condition) {
        return switch (condition) {
            case Condition.Every every -> joined(every.parts(), " and ");
            case Condition.Any any -> joined(any.parts(), " or ");
            case Condition.Not not -> "not (" + of(not.part()) + ")";
            case Condition.Comparison comparison -> comparison(comparison);
        };
    }

    private String joined(List<Condition> parts, String with) {
        return parts.stream()
                .map(part -> part instanceof Condition.Every || part instanceof Condition.Any
                        ? "(" + of(part) + ")"
                        : of(part))
                .collect(Collectors.joining(with));
    }

    private String comparison(Condition.Comparison comparison) {
        String begun = reckoning(comparison.subject()) + " " + comparison.verb().written();
        List<String> measures = comparison.values().stream().map(this::measure).toList();
        return switch (comparison.verb().takes()) {
            case NOTHING -> begun;
            case ONE -> begun + " " + measures.getFirst();
            case TWO -> begun + " " + measures.getFirst() + " and " + measures.getLast();
            case SEVERAL -> begun + " " + String.join(", ", measures);
            case DAYS ->
                begun + " " + measures.getFirst() + (measures.getFirst().equals("1") ? " day" : " days")
                        + comparison.verb().after();
        };
    }

    private String measure(Measure measure) {
        return switch (measure) {
            case Measure.Text words -> words.text();
            case Measure.Other other -> reckoning(other.reckoning());
            case Measure.Figure figure -> figure.written();
            case Measure.Answer answer -> answer.written();
        };
    }

    private String reckoning(Reckoning reckoning) {
        String path = reckoning.path().toString();
        boolean moment = reckoning.path().words().size() == 1;
        return (moment ? path : label.apply(reckoning.path()))
                + reckoning.written().substring(path.length());
    }
}
