package famulus.server.interchange;

import famulus.server.platform.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * A {@link LibraryFile} and what lies beside it, as one zip file.
 *
 * @param bytes of pictures and files, by identifier
 */
record LibraryZip(LibraryFile library, Map<UUID, byte[]> bytes) {
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
        PackedFile.add(zip, LIBRARY, json.writerWithDefaultPrettyPrinter().writeValueAsBytes(library));
        for (LibraryFile.FileContent one : library.pictures()) {
            PackedFile.add(zip, PICTURES + one.id(), pictures.apply(one.id()));
        }
        for (LibraryFile.FileContent one : library.files()) {
            PackedFile.add(zip, FILES + one.id(), files.apply(one.id()));
        }
        zip.finish();
    }

    /**
     * Reads a file; refused in words where it is none of ours, damaged, or unpacks to more than it may. Nothing in it is written
     * anywhere: names of entries that aren’t ours are passed over.
     */
    static LibraryZip read(InputStream from, JsonMapper json) {
        AtomicReference<byte[]> written = new AtomicReference<>();
        Map<UUID, byte[]> bytes = new HashMap<>();
        PackedFile.unpack(from, (name, content) -> {
            if (name.equals(LIBRARY)) {
                written.set(content);
            } else {
                identifier(name, bytes, content);
            }
        });
        LibraryFile library = written.get() == null ? null : library(written.get(), json);
        if (library == null || !LibraryFile.FORMAT.equals(library.format())) {
            throw refused("There are no templates in this file. Choose one that Famulus has exported.");
        }
        if (library.version() != LibraryFile.VERSION) {
            throw refused("This file was exported by a newer version. It can’t be read here.");
        }
        return new LibraryZip(library, bytes);
    }

    private static LibraryFile library(byte[] written, JsonMapper json) {
        try {
            return json.readValue(written, LibraryFile.class);
        } catch (JacksonException | IllegalArgumentException unreadable) {
            throw refused("This file is damaged: it ends too early, or what it says can’t be read.");
        }
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
        return PackedFile.refused(sentence);
    }
}
