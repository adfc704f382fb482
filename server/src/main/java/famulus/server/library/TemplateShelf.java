package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.core.sharing.Right;
import famulus.server.folders.FolderPlaces;
import famulus.server.folders.FolderPlaces.Places;
import famulus.server.library.TemplateMapper.LastUse;
import famulus.server.library.TemplateMapper.Times;
import famulus.server.library.WantedLines.Narrowed;
import famulus.server.library.WantedLines.Order;
import famulus.server.platform.Revisions;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Which templates somebody sees, and in which order. A few columns of all of a kind are read, in the order of an index, and
 * kept until a template changes; rights and folders, which are asked of each, are read once for each question and asked here.
 * For thousands of templates that is several times quicker than asking the database for each.
 */
@Component
class TemplateShelf {
    private final TemplateMapper mapper;
    private final FolderPlaces folders;
    private final TemplateRights rights;
    private final ShelfChanges changes;
    private final Map<TemplateKind, Supplier<Standing>> kept = new EnumMap<>(TemplateKind.class);

    TemplateShelf(
            TemplateMapper mapper,
            FolderPlaces folders,
            TemplateRights rights,
            ShelfChanges changes,
            Revisions revisions) {
        this.changes = changes;
        for (TemplateKind kind : TemplateKind.values()) {
            kept.put(kind, revisions.keep(ShelfChanges.REVISION, () -> read(kind)));
        }
        this.mapper = mapper;
        this.folders = folders;
        this.rights = rights;
    }

    /** A template on the shelf, with what decides on who sees it, and on whether it is wanted. */
    record Shelved(
            UUID id,
            UUID folder,
            UUID ownerId,
            boolean ready,
            About about,
            Mode mode,
            String purpose,
            Instant changedAt,
            int version) {}

    /** All of a kind that are neither archived nor deleted, by name, and those of any kind that another one stands for. */
    private record Standing(List<Shelved> all, Set<UUID> variants) {}

    private Standing read(TemplateKind kind) {
        return new Standing(mapper.standing(kind, false, null), mapper.variantsOfOthers());
    }

    /** What was changed in the transaction that is under way is read again. */
    private Standing standing(WantedLines wanted) {
        Narrowed narrowed = wanted.narrowed();
        if (narrowed.archived() || narrowed.deletedSince() != null) {
            return new Standing(
                    mapper.standing(wanted.kind(), narrowed.archived(), narrowed.deletedSince()),
                    mapper.variantsOfOthers());
        }
        return changes.underWay()
                ? read(wanted.kind())
                : kept.get(wanted.kind()).get();
    }

    /**
     * Those that are wanted and that somebody may see, in the order of their folders, and of what is wanted in each.
     * Variants of another one are left out, but where each is looked at for what must be fixed in it.
     */
    List<Shelved> inOrder(WantedLines wanted, Colleague asking) {
        Places places = folders.of(asking);
        Map<Long, List<Shelved>> byFolder = new TreeMap<>();
        Map<UUID, List<Shelved>> met = new HashMap<>();
        for (Shelved one : seen(wanted, wanted.narrowed().mustFix(), places, asking)) {
            met.computeIfAbsent(
                            one.folder(),
                            folder -> byFolder.computeIfAbsent(places.rank(folder), rank -> new ArrayList<>()))
                    .add(one);
        }
        place(wanted.narrowed().order(), asking)
                .ifPresent(place -> byFolder.values().forEach(lines -> sort(lines, place)));
        return byFolder.values().stream().flatMap(List::stream).toList();
    }

    /**
     * The same by name, whatever their folders.
     *
     * @param variants whether those that another one stands for too: who looks for words finds the variant that has them
     */
    List<Shelved> byName(WantedLines wanted, boolean variants, Colleague asking) {
        return seen(wanted, variants, folders.of(asking), asking);
    }

    /**
     * How many of those in the order of their folders come before a template and with it, wherever it has gone meanwhile.
     *
     * @param ordered by name within their folders
     */
    int upTo(UUID template, List<Shelved> ordered, WantedLines wanted, Colleague asking) {
        for (int i = 0; i < ordered.size(); i++) {
            if (ordered.get(i).id().equals(template)) {
                return i + 1;
            }
        }
        // One that they may not see is as unknown as one that was never there.
        Optional<Template> gone = mapper.byId(template, true).filter(one -> rights.maySee(one, asking));
        if (gone.isEmpty()) {
            return ordered.size();
        }
        Places places = folders.of(asking);
        long rank = places.rank(gone.get().folder());
        Set<UUID> before = mapper.namedBefore(wanted.kind(), gone.get().name());
        return (int) ordered.stream()
                .filter(one -> {
                    long its = places.rank(one.folder());
                    return its < rank || its == rank && before.contains(one.id());
                })
                .count();
    }

