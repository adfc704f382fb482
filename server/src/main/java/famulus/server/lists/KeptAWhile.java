package famulus.server.lists;

import famulus.core.field.FieldCatalogue;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService;
import famulus.server.records.RecordService;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * Keeps what was found out about records until one of them changes, or a field does; a minute at most, since messages and calls
 * count too.
 *
 * @param <K> what was asked
 * @param <V> what was found out
 */
final class KeptAWhile<K, V> {
    private static final long KEPT_SECONDS = 60;

    private final Revisions revisions;
    private final CatalogueService catalogues;
    private final Clock clock;
    private final Map<K, Kept<V>> kept = new ConcurrentHashMap<>();

    KeptAWhile(Revisions revisions, CatalogueService catalogues, Clock clock) {
        this.revisions = revisions;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    private record Kept<V>(int revision, FieldCatalogue catalogue, Instant at, V value) {}

    /** What is kept of it, else what is found out now. */
    V get(K asked, Supplier<V> findingOut) {
        int revision = revisions.now(RecordService.COUNTED);
        FieldCatalogue catalogue = catalogues.catalogue();
        Instant now = clock.instant();
        Kept<V> before = kept.get(asked);
        if (before != null
                && before.revision() == revision
                && before.catalogue() == catalogue
                && before.at().plusSeconds(KEPT_SECONDS).isAfter(now)) {
            return before.value();
        }
        V found = findingOut.get();
        kept.put(asked, new Kept<>(revision, catalogue, now, found));
        return found;
    }
}
