package famulus.server.materials;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.jar.JarFile;
import javax.imageio.ImageIO;

/**
 * Draws SVG in a process of its own, one at a time. A drawing of a few bytes can ask for any amount of time and memory, by its
 * filters, dashes, patterns or references; here it gets so much and no more, and whatever it does ends with its process.
 */
final class SvgProcess {
    private static final int LONGEST_SECONDS = 15;
    private static final String MEMORY = "-Xmx256m";
    private static final int NOT_DRAWN = 2;
    private static final Semaphore ONE_AT_A_TIME = new Semaphore(1, true);

    private SvgProcess() {}

    /** What came of it: the points, or nothing when it took too long or too much. */
    record Outcome(Optional<BufferedImage> points, boolean damaged) {}

    /** Reads a drawing from its input, and writes its points to the file it is given. */
    public static void main(String[] arguments) throws IOException {
        Thread.ofPlatform().daemon().start(() -> {
            try {
                Thread.sleep(TimeUnit.SECONDS.toMillis(LONGEST_SECONDS));
            } catch (InterruptedException sooner) {
                Thread.currentThread().interrupt();
            }
            // Whoever started it may be gone.
            Runtime.getRuntime().halt(1);
        });
        try {
            BufferedImage points = SvgDrawing.points(System.in.readAllBytes());
            ImageIO.write(points, "png", Path.of(arguments[0]).toFile());
        } catch (IllegalArgumentException | IllegalStateException damaged) {
            Runtime.getRuntime().halt(NOT_DRAWN);
        }
        Runtime.getRuntime().halt(0);
    }

    /** Draws; takes as long as a drawing before it and this one need, at most. */
    static Outcome draw(byte[] svg) throws IOException {
        Path picture = Files.createTempFile("famulus", ".png");
        ONE_AT_A_TIME.acquireUninterruptibly();
        Process process = null;
        try {
            process = new ProcessBuilder(command(picture))
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            hand(process, svg);
            if (!process.waitFor(LONGEST_SECONDS, TimeUnit.SECONDS)) {
                return new Outcome(Optional.empty(), false);
            }
            return process.exitValue() == 0
                    ? new Outcome(
                            Optional.ofNullable(ImageIO.read(new ByteArrayInputStream(Files.readAllBytes(picture)))),
                            false)
                    : new Outcome(Optional.empty(), process.exitValue() == NOT_DRAWN);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            return new Outcome(Optional.empty(), false);
        } finally {
            if (process != null) {
                process.destroyForcibly();
            }
            ONE_AT_A_TIME.release();
            Files.deleteIfExists(picture);
        }
    }

    private static void hand(Process process, byte[] svg) {
        try (var in = process.getOutputStream()) {
            in.write(svg);
        } catch (IOException ended) {
            // What became of it is told by how it ended.
        }
    }

    private static List<String> command(Path picture) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                MEMORY,
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:+ExitOnOutOfMemoryError",
                "-Djava.awt.headless=true",
                "-cp",
                System.getProperty("java.class.path")));
        if (packed()) {
            // The application as one file: its own launcher finds the classes within.
            command.add("-Dloader.main=" + SvgProcess.class.getName());
            command.add("org.springframework.boot.loader.launch.PropertiesLauncher");
        } else {
            command.add(SvgProcess.class.getName());
        }
        command.add(picture.toString());
        return command;
    }

    private static boolean packed() throws IOException {
        String path = System.getProperty("java.class.path");
        if (path.contains(java.io.File.pathSeparator) || !path.endsWith(".jar")) {
            return false;
        }
        try (JarFile jar = new JarFile(path)) {
            return jar.getEntry("BOOT-INF/classes/") != null;
        }
    }
}
