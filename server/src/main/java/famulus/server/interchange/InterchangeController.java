package famulus.server.interchange;

import famulus.core.message.render.Paper;
import famulus.server.interchange.ImportShown.ImportSettings;
import famulus.server.lists.ChosenRecords;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.messages.PapersForMany;
import famulus.server.messages.PapersForMany.Made;
import famulus.server.paper.JoinedPapers;
import famulus.server.platform.ProgressLines;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Brings records in and takes them out. Whoever is signed in may read and change records, and so do this. */
@RestController
@RequestMapping("/api")
class InterchangeController {
    private static final Logger LOG = LoggerFactory.getLogger(InterchangeController.class);

    private final ImportService imports;
    private final ImportRuns runs;
    private final ExportService exports;
    private final ChosenRecords chosen;
    private final PapersForMany papers;
    private final RecordService records;
    private final JsonMapper json;

    InterchangeController(
            ImportService imports,
            ImportRuns runs,
            ExportService exports,
            ChosenRecords chosen,
            PapersForMany papers,
            RecordService records,
            JsonMapper json) {
        this.chosen = chosen;
        this.papers = papers;
        this.runs = runs;
        this.imports = imports;
        this.exports = exports;
        this.records = records;
        this.json = json;
    }

    /** A line of an answer: how many rows have been read, at the end what it came to, or why it failed. */
    record ImportLine(int read, @Schema(nullable = true) ImportResult result, @Schema(nullable = true) String failed) {}

    /** Takes a file, CSV or vCard. */
    @PostMapping(path = "/imports/{kind}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ImportShown begin(
            Colleague asking, @PathVariable CrmKind kind, @RequestParam String name, HttpServletRequest request)
            throws IOException {
        try (Upload upload = new Upload(request.getInputStream());
                InputStream bytes = upload.bytes()) {
            return imports.begin(kind, name, bytes, asking);
        }
    }

    @GetMapping("/imports/{id}")
    ImportShown show(Colleague asking, @PathVariable UUID id) throws IOException {
        return imports.show(id, asking);
    }

    /** The same, once it is known how an import of it has ended. */
    @GetMapping("/imports/{id}/ended")
    ImportShown ended(Colleague asking, @PathVariable UUID id) throws IOException {
        return imports.ended(id, asking);
    }

    @PutMapping("/imports/{id}")
    ImportShown change(Colleague asking, @PathVariable UUID id, @RequestBody ImportSettings settings)
            throws IOException {
        return imports.change(id, settings, asking);
    }

    @DeleteMapping("/imports/{id}")
    void remove(Colleague asking, @PathVariable UUID id) {
        imports.remove(id, asking);
    }

