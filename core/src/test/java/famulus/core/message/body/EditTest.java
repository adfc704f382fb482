package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Every edit that fits can be taken back, and one that does not fit changes nothing. */
class EditTest {
    @Test
    void everyEditIsTakenBackByItsInverse() {
        int done = 0;
        for (int seed = 0; seed < 400; seed++) {
            RandomBody random = new RandomBody(seed);
            Body body = random.body();
            for (Edit edit : edits(body, random)) {
                Optional<Body> after = edit.on(body);
                assertThat(edit.inverse(body).isPresent()).isEqualTo(after.isPresent());
                if (after.isPresent()) {
                    Edit back = edit.inverse(body).orElseThrow();
                    assertThat(back.on(after.get()))
                            .as("seed %d, %s", seed, edit)
                            .contains(body);
                    done++;
                }
            }
        }
        assertThat(done).isGreaterThan(1000);
    }

    private static List<Edit> edits(Body body, RandomBody random) {
        List<Edit> edits = new ArrayList<>();
        List<String> blocks = body.blocks().map(Block::id).toList();
        Edit.Place somewhere = new Edit.Place(
                body.bands().isEmpty()
                        ? "nowhere"
                        : body.bands().get(random.below(body.bands().size())).id(),
                random.below(3),
                random.below(4));
        edits.add(new Edit.Insert(random.block(), somewhere));
        edits.add(new Edit.InsertBand(random.band(), random.below(4)));
        body.bands().forEach(band -> edits.add(new Edit.RemoveBand(band.id())));
        for (int i = 0; i < blocks.size(); i++) {
            String id = blocks.get(i);
            edits.add(new Edit.Remove(id));
            edits.add(new Edit.Move(id, somewhere));
            edits.add(new Edit.Change(Block.of(id, random.block().content())));
            edits.add(new Edit.Split(id, random.below(3), "second"));
            edits.add(new Edit.Join(id, blocks.get(Math.min(i + 1, blocks.size() - 1))));
        }
        return edits;
    }

    @Test
    void joinsOnlyTextsThatStandBelowOneAnother() {
        Block one = Block.of("one", new Content.Text(RichText.plain("First")));
        Block two = Block.of("two", new Content.Text(RichText.plain("Second")));
        Block rule = Block.of("rule", new Content.Divider(1, ""));
        Body apart = body(one, rule, two);
        assertThat(new Edit.Join("one", "two").on(apart)).isEmpty();
        Body joined = new Edit.Join("one", "two").on(body(one, two, rule)).orElseThrow();
        assertThat(joined).isEqualTo(body(Block.of("one", new Content.Text(RichText.plain("First\nSecond"))), rule));
        assertThat(new Edit.Split("one", 1, "two").on(joined)).contains(body(one, two, rule));
    }

    @Test
    void doesNotFitWhereSomethingIsGone() {
        Body body = body(Block.of("one", new Content.Signature()));
        assertThat(new Edit.Remove("gone").on(body)).isEmpty();
        assertThat(new Edit.Move("one", new Edit.Place("band", 1, 0)).on(body)).isEmpty();
        assertThat(new Edit.Insert(Block.of("one", new Content.Signature()), new Edit.Place("band", 0, 0)).on(body))
                .isEmpty();
        assertThat(new Edit.Move("one", new Edit.Place("band", 0, 1)).on(body)).isEmpty();
    }

    private static Body body(Block... blocks) {
        return new Body(List.of(
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false)));
    }
}
