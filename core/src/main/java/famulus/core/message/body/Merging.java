package famulus.core.message.body;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Brings the changes of two people together that both began from the same body. Blocks are merged whole: where one of the
 * two left a block as it was, the other's stands. Where both put blocks in or took some out, both count; where both moved
 * things about, or both changed one block, somebody has to be asked.
 */
public final class Merging {
    private final Map<String, Block> base;
    private final Map<String, Block> mine;
    private final Map<String, Block> theirs;
    private final Set<String> both = new LinkedHashSet<>();

    private Merging(Body base, Body mine, Body theirs) {
        this.base = blocks(base);
        this.mine = blocks(mine);
        this.theirs = blocks(theirs);
    }

    /**
     * What came of it.
     *
     * @param mineFirst the merged body, mine where both changed the same
     * @param theirsFirst the merged body, theirs where both changed the same
     * @param both the identifiers of what both changed; empty when nobody has to be asked
     */
    public record MergedBodies(Body mineFirst, Body theirsFirst, List<String> both) {}

    /** Merges. */
    public static MergedBodies of(Body base, Body mine, Body theirs) {
        return new Merging(base, mine, theirs).merged(base, mine, theirs);
    }

    private MergedBodies merged(Body before, Body my, Body their) {
        Map<String, Block> mineFirst = new HashMap<>();
        Map<String, Block> theirsFirst = new HashMap<>();
        Set<String> all = new LinkedHashSet<>(base.keySet());
        all.addAll(mine.keySet());
        all.addAll(theirs.keySet());
        for (String id : all) {
            Optional<Block> was = Optional.ofNullable(base.get(id));
            Optional<Block> my1 = Optional.ofNullable(mine.get(id));
            Optional<Block> their1 = Optional.ofNullable(theirs.get(id));
            if (my1.equals(was)) {
                their1.ifPresent(block -> mineFirst.put(id, block));
                their1.ifPresent(block -> theirsFirst.put(id, block));
            } else if (their1.equals(was) || their1.equals(my1)) {
                my1.ifPresent(block -> mineFirst.put(id, block));
                my1.ifPresent(block -> theirsFirst.put(id, block));
            } else {
                // What one changed and the other took out stays, whoever comes first.
                both.add(id);
                mineFirst.put(id, my1.or(() -> their1).orElseThrow());
                theirsFirst.put(id, their1.or(() -> my1).orElseThrow());
            }
        }
        Body shape = shape(before, my, their);
        PageChoice was = before.page();
        boolean mineIsNew = !my.page().equals(was);
        boolean theirsIsNew = !their.page().equals(was);
        if (mineIsNew && theirsIsNew && !my.page().equals(their.page())) {
            both.add("page");
        }
        return new MergedBodies(
                new Body(filled(shape, mineFirst).bands(), mineIsNew ? my.page() : their.page()),
                new Body(filled(shape, theirsFirst).bands(), theirsIsNew ? their.page() : my.page()),
                List.copyOf(both));
    }

    /** The order of the blocks and the bands about them. */
    private Body shape(Body before, Body my, Body their) {
        List<Object> was = skeleton(before, Set.of());
        if (skeleton(my, Set.of()).equals(was)) {
            return withBack(their, my);
        }
        if (skeleton(their, Set.of()).equals(was)) {
            return withBack(my, their);
        }
        if (skeleton(my, Set.of()).equals(skeleton(their, Set.of()))) {
            return my;
        }
        Set<String> new1 = new HashSet<>(mine.keySet());
        new1.removeAll(base.keySet());
        Set<String> gone = new HashSet<>(base.keySet());
        gone.removeAll(mine.keySet());
        if (skeleton(my, new1).equals(skeleton(before, gone))) {
            return withMine(my, their, new1);
        }
        both.add("order");
        return withBack(my, their);
    }

    /** The other's shape with the blocks I put in, each after the one it follows in mine. */
    private Body withMine(Body my, Body their, Set<String> added) {
        Body shape = their;
        for (Band band : my.bands()) {
            for (int column = 0; column < band.columns().size(); column++) {
                String last = "";
                for (Block block : band.columns().get(column).blocks()) {
                    if (added.contains(block.id())) {
                        shape = after(shape, last, block, band, column);
                    }
                    last = block.id();
                }
            }
        }
        return shape;
    }

    private static Body after(Body shape, String last, Block block, Band band, int column) {
        Optional<Edit.Place> behind =
                Edit.placeOf(shape, last).map(place -> new Edit.Place(place.band(), place.column(), place.at() + 1));
        Edit.Place place = behind.orElse(new Edit.Place(band.id(), column, 0));
        return new Edit.Insert(block, place).on(shape).orElseGet(() -> {
            // The band is new, or gone on the other side: the block gets one of its own at the end.
            List<Band> bands = new ArrayList<>(shape.bands());
            Band own = band.with(List.of(new Column(1, Column.Upright.TOP, List.of(block))));
            boolean taken = bands.stream().anyMatch(one -> one.id().equals(band.id()));
            bands.add(taken ? new Band(block.id() + "b", own.columns(), own.look(), "", false) : own);
            return shape.with(bands);
        });
    }

    /** A shape with those blocks back in it that the other side changed while this one took them out. */
    private Body withBack(Body shape, Body other) {
        Set<String> back = new HashSet<>(both);
        back.removeAll(blocks(shape).keySet());
        back.retainAll(blocks(other).keySet());
        return back.isEmpty() ? shape : withMine(other, shape, back);
    }

    private static Body filled(Body shape, Map<String, Block> blocks) {
        List<Band> bands = new ArrayList<>();
        for (Band band : shape.bands()) {
            List<Column> columns = new ArrayList<>();
            boolean any = band.blocks().findAny().isEmpty();
            for (Column column : band.columns()) {
                List<Block> stay = column.blocks().stream()
                        .map(block -> blocks.get(block.id()))
                        .filter(block -> block != null)
                        .toList();
                any |= !stay.isEmpty();
                columns.add(column.with(stay));
            }
            if (any) {
                bands.add(band.with(columns));
            }
        }
        return shape.with(bands);
    }

    /** Bands and columns with the identifiers of their blocks, without some of them, and without bands so emptied. */
    private static List<Object> skeleton(Body body, Set<String> without) {
        List<Object> skeleton = new ArrayList<>();
        for (Band band : body.bands()) {
            List<Object> columns = new ArrayList<>();
            boolean any = band.blocks().findAny().isEmpty();
            for (Column column : band.columns()) {
                List<String> ids = column.blocks().stream()
                        .map(Block::id)
                        .filter(id -> !without.contains(id))
                        .toList();
                any |= !ids.isEmpty();
                columns.add(List.of(column.share(), column.upright(), ids));
            }
            if (any) {
                skeleton.add(List.of(band.id(), band.look(), band.shownWhen(), band.hiddenOnSmall(), columns));
            }
        }
        return skeleton;
    }

    private static Map<String, Block> blocks(Body body) {
        Map<String, Block> blocks = new LinkedHashMap<>();
        body.blocks().forEach(block -> blocks.put(block.id(), block));
        return blocks;
    }
}
