package famulus.server.donotemail;

import famulus.server.donotemail.DoNotEmailMapper.EntryRow;
import famulus.server.donotemail.DoNotEmailService.Imported;
import famulus.server.donotemail.DoNotEmailService.ListPage;
import famulus.server.team.Colleague;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The do-not-email list. */
@RestController
@RequestMapping("/api/do-not-email")
class DoNotEmailController {
    private final DoNotEmailService list;

    DoNotEmailController(DoNotEmailService list) {
        this.list = list;
    }

    /** An entry: an address, or a domain with all its addresses. */
    record DoNotEmailEntry(String entry, boolean wholeDomain, String reason, String addedBy, Instant addedAt) {}

    /**
     * A part of the list, in order.
     *
     * @param more whether there are entries after it
     */
    record DoNotEmailList(List<DoNotEmailEntry> entries, boolean more) {}

    /** What is to be added; {@code reason} may be empty. */
    record NewDoNotEmail(String entry, String reason) {}

    @GetMapping
    DoNotEmailList list(
            Colleague asking,
            @RequestParam(required = false) String begins,
            @RequestParam(required = false) String after) {
        ListPage page = list.page(begins, after);
        return new DoNotEmailList(
                page.entries().stream().map(DoNotEmailController::entry).toList(), page.more());
    }

    private static DoNotEmailEntry entry(EntryRow row) {
        return new DoNotEmailEntry(row.entry(), row.wholeDomain(), row.reason(), row.addedBy(), row.addedAt());
    }

    @PostMapping
    void add(Colleague asking, @RequestBody NewDoNotEmail entry) {
        list.add(entry.entry(), entry.reason(), asking);
    }

    /** Takes an entry off the list. */
    @DeleteMapping
    void remove(Colleague asking, @RequestParam String entry) {
        list.remove(entry, asking);
    }

    /** Adds what a CSV file lists. */
    @PostMapping(path = "/import", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Imported bringIn(Colleague asking, @RequestBody(required = false) byte[] file) {
        return list.bringIn(file == null ? new byte[0] : file, asking);
    }

    /** The whole list as CSV. */
    @GetMapping(path = "/do-not-email.csv", produces = "text/csv")
    void takeOut(Colleague asking, HttpServletResponse response) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"do-not-email.csv\"");
        Writer to = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
        list.takeOut(to);
    }
}
