package famulus.server.outbox;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;

/** A mail server that answers as it is told: takes messages, refuses them for now or for good, or hangs up. */
final class FakeMailServer implements MailRoute, AutoCloseable {
    private final ServerSocket socket;
    private final BlockingQueue<String> taken = new LinkedBlockingQueue<>();
    private volatile String answerToRecipient = "250 fine";
    private volatile boolean hangUp;

    FakeMailServer() throws IOException {
        socket = new ServerSocket(0, 10, InetAddress.getLoopbackAddress());
        Thread.ofVirtual().start(this::serve);
    }

    @Override
    public String host() {
        return "127.0.0.1";
    }

    @Override
    public int port() {
        return socket.getLocalPort();
    }

    void answerToRecipient(String answer) {
        answerToRecipient = answer;
    }

    void hangUp(boolean inTheMiddle) {
        hangUp = inTheMiddle;
    }

    /** The messages taken so far, as they came over the line. */
    BlockingQueue<String> taken() {
        return taken;
    }

    private void serve() {
        while (!socket.isClosed()) {
            try (Socket caller = socket.accept()) {
                talk(caller);
            } catch (IOException gone) {
                // The caller hung up, or the test is over.
            }
        }
    }

    private void talk(Socket caller) throws IOException {
        BufferedReader in = new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.UTF_8));
        say(caller, "220 ready");
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            if (line.startsWith("RCPT")) {
                say(caller, answerToRecipient);
            } else if (line.equals("DATA")) {
                say(caller, "354 go on");
                if (hangUp) {
                    return;
                }
                StringBuilder message = new StringBuilder();
                for (String part = in.readLine(); !part.equals("."); part = in.readLine()) {
                    message.append(part).append("\r\n");
                }
                taken.add(message.toString());
                say(caller, "250 taken");
            } else if (line.equals("QUIT")) {
                say(caller, "221 bye");
                return;
            } else {
                say(caller, "250 fine");
            }
        }
    }

    private static void say(Socket caller, String words) throws IOException {
        caller.getOutputStream().write((words + "\r\n").getBytes(StandardCharsets.UTF_8));
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
