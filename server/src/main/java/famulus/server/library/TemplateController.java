package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.RecordKind;
import famulus.core.message.body.Mode;
import famulus.core.message.compare.Change;
import famulus.server.library.PartExchange.Exchanged;
import famulus.server.library.SignatureService.SignatureChoice;
import famulus.server.library.StarterService.Starter;
import famulus.server.library.TemplateLines.TemplateLine;
import famulus.server.library.TemplateLines.TemplatePage;
import famulus.server.library.TemplateUses.Used;
import famulus.server.library.TemplateVersionService.LastTest;
import famulus.server.library.TemplateVersionService.Version;
import famulus.server.library.WrappingService.ShownWrapping;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.KeptFile;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
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

/** The library. */
@RestController
@RequestMapping("/api/templates")
class TemplateController {
    private final TemplateService templates;
    private final FileService files;
    private final TemplateLines lines;
    private final TemplateBin bin;
    private final TemplateUses uses;
    private final PartExchange exchange;
    private final StarterService starters;
    private final TemplateVersionService versions;
    private final SignatureService signatures;
    private final VariantService variants;
    private final WrappingService wrappings;
    private final TemplateRights rights;

    TemplateController(
            TemplateService templates,
            TemplateLines lines,
            TemplateBin bin,
            TemplateUses uses,
            PartExchange exchange,
            StarterService starters,
            TemplateVersionService versions,
            SignatureService signatures,
            VariantService variants,
            WrappingService wrappings,
            TemplateRights rights,
            FileService files) {
        this.files = files;
        this.rights = rights;
        this.wrappings = wrappings;
        this.variants = variants;
        this.signatures = signatures;
        this.templates = templates;
        this.lines = lines;
        this.bin = bin;
        this.uses = uses;
        this.exchange = exchange;
        this.versions = versions;
        this.starters = starters;
    }

    record ChangedTemplate(int version, Draft draft) {}

    record MarkedReady(int version) {}

    record ChosenSignatures(@Schema(nullable = true) UUID mine, @Schema(nullable = true) UUID team) {}

    /** A signature to sign with; null for none. {@code team}: for everybody who has chosen none. */
    record SignatureWish(@Schema(nullable = true) UUID template, boolean team) {}

    /**
     * A template with what whoever asks may do with it. An archived one is offered to nobody.
     *
     * @param lastTest null when there was none
     * @param attached its files, wherever they lie
     */
    record OpenTemplate(
            Template template,
            boolean mayChange,
            boolean archived,
            @Schema(nullable = true) LastTest lastTest,
            List<KeptFile> attached) {}

    @GetMapping
    TemplatePage lines(
            Colleague asking,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(defaultValue = "TEMPLATE") TemplateKind kind,
            @RequestParam(required = false) UUID folder,
            @RequestParam(defaultValue = "false") boolean mine,
            @RequestParam(defaultValue = "false") boolean favourite,
            @RequestParam(defaultValue = "false") boolean unused,
            @RequestParam(defaultValue = "false") boolean deleted,
            @RequestParam(required = false) Boolean ready,
            @RequestParam(defaultValue = "false") boolean mustFix,
            @RequestParam(required = false) About about,
            @RequestParam(required = false) Mode mode,
            @RequestParam(required = false) String purpose,
            @RequestParam(required = false) String tag,
            @RequestParam(required = false) String language,
            @RequestParam(defaultValue = "false") boolean archived,
            @RequestParam(defaultValue = "NAME") WantedLines.Order order,
            @RequestParam(required = false) UUID after) {
        return lines.lines(
                kind,
                search,
                folder,
                new WantedLines.Narrowed(
                        mine,
                        favourite,
                        unused,
                        ready,
                        mustFix,
                        about,
                        mode,
                        purpose,
                        tag == null ? null : TemplateTags.key(tag),
                        language,
                        archived,
                        deleted ? bin.since() : null,
                        order),
                after,
                asking);
    }

    /** Whether a template is a favourite of whoever asks. */
    record Favourite(boolean favourite) {}

    @PutMapping("/{id}/favourite")
    void favour(Colleague asking, @PathVariable UUID id, @RequestBody Favourite wish) {
        lines.favour(id, wish.favourite(), asking);
    }

    @GetMapping("/fitting")
    List<TemplateLine> fitting(
            Colleague asking,
            @RequestParam About about,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(required = false) CrmKind kind,
            @RequestParam(required = false) UUID person,
            @RequestParam(required = false) UUID deal) {
        For whom = kind == null || person == null ? null : new For(kind, person, deal);
        return lines.fitting(about, search, whom, asking);
    }

    /** The designs to start from that ship with Famulus. */
    @GetMapping("/starters")
    List<Starter> starters(Colleague asking) {
        return starters.all();
    }

    /** The templates that use a field, in their texts or their conditions. */
    @GetMapping("/using")
    Used using(Colleague asking, @RequestParam CrmKind kind, @RequestParam String field) {
        return uses.using(kind.core(), field, asking);
    }

    /** The templates that use a fact of the house, such as a saved link. */
    @GetMapping("/using-fact")
    Used using(Colleague asking, @RequestParam String name) {
        return uses.using(RecordKind.OUR_COMPANY, name, asking);
    }

    @GetMapping("/{id}")
    OpenTemplate get(Colleague asking, @PathVariable UUID id) {
        return open(templates.get(id, asking), asking);
    }

