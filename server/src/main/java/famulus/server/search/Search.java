package famulus.server.search;

import java.util.List;
import java.util.UUID;

/**
 * What a search came to.
 *
 * @param words what was looked for; empty when that was nothing, and everything fits
 * @param found the things that fit, in no order; empty when they are not gathered
 * @param gathered whether {@code found} is all of them; else there are many, perhaps more than were asked for, and whoever asks
 *     walks its own order with the fragment {@code fits}
 */
public record Search(List<SearchWord> words, List<UUID> found, boolean gathered) {
    /** Whether everything fits. */
    public boolean all() {
        return words.isEmpty();
    }
}
