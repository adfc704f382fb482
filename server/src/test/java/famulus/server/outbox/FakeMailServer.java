package famulus.server.outbox;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.atomic.AtomicInteger;

/** A mail server that answers as it is told at every step: with words, by hanging up, or not at all. */
public final class FakeMailServer implements MailRoute, AutoCloseable {
    /** What is done at a step in place of an answer. */
    private static final String HANG_UP = "hang up";

    private static final String RESET = "reset";
    private static final String SAY_NOTHING = "say nothing";

    private final ServerSocket socket;
    private final Thread serving;
    private final BlockingQueue<String> taken = new LinkedBlockingQueue<>();
    private final AtomicInteger connections = new AtomicInteger();
    private final Map<Step, String> answers = new ConcurrentHashMap<>();
    private final Map<String, String> refused = new ConcurrentHashMap<>();
    private volatile boolean brokenRoute;
    private volatile Step slowAt;
    private volatile CountDownLatch reached = new CountDownLatch(0);
    private volatile CountDownLatch goOn = new CountDownLatch(0);

    /** Where in a conversation. */
    public enum Step {
        GREETING,
        MAIL,
        RECIPIENT,
        DATA,
        IN_THE_DATA,
        DOT,
        RESET,
        QUIT
    }

    public FakeMailServer() throws IOException {
        socket = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        serving = Thread.ofVirtual().start(this::serve);
    }

    @Override
    public String host() {
        if (brokenRoute) {
            throw new IllegalStateException("There is no way to the post");
        }
        return "127.0.0.1";
    }

    @Override
    public int port() {
        return socket.getLocalPort();
    }

    /** Forgets all it was told and all it took. */
    public void behave() {
        answers.clear();
        refused.clear();
        taken.clear();
        connections.set(0);
        brokenRoute = false;
        slowAt = null;
        goOn.countDown();
    }

    /** Takes its time at a step, until it is told to go on. */
    public void takeTime(Step step) {
        reached = new CountDownLatch(1);
        goOn = new CountDownLatch(1);
        slowAt = step;
    }

    /** Waits until the step at which it takes its time. */
    public void awaitSlowStep() throws InterruptedException {
        reached.await();
    }

    public void goOn() {
        goOn.countDown();
    }

    public void answer(Step step, String words) {
        answers.put(step, words);
    }

    /** Turns one address away. */
    public void refuse(String address, String words) {
        refused.put(address, words);
    }

    /** Ends the connection at a step, in order (FIN) after what it has said before. */
    public void hangUp(Step step) {
        answers.put(step, HANG_UP);
    }

    /** Breaks the connection at a step (RST). */
    public void reset(Step step) {
        answers.put(step, RESET);
    }

    /** Stays silent at a step and keeps the connection. */
    public void sayNothing(Step step) {
        answers.put(step, SAY_NOTHING);
    }

    /** Makes the way to the server fail before it is reached. */
    public void breakRoute() {
        brokenRoute = true;
    }

    /** The messages taken so far, as they came over the line. */
    public BlockingQueue<String> taken() {
        return taken;
    }

    public int connections() {
        return connections.get();
    }

    private void serve() {
        while (!socket.isClosed()) {
            try {
                Socket caller = socket.accept();
                connections.incrementAndGet();
                Thread.ofVirtual().start(() -> answer(caller));
            } catch (IOException over) {
                // The test is over.
            }
        }
    }

    private void answer(Socket caller) {
        try (caller) {
            talk(caller);
        } catch (IOException gone) {
            // The caller hung up, or was hung up on.
        }
    }

    private void talk(Socket caller) throws IOException {
        BufferedReader in = new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.UTF_8));
        say(caller, Step.GREETING, "220 ready");
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            if (line.startsWith("MAIL")) {
                say(caller, Step.MAIL, "250 fine");
            } else if (line.startsWith("RCPT")) {
                String address = line.replaceAll("^RCPT TO:<|>.*$", "");
                say(caller, Step.RECIPIENT, refused.getOrDefault(address, "250 fine"));
            } else if (line.equals("DATA")) {
                String answer = answers.getOrDefault(Step.DATA, "354 go on");
                say(caller, Step.DATA, "354 go on");
                if (answer.startsWith("3")) {
                    take(caller, in);
                }
            } else if (line.equals("RSET")) {
                say(caller, Step.RESET, "250 fine");
            } else if (line.equals("QUIT")) {
                say(caller, Step.QUIT, "221 bye");
                return;
            } else {
                say(caller, "250 fine");
            }
        }
    }

    private void take(Socket caller, BufferedReader in) throws IOException {
        if (answers.containsKey(Step.IN_THE_DATA)) {
            in.readLine();
            say(caller, Step.IN_THE_DATA, "");
        }
        StringBuilder message = new StringBuilder();
        for (String part = in.readLine(); !part.equals("."); part = in.readLine()) {
            message.append(part).append("\r\n");
        }
        if (answers.getOrDefault(Step.DOT, "250 taken").startsWith("2")) {
            taken.add(message.toString());
        }
        say(caller, Step.DOT, "250 taken");
    }

    private void say(Socket caller, Step step, String usual) throws IOException {
        if (step == slowAt) {
            reached.countDown();
            try {
                goOn.await();
            } catch (InterruptedException over) {
                throw new IOException(over);
            }
        }
        String answer = answers.getOrDefault(step, usual);
        switch (answer) {
            case HANG_UP -> throw new IOException("Hung up as told");
            case RESET -> {
                // A connection that is closed without lingering is broken, not ended.
                caller.setSoLinger(true, 0);
                throw new IOException("Broken as told");
            }
            case SAY_NOTHING -> {}
            default -> say(caller, answer);
        }
    }

    private static void say(Socket caller, String words) throws IOException {
        caller.getOutputStream().write((words + "\r\n").getBytes(StandardCharsets.UTF_8));
    }

    /** Nobody is answered once it has returned: a caller may be on its way in while the socket is closed. */
    @Override
    public void close() {
        try {
            socket.close();
            serving.join();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
