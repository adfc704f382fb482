package famulus.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/** A mail server that takes every message, and answers each a little later, as one at the other end of a line does. */
final class SlowSink implements AutoCloseable {
    private static final long LATER_MS = 5;

    private final ServerSocket socket;
    private final List<byte[]> taken = new ArrayList<>();
    private final AtomicInteger number = new AtomicInteger();
    private long first;
    private long last;

    SlowSink() throws IOException {
        socket = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        Thread.ofVirtual().start(this::serve);
    }

    int port() {
        return socket.getLocalPort();
    }

    /** How many it has taken since it was cleared. */
    int number() {
        return number.get();
    }

    /** What it has taken since it was cleared. */
    synchronized List<byte[]> taken() {
        return List.copyOf(taken);
    }

    /** So many a second, from the first that began to arrive to the last that had. */
    synchronized double perSecond() {
        return number.get() / ((last - first) / 1e9);
    }

    synchronized void clear() {
        taken.clear();
        number.set(0);
        first = 0;
    }

    private void serve() {
        while (!socket.isClosed()) {
            try {
                Socket caller = socket.accept();
                caller.setTcpNoDelay(true);
                Thread.ofVirtual().start(() -> answer(caller));
            } catch (IOException closed) {
                return;
            }
        }
    }

    private void answer(Socket caller) {
        try (caller;
                BufferedReader in = new BufferedReader(
                        new InputStreamReader(caller.getInputStream(), StandardCharsets.ISO_8859_1))) {
            say(caller, "220 ready");
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.startsWith("MAIL")) {
                    begins();
                }
                if (line.equals("DATA")) {
                    say(caller, "354 go on");
                    take(in);
                    TimeUnit.MILLISECONDS.sleep(LATER_MS);
                }
                say(caller, "250 fine");
            }
        } catch (IOException gone) {
            // The caller has hung up.
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized void begins() {
        if (first == 0) {
            first = System.nanoTime();
        }
    }

    private void take(BufferedReader in) throws IOException {
        StringBuilder text = new StringBuilder();
        for (String line = in.readLine(); !".".equals(line); line = in.readLine()) {
            text.append(line).append("\r\n");
        }
        synchronized (this) {
            taken.add(text.toString().getBytes(StandardCharsets.ISO_8859_1));
            last = System.nanoTime();
        }
        number.incrementAndGet();
    }

    private static void say(Socket caller, String words) throws IOException {
        caller.getOutputStream().write((words + "\r\n").getBytes(StandardCharsets.US_ASCII));
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