    private List<Shelved> seen(WantedLines wanted, boolean withVariants, Places places, Colleague asking) {
        Narrowed narrowed = wanted.narrowed();
        Standing standing = standing(wanted);
        Set<UUID> variants = withVariants ? Set.of() : standing.variants();
        Set<UUID> marked = narrowed.favourite() ? mapper.favourites(asking.id()) : null;
        Set<UUID> tagged = narrowed.tag() != null ? mapper.tagged(narrowed.tag()) : null;
        Set<UUID> speaking = narrowed.language() != null ? mapper.speaking(narrowed.language()) : null;
        Map<UUID, Integer> used = narrowed.unused() ? times() : Map.of();
        Map<UUID, Boolean> writers = new HashMap<>();
        Predicate<UUID> writer = owner -> writers.computeIfAbsent(owner, rights::writesForOthers);
        List<Shelved> seen = new ArrayList<>();
        for (Shelved one : standing.all()) {
            if (!wanted.fits(one, asking)) {
                continue;
            }
            Optional<Right> may = places.right(one.folder());
            if (shown(one, may, narrowed.deletedSince() != null, asking, writer)
                    && !variants.contains(one.id())
                    && (marked == null || marked.contains(one.id()))
                    && (tagged == null || tagged.contains(one.id()))
                    && (speaking == null || speaking.contains(one.id()))
                    && !used.containsKey(one.id())
                    && (!wanted.usable() || usable(one, asking, writer))) {
                seen.add(one);
            }
        }
        return seen;
    }

    /** Deleted ones are shown to those who may bring them back. */
    private static boolean shown(
            Shelved one, Optional<Right> may, boolean deleted, Colleague asking, Predicate<UUID> writer) {
        return deleted
                ? TemplateRights.mayChange(one.ownerId(), may, asking)
                : TemplateRights.maySee(one.ownerId(), one.ready(), may, asking, writer);
    }

    /** What is not ready is used by whose it is, and by assistants who write for them. */
    private static boolean usable(Shelved one, Colleague asking, Predicate<UUID> writer) {
        return one.ready()
                || one.ownerId().equals(asking.id())
                || asking.is(Role.ASSISTANT) && writer.test(one.ownerId());
    }

    private record Placed(Shelved one, long place) {}

    /** Those of one place stay as they were. The place of each is asked for once, not for each that it is compared with. */
    private static void sort(List<Shelved> lines, ToLongFunction<Shelved> place) {
        List<Shelved> sorted = lines.stream()
                .map(one -> new Placed(one, place.applyAsLong(one)))
                .sorted(Comparator.comparingLong(Placed::place))
                .map(Placed::one)
                .toList();
        Collections.copy(lines, sorted);
    }

    /** What was read comes by name; where lines come in another order, a number that grows in it. */
    private Optional<ToLongFunction<Shelved>> place(Order order, Colleague asking) {
        return switch (order) {
            case NAME -> Optional.empty();
            case CHANGED -> Optional.of(one -> -one.changedAt().toEpochMilli());
            case USED -> {
                Map<UUID, Integer> times = times();
                yield Optional.of(one -> -times.getOrDefault(one.id(), 0));
            }
            case LAST_USED -> {
                Map<UUID, Instant> used = lastUsed(asking, Integer.MAX_VALUE);
                yield Optional.of(one -> lastFirst(used.get(one.id())));
            }
        };
    }

    /** A number that is smaller for what was used later, and largest for what was never used. */
    static long lastFirst(Instant used) {
        return used == null ? Long.MAX_VALUE : -used.toEpochMilli();
    }

    /**
     * When somebody wrote last from each template they have written from.
     *
     * @param most of so many that they wrote from last
     */
    Map<UUID, Instant> lastUsed(Colleague asking, int most) {
        return mapper.lastUses(asking.id(), most).stream()
                .collect(Collectors.toMap(LastUse::templateId, LastUse::lastAt));
    }

    private Map<UUID, Integer> times() {
        return mapper.times().stream().collect(Collectors.toMap(Times::templateId, Times::times));
    }
}
