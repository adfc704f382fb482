package famulus.server.lists;

import famulus.core.calendar.Reckoner;
import famulus.core.calendar.Reckoning;
import famulus.core.calendar.TimeUnit;
import famulus.core.condition.Condition;
import famulus.core.condition.Measure;
import famulus.core.condition.TextKey;
import famulus.core.condition.Verb;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.server.lists.SqlValue.Sort;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Compiles conditions to SQL that is true, never null, for exactly the people for whom the core's judge says so.
 *
 * <p>Days are where the person is: a condition that looks at the calendar is compiled once for each of the days it is
 * just now, or for each time zone when it looks at moments. What SQL can't say alike everywhere, such as working days
 * of the person's country, makes the whole compile to nothing; the judge is then asked for each person.
 */
final class ConditionSql {
    private static final long FARTHEST_DAYS = 36_500;
    private static final Set<Verb> CHOSEN = Set.of(Verb.IS, Verb.IS_ONE_OF, Verb.IS_NOT, Verb.IS_NOT_ONE_OF);

    private final AskedRecords people;
    private final Reckoner reckoner;
    /** Whether a moment or the calendar has been looked at. */
    private boolean momentsRead;

    private boolean daysRead;

    private ConditionSql(AskedRecords people, Reckoner reckoner) {
        this.people = people;
        this.reckoner = reckoner;
    }

