package famulus.server.records;

import famulus.core.field.Path;
import java.util.Collection;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/**
 * What will be asked of people who are gathered; the rest takes time for many, is left out, and counts as missing.
 *
 * @param greeting whether people are greeted
 * @param history whether their history is asked for
 * @param documents whether their deals' documents are
 * @param addresses whether all their addresses are
 * @param fields the names of the fields of any record; empty for every field there is
 */
public record NeededData(
        boolean greeting, boolean history, boolean documents, boolean addresses, Optional<Set<String>> fields) {
    /** Everything. */
    public static final NeededData ALL = new NeededData(true, true, true, true, Optional.empty());

    /** Names, greeting and place of a person, which are always read. */
    private static final Set<String> ALWAYS = Set.of(
            "title",
            "first_name",
            "last_name",
            "formality",
            "language",
            "time_zone",
            "country",
            "company",
            "name",
            "organisation",
            "owner");

    public NeededData {
        fields = fields.map(Set::copyOf);
    }

    /** What these paths need. */
    public static NeededData of(Collection<Path> paths) {
        Set<String> fields = new HashSet<>(ALWAYS);
        boolean greeting = false;
        boolean history = false;
        boolean documents = false;
        for (Path path : paths) {
            fields.addAll(path.words());
            history |= path.root().equals("history");
            documents |= path.root().equals("document");
            greeting |= path.words().getLast().equals("greeting");
            if (path.words().getLast().equals("why_you_get_this")) {
                fields.addAll(Set.of("permission", "permission_on"));
            }
        }
        return new NeededData(greeting, history, documents, fields.contains("email"), Optional.of(fields));
    }

    /** The same, with people's addresses. */
    public NeededData withAddresses() {
        return new NeededData(greeting, history, documents, true, fields);
    }

    /** Whether a field is asked. */
    boolean field(String name) {
        return fields.isEmpty() || fields.get().contains(name);
    }
}
