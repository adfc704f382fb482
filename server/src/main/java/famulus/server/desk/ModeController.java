package famulus.server.desk;

import famulus.core.html.HtmlCleaner;
import famulus.core.intake.ModeConversion;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.Mode;
import famulus.server.library.Draft;
import famulus.server.library.UsableParts;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Changes what a draft is written as; nothing is kept until the writer has seen what is lost and says yes. */
@RestController
class ModeController {
    private final HouseStyleService styles;
    private final UsableParts usable;

    ModeController(HouseStyleService styles, UsableParts usable) {
        this.usable = usable;
        this.styles = styles;
    }

    /** A draft and what it is to become; {@code design} is empty for a plain one, {@code body} for the others. */
    record ModeChange(Mode mode, String design, String body, Mode to, @Schema(nullable = true) UUID houseStyle) {}

    /** The draft in its new mode; {@code lost} has a sentence for everything that is left behind. */
    record ChangedMode(Mode mode, String design, String body, List<String> lost) {}

    /** HTML that was copied elsewhere. */
    record CopiedHtml(String html) {}

    /** Rows made of it, as the design they are the only ones of; {@code lost} has a sentence for what could not be kept. */
    record RowsMade(String design, List<String> lost) {}

    /** Makes rows and columns of what was copied elsewhere, as its tables laid it out. */
    @PostMapping("/api/desk/rows")
    RowsMade rows(Colleague asking, @RequestBody CopiedHtml copied) {
        String html = copied.html() == null ? "" : copied.html();
        if (html.length() > HtmlCleaner.LONGEST) {
            throw Refusal.field("html", "This is longer than 1,000,000 characters; no message is.");
        }
        Converted converted = ModeConversion.rows(html);
        return new RowsMade(BodyJson.write(converted.body()), converted.lost());
    }

    @PostMapping("/api/desk/mode")
    ChangedMode change(Colleague asking, @RequestBody ModeChange change) {
        if (change.mode() == null || change.to() == null) {
            throw Refusal.field("to", "Choose how the template is written from now on.");
        }
        UUID style =
                change.houseStyle() != null && styles.mayUse(change.houseStyle(), asking) ? change.houseStyle() : null;
        String written = usable.only(Draft.readable("design", change.design()), asking);
        Design design = styles.design(change.mode(), written, style, "", "")
                .orElseGet(() -> new Design(Mode.PLAIN, Body.EMPTY, styles.of(style), "", ""));
        Converted converted = ModeConversion.convert(design, Draft.readable("body", change.body()), change.to());
        String changed = converted.mode() == Mode.PLAIN ? "" : BodyJson.write(converted.body());
        return new ChangedMode(converted.mode(), changed, converted.text(), converted.lost());
    }
}
