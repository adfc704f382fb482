package famulus.core.condition;

import famulus.core.calendar.Reckoner;
import famulus.core.calendar.Reckoning;
import famulus.core.field.Path;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.function.Function;

/** Says whether a condition holds for one person. Never throws for what a condition or a record holds. */
public final class Judge {
    private final Reckoner reckoner;
    private final Function<Path, Optional<Value>> values;

    /**
     * A judge for one person at one moment.
     *
     * @param values looks stored values up; never asked for {@code today} and {@code now}
     */
    public Judge(Reckoner reckoner, Function<Path, Optional<Value>> values) {
        this.reckoner = reckoner;
        this.values = values;
    }

    /** Whether the condition holds. */
    public boolean holds(Condition condition) {
        return switch (condition) {
            case Condition.Every every -> every.parts().stream().allMatch(this::holds);
            case Condition.Any any -> any.parts().stream().anyMatch(this::holds);
            case Condition.Not not -> !holds(not.part());
            case Condition.Comparison comparison -> compares(comparison);
        };
    }

    private boolean compares(Condition.Comparison comparison) {
        Optional<Value> found = value(comparison.subject());
        return switch (comparison.verb()) {
            case IS_EMPTY -> found.isEmpty();
            case IS_FILLED -> found.isPresent();
            case IS_NOT, IS_NOT_ONE_OF ->
                found.isEmpty() || comparison.values().stream().noneMatch(one -> same(found.get(), one));
            case DOES_NOT_CONTAIN ->
                found.isEmpty() || !contains(found.get(), comparison.values().getFirst());
            default -> found.isPresent() && holds(found.get(), comparison);
        };
    }

    private boolean holds(Value value, Condition.Comparison comparison) {
        Measure first = comparison.values().getFirst();
        return switch (comparison.verb()) {
            case IS, IS_ONE_OF -> comparison.values().stream().anyMatch(one -> same(value, one));
            case IS_MORE_THAN, IS_AFTER ->
                order(value, first).filter(way -> way > 0).isPresent();
            case IS_LESS_THAN, IS_BEFORE ->
                order(value, first).filter(way -> way < 0).isPresent();
            case IS_AT_LEAST -> order(value, first).filter(way -> way >= 0).isPresent();
            case IS_AT_MOST -> order(value, first).filter(way -> way <= 0).isPresent();
            case IS_BETWEEN ->
                order(value, first).filter(way -> way >= 0).isPresent()
                        && order(value, comparison.values().getLast())
                                .filter(way -> way <= 0)
                                .isPresent();
            case CONTAINS -> contains(value, first);
            case STARTS_WITH ->
                words(value)
                        .flatMap(text -> words(first).map(start -> text.startsWith(start)))
                        .orElse(false);
            default -> near(value, comparison.verb(), first);
        };
    }

    private boolean near(Value value, Verb verb, Measure measure) {
        Optional<LocalDate> day = day(value);
        if (day.isEmpty() || !(measure instanceof Measure.Figure figure)) {
            return false;
        }
        LocalDate today = reckoner.today();
        LocalDate before = today.minusDays(figure.number().longValue());
        LocalDate after = today.plusDays(figure.number().longValue());
        return switch (verb) {
            case IS_WITHIN -> !day.get().isBefore(before) && !day.get().isAfter(after);
            case IS_WITHIN_NEXT -> !day.get().isBefore(today) && !day.get().isAfter(after);
            case IS_WITHIN_LAST -> !day.get().isBefore(before) && !day.get().isAfter(today);
            case IS_MORE_THAN_AGO -> day.get().isBefore(before);
            default -> false;
        };
    }

    private boolean same(Value value, Measure measure) {
        if (value instanceof Value.YesNo answer) {
            return measure instanceof Measure.Answer asked
                    ? asked.yes() == answer.yes()
                    : other(measure).filter(answer::equals).isPresent();
        }
        Optional<Integer> order = order(value, measure);
        if (order.isPresent()) {
            return order.get() == 0;
        }
        Optional<String> text = words(value);
        Optional<String> asked = words(measure);
        return asked.isPresent() && (text.equals(asked) || goesBy(value, asked.get()));
    }

    /** Whether a choice had a label before that is asked for now. */
    private static boolean goesBy(Value value, String asked) {
        return value instanceof Value.Text text
                && text.also().stream().map(TextKey::of).anyMatch(asked::equals);
    }

    private boolean contains(Value value, Measure measure) {
        Optional<String> asked = words(measure);
        if (asked.isEmpty()) {
            return false;
        }
        if (value instanceof Value.Several several) {
            return several.labels().stream().map(TextKey::of).anyMatch(asked.get()::equals);
        }
        return words(value).filter(text -> text.contains(asked.get())).isPresent();
    }

    /** Below zero when the value comes before the measure; empty when the two can't be put in order. */
    private Optional<Integer> order(Value value, Measure measure) {
        return switch (value) {
            case Value.Number number -> number(measure).map(number.number()::compareTo);
            case Value.Money money -> amount(money, measure);
            case Value.Day day -> day(measure).map(day.day()::compareTo);
            case Value.Moment moment ->
                day(measure).map(other -> day(moment).orElseThrow().compareTo(other));
            default -> Optional.empty();
        };
    }

    /** An amount with a currency is only ever compared with amounts in the same one. */
    private Optional<Integer> amount(Value.Money money, Measure measure) {
        if (measure instanceof Measure.Figure figure) {
            return figure.currency().isEmpty() || figure.currency().equals(money.currency())
                    ? Optional.of(money.amount().compareTo(figure.number()))
                    : Optional.empty();
        }
        return other(measure)
                .filter(Value.Money.class::isInstance)
                .map(Value.Money.class::cast)
                .filter(other -> other.currency().equals(money.currency()))
                .map(other -> money.amount().compareTo(other.amount()));
    }

    private Optional<BigDecimal> number(Measure measure) {
        if (measure instanceof Measure.Figure figure) {
            return figure.currency().isEmpty() ? Optional.of(figure.number()) : Optional.empty();
        }
        return other(measure).filter(Value.Number.class::isInstance).map(number -> ((Value.Number) number).number());
    }

    private Optional<LocalDate> day(Measure measure) {
        if (measure instanceof Measure.Text words) {
            try {
                return Optional.of(LocalDate.parse(words.text().strip()));
            } catch (DateTimeException wrong) {
                return Optional.empty();
            }
        }
        return other(measure).flatMap(this::day);
    }

    private Optional<LocalDate> day(Value value) {
        return switch (value) {
            case Value.Day day -> Optional.of(day.day());
            case Value.Moment moment ->
                Optional.of(moment.instant().atZone(reckoner.zone()).toLocalDate());
            default -> Optional.empty();
        };
    }

    private Optional<String> words(Measure measure) {
        return measure instanceof Measure.Text words
                ? Optional.of(TextKey.of(words.text()))
                : other(measure).flatMap(Judge::words);
    }

    private static Optional<String> words(Value value) {
        return switch (value) {
            case Value.Text text -> Optional.of(TextKey.of(text.text()));
            case Value.Phone phone -> Optional.of(TextKey.of(phone.number()));
            case Value.Name name -> Optional.of(TextKey.of(name.first() + " " + name.last()));
            default -> Optional.empty();
        };
    }

    private Optional<Value> other(Measure measure) {
        return measure instanceof Measure.Other other ? value(other.reckoning()) : Optional.empty();
    }

    private Optional<Value> value(Reckoning reckoning) {
        return reckoner.value(reckoning, values).filter(value -> !value.missing());
    }
}
