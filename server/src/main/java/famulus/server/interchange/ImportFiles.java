package famulus.server.interchange;

import famulus.core.table.CardReader;
import famulus.core.table.CsvTable;
import famulus.core.table.TableRow;
import famulus.core.table.UnreadableTable;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.util.Iterator;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps files in parts, and reads them a part at a time. */
@Component
class ImportFiles {
    /** The largest file that is taken, in bytes. */
    static final long LARGEST = 64L << 20;

    private static final int PART = 1 << 18;

    private final ImportMapper mapper;

    ImportFiles(ImportMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Keeps the parts of a file.
     *
     * @throws UnreadableTable when it is too large
     */
    void keep(UUID file, InputStream from) throws IOException {
        long size = 0;
        int position = 0;
        for (byte[] part = from.readNBytes(PART); part.length > 0; part = from.readNBytes(PART)) {
            size += part.length;
            if (size > LARGEST) {
                throw new UnreadableTable(
                        0,
                        0,
                        "This file is too large: at most 64 MB can be imported at once. Part it into several files.");
            }
            mapper.insertPart(file, position++, part);
        }
    }

    /** The bytes of a file. */
    InputStream bytes(UUID file) {
        return new BufferedInputStream(new Parts(file));
    }

    /** The text of a file; fails where its bytes are no text. */
    Reader text(UUID file, Charset charset, int mark) {
        InputStream bytes = bytes(file);
        try {
            bytes.skipNBytes(mark);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return new InputStreamReader(
                bytes,
                charset.newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT));
    }

    /** All rows of a file, that of the headings and those before it too. */
    Iterator<TableRow> all(ImportFile file) {
        Reader text = text(file.id(), Charset.forName(file.settings().encoding()), file.mark());
        return file.cards()
                ? new CardReader(text)
                : new CsvTable(text, file.settings().delimiter().charAt(0));
    }

    /** The rows of records. */
    Iterator<TableRow> records(ImportFile file) {
        Iterator<TableRow> rows = all(file);
        for (int i = 0; i < file.settings().headings() && rows.hasNext(); i++) {
            rows.next();
        }
        return rows;
    }

    private final class Parts extends InputStream {
        private final UUID file;
        private int position;
        private byte[] part = {};
        private int at;

        private Parts(UUID file) {
            this.file = file;
        }

        private boolean more() {
            if (at == part.length) {
                part = mapper.part(file, position++).map(row -> row.bytes()).orElse(new byte[0]);
                at = 0;
            }
            return part.length > 0;
        }

        @Override
        public int read() {
            return more() ? part[at++] & 0xFF : -1;
        }

        @Override
        public int read(byte[] to, int offset, int length) {
            if (length == 0 || !more()) {
                return length == 0 ? 0 : -1;
            }
            int some = Math.min(length, part.length - at);
            System.arraycopy(part, at, to, offset, some);
            at += some;
            return some;
        }
    }
}
