package famulus.server.lists;

import famulus.core.calendar.Reckoning;
import famulus.core.condition.Condition;
import famulus.core.condition.Measure;
import famulus.core.condition.Verb;
import famulus.core.field.Path;
import famulus.core.syntax.Span;
import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.util.List;

/**
 * A condition as the sentence builder shows and changes it.
 *
 * @param kind {@code every} and {@code any} hold parts, {@code not} holds one, {@code comparison} compares
 * @param path what is compared; empty for conditions that hold parts
 * @param steps what is reckoned from the path's day
 * @param verb null for conditions that hold parts
 */
public record ShownCondition(
        String kind,
        List<ShownCondition> parts,
        String path,
        List<ShownStep> steps,
        @Schema(nullable = true) Verb verb,
        List<ShownMeasure> measures) {
    private static final Span NOWHERE = new Span(0, 0);
    private static final int DEEPEST = 20;

    /**
     * What a value is compared with.
     *
     * @param kind text, number, yes, no, or field
     * @param value the text, the number or the path
     * @param currency for amounts, three letters or none
     * @param steps what is reckoned from the path's day
     */
    public record ShownMeasure(String kind, String value, String currency, List<ShownStep> steps) {}

    static ShownCondition of(Condition condition) {
        return switch (condition) {
            case Condition.Every every -> group("every", every.parts());
            case Condition.Any any -> group("any", any.parts());
            case Condition.Not not -> group("not", List.of(not.part()));
            case Condition.Comparison comparison ->
                new ShownCondition(
                        "comparison",
                        List.of(),
                        comparison.subject().path().toString(),
                        ShownStep.of(comparison.subject()),
                        comparison.verb(),
                        comparison.values().stream().map(ShownCondition::of).toList());
        };
    }

    private static ShownCondition group(String kind, List<Condition> parts) {
        return new ShownCondition(
                kind, parts.stream().map(ShownCondition::of).toList(), "", List.of(), null, List.of());
    }

    private static ShownMeasure of(Measure measure) {
        return switch (measure) {
            case Measure.Text words -> new ShownMeasure("text", words.text(), "", List.of());
            case Measure.Figure figure ->
                new ShownMeasure("number", figure.number().toPlainString(), figure.currency(), List.of());
            case Measure.Answer answer -> new ShownMeasure(answer.yes() ? "yes" : "no", "", "", List.of());
            case Measure.Other other ->
                new ShownMeasure("field", other.reckoning().path().toString(), "", ShownStep.of(other.reckoning()));
        };
    }

    /** The condition itself; refused when a part of the sentence is still missing. */
    Condition condition() {
        return condition(0);
    }

    private Condition condition(int depth) {
        if (depth > DEEPEST) {
            throw Refusal.field("condition", "This is nested too deep.");
        }
        List<Condition> held =
                parts.stream().map(part -> part.condition(depth + 1)).toList();
        if (!"comparison".equals(kind) && held.isEmpty()) {
            throw Refusal.field("condition", "Add a condition.");
        }
        return switch (kind) {
            case "every" -> held.size() == 1 ? held.getFirst() : new Condition.Every(held, NOWHERE);
            case "any" -> held.size() == 1 ? held.getFirst() : new Condition.Any(held, NOWHERE);
            case "not" -> new Condition.Not(held.getFirst(), NOWHERE);
            default -> comparison();
        };
    }

    private Condition comparison() {
        if (verb == null) {
            throw Refusal.field("condition", "Choose how it is compared.");
        }
        int wanted =
                switch (verb.takes()) {
                    case NOTHING -> 0;
                    case ONE, DAYS -> 1;
                    case TWO -> 2;
                    case SEVERAL -> Math.max(1, measures.size());
                };
        if (path.isBlank()) {
            throw Refusal.field("condition", "Choose what is compared.");
        }
        if (measures.size() != wanted) {
            throw Refusal.field("condition", "Choose what it is compared with.");
        }
        return new Condition.Comparison(
                reckoning(path, steps),
                verb,
                measures.stream().map(ShownCondition::measure).toList(),
                NOWHERE);
    }

    private static Measure measure(ShownMeasure measure) {
        return switch (measure.kind()) {
            case "number" -> new Measure.Figure(number(measure.value()), measure.currency());
            case "yes" -> new Measure.Answer(true);
            case "no" -> new Measure.Answer(false);
            case "field" -> new Measure.Other(reckoning(measure.value(), measure.steps()));
            default -> words(measure.value());
        };
    }

    private static Measure words(String text) {
        if (text.isBlank()) {
            throw Refusal.field("condition", "Choose what it is compared with.");
        }
        return new Measure.Text(text.strip());
    }

    /** A number as a person types one; others, such as one of a billion digits, are none. */
    public static BigDecimal number(String typed) {
        String plain = typed.strip().replace(',', '.');
        if (!plain.matches("[+-]?\\d{1,18}(\\.\\d{1,9})?")) {
            throw Refusal.field("condition", "“" + shortened(typed) + "” is not a number.");
        }
        return new BigDecimal(plain);
    }

    private static String shortened(String typed) {
        return typed.length() > 40 ? typed.substring(0, 40) + "…" : typed;
    }

    private static Reckoning reckoning(String path, List<ShownStep> steps) {
        if (!path.matches("[\\p{L}\\p{N}_]+(\\.[\\p{L}\\p{N}_]+)*")) {
            throw Refusal.field("condition", "Choose what is compared.");
        }
        return new Reckoning(
                Path.of(path),
                steps.stream()
                        .map(step -> new Reckoning.Step(step.number(), step.unit()))
                        .toList());
    }
}
