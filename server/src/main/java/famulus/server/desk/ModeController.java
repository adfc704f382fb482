package famulus.server.desk;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.Mode;
import famulus.server.cupboard.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Changes what a draft is written as; nothing is kept until the writer has seen what is lost and says yes. */
@RestController
class ModeController {
    private final HouseStyleService styles;

    ModeController(HouseStyleService styles) {
        this.styles = styles;
    }

    /** A draft and what it is to become; {@code design} is empty for a plain one, {@code body} for the others. */
    record ModeChange(Mode mode, String design, String body, Mode to) {}

    /** The draft in its new mode; {@code lost} has a sentence for everything that is left behind. */
    record ChangedMode(Mode mode, String design, String body, List<String> lost) {}

    @PostMapping("/api/desk/mode")
    ChangedMode change(Colleague asking, @RequestBody ModeChange change) {
        if (change.mode() == null || change.to() == null) {
            throw Refusal.field("to", "Say what it is to become.");
        }
        Body body = styles.design(change.mode(), change.design(), null, "", "")
                .map(Design::body)
                .orElse(Body.EMPTY);
        Converted converted =
                Conversion.convert(change.mode(), body, DeskController.text(change.body(), "body"), change.to());
        String design = converted.mode() == Mode.PLAIN ? "" : BodyJson.write(converted.body());
        return new ChangedMode(converted.mode(), design, converted.text(), converted.lost());
    }
}
