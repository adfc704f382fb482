package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Landmarks of a list of numbered places. */
class LandmarksTest {
    private final RecordIndexMapper mapper = mock(RecordIndexMapper.class);
    private final Clock clock = mock(Clock.class);
    private final AtomicInteger taken = new AtomicInteger();
    private Instant now = Instant.parse("2026-05-04T09:00:00Z");
    private int records = 2_600;
    private Landmarks landmarks;

    private static String place(int number) {
        return String.format(Locale.ROOT, "0%06d", number);
    }

    @BeforeEach
    void aListOfNumberedPlaces() {
        when(clock.instant()).thenAnswer(any -> now);
        when(mapper.walk(anyString(), anyString(), any(), any(), any(), anyInt(), anyInt()))
                .thenAnswer(call -> {
                    PlaceRange range = call.getArgument(2);
                    int from = call.getArgument(5);
                    int most = call.getArgument(6);
                    int first = range.from().isEmpty()
                            ? 0
                            : Integer.parseInt(range.from().substring(1));
                    if (range.from().isEmpty()) {
                        taken.incrementAndGet();
                    }
                    return IntStream.range(first + from, records)
                            .limit(most)
                            .mapToObj(LandmarksTest::place)
                            .toList();
                });
        when(mapper.countPlaces(anyString(), anyString(), any()))
                .thenAnswer(call -> ((PlaceRange) call.getArgument(2)).equals(PlaceRange.nothing()) ? 0 : records);
        landmarks = new Landmarks(mapper, clock);
    }

    private Landmarks.Taken of(int total) {
        return landmarks.of(CrmKind.CONTACT, "name", total);
    }

    @Test
    void everyFiveHundredthPlaceIsRemembered() {
        Landmarks.Taken marks = of(records);

        assertThat(marks.places())
                .isEqualTo(List.of(place(0), place(500), place(1_000), place(1_500), place(2_000), place(2_500)));
        assertThat(marks.before(1_234)).isEqualTo(place(1_000));
        assertThat(marks.past(1_234)).isEqualTo(234);
        assertThat(marks.before(99_999)).isEqualTo(place(2_500));
        assertThat(marks.past(99_999)).isEqualTo(97_499);
    }

    @Test
    void aShortListHasOne() {
        records = 0;

        assertThat(of(0).places()).isEmpty();
        assertThat(of(0).before(7)).isEmpty();
        assertThat(of(0).past(7)).isEqualTo(7);
    }

    /** Whoever scrolls meanwhile is answered from those that are there. */
    @Test
    void theyAreTakenAnewBehindOnceTheyAreTenMinutesOld() {
        of(records);
        now = now.plus(Duration.ofMinutes(9));
        of(records);
        assertThat(taken).hasValue(1);

        now = now.plus(Duration.ofMinutes(2));
        assertThat(of(records).at()).isEqualTo(now.minus(Duration.ofMinutes(11)));
        await().pollInterval(Duration.ofMillis(5)).until(() -> of(records).at().equals(now));
        assertThat(taken).hasValue(2);
    }

    @Test
    void theyAreTakenAnewAtOnceWhenVeryManyHaveCome() {
        of(records);
        records += 500;
        of(records);
        assertThat(taken).hasValue(1);

        records += 1;
        assertThat(of(records).total()).isEqualTo(records);
        assertThat(taken).hasValue(2);
    }
}
