package famulus.server.messages;

import famulus.core.field.About;
import famulus.server.library.Template;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;

/** Whether a template can be written from to whoever was chosen in a list. */
public final class TemplateFit {
    private TemplateFit() {}

    /** Lets a template through that is for such people. */
    static void mustFit(Template template, For to) {
        mustFit(template.about(), to.kind(), to.deal() != null);
    }

    /**
     * The same of what is about a kind of record.
     *
     * @param person as what a message goes to somebody
     * @param deal whether it is about a deal of theirs
     */
    public static void mustFit(About about, CrmKind person, boolean deal) {
        boolean fits =
                switch (about) {
                    case CONTACT -> person == CrmKind.CONTACT;
                    case LEAD -> person == CrmKind.LEAD;
                    case DEAL -> deal;
                    case PERSON -> true;
                };
        if (!fits) {
            throw Refusal.field("template", "This template is for " + called(about) + ". Choose another one.");
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
