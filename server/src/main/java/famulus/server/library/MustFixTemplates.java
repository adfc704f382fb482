package famulus.server.library;

import famulus.core.field.FieldCatalogue;
import famulus.core.proof.CheckLevels;
import famulus.server.library.TemplateShelf.Shelved;
import famulus.server.materials.FeedService;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Revisions;
import famulus.server.records.CatalogueService;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.stereotype.Component;

/**
 * Which templates nobody could send as they stand. To find out, each is read by the proofreader; that is kept until it
 * changes, or something that the proofreader knows besides. Of those that have not been read yet a few are read at once,
 * and the others behind, so that nobody waits for thousands.
 */
@Component
class MustFixTemplates {
    private static final Duration AT_ONCE = Duration.ofMillis(150);

    private final TemplateMapper mapper;
    private final ReadyCheck check;
    private final CatalogueService catalogues;
    private final CheckSettings checks;
    private final Revisions revisions;
    private final Clock clock;
    private final AtomicBoolean reading = new AtomicBoolean();
    private final ExecutorService behind = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("must-fix-templates").factory());
    private volatile Known known;

    MustFixTemplates(
            TemplateMapper mapper,
            ReadyCheck check,
            CatalogueService catalogues,
            CheckSettings checks,
            Revisions revisions,
            Clock clock) {
        this.mapper = mapper;
        this.check = check;
        this.catalogues = catalogues;
        this.checks = checks;
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * Those of some templates that have a must-fix note.
     *
     * @param unread how many of them nobody has read yet, which are read now
     */
    record MustFix(Set<UUID> stopped, int unread) {}

    /** What a note may come from besides the template itself. */
    private record Basis(
            FieldCatalogue catalogue, CheckLevels levels, int styles, int texts, int feeds, LocalDate today) {}

    private record Read(int version, boolean stopped) {}

    private record Known(Basis basis, Map<UUID, Read> read) {
        boolean of(Shelved one) {
            Read last = read.get(one.id());
            return last != null && last.version() == one.version();
        }
    }

    /** Those of some templates that have a must-fix note, as far as that is known within a moment. */
    MustFix among(List<Shelved> some) {
        Known now = known();
        long until = System.nanoTime() + AT_ONCE.toNanos();
        List<Shelved> unread = new ArrayList<>();
        Set<UUID> stopped = new HashSet<>();
        for (Shelved one : some) {
            if (!now.of(one)) {
                if (System.nanoTime() > until) {
                    unread.add(one);
                    continue;
                }
                read(one, now);
            }
            if (now.read().get(one.id()).stopped()) {
                stopped.add(one.id());
            }
        }
        if (!unread.isEmpty() && reading.compareAndSet(false, true)) {
            behind.execute(() -> readOn(unread, now));
        }
        return new MustFix(stopped, unread.size());
    }

    private void readOn(List<Shelved> unread, Known now) {
        try {
            for (Shelved one : unread) {
                if (now != known || Thread.currentThread().isInterrupted()) {
                    return;
                }
                if (!now.of(one)) {
                    read(one, now);
                }
            }
        } finally {
            reading.set(false);
        }
    }

    /** One that was erased meanwhile has nothing to mend. */
    private void read(Shelved one, Known now) {
        boolean stopped = mapper.byId(one.id(), true)
                .map(template -> !check.stops(template).isEmpty())
                .orElse(false);
        now.read().put(one.id(), new Read(one.version(), stopped));
    }

    private Known known() {
        Basis basis = new Basis(
                catalogues.catalogue(),
                checks.levels(),
                revisions.now(HouseStyleService.REVISION),
                revisions.now(KeptTextService.REVISION),
                revisions.now(FeedService.REVISION),
                LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC));
        Known last = known;
        if (last == null || !last.basis().equals(basis)) {
            last = new Known(basis, new ConcurrentHashMap<>());
            known = last;
        }
        return last;
    }

    @PreDestroy
    void stop() {
        behind.shutdownNow();
    }
}
