package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource;
import famulus.server.desk.ProofPeopleService.ProofPerson;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.KeptPlainText;
import famulus.server.library.TemplateKind;
import famulus.server.library.WavedNoteService;
import famulus.server.library.WavedNoteService.Waved;
import famulus.server.lists.FoundField;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the writing desk asks while one writes. */
@RestController
@RequestMapping("/api/desk")
class DeskController {
    private final ProofService proofs;
    private final FieldFinderService fields;
    private final ProofPeopleService people;
    private final CatalogueService catalogues;
    private final DraftReader drafts;
    private final ProofPresenter shown;
    private final WavedNoteService waved;

    DeskController(
            ProofService proofs,
            FieldFinderService fields,
            ProofPeopleService people,
            CatalogueService catalogues,
            DraftReader drafts,
            ProofPresenter shown,
            WavedNoteService waved) {
        this.waved = waved;
        this.shown = shown;
        this.drafts = drafts;
        this.proofs = proofs;
        this.fields = fields;
        this.people = people;
        this.catalogues = catalogues;
    }

    /**
     * A draft to be previewed.
     *
     * @param kind of the person it is for
     * @param id of the person
     * @param deal of theirs; null for none
     * @param template what it is the draft of; null while it is none yet
     */
    record ProofRequest(
            Draft draft,
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) UUID template) {}

    /** A design of which the plain text is wanted. */
    record TextRequest(Draft draft) {}

    /** The derived plain text of a draft, to be written on by hand, with what the draft says now. */
    @PostMapping("/plain-text")
    KeptPlainText plainText(Colleague asking, @RequestBody TextRequest request) {
        return drafts.derived(request.draft().mustBeReadable());
    }

    record WrittenField(String written, Chip chip) {}

    record FieldRequest(About about, CrmKind kind, List<ShownTerm> terms) {}

    /** The draft merged and proofread for one person. */
    @PostMapping("/proof")
    ShownProof proof(Colleague asking, @RequestBody ProofRequest request) {
        Draft draft = readable(request.draft());
        MessageSource source = drafts.source(draft);
        For to = new For(request.kind(), request.id(), request.deal());
        Proof proof = proofs.proof(source, draft.about(), to, asking, Given.NOTHING);
        List<Waved> let = request.template() == null ? List.of() : waved.all(request.template(), asking);
        return shown.of(ofKind(proof, draft.kind()), draft.about(), let);
    }

    /** A passage or signature stands within messages: nothing is to be said of a subject it does not have. */
    private static Proof ofKind(Proof proof, TemplateKind kind) {
        return kind.whole()
                ? proof
                : new Proof(
                        proof.person(),
                        proof.catalogue(),
                        proof.program(),
                        proof.subject(),
                        proof.notes().stream()
                                .filter(note -> note.part() == MessagePart.BODY)
                                .toList(),
                        proof.at());
    }

    /** The fields that can be put in, with what each prints for one person. */
    @GetMapping("/fields")
    List<FoundField> fields(
            Colleague asking,
            @RequestParam About about,
            @RequestParam CrmKind kind,
            @RequestParam UUID id,
            @RequestParam(required = false) UUID deal) {
        return fields.fields(about, new For(kind, id, deal), asking);
    }

    /** The written form of a field, from its terms. */
    @PostMapping("/written")
    WrittenField written(Colleague asking, @RequestBody FieldRequest request) {
        Program program = MergeParser.parse(WrittenTerms.of(request.terms()));
        program.problems().stream().findFirst().ifPresent(problem -> {
            throw Refusal.field("field", problem.sentence());
        });
        FieldCatalogue catalogue = catalogues.catalogue();
        List<Chip> chips = Chips.of(program, Set.of(), catalogue, request.about(), request.kind());
        return new WrittenField(program.written(), chips.getFirst());
    }

    /** Whoever a template could be proved with: the first, or the one before or after somebody. */
    @GetMapping("/people/step")
    ProofPeopleService.Stepped step(
            Colleague asking,
            @RequestParam About about,
            @RequestParam(required = false) UUID from,
            @RequestParam(defaultValue = "true") boolean forward) {
        return people.step(about, from, forward);
    }

    @GetMapping("/people")
    List<ProofPerson> find(
            Colleague asking, @RequestParam About about, @RequestParam(defaultValue = "") String search) {
        return people.find(about, search);
    }

    /** A draft that can be read; refused where there is none or a text of it is too long. */
    static Draft readable(Draft draft) {
        if (draft == null || draft.about() == null) {
            throw Refusal.because("unreadable", "This template can't be read.");
        }
        return draft.mustBeReadable();
    }
}
