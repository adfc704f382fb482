package famulus.server.lists;

import famulus.core.condition.ConditionWords;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.PathReading;
import famulus.core.field.Root;
import famulus.server.records.CrmKind;
import java.util.List;

/** What the list of a kind can be asked for: fields of its records, and of what belongs to them. */
public record RecordScope(CrmKind kind) {
    private static final List<Root> OF_ORGANISATIONS = List.of(Root.ORGANISATION, Root.SENDER, Root.OUR);

    /** From where paths go. */
    public About about() {
        return switch (kind) {
            case CONTACT, ORGANISATION -> About.CONTACT;
            case LEAD -> About.LEAD;
            case DEAL -> About.DEAL;
        };
    }

    /** The records, as they are called. */
    public String called() {
        return kind.word() + "s";
    }

    /** Follows paths from a record of the list. */
    public PathReading paths(FieldCatalogue catalogue) {
        List<Root> roots = kind == CrmKind.ORGANISATION
                ? OF_ORGANISATIONS
                : about().roots().stream().filter(root -> root != Root.MESSAGE).toList();
        return new PathReading(catalogue, about(), roots, "A list of " + called());
    }

    /** Says conditions in words. */
    public ConditionWords words(FieldCatalogue catalogue) {
        return new TemplateConditions(catalogue, about()).words();
    }
}
