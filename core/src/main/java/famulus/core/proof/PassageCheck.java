package famulus.core.proof;

import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.util.List;

/** {@code passage-lost}: a block for a passage that says nothing, since it is not there or has not been marked ready. */
final class PassageCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.source().layout().stream()
                .flatMap(layout -> layout.design()
                        .body()
                        .blocks()
                        .filter(block -> block.content() instanceof Content.Passage passage
                                && passage.name().isEmpty())
                        .map(block -> Note.ofBlock(
                                "passage-lost",
                                Note.Level.STOP,
                                "There is no passage here",
                                "Choose one that is marked ready, or take the block out.",
                                BlockPlaces.near(layout, block.id(), Keys.label(block.id())),
                                block.id())))
                .toList();
    }
}
