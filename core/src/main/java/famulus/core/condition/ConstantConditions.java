package famulus.core.condition;

import famulus.core.calendar.Reckoner;
import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds conditions that come out the same for everybody.
 *
 * <p>For each value that is compared, a few stand for all it could be: nothing, each constant it is compared with, one
 * between each two of them and one beyond either end. Comparisons can't tell any other value from these, so trying all
 * of their combinations is exact. Where comparisons with other values or parts of texts are involved, or where there
 * are too many combinations, nothing is said.
 */
final class ConstantConditions {
    private static final int MOST_TRIED = 4096;
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");

    private ConstantConditions() {}

    /** What the condition always comes to; empty when it can come to either, or when that can't be known. */
    static Optional<Boolean> of(Condition condition) {
        Map<Path, Set<Value>> tried = new LinkedHashMap<>();
        if (!collect(condition, tried)) {
            return Optional.empty();
        }
        List<Path> paths = List.copyOf(tried.keySet());
        List<List<Value>> values =
                tried.values().stream().map(ConstantConditions::representatives).toList();
        long combinations = 1;
        for (List<Value> one : values) {
            combinations *= one.size() + 1L;
            if (combinations > MOST_TRIED) {
                return Optional.empty();
            }
        }
        Reckoner reckoner = new Reckoner(NOW, ZoneOffset.UTC, WorkingDays.PLAIN);
        boolean holds = false;
        boolean fails = false;
        for (long turn = 0; turn < combinations && !(holds && fails); turn++) {
            Map<Path, Value> record = record(paths, values, turn);
            boolean held = new Judge(reckoner, path -> Optional.ofNullable(record.get(path))).holds(condition);
            holds |= held;
            fails |= !held;
        }
        return holds && fails ? Optional.empty() : Optional.of(holds);
    }

    private static Map<Path, Value> record(List<Path> paths, List<List<Value>> values, long turn) {
        Map<Path, Value> record = new HashMap<>();
        long rest = turn;
        for (int i = 0; i < paths.size(); i++) {
            List<Value> one = values.get(i);
            int chosen = (int) (rest % (one.size() + 1));
            rest /= one.size() + 1;
            if (chosen > 0) {
                record.put(paths.get(i), one.get(chosen - 1));
            }
        }
        return record;
    }

    /** Gathers what each path is compared with; false when a comparison is of a sort that can't be tried out. */
    private static boolean collect(Condition condition, Map<Path, Set<Value>> tried) {
        return switch (condition) {
            case Condition.Every every -> every.parts().stream().allMatch(part -> collect(part, tried));
            case Condition.Any any -> any.parts().stream().allMatch(part -> collect(part, tried));
            case Condition.Not not -> collect(not.part(), tried);
            case Condition.Comparison comparison -> collect(comparison, tried);
        };
    }

    private static boolean collect(Condition.Comparison comparison, Map<Path, Set<Value>> tried) {
        boolean partsOfTexts =
                switch (comparison.verb()) {
                    case CONTAINS, DOES_NOT_CONTAIN, STARTS_WITH -> true;
                    default -> false;
                };
        if (partsOfTexts
                || comparison.subject().reckoned()
                || comparison.subject().path().words().size() == 1) {
            return false;
        }
        Set<Value> values = tried.computeIfAbsent(comparison.subject().path(), any -> new LinkedHashSet<>());
        if (comparison.verb().takes() == Verb.Takes.DAYS) {
            LocalDate today = NOW.atZone(ZoneOffset.UTC).toLocalDate();
            long days =
                    ((Measure.Figure) comparison.values().getFirst()).number().longValue();
            List.of(today, today.plusDays(days), today.minusDays(days)).forEach(day -> values.add(new Value.Day(day)));
            return true;
        }
        return comparison.values().stream()
                .allMatch(measure -> constant(measure).map(values::add).isPresent());
    }

    private static Optional<Value> constant(Measure measure) {
        return switch (measure) {
            case Measure.Text words -> Optional.of(words(words.text()));
            case Measure.Figure figure ->
                figure.currency().isEmpty() ? Optional.of(new Value.Number(figure.number())) : Optional.empty();
            case Measure.Answer answer -> Optional.of(new Value.YesNo(answer.yes()));
            case Measure.Other other -> Optional.empty();
        };
    }

    private static Value words(String text) {
        try {
            return new Value.Day(LocalDate.parse(text.strip()));
        } catch (DateTimeException noDay) {
            return new Value.Text(text);
        }
    }

    private static List<Value> representatives(Collection<Value> constants) {
        List<Value> all = new ArrayList<>(constants);
        for (Value constant : constants) {
            switch (constant) {
                case Value.Number number -> all.addAll(around(number.number(), constants));
                case Value.Day day -> {
                    all.add(new Value.Day(day.day().minusDays(1)));
                    all.add(new Value.Day(day.day().plusDays(1)));
                }
                case Value.Text text -> all.add(new Value.Text(text.text() + " or something else"));
                case Value.YesNo yesNo -> all.add(new Value.YesNo(!yesNo.yes()));
                default -> {}
            }
        }
        if (all.isEmpty()) {
            all.add(new Value.Text("something"));
        }
        return List.copyOf(new LinkedHashSet<>(all));
    }

    private static List<Value> around(BigDecimal number, Collection<Value> constants) {
        List<Value> around = new ArrayList<>();
        around.add(new Value.Number(number.subtract(BigDecimal.ONE)));
        around.add(new Value.Number(number.add(BigDecimal.ONE)));
        for (Value other : constants) {
            if (other instanceof Value.Number second && second.number().compareTo(number) != 0) {
                BigDecimal middle = number.add(second.number()).divide(BigDecimal.valueOf(2));
                around.add(new Value.Number(middle));
            }
        }
        return around;
    }
}
