package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.syntax.Span;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class MergerTest {
    private static final Instant NOW = Instant.parse("2026-05-04T22:30:00Z");
    private static final Map<Path, Value> INES = Map.of(
            Path.of("person.first_name"), new Value.Text(" Ines "),
            Path.of("person.last_name"), new Value.Text("OKAFOR-brandt"),
            Path.of("person.title"), new Value.Text("  "),
            Path.of("person.phone"), new Value.Phone("+441632960187"),
            Path.of("deal.hive_count"), new Value.Number(new BigDecimal("1048.5")),
            Path.of("deal.deposit"), new Value.Money(new BigDecimal("1920"), "GBP"),
            Path.of("deal.placement_date"), new Value.Day(LocalDate.of(2026, 5, 21)),
            Path.of("contact.varieties"), new Value.Several(List.of("Cox", "Bramley", "Discovery")),
            Path.of("contact.water"), new Value.YesNo(false),
            Path.of("owner.name"), new Value.Name("Signe", "Halloran"));

    private static Merged merge(String text, Locale locale, Place place) {
        MergeSettings settings = new MergeSettings(locale, ZoneId.of("Europe/London"), NOW);
        return new Merger(settings).merge(MergeParser.parse(text), path -> Optional.ofNullable(INES.get(path)), place);
    }

    private static String merge(String text) {
        return merge(text, Locale.UK, Place.BODY).text();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "Dear {person.first_name},                             | Dear Ines,",
                "{person.title else person.first_name}                 | Ines",
                "{person.title else \"there\"}                         | there",
                "{person.last_name as name}                            | Okafor-Brandt",
                "{person.last_name as capitals}                        | OKAFOR-BRANDT",
                "{person.first_name as initials}                       | I.",
                "{person.phone}                                        | +44 1632 960187",
                "{person.phone as national}                            | 01632 960187",
                "{deal.hive_count}                                     | 1,048.5",
                "{deal.hive_count as whole}                            | 1,049",
                "{deal.hive_count as 2 decimals}                       | 1,048.50",
                "{3 as words}                                          | three",
                "{deal.deposit}                                        | £1,920.00",
                "{deal.deposit as whole money}                         | £1,920",
                "{deal.deposit as plain amount}                        | 1,920.00",
                "{deal.placement_date}                                 | 21 May 2026",
                "{deal.placement_date as short date}                   | 21/05/2026",
                "{deal.placement_date as weekday and long date}        | Thursday, 21 May 2026",
                "{deal.placement_date as month and year}               | May 2026",
                "{deal.placement_date as day and month}                | 21 May",
                "{deal.placement_date as distance}                     | in 2 weeks",
                "{deal.placement_date as \"d MMM\"}                    | 21 May",
                "{today}                                               | 4 May 2026",
                "{now as time}                                         | 23:30",
                "{contact.varieties}                                   | Cox, Bramley and Discovery",
                "{contact.varieties as count}                          | 3",
                "{contact.varieties as first}                          | Cox",
                "{contact.water}                                       | no",
                "{contact.water as \"bring a hose\" or \"no hose\"}    | no hose",
                "{owner.name as first name}                            | Signe",
                "{deal.hive_count as long date}                        | 1,048.5",
            })
    void prints(String text, String printed) {
        assertThat(merge(text)).isEqualTo(printed);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "{deal.placement_date}      | 21. Mai 2026   | 21 mai 2026",
                "{deal.hive_count}          | 1.048,5        | 1 048,5",
                "{deal.deposit}             | 1.920,00 £     | 1 920,00 £GB",
                "{contact.varieties}        | Cox, Bramley und Discovery | Cox, Bramley et Discovery",
                "{contact.water}            | nein           | non",
            })
    void printsInThePersonsLanguage(String text, String german, String french) {
        assertThat(merge(text, Locale.GERMANY, Place.BODY).text().replace('\u00A0', ' '))
                .isEqualTo(german);
        assertThat(merge(text, Locale.FRANCE, Place.BODY).text().replaceAll("[\u00A0\u202F]", " "))
                .isEqualTo(french);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "Dear {person.title else nothing} Ines            | Dear Ines",
                "Dear {person.title else nothing}, hello          | Dear, hello",
                "Dear Ines {person.title else nothing}, hello     | Dear Ines, hello",
                "{person.title else nothing} Ines                 | Ines",
                "Hello {person.title else nothing}                | Hello",
                "(see {person.title else nothing})                | (see)",
                "one{person.title else nothing}two                | onetwo",
                "a {nothing} {nothing} b                          | a b",
                "A⏎{person.title else nothing}⏎B                  | A⏎B",
                "A⏎⏎{person.title else nothing}⏎⏎B                | A⏎⏎B",
                "A⏎{nothing} {nothing}⏎⏎B                         | A⏎⏎B",
                "A⏎{nothing}                                      | A",
                "{nothing}⏎B                                      | B",
            })
    void closesTheHolesThatBlanksLeave(String text, String printed) {
        assertThat(merge(text.replace('⏎', '\n'))).isEqualTo(printed.replace('⏎', '\n'));
    }

    @Test
    void tellsWhereEachPieceCameFrom() {
        Merged merged = merge("Dear {person.title else person.first_name}{person.mobile}", Locale.UK, Place.BODY);

        assertThat(merged.pieces())
                .extracting(Piece::origin)
                .containsExactly(Origin.WRITTEN, Origin.FALLBACK, Origin.GAP);
        assertThat(merged.pieces().get(1).path()).contains(Path.of("person.first_name"));
        assertThat(merged.pieces().get(1).fallback()).isEqualTo(1);
        assertThat(merged.gaps()).containsExactly(new Gap(Path.of("person.mobile"), new Span(42, 57)));
        assertThat(merged.complete()).isFalse();
    }

    @Test
    void aValueChosenForThisMessageWins() {
        Path mobile = Path.of("person.mobile");
        MergeSettings settings = new MergeSettings(
                Locale.UK,
                ZoneId.of("UTC"),
                NOW,
                WorkingDays.PLAIN,
                Map.of(mobile, new Value.Phone("+441632960114")),
                Map.of());
        Merged merged =
                new Merger(settings).merge(MergeParser.parse("{person.mobile}"), path -> Optional.empty(), Place.BODY);

        assertThat(merged.pieces().getFirst().origin()).isEqualTo(Origin.CHOSEN);
        assertThat(merged.text()).isEqualTo("+44 1632 960114");
    }

    @Test
    void whatCouldNotBeReadStaysVisible() {
        Merged merged = merge("Dear {person.first_name", Locale.UK, Place.BODY);

        assertThat(merged.text()).isEqualTo("Dear {person.first_name");
        assertThat(merged.complete()).isFalse();
    }

    static java.util.stream.IntStream seeds() {
        return IntStream.range(0, 3000);
    }

    /** Whatever the values: a merge never throws, a header stays one line, and a value is never read as a field. */
    @ParameterizedTest
    @MethodSource("seeds")
    void valuesAreOnlyEverData(int seed) {
        Random random = new Random(seed);
        Map<Path, Value> values = new HashMap<>();
        for (String path : List.of("person.first_name", "deal.value", "contact.blossom_starts", "contact.water")) {
            values.put(Path.of(path), Generated.value(random));
        }
        Program program = MergeParser.parse(Generated.text(random) + "{person.first_name else \"x\"}");
        Merger merger = new Merger(new MergeSettings(Locale.UK, ZoneId.of("Asia/Tokyo"), NOW));

        Merged header = merger.merge(program, path -> Optional.ofNullable(values.get(path)), Place.HEADER);
        Merged body = merger.merge(program, path -> Optional.ofNullable(values.get(path)), Place.BODY);

        assertThat(header.text()).doesNotContain("\n", "\r", "\u2028", "\u0000", "\u0085");
        assertThat(body.text()).doesNotContain("\r", "\u0000");
        assertThat(body.pieces()).hasSizeGreaterThanOrEqualTo(program.nodes().size());
    }

    @Test
    void aFieldInsideAValueIsPrintedAsCharacters() {
        Merged merged = new Merger(new MergeSettings(Locale.UK, ZoneId.of("UTC"), NOW))
                .merge(
                        MergeParser.parse("Hi {person.first_name}"),
                        path -> Optional.of(new Value.Text("{sender.phone}\r\nBcc: all@club.example")),
                        Place.HEADER);

        assertThat(merged.text()).isEqualTo("Hi {sender.phone} Bcc: all@club.example");
    }
}
