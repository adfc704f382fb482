package famulus.server.lists;

import famulus.server.lists.ChosenRecords.ListChanges;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.lists.ChosenRecords.Narrowed;
import famulus.server.lists.ChosenRecords.NarrowedWindow;
import famulus.server.lists.ConditionService.Asked;
import famulus.server.lists.ConditionService.ReadCondition;
import famulus.server.lists.FieldChanges.Changed;
import famulus.server.lists.PastedPeople.PastedReport;
import famulus.server.lists.RecordLists.ShownList;
import famulus.server.lists.RecordLists.TypedList;
import famulus.server.platform.ProgressLines;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.UUID;
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

/** Lists of records: by a condition, kept, and what is done with the records that are chosen in them. */
@RestController
@RequestMapping("/api/lists")
class ListController {
    /** Nobody has more. */
    private static final int MOST_ON_A_LIST = 100_000;

    private final ConditionService conditions;
    private final RecordFilterService filters;
    private final CatalogueService catalogues;
    private final ChosenRecords chosen;
    private final RecordLists lists;
    private final FieldChanges changes;
    private final PastedPeople pastedPeople;
    private final JsonMapper json;

    ListController(
            ConditionService conditions,
            RecordFilterService filters,
            CatalogueService catalogues,
            ChosenRecords chosen,
            RecordLists lists,
            FieldChanges changes,
            PastedPeople pastedPeople,
            JsonMapper json) {
        this.conditions = conditions;
        this.filters = filters;
        this.catalogues = catalogues;
        this.chosen = chosen;
        this.lists = lists;
        this.changes = changes;
        this.pastedPeople = pastedPeople;
        this.json = json;
    }

    /** A condition in its written form, or as a sentence in parts; the parts count when both are there. */
    record ListConditionRequest(
            CrmKind kind, @Schema(nullable = true) String written, @Schema(nullable = true) ShownCondition condition) {}

    record ListCount(int number) {}

    record ChosenRequest(ListSelection choice) {}

    record SetField(ListSelection choice, String field, String value) {}

    /** A line of the answer: how far it is, and at the end what has been done. */
    record SetLine(int done, int of, @Schema(nullable = true) Changed changed) {}

    record ChangedList(int version, TypedList list) {}

    /** How many records a list has more, or fewer, and the list. */
    record ListMembers(int number, ShownList list) {}

    /** The fields that the list of a kind can be asked for. */
    @GetMapping("/fields/{kind}")
    List<FoundField> fields(Colleague asking, @PathVariable CrmKind kind) {
        CrmKind person = kind == CrmKind.LEAD ? CrmKind.LEAD : CrmKind.CONTACT;
        RecordScope scope = new RecordScope(kind);
        return filters.fields(scope, asking).entrySet().stream()
                .map(one -> FoundField.of(one.getKey(), one.getValue(), person, "")
                        .called(scope.label(catalogues.catalogue(), one.getKey())))
                .toList();
    }

    /** Reads a condition, says what is wrong with it, and for how many records it holds. */
    @PostMapping("/condition")
    ReadCondition condition(Colleague asking, @RequestBody ListConditionRequest request) {
        Asked records = conditions.records(new RecordScope(request.kind()), asking);
        return request.condition() != null
                ? conditions.read(records, request.condition())
                : conditions.read(records, request.written() == null ? "" : request.written());
    }

