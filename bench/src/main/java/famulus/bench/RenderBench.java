package famulus.bench;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Content.ItemColumn;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.render.ItemLine;
import famulus.core.message.render.Renderer;
import famulus.core.message.render.Rendering;
import famulus.core.message.render.ToRender;
import famulus.core.message.render.ToRender.DealLines;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** A designed message of 40 blocks merged and rendered to HTML and plain text, parsed once. */
@State(Scope.Benchmark)
@BenchmarkMode(org.openjdk.jmh.annotations.Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RenderBench {
    private static final int BLOCKS = 40;
    private static final MergeSettings SETTINGS =
            new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.parse("2026-05-04T09:00:00Z"));
    private static final Map<Path, Value> VALUES = Map.of(
            Path.of("person.first_name"), new Value.Text("Ines"),
            Path.of("deal.placement_date"), new Value.Day(LocalDate.of(2026, 5, 21)),
            Path.of("deal.value"), new Value.Money(new BigDecimal("4212.00"), "GBP"),
            Path.of("our.name"), new Value.Text("Brindlewing"));

    private Design design;
    private BodyText text;
    private DealLines deal;

    /** Makes the message. */
    @Setup
    public void make() {
        List<Band> bands = new ArrayList<>();
        for (int i = 0; i < BLOCKS; i += 2) {
            List<Column> columns = List.of(column(block(i)), column(block(i + 1)));
            bands.add(new Band("band" + i, columns, Look.USUAL, "", false));
        }
        HouseStyle bare = HouseStyle.BARE;
        HouseStyle style = new HouseStyle(
                "Ours",
                bare.page(),
                bare.type(),
                16,
                bare.button(),
                List.of(new HouseStyle.Wrapping(
                        "a", List.of(new Band("h", List.of(column(text("head"))), Look.USUAL, "", false)))),
                List.of(),
                RichText.plain("{our.name}"));
        design = new Design(Mode.DESIGNED, new Body(bands), style, "", "");
        text = BodyText.of(design);
        deal = new DealLines(
                List.of(
                        new ItemLine(
                                "North",
                                new BigDecimal("20"),
                                "hives",
                                new BigDecimal("72"),
                                BigDecimal.ZERO,
                                BigDecimal.TEN,
                                ""),
                        new ItemLine(
                                "Hill",
                                new BigDecimal("4"),
                                "hives",
                                new BigDecimal("72"),
                                BigDecimal.ONE,
                                BigDecimal.TEN,
                                "")),
                "GBP");
    }

    private static Column column(Block block) {
        return new Column(1, Column.Upright.TOP, List.of(block));
    }

    private static Block text(String id) {
        return Block.of(
                id,
                new Content.Text(
                        RichText.plain(
                                "Dear {person.first_name else \"there\"},\nwe come on "
                                        + "{deal.placement_date as weekday and long date} and bring what {deal.value as money} buys.")));
    }

    private static Block block(int at) {
        String id = "b" + at;
        return switch (at % 5) {
            case 1 -> Block.of(id, new Content.Picture("bee", 240, Align.START, "A bee for {person.first_name}", ""));
            case 2 ->
                Block.of(
                        id,
                        new Content.Button(
                                "Read it", "https://brindlewing.example/{person.first_name}", Align.START, "", ""));
            case 3 ->
                at == 3
                        ? Block.of(
                                id,
                                new Content.Items(
                                        List.of(ItemColumn.DESCRIPTION, ItemColumn.QUANTITY, ItemColumn.TOTAL),
                                        true,
                                        ""))
                        : text(id);
            default -> text(id);
        };
    }

    /** Merging and rendering one message. */
    @Benchmark
    public Rendering render() {
        Merger merger = new Merger(SETTINGS);
        var merged = merger.merge(text.program(), path -> Optional.ofNullable(VALUES.get(path)), Place.BODY);
        return Renderer.render(
                new ToRender(design, text, merged, SETTINGS, "Hives", "Soon", deal, picture -> "cid:" + picture, null));
    }

    /** Runs the measurement and writes one line. */
    public static void main(String[] arguments) throws RunnerException {
        RunResult result = new Runner(new OptionsBuilder()
                        .include(RenderBench.class.getSimpleName())
                        .addProfiler(GCProfiler.class)
                        .jvmArgs("-Xmx1g")
                        .verbosity(org.openjdk.jmh.runner.options.VerboseMode.SILENT)
                        .build())
                .runSingle();
        double allocated =
                result.getSecondaryResults().get("gc.alloc.rate.norm").getScore();
        System.out.printf(
                Locale.ROOT,
                "a designed message of %d blocks with house style, merged and rendered: %.2f ms, %.0f kB allocated%n",
                BLOCKS,
                result.getPrimaryResult().getScore() / 1000,
                allocated / 1000);
    }
}
