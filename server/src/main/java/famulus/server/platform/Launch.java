package famulus.server.platform;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.SpringApplication;

/**
 * Starts the application from the command line. What is wrong with the arguments, the port or the data folder is said
 * in one line before anything else happens, and the exit code is 1.
 */
public final class Launch {
    private static final String LOCK = "in-use.lock";
    /** Held open for as long as the process lives; the lock goes with it. */
    private static FileChannel lock;

    private Launch() {}

    /**
     * Starts {@code application}.
     *
     * @param arguments {@code demo} or {@code run}, then {@code --port N}, {@code --data DIR}, {@code --now INSTANT},
     *     {@code --fresh}; anything else that begins with {@code --} goes to Spring Boot as it is
     */
    public static void start(Class<?> application, String[] arguments) {
        try {
            Options options = Options.read(arguments);
            prepare(options);
            SpringApplication spring = new SpringApplication(application);
            spring.run(options.springArguments().toArray(String[]::new));
        } catch (Refused refused) {
            System.err.println("famulus: " + refused.getMessage());
            System.exit(1);
        } catch (RuntimeException failed) {
            System.err.println("famulus: it could not start: " + rootOf(failed).getMessage());
            System.exit(1);
        }
    }

    private static Throwable rootOf(Throwable failure) {
        Throwable root = failure;
        while (root.getCause() != null && root.getCause() != root) {
            root = root.getCause();
        }
        return root;
    }

    private static void prepare(Options options) throws Refused {
        try (ServerSocket free = new ServerSocket()) {
            free.setReuseAddress(true);
            free.bind(new InetSocketAddress(options.port()));
        } catch (IOException | IllegalArgumentException taken) {
            throw new Refused("Port " + options.port() + " is in use. Choose another one with --port.");
        }
        try {
            Files.createDirectories(options.data());
            lock = FileChannel.open(options.data().resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            if (lock.tryLock() == null) {
                throw new Refused(inUse(options));
            }
            if (options.fresh()) {
                empty(options.data());
            }
        } catch (OverlappingFileLockException held) {
            throw new Refused(inUse(options));
        } catch (IOException failed) {
            throw new Refused("The data folder " + options.data() + " can't be written to: " + failed.getMessage());
        }
    }

    private static String inUse(Options options) {
        return "The data folder " + options.data() + " is in use by another Famulus. Stop it, or choose another"
                + " folder with --data.";
    }

    private static void empty(Path folder) throws IOException {
        Files.walkFileTree(folder, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                if (!file.getFileName().toString().equals(LOCK)) {
                    Files.delete(file);
                }
                return FileVisitResult.CONTINUE;
            }
        });
    }

    /** Says in one line why the application does not start. */
    static final class Refused extends Exception {
        private static final long serialVersionUID = 1L;

        Refused(String sentence) {
            super(sentence);
        }
    }

    /** What the command line asks for. */
    record Options(boolean demo, int port, Path data, Instant now, boolean fresh, List<String> others) {

        static Options read(String[] arguments) throws Refused {
            String command = arguments.length == 0 ? "" : arguments[0];
            if (!command.equals("demo") && !command.equals("run")) {
                throw new Refused("Say “demo” or “run” first. “./famulus help” tells the rest.");
            }
            boolean demo = command.equals("demo");
            int port = 8080;
            Path data = Path.of("famulus-data", demo ? "demo" : "run");
            Instant now = null;
            boolean fresh = false;
            List<String> others = new ArrayList<>();
            for (int i = 1; i < arguments.length; i++) {
                String argument = arguments[i];
                switch (argument) {
                    case "--port" -> port = port(value(arguments, ++i, argument));
                    case "--data" -> data = Path.of(value(arguments, ++i, argument));
                    case "--now" -> now = instant(value(arguments, ++i, argument));
                    case "--fresh" -> fresh = true;
                    default -> {
                        if (!argument.startsWith("--") || !argument.contains("=")) {
                            throw new Refused("“" + argument + "” is not an option. “./famulus help” lists them.");
                        }
                        others.add(argument);
                    }
                }
            }
            if (fresh && !demo) {
                throw new Refused("--fresh empties the data folder, so it goes with “demo” only.");
            }
            if (now != null && !demo) {
                throw new Refused("--now goes with “demo” only: real messages carry the real time.");
            }
            return new Options(demo, port, data, now, fresh, others);
        }

        private static String value(String[] arguments, int at, String option) throws Refused {
            if (at >= arguments.length) {
                throw new Refused(option + " needs a value after it.");
            }
            return arguments[at];
        }

        private static int port(String words) throws Refused {
            try {
                int port = Integer.parseInt(words);
                if (port > 0 && port < 65536) {
                    return port;
                }
            } catch (NumberFormatException noNumber) {
                // Said below, as for a number out of range.
            }
            throw new Refused("“" + words + "” is not a port. Ports are numbers from 1 to 65535.");
        }

        private static Instant instant(String words) throws Refused {
            try {
                return OffsetDateTime.parse(words).toInstant();
            } catch (DateTimeParseException wrong) {
                throw new Refused("“" + words + "” is not a time. Write it as 2026-05-04T09:00Z.");
            }
        }

        List<String> springArguments() {
            List<String> spring = new ArrayList<>();
            spring.add("--server.port=" + port);
            spring.add("--famulus.data=" + data.toAbsolutePath());
            spring.add("--famulus.demo=" + demo);
            if (now != null) {
                spring.add("--famulus.now=" + now);
            }
            spring.addAll(others);
            return spring;
        }
    }
}
