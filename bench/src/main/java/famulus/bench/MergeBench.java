package famulus.bench;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.util.Currency;
import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeParser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.merge.Program;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * A text of 30 fields with fallbacks, dates and money, merged for 10,000 people: by the merge language, by a template
 * engine that is given ready-made strings, and by hand with a {@code StringBuilder} and the same formatters.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 6, time = 2)
@Fork(1)
public class MergeBench {
    private static final int PEOPLE = 10_000;
    private static final Locale LOCALE = Locale.UK;
    private static final MergeSettings SETTINGS =
            new MergeSettings(LOCALE, ZoneOffset.UTC, Instant.parse("2026-05-04T09:00:00Z"));
    /** Six fields, five times: two names with fallbacks, a date, a weekday, an amount, a number. */
    private static final String PASSAGE = "Dear {person.first_name else \"there\"}, the hives for "
            + "{organisation.name else \"your farm\"} come on {deal.placement_date as weekday and long date}, and we "
            + "fetch them on {deal.pick_up_date as day and month else \"a day in June\"}. The deposit of "
            + "{deal.deposit as money else \"one fifth\"} holds {deal.hive_count as whole} hives.\n";

    private static final String MUSTACHE =
            "Dear {{first}}, the hives for {{farm}} come on {{placed}}, and we fetch them"
                    + " on {{fetched}}. The deposit of {{deposit}} holds {{hives}} hives.\n";

    private static final DateTimeFormatter LONG_DAY = DateTimeFormatter.ofPattern("EEEE, d MMMM y", LOCALE);
    private static final DateTimeFormatter SHORT_DAY = DateTimeFormatter.ofPattern("d MMMM", LOCALE);
    private static final LocalizedNumberFormatter POUNDS =
            NumberFormatter.withLocale(LOCALE).unit(Currency.getInstance("GBP"));
    private static final LocalizedNumberFormatter WHOLE = NumberFormatter.withLocale(LOCALE);

    private final List<Grower> growers = new ArrayList<>();
    private final List<Map<Path, Value>> values = new ArrayList<>();
    private final List<Map<String, String>> strings = new ArrayList<>();
    private final Map<String, Path> paths = new HashMap<>();
    private Program program;
    private Template template;

    private record Grower(
            String first, String farm, LocalDate placed, LocalDate fetched, BigDecimal deposit, BigDecimal hives) {}

    /** Makes the people. */
    @Setup
    public void make() {
        Random random = new Random(4);
        program = MergeParser.parse(PASSAGE.repeat(5));
        template = Mustache.compiler().escapeHTML(false).compile(MUSTACHE.repeat(5));
        for (int i = 0; i < PEOPLE; i++) {
            Grower grower = new Grower(
                    random.nextInt(10) == 0 ? null : "Ines" + i,
                    random.nextInt(10) == 0 ? null : "Larkfield Orchards " + i,
                    LocalDate.of(2026, 5, 1).plusDays(random.nextInt(60)),
                    random.nextInt(5) == 0 ? null : LocalDate.of(2026, 6, 1).plusDays(random.nextInt(60)),
                    random.nextInt(5) == 0 ? null : BigDecimal.valueOf(random.nextInt(500_000), 2),
                    BigDecimal.valueOf(random.nextInt(3000)));
            growers.add(grower);
            values.add(values(grower));
            strings.add(strings(grower));
        }
    }

    private Map<Path, Value> values(Grower grower) {
        Map<Path, Value> values = new HashMap<>();
        put(values, "person.first_name", grower.first() == null ? null : new Value.Text(grower.first()));
        put(values, "organisation.name", grower.farm() == null ? null : new Value.Text(grower.farm()));
        put(values, "deal.placement_date", new Value.Day(grower.placed()));
        put(values, "deal.pick_up_date", grower.fetched() == null ? null : new Value.Day(grower.fetched()));
        put(values, "deal.deposit", grower.deposit() == null ? null : new Value.Money(grower.deposit(), "GBP"));
        put(values, "deal.hive_count", new Value.Number(grower.hives()));
        return values;
    }

