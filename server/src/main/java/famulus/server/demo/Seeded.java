package famulus.server.demo;

import java.util.List;
import java.util.Random;
import java.util.UUID;

/** Chance that always falls the same way. */
final class Seeded {
    private final Random random;

    Seeded(long seed) {
        this.random = new Random(seed);
    }

    UUID id() {
        return new UUID(random.nextLong(), random.nextLong());
    }

    <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    /** A number from {@code least} to {@code most}, both included. */
    int between(int least, int most) {
        return least + random.nextInt(most - least + 1);
    }

    /** True so many times in a hundred. */
    boolean inHundred(int times) {
        return random.nextInt(100) < times;
    }
}
