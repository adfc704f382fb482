package famulus.server.interchange;

import famulus.server.platform.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** A zip file: packs one, and unpacks one in memory, no more of it than may be held there, however small it was packed. */
final class PackedFile {
    /** The largest file that is taken, in bytes. */
    static final int LARGEST = 64 << 20;

    private static final int MOST_UNPACKED = 96 << 20;
    private static final int LARGEST_ENTRY = 25 << 20;
    private static final int MOST_ENTRIES = 20_000;

    private PackedFile() {}

    /** What is done with one thing of a file. */
    interface Taking {
        void take(String name, byte[] content);
    }

    /**
     * Unpacks a file; refused in words where it is damaged, or unpacks to more than it may. Nothing is written anywhere, so
     * names that lead out of a folder lead nowhere.
     *
     * @return how many things were in it
     */
    static int unpack(InputStream from, Taking taking) {
        int unpacked = 0;
        int entries = 0;
        try (ZipInputStream zip = new ZipInputStream(from)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    throw refused("There are more than 20,000 things in this file.");
                }
                byte[] content = zip.readNBytes(LARGEST_ENTRY + 1);
                unpacked += content.length;
                if (unpacked > MOST_UNPACKED || content.length > LARGEST_ENTRY) {
                    throw refused("This file unpacks to more than 96 MB, or something in it to more than 25 MB."
                            + " Put less into one file.");
                }
                if (!entry.isDirectory()) {
                    taking.take(entry.getName(), content);
                }
            }
        } catch (ZipException damaged) {
            throw refused("This file is damaged: " + damaged.getMessage() + ".");
        } catch (IOException | IllegalArgumentException unreadable) {
            throw refused("This file is damaged: it ends too early, or what it says can’t be read.");
        }
        return entries;
    }

    /** Packs one thing more. The same things make the same file, whenever they are packed. */
    static void add(ZipOutputStream zip, String name, byte[] content) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        zip.putNextEntry(entry);
        zip.write(content);
        zip.closeEntry();
    }

    static Refusal refused(String sentence) {
        return Refusal.field("file", sentence);
    }
}
