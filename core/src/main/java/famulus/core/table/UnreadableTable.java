package famulus.core.table;

import java.io.Serial;

/** A file that can't be read as a table from some place on. The message is a sentence that names the place and a remedy. */
public final class UnreadableTable extends RuntimeException {
    @Serial
    private static final long serialVersionUID = 1L;

    private final long line;
    private final int column;

    /**
     * Says where reading ends.
     *
     * @param line from 1; 0 where it concerns the whole file
     * @param column from 1; 0 where it concerns the whole line
     */
    public UnreadableTable(long line, int column, String sentence) {
        super(place(line, column) + sentence);
        this.line = line;
        this.column = column;
    }

    private static String place(long line, int column) {
        if (line == 0) {
            return "";
        }
        return column == 0 ? "Line " + line + ": " : "Line " + line + ", column " + column + ": ";
    }

    /** The line, from 1; 0 for the whole file. */
    public long line() {
        return line;
    }

    /** The column, from 1; 0 for the whole line. */
    public int column() {
        return column;
    }
}
