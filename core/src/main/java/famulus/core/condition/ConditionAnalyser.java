package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.PathReading;
import famulus.core.syntax.NearestNames;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Says what is wrong with a condition before any record is looked at. */
public final class ConditionAnalyser {
    private static final int MOST_NAMED = 6;

    private final PathReading paths;

    /** An analyser that follows paths so. */
    public ConditionAnalyser(PathReading paths) {
        this.paths = paths;
    }

    /** Returns every problem in the order it stands; empty when the condition can hold for some and fail for others. */
    public List<Problem> analyse(Condition condition) {
        List<Problem> problems = new ArrayList<>();
        read(condition, problems);
        if (problems.isEmpty()) {
            ConstantConditions.of(condition)
                    .ifPresent(always -> problems.add(new Problem(
                            Problem.Code.FOREGONE,
                            condition.span(),
                            always
                                    ? "This is always true. Remove the condition, or make it narrower."
                                    : "This is never true. One of its parts rules another out.",
                            List.of())));
        }
        return problems;
    }

    private void read(Condition condition, List<Problem> problems) {
        switch (condition) {
            case Condition.Every every -> every.parts().forEach(part -> read(part, problems));
            case Condition.Any any -> any.parts().forEach(part -> read(part, problems));
            case Condition.Not not -> read(not.part(), problems);
            case Condition.Comparison comparison -> comparison(comparison, problems);
        }
    }

    private void comparison(Condition.Comparison comparison, List<Problem> problems) {
        Optional<FieldDefinition> found =
                field(comparison.subject(), comparison.span().start(), problems);
        if (found.isEmpty()) {
            return;
        }
        FieldDefinition field = found.get();
        Verb.Group group = Verb.Group.of(field.type());
        if (comparison.subject().reckoned() && group != Verb.Group.DAYS) {
            problems.add(broken(comparison.span(), field.label() + " is not a date, so nothing can be added to it."));
            return;
        }
        if (!comparison.verb().fits(group)) {
            List<String> can =
                    Verb.of(group).stream().map(Verb::written).limit(MOST_NAMED).toList();
            problems.add(broken(
                    comparison.span(),
                    field.label() + " can't be compared with “"
                            + comparison.verb().written() + "”. It can be compared with “"
                            + String.join("”, “", can) + "”."));
            return;
        }
        if (comparison.verb().takes() != Verb.Takes.DAYS) {
            comparison.values().forEach(value -> value(field, group, value, comparison.span(), problems));
        }
    }

    private Optional<FieldDefinition> field(Reckoning reckoning, int start, List<Problem> problems) {
        Optional<FieldDefinition> field = paths.field(reckoning.path());
        if (field.isEmpty()) {
            problems.add(paths.unknown(reckoning.path(), start));
        }
        return field;
    }

    private void value(FieldDefinition field, Verb.Group group, Measure measure, Span span, List<Problem> problems) {
        boolean fits =
                switch (measure) {
                    case Measure.Text words -> words(field, group, words, span, problems);
                    case Measure.Figure figure ->
                        group == Verb.Group.FIGURES && (figure.currency().isEmpty() || field.type() == FieldType.MONEY);
                    case Measure.Answer answer -> group == Verb.Group.ANSWER;
                    case Measure.Other other -> {
                        int before = problems.size();
                        Optional<FieldDefinition> compared = field(other.reckoning(), span.start(), problems);
                        yield problems.size() > before
                                || compared.map(one -> Verb.Group.of(one.type()))
                                        .filter(one -> one == group || (isText(one) && isText(group)))
                                        .isPresent();
                    }
                };
        if (!fits) {
            problems.add(broken(
                    span,
                    field.label() + " is " + described(group) + " and can't be compared with " + measure.written()
                            + "."));
        }
    }

    private static boolean isText(Verb.Group group) {
        return group == Verb.Group.WORDS || group == Verb.Group.COLLEAGUE || group == Verb.Group.SEVERAL;
    }

    private boolean words(
            FieldDefinition field, Verb.Group group, Measure.Text words, Span span, List<Problem> problems) {
        if (group == Verb.Group.DAYS) {
            return isDay(words.text());
        }
        if (!isText(group)) {
            return false;
        }
        List<String> labels =
                field.choices().stream().map(FieldDefinition.FieldOption::label).toList();
        Stream<String> earlier = field.choices().stream().flatMap(choice -> choice.earlier().stream());
        boolean known = labels.isEmpty()
                || Stream.concat(labels.stream(), earlier).map(TextKey::of).anyMatch(TextKey.of(words.text())::equals);
        if (!known) {
            problems.add(new Problem(
                    Problem.Code.FIELD_BROKEN,
                    span,
                    field.label() + " can't be “" + words.text() + "”. It can be “"
                            + String.join(
                                    "”, “", labels.stream().limit(MOST_NAMED).toList()) + "”"
                            + (labels.size() > MOST_NAMED ? " and others." : "."),
                    NearestNames.of(words.text(), labels)));
        }
        return true;
    }

    private static boolean isDay(String text) {
        try {
            LocalDate.parse(text.strip());
            return true;
        } catch (DateTimeException wrong) {
            return false;
        }
    }

    private static String described(Verb.Group group) {
        return switch (group) {
            case WORDS -> "a text";
            case FIGURES -> "a number";
            case DAYS -> "a day, such as “2026-05-04” or “today plus 2 weeks”,";
            case ANSWER -> "yes or no";
            case SEVERAL -> "a list";
            case COLLEAGUE -> "a colleague's name";
        };
    }

    private static Problem broken(Span span, String sentence) {
        return new Problem(Problem.Code.FIELD_BROKEN, span, sentence, List.of());
    }
}
