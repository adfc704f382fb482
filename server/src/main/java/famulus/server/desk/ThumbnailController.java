package famulus.server.desk;

import famulus.core.message.render.Rendering;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.team.Colleague;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Templates as they look, for the gallery of the library: merged for the first person that each could go to. */
@RestController
class ThumbnailController {
    private final TemplateService templates;
    private final DraftReader drafts;
    private final ProofService proofs;
    private final ProofPeopleService people;
    private final RenderingService renderings;

    ThumbnailController(
            TemplateService templates,
            DraftReader drafts,
            ProofService proofs,
            ProofPeopleService people,
            RenderingService renderings) {
        this.templates = templates;
        this.drafts = drafts;
        this.proofs = proofs;
        this.people = people;
        this.renderings = renderings;
    }

    /**
     * How a template looks.
     *
     * @param html a page of its own; empty for a plain one
     * @param text its words where it is plain; else empty
     */
    record Thumbnail(String html, String text) {}

    @GetMapping("/api/desk/templates/{id}/thumbnail")
    Thumbnail thumbnail(Colleague asking, @PathVariable UUID id) {
        Template template = templates.get(id, asking);
        Proof proof = proofs.proof(
                drafts.source(template), template.about(), people.first(template.about()), asking, Given.NOTHING);
        return renderings
                .shown(proof, template.about())
                .map((Rendering rendering) -> new Thumbnail(rendering.html(), ""))
                .orElseGet(() -> new Thumbnail("", proof.merged().body().text()));
    }
}
