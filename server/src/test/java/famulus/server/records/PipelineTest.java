package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.ServerTest;
import famulus.server.SummaryFromScratch;
import famulus.server.platform.Refusal;
import famulus.server.records.PipelineService.Option;
import famulus.server.records.PipelineService.OptionList;
import famulus.server.records.PipelineService.Outcome;
import famulus.server.records.PipelineService.Stage;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

class PipelineTest extends ServerTest {
    @Autowired
    private PipelineService pipeline;

    private final List<Stage> usual = new ArrayList<>();
    private final List<Option> states = new ArrayList<>();

    @org.junit.jupiter.api.BeforeEach
    void remember() {
        usual.addAll(pipeline.stages());
        states.addAll(pipeline.options(OptionList.LEAD_STATES));
    }

    @AfterEach
    void settleAsBefore() {
        sql.update("delete from deal_contact");
        sql.update("update person_summary set open_deal_id = null");
        sql.update("delete from deal");
        sql.update("delete from lead");
        pipeline.keepStages(usual);
        pipeline.keepOptions(OptionList.LEAD_STATES, states);
    }

    private UUID deal(Map<String, String> values) throws Exception {
        JsonNode made = done("POST", "/api/records/deal", Map.of("values", values, "email", ""), signe);
        return UUID.fromString(made.get("id").asString());
    }

    private String stage(UUID deal) {
        return sql.queryForObject("select stage from deal where id = ?", String.class, deal);
    }

    @Test
    void aDealBeginsInTheFirstStage() throws Exception {
        pipeline.stages(List.of(new Stage("", "Brief", Outcome.OPEN), new Stage("won", "Signed", Outcome.WON)), amos);

        assertThat(stage(deal(Map.of("name", "East")))).isEqualTo("brief");
        assertThat(pipeline.stages()).extracting(Stage::code).containsExactly("brief", "won");
    }

    /** The deal that a person's messages are about is the newest open one; what is open is settled here. */
    @Test
    void whatIsOpenFollowsTheStages() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        UUID deal = deal(Map.of("name", "East", "stage", "won"));
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        assertThat(SummaryFromScratch.keptPeople(sql).getFirst().get("open_deal_id"))
                .isNull();

        pipeline.stages(List.of(new Stage("won", "to be delivered", Outcome.OPEN)), amos);

        assertThat(SummaryFromScratch.keptPeople(sql).getFirst().get("open_deal_id"))
                .isEqualTo(deal);
        assertThat(SummaryFromScratch.keptPeople(sql)).isEqualTo(SummaryFromScratch.people(sql));
        assertThat(done("GET", "/api/records/deal?search=deliv", null, signe)
                        .get("total")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void aStageInUseStaysAndOneHasToBeOpen() throws Exception {
        deal(Map.of("name", "East", "stage", "quoted"));

        assertThatThrownBy(() -> pipeline.stages(List.of(new Stage("won", "won", Outcome.OPEN)), amos))
                .isInstanceOf(Refusal.class)
                .extracting(refusal -> ((Refusal) refusal).fields().get("options"))
                .asString()
                .contains("quoted");
        assertThatThrownBy(() -> pipeline.stages(List.of(new Stage("won", "won", Outcome.WON)), amos))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> pipeline.stages(
                        List.of(new Stage("", "A", Outcome.OPEN), new Stage("", " a", Outcome.OPEN)), amos))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> pipeline.stages(usual, signe)).isInstanceOf(Refusal.class);
        assertThat(pipeline.stages()).isEqualTo(usual);
    }

    @Test
    void leadsAndRolesAreRowsToo() throws Exception {
        pipeline.options(OptionList.LEAD_STATES, List.of(new Option("", "fresh"), new Option("new", "known")), amos);
        JsonNode lead =
                done("POST", "/api/records/lead", Map.of("values", Map.of("last_name", "Wren"), "email", ""), signe);
        assertThat(sql.queryForObject(
                        "select state from lead where id = ?",
                        String.class,
                        UUID.fromString(lead.get("id").asString())))
                .isEqualTo("fresh");

        List<String> before = pipeline.roles();
        pipeline.roles(List.of("signs", "signs ", "tests"), amos);
        assertThat(done("GET", "/api/records/deal/roles", null, dov)
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("signs", "tests");
        pipeline.roles(before, amos);
    }

    /** Every zone is one that Java knows, every language one that messages can be written in, and each is called something. */
    @Test
    void languagesCountriesAndZonesComeFromCldr() {
        Map<String, Map<String, String>> all = CldrChoices.all();

        assertThat(all.get("language"))
                .hasSizeGreaterThan(150)
                .containsEntry("de", "German")
                .containsEntry("el", "Greek");
        assertThat(all.get("country")).hasSizeGreaterThan(240).containsEntry("GB", "United Kingdom");
        assertThat(all.get("time_zone"))
                .hasSizeGreaterThan(350)
                .containsEntry("Europe/London", "London")
                .containsKey("Asia/Kolkata");
        assertThat(all.get("time_zone").keySet()).isSubsetOf(ZoneId.getAvailableZoneIds());
        assertThat(all.get("time_zone").values()).doesNotHaveDuplicates();
        assertThat(all.get("language").keySet())
                .allMatch(code -> !Locale.of(code).getLanguage().isEmpty());
        all.forEach((field, names) -> assertThat(names.keySet())
                .allMatch(code -> sql.queryForObject(
                                "select count(*) from field_choice where field_name = ? and code = ?",
                                Integer.class,
                                field,
                                code)
                        == 2));
    }
}
