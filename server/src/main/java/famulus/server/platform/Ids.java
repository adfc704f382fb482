package famulus.server.platform;

import java.nio.ByteBuffer;
import java.security.SecureRandom;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Makes identifiers: 128 random bits, so that a link can't be guessed from another. */
@Component
public class Ids {
    private final SecureRandom random = new SecureRandom();

    /** Returns an identifier nobody has used. */
    public UUID next() {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        ByteBuffer bits = ByteBuffer.wrap(bytes);
        return new UUID(bits.getLong(), bits.getLong());
    }
}
