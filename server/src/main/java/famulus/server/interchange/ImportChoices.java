package famulus.server.interchange;

import java.util.Map;

/**
 * What is done with records that are here already.
 *
 * @param all with each of them
 * @param some with those of some lines, in place of {@code all}
 */
record ImportChoices(ImportHandling all, Map<Long, ImportHandling> some) {
    /** What can be done with one. */
    enum ImportHandling {
        /** It is added all the same. */
        ADD,
        /** What its row says is written into the record that is here; blank cells change nothing. */
        UPDATE,
        /** It stays as it is. */
        SKIP
    }

    ImportChoices {
        all = all == null ? ImportHandling.SKIP : all;
        some = some == null ? Map.of() : Map.copyOf(some);
    }

    ImportHandling of(long line) {
        return some.getOrDefault(line, all);
    }
}
