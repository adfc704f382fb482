package famulus.core.message.body;

import java.util.List;
import java.util.stream.Stream;

/**
 * A horizontal strip of a message.
 *
 * @param id stays the same through every edit
 * @param columns one to four
 * @param look its padding, background and border
 * @param shownWhen a condition in its written form; empty for always
 * @param hiddenOnSmall whether phones leave it out
 */
public record Band(String id, List<Column> columns, Look look, String shownWhen, boolean hiddenOnSmall) {
    public Band {
        columns = List.copyOf(columns);
    }

    /** Its blocks in reading order. */
    public Stream<Block> blocks() {
        return columns.stream().flatMap(column -> column.blocks().stream());
    }

    Band with(List<Column> changed) {
        return new Band(id, changed, look, shownWhen, hiddenOnSmall);
    }
}
