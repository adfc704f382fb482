package famulus.core.audience;

import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What is wanted of a message to several people.
 *
 * @param today the day it is asked on
 * @param restDays whoever was written to within so many days is left out; 0 for nobody
 * @param aboutDeals whether each message is about a deal of its reader, which unsubscribing does not stop
 * @param topic what the message is about, of the topics that readers choose from
 * @param putBack the keys of those who get it in spite of what yields
 */
public record AudienceRules(
        LocalDate today, int restDays, boolean aboutDeals, Optional<Topic> topic, Set<UUID> putBack) {
    /** One of the topics that readers choose from. */
    public record Topic(UUID id, String name) {}

    public AudienceRules {
        putBack = Set.copyOf(putBack);
    }
}