    /** Says what an import would do; a line now and then says how far it is. */
    @PostMapping("/imports/{id}/check")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = ImportLine.class)))
    void check(
            Colleague asking, @PathVariable UUID id, @RequestBody ImportChoices choices, HttpServletResponse response)
            throws IOException {
        answer(response, lines -> runs.check(id, choices, asking, lines));
    }

    /** Imports; whoever breaks the answer off before its end has nothing imported. */
    @PostMapping("/imports/{id}/run")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = ImportLine.class)))
    void run(Colleague asking, @PathVariable UUID id, @RequestBody ImportChoices choices, HttpServletResponse response)
            throws IOException {
        answer(response, lines -> runs.run(id, choices, asking, lines));
    }

    private interface Work {
        ImportResult with(IntConsumer progress) throws IOException;
    }

    /** Work that takes long is done in the thread of its request, so that it ends with it. */
    private void answer(HttpServletResponse response, Work work) throws IOException {
        ProgressLines lines = new ProgressLines(response, json);
        ImportLine last;
        try {
            last = new ImportLine(0, work.with(read -> lines.line(new ImportLine(read, null, null))), null);
        } catch (Refusal refusal) {
            if (!lines.begun()) {
                throw refusal;
            }
            last = new ImportLine(0, null, refusal.getMessage());
        } catch (DataAccessException failed) {
            if (!lines.begun()) {
                throw failed;
            }
            LOG.error("An import failed", failed);
            last = new ImportLine(0, null, "Something went wrong on the server. Nothing was imported.");
        }
        lines.line(last);
    }

    /** The rows that could not be imported, with the reason in a column of its own, to be mended and imported again. */
    @GetMapping(path = "/imports/{id}/faults.csv", produces = "text/csv")
    void faults(Colleague asking, @PathVariable UUID id, HttpServletResponse response) throws IOException {
        runs.faults(id, asking, file(response, "not imported.csv", "text/csv"));
    }

    /** All records of a kind as CSV. */
    @GetMapping(path = "/exports/{kind}.csv", produces = "text/csv")
    void csv(Colleague asking, @PathVariable CrmKind kind, HttpServletResponse response) throws IOException {
        exports.csv(kind, exports.all(kind), file(response, kind.word() + "s.csv", "text/csv"), asking);
    }

    /** All people or organisations as cards, of version 4.0 or, for older programs, 3.0. */
    @GetMapping(path = "/exports/{kind}.vcf", produces = "text/vcard")
    void cards(
            Colleague asking,
            @PathVariable CrmKind kind,
            @RequestParam(defaultValue = "4") int version,
            HttpServletResponse response)
            throws IOException {
        boolean newest = newest(kind, version);
        exports.cards(kind, exports.all(kind), newest, file(response, kind.word() + "s.vcf", "text/vcard"), asking);
    }

    /** Records that are chosen in a list, and what they are to be taken out as: {@code csv} or {@code vcf}. */
    record ChosenExport(ListSelection choice, String as) {}

    /** Those of a kind that are chosen in a list. */
    @PostMapping("/exports/chosen")
    void chosen(Colleague asking, @RequestBody ChosenExport wanted, HttpServletResponse response) throws IOException {
        CrmKind kind = wanted.choice().kind();
        boolean cards = "vcf".equals(wanted.as()) && newest(kind, 4);
        List<UUID> ids = chosen.ids(wanted.choice(), Integer.MAX_VALUE, asking);
        Iterable<List<UUID>> which = ExportService.some(ids);
        if (cards) {
            exports.cards(kind, which, true, file(response, kind.word() + "s.vcf", "text/vcard"), asking);
        } else {
            exports.csv(kind, which, file(response, kind.word() + "s.csv", "text/csv"), asking);
        }
    }

    /** One of them as a card. */
    @GetMapping(path = "/exports/{kind}/{id}.vcf", produces = "text/vcard")
    void card(
            Colleague asking,
            @PathVariable CrmKind kind,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "4") int version,
            HttpServletResponse response)
            throws IOException {
        boolean newest = newest(kind, version);
        String name = records.get(kind, id).name();
        exports.cards(
                kind, ExportService.some(List.of(id)), newest, file(response, name + ".vcf", "text/vcard"), asking);
    }

    private static boolean newest(CrmKind kind, int version) {
        if (kind == CrmKind.DEAL) {
            throw Refusal.because("no-card", "A deal can’t be a card. Export deals as CSV.");
        }
        if (version != 3 && version != 4) {
            throw Refusal.because("no-version", "Cards are of version 3 or 4.");
        }
        return version == 4;
    }

    /**
     * Papers that are wanted.
     *
     * @param size null for what people print on where each reader is
     * @param together whether they come in one file, to be printed in one go; else each in a file of its own, packed
     */
    record ChosenPapers(
            ListSelection choice, UUID template, @Schema(nullable = true) Paper.Size size, boolean together) {}

    /** A template on paper for each of those that are chosen in a list. */
    @PostMapping("/exports/papers")
    void papers(Colleague asking, @RequestBody ChosenPapers wanted, HttpServletResponse response) throws IOException {
        List<Made> made = papers.make(wanted.choice(), wanted.template(), Optional.ofNullable(wanted.size()), asking);
        if (wanted.together()) {
            response.setContentType("application/pdf");
            response.getOutputStream()
                    .write(JoinedPapers.of(made.stream().map(Made::pdf).toList()));
            return;
        }
        response.setContentType("application/zip");
        PackedPapers.write(made, response.getOutputStream());
    }

    private static Writer file(HttpServletResponse response, String name, String type) throws IOException {
        response.setContentType(type + ";charset=UTF-8");
        response.setHeader(
                "Content-Disposition",
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
        return new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
    }
}