    /** The names of the values are the same objects for everybody, as the template engine's are. */
    private void put(Map<Path, Value> values, String path, Value value) {
        if (value != null) {
            values.put(paths.computeIfAbsent(path, Path::of), value);
        }
    }

    private static Map<String, String> strings(Grower grower) {
        return Map.of(
                "first", first(grower),
                "farm", farm(grower),
                "placed", LONG_DAY.format(grower.placed()),
                "fetched", fetched(grower),
                "deposit", deposit(grower),
                "hives", WHOLE.format(grower.hives()).toString());
    }

    private static String first(Grower grower) {
        return grower.first() == null ? "there" : grower.first();
    }

    private static String farm(Grower grower) {
        return grower.farm() == null ? "your farm" : grower.farm();
    }

    private static String fetched(Grower grower) {
        return grower.fetched() == null ? "a day in June" : SHORT_DAY.format(grower.fetched());
    }

    private static String deposit(Grower grower) {
        return grower.deposit() == null
                ? "one fifth"
                : POUNDS.format(grower.deposit()).toString();
    }

    /** The merge language, parsed once: formats, and keeps where each piece came from. */
    @Benchmark
    public void merge(Blackhole hole) {
        for (Map<Path, Value> person : values) {
            Merger merger = new Merger(SETTINGS);
            hole.consume(merger.merge(program, path -> Optional.ofNullable(person.get(path)), Place.BODY)
                    .text());
        }
    }

    /** A template engine, parsed once, with strings that are formatted already. */
    @Benchmark
    public void templateEngine(Blackhole hole) {
        for (Map<String, String> person : strings) {
            hole.consume(template.execute(person));
        }
    }

    /** By hand, with the same formatters. */
    @Benchmark
    public void byHand(Blackhole hole) {
        for (Grower grower : growers) {
            StringBuilder text = new StringBuilder(1200);
            for (int i = 0; i < 5; i++) {
                text.append("Dear ")
                        .append(first(grower))
                        .append(", the hives for ")
                        .append(farm(grower));
                text.append(" come on ").append(LONG_DAY.format(grower.placed()));
                text.append(", and we fetch them on ").append(fetched(grower));
                text.append(". The deposit of ").append(deposit(grower));
                text.append(" holds ").append(WHOLE.format(grower.hives())).append(" hives.\n");
            }
            hole.consume(text.toString());
        }
    }

    /** Reading the text itself, ten thousand times. */
    @Benchmark
    public void parse(Blackhole hole) {
        String source = PASSAGE.repeat(5);
        for (int i = 0; i < PEOPLE; i++) {
            hole.consume(MergeParser.parse(source));
        }
    }

    /** Runs the measurement and writes one line for each way, with what it takes compared with merging. */
    public static void main(String[] arguments) throws RunnerException {
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(MergeBench.class.getSimpleName())
                        .jvmArgs("-Xmx1g")
                        .verbosity(org.openjdk.jmh.runner.options.VerboseMode.SILENT)
                        .build())
                .run();
        Map<String, Double> scores = new HashMap<>();
        results.forEach(result -> scores.put(
                result.getPrimaryResult().getLabel(), result.getPrimaryResult().getScore()));
        double merge = scores.get("merge");
        System.out.printf(
                Locale.ROOT,
                "30 fields merged for %d people: %.0f ms; a template engine with ready-made strings %.0f ms (ratio %.2f), "
                        + "by hand %.0f ms (ratio %.2f); parsing as often %.0f ms%n",
                PEOPLE,
                merge,
                scores.get("templateEngine"),
                merge / scores.get("templateEngine"),
                scores.get("byHand"),
                merge / scores.get("byHand"),
                scores.get("parse"));
    }
}
