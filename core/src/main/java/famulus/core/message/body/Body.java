package famulus.core.message.body;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The body of a letter or a designed message.
 *
 * @param bands from top to bottom
 */
public record Body(List<Band> bands) {
    /** A body without anything in it. */
    public static final Body EMPTY = new Body(List.of());

    public Body {
        bands = List.copyOf(bands);
    }

    /** Every block in reading order. */
    public Stream<Block> blocks() {
        return bands.stream().flatMap(Band::blocks);
    }

    /** The block of this identifier. */
    public Optional<Block> block(String id) {
        return blocks().filter(block -> block.id().equals(id)).findFirst();
    }
}
