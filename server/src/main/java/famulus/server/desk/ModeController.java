package famulus.server.desk;

import famulus.core.html.Cleaned;
import famulus.core.html.HtmlCleaner;
import famulus.core.intake.MarkdownReader;
import famulus.core.intake.MarkdownReader.Read;
import famulus.core.intake.ModeConversion;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.Mode;
import famulus.server.library.Draft;
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
    /** What a template can say, see {@code DraftCheck}: what is brought in can be shown and kept. */
    private static final int LONGEST_KEPT = 200_000;

    private final HouseStyleService styles;

    ModeController(HouseStyleService styles) {
        this.styles = styles;
    }

    /** A draft and what it is to become; {@code design} is empty for a plain one, {@code body} for the others. */
    record ModeChange(Mode mode, String design, String body, Mode to, @Schema(nullable = true) UUID houseStyle) {}

    /** What a text that is brought in is written as. */
    enum Written {
        HTML,
        MARKDOWN,
        /** Words alone: an empty line parts paragraphs. */
        WORDS
    }

    /** A text from elsewhere; null for HTML. */
    record BroughtIn(String html, @Schema(nullable = true) Written written) {}

    /**
     * What is brought in as it can be kept; {@code removed} has a sentence for everything that was taken out.
     *
     * @param mode what a template is written as that begins with it
     */
    record CleanSource(String source, String design, String title, List<String> removed, Mode mode) {}

    /** The draft in its new mode; {@code lost} has a sentence for everything that is left behind. */
    record ChangedMode(Mode mode, String design, String body, List<String> lost) {}

    /** Cleans HTML that comes from elsewhere, and makes the body of a source template of it; of other texts that of a letter. */
    @PostMapping("/api/desk/bring-in")
    CleanSource bringIn(Colleague asking, @RequestBody BroughtIn broughtIn) {
        String html = broughtIn.html() == null ? "" : broughtIn.html();
        if (html.isBlank()) {
            throw Refusal.field("html", "It is empty.");
        }
        if (html.length() > HtmlCleaner.LONGEST) {
            throw Refusal.field("html", "This is longer than 1,000,000 characters; no message is.");
        }
        if (broughtIn.written() == Written.MARKDOWN) {
            Read read = MarkdownReader.read(html);
            return letter(read.body(), read.title(), read.lost());
        }
        if (broughtIn.written() == Written.WORDS) {
            String words = html.replace("\r\n", "\n").replace('\r', '\n');
            return letter(
                    Conversion.convert(Mode.PLAIN, Body.EMPTY, words, Mode.LETTER)
                            .body(),
                    "",
                    List.of());
        }
        Cleaned cleaned = HtmlCleaner.cleanSource(html);
        if (cleaned.html().length() > LONGEST_KEPT) {
            throw Refusal.field(
                    "html",
                    "With its style sheets written into its elements this is longer than the 200,000 characters that a"
                            + " template can have. Remove what is not needed.");
        }
        String body = BodyJson.write(ModeConversion.ofSource(cleaned.html()));
        return new CleanSource(cleaned.html(), body, cleaned.title(), cleaned.removed(), Mode.SOURCE);
    }

    private static CleanSource letter(Body body, String title, List<String> lost) {
        String design = BodyJson.write(body);
        if (design.length() > 4 * LONGEST_KEPT) {
            throw Refusal.field("html", "This is longer than the 200,000 characters that a template can have.");
        }
        return new CleanSource("", design, title, lost, Mode.LETTER);
    }

    @PostMapping("/api/desk/mode")
    ChangedMode change(Colleague asking, @RequestBody ModeChange change) {
        if (change.mode() == null || change.to() == null) {
            throw Refusal.field("to", "Choose how the template is written from now on.");
        }
        Design design = styles.design(change.mode(), change.design(), change.houseStyle(), "", "")
                .orElseGet(() -> new Design(Mode.PLAIN, Body.EMPTY, styles.of(change.houseStyle()), "", ""));
        Converted converted = ModeConversion.convert(design, Draft.readable("body", change.body()), change.to());
        String written = converted.mode() == Mode.PLAIN ? "" : BodyJson.write(converted.body());
        return new ChangedMode(converted.mode(), written, converted.text(), converted.lost());
    }
}
