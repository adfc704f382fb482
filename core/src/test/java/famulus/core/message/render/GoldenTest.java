package famulus.core.message.render;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyleJson;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Mode;
import famulus.core.message.render.ToRender.DealLines;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every block in both ways it is sent, as it was looked at and found right in a browser. Run with {@code -Dgolden.update=true}
 * to write what is rendered now; then look at what has changed.
 */
class GoldenTest {
    private static final java.nio.file.Path FOLDER = java.nio.file.Path.of("src/test/resources/golden");
    private static final boolean UPDATE = Boolean.getBoolean("golden.update");
    private static final MergeSettings SETTINGS =
            new MergeSettings(Locale.UK, ZoneId.of("Europe/London"), Instant.parse("2026-05-04T09:00:00Z"));
    private static final Map<String, Value> VALUES = Map.of(
            "person.first_name", new Value.Text("Inés"),
            "person.phone", new Value.Phone("+441632960187"),
            "organisation.name", new Value.Text("Larkfield & Sons <Orchards>"),
            "deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 25)),
            "deal.hive_count", new Value.Number(new BigDecimal("48")),
            "our.name", new Value.Text("Brindlewing Pollination Services"));
    private static final DealLines LINES = new DealLines(
            List.of(
                    new ItemLine("East block", dec("24"), "hives", dec("50.00"), dec("10"), dec("20"), "four weeks"),
                    new ItemLine("Hill & hollow", dec("7.25"), "hives", dec("35.85"), dec("0"), dec("5"), "")),
            "GBP");

    private static BigDecimal dec(String figure) {
        return new BigDecimal(figure);
    }

    private static Optional<Inserts.Insert> passage(String id) {
        return id.equals("payment")
                ? Optional.of(new Inserts.Insert("Payment", text("Half before the hives come, {person.first_name}.")))
                : Optional.empty();
    }

    private static Optional<Inserts.KeptFeed> feed(String id) {
        return Optional.of(new Inserts.KeptFeed(
                "Blossom watch",
                List.of(
                        new Content.Entry("Plums are out", "Two days early.", "https://watch.example/1"),
                        new Content.Entry("Frost on Tuesday", "Keep the doors shut.", "https://watch.example/2"),
                        new Content.Entry("Pears next week", "", "https://watch.example/3"))));
    }

    private static Body text(String words) {
        try {
            return BodyJson.read(
                    "{\"version\":1,\"bands\":[{\"id\":\"x\",\"columns\":[{\"blocks\":[{\"id\":\"y\",\"kind\":\"text\",\"text\":"
                            + "[{\"runs\":[{\"text\":\"" + words + "\"}]}]}]}]}]}");
        } catch (Exception impossible) {
            throw new AssertionError(impossible);
        }
    }

    static Stream<String> bodies() throws IOException {
        try (Stream<java.nio.file.Path> files = Files.list(FOLDER)) {
            return files
                    .map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(".json"))
                    .map(name -> name.substring(0, name.length() - ".json".length()))
                    .sorted()
                    .toList()
                    .stream();
        }
    }

    private static String read(String name) throws IOException {
        return Files.readString(FOLDER.resolve(name));
    }

    private static Body body(String name) throws Exception {
        return BodyJson.read(read(name + ".json"));
    }

    private static Rendering render(String name, Mode mode) throws Exception {
        HouseStyle style = HouseStyleJson.read(read("house-style.txt"));
        Body whole = Inserts.signed(
                Inserts.feeds(Inserts.passages(body(name), GoldenTest::passage), GoldenTest::feed),
                text("{our.name}, always there"));
        Design design = new Design(mode, whole, style, "", "");
        BodyText text = BodyText.of(design);
        var merged = new Merger(SETTINGS)
                .merge(text.program(), (Path path) -> Optional.ofNullable(VALUES.get(path.toString())), Place.BODY);
        return Renderer.render(new ToRender(
                design,
                text,
                merged,
                SETTINGS,
                "A subject",
                "What the inbox shows",
                name.equals("item-table-empty") ? DealLines.NONE : LINES,
                picture -> "pictures/" + picture.replaceAll("~.*|^drawn-", "") + ".png",
                Map.of(),
                "https://hives.example/m/key",
                null));
    }

    private static void isAsItWas(String name, String rendered) throws IOException {
        String text = rendered.endsWith("\n") ? rendered : rendered + "\n";
        if (UPDATE) {
            Files.writeString(FOLDER.resolve(name), text);
        }
        assertThat(text).as(name).isEqualTo(read(name));
    }

    @ParameterizedTest
    @MethodSource("bodies")
    void isAsItWasLookedAt(String name) throws Exception {
        Rendering designed = render(name, Mode.DESIGNED);
        isAsItWas(name + ".designed.html", designed.html());
        isAsItWas(name + ".designed.text", designed.text());
        Rendering letter = render(name, Mode.LETTER);
        isAsItWas(name + ".letter.html", letter.html());
        isAsItWas(name + ".letter.text", letter.text());
    }

    @Test
    void everyKindOfBlockIsThere() throws Exception {
        Set<Class<?>> kinds = bodies().flatMap(name -> {
                    try {
                        return body(name).blocks().map(block -> block.content().getClass());
                    } catch (Exception wrong) {
                        throw new AssertionError(name, wrong);
                    }
                })
                .collect(Collectors.toSet());
        assertThat(kinds).containsAll(Arrays.asList(Content.class.getPermittedSubclasses()));
    }
}
