package famulus.server.mailings;

import famulus.server.library.TemplateKind;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.mailings.MailingPlan.What;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Words that one mailing has of its own: a copy of its template in all its languages, which is in no list of templates and goes when
 * the mailing says something else. They are made and put away here alone.
 */
@Component
class MailingOwnWords {
    private final TemplateService templates;
    private final VariantService variants;

    MailingOwnWords(TemplateService templates, VariantService variants) {
        this.templates = templates;
        this.variants = variants;
    }

    /** The same, in words of its own. */
    What begin(What what, Colleague by) {
        if (what.template() == null) {
            throw Refusal.because("no-template", "Choose what the mailing says first.");
        }
        if (what.original() != null) {
            return what;
        }
        UUID own = variants.forMailing(what.template(), by).id();
        return what.saying(own, what.template());
    }

    /** The same in the words of its template; those of its own are put away. */
    What end(What what) {
        if (what.original() == null) {
            return what;
        }
        variants.noLongerOfMailing(what.template());
        return what.saying(what.original(), null);
    }

    /** Settles a change of the page: another template puts its own words away, and those of others are refused. */
    void settle(What before, What now, Colleague by) {
        boolean same = Objects.equals(before.template(), now.template());
        boolean its = same
                ? Objects.equals(before.original(), now.original())
                : now.original() == null && (now.template() == null || isTemplate(now.template(), by));
        if (!its) {
            throw Refusal.field("template", "These are the words of another mailing. Choose a template.");
        }
        if (!same) {
            end(before);
        }
    }

    private boolean isTemplate(UUID id, Colleague by) {
        return templates.get(id, by).kind() == TemplateKind.TEMPLATE;
    }
}
