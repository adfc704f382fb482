package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Program;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Mode;
import famulus.core.message.render.Rendering;
import famulus.server.cupboard.FileService;
import famulus.server.desk.FieldFinderService.FoundField;
import famulus.server.desk.MessageDraftService.MessageDraft;
import famulus.server.desk.ProofPeopleService.ProofPerson;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.ShownProof.Chip;
import famulus.server.desk.ShownProof.ShownTerm;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateKind;
import famulus.server.library.WavedNoteService;
import famulus.server.library.WavedNoteService.Waved;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private static final int LONGEST_TEXT = 400_000;

    private final ProofService proofs;
    private final FieldFinderService fields;
    private final ProofPeopleService people;
    private final MessageDraftService messages;
    private final CatalogueService catalogues;
    private final DraftReader drafts;
    private final RenderingService renderings;
    private final WavedNoteService waved;
    private final FileService files;

    DeskController(
            ProofService proofs,
            FieldFinderService fields,
            ProofPeopleService people,
            MessageDraftService messages,
            CatalogueService catalogues,
            DraftReader drafts,
            RenderingService renderings,
            WavedNoteService waved,
            FileService files) {
        this.files = files;
        this.waved = waved;
        this.renderings = renderings;
        this.drafts = drafts;
        this.proofs = proofs;
        this.fields = fields;
        this.people = people;
        this.messages = messages;
        this.catalogues = catalogues;
    }

    record ProofRequest(
            About about,
            String subject,
            String previewText,
            String body,
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) Mode mode,
            @Schema(nullable = true) String design,
            @Schema(nullable = true) UUID houseStyle,
            @Schema(nullable = true) String header,
            @Schema(nullable = true) String footer,
            @Schema(nullable = true) UUID template,
            @Schema(nullable = true) TemplateKind kindOfText) {}

    record MessageRequest(
            @Schema(nullable = true) UUID template,
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID deal,
            @Schema(nullable = true) UUID sender,
            Map<String, String> chosen,
            @Schema(nullable = true) Map<String, String> answers) {}

    /** A message begun; {@code templateVersion} is 0 for a message from nothing. */
    record BegunMessage(
            ShownProof proof,
            String templateName,
            int templateVersion,
            About about,
            UUID senderId,
            String senderName,
            String senderEmail,
            List<String> files) {}

    record WrittenField(String written, Chip chip) {}

    record FieldRequest(About about, CrmKind kind, List<ShownTerm> terms) {}

    /** The draft merged and proofread for one person. */
    @PostMapping("/proof")
    ShownProof proof(Colleague asking, @RequestBody ProofRequest request) {
        MessageSource source = drafts.source(new Draft(
                "",
                "",
                request.about(),
                text(request.subject(), "subject"),
                text(request.previewText(), "previewText"),
                text(request.body(), "body"),
                request.mode(),
                request.design(),
                request.houseStyle(),
                request.header(),
                request.footer(),
                List.of(),
                null));
        For to = new For(request.kind(), request.id(), request.deal());
        Proof proof = proofs.proof(source, request.about(), to, asking, Given.NOTHING);
        List<Waved> let = request.template() == null ? List.of() : waved.all(request.template(), asking);
        return shown(ofKind(proof, request.kindOfText()), request.about(), let);
    }

    /** A passage or signature stands within messages: nothing is to be said of a subject it does not have. */
    private static Proof ofKind(Proof proof, TemplateKind kind) {
        return kind == null || kind == TemplateKind.TEMPLATE
                ? proof
                : new Proof(
                        proof.person(),
                        proof.catalogue(),
                        proof.program(),
                        proof.subject(),
                        proof.notes().stream()
                                .filter(note -> note.part() == MessagePart.BODY)
                                .toList());
    }

    private ShownProof shown(Proof proof, About about, List<Waved> let) {
        Optional<Rendering> rendering = renderings.shown(proof, about);
        return ShownProof.of(
                proof,
                about,
                rendering,
                rendering.map(one -> renderings.notes(proof, one)).orElse(List.of()),
                let);
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
        List<Chip> chips = ShownProof.chips(program, Set.of(), catalogue, request.about(), request.kind());
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

    /** A template merged for a person, to be changed and sent. */
    @PostMapping("/message")
    BegunMessage message(Colleague asking, @RequestBody MessageRequest request) {
        Given given = new Given(request.chosen(), request.answers(), true);
        For to = new For(request.kind(), request.id(), request.deal());
        MessageDraft draft = messages.begin(request.template(), to, request.sender(), given, asking);
        return new BegunMessage(
                shown(
                        draft.proof(),
                        draft.about(),
                        draft.template()
                                .map(template -> waved.all(template.id(), asking))
                                .orElse(List.of())),
                draft.template().map(template -> template.name()).orElse(""),
                draft.template().map(template -> template.version()).orElse(0),
                draft.about(),
                draft.sender().id(),
                draft.sender().name(),
                draft.sender().email(),
                files.names(draft.template().map(Template::files).orElse(List.of())));
    }

    static String text(String given, String field) {
        String text = given == null ? "" : given;
        if (text.length() > LONGEST_TEXT) {
            throw Refusal.field(field, "This is longer than a message can be.");
        }
        return text;
    }
}
