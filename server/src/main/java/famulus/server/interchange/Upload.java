package famulus.server.interchange;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** A file on its way in, set down on disk: however slowly it comes, nothing of the database is held meanwhile. */
final class Upload implements Closeable {
    private static final int PORTION = 1 << 16;

    private final Path file;

    /** Reads a file to its end, or until it is too large to be taken: then enough of it is there to say so. */
    Upload(InputStream from) throws IOException {
        file = Files.createTempFile("famulus-import", ".part");
        try (OutputStream to = Files.newOutputStream(file)) {
            long size = 0;
            for (byte[] part = from.readNBytes(PORTION);
                    part.length > 0 && size <= ImportFiles.LARGEST;
                    part = from.readNBytes(PORTION)) {
                to.write(part);
                size += part.length;
            }
        } catch (IOException gone) {
            close();
            throw gone;
        }
    }

    /** What it holds. */
    InputStream bytes() throws IOException {
        return Files.newInputStream(file);
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(file);
    }
}
