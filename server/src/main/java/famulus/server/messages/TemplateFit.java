package famulus.server.messages;

import famulus.core.field.About;
import famulus.server.library.Template;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;

/** Whether a template can be written from to whoever was chosen in a list. */
final class TemplateFit {
    private TemplateFit() {}

    /** Lets a template through that is for such people. */
    static void mustFit(Template template, For to) {
        boolean fits =
                switch (template.about()) {
                    case CONTACT -> to.kind() == CrmKind.CONTACT;
                    case LEAD -> to.kind() == CrmKind.LEAD;
                    case DEAL -> to.deal() != null;
                    case PERSON -> true;
                };
        if (!fits) {
            throw Refusal.field(
                    "template", "This template is for " + called(template.about()) + ". Choose another one.");
        }
    }

    private static String called(About about) {
        return switch (about) {
            case CONTACT -> "contacts";
            case LEAD -> "leads";
            case DEAL -> "deals";
            case PERSON -> "anyone";
        };
    }
}
