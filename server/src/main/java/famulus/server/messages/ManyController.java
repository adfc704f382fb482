package famulus.server.messages;

import famulus.core.audience.Audience;
import famulus.server.messages.AudienceService.Meant;
import famulus.server.platform.ProgressLines;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Messages to several people at once: who gets one, and a draft to each of them. */
@RestController
@RequestMapping("/api/messages/many")
class ManyController {
    private final AudienceService audiences;
    private final DraftsForMany drafts;
    private final JsonMapper json;

    ManyController(AudienceService audiences, DraftsForMany drafts, JsonMapper json) {
        this.audiences = audiences;
        this.drafts = drafts;
        this.json = json;
    }

    /**
     * Who gets a message.
     *
     * @param most so many drafts are begun at once at most
     * @param choosable whether each message lets its reader choose what they get
     */
    record ShownAudience(List<ShownCandidate> in, List<ShownLeftOut> out, int most, boolean choosable) {}

    @PostMapping("/audience")
    ShownAudience audience(Colleague asking, @RequestBody Meant meant) {
        Audience audience = audiences.audience(meant, asking);
        return new ShownAudience(
                audience.in().stream().map(ShownCandidate::of).toList(),
                audience.out().stream().map(ShownLeftOut::of).toList(),
                DraftsForMany.MOST,
                drafts.choosable(meant.choice().kind()));
    }

    record DraftsToBegin(Meant meant, UUID template) {}

    /** A line of the answer: how many have been begun, and at the end the drafts. */
    record BegunLine(int begun, @Schema(nullable = true) List<UUID> drafts) {}

    /** Begins a draft to each; a line for each says how far it is. */
    @PostMapping("/drafts")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = BegunLine.class)))
    void begin(Colleague asking, @RequestBody DraftsToBegin wanted, HttpServletResponse response) {
        ProgressLines lines = new ProgressLines(response, json);
        List<UUID> begun =
                drafts.begin(wanted.meant(), wanted.template(), asking, done -> lines.line(new BegunLine(done, null)));
        lines.line(new BegunLine(begun.size(), begun));
    }
}
