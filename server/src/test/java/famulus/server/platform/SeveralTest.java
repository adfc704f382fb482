package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SeveralTest {
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 7})
    void eachIsDoneOnce(int hands) {
        Queue<Integer> done = new ConcurrentLinkedQueue<>();
        List<Integer> things = IntStream.range(0, 50).boxed().toList();
        Several.each(things, hands, done::add);
        assertThat(done).containsExactlyInAnyOrderElementsOf(things);
        Several.each(List.of(), hands, any -> done.clear());
        assertThat(done).hasSize(50);
    }

    @Test
    void severalAreDoneAtTheSameTime() {
        CyclicBarrier together = new CyclicBarrier(3);
        Queue<Integer> met = new ConcurrentLinkedQueue<>();
        Several.each(List.of(1, 2, 3), 3, one -> {
            try {
                together.await(2, TimeUnit.MINUTES);
                met.add(one);
            } catch (Exception alone) {
                throw new IllegalStateException(alone);
            }
        });
        assertThat(met).hasSize(3);
    }

    @Test
    void theFirstFailureIsThrownAndNothingElseIsBegun() {
        Queue<Integer> begun = new ConcurrentLinkedQueue<>();
        assertThatThrownBy(() -> Several.each(List.of(1, 2, 3, 4), 1, one -> {
                    begun.add(one);
                    if (one == 2) {
                        throw new IllegalStateException("two");
                    }
                }))
                .hasMessage("two");
        assertThat(begun).containsExactly(1, 2);
    }
}
