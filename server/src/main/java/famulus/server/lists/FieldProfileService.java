package famulus.server.lists;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.server.lists.FieldProfile.CommonValue;
import famulus.server.lists.FieldProfile.FillPlace;
import famulus.server.lists.FieldProfile.FilledChoice;
import famulus.server.lists.FieldProfile.Lacking;
import famulus.server.lists.FieldProfile.OddValue;
import famulus.server.lists.Sampling.Estimate;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService;
import famulus.server.records.CatalogueService.StoredField;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.math.BigDecimal;
import java.sql.Date;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;

/**
 * Says what fields really hold, computed in SQL when somebody asks, so that no list waits for it. How many have each
 * field is kept for a while.
 */
@Service
public class FieldProfileService {
    private static final int MOST_COMMON = 5;
    private static final int MOST_ODD = 4;
    private static final int MOST_LACKING = 60;
    private static final int STEPS = 4;
    private static final int FEW = 1_000;
    private static final int SAMPLE = 500;
    private static final int PROFILED = 1_000;
    private static final Comparator<CommonValue> COMMONEST =
            Comparator.comparingInt(CommonValue::people).reversed().thenComparing(CommonValue::value);

    private final ListMapper mapper;
    private final PeopleService people;
    private final CatalogueService catalogues;
    private final TeamService team;
    private final Clock clock;
    private final RecordWalk walk;
    private final KeptAWhile<About, Filled> kept;

    FieldProfileService(
            ListMapper mapper,
            PeopleService people,
            CatalogueService catalogues,
            TeamService team,
            Revisions revisions,
            Clock clock,
            RecordWalk walk) {
        this.walk = walk;
        this.mapper = mapper;
        this.people = people;
        this.catalogues = catalogues;
        this.team = team;
        this.kept = new KeptAWhile<>(revisions, catalogues, clock);
        this.clock = clock;
    }

    /**
     * How many people have each field.
     *
     * @param sampled of how many that is known; 0 for all of them
     * @param byPath paths that can't be counted are left out; estimates where some were asked
     */
    public record Filled(int of, int sampled, Map<String, Integer> byPath) {}

    /** How many people have each field that a template can use; of very many an estimate. */
    public Filled filled(About about, Colleague sender) {
        return kept.get(about, () -> count(about, catalogues.catalogue(), sender));
    }

    private Filled count(About about, FieldCatalogue catalogue, Colleague sender) {
        // Every field is counted at once: a smaller sample is asked, and sooner.
        Sampling sampling = Sampling.of(about, FEW, SAMPLE, walk);
        int sampled = 0;
        Map<String, Double> counts = new LinkedHashMap<>();
        for (CrmKind kind : AskedRecords.kinds(about)) {
            AskedRecords from = people.people(about, kind, sender, Portion.some(sampling.size()));
            Map<String, Sql> counted = new LinkedHashMap<>();
            catalogue.reachable(about).keySet().forEach(path -> from.value(path)
                    .ifPresent(value -> counted.put(path.toString(), Sql.put("count(%s)", value.value()))));
            List<Sql> columns = new ArrayList<>();
            columns.add(Sql.of("count(*) as c0"));
            counted.values().forEach(column -> columns.add(column.wrapped("", " as c" + columns.size())));
            Sql select = Sql.put("select %s %s", Sql.join(", ", columns), from.from());
            Map<String, Object> row = rows(select).getFirst();
            int asked = ((Number) row.get("c0")).intValue();
            sampled += asked;
            double stands = asked == 0 ? 0 : (double) sampling.totals().get(kind) / asked;
            int at = 1;
            for (String path : counted.keySet()) {
                counts.merge(path, stands * ((Number) row.get("c" + at++)).intValue(), Double::sum);
            }
        }
        Map<String, Integer> byPath = new LinkedHashMap<>();
        counts.forEach((path, number) -> byPath.put(path, (int) Math.round(number)));
        return new Filled(sampling.total(), sampling.estimates() ? sampled : 0, byPath);
    }

