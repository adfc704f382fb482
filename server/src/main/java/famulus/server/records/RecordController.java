package famulus.server.records;

import famulus.server.records.ChosenColumns.ColumnChoice;
import famulus.server.records.DealService.DealLine;
import famulus.server.records.DealService.DocumentState;
import famulus.server.records.HistoryService.EntryKind;
import famulus.server.records.HistoryService.HistoryPortion;
import famulus.server.records.RecordListService.LedgerPart;
import famulus.server.records.RecordListService.LedgerWindow;
import famulus.server.records.RecordPageService.Fact;
import famulus.server.records.RecordPageService.RecordPage;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Contacts, leads, deals and organisations. Whoever is signed in may read and change them. */
@RestController
@RequestMapping("/api/records")
class RecordController {
    private final RecordService records;
    private final RecordListService lists;
    private final ChosenColumns columns;
    private final PipelineService pipeline;
    private final RecordPageService pages;
    private final HistoryService history;
    private final DealService deals;

    RecordController(
            RecordService records,
            RecordListService lists,
            ChosenColumns columns,
            RecordPageService pages,
            HistoryService history,
            DealService deals,
            PipelineService pipeline) {
        this.pipeline = pipeline;
        this.records = records;
        this.lists = lists;
        this.columns = columns;
        this.pages = pages;
        this.history = history;
        this.deals = deals;
    }

    record NewRecord(Map<String, String> values, String email) {}

    record ChangedRecord(int version, Map<String, String> values) {}

    record FilledField(String value) {}

    record NewEntry(EntryKind kind, int minutes, String words) {}

    /** A document; {@code file} is null where it is not kept here. */
    record NewDocument(String name, String link, @Schema(nullable = true) UUID file, DocumentState state) {}

    record ContactRole(String role, boolean main) {}

    record Made(UUID id) {}

    @GetMapping("/{kind}")
    LedgerWindow lines(
            Colleague asking,
            @PathVariable CrmKind kind,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "false") boolean descending,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int most) {
        return lists.lines(kind, new LedgerPart(search, sort, descending, from, most), asking);
    }

    /** The columns the list of a kind can have, and those whoever asks has chosen. */
    @GetMapping("/{kind}/columns")
    ColumnChoice columns(Colleague asking, @PathVariable CrmKind kind) {
        return columns.choice(kind, asking);
    }

    /** Names of columns in their order; none for those that everybody begins with. */
    @PutMapping("/{kind}/columns")
    ColumnChoice columns(Colleague asking, @PathVariable CrmKind kind, @RequestBody List<String> names) {
        return columns.choose(kind, names, asking);
    }

    /** The fields that can be set for many records at once, with what can be chosen for each. */
    @GetMapping("/{kind}/settable")
    List<Fact> settable(Colleague asking, @PathVariable CrmKind kind) {
        return pages.settable(kind);
    }

    @PostMapping("/{kind}")
    Made add(Colleague asking, @PathVariable CrmKind kind, @RequestBody NewRecord added) {
        return new Made(records.add(kind, added.values(), added.email()));
    }

    @GetMapping("/{kind}/{id}")
    RecordPage page(Colleague asking, @PathVariable CrmKind kind, @PathVariable UUID id) {
        return pages.page(kind, id, asking);
    }

    @PatchMapping("/{kind}/{id}")
    RecordPage change(
            Colleague asking, @PathVariable CrmKind kind, @PathVariable UUID id, @RequestBody ChangedRecord changed) {
        records.change(kind, id, changed.version(), changed.values());
        return pages.page(kind, id, asking);
    }

    /** Fills in a field that is missing. */
    @PutMapping("/{kind}/{id}/fields/{field}")
    void fill(
            Colleague asking,
            @PathVariable CrmKind kind,
            @PathVariable UUID id,
            @PathVariable String field,
            @RequestBody FilledField filled) {
        records.fill(kind, id, field, filled.value());
    }

    @PutMapping("/{kind}/{id}/addresses")
    RecordPage addresses(
            Colleague asking,
            @PathVariable CrmKind kind,
            @PathVariable UUID id,
            @RequestBody List<PersonAddress> addresses) {
        records.addresses(kind, id, addresses);
        return pages.page(kind, id, asking);
    }

    /** The history before an entry, newest first. */
    @GetMapping("/{kind}/{id}/history")
    HistoryPortion said(
            Colleague asking,
            @PathVariable CrmKind kind,
            @PathVariable UUID id,
            @RequestParam(required = false) Instant before,
            @RequestParam(required = false) UUID beforeId) {
        records.get(kind, id);
        return history.said(kind, id, before, beforeId, asking);
    }

    @PostMapping("/{kind}/{id}/history")
    Made note(Colleague asking, @PathVariable CrmKind kind, @PathVariable UUID id, @RequestBody NewEntry entry) {
        records.get(kind, id);
        return new Made(history.note(kind, id, entry.kind(), entry.minutes(), entry.words(), asking));
    }

    @DeleteMapping("/history/{entry}")
    void takeBack(Colleague asking, @PathVariable UUID entry) {
        history.takeBack(entry, asking);
    }

    /** What contacts can be on a deal, in the order they are offered. */
    @GetMapping("/deal/roles")
    List<String> roles(Colleague asking) {
        return pipeline.roles();
    }

    /** All lines of a deal, in order. */
    @GetMapping("/deal/{id}/lines")
    List<DealLine> lines(Colleague asking, @PathVariable UUID id) {
        records.get(CrmKind.DEAL, id);
        return deals.lines(id);
    }

    @PutMapping("/deal/{id}/lines")
    RecordPage lines(Colleague asking, @PathVariable UUID id, @RequestBody List<DealLine> lines) {
        records.get(CrmKind.DEAL, id);
        deals.lines(id, lines);
        return pages.page(CrmKind.DEAL, id, asking);
    }

    @PostMapping("/deal/{id}/documents")
    Made addDocument(Colleague asking, @PathVariable UUID id, @RequestBody NewDocument document) {
        records.get(CrmKind.DEAL, id);
        return new Made(deals.document(id, null, document.name(), document.link(), document.file(), document.state()));
    }

    @PutMapping("/deal/{id}/documents/{document}")
    Made changeDocument(
            Colleague asking,
            @PathVariable UUID id,
            @PathVariable("document") UUID documentId,
            @RequestBody NewDocument document) {
        return new Made(
                deals.document(id, documentId, document.name(), document.link(), document.file(), document.state()));
    }

    @DeleteMapping("/deal/{id}/documents/{document}")
    void removeDocument(Colleague asking, @PathVariable UUID id, @PathVariable("document") UUID document) {
        deals.removeDocument(id, document);
    }

    @PutMapping("/deal/{id}/contacts/{contact}")
    void contact(Colleague asking, @PathVariable UUID id, @PathVariable UUID contact, @RequestBody ContactRole role) {
        records.get(CrmKind.DEAL, id);
        records.get(CrmKind.CONTACT, contact);
        deals.contact(id, contact, role.role(), role.main());
    }

    @DeleteMapping("/deal/{id}/contacts/{contact}")
    void removeContact(Colleague asking, @PathVariable UUID id, @PathVariable UUID contact) {
        deals.removeContact(id, contact);
    }
}
