package famulus.core.proof;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is known of the names that a message says; see {@link SaidNames} for how they are gathered.
 *
 * @param parts first and last names that somebody in the records has, by {@link famulus.core.record.NameKey}
 * @param elsewhere whole names of people and organisations that have nothing to do with the message, by key, with what each is,
 *     such as “a contact at Ninefold Berry Farm”
 * @param colleagues the names of colleagues, without that of the sender
 * @param sender the name it goes out under
 */
public record KnownNames(Set<String> parts, Map<String, String> elsewhere, List<String> colleagues, String sender) {
    public KnownNames {
        parts = Set.copyOf(parts);
        elsewhere = Map.copyOf(elsewhere);
        colleagues = List.copyOf(colleagues);
    }
}
