package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.Path;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Says a condition as a sentence that people read: labels in place of paths, no quotes, no brackets that need none. */
public final class ConditionWords {
    private final Function<Path, String> label;
    private final Function<Path, List<FieldOption>> choices;

    /**
     * Words for conditions.
     *
     * @param label what a path is called on screen
     * @param choices what can be chosen for the field at a path; none for other fields
     */
    public ConditionWords(Function<Path, String> label, Function<Path, List<FieldOption>> choices) {
        this.label = label;
        this.choices = choices;
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
        List<FieldOption> options = choices.apply(comparison.subject().path());
        List<String> measures = comparison.values().stream()
                .map(measure -> measure(measure, options))
                .toList();
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

    private String measure(Measure measure, List<FieldOption> options) {
        return switch (measure) {
            case Measure.Text words -> today(words.text(), options);
            case Measure.Other other -> reckoning(other.reckoning());
            case Measure.Figure figure -> figure.written();
            case Measure.Answer answer -> answer.written();
        };
    }

    /** The label that a choice has today, for one that it had before. */
    private static String today(String label, List<FieldOption> options) {
        String asked = TextKey.of(label);
        boolean now = options.stream().anyMatch(one -> TextKey.of(one.label()).equals(asked));
        return options.stream()
                .filter(one -> !now && one.earlier().stream().map(TextKey::of).anyMatch(asked::equals))
                .map(FieldOption::label)
                .findFirst()
                .orElse(label);
    }

    private String reckoning(Reckoning reckoning) {
        String path = reckoning.path().toString();
        boolean moment = reckoning.path().words().size() == 1;
        return (moment ? path : label.apply(reckoning.path()))
                + reckoning.written().substring(path.length());
    }
}
