package famulus.server.paper;

import famulus.core.message.render.Paper;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Templates on paper, as they would be printed for somebody. */
@RestController
class PaperController {
    private final TemplateService templates;
    private final DraftReader drafts;
    private final ProofService proofs;
    private final PaperService papers;

    PaperController(TemplateService templates, DraftReader drafts, ProofService proofs, PaperService papers) {
        this.templates = templates;
        this.drafts = drafts;
        this.proofs = proofs;
        this.papers = papers;
    }

    /** A template merged for a person, as it was saved last; what is missing is shown in its place. */
    @GetMapping(path = "/api/templates/{id}/paper", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(
            Colleague asking,
            @PathVariable UUID id,
            @RequestParam CrmKind kind,
            @RequestParam UUID person,
            @RequestParam(required = false) UUID deal,
            @RequestParam(required = false) Paper.Size size) {
        Template template = templates.get(id, asking);
        Proof proof = proofs.proof(
                drafts.source(template), template.about(), new For(kind, person, deal), asking, Given.NOTHING);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Cache-Control", "no-store")
                .header("Content-Disposition", "inline; filename=\"template.pdf\"")
                .body(papers.pdf(proof, Optional.ofNullable(size), true));
    }
}
