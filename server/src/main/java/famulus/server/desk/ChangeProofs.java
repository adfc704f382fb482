package famulus.server.desk;

import famulus.core.message.MessageSource;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.render.PlainTwin;
import famulus.core.message.render.Rendering;
import famulus.server.desk.ProofPeopleService.ProofPerson;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateUses;
import famulus.server.library.TemplateUses.UsingTemplate;
import famulus.server.library.WhenReady;
import famulus.server.materials.HouseStyleService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a change of something that many templates have does to them, before it is made. */
@RestController
class ChangeProofs {
    private static final int MOST_SHOWN = 4;

    private final HouseStyleService styles;
    private final TemplateService templates;
    private final TemplateUses uses;
    private final DraftReader drafts;
    private final WhenReady whenReady;
    private final ProofPeopleService people;
    private final ProofService proofs;
    private final RenderingService renderings;

    ChangeProofs(
            HouseStyleService styles,
            TemplateService templates,
            TemplateUses uses,
            DraftReader drafts,
            WhenReady whenReady,
            ProofPeopleService people,
            ProofService proofs,
            RenderingService renderings) {
        this.styles = styles;
        this.templates = templates;
        this.uses = uses;
        this.drafts = drafts;
        this.whenReady = whenReady;
        this.people = people;
        this.proofs = proofs;
        this.renderings = renderings;
    }

    record Look(String look) {}

    /**
     * What would change.
     *
     * @param templates how many templates
     * @param shown a few of them, merged for the first person each could go to
     */
    record TemplatesChange(int templates, List<BeforeAndAfter> shown) {}

    /** A template as it looks now and as it would; both are whole documents. */
    record BeforeAndAfter(UUID id, String name, String before, String after) {}

    /** What other settings of a house style would change. */
    @PostMapping("/api/desk/house-styles/{id}/change")
    TemplatesChange style(Colleague asking, @PathVariable UUID id, @RequestBody Look look) {
        HouseStyle changed = styles.read(look.look());
        HouseStyle kept = styles.get(id, asking).style();
        List<UUID> using =
                styles.using(id, asking).stream().map(one -> one.id()).toList();
        return change(using, template -> styled(template, kept), template -> styled(template, changed), asking);
    }

    /** What marking a passage, header or footer ready would change. */
    @GetMapping("/api/desk/templates/{id}/change")
    TemplatesChange text(Colleague asking, @PathVariable UUID id) {
        Template text = templates.get(id, asking);
        List<UUID> using =
                uses.using(id, asking).seen().stream().map(UsingTemplate::id).toList();
        return change(using, drafts::source, template -> whenReady.source(template, text), asking);
    }

    private TemplatesChange change(
            List<UUID> using,
            Function<Template, MessageSource> before,
            Function<Template, MessageSource> after,
            Colleague asking) {
        List<BeforeAndAfter> shown = using.stream()
                .limit(MOST_SHOWN)
                .map(one -> templates.get(one, asking))
                .map(one -> beforeAndAfter(one, before.apply(one), after.apply(one), asking))
                .toList();
        return new TemplatesChange(using.size(), shown);
    }

    private BeforeAndAfter beforeAndAfter(Template one, MessageSource before, MessageSource after, Colleague asking) {
        ProofPerson person = people.step(one.about(), null, true).person();
        For to = new For(CrmKind.of(person.kind()), person.id(), person.dealId());
        return new BeforeAndAfter(one.id(), one.name(), html(one, before, to, asking), html(one, after, to, asking));
    }

    private MessageSource styled(Template template, HouseStyle style) {
        return drafts.source(template).styled(its -> style);
    }

    /** What is seen of it; a plain one is a document of its lines. */
    private String html(Template template, MessageSource source, For to, Colleague asking) {
        Proof proof = proofs.proof(source, template.about(), to, asking, Given.NOTHING);
        return renderings
                .shown(proof, template.about())
                .map(Rendering::html)
                .orElseGet(() -> PlainTwin.of(
                        renderings.around(proof).whole(proof.merged().body().text()),
                        proof.merged().subject().text(),
                        proof.person().locale()));
    }
}
