package famulus.core.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.TokenCursor;
import famulus.core.syntax.Tokens;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Monday 4 May 2026, ten in the morning in London; the early May bank holiday. */
class ReckonerTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");
    private static final WorkingDays BRITISH = new WorkingDays(List.of(
            holiday("01-01 moved"),
            holiday("easter-2"),
            holiday("easter+1"),
            holiday("first monday may"),
            holiday("last monday may"),
            holiday("12-25 moved"),
            holiday("12-26 moved twice")));
    private static final Map<String, Value> VALUES = Map.of(
            "deal.placement_date", new Value.Day(LocalDate.of(2026, 1, 31)),
            "deal.call", new Value.Moment(Instant.parse("2026-03-28T20:00:00Z")),
            "deal.name", new Value.Text("East"));

    private static WorkingDays.Holiday holiday(String rule) {
        return new WorkingDays.Holiday(rule, HolidayRule.read(rule).orElseThrow());
    }

    private static Reckoning read(String written) throws ParseFailure {
        Reckoning reckoning = ReckoningReader.read(new TokenCursor(Tokens.of(written, 0, written.length())));
        assertThat(reckoning.written()).isEqualTo(written);
        return reckoning;
    }

    private static Optional<Value> value(String written, String zone) throws ParseFailure {
        return new Reckoner(NOW, ZoneId.of(zone), BRITISH)
                .value(read(written), (Path path) -> Optional.ofNullable(VALUES.get(path.toString())));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "today                                   | 2026-05-04",
                "today plus 1 day                        | 2026-05-05",
                "today minus 4 days                      | 2026-04-30",
                "today plus 2 weeks                      | 2026-05-18",
                "today plus 0 working days               | 2026-05-05",
                "today plus 1 working day                | 2026-05-05",
                "today plus 5 working days               | 2026-05-11",
                "today minus 1 working day               | 2026-05-01",
                "today plus 15 working days              | 2026-05-26",
                "deal.placement_date plus 1 month        | 2026-02-28",
                "deal.placement_date plus 1 month minus 1 week | 2026-02-21",
            })
    void reckonsDays(String written, LocalDate expected) throws ParseFailure {
        assertThat(value(written, "Europe/London")).contains(new Value.Day(expected));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "now plus 3 hours       | Europe/London | 2026-05-04T12:00:00Z",
                "today plus 9 hours     | Europe/London | 2026-05-04T08:00:00Z",
                "today plus 9 hours     | Asia/Tokyo    | 2026-05-04T00:00:00Z",
                "deal.call plus 1 day   | Europe/London | 2026-03-29T19:00:00Z",
                "deal.call plus 24 hours | Europe/London | 2026-03-29T20:00:00Z",
                "deal.call plus 1 working day | Europe/London | 2026-03-30T19:00:00Z",
            })
    void momentsKeepTheirHourAcrossAChangeOfClocks(String written, String zone, Instant expected) throws ParseFailure {
        assertThat(value(written, zone)).contains(new Value.Moment(expected));
    }

    @Test
    void itIsTodayWhereThePersonIs() throws ParseFailure {
        Reckoner far = new Reckoner(Instant.parse("2026-05-04T23:00:00Z"), ZoneId.of("Asia/Tokyo"), BRITISH);
        assertThat(far.value(read("today"), path -> Optional.empty()))
                .contains(new Value.Day(LocalDate.of(2026, 5, 5)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "deal.missing plus 1 day",
                "deal.name plus 1 day",
                "today minus 10000 months minus 10000 months minus 10000 months",
                "today plus 10000 months plus 10000 months plus 10000 months plus 10000 months plus 10000 months "
                        + "plus 10000 months plus 10000 months plus 10000 months plus 10000 months plus 10000 months",
            })
    void nothingComesOfNothing(String written) throws ParseFailure {
        assertThat(value(written, "UTC")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12-25 moved       | 2026 | 2026-12-25",
                "12-25 moved       | 2027 | 2027-12-27",
                "12-26 moved twice | 2026 | 2026-12-28",
                "12-26 moved twice | 2027 | 2027-12-28",
                "12-26 moved twice | 2022 | 2022-12-27",
                "12-25             | 2027 | 2027-12-25",
                "easter            | 2026 | 2026-04-05",
                "easter            | 2038 | 2038-04-25",
                "easter            | 2000 | 2000-04-23",
                "easter+39         | 2026 | 2026-05-14",
                "Easter-2          | 2026 | 2026-04-03",
                "last  Monday May  | 2026 | 2026-05-25",
                "first monday may  | 2026 | 2026-05-04",
                "2027-06-21        | 2026 | 2027-06-21",
            })
    void holidaysFallWhereTheirRuleSays(String rule, int year, LocalDate expected) {
        assertThat(HolidayRule.read(rule).orElseThrow().in(year)).isEqualTo(expected);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "13-40", "easter+", "fifth monday may", "first mayday may", "2027-02-30", "christmas"})
    void whatIsNoRuleIsNotRead(String rule) {
        assertThat(HolidayRule.read(rule)).isEmpty();
    }
}
