package famulus.server.platform;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import famulus.core.table.SpreadsheetCell;
import java.io.IOException;
import java.io.Writer;
import java.util.List;

/** A CSV file (RFC 4180) that can be opened in a spreadsheet: marked as Unicode, and without anything to be worked out. */
public final class SafeCsv {
    private final Writer to;
    private final CsvWriter writer;

    /** A file that is written to its end. */
    public SafeCsv(Writer to) throws IOException {
        this.to = to;
        // Spreadsheet programs take a file for Unicode only with this mark.
        to.write('\ufeff');
        writer = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(to);
    }

    /** Writes a row. */
    public void row(List<String> cells) {
        writer.writeRecord(cells.stream().map(SpreadsheetCell::safe).toList());
    }

    /** Hands over what has been written. */
    public void flush() throws IOException {
        writer.flush();
        to.flush();
    }
}