    /**
     * What one field holds; refused when there is no field at the path.
     *
     * @param exact whether everybody is asked, however many they are; else of very many some stand for all
     * @param progress told the steps that are done, of {@link #steps}
     */
    public FieldProfile profile(About about, Path path, Colleague sender, boolean exact, IntConsumer progress) {
        FieldDefinition field =
                catalogues.catalogue().resolve(path, about).orElseThrow(() -> Refusal.missing("This field"));
        House house = team.house();
        Merger printer = new Merger(new MergeSettings(house.locale(), house.zone(), clock.instant()));
        // It takes half a dozen questions to say what a field holds, so fewer stand for all than in the count of a
        // condition.
        Sampling sampling = exact ? Sampling.of(about, true, walk) : Sampling.of(about, Sampling.FEW, PROFILED, walk);
        Gathered gathered = new Gathered(path, field, printer, progress);
        Map<CrmKind, Integer> asked = new EnumMap<>(CrmKind.class);
        Map<CrmKind, Integer> filled = new EnumMap<>(CrmKind.class);
        boolean counted = true;
        for (CrmKind kind : AskedRecords.kinds(about)) {
            AskedRecords from = people.people(about, kind, sender, Portion.some(sampling.size()));
            Optional<SqlValue> value = from.value(path);
            counted &= value.isPresent();
            Sql select = Sql.put(
                    "select count(*) as everybody, count(%s) as filled %s",
                    value.map(SqlValue::value).orElse(Sql.of("null")), from.from());
            Map<String, Object> row = rows(select).getFirst();
            asked.put(kind, ((Number) row.get("everybody")).intValue());
            filled.put(kind, ((Number) row.get("filled")).intValue());
            value.ifPresent(one -> gathered.read(kind, from, one));
        }
        int sampled = sampling.estimates()
                ? asked.values().stream().mapToInt(Integer::intValue).sum()
                : 0;
        return gathered.profile(counted, sampling.estimate(asked, filled), sampling.total(), sampled);
    }

    /** In how many steps a field's profile is read. */
    public static int steps(About about) {
        return AskedRecords.kinds(about).size() * STEPS;
    }

    /** MyBatis gives columns in the case of the database. */
    private List<Map<String, Object>> rows(Sql select) {
        return mapper.rows(select.numbered(), select.values()).stream()
                .map(row -> {
                    Map<String, Object> lower = new LinkedHashMap<>();
                    row.forEach((column, value) -> lower.put(column.toLowerCase(Locale.ROOT), value));
                    return lower;
                })
                .toList();
    }

    /** What has been found out about a field, from one kind of people after another. */
    private final class Gathered {
        private final Path path;
        private final FieldDefinition field;
        private final Merger printer;
        private final IntConsumer progress;
        private int done;
        private final List<CommonValue> commonest = new ArrayList<>();
        private final List<OddValue> odd = new ArrayList<>();
        private final List<Lacking> missing = new ArrayList<>();
        private OddValue longest;
        private BigDecimal longestMeasure = BigDecimal.valueOf(Long.MIN_VALUE);

        private Gathered(Path path, FieldDefinition field, Merger printer, IntConsumer progress) {
            this.progress = progress;
            this.path = path;
            this.field = field;
            this.printer = printer;
        }

        private void done() {
            progress.accept(++done);
        }

        private void read(CrmKind kind, AskedRecords from, SqlValue value) {
            done();
            commonest(from, value);
            done();
            longest(kind, from, value);
            done();
            odd(kind, from, value);
            done();
            missing(kind, from, value);
        }

        private void commonest(AskedRecords from, SqlValue value) {
            if (value.sort() == SqlValue.Sort.MOMENT) {
                return;
            }
            Sql select = Sql.put(
                    "select x.shown, x.currency, count(*) as people from (select %s as shown, %s as currency %s) x"
                            + " where x.shown is not null group by x.shown, x.currency order by people desc, x.shown limit "
                            + MOST_COMMON,
                    value.value(),
                    currency(value),
                    from.from());
            rows(select)
                    .forEach(
                            row -> commonest.add(new CommonValue(shown(row), ((Number) row.get("people")).intValue())));
        }

        private void longest(CrmKind kind, AskedRecords from, SqlValue value) {
            Sql measured = Oddity.measured(value);
            if (measured == null || !Oddity.hasLongest(value)) {
                return;
            }
            Sql select = Sql.put(
                    "select " + from.person() + " as id, %s as name, %s as shown, %s as currency, %s as measured %s"
                            + " where %s is not null order by measured desc, name limit 1",
                    from.name(),
                    value.value(),
                    currency(value),
                    measured,
                    from.from(),
                    value.value());
            for (Map<String, Object> row : rows(select)) {
                BigDecimal measure = new BigDecimal(row.get("measured").toString());
                if (measure.compareTo(longestMeasure) > 0) {
                    longestMeasure = measure;
                    longest = oddValue(why(value), kind, row);
                }
            }
        }

        private static String why(SqlValue value) {
            return switch (value.sort()) {
                case DAY -> "the latest";
                case NUMBER, MONEY -> "the largest";
                default -> "the longest";
            };
        }

