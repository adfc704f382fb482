package famulus.core;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldType;
import famulus.core.field.MergeContext;
import famulus.core.field.Value;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.MergeParser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.merge.Place;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Holds the page of the language to what the code does. Run with {@code -Dreference.update=true} to write the table of
 * formats anew.
 */
class LanguageReferenceTest {
    private static final Path PAGE = Path.of("..", "docs", "merge-language.md");
    private static final Instant NOW = Instant.parse("2026-05-04T08:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final List<Locale> LOCALES = List.of(Locale.UK, Locale.GERMANY, Locale.FRANCE);

    /** A value of each type, with how it is said on the page. */
    private static final Map<FieldType, Map.Entry<String, Value>> VALUES = Map.of(
            FieldType.TEXT, Map.entry("o'NEILL-smith", new Value.Text("o'NEILL-smith")),
            FieldType.NUMBER, Map.entry("1248.5", new Value.Number(new BigDecimal("1248.5"))),
            FieldType.MONEY, Map.entry("2400 GBP", new Value.Money(new BigDecimal("2400"), "GBP")),
            FieldType.DATE, Map.entry("2026-05-25", new Value.Day(LocalDate.of(2026, 5, 25))),
            FieldType.DATE_TIME, Map.entry("2026-05-25 08:30", new Value.Moment(Instant.parse("2026-05-25T07:30:00Z"))),
            FieldType.CHOICES,
                    Map.entry("apples, pears, plums", new Value.Several(List.of("apples", "pears", "plums"))),
            FieldType.YES_NO, Map.entry("yes", new Value.YesNo(true)),
            FieldType.PHONE, Map.entry("+441632960187", new Value.Phone("+441632960187")),
            FieldType.USER, Map.entry("Signe Halloran", new Value.Name("Signe", "Halloran")));

    private static final List<FieldType> ORDER = List.of(
            FieldType.TEXT,
            FieldType.NUMBER,
            FieldType.MONEY,
            FieldType.DATE,
            FieldType.DATE_TIME,
            FieldType.CHOICES,
            FieldType.YES_NO,
            FieldType.PHONE,
            FieldType.USER);

    private static String formats() {
        StringBuilder table =
                new StringBuilder("| value | as | English | German | French |\n| --- | --- | --- | --- | --- |\n");
        for (FieldType type : ORDER) {
            String said = VALUES.get(type).getKey();
            for (String written : written(type).toList()) {
                table.append("| ").append(said).append(" | ").append(written.isEmpty() ? "*the usual way*" : written);
                for (Locale locale : LOCALES) {
                    table.append(" | ").append(print(type, written, locale));
                }
                table.append(" |\n");
                said = "";
            }
        }
        return table.toString();
    }

    /** The type's own way, its formats with a name, and those that take something. */
    private static Stream<String> written(FieldType type) {
        Stream<String> named = FormatName.fitting(type).stream().map(FormatName::written);
        Stream<String> taking =
                switch (type) {
                    case NUMBER -> Stream.of("2 decimals");
                    case DATE -> Stream.of("\"d MMM\"");
                    case YES_NO -> Stream.of("\"with water\" or \"dry\"");
                    default -> Stream.empty();
                };
        return Stream.of(Stream.of(""), named, taking).flatMap(one -> one);
    }

    private static String print(FieldType type, String written, Locale locale) {
        String field = "{a.b" + (written.isEmpty() ? "" : " as " + written) + "}";
        Value value = VALUES.get(type).getValue();
        return new Merger(new MergeSettings(locale, ZONE, NOW))
                .merge(MergeParser.parse(field), path -> Optional.of(value), Place.HEADER)
                .text()
                // A table of Markdown shows one sort of space.
                .replaceAll("[\\u00A0\\u202F]", " ");
    }

    private static String between(String page, String from, String to) {
        Matcher found = Pattern.compile("(?s)<!-- " + from + "[^>]*-->\n(.*?)<!-- " + to + " -->")
                .matcher(page);
        assertThat(found.find()).as("the part of the page called " + from).isTrue();
        return found.group(1);
    }

    @Test
    void everyFormatPrintsWhatThePageSays() throws IOException {
        String page = Files.readString(PAGE);
        String now = formats();
        if (Boolean.getBoolean("reference.update")) {
            String before = between(page, "formats", "end of formats");
            Files.writeString(
                    PAGE,
                    page.replace(
                            "LanguageReferenceTest -->\n" + before + "<!-- end of formats",
                            "LanguageReferenceTest -->\n" + now + "<!-- end of formats"));
            page = Files.readString(PAGE);
        }
        assertThat(between(page, "formats", "end of formats")).isEqualTo(now);
    }

    @Test
    void everyFormatWithANameIsOnThePage() throws IOException {
        String formats = between(Files.readString(PAGE), "formats", "end of formats");
        for (FormatName name : FormatName.values()) {
            assertThat(formats).contains("| " + name.written() + " |");
        }
    }

    @Test
    void everyExamplePrintsWhatThePageSays() throws IOException {
        Map<String, Value> values = Map.of(
                "person.first_name", new Value.Text("Ines"),
                "deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 21)),
                "deal.hive_count", new Value.Number(new BigDecimal("48")),
                "deal.value", new Value.Money(new BigDecimal("2400"), "GBP"));
        MergeContext ines = path -> Optional.ofNullable(values.get(path.toString()));
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZONE, NOW));
        Matcher line = Pattern.compile("(?m)^\\| `(.*)` \\| `(.*)` \\|$")
                .matcher(between(Files.readString(PAGE), "examples", "end of examples"));
        List<String> read = new ArrayList<>();
        while (line.find()) {
            read.add(line.group(1));
            assertThat(merger.merge(MergeParser.parse(line.group(1)), ines, Place.BODY)
                            .text())
                    .as(line.group(1))
                    .isEqualTo(line.group(2));
        }
        assertThat(read).hasSizeGreaterThan(8);
    }

    @Test
    void formatsThatTakeSomethingAreWrittenBackAsTheyWere() {
        assertThat(new Format.Decimals(2).written()).isEqualTo("2 decimals");
        assertThat(new Format.YesOrNo("with water", "dry").written()).isEqualTo("\"with water\" or \"dry\"");
    }
}
