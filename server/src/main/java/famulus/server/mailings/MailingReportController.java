package famulus.server.mailings;

import famulus.core.results.Rate;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.mailings.MailingDeals.CameOfIt;
import famulus.server.mailings.MailingReport.Followed;
import famulus.server.mailings.MailingReport.Group;
import famulus.server.mailings.MailingReport.OnDevice;
import famulus.server.mailings.MailingReport.Report;
import famulus.server.platform.Refusal;
import famulus.server.reading.WebCopyService.Shared;
import famulus.server.reading.WebCopyService.WebCopy;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a mailing came to. */
@RestController
@RequestMapping("/api/mailings/{id}/report")
class MailingReportController {
    private final MailingReport reports;
    private final MailingDeals deals;

    MailingReportController(MailingReport reports, MailingDeals deals) {
        this.reports = reports;
        this.deals = deals;
    }

    /** How many did something; the bounds hold the true rate in nineteen of twenty cases. */
    record ShownRate(int part, int whole, double low, double high, String words) {
        static ShownRate of(Rate rate) {
            return new ShownRate(rate.part(), rate.whole(), rate.low(), rate.high(), rate.words());
        }
    }

    /**
     * A report.
     *
     * @param hoped so many replies were hoped for; 0 where nobody has said
     * @param brought what the replies are worth, as it was put down
     * @param cost as it was planned
     * @param devices on what links were followed, as far as that is said
     * @param cameOfIt deals that somebody says came of it
     */
    record ShownReport(
            ShownRate opened,
            ShownRate clicked,
            ShownRate replied,
            ShownRate unsubscribed,
            int hoped,
            long brought,
            long cost,
            List<Followed> links,
            List<OnDevice> devices,
            List<Instant> openings,
            List<Instant> followings,
            int byMachines,
            boolean counted,
            CameOfIt cameOfIt) {}

    @GetMapping
    ShownReport report(Colleague asking, @PathVariable UUID id) {
        Report report = reports.of(id);
        return new ShownReport(
                ShownRate.of(report.opened()),
                ShownRate.of(report.clicked()),
                ShownRate.of(report.replied()),
                ShownRate.of(report.unsubscribed()),
                report.goal().hoped(),
                report.goal().brought(),
                report.goal().cost(),
                report.links(),
                report.devices(),
                report.openings(),
                report.followings(),
                report.byMachines(),
                report.counted(),
                report.brought());
    }

    /** Says that a deal came of a mailing. */
    @PutMapping("/deals/{deal}")
    void name(Colleague asking, @PathVariable UUID id, @PathVariable UUID deal) {
        deals.name(id, deal, asking);
    }

    /** Says so no more. */
    @DeleteMapping("/deals/{deal}")
    void remove(Colleague asking, @PathVariable UUID id, @PathVariable UUID deal) {
        deals.remove(id, deal, asking);
    }

    /** A group of its people to be made a list of; {@code link} is null for whatever they did. */
    record ListOfGroup(Group group, @Schema(nullable = true) String link, String name) {}

    @PostMapping("/list")
    ShownList list(Colleague asking, @PathVariable UUID id, @RequestBody ListOfGroup wanted) {
        if (wanted.group() == null) {
            throw Refusal.field("group", "Say who is to be on the list.");
        }
        return reports.list(id, wanted.group(), wanted.link() == null ? "" : wanted.link(), wanted.name(), asking);
    }

    /** The links that show what a mailing says to anybody. */
    @GetMapping("/web-copies")
    List<WebCopy> webCopies(Colleague asking, @PathVariable UUID id) {
        return reports.webCopies(id, asking);
    }

    /** How a page is shown where its link is passed on; what is empty is as the page says itself. */
    record WebCopyToMake(String title, String description, @Schema(nullable = true) UUID picture) {}

    @PostMapping("/web-copies")
    WebCopy webCopy(Colleague asking, @PathVariable UUID id, @RequestBody WebCopyToMake wanted) {
        return reports.webCopy(id, new Shared(wanted.title(), wanted.description(), wanted.picture()), asking);
    }

    /** A table with a line for each of its people. */
    @PostMapping("/table")
    void table(Colleague asking, @PathVariable UUID id, HttpServletResponse response) throws IOException {
        reports.of(id);
        response.setContentType("text/csv; charset=UTF-8");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment().filename("mailing.csv").build().toString());
        try (Writer to = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8)) {
            reports.write(id, to);
        }
    }
}
