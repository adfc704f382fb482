package famulus.server.contents;

import java.io.ByteArrayOutputStream;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/** Bytes packed to be kept (RFC 1951): lines of mail, and JSON, to a third and less. */
public final class Packing {
    private Packing() {}

    /** Packs bytes; quickly is enough. */
    public static byte[] packed(byte[] bytes) {
        Deflater deflater = new Deflater(Deflater.BEST_SPEED, true);
        try {
            deflater.setInput(bytes);
            deflater.finish();
            ByteArrayOutputStream packed = new ByteArrayOutputStream(bytes.length / 2 + 64);
            byte[] some = new byte[8_192];
            while (!deflater.finished()) {
                packed.write(some, 0, deflater.deflate(some));
            }
            return packed.toByteArray();
        } finally {
            deflater.end();
        }
    }

    /**
     * The bytes that were packed.
     *
     * @param size how many they were
     */
    public static byte[] unpacked(byte[] packed, int size) {
        Inflater inflater = new Inflater(true);
        try {
            inflater.setInput(packed);
            byte[] bytes = new byte[size];
            int read = 0;
            while (read < bytes.length) {
                int more = inflater.inflate(bytes, read, bytes.length - read);
                if (more == 0 && (inflater.finished() || inflater.needsInput())) {
                    break;
                }
                read += more;
            }
            if (read < bytes.length) {
                throw new IllegalStateException("A kept message is shorter than it was");
            }
            return bytes;
        } catch (DataFormatException damaged) {
            throw new IllegalStateException("A kept message is damaged", damaged);
        } finally {
            inflater.end();
        }
    }
}
