package famulus.core.table;

import java.util.List;

/**
 * A row of a table as it came, cells untouched.
 *
 * @param line where it begins in its file, from 1; of cards, which one it is
 */
public record TableRow(long line, List<String> cells) {
    public TableRow {
        cells = List.copyOf(cells);
    }

    /** A cell without the blanks around it; empty where the row is too short to have it. */
    public String cell(int column) {
        return column < cells.size() ? cells.get(column).strip() : "";
    }

    /** Whether all cells are blank. */
    public boolean isBlank() {
        return cells.stream().allMatch(String::isBlank);
    }
}
