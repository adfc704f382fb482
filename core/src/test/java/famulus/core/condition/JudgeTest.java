package famulus.core.condition;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.Reckoner;
import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import famulus.core.syntax.ParseFailure;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Monday 4 May 2026, ten in the morning in London. */
class JudgeTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");
    private static final Map<String, Value> VALUES = Map.ofEntries(
            Map.entry("person.first_name", new Value.Text(" Ines ")),
            Map.entry("person.title", new Value.Text("   ")),
            Map.entry("person.town", new Value.Text("Zürich")),
            Map.entry("contact.hectares", new Value.Number(new BigDecimal("27.30"))),
            Map.entry("contact.crops", new Value.Several(List.of("apples", "plums"))),
            Map.entry("contact.water", new Value.YesNo(true)),
            Map.entry("contact.phone", new Value.Phone("+441632960114")),
            Map.entry("deal.value", new Value.Money(new BigDecimal("5000.00"), "EUR")),
            Map.entry("deal.deposit", new Value.Money(new BigDecimal("5000"), "EUR")),
            Map.entry("deal.last_value", new Value.Money(new BigDecimal("5000"), "GBP")),
            Map.entry("deal.placement_date", new Value.Day(LocalDate.of(2026, 5, 14))),
            Map.entry("deal.closes_on", new Value.Day(LocalDate.of(2026, 4, 20))),
            Map.entry("history.last_written", new Value.Moment(Instant.parse("2026-05-03T23:30:00Z"))),
            Map.entry("deal.owner", new Value.Name("Signe", "Halloran")),
            Map.entry("deal.stage", new Value.Text("Signed", List.of("Won", "Gained"))),
            Map.entry("sender.full_name", new Value.Text("Signe Halloran")));

    private static boolean holds(String written, String zone) throws ParseFailure {
        Condition condition = ConditionParser.parse(written);
        Reckoner reckoner = new Reckoner(NOW, ZoneId.of(zone), WorkingDays.PLAIN);
        Judge judge = new Judge(reckoner, (Path path) -> Optional.ofNullable(VALUES.get(path.toString())));
        boolean held = judge.holds(condition);
        assertThat(judge.holds(ConditionParser.parse(condition.written()))).isEqualTo(held);
        return held;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "person.first_name is \"ines\"                     | true",
                "person.first_name is not \"ines\"                 | false",
                "person.first_name is \"Inés\"                     | false",
                "person.first_name is one of (\"Tobias\", \"INES\") | true",
                "person.first_name is not one of (\"Tobias\")       | true",
                "deal.stage is \"signed\"                          | true",
                "deal.stage is \"won\"                             | true",
                "deal.stage is not one of (\"lost\", \"gained\")   | false",
                "deal.stage is not \"lost\"                        | true",
                "deal.stage contains \"won\"                       | false",
                "person.first_name starts with \"in\"              | true",
                "person.first_name contains \"NES\"                | true",
                "person.first_name does not contain \"x\"          | true",
                "person.town is \"ZÜRICH\"                         | true",
                "person.title is empty                             | true",
                "person.title is filled                            | false",
                "person.title is \"\"                              | false",
                "person.title is not \"Dr\"                        | true",
                "person.nothing does not contain \"x\"             | true",
                "person.nothing is not one of (\"x\")              | true",
                "person.nothing is more than 3                     | false",
                "contact.hectares is 27.3                          | true",
                "contact.hectares is between 27.3 and 30           | true",
                "contact.hectares is more than 27.3                | false",
                "contact.hectares is at least 27.3                 | true",
                "contact.hectares is at most 27.29                 | false",
                "contact.hectares is less than -3                  | false",
                "contact.hectares is 27.3 EUR                      | false",
                "contact.crops contains \"Plums\"                  | true",
                "contact.crops contains \"plum\"                   | false",
                "contact.crops does not contain \"pears\"          | true",
                "contact.water is yes                              | true",
                "contact.water is not no                           | true",
                "contact.phone contains \"960\"                    | true",
                "deal.value is at least 5000                       | true",
                "deal.value is at least 5000 eur                   | true",
                "deal.value is at least 5000 GBP                   | false",
                "deal.value is deal.deposit                        | true",
                "deal.value is deal.last_value                     | false",
                "deal.owner is sender.full_name                    | true",
                "deal.owner is one of (\"signe halloran\")         | true",
                "deal.placement_date is \"2026-05-14\"             | true",
                "deal.placement_date is before \"2026-05-14\"      | false",
                "deal.placement_date is within 10 days             | true",
                "deal.placement_date is within the next 9 days     | false",
                "deal.placement_date is within the last 30 days    | false",
                "deal.closes_on is within the last 14 days         | true",
                "deal.closes_on is more than 13 days ago           | true",
                "deal.closes_on is more than 14 days ago           | false",
                "deal.closes_on is before deal.placement_date      | true",
                "deal.placement_date minus 2 weeks is before today | true",
                "deal.placement_date is after today plus 8 working days | false",
                "deal.placement_date is between today and today plus 1 month | true",
                "history.last_written is \"2026-05-04\"            | true",
                "not deal.value is filled                          | false",
                "not not deal.value is filled                      | true",
                "deal.value is empty or contact.water is yes and person.title is filled | false",
                "(deal.value is empty or contact.water is yes) and person.title is empty | true",
                "deal.value is \"lots\"                            | false",
                "person.first_name is more than 3                  | false",
                "deal.placement_date is \"soon\"                   | false",
            })
    void judges(String written, boolean expected) throws ParseFailure {
        assertThat(holds(written, "Europe/London")).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"Europe/London, 2026-05-04", "UTC, 2026-05-03", "America/New_York, 2026-05-03", "Asia/Tokyo, 2026-05-04"
    })
    void momentsCountByTheDayWhereThePersonIs(String zone, String day) throws ParseFailure {
        assertThat(holds("history.last_written is \"" + day + "\"", zone)).isTrue();
    }
}
