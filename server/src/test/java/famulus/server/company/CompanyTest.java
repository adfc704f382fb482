package famulus.server.company;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.calendar.WorkingDays;
import famulus.server.ServerTest;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The house's own rules: holidays, salutations, facts and fields. */
class CompanyTest extends ServerTest {
    @Autowired
    private HolidayService holidays;

    @AfterEach
    void putHolidaysBack() {
        holidays.reset("GB");
    }

    private static Map<String, Object> rules(String language, String usual, List<Map<String, String>> rules) {
        return Map.of("language", language, "usual", usual, "rules", rules);
    }

    private static Map<String, String> rule(String formality, String titles, String opening, String address) {
        return Map.of("formality", formality, "titles", titles, "opening", opening, "address", address);
    }

    @Test
    void holidaysShipAndCanBeChangedAndPutBack() throws Exception {
        LocalDate bankHoliday = LocalDate.of(2026, 5, 25);
        WorkingDays before = holidays.of("GB");
        assertThat(before.worked(bankHoliday)).isFalse();

        done("PUT", "/api/company/holidays/GB", List.of(Map.of("name", "A day of ours", "rule", "2026-05-26")), oriel);

        assertThat(holidays.of("GB").worked(bankHoliday)).isTrue();
        assertThat(holidays.of("GB").worked(LocalDate.of(2026, 5, 26))).isFalse();
        done("DELETE", "/api/company/holidays/GB", null, oriel);
        assertThat(holidays.of("GB").worked(bankHoliday)).isFalse();
    }

    @Test
    void aRuleThatIsNoDayIsRefusedWithItsLine() throws Exception {
        JsonNode refused = done(
                "PUT",
                "/api/company/holidays/GB",
                List.of(Map.of("name", "Fine", "rule", "12-25"), Map.of("name", "", "rule", "13-45")),
                oriel);

        assertThat(refused.get("fields").propertyNames())
                .containsExactlyInAnyOrder("holidays.1.name", "holidays.1.rule");
        assertThat(holidays.of("GB").worked(LocalDate.of(2026, 5, 25))).isFalse();
    }

    @Test
    void workingDaysAreThoseOfThePersonsCountry() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");

        assertThat(merged(ines, "{today plus 15 working days as long date}")).isEqualTo("26 May 2026");
    }

    @Test
    void greetsByTheHousesRules() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        assertThat(merged(ines, "{person.greeting},")).isEqualTo("Dear Ines,");

        JsonNode before = done("GET", "/api/company/greetings", null, signe).get(0);
        done(
                "PUT",
                "/api/company/greetings/en",
                rules("en", "FAMILIAR", List.of(rule("FAMILIAR", "", "Hello", "{person.first_name}"))),
                oriel);
        assertThat(merged(ines, "{person.greeting},")).isEqualTo("Hello Ines,");
        done("PUT", "/api/company/greetings/en", before, oriel);
        assertThat(merged(ines, "{person.greeting},")).isEqualTo("Dear Ines,");
    }

    @Test
    void aPersonsOwnFormalityCounts() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        done(
                "PATCH",
                "/api/records/contact/" + ines,
                Map.of("version", 1, "values", Map.of("title", "Ms", "formality", "formal")),
                signe);

        assertThat(merged(ines, "{person.greeting},")).isEqualTo("Dear Ms Okafor,");
    }

    @Test
    void twoAtOneAddressAreGreetedTogether() throws Exception {
        UUID ines = contact("Ines", "Okafor", "farm@larkfield.example");
        contact("Tobias", "Lindqvist", "farm@larkfield.example");

        assertThat(merged(ines, "{person.greeting}")).isEqualTo("Dear Ines and Tobias");
    }

    @Test
    void showsHowRulesComeOutBeforeTheyAreKept() throws Exception {
        contact("Ines", "Okafor", "");
        JsonNode examples = done(
                "POST",
                "/api/company/greetings/examples",
                rules("en", "FAMILIAR", List.of(rule("FAMILIAR", "", "Hey", "{person.first_name}"))),
                signe);

        assertThat(examples.get(0).get("salutation").asString()).isEqualTo("Hey Ines");
        JsonNode refused = done(
                "POST",
                "/api/company/greetings/examples",
                rules("en", "FAMILIAR", List.of(rule("FAMILIAR", "", "", "{deal.name}"))),
                signe);
        assertThat(refused.get("fields").propertyNames())
                .containsExactlyInAnyOrder("rules.0.opening", "rules.0.address");
    }

    @Test
    void aFactOfTheHouseIsAFieldWithItsDay() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        done("POST", "/api/company/facts", fact("Hives kept", "NUMBER", "2400", "2026-01-15"), oriel);

        assertThat(merged(ines, "{our.hives_kept as whole} as of {our.hives_kept_as_of as month and year}"))
                .isEqualTo("2,400 as of January 2026");
        done("PUT", "/api/company/facts/hives_kept", fact("Hives kept", "NUMBER", "2500", "2026-04-01"), oriel);
        assertThat(merged(ines, "{our.hives_kept as whole}")).isEqualTo("2,500");
        done("DELETE", "/api/company/facts/hives_kept", null, oriel);
        assertThat(merged(ines, "{our.hives_kept else \"gone\"}")).isEqualTo("gone");
    }

    private static Map<String, String> fact(String label, String type, String value, String asOf) {
        return Map.of("label", label, "type", type, "value", value, "asOf", asOf);
    }

    @Test
    void factsThatCantBeAreRefusedAtTheField() throws Exception {
        assertThat(refused(fact("Hives", "NUMBER", "many", "2026-01-15"))).contains("value");
        assertThat(refused(fact("Hives", "NUMBER", "3", "yesterday"))).contains("asOf");
        assertThat(refused(fact(" ", "NUMBER", "3", "2026-01-15"))).contains("label");
        assertThat(refused(fact("Company name", "TEXT", "3", "2026-01-15"))).contains("label");
        assertThat(done("GET", "/api/company/facts", null, signe)).isEmpty();
    }

    private List<String> refused(Map<String, String> fact) throws Exception {
        return List.copyOf(
                done("POST", "/api/company/facts", fact, oriel).get("fields").propertyNames());
    }
}
