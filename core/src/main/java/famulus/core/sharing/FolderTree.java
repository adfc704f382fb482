package famulus.core.sharing;

import com.ibm.icu.text.Collator;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * All folders: how they lie in one another, and who may do what in each.
 *
 * <p>Whoever owns a folder manages it and all that lies in it, and so do administrators: nobody can lock them out. For everybody
 * else the shares of the folder count, and where it has none of its own those of the nearest folder above that has. So what is
 * shared above can be widened and narrowed below.
 *
 * <pre>{@code
 * FolderTree tree = new FolderTree(folders);
 * Optional<Right> right = tree.right(folder, member);   // empty: the folder is not there for them
 * }</pre>
 */
public final class FolderTree {
    /** Folders lie in one another so deep at most. */
    public static final int DEEPEST = 12;

    private final Map<UUID, Folder> folders = new LinkedHashMap<>();
    private final Map<UUID, List<Folder>> within = new HashMap<>();

    /** The folders there are; one whose parent is not among them is at the top. */
    public FolderTree(Collection<Folder> all) {
        Collator byName = Collator.getInstance(Locale.ENGLISH);
        Comparator<Folder> order = Comparator.comparing(Folder::name, byName::compare);
        all.stream().sorted(order.thenComparing(Folder::id)).forEach(folder -> folders.put(folder.id(), folder));
        folders.values().forEach(folder -> within.computeIfAbsent(
                        parent(folder).map(Folder::id).orElse(null), any -> new ArrayList<>())
                .add(folder));
    }

    private Optional<Folder> parent(Folder folder) {
        return folder.parent().map(folders::get);
    }

    /** One folder. */
    public Optional<Folder> find(UUID id) {
        return Optional.ofNullable(folders.get(id));
    }

    /** All folders, each followed by those in it; by name where they lie side by side. Those in a ring are left out. */
    public List<Folder> inOrder() {
        return add(null, new LinkedHashSet<>()).stream().map(folders::get).toList();
    }

    /** Adds what lies in a folder, each followed by what lies in it. */
    private Set<UUID> add(UUID parent, Set<UUID> order) {
        for (Folder folder : within.getOrDefault(parent, List.of())) {
            // Damaged data may have a ring.
            if (order.add(folder.id())) {
                add(folder.id(), order);
            }
        }
        return order;
    }

    /** A folder and all that lie in it, at any depth. */
    public Set<UUID> within(UUID folder) {
        return add(folder, new LinkedHashSet<>(Set.of(folder)));
    }

    /** The folders that a folder lies in, the nearest first; not the folder itself. */
    public List<Folder> above(UUID folder) {
        List<Folder> above = new ArrayList<>();
        Optional<Folder> next = Optional.ofNullable(folders.get(folder)).flatMap(this::parent);
        while (next.isPresent() && above.size() < folders.size()) {
            above.add(next.get());
            next = parent(next.get());
        }
        return above;
    }

    /**
     * Why a folder can't lie in another one; empty when it can.
     *
     * @param parent empty for the top
     */
    public Optional<String> refusal(UUID folder, Optional<UUID> parent) {
        if (parent.isEmpty()) {
            return Optional.empty();
        }
        if (within(folder).contains(parent.get())) {
            return Optional.of("A folder can’t be moved into itself.");
        }
        int here = above(folder).size();
        int below = within(folder).stream()
                .mapToInt(one -> above(one).size() - here)
                .max()
                .orElse(0);
        return above(parent.get()).size() + 2 + below > DEEPEST
                ? Optional.of("Folders lie in one another " + DEEPEST + " deep at most.")
                : Optional.empty();
    }

    /** The shares that count in a folder: its own, or those of the nearest folder above that has some. */
    public List<Share> shares(Folder folder) {
        if (folder.shares().isPresent()) {
            return folder.shares().get();
        }
        return above(folder.id()).stream()
                .flatMap(one -> one.shares().stream())
                .findFirst()
                .orElse(List.of());
    }

    /** What somebody may do in a folder; empty when it is not there for them. */
    public Optional<Right> right(Folder folder, Member member) {
        boolean owned = Stream.concat(Stream.of(folder), above(folder.id()).stream())
                .anyMatch(one -> one.owner().filter(member.id()::equals).isPresent());
        if (owned || member.administrator()) {
            return Optional.of(Right.MANAGE);
        }
        return shares(folder).stream()
                .filter(share -> share.with().includes(member))
                .map(Share::right)
                .max(Comparator.naturalOrder());
    }

    /** Who may do what by the shares of a folder, the most far-reaching right last; nothing for a private one. */
    public Map<Right, List<Share.With>> sharing(Folder folder) {
        Map<Right, List<Share.With>> sharing = new EnumMap<>(Right.class);
        shares(folder).forEach(share -> sharing.computeIfAbsent(share.right(), any -> new ArrayList<>())
                .add(share.with()));
        return sharing;
    }
}
