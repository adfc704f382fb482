package famulus.server.interchange;

import famulus.core.field.About;
import famulus.server.interchange.BroughtIn.Brought;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Brings a design in from elsewhere, to begin a template with. */
@RestController
@RequestMapping("/api/templates/bring-in")
class BringInController {
    private final BroughtIn broughtIn;

    BringInController(BroughtIn broughtIn) {
        this.broughtIn = broughtIn;
    }

    /**
     * A text from elsewhere.
     *
     * @param written null for HTML
     * @param about what the template is to be for; null for contacts
     * @param title what it is called where that does not stand in it, such as the subject of an e-mail; null for nothing
     * @param codes what takes the place of codes of another system, by the code; null for nothing
     */
    record TextToBring(
            String html,
            @Schema(nullable = true) TextWritten written,
            @Schema(nullable = true) About about,
            @Schema(nullable = true) String title,
            @Schema(nullable = true) Map<String, String> codes) {}

    /**
     * What a file holds, as it came but for its pictures, which are kept aside.
     *
     * @param pages the pages of a zip; of another file its name
     * @param page which of them this is
     * @param title what it calls itself; may be empty
     * @param pictures how many pictures came along
     */
    record FileRead(List<String> pages, String page, String title, String text, TextWritten written, int pictures) {}

    /** Cleans what is brought in, and makes the design of a template of it. */
    @PostMapping
    Brought text(Colleague asking, @RequestBody TextToBring text) {
        return broughtIn.clean(
                text.html() == null ? "" : text.html(),
                text.title() == null ? "" : text.title(),
                text.written() == null ? TextWritten.HTML : text.written(),
                text.about() == null ? About.CONTACT : text.about(),
                text.codes() == null ? Map.of() : text.codes(),
                asking);
    }

    /** Reads a file; of a zip the page that is wanted, or the first one. */
    @PostMapping(path = "/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    FileRead file(
            Colleague asking,
            @RequestParam String name,
            @RequestParam(required = false) String page,
            HttpServletRequest request)
            throws IOException {
        byte[] bytes = request.getInputStream().readNBytes(PackedFile.LARGEST + 1);
        if (bytes.length > PackedFile.LARGEST) {
            throw Refusal.field("file", "This file is larger than 64 MB.");
        }
        return broughtIn.read(name, bytes, page, asking);
    }
}
