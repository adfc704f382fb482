package famulus.server.outbox;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketException;
import java.time.Duration;
import javax.net.SocketFactory;

/** Makes the one socket of a connection and keeps hold of it, so that each command can have its own limit of time. */
final class HeldSocket extends SocketFactory {
    private volatile Socket socket;

    /** How long the next answer may take. */
    void answersWithin(Duration limit) throws SocketException {
        Socket held = socket;
        if (held != null) {
            held.setSoTimeout(Math.toIntExact(limit.toMillis()));
        }
    }

    /** Closes it; whoever reads from it fails at once. */
    void close() {
        Socket held = socket;
        if (held != null) {
            try {
                held.close();
            } catch (IOException already) {
                // Closed is all that was wanted.
            }
        }
    }

    @Override
    public Socket createSocket() throws IOException {
        Socket made = new Socket();
        // The end of a message is a segment of its own, which would wait until the server has acknowledged the one
        // before.
        made.setTcpNoDelay(true);
        socket = made;
        return made;
    }

    @Override
    public Socket createSocket(String host, int port) throws IOException {
        throw new UnsupportedOperationException("Connected by the library");
    }

    @Override
    public Socket createSocket(String host, int port, InetAddress from, int fromPort) throws IOException {
        throw new UnsupportedOperationException("Connected by the library");
    }

    @Override
    public Socket createSocket(InetAddress host, int port) throws IOException {
        throw new UnsupportedOperationException("Connected by the library");
    }

    @Override
    public Socket createSocket(InetAddress host, int port, InetAddress from, int fromPort) throws IOException {
        throw new UnsupportedOperationException("Connected by the library");
    }
}
