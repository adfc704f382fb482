package famulus.e2e;

import famulus.server.Famulus;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.util.FileSystemUtils;

/**
 * The demo's data, made by whichever process of a run needs them first; every application that is started with them gets a copy.
 * Making them takes twice as long as all the rest of a start.
 */
final class DemoMadeOnce {
    /** What the clock stands at when they are made. */
    static final String NOW = "--famulus.now=2026-05-05T09:00:00Z";

    private static final Path ALL = Path.of("target", "demo");

    private DemoMadeOnce() {}

    /** A folder with them that nobody else uses. */
    static Path copy() {
        try {
            Path made = made();
            Path copy = Files.createTempDirectory(ALL, "copy");
            FileSystemUtils.copyRecursively(made, copy);
            return copy;
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    private static Path made() throws IOException {
        // Those of another run may be those of another program.
        Path made = ALL.resolve("of-"
                + System.getProperty("famulus.run", "" + ProcessHandle.current().pid()));
        Files.createDirectories(ALL);
        try (FileChannel lock = FileChannel.open(
                        ALL.resolveSibling("demo.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = lock.lock()) {
            if (!Files.exists(made)) {
                FileSystemUtils.deleteRecursively(ALL);
                Path begun = ALL.resolve("begun");
                Files.createDirectories(begun);
                SpringApplication.run(Famulus.class, arguments(begun).toArray(String[]::new))
                        .close();
                Files.move(begun, made);
            }
        }
        return made;
    }

    /** What an application with the demo's data in a folder is started with. */
    static List<String> arguments(Path data) {
        return List.of("--server.port=0", "--famulus.data=" + data, "--famulus.demo=true", NOW);
    }
}
