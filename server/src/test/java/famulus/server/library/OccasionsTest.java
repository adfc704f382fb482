package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What a template is meant for puts it first or last where a message is begun. The clock says May. */
class OccasionsTest extends ServerTest {
    private UUID plain;
    private UUID named;
    private UUID ines;

    @BeforeEach
    void templates() throws Exception {
        plain = usable("A plain one");
        named = usable("The other one");
        ines = contact("Ines", "Brandt", "ines@larkfield.example");
    }

    private UUID usable(String name) throws Exception {
        UUID id = template("CONTACT", name, "Hello");
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), signe);
        done("PUT", "/api/templates/" + id + "/name", Map.of("name", name), signe);
        return id;
    }

    private JsonNode set(List<?> months, List<?> stages, List<?> countries) throws Exception {
        return done(
                "PUT",
                "/api/templates/" + named + "/occasion",
                Map.of("months", months, "stages", stages, "countries", countries),
                signe);
    }

    private JsonNode fitting(String more) throws Exception {
        return done("GET", "/api/templates/fitting?about=CONTACT&kind=contact&person=" + ines + more, null, signe);
    }

    private List<String> names(String more) throws Exception {
        return fitting(more).findValuesAsString("name");
    }

    @Test
    void whatIsMeantForThisMonthComesFirstAndForOthersLast() throws Exception {
        assertThat(names("")).containsExactly("A plain one", "The other one");

        set(List.of(5, 6), List.of(), List.of());
        assertThat(names("")).containsExactly("The other one", "A plain one");
        assertThat(fitting("").at("/0/why").asString()).isEqualTo("for May and June");

        set(List.of(12), List.of(), List.of());
        assertThat(names("")).containsExactly("A plain one", "The other one");
        assertThat(fitting("").at("/1/why").asString()).isEqualTo("for December");
        // Whoever looks for it finds it all the same.
        assertThat(names("&search=other")).containsExactly("The other one");
    }

    @Test
    void aFavouriteForAnotherMonthIsLastToo() throws Exception {
        done("PUT", "/api/templates/" + named + "/favourite", Map.of("favourite", true), signe);
        assertThat(names("")).containsExactly("The other one", "A plain one");

        set(List.of(12), List.of(), List.of());
        assertThat(names("")).containsExactly("A plain one", "The other one");
    }

    @Test
    void theStageOfTheDealCounts() throws Exception {
        UUID deal = UUID.fromString(done(
                        "POST",
                        "/api/records/deal",
                        Map.of("values", Map.of("name", "North", "stage", "quoted"), "email", ""),
                        signe)
                .get("id")
                .asString());
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "", "main", true), signe);
        set(List.of(), List.of("quoted"), List.of());

        assertThat(names("&deal=" + deal)).containsExactly("The other one", "A plain one");
        assertThat(fitting("&deal=" + deal).at("/0/why").asString()).isEqualTo("for “quoted”");

        set(List.of(), List.of("won"), List.of());
        assertThat(names("&deal=" + deal)).containsExactly("A plain one", "The other one");
    }

    @Test
    void theCountryCounts() throws Exception {
        set(List.of(), List.of(), List.of("GB"));
        assertThat(names("")).containsExactly("The other one", "A plain one");
        set(List.of(), List.of(), List.of("DE"));
        assertThat(names("")).containsExactly("A plain one", "The other one");
        assertThat(fitting("").at("/1/why").asString()).isEqualTo("for Germany");
    }

    @Test
    void whereNobodyIsWrittenToYetNothingCounts() throws Exception {
        set(List.of(12), List.of(), List.of());

        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, signe)
                        .findValuesAsString("name"))
                .containsExactly("A plain one", "The other one");
    }

    @ParameterizedTest
    @CsvSource({"13, '', '', months", "0, '', '', months", "5, nowhere, '', stages", "5, '', Atlantis, countries"})
    void whatIsNotThereIsRefused(int month, String stage, String country, String field) throws Exception {
        JsonNode refused = set(
                List.of(month),
                stage.isEmpty() ? List.of() : List.of(stage),
                country.isEmpty() ? List.of() : List.of(country));

        assertThat(refused.get("fields").has(field)).isTrue();
        assertThat(sql.queryForObject("select count(*) from template_occasion", Integer.class))
                .isZero();
    }

    @Test
    void onlyWhoeverMayChangeATemplateSaysIt() throws Exception {
        assertThat(done(
                                "PUT",
                                "/api/templates/" + named + "/occasion",
                                Map.of("months", List.of(5), "stages", List.of(), "countries", List.of()),
                                dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        JsonNode shown = done("GET", "/api/templates/" + named + "/occasion", null, dov);
        assertThat(shown.at("/named/months")).isEmpty();
        assertThat(shown.at("/choices/stages")).isNotEmpty();
        assertThat(plain).isNotEqualTo(named);
    }
}
