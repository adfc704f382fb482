package famulus.core.table;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import de.siegmar.fastcsv.reader.CloseableIterator;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.RecordType;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.NoSuchElementException;

/**
 * The rows of a CSV file (RFC 4180, with any delimiter and any line ends), one after another; lines that are empty are passed
 * over. However long a file is, one row of it is held.
 */
public final class CsvTable implements Iterator<TableRow> {
    /** More columns than that are no table of records. */
    public static final int MOST_COLUMNS = 500;

    private static final int LONGEST_CELL = 100_000;
    private static final int LONGEST_ROW = 1 << 20;

    private final Rows rows = new Rows();
    private final CloseableIterator<TableRow> read;

    /**
     * Begins to read.
     *
     * @param reader fails with a {@link java.nio.charset.CharacterCodingException} where bytes are no characters
     */
    public CsvTable(Reader reader, char delimiter) {
        read = CsvReader.builder()
                .fieldSeparator(delimiter)
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .allowUnclosedQuote(false)
                .allowExtraCharsAfterClosingQuote(false)
                .maxBufferSize(LONGEST_ROW)
                .build(rows, reader)
                .iterator();
    }

    /**
     * Whether there is another row.
     *
     * @throws UnreadableTable when what follows can't be read
     */
    @Override
    public boolean hasNext() {
        try {
            return read.hasNext();
        } catch (CsvParseException malformed) {
            throw rows.unreadable(malformed);
        } catch (UncheckedIOException noCharacters) {
            throw new UnreadableTable(
                    rows.line + 1,
                    0,
                    "A character here can’t be read in this encoding. Choose another encoding, or save the file as UTF-8.");
        }
    }

    @Override
    public TableRow next() {
        if (!hasNext()) {
            throw new NoSuchElementException();
        }
        return read.next();
    }

    /** Gathers a row, and remembers how far it has come. */
    private static final class Rows extends AbstractBaseCsvCallbackHandler<TableRow> {
        private List<String> cells = new ArrayList<>();
        private long line;

        @Override
        protected void handleBegin(long startingLineNumber) {
            line = startingLineNumber;
            cells = new ArrayList<>(cells.size());
        }

        @Override
        protected void handleField(int index, char[] buffer, int offset, int length, boolean quoted) {
            if (index >= MOST_COLUMNS) {
                throw new UnreadableTable(
                        line,
                        index + 1,
                        "There are more than " + MOST_COLUMNS + " columns. Remove those that are not needed.");
            }
            if (length > LONGEST_CELL) {
                throw new UnreadableTable(line, index + 1, tooLong());
            }
            cells.add(new String(buffer, offset, length));
        }

        @Override
        protected TableRow buildRecord() {
            return getRecordType() == RecordType.EMPTY ? new TableRow(line, List.of("")) : new TableRow(line, cells);
        }

        private static String tooLong() {
            return "This cell is too long: at most 100,000 characters can be read. Is a quotation mark missing?";
        }

        private UnreadableTable unreadable(CsvParseException malformed) {
            String said = String.valueOf(malformed.getMessage()) + malformed.getCause();
            int column = cells.size() + 1;
            if (malformed.getCause() instanceof UnreadableTable inner) {
                return inner;
            }
            if (said.contains("buffer")) {
                return new UnreadableTable(line, column, tooLong());
            }
            return new UnreadableTable(
                    line,
                    column,
                    "A quotation mark opens here, and the cell does not end with one. Close it, and double the"
                            + " quotation marks inside the cell.");
        }
    }
}
