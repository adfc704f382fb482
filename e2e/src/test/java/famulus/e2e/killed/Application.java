package famulus.e2e.killed;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.springframework.util.FileSystemUtils;

/** The application as it ships, in a process of its own that can be ended in every way there is. */
final class Application {
    private static final Path JAR = Path.of("..", "server", "target", "famulus-app.jar");
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();

    private final Path folder;
    private final int mailPort;
    private final int port;
    private final List<String> said = new ArrayList<>();
    private Process process;
    private boolean up;

    /**
     * @param folder for its data
     * @param mailPort where its mail server listens on this machine
     */
    Application(Path folder, int mailPort) throws IOException {
        this.folder = folder;
        this.mailPort = mailPort;
        try (ServerSocket free = new ServerSocket(0)) {
            this.port = free.getLocalPort();
        }
    }

    String address() {
        return "http://localhost:" + port;
    }

    /** Starts it, and returns once it answers. */
    void start() throws IOException {
        Path unpacked = unpacked();
        ProcessBuilder builder = new ProcessBuilder(
                JAVA,
                "-Xmx512m",
                "-XX:+UseParallelGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:+AutoCreateSharedArchive",
                "-XX:SharedArchiveFile=" + unpacked.resolve("classes.jsa"),
                "-Xlog:disable",
                "--enable-native-access=ALL-UNNAMED",
                "-jar",
                unpacked.resolve(JAR.getFileName()).toString(),
                "run",
                "--port",
                Integer.toString(port),
                "--data",
                data().toString());
        builder.environment()
                .putAll(Map.of(
                        "FAMULUS_SMTP_HOST",
                        "127.0.0.1",
                        "FAMULUS_SMTP_PORT",
                        Integer.toString(mailPort),
                        "FAMULUS_SMTP_AUTH",
                        "false",
                        "FAMULUS_SMTP_STARTTLS",
                        "false",
                        // Some are killed while they can still be taken back.
                        "FAMULUS_TAKEBACKSECONDS",
                        "1"));
        process = builder.redirectErrorStream(true).start();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            note(line);
            if (line.contains("ready at")) {
                Thread.ofVirtual().start(() -> drain(out));
                isUp(true);
                return;
            }
        }
        throw new IllegalStateException("It did not start: " + said());
    }

    /**
     * The application unpacked, as the launcher does it, once for each build: from jars within a jar it would start in three
     * times as long. What the JVM keeps of it beside it serves all that are started after the first has ended in order.
     */
    private static synchronized Path unpacked() throws IOException {
        Path all = Path.of("target", "unpacked");
        // The build gives every jar the same time, so that equal ones are equal; when it was written here tells them
        // apart.
        Path unpacked = all.resolve(Long.toString(((FileTime) Files.getAttribute(JAR, "unix:ctime")).toMillis()));
        // Other tests may go on in a process of their own.
        try (FileChannel lock = FileChannel.open(
                        Path.of("target", "unpacked.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = lock.lock()) {
            if (!Files.exists(unpacked)) {
                // Those of builds before, and one that was broken off.
                FileSystemUtils.deleteRecursively(all);
                Path begun = all.resolve("begun");
                unpack(begun);
                Files.move(begun, unpacked);
            }
        }
        return unpacked;
    }

    private static void unpack(Path into) throws IOException {
        Process process = new ProcessBuilder(
                        JAVA, "-Djarmode=tools", "-jar", JAR.toString(), "extract", "--destination", into.toString())
                .inheritIO()
                .start();
        try {
            if (process.waitFor() != 0) {
                throw new IOException("The application could not be unpacked");
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped while unpacking", interrupted);
        }
    }

    private synchronized void isUp(boolean now) {
        up = now;
        notifyAll();
    }

    /** Waits until it answers, while it is down. */
    synchronized void untilUp() {
        try {
            while (!up) {
                wait();
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        }
    }

    private void drain(BufferedReader out) {
        try {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                note(line);
            }
        } catch (IOException ended) {
            // Its process has ended.
        }
    }

    private synchronized void note(String line) {
        said.add(line);
    }

    /** All it has printed. */
    synchronized String said() {
        return String.join("\n", said);
    }

    Path data() {
        return folder.resolve("data");
    }

    long pid() {
        return process.pid();
    }

    /** Lets it run for a while; whether it has ended by itself meanwhile. */
    boolean endsWithin(long milliseconds) throws InterruptedException {
        return process.waitFor(milliseconds, TimeUnit.MILLISECONDS);
    }

    /** Ends it without a word to it, as {@code kill -9} does. */
    void kill() throws InterruptedException {
        isUp(false);
        process.destroyForcibly().waitFor();
    }

    /** Asks it to end, as Ctrl-C and {@code kill} do; its exit code. */
    int stop() throws InterruptedException {
        isUp(false);
        process.destroy();
        return process.waitFor();
    }

    /** Starts a helper of this package in a process of its own, and reads the first line that it prints. */
    static Helper helper(Class<?> main, String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                JAVA, "-Xmx64m", "-cp", Path.of("target", "test-classes").toString(), main.getName()));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        BufferedReader out = process.inputReader(StandardCharsets.UTF_8);
        return new Helper(process, out.readLine());
    }

    /** A helper that runs until it is closed. */
    record Helper(Process process, String firstLine) implements AutoCloseable {
        @Override
        public void close() {
            process.destroyForcibly();
        }
    }

    static List<String> lines(Path file) {
        try {
            return Files.exists(file) ? Files.readAllLines(file) : List.of();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