    /** Thrown within this class only, where SQL can't say what a condition says. */
    private static final class Unsayable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private Unsayable() {
            super(null, null, false, false);
        }
    }

    /**
     * Compiles a condition.
     *
     * @param zones every time zone that somebody is in, with the reckoner of the house for everybody else
     * @return SQL over what {@code people} is read from; empty when SQL can't say it
     */
    static Optional<Sql> of(Condition condition, AskedRecords people, Reckoner house, List<ZoneId> zones) {
        try {
            ConditionSql first = new ConditionSql(people, house);
            Sql usual = first.compile(condition);
            if (!first.daysRead && !first.momentsRead) {
                return Optional.of(usual);
            }
            Map<Object, List<ZoneId>> alike = new LinkedHashMap<>();
            for (ZoneId zone : zones) {
                LocalDate today = house.now().atZone(zone).toLocalDate();
                boolean asAtHome = first.momentsRead ? zone.equals(house.zone()) : today.equals(house.today());
                if (!asAtHome) {
                    alike.computeIfAbsent(first.momentsRead ? zone : today, any -> new ArrayList<>())
                            .add(zone);
                }
            }
            List<Sql> ways = new ArrayList<>();
            List<Sql> elsewhere = new ArrayList<>();
            for (List<ZoneId> group : alike.values()) {
                Sql there = people.zoneIn(group.stream().map(ZoneId::getId).toList());
                Reckoner reckoner = new Reckoner(house.now(), group.getFirst(), house.workingDays());
                ways.add(Sql.put("(%s and %s)", there, new ConditionSql(people, reckoner).compile(condition)));
                elsewhere.add(Sql.put("coalesce(%s, false)", there));
            }
            ways.add(elsewhere.isEmpty() ? usual : Sql.put("(not (%s) and %s)", Sql.join(" or ", elsewhere), usual));
            return Optional.of(
                    Sql.put("coalesce(%s, false)", Sql.join(" or ", ways).wrapped("(", ")")));
        } catch (Unsayable inSql) {
            return Optional.empty();
        }
    }

    private Sql compile(Condition condition) {
        return switch (condition) {
            case Condition.Every every ->
                Sql.join(" and ", every.parts().stream().map(this::compile).toList())
                        .wrapped("(", ")");
            case Condition.Any any ->
                Sql.join(" or ", any.parts().stream().map(this::compile).toList())
                        .wrapped("(", ")");
            case Condition.Not not -> compile(not.part()).wrapped("(not ", ")");
            case Condition.Comparison comparison -> compile(comparison);
        };
    }

    private Sql compile(Condition.Comparison comparison) {
        Optional<Sql> chosen = chosen(comparison);
        if (chosen.isPresent()) {
            return chosen.get();
        }
        SqlValue subject = value(comparison.subject());
        List<Measure> measures = comparison.values();
        return switch (comparison.verb()) {
            case IS_EMPTY -> subject.missing();
            case IS_FILLED -> subject.missing().wrapped("(not ", ")");
            case IS, IS_ONE_OF -> anySame(subject, named(comparison));
            case IS_NOT, IS_NOT_ONE_OF -> anySame(subject, named(comparison)).wrapped("(not ", ")");
            case CONTAINS -> contains(subject, comparison.subject(), measures.getFirst());
            case DOES_NOT_CONTAIN ->
                contains(subject, comparison.subject(), measures.getFirst()).wrapped("(not ", ")");
            case STARTS_WITH -> startsWith(subject, measures.getFirst());
            case IS_MORE_THAN, IS_AFTER -> ordered(subject, ">", measures.getFirst());
            case IS_LESS_THAN, IS_BEFORE -> ordered(subject, "<", measures.getFirst());
            case IS_AT_LEAST -> ordered(subject, ">=", measures.getFirst());
            case IS_AT_MOST -> ordered(subject, "<=", measures.getFirst());
            case IS_BETWEEN ->
                Sql.put(
                        "(%s and %s)",
                        ordered(subject, ">=", measures.getFirst()), ordered(subject, "<=", measures.getLast()));
            default -> near(subject, comparison.verb(), measures.getFirst());
        };
    }

    /** Whether one of some labels is chosen, by its code; empty for what compares otherwise, or other fields. */
    private Optional<Sql> chosen(Condition.Comparison comparison) {
        Reckoning subject = comparison.subject();
        List<Measure> labels = named(comparison);
        if (!CHOSEN.contains(comparison.verb())
                || subject.reckoned()
                || !labels.stream().allMatch(Measure.Text.class::isInstance)) {
            return Optional.empty();
        }
        return people.code(subject.path()).map(code -> {
            Sql any = Sql.join(
                            " or ",
                            labels.stream()
                                    .map(label -> hasLabel(
                                            code,
                                            people.options(subject.path()),
                                            TextKey.of(((Measure.Text) label).text())))
                                    .toList())
                    .wrapped("(", ")");
            return comparison.verb() == Verb.IS || comparison.verb() == Verb.IS_ONE_OF
                    ? any
                    : any.wrapped("(not ", ")");
        });
    }

    /** A code that is no choice any more is its own label. */
    private static Sql hasLabel(Sql code, List<FieldOption> options, String asked) {
        List<Sql> ways = new ArrayList<>();
        Sql itself = Sql.put("lower(%s) = ?", code).then(Sql.of("", asked));
        for (FieldOption option : options) {
            if (TextKey.of(option.label()).equals(asked)) {
                ways.add(Sql.put("%s = ?", code).then(Sql.of("", option.code())));
            }
            if (TextKey.of(option.code()).equals(asked)) {
                itself = Sql.put("(%s and %s <> ?)", itself, code).then(Sql.of("", option.code()));
            }
        }
        ways.add(itself);
        return certain(Sql.join(" or ", ways).wrapped("(", ")"));
    }

    /** What is compared with, and for labels that a choice had before those it has today. */
    private List<Measure> named(Condition.Comparison comparison) {
        List<Measure> named = new ArrayList<>(comparison.values());
        for (FieldOption choice : people.options(comparison.subject().path())) {
            comparison.values().stream()
                    .filter(Measure.Text.class::isInstance)
                    .map(measure -> TextKey.of(((Measure.Text) measure).text()))
                    .filter(asked -> choice.earlier().stream().map(TextKey::of).anyMatch(asked::equals))
                    .forEach(asked -> named.add(new Measure.Text(choice.label())));
        }
        return named;
    }

    private Sql anySame(SqlValue subject, List<Measure> measures) {
        return Sql.join(" or ", measures.stream().map(one -> same(subject, one)).toList())
                .wrapped("(", ")");
    }

    private Sql same(SqlValue subject, Measure measure) {
        if (subject.sort() == Sort.ANSWER) {
            if (measure instanceof Measure.Answer answer) {
                return certain(Sql.put("%s = ?", subject.value()).then(Sql.of("", answer.yes() ? "yes" : "no")));
            }
            SqlValue other = other(measure);
            return other == null || other.sort() != Sort.ANSWER
                    ? Sql.FALSE
                    : certain(Sql.put("%s = %s", subject.value(), other.value()));
        }
        if (subject.sort() == Sort.TEXT) {
            Sql asked = words(measure);
            return asked == null ? Sql.FALSE : certain(Sql.put("lower(%s) = %s", subject.value(), asked));
        }
        return ordered(subject, "=", measure);
    }

    private Sql contains(SqlValue subject, Reckoning where, Measure measure) {
        if (subject.sort() == Sort.SEVERAL) {
            return several(subject, where, measure);
        }
        Sql asked = subject.sort() == Sort.TEXT ? words(measure) : null;
        if (asked == null) {
            return Sql.FALSE;
        }
        return isEmpty(measure)
                ? subject.missing().wrapped("(not ", ")")
                : certain(Sql.put("position(%s in lower(%s)) > 0", asked, subject.value()));
    }

    /** One of the chosen labels is what is asked for; what is stored are codes, one a line. */
    private Sql several(SqlValue subject, Reckoning where, Measure measure) {
        if (!(measure instanceof Measure.Text words)) {
            if (other(measure) == null) {
                return Sql.FALSE;
            }
            throw new Unsayable();
        }
        String asked = TextKey.of(words.text());
        List<FieldOption> choices = people.choices(where.path());
        List<Sql> ways = new ArrayList<>();
        choices.stream()
                .filter(choice -> TextKey.of(choice.label()).equals(asked))
                .forEach(choice -> ways.add(holdsLine(subject.value(), choice.code())));
        // A code that is no choice any more is its own label.
        if (choices.stream().noneMatch(choice -> choice.code().equalsIgnoreCase(asked)) && !asked.contains("\n")) {
            ways.add(holdsLine(Sql.put("lower(%s)", subject.value()), asked));
        }
        return ways.isEmpty() ? Sql.FALSE : Sql.join(" or ", ways).wrapped("(", ")");
    }

    private static Sql holdsLine(Sql lines, String line) {
        return certain(
                Sql.of("position(? in ", "\n" + line + "\n").then(lines.wrapped("(chr(10) || ", " || chr(10))) > 0")));
    }

    private Sql startsWith(SqlValue subject, Measure measure) {
        Sql asked = subject.sort() == Sort.TEXT ? words(measure) : null;
        if (asked == null) {
            return Sql.FALSE;
        }
        return isEmpty(measure)
                ? subject.missing().wrapped("(not ", ")")
                : certain(Sql.put("position(%s in lower(%s)) = 1", asked, subject.value()));
    }

    private static boolean isEmpty(Measure measure) {
        return measure instanceof Measure.Text words && words.text().isBlank();
    }

    /** The text to compare with, ready to be compared; null when the measure is no text. */
    private Sql words(Measure measure) {
        if (measure instanceof Measure.Text words) {
            return Sql.of("cast(? as varchar)", TextKey.of(words.text()));
        }
        SqlValue other = other(measure);
        return other == null || other.sort() != Sort.TEXT ? null : Sql.put("lower(%s)", other.value());
    }

    private Sql ordered(SqlValue subject, String way, Measure measure) {
        return switch (subject.sort()) {
            case NUMBER -> figures(subject, way, measure);
            case MONEY -> amounts(subject, way, measure);
            case DAY, MOMENT -> days(subject, way, measure);
            case TEXT, ANSWER, SEVERAL -> Sql.FALSE;
        };
    }

    private Sql figures(SqlValue subject, String way, Measure measure) {
        if (measure instanceof Measure.Figure figure) {
            return figure.currency().isEmpty()
                    ? certain(Sql.put("%s " + way + " ?", subject.value()).then(Sql.of("", figure.number())))
                    : Sql.FALSE;
        }
        SqlValue other = other(measure);
        return other == null || other.sort() != Sort.NUMBER
                ? Sql.FALSE
                : certain(Sql.put("%s " + way + " %s", subject.value(), other.value()));
    }

    private Sql amounts(SqlValue subject, String way, Measure measure) {
        if (measure instanceof Measure.Figure figure) {
            Sql amount = Sql.put("%s " + way + " ?", subject.value()).then(Sql.of("", figure.number()));
            return figure.currency().isEmpty()
                    ? certain(amount)
                    : certain(
                            Sql.put("%s and %s = ?", amount, subject.currency()).then(Sql.of("", figure.currency())));
        }
        SqlValue other = other(measure);
        return other == null || other.sort() != Sort.MONEY
                ? Sql.FALSE
                : certain(Sql.put(
                        "%s " + way + " %s and %s = %s",
                        subject.value(),
                        other.value(),
                        subject.currency(),
                        other.currency()));
    }

    private Sql days(SqlValue subject, String way, Measure measure) {
        if (measure instanceof Measure.Text words) {
            try {
                return days(subject, way, LocalDate.parse(words.text().strip()));
            } catch (DateTimeException noDay) {
                return Sql.FALSE;
            }
        }
        if (measure instanceof Measure.Other other
                && isCalendar(other.reckoning().path())) {
            return calendar(other.reckoning())
                    .map(day -> days(subject, way, day))
                    .orElse(Sql.FALSE);
        }
        SqlValue other = other(measure);
        if (other == null || (other.sort() != Sort.DAY && other.sort() != Sort.MOMENT)) {
            return Sql.FALSE;
        }
        if (subject.sort() == Sort.MOMENT || other.sort() == Sort.MOMENT) {
            throw new Unsayable();
        }
        return certain(Sql.put("%s " + way + " %s", subject.value(), other.value()));
    }

    private Sql days(SqlValue subject, String way, LocalDate day) {
        if (subject.sort() == Sort.DAY) {
            return certain(
                    Sql.put("%s " + way + " cast(? as date)", subject.value()).then(Sql.of("", day)));
        }
        momentsRead = true;
        Sql begun = Sql.put("%s >= ?", subject.value()).then(Sql.of("", start(day)));
        Sql ended = Sql.put("%s >= ?", subject.value()).then(Sql.of("", start(day.plusDays(1))));
        return certain(
                switch (way) {
                    case "<" -> begun.wrapped("not (", ")");
                    case ">=" -> begun;
                    case ">" -> ended;
                    case "<=" -> ended.wrapped("not (", ")");
                    default -> Sql.put("%s and not (%s)", begun, ended);
                });
    }

    private OffsetDateTime start(LocalDate day) {
        return day.atStartOfDay(reckoner.zone()).toInstant().atOffset(ZoneOffset.UTC);
    }

    private Sql near(SqlValue subject, Verb verb, Measure measure) {
        if ((subject.sort() != Sort.DAY && subject.sort() != Sort.MOMENT)
                || !(measure instanceof Measure.Figure figure)) {
            return Sql.FALSE;
        }
        daysRead = true;
        LocalDate today = reckoner.today();
        LocalDate before = today.minusDays(figure.number().longValue());
        LocalDate after = today.plusDays(figure.number().longValue());
        return switch (verb) {
            case IS_WITHIN -> Sql.put("(%s and %s)", days(subject, ">=", before), days(subject, "<=", after));
            case IS_WITHIN_NEXT -> Sql.put("(%s and %s)", days(subject, ">=", today), days(subject, "<=", after));
            case IS_WITHIN_LAST -> Sql.put("(%s and %s)", days(subject, ">=", before), days(subject, "<=", today));
            case IS_MORE_THAN_AGO -> days(subject, "<", before);
            default -> Sql.FALSE;
        };
    }

    /** The value of a measure that names one; null for any other measure. */
    private SqlValue other(Measure measure) {
        return measure instanceof Measure.Other other ? value(other.reckoning()) : null;
    }

    private SqlValue value(Reckoning reckoning) {
        if (isCalendar(reckoning.path())) {
            Optional<LocalDate> day = calendar(reckoning);
            return SqlValue.of(
                    Sort.DAY, day.map(one -> Sql.of("cast(? as date)", one)).orElse(Sql.of("cast(null as date)")));
        }
        SqlValue value = people.value(reckoning.path()).orElseThrow(Unsayable::new);
        if (!reckoning.reckoned()) {
            return value;
        }
        if (value.sort() != Sort.DAY) {
            throw new Unsayable();
        }
        long farthest = 0;
        Sql reached = value.value();
        for (Reckoning.Step step : reckoning.steps()) {
            reached = reached.wrapped("(", interval(step));
            farthest += Math.abs(step.number()) * 31;
        }
        if (farthest > FARTHEST_DAYS) {
            throw new Unsayable();
        }
        return SqlValue.of(Sort.DAY, reached);
    }

    private static String interval(Reckoning.Step step) {
        String sign = step.number() < 0 ? " - " : " + ";
        long number = Math.abs(step.number());
        return switch (step.unit()) {
            case DAY -> sign + "interval '" + number + "' day)";
            case WEEK -> sign + "interval '" + 7 * number + "' day)";
            case MONTH -> sign + "interval '" + number + "' month)";
            case WORKING_DAY, HOUR -> throw new Unsayable();
        };
    }

    private static boolean isCalendar(Path path) {
        return path.words().size() == 1;
    }

    /** The day that {@code today}, {@code now} and what is reckoned from them come to where the person is. */
    private Optional<LocalDate> calendar(Reckoning reckoning) {
        if (reckoning.steps().stream().anyMatch(step -> step.unit() == TimeUnit.WORKING_DAY)) {
            throw new Unsayable();
        }
        daysRead = true;
        if (reckoning.steps().stream().anyMatch(step -> step.unit() == TimeUnit.HOUR)
                || reckoning.path().root().equals("now")) {
            momentsRead = true;
        }
        return reckoner.value(reckoning, path -> Optional.empty()).map(value -> switch (value) {
            case Value.Day day -> day.day();
            case Value.Moment moment -> moment.instant().atZone(reckoner.zone()).toLocalDate();
            default -> throw new Unsayable();
        });
    }

    private static Sql certain(Sql maybe) {
        return maybe.wrapped("coalesce(", ", false)");
    }
}
