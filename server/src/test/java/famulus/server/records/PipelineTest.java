package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import famulus.server.ServerTest;
import famulus.server.SummaryFromScratch;
import famulus.server.platform.Refusal;
import famulus.server.records.PipelineService.Option;
import famulus.server.records.PipelineService.OptionList;
import famulus.server.records.PipelineService.Outcome;
import famulus.server.records.PipelineService.Pipeline;
import famulus.server.records.PipelineService.Stage;
import famulus.server.team.Colleague;
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

    private void stages(List<Stage> stages, Colleague by) {
        Pipeline before = pipeline.all();
        pipeline.change(before, new Pipeline(stages, before.leadStates(), before.leadSources(), before.roles()), by);
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
        stages(List.of(new Stage("", "Brief", Outcome.OPEN), new Stage("won", "Signed", Outcome.WON)), amos);

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

        stages(List.of(new Stage("won", "to be delivered", Outcome.OPEN)), amos);

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

        assertThatThrownBy(() -> stages(List.of(new Stage("won", "won", Outcome.OPEN)), amos))
                .isInstanceOf(Refusal.class)
                .extracting(refusal -> ((Refusal) refusal).fields().get("options"))
                .asString()
                .contains("quoted");
        assertThatThrownBy(() -> stages(List.of(new Stage("won", "won", Outcome.WON)), amos))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() ->
                        stages(List.of(new Stage("", "A", Outcome.OPEN), new Stage("", " a", Outcome.OPEN)), amos))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> stages(usual, signe)).isInstanceOf(Refusal.class);
        assertThat(pipeline.stages()).isEqualTo(usual);
    }

    @Test
    void aRetiredStageStaysWithItsDealsAndTakesNoOther() throws Exception {
        UUID east = deal(Map.of("name", "East", "stage", "new"));
        stages(
                List.of(
                        new Stage("new", "new", Outcome.OPEN, true),
                        new Stage("won", "won", Outcome.WON),
                        new Stage("talking", "talking", Outcome.OPEN)),
                amos);

        assertThat(pipeline.uses().stages()).isEqualTo(Map.of("new", 1));
        assertThat(stage(east)).isEqualTo("new");
        assertThat(stage(deal(Map.of("name", "West"))))
                .as("a new deal begins in an open one")
                .isEqualTo("talking");
        JsonNode refused = done(
                "POST",
                "/api/records/deal",
                Map.of("values", Map.of("name", "North", "stage", "new"), "email", ""),
                signe);
        assertThat(refused.get("fields").get("stage").asString()).isEqualTo("“new” is retired. Choose another one.");
        assertThatThrownBy(() -> stages(
                        List.of(new Stage("new", "new", Outcome.OPEN, true), new Stage("won", "won", Outcome.WON)),
                        amos))
                .isInstanceOf(Refusal.class);
    }

    private static Map<String, Object> stageOf(String code, String label, String outcome) {
        return Map.of("code", code, "label", label, "outcome", outcome, "retired", false);
    }

    private Map<String, Object> changed(JsonNode before, Object stages) {
        Map<String, Object> after = new java.util.HashMap<>(json.convertValue(before, Map.class));
        after.put("stages", stages);
        return Map.of("before", before, "after", after);
    }

    @Test
    void aStageIsRenamedAndAnotherAddedAtOnceAndSomebodyElsesChangeIsSeenFirst() throws Exception {
        UUID deal = deal(Map.of("name", "East", "stage", "quoted"));
        JsonNode before = done("GET", "/api/company/pipeline", null, dov);
        List<Map<String, Object>> stages = List.of(
                stageOf("new", "fresh", "OPEN"),
                stageOf("talking", "talking", "OPEN"),
                stageOf("quoted", "offer out", "OPEN"),
                stageOf("", "Signed", "WON"),
                stageOf("lost", "lost", "LOST"));

        JsonNode after = done("PUT", "/api/company/pipeline", changed(before, stages), amos);

        assertThat(after.at("/stages/3/code").asString()).isEqualTo("signed");
        assertThat(stage(deal)).isEqualTo("quoted");
        assertThat(done("GET", "/api/records/deal?search=offer", null, signe)
                        .get("total")
                        .asInt())
                .isEqualTo(1);
        assertThat(done("PUT", "/api/company/pipeline", changed(before, stages), amos)
                        .get("code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        assertThat(done("PUT", "/api/company/pipeline", changed(after, stages), oriel)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        assertThat(done("GET", "/api/company/pipeline", null, signe)).isEqualTo(after);
    }

    /** Conditions were written when the stage had another name, and go on holding for the same deals. */
    @Test
    void conditionsOutliveANewName() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID deal = deal(Map.of("name", "East", "stage", "quoted"));
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        String body = "{when deal.stage is \"quoted\"}yes{otherwise}no{end}";
        assertThat(merged(ines, body)).isEqualTo("yes");
        JsonNode before = done("GET", "/api/company/pipeline", null, amos);
        List<Map<String, Object>> stages = new ArrayList<>();
        for (JsonNode stage : before.get("stages")) {
            String code = stage.get("code").asString();
            String label =
                    code.equals("quoted") ? "Offer out" : stage.get("label").asString();
            stages.add(stageOf(code, label, stage.get("outcome").asString()));
        }
        JsonNode renamed = done("PUT", "/api/company/pipeline", changed(before, stages), amos);

        assertThat(merged(ines, body)).isEqualTo("yes");
        assertThat(merged(ines, "{when deal.stage is \"offer out\"}{deal.stage}{end}"))
                .isEqualTo("Offer out");
        JsonNode proof = proof(ines, "x", body);
        assertThat(proof.get("notes").valueStream().map(note -> note.get("code").asString()))
                .doesNotContain("field-broken");
        assertThat(proof.at("/body/chips/0/label").asString()).isEqualTo("Stage is Offer out");
        Map<String, Object> condition = Map.of("about", "CONTACT", "written", "deal.stage is \"quoted\"");
        assertThat(done("POST", "/api/desk/condition", condition, signe)
                        .get("holds")
                        .asInt())
                .isEqualTo(1);

        // The old name given to another stage is that one's from then on.
        stages.replaceAll(stage -> stage.get("code").equals("new") ? stageOf("new", "quoted", "OPEN") : stage);
        done("PUT", "/api/company/pipeline", changed(renamed, stages), amos);
        assertThat(merged(ines, body)).isEqualTo("no");
    }

    @Test
    void aRefusalSaysHowManyWouldBeLeftWithoutAndNothingIsChanged() throws Exception {
        deal(Map.of("name", "East", "stage", "quoted"));
        deal(Map.of("name", "West", "stage", "quoted"));
        JsonNode before = done("GET", "/api/company/pipeline", null, amos);
        Map<String, Object> wanted = changed(before, List.of(stageOf("new", "fresh", "OPEN")));

        assertThat(done("PUT", "/api/company/pipeline", wanted, amos)
                        .at("/fields/options")
                        .asString())
                .isEqualTo(
                        "“quoted” is the stage of 2 deals. Retire it in place of removing it, or change them first.");
        assertThat(done("GET", "/api/company/pipeline", null, amos)).isEqualTo(before);
    }

    @Test
    void leadsAndRolesAreRowsToo() throws Exception {
        Pipeline before = pipeline.all();
        Pipeline after = new Pipeline(
                before.stages(),
                List.of(new Option("", "fresh"), new Option("new", "known")),
                before.leadSources(),
                List.of("signs", "signs ", "tests"));
        pipeline.change(before, after, amos);
        JsonNode lead =
                done("POST", "/api/records/lead", Map.of("values", Map.of("last_name", "Wren"), "email", ""), signe);
        assertThat(sql.queryForObject(
                        "select state from lead where id = ?",
                        String.class,
                        UUID.fromString(lead.get("id").asString())))
                .isEqualTo("fresh");

        assertThat(done("GET", "/api/records/deal/roles", null, dov)
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("signs", "tests");
        pipeline.keepRoles(before.roles());
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