    /** A window of the list of a kind. */
    @GetMapping("/records/{kind}")
    NarrowedWindow lines(
            Colleague asking,
            @PathVariable CrmKind kind,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "") String where,
            @RequestParam(required = false) UUID list,
            @RequestParam(required = false) UUID minus,
            @RequestParam(required = false) UUID deals,
            @RequestParam(required = false) String role,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "false") boolean descending,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int most,
            @RequestParam(defaultValue = "false") boolean soon) {
        return chosen.lines(
                kind,
                new Narrowed(search, where, list, minus, deals, role),
                sort,
                descending,
                from,
                most,
                soon,
                asking);
    }

    /** How many records a list has that is narrowed, exactly. */
    @GetMapping("/records/{kind}/count")
    ListCount count(
            Colleague asking,
            @PathVariable CrmKind kind,
            @RequestParam(defaultValue = "") String where,
            @RequestParam(required = false) UUID list,
            @RequestParam(required = false) UUID minus,
            @RequestParam(required = false) UUID deals,
            @RequestParam(required = false) String role) {
        return new ListCount(chosen.exactly(kind, new Narrowed("", where, list, minus, deals, role), asking));
    }

    /** The lists of a kind that are kept. */
    @GetMapping("/kept/{kind}")
    List<ShownList> all(Colleague asking, @PathVariable CrmKind kind) {
        return lists.all(kind, asking);
    }

    @PostMapping("/kept/{kind}")
    ShownList add(Colleague asking, @PathVariable CrmKind kind, @RequestBody TypedList list) {
        return lists.add(kind, list, asking);
    }

    @GetMapping("/{id}")
    ShownList list(Colleague asking, @PathVariable UUID id) {
        return lists.list(id, asking);
    }

    /** What has changed on a list since whoever asks looked at it last. */
    @GetMapping("/{id}/changes")
    ListChanges changes(Colleague asking, @PathVariable UUID id) {
        return chosen.changes(id, asking);
    }

    /** Whoever asks has looked at a list as it is now. */
    @PostMapping("/{id}/look")
    void look(Colleague asking, @PathVariable UUID id) {
        chosen.look(id, asking);
    }

    @PutMapping("/{id}")
    ShownList change(Colleague asking, @PathVariable UUID id, @RequestBody ChangedList changed) {
        return lists.change(id, changed.version(), changed.list(), asking);
    }

    @DeleteMapping("/{id}")
    void delete(Colleague asking, @PathVariable UUID id) {
        lists.delete(id, asking);
    }

    @PostMapping("/{id}/bring-back")
    ShownList bringBack(Colleague asking, @PathVariable UUID id) {
        return lists.bringBack(id, asking);
    }

    /** Puts chosen records onto a fixed list. */
    @PostMapping("/{id}/members")
    ListMembers put(Colleague asking, @PathVariable UUID id, @RequestBody ChosenRequest request) {
        int added = lists.put(id, members(id, request, asking), asking);
        return new ListMembers(added, lists.list(id, asking));
    }

    /** Takes chosen records off a fixed list. */
    @PostMapping("/{id}/members/take-off")
    ListMembers take(Colleague asking, @PathVariable UUID id, @RequestBody ChosenRequest request) {
        int taken = lists.take(id, members(id, request, asking), asking);
        return new ListMembers(taken, lists.list(id, asking));
    }

    record PastedText(String text) {}

    /** Pasted text to be taken; {@code leads} whether addresses that nobody has become leads. */
    record PastedToTake(String text, boolean leads) {}

    /** Says who is found by the addresses in pasted text. */
    @PostMapping("/{id}/pasted")
    PastedReport look(Colleague asking, @PathVariable UUID id, @RequestBody PastedText pasted) {
        return pastedPeople.look(id, pasted.text(), asking);
    }

    /** Puts them onto a fixed list. */
    @PostMapping("/{id}/pasted/take")
    PastedReport take(Colleague asking, @PathVariable UUID id, @RequestBody PastedToTake pasted) {
        return pastedPeople.take(id, pasted.text(), pasted.leads(), asking);
    }

    private List<UUID> members(UUID list, ChosenRequest request, Colleague asking) {
        lists.mustHold(list, request.choice().kind(), asking);
        return chosen.ids(request.choice(), MOST_ON_A_LIST, asking);
    }

    /** Sets a field of all chosen records; a line now and then says how far it is. */
    @PostMapping("/set-field")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = SetLine.class)))
    void setField(Colleague asking, @RequestBody SetField request, HttpServletResponse response) {
        List<UUID> ids = chosen.ids(request.choice(), FieldChanges.MOST, asking);
        ProgressLines lines = new ProgressLines(response, json);
        Changed changed = changes.set(
                request.choice().kind(),
                ids,
                request.field(),
                request.value(),
                asking,
                done -> lines.line(new SetLine(done, ids.size(), null)));
        lines.line(new SetLine(ids.size(), ids.size(), changed));
    }

    /** Puts back what chosen records had before a field was set; says how many these are. */
    @PostMapping("/set-field/{change}/take-back")
    ListCount takeBack(Colleague asking, @PathVariable UUID change) {
        return new ListCount(changes.takeBack(change, asking));
    }
}
