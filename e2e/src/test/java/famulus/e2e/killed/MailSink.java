package famulus.e2e.killed;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Random;

/**
 * A mail server in a process of its own that takes every message. It writes down which message for whom, on the disk, before
 * it answers, and answers late, so that whoever is killed is often killed between the two.
 */
final class MailSink {
    private static final int LONGEST_DELAY_MS = 400;

    private final FileChannel taken;
    private final Random random;

    private MailSink(FileChannel taken, long seed) {
        this.taken = taken;
        this.random = new Random(seed);
    }

    /** Prints its port, then serves until its process ends. Arguments: the file to write to, the seed of its delays. */
    public static void main(String[] arguments) throws IOException {
        FileChannel taken = FileChannel.open(
                Path.of(arguments[0]), StandardOpenOption.CREATE, StandardOpenOption.APPEND, StandardOpenOption.WRITE);
        MailSink sink = new MailSink(taken, Long.parseLong(arguments[1]));
        try (ServerSocket socket = new ServerSocket(0, 50, InetAddress.getLoopbackAddress())) {
            System.out.println(socket.getLocalPort());
            while (true) {
                Socket caller = socket.accept();
                Thread.ofVirtual().start(() -> sink.answer(caller));
            }
        }
    }

    private void answer(Socket caller) {
        try (caller) {
            talk(caller);
        } catch (IOException | InterruptedException gone) {
            // The caller was killed.
        }
    }

    private void talk(Socket caller) throws IOException, InterruptedException {
        BufferedReader in = new BufferedReader(new InputStreamReader(caller.getInputStream(), StandardCharsets.UTF_8));
        say(caller, "220 ready");
        String recipient = "";
        for (String line = in.readLine(); line != null; line = in.readLine()) {
            if (line.startsWith("RCPT")) {
                recipient = line.replaceFirst("^RCPT TO:<(.*)>.*$", "$1");
                say(caller, "250 fine");
            } else if (line.equals("DATA")) {
                say(caller, "354 go on");
                take(in, recipient);
                say(caller, "250 taken");
            } else {
                say(caller, "250 fine");
            }
        }
    }

    private void take(BufferedReader in, String recipient) throws IOException, InterruptedException {
        String identifier = "";
        for (String line = in.readLine(); !".".equals(line); line = in.readLine()) {
            if (line == null) {
                throw new IOException("The caller left before the final dot");
            }
            if (identifier.isEmpty() && line.startsWith("Message-ID: ")) {
                identifier = line.substring("Message-ID: ".length());
            }
        }
        int delay;
        synchronized (this) {
            taken.write(ByteBuffer.wrap((identifier + " " + recipient + "\n").getBytes(StandardCharsets.UTF_8)));
            taken.force(true);
            delay = random.nextInt(LONGEST_DELAY_MS);
        }
        Thread.sleep(delay);
    }

    private static void say(Socket caller, String words) throws IOException {
        caller.getOutputStream().write((words + "\r\n").getBytes(StandardCharsets.UTF_8));
    }
}
