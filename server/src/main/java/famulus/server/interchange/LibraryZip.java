package famulus.server.interchange;

import famulus.server.platform.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A {@link LibraryFile} and what lies beside it, as one zip file.
 *
 * @param bytes of pictures and files, by identifier
 */
record LibraryZip(LibraryFile library, Map<UUID, byte[]> bytes) {
    /** The largest file that is taken, in bytes. */
    static final int LARGEST = 64 << 20;

    /** More than this is not unpacked, however small it was packed: it is held in memory. */
    private static final int MOST_UNPACKED = 96 << 20;

    private static final int LARGEST_LIBRARY = 24 << 20;
    private static final int LARGEST_CONTENT = 25 << 20;

    private static final int MOST_ENTRIES = 20_000;
    private static final String LIBRARY = "library.json";
    private static final String PICTURES = "pictures/";
    private static final String FILES = "files/";

    /** Writes a file. */
    static void write(
            LibraryFile library,
            Function<UUID, byte[]> pictures,
            Function<UUID, byte[]> files,
            JsonMapper json,
            OutputStream to)
            throws IOException {
        ZipOutputStream zip = new ZipOutputStream(to);
        entry(zip, LIBRARY, json.writerWithDefaultPrettyPrinter().writeValueAsBytes(library));
        for (LibraryFile.FileContent one : library.pictures()) {
            entry(zip, PICTURES + one.id(), pictures.apply(one.id()));
        }
        for (LibraryFile.FileContent one : library.files()) {
            entry(zip, FILES + one.id(), files.apply(one.id()));
        }
        zip.finish();
    }

    private static void entry(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        // The same templates make the same file, whenever they are taken out.
        entry.setTime(0);
        zip.putNextEntry(entry);
        zip.write(bytes);
        zip.closeEntry();
    }

    /**
     * Reads a file; refused in words where it is none of ours, damaged, or unpacks to more than it may. Nothing in it is written
     * anywhere: names of entries that aren’t ours are passed over.
     */
    static LibraryZip read(InputStream from, JsonMapper json) {
        LibraryFile library = null;
        Map<UUID, byte[]> bytes = new HashMap<>();
        int unpacked = 0;
        int entries = 0;
        try (ZipInputStream zip = new ZipInputStream(from)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    throw refused("There are more than 20,000 things in this file.");
                }
                int most = entry.getName().equals(LIBRARY) ? LARGEST_LIBRARY : LARGEST_CONTENT;
                byte[] content = zip.readNBytes(most + 1);
                unpacked += content.length;
                if (unpacked > MOST_UNPACKED || content.length > most) {
                    throw refused("This file unpacks to more than 96 MB, or something in it to more than 25 MB."
                            + " Export fewer templates at a time.");
                }
                if (entry.getName().equals(LIBRARY)) {
                    library = json.readValue(content, LibraryFile.class);
                } else {
                    identifier(entry.getName(), bytes, content);
                }
            }
        } catch (ZipException damaged) {
            throw refused("This file is damaged: " + damaged.getMessage() + ".");
        } catch (IOException | JacksonException | IllegalArgumentException unreadable) {
            throw refused("This file is damaged: it ends too early, or what it says can’t be read.");
        }
        if (entries == 0 || library == null || !LibraryFile.FORMAT.equals(library.format())) {
            throw refused("There are no templates in this file. Choose one that Famulus has exported.");
        }
        if (library.version() != LibraryFile.VERSION) {
            throw refused("This file was exported by a newer version. It can’t be read here.");
        }
        return new LibraryZip(library, bytes);
    }

    private static void identifier(String name, Map<UUID, byte[]> bytes, byte[] content) {
        for (String folder : new String[] {PICTURES, FILES}) {
            String rest = name.startsWith(folder) ? name.substring(folder.length()) : "";
            if (rest.matches("[0-9a-f-]{36}")) {
                bytes.put(UUID.fromString(rest), content);
            }
        }
    }

    private static Refusal refused(String sentence) {
        return Refusal.field("file", sentence);
    }
}
