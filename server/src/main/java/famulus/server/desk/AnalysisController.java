package famulus.server.desk;

import famulus.core.condition.Condition;
import famulus.core.field.About;
import famulus.core.field.Path;
import famulus.core.message.MessageSource;
import famulus.server.desk.StressService.StressChoice;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.lists.ConditionService;
import famulus.server.lists.ConditionService.Asked;
import famulus.server.lists.ConditionService.ReadCondition;
import famulus.server.lists.ConditionService.ShownVerb;
import famulus.server.lists.FieldProfile;
import famulus.server.lists.FieldProfileService;
import famulus.server.lists.FieldProfileService.Filled;
import famulus.server.lists.PeopleService.Counted;
import famulus.server.lists.ShownCondition;
import famulus.server.platform.ProgressLines;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** What the writing desk asks about everybody a draft could go to. */
@RestController
@RequestMapping("/api/desk")
class AnalysisController {
    private final ConditionService conditions;
    private final FieldProfileService profiles;
    private final StressService stress;
    private final DraftReader drafts;
    private final JsonMapper json;

    AnalysisController(
            ConditionService conditions,
            FieldProfileService profiles,
            StressService stress,
            DraftReader drafts,
            JsonMapper json) {
        this.drafts = drafts;
        this.conditions = conditions;
        this.profiles = profiles;
        this.stress = stress;
        this.json = json;
    }

    /** A condition in its written form, or as a sentence in parts; the parts count when both are there. */
    record ConditionRequest(
            About about, @Schema(nullable = true) String written, @Schema(nullable = true) ShownCondition condition) {}

    record StressRequest(Draft draft) {}

    /** A line of the answer: how far it is, and at the end the choice; of very many people one from some of them before. */
    record StressLine(int read, int of, @Schema(nullable = true) StressChoice choice) {}

    @GetMapping("/verbs")
    List<ShownVerb> verbs(Colleague asking) {
        return conditions.verbs();
    }

    /** Reads a condition, says what is wrong with it, and for how many people it holds. */
    @PostMapping("/condition")
    ReadCondition condition(Colleague asking, @RequestBody ConditionRequest request) {
        Asked people = conditions.people(request.about(), asking);
        return request.condition() != null
                ? conditions.read(people, request.condition())
                : conditions.read(people, request.written() == null ? "" : request.written());
    }

    /** How many people have each field. */
    @GetMapping("/filled")
    Filled filled(Colleague asking, @RequestParam About about) {
        return profiles.filled(about, asking);
    }

    /** What one field really holds; of very many people as some of them have it. */
    @GetMapping("/profile")
    FieldProfile profile(Colleague asking, @RequestParam About about, @RequestParam String path) {
        return profiles.profile(about, path(path), asking, false, done -> {});
    }

    private static Path path(String path) {
        if (!path.matches("[\\p{L}\\p{N}_]+(\\.[\\p{L}\\p{N}_]+){0,5}")) {
            throw Refusal.missing("This field");
        }
        return Path.of(path);
    }

    /** A field, for templates about something. */
    record ProfileRequest(About about, String path) {}

    /** A line of the answer: how far it is, and at the end the profile. */
    record ProfileLine(int read, int of, @Schema(nullable = true) FieldProfile profile) {}

    /** What one field really holds, of everybody; a line now and then says how far it is. */
    @PostMapping("/profile/exact")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = ProfileLine.class)))
    void exactProfile(Colleague asking, @RequestBody ProfileRequest request, HttpServletResponse response) {
        About about = request.about();
        Path wanted = path(request.path() == null ? "" : request.path());
        int of = FieldProfileService.steps(about);
        ProgressLines lines = new ProgressLines(response, json);
        FieldProfile profile =
                profiles.profile(about, wanted, asking, true, done -> lines.line(new ProfileLine(done, of, null)));
        lines.line(new ProfileLine(of, of, profile));
    }

    /** A line of the answer: how far it is, and at the end the count. */
    record CountLine(int read, int of, @Schema(nullable = true) Counted counted) {}

    /** For how many people a condition holds, exactly; a line now and then says how far it is. */
    @PostMapping("/condition/exact")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = CountLine.class)))
    void exactCount(Colleague asking, @RequestBody ConditionRequest request, HttpServletResponse response) {
        String written = request.written() == null ? "" : request.written();
        Condition condition = conditions.parsed(written);
        ProgressLines lines = new ProgressLines(response, json);
        int of = stress.total(request.about());
        lines.line(new CountLine(0, of, null));
        Counted counted =
                conditions.count(request.about(), condition, asking, read -> lines.line(new CountLine(read, of, null)));
        lines.line(new CountLine(counted.of(), of, counted));
    }

    /** The few people that together show all a draft can do; a line now and then says how far it is. */
    @PostMapping("/stress")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = StressLine.class)))
    void stress(Colleague asking, @RequestBody StressRequest request, HttpServletResponse response) {
        Draft draft = DeskController.readable(request.draft());
        About about = draft.about();
        MessageSource source = drafts.source(draft);
        ProgressLines lines = new ProgressLines(response, json);
        int of = stress.total(about);
        lines.line(new StressLine(0, of, null));
        stress.chooseFirst(source, about, asking)
                .ifPresent(first -> lines.line(new StressLine(first.read(), of, first)));
        StressChoice choice = stress.choose(source, about, asking, read -> lines.line(new StressLine(read, of, null)));
        lines.line(new StressLine(choice.read(), of, choice));
    }
}
