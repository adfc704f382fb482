package famulus.server.desk;

import famulus.core.message.MessageSource;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.render.Rendering;
import famulus.server.cupboard.HouseStyleService;
import famulus.server.cupboard.HouseStyleService.StyledTemplate;
import famulus.server.desk.ProofPeopleMapper.ProofPerson;
import famulus.server.desk.ProofService.Given;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a change of a house style does to the templates in it, before it is kept. */
@RestController
class HouseStyleProofs {
    private static final int MOST_SHOWN = 4;

    private final HouseStyleService styles;
    private final TemplateService templates;
    private final ProofPeopleService people;
    private final ProofService proofs;
    private final RenderingService renderings;

    HouseStyleProofs(
            HouseStyleService styles,
            TemplateService templates,
            ProofPeopleService people,
            ProofService proofs,
            RenderingService renderings) {
        this.styles = styles;
        this.templates = templates;
        this.people = people;
        this.proofs = proofs;
        this.renderings = renderings;
    }

    record Look(String look) {}

    /**
     * What would change.
     *
     * @param templates how many templates are in this style
     * @param shown a few of them, merged for the first person each could go to
     */
    record StyleChange(int templates, List<BeforeAndAfter> shown) {}

    /** A template as it looks now and as it would; both are whole documents. */
    record BeforeAndAfter(UUID id, String name, String before, String after) {}

    @PostMapping("/api/desk/house-styles/{id}/change")
    StyleChange change(Colleague asking, @PathVariable UUID id, @RequestBody Look look) {
        HouseStyle changed = styles.read(look.look());
        HouseStyle kept = styles.get(id).style();
        List<StyledTemplate> using = styles.using(id);
        List<BeforeAndAfter> shown = new ArrayList<>();
        for (StyledTemplate one : using.subList(0, Math.min(MOST_SHOWN, using.size()))) {
            Template template = templates.get(one.id());
            shown.add(new BeforeAndAfter(
                    one.id(), one.name(), html(template, kept, asking), html(template, changed, asking)));
        }
        return new StyleChange(using.size(), shown);
    }

    private String html(Template template, HouseStyle style, Colleague asking) {
        ProofPerson person = people.step(template.about(), null, true).person();
        Design design = templates.source(template).layout().orElseThrow().design();
        Design dressed = new Design(design.mode(), design.body(), style, design.header(), design.footer());
        MessageSource source = MessageSource.designed(template.subject(), template.previewText(), dressed);
        For to = new For(CrmKind.of(person.kind()), person.id(), person.dealId());
        return renderings
                .shown(proofs.proof(source, template.about(), to, asking, Given.NOTHING), template.about())
                .map(Rendering::html)
                .orElse("");
    }
}
