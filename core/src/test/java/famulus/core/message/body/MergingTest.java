package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Merging.MergedBodies;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MergingTest {
    private static Block text(String id, String words) {
        return Block.of(id, new Content.Text(RichText.plain(words)));
    }

    private static Body body(Block... blocks) {
        return new Body(List.of(
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false)));
    }

    private static List<String> ids(Body body) {
        return body.blocks().map(Block::id).toList();
    }

    @Test
    void takesOverWhatOnlyOneOfThemChanged() {
        for (int seed = 0; seed < 300; seed++) {
            RandomBody random = new RandomBody(seed);
            Body base = random.body();
            Body other = changed(changed(base, random), random);
            assertThat(Merging.of(base, base, other)).isEqualTo(new MergedBodies(other, other, List.of()));
            assertThat(Merging.of(base, other, base)).isEqualTo(new MergedBodies(other, other, List.of()));
            assertThat(Merging.of(base, other, other)).isEqualTo(new MergedBodies(other, other, List.of()));
        }
    }

    @Test
    void losesNothingThatEitherPutInWhateverTheyDid() {
        for (int seed = 0; seed < 500; seed++) {
            RandomBody random = new RandomBody(seed);
            Body base = random.body();
            Body mine = changed(changed(base, random), random);
            Body theirs = changed(changed(base, random), random);
            MergedBodies merged = Merging.of(base, mine, theirs);
            for (Body after : List.of(merged.mineFirst(), merged.theirsFirst())) {
                assertThat(new HashSet<>(ids(after))).as("seed %d", seed).hasSameSizeAs(ids(after));
                if (!merged.both().contains("order")) {
                    assertThat(ids(after)).as("seed %d", seed).containsAll(added(base, mine));
                    assertThat(ids(after)).as("seed %d", seed).containsAll(added(base, theirs));
                }
                mine.blocks()
                        .filter(block -> !base.block(block.id()).equals(Optional.of(block)))
                        .filter(block -> !merged.both().contains(block.id()))
                        .filter(block -> after.block(block.id()).isPresent())
                        .forEach(block -> assertThat(after.block(block.id())).contains(block));
            }
        }
    }

    private static List<String> added(Body base, Body after) {
        return ids(after).stream().filter(id -> base.block(id).isEmpty()).toList();
    }

    private static Body changed(Body body, RandomBody random) {
        List<String> ids = ids(body);
        if (ids.isEmpty()) {
            return new Edit.InsertBand(random.band(), 0).on(body).orElseThrow();
        }
        String id = ids.get(random.below(ids.size()));
        Edit.Place place = Edit.placeOf(body, id).orElseThrow();
        Edit edit =
                switch (random.below(5)) {
                    case 0 -> new Edit.Insert(random.block(), place);
                    case 1 -> new Edit.Remove(id);
                    case 2 -> new Edit.InsertBand(random.band(), 0);
                    case 3 -> new Edit.Move(id, new Edit.Place(place.band(), place.column(), 0));
                    default -> new Edit.Change(Block.of(id, random.block().content()));
                };
        return edit.on(body).orElse(body);
    }

    @Test
    void bringsChangesOfDifferentBlocksTogether() {
        Body base = body(text("a", "One"), text("b", "Two"), text("c", "Three"));
        Body mine = body(text("a", "One more"), text("n", "New of mine"), text("b", "Two"), text("c", "Three"));
        Body theirs = body(text("a", "One"), text("c", "Three more"), text("m", "New of theirs"));
        MergedBodies merged = Merging.of(base, mine, theirs);
        assertThat(merged.both()).isEmpty();
        assertThat(merged.mineFirst())
                .isEqualTo(body(
                        text("a", "One more"),
                        text("n", "New of mine"),
                        text("c", "Three more"),
                        text("m", "New of theirs")))
                .isEqualTo(merged.theirsFirst());
    }

    @Test
    void asksWhereBothChangedTheSame() {
        Body base = body(text("a", "One"), text("b", "Two"));
        MergedBodies merged =
                Merging.of(base, body(text("a", "Mine"), text("b", "Two")), body(text("a", "Theirs"), text("b", "2")));
        assertThat(merged.both()).containsExactly("a");
        assertThat(merged.mineFirst()).isEqualTo(body(text("a", "Mine"), text("b", "2")));
        assertThat(merged.theirsFirst()).isEqualTo(body(text("a", "Theirs"), text("b", "2")));
    }

    @Test
    void keepsWhatOneChangedAndTheOtherTookOut() {
        Body base = body(text("a", "One"), text("b", "Two"));
        MergedBodies merged = Merging.of(base, body(text("a", "One")), body(text("a", "One"), text("b", "Two more")));
        assertThat(merged.both()).containsExactly("b");
        assertThat(ids(merged.mineFirst())).containsExactly("a", "b");
        MergedBodies other = Merging.of(base, body(text("a", "One"), text("b", "Two more")), body(text("a", "One")));
        assertThat(ids(other.theirsFirst())).containsExactly("a", "b");
    }

    @Test
    void asksWhereBothMovedThingsAbout() {
        Body base = body(text("a", "1"), text("b", "2"), text("c", "3"));
        MergedBodies merged = Merging.of(
                base,
                body(text("b", "2"), text("a", "1"), text("c", "3")),
                body(text("a", "1"), text("c", "3"), text("b", "2")));
        assertThat(merged.both()).containsExactly("order");
    }
}
