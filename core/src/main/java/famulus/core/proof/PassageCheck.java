package famulus.core.proof;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.util.List;
import java.util.stream.Stream;

/**
 * {@code passage-lost}: a block for a passage that says nothing, since it is not there or has not been marked ready;
 * {@code feed-lost}: one for a feed that is not there, or has nothing in it.
 */
final class PassageCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.source().layout().stream()
                .flatMap(layout -> layout.design().body().blocks().flatMap(block -> read(block, layout)))
                .toList();
    }

    private static Stream<Note> read(Block block, Layout layout) {
        if (block.content() instanceof Content.Passage passage && passage.name().isEmpty()) {
            return Stream.of(stop(
                    block,
                    layout,
                    "passage-lost",
                    "There is no passage here",
                    "Choose one that is marked ready, or remove the block."));
        }
        if (block.content() instanceof Content.Feed feed && feed.entries().isEmpty()) {
            return Stream.of(stop(
                    block,
                    layout,
                    "feed-lost",
                    feed.name().isEmpty() ? "There is no feed here" : "“" + feed.name() + "” has no entries",
                    "Choose another feed, or remove the block."));
        }
        return Stream.empty();
    }

    private static Note stop(Block block, Layout layout, String code, String title, String remedy) {
        return Note.ofBlock(
                code,
                Note.Level.STOP,
                title,
                remedy,
                BlockPlaces.near(layout, block.id(), Keys.label(block.id())),
                block.id());
    }
}
