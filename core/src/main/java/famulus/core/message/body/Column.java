package famulus.core.message.body;

import java.util.List;

/**
 * A part of a band.
 *
 * @param share its part of the width, against the shares of its neighbours; 1 to 100
 * @param upright where its blocks stand when a neighbour is taller
 * @param blocks from top to bottom
 */
public record Column(int share, Upright upright, List<Block> blocks) {
    public Column {
        blocks = List.copyOf(blocks);
    }

    /** Vertical alignment. */
    public enum Upright {
        TOP,
        MIDDLE,
        BOTTOM
    }

    Column with(List<Block> changed) {
        return new Column(share, upright, changed);
    }
}