        private void odd(CrmKind kind, AskedRecords from, SqlValue value) {
            Sql measured = Oddity.measured(value);
            for (Oddity oddity : Oddity.of(field, value)) {
                Sql middle = Sql.put(
                        "(select avg(cast(x.measured as double precision)) as middle,"
                                + " coalesce(stddev_pop(cast(x.measured as double precision)), 0) as spread"
                                + " from (select %s as measured %s) x) s",
                        measured, from.from());
                Sql select = Sql.put(
                        "select " + from.person() + " as id, %s as name, %s as shown, %s as currency %s"
                                + " cross join %s where %s order by name, id limit " + MOST_ODD,
                        from.name(),
                        value.raw(),
                        currency(value),
                        from.from(),
                        middle,
                        oddity.test());
                rows(select).forEach(row -> odd.add(oddValue(oddity.why(), kind, row)));
            }
        }

        private void missing(CrmKind kind, AskedRecords from, SqlValue value) {
            String deal = from.deal();
            String organisation = from.organisation();
            Sql select = Sql.put(
                    "select " + from.person() + " as id, %s as name, " + from.company() + " as remark, " + deal
                            + " as deal_id, " + organisation
                            + " as organisation_id %s where %s order by name, id limit " + MOST_LACKING,
                    from.name(),
                    from.from(),
                    value.missing());
            for (Map<String, Object> row : rows(select)) {
                missing.add(new Lacking(
                        kind,
                        (UUID) row.get("id"),
                        String.valueOf(row.get("name")),
                        row.get("remark") == null ? "" : row.get("remark").toString(),
                        place(kind, row).orElse(null)));
            }
        }

        private Optional<FillPlace> place(CrmKind kind, Map<String, Object> row) {
            if (path.words().size() != 2) {
                return Optional.empty();
            }
            return switch (path.root()) {
                case "person", "contact", "lead" -> fillable(kind, row.get("id"));
                case "deal" -> fillable(CrmKind.DEAL, row.get("deal_id"));
                case "organisation" -> fillable(CrmKind.ORGANISATION, row.get("organisation_id"));
                default -> Optional.empty();
            };
        }

        private Optional<FillPlace> fillable(CrmKind kind, Object id) {
            boolean typed = catalogues.fields(kind).stream()
                    .filter(one -> one.definition().name().equals(field.name()))
                    .anyMatch(one -> !one.computed() && !one.isRelation());
            return typed && id != null ? Optional.of(new FillPlace(kind, (UUID) id, field.name())) : Optional.empty();
        }

        private OddValue oddValue(String why, CrmKind kind, Map<String, Object> row) {
            return new OddValue(why, shown(row), kind, (UUID) row.get("id"), String.valueOf(row.get("name")));
        }

        private Sql currency(SqlValue value) {
            return value.currency() == null ? Sql.of("cast(null as varchar)") : value.currency();
        }

        /** As it would be printed in the house's language; a text with its blanks, so that they can be seen. */
        private String shown(Map<String, Object> row) {
            Object shown = row.get("shown");
            if (shown == null) {
                return "";
            }
            if (shown instanceof BigDecimal amount && row.get("currency") != null) {
                return print(new Value.Money(amount, String.valueOf(row.get("currency"))));
            }
            return switch (shown) {
                case Number number -> print(new Value.Number(new BigDecimal(number.toString())));
                case Date day -> print(new Value.Day(day.toLocalDate()));
                case LocalDate day -> print(new Value.Day(day));
                case OffsetDateTime moment -> print(new Value.Moment(moment.toInstant()));
                default -> text(shown.toString());
            };
        }

        private String text(String stored) {
            return field.type() == FieldType.CHOICES
                    ? String.join(
                            ", ",
                            stored.lines()
                                    .map(code -> field.choices().stream()
                                            .filter(choice -> choice.code().equals(code))
                                            .map(FieldDefinition.FieldOption::label)
                                            .findFirst()
                                            .orElse(code))
                                    .toList())
                    : stored;
        }

        private String print(Value value) {
            return printer.print(value, Optional.empty());
        }

        private FieldProfile profile(boolean counted, Estimate filled, int of, int sampled) {
            commonest.sort(COMMONEST);
            Optional<StoredField> typed = missing.stream()
                    .map(Lacking::place)
                    .filter(place -> place != null)
                    .findFirst()
                    .flatMap(place -> catalogues.fields(place.kind()).stream()
                            .filter(one -> one.definition().name().equals(place.field()))
                            .findFirst());
            return new FieldProfile(
                    path.toString(),
                    field.label(),
                    field.type(),
                    counted,
                    filled.number(),
                    of,
                    sampled,
                    filled.error(),
                    commonest.stream().limit(MOST_COMMON).toList(),
                    longest,
                    odd,
                    missing.stream().limit(MOST_LACKING).toList(),
                    typed.map(one -> one.definition().choices()).orElse(List.of()).stream()
                            .map(choice -> new FilledChoice(choice.code(), choice.label()))
                            .toList());
        }
    }
}
