package famulus.core.message.body;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The body of a letter or a designed message.
 *
 * @param bands from top to bottom
 * @param page what it chooses instead of its house style
 */
public record Body(List<Band> bands, PageChoice page) {
    /** A body without anything in it. */
    public static final Body EMPTY = new Body(List.of());

    public Body {
        bands = List.copyOf(bands);
    }

    /** A body on the page of its house style. */
    public Body(List<Band> bands) {
        this(bands, PageChoice.NONE);
    }

    /** The same page with other bands. */
    public Body with(List<Band> others) {
        return new Body(others, page);
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