    /** The templates that a passage is used in. */
    @GetMapping("/{id}/using")
    Used using(Colleague asking, @PathVariable UUID id) {
        return uses.using(id, asking);
    }

    /** What takes the place of a passage. */
    record InItsPlace(@Schema(nullable = true) UUID other) {}

    /** Puts another passage in the place of this one wherever templates have it, and deletes this one; or does nothing. */
    @PostMapping("/{id}/in-its-place")
    Exchanged inItsPlace(Colleague asking, @PathVariable UUID id, @RequestBody InItsPlace wanted) {
        return exchange.exchange(id, wanted.other(), asking);
    }

    /** The headers and footers of a house style. */
    @GetMapping("/wrappings")
    List<ShownWrapping> wrappings(Colleague asking, @RequestParam UUID style) {
        return wrappings.of(style, asking);
    }

    /** A header or footer of a house style that is to be written on. */
    record WrappingToOpen(UUID style, TemplateKind kind, String name) {}

    /** Puts a header or footer of a house style on the desk as it is in the style. */
    @PostMapping("/wrappings")
    OpenTemplate openWrapping(Colleague asking, @RequestBody WrappingToOpen wanted) {
        return open(wrappings.open(wanted.style(), wanted.kind(), wanted.name(), asking), asking);
    }

    /** The designed signatures in use: of whoever asks, and of everybody who has chosen none. */
    @GetMapping("/signatures")
    ChosenSignatures signatures(Colleague asking) {
        SignatureChoice choice = signatures.signatures(asking);
        return new ChosenSignatures(choice.mine(), choice.team());
    }

    @PutMapping("/signatures")
    void chooseSignature(Colleague asking, @RequestBody SignatureWish wish) {
        signatures.choose(wish.template(), wish.team(), asking);
    }

    @PostMapping
    OpenTemplate add(Colleague asking, @RequestParam(required = false) UUID folder, @RequestBody Draft draft) {
        if (draft.kind() == TemplateKind.MAILING) {
            throw Refusal.because("of-a-mailing", "What a mailing says is made on the page of the mailing.");
        }
        return open(folder == null ? templates.add(draft, asking) : templates.addTo(folder, draft, asking), asking);
    }

    /** Templates that are to lie in another folder. */
    record TemplatesToMove(List<UUID> templates, UUID folder) {}

    /** Where a template lay before. */
    record MovedTemplate(UUID template, @Schema(nullable = true) UUID from) {}

    @PostMapping("/move")
    List<MovedTemplate> move(Colleague asking, @RequestBody TemplatesToMove wanted) {
        return templates.move(wanted.templates(), wanted.folder(), asking).entrySet().stream()
                .map(moved -> new MovedTemplate(moved.getKey(), moved.getValue()))
                .toList();
    }

    /** A template in its languages, and those it could be added in; {@code id} is null for these. */
    record ShownVariant(String language, String name, @Schema(nullable = true) UUID id, boolean ready) {}

    /** A variant to add; {@code own} is the template's own language, null for the house's. */
    record NewVariant(String language, @Schema(nullable = true) String own) {}

    @GetMapping("/{id}/variants")
    List<ShownVariant> variants(Colleague asking, @PathVariable UUID id) {
        return variants.of(id, asking).stream()
                .map(one -> new ShownVariant(one.language(), one.name(), one.id(), one.ready()))
                .toList();
    }

    @PostMapping("/{id}/variants")
    OpenTemplate addVariant(Colleague asking, @PathVariable UUID id, @RequestBody NewVariant variant) {
        return open(variants.add(id, variant.language(), variant.own(), asking), asking);
    }

    @PostMapping("/{id}/duplicate")
    OpenTemplate duplicate(Colleague asking, @PathVariable UUID id) {
        return open(templates.duplicate(id, asking), asking);
    }

    @PutMapping("/{id}")
    OpenTemplate change(Colleague asking, @PathVariable UUID id, @RequestBody ChangedTemplate changed) {
        return open(templates.change(id, changed.version(), changed.draft(), asking), asking);
    }

    @DeleteMapping("/{id}")
    void delete(Colleague asking, @PathVariable UUID id) {
        templates.delete(id, asking);
    }

    @PostMapping("/{id}/restore")
    OpenTemplate restore(Colleague asking, @PathVariable UUID id) {
        return open(templates.restore(id, asking), asking);
    }

    /** The kept versions, newest first. */
    @GetMapping("/{id}/versions")
    List<Version> versions(Colleague asking, @PathVariable UUID id) {
        return versions.all(id, asking);
    }

    /** What has changed since a version, block by block and word by word. */
    @GetMapping("/{id}/versions/{version}/changes")
    List<Change> changes(Colleague asking, @PathVariable UUID id, @PathVariable int version) {
        return versions.changes(id, version, asking);
    }

    @PostMapping("/{id}/versions/{version}/restore")
    OpenTemplate restoreVersion(Colleague asking, @PathVariable UUID id, @PathVariable int version) {
        return open(versions.restore(id, version, asking), asking);
    }

    /** Marks what a template says now as what others use. */
    @PostMapping("/{id}/ready")
    OpenTemplate ready(Colleague asking, @PathVariable UUID id, @RequestBody MarkedReady marked) {
        return open(versions.ready(id, marked.version(), asking), asking);
    }

    private OpenTemplate open(Template template, Colleague asking) {
        return new OpenTemplate(
                template,
                rights.mayChange(template, asking),
                lines.archived(template.id()),
                versions.lastTest(template.id()).orElse(null),
                files.some(template.files()));
    }
}
