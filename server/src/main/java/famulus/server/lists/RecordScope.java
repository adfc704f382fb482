package famulus.server.lists;

import famulus.core.condition.ConditionWords;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.field.PathReading;
import famulus.core.field.Root;
import famulus.server.records.CrmKind;
import java.util.List;
import java.util.Locale;

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
        return new ConditionWords(path -> label(catalogue, path), new TemplateConditions(catalogue, about())::choices);
    }

    /**
     * What a field is called in a list: what is not the record’s own says whose it is.
     *
     * @return e.g. {@code Owner’s full name}; the path where there is no field
     */
    public String label(FieldCatalogue catalogue, Path path) {
        String label = new TemplateConditions(catalogue, about()).label(path);
        List<String> words = path.words();
        if (words.size() == 1 || words.size() == 2 && isOwn(words.getFirst())) {
            return label;
        }
        String whose = words.get(words.size() - 2);
        String small = label.length() > 1 && Character.isLowerCase(label.charAt(1))
                ? label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1)
                : label;
        return switch (whose) {
            case "sender" -> "My " + small;
            case "our" -> "Our " + small;
            case "person", "contact" -> "Main contact’s " + small;
            default ->
                whose.substring(0, 1).toUpperCase(Locale.ROOT)
                        + whose.substring(1).replace('_', ' ') + "’s " + small;
        };
    }

    private boolean isOwn(String root) {
        return root.equals("history") || root.equals(kind.word()) || kind.isPerson() && root.equals("person");
    }
}
