package famulus.server.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Watches the room that is left on the disk with the data. What changes something is refused while there is hardly any:
 * a database that runs out of room in the middle of writing closes itself.
 */
@Component
public class DiskSpace {
    /** The largest message and what H2 writes around it fit into this several times. */
    static final long LEAST_BYTES = 128L * 1024 * 1024;

    static final String FULL =
            "The disk with the data of Famulus is full. Nothing was changed. Make room on it, then try" + " again.";
    private static final Logger LOG = LoggerFactory.getLogger(DiskSpace.class);

    private final Room room;
    private volatile boolean full;

    /** How many bytes can still be written. */
    interface Room {
        long bytes() throws IOException;
    }

    @Autowired
    DiskSpace(FamulusProperties properties) {
        this(
                properties.inMemory()
                        ? () -> Long.MAX_VALUE
                        : () -> Files.getFileStore(Path.of(properties.data())).getUsableSpace());
    }

    DiskSpace(Room room) {
        this.room = room;
    }

    /** Whether what is changed now can be written. */
    public boolean hasRoom() {
        boolean enough;
        try {
            enough = room.bytes() >= LEAST_BYTES;
        } catch (IOException unknown) {
            // A disk that can't be asked may still be written to; the database tells when it can't.
            enough = true;
        }
        if (enough == full) {
            full = !enough;
            LOG.warn(enough ? "There is room on the disk again." : FULL);
        }
        return enough;
    }
}
