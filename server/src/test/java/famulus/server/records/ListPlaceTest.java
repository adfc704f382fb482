package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ListPlaceTest {
    private static final UUID ID = new UUID(1, 2);

    static Stream<List<String>> inOrder() {
        return Stream.of(
                List.of(ListPlace.text("an"), ListPlace.text("Änne"), ListPlace.text("ANNE B"), ListPlace.text("b")),
                Stream.of("-1000000000000", "-12.5", "-12.499999", "0", "0.000001", "7", "10", "99999999999999.99")
                        .map(number -> ListPlace.number(new BigDecimal(number)))
                        .toList(),
                Stream.of("2025-12-31", "2026-01-01", "2026-10-02")
                        .map(day -> ListPlace.day(LocalDate.parse(day)))
                        .toList(),
                Stream.of("2026-05-04T08:00:00Z", "2026-05-04T08:00:00.001Z", "2026-05-04T09:00:00Z")
                        .map(moment -> ListPlace.moment(Instant.parse(moment)))
                        .toList());
    }

    @ParameterizedTest
    @MethodSource
    void inOrder(List<String> keys) {
        List<String> places =
                keys.stream().map(key -> ListPlace.of(key, "name", ID)).toList();

        assertThat(places).isSorted().doesNotHaveDuplicates();
        assertThat(places).allMatch(place -> place.length() <= 240);
    }

    /** "an" comes before "an apple" although the name follows on it, and nothing comes after everything. */
    @Test
    void whatIsShorterComesFirstAndNothingLast() {
        assertThat(List.of(
                        ListPlace.of("an", "z", ID),
                        ListPlace.of("an apple", "a", ID),
                        ListPlace.of("z", "a", ID),
                        ListPlace.of("", "a", ID)))
                .isSorted();
    }

    @Test
    void theSameRecordWithAnotherKeyKeepsItsName() {
        for (String key : List.of("", "key", "x".repeat(500))) {
            String place = ListPlace.of(key, "o'hara zoe", ID);
            assertThat(ListPlace.with(place, "other")).isEqualTo(ListPlace.of("other", "o'hara zoe", ID));
            assertThat(ListPlace.with(place, "")).isEqualTo(ListPlace.of("", "o'hara zoe", ID));
        }
    }
}
