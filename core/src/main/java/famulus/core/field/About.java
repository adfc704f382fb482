package famulus.core.field;

import java.util.List;

/** What a template is about, which settles where its fields can come from. */
public enum About {
    CONTACT(List.of(
            Root.PERSON,
            Root.CONTACT,
            Root.ORGANISATION,
            Root.DEAL,
            Root.DOCUMENT,
            Root.OWNER,
            Root.SENDER,
            Root.OUR,
            Root.HISTORY,
            Root.MESSAGE)),
    LEAD(List.of(Root.PERSON, Root.LEAD, Root.OWNER, Root.SENDER, Root.OUR, Root.HISTORY, Root.MESSAGE)),
    DEAL(List.of(
            Root.PERSON,
            Root.CONTACT,
            Root.DEAL,
            Root.ORGANISATION,
            Root.DOCUMENT,
            Root.OWNER,
            Root.SENDER,
            Root.OUR,
            Root.HISTORY,
            Root.MESSAGE)),
    /** Contacts and leads alike. */
    PERSON(List.of(Root.PERSON, Root.OWNER, Root.SENDER, Root.OUR, Root.HISTORY, Root.MESSAGE));

    private final List<Root> roots;

    About(List<Root> roots) {
        this.roots = roots;
    }

    /** The first words a path may have, in the order they are offered. */
    public List<Root> roots() {
        return roots;
    }
}
