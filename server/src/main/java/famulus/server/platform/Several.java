package famulus.server.platform;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;

/** Does the same for many things, several at a time. */
public final class Several {
    private Several() {}

    /**
     * Does it for each, begun in their order; returns once all are done. The first failure is thrown, and what has not been begun
     * by then is not begun any more.
     *
     * @param hands so many are done at the same time, one of them by whoever calls
     */
    public static <T> void each(List<T> things, int hands, Consumer<T> what) {
        AtomicInteger next = new AtomicInteger();
        AtomicReference<Throwable> failed = new AtomicReference<>();
        Runnable hand = () -> {
            for (int at = next.getAndIncrement();
                    at < things.size() && failed.get() == null;
                    at = next.getAndIncrement()) {
                try {
                    what.accept(things.get(at));
                } catch (RuntimeException | Error failure) {
                    failed.compareAndSet(null, failure);
                }
            }
        };
        int others = Math.min(hands, things.size()) - 1;
        if (others > 0) {
            try (ExecutorService all = Executors.newFixedThreadPool(others)) {
                for (int i = 0; i < others; i++) {
                    all.execute(hand);
                }
                hand.run();
            }
        } else {
            hand.run();
        }
        switch (failed.get()) {
            case null -> {}
            case Error error -> throw error;
            case RuntimeException failure -> throw failure;
            default -> throw new IllegalStateException(failed.get());
        }
    }
}
