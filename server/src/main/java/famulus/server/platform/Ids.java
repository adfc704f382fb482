package famulus.server.platform;

import java.nio.ByteBuffer;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collections;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Makes identifiers: 128 random bits, so that a link can't be guessed from another. */
@Component
public class Ids {
    /** The order of identifiers in indexes. */
    public static final Comparator<UUID> ORDER = (one, other) -> {
        int high = Long.compareUnsigned(one.getMostSignificantBits(), other.getMostSignificantBits());
        return high != 0 ? high : Long.compareUnsigned(one.getLeastSignificantBits(), other.getLeastSignificantBits());
    };

    private static final int AT_ONCE = 20_000;

    private final SecureRandom random = new SecureRandom();

    /** Returns an identifier nobody has used. */
    public UUID next() {
        byte[] bytes = new byte[16];
        random.nextBytes(bytes);
        ByteBuffer bits = ByteBuffer.wrap(bytes);
        return new UUID(bits.getLong(), bits.getLong());
    }

    /** An identifier as the key of a page: 22 characters that may stand in an address (RFC 4648, 5). */
    public static String key(UUID id) {
        byte[] bits = ByteBuffer.allocate(16)
                .putLong(id.getMostSignificantBits())
                .putLong(id.getLeastSignificantBits())
                .array();
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
    }

    /**
     * Identifiers for many things, as random as any. Some at a time are given in {@link #ORDER}, so that those that come one
     * after another stand side by side in indexes, and a page of an index is written once for many of them.
     *
     * @param expected how many are about to be asked for
     */
    public Supplier<UUID> many(int expected) {
        int atOnce = Math.clamp(expected, 1, AT_ONCE);
        return new Supplier<>() {
            private Iterator<UUID> left = Collections.emptyIterator();

            @Override
            public UUID get() {
                if (!left.hasNext()) {
                    List<UUID> some = new ArrayList<>();
                    for (int i = 0; i < atOnce; i++) {
                        some.add(next());
                    }
                    some.sort(ORDER);
                    left = some.iterator();
                }
                return left.next();
            }
        };
    }
}
