package famulus.server.interchange;

import famulus.core.table.CardReader;
import famulus.core.table.CsvTable;
import famulus.core.table.TableRow;
import famulus.core.table.UnreadableTable;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.time.Instant;
import java.util.Iterator;
import java.util.UUID;
import java.util.function.IntSupplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** The files that are imported: kept in parts, and read a part at a time. */
@Component
class ImportFiles {
    /** The largest file that is taken, in bytes. */
    static final long LARGEST = 64L << 20;

    private static final int PART = 1 << 18;

    private static final int MOST_TURNS = 15;

    private final ImportMapper mapper;
    private final TransactionTemplate transactions;

    ImportFiles(ImportMapper mapper, TransactionTemplate transactions) {
        this.transactions = transactions;
        this.mapper = mapper;
    }

    /**
     * Keeps a file and its parts.
     *
     * @throws UnreadableTable when it is too large
     */
    void keep(ImportFile file, Instant at, InputStream from) throws IOException {
        mapper.insert(file.row(), at);
        long size = 0;
        int position = 0;
        for (byte[] part = from.readNBytes(PART); part.length > 0; part = from.readNBytes(PART)) {
            size += part.length;
            if (size > LARGEST) {
                throw new UnreadableTable(
                        0,
                        0,
                        "This file is too large: at most 64 MB can be imported at once. Split it into several files.");
            }
            mapper.insertPart(file.id(), position++, part);
        }
    }

    /** A file somebody has begun to import; of nobody else. */
    ImportFile find(UUID id, Colleague asking) {
        return mapper.file(id, asking.id()).map(ImportFile::of).orElseThrow(ImportFiles::missing);
    }

    /** The same, while it has not been imported. */
    ImportFile open(UUID id, Colleague asking) {
        ImportFile file = find(id, asking);
        if (file.done() != null) {
            throw imported();
        }
        return file;
    }

    /** The same, once no import of it goes on any more; refused when one does after half a minute. */
    ImportFile ended(UUID id, Colleague asking) {
        for (int turn = 0; turn < MOST_TURNS; turn++) {
            try {
                return transactions
                        .execute(status -> mapper.ended(id, asking.id()))
                        .map(ImportFile::of)
                        .orElseThrow(ImportFiles::missing);
            } catch (ConcurrencyFailureException goesOn) {
                // The database has waited for its row for a while.
            }
        }
        throw running();
    }

    /** Keeps how a file is read. */
    void update(ImportFile file) {
        if (free(() -> mapper.update(file.row())) == 0) {
            throw imported();
        }
    }

    /** Holds a file until the transaction ends: nobody else imports, changes or removes it meanwhile. */
    void hold(UUID id, Instant at) {
        if (free(() -> mapper.begin(id, at)) == 0) {
            throw imported();
        }
    }

    void remove(UUID id, Colleague asking) {
        if (free(() -> mapper.delete(id, asking.id())) == 0) {
            throw missing();
        }
    }

    void removeBefore(Instant at) {
        mapper.deleteOld(at);
    }

    private static int free(IntSupplier change) {
        try {
            return change.getAsInt();
        } catch (ConcurrencyFailureException held) {
            throw running();
        }
    }

    private static Refusal missing() {
        return Refusal.missing("This file");
    }

    private static Refusal imported() {
        return Refusal.because("done", "This file is imported already.");
    }

    private static Refusal running() {
        return Refusal.because("running", "This file is being imported just now.");
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
