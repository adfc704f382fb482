package famulus.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ReadingTest {
    private static final Instant HANDED_OVER = Instant.parse("2026-05-04T09:00:00Z");
    private static final String PERSON = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101";

    private static Reading at(double seconds, String link) {
        return new Reading(HANDED_OVER.plusMillis((long) (seconds * 1000)), link, PERSON, false);
    }

    private static List<Boolean> judge(Reading... readings) {
        return Reading.byMachine(HANDED_OVER, List.of(readings));
    }

    @Test
    void somebodyWhoOpensItInTheirOwnTimeAndFollowsALinkIsAPerson() {
        assertThat(judge(at(40, ""), at(49, "https://a.example"), at(60, "https://b.example")))
                .containsExactly(false, false, false);
    }

    @Test
    void whatIsFetchedAtOnceOrAheadIsAMachines() {
        assertThat(judge(
                        at(0.4, ""),
                        new Reading(HANDED_OVER.plusSeconds(90), "", PERSON, true),
                        new Reading(HANDED_OVER.plusSeconds(99), "", "", false)))
                .containsExactly(true, true, true);
    }

    @Test
    void whoeverFollowsEveryLinkAtOnceIsAMachine() {
        assertThat(judge(at(20, "https://a.example"), at(20.2, "https://b.example"), at(90, "https://a.example")))
                .containsExactly(true, true, false);
    }

    @Test
    void pressingTheSameLinkTwiceIsHuman() {
        assertThat(judge(at(20, "https://a.example"), at(20.2, "https://a.example")))
                .containsExactly(false, false);
    }

    @ParameterizedTest
    @ValueSource(strings = {"LinkScanner/2", "Orchardbot/1.0", "curl/8.1", "Mail Image Proxy", "python-requests/2"})
    void programsThatCallThemselvesMachinesAreBelieved(String program) {
        assertThat(judge(new Reading(HANDED_OVER.plusSeconds(600), "", program, false)))
                .containsExactly(true);
    }

    @Test
    void thereAreAsManyAnswersAsReadings() {
        assertThat(judge()).isEmpty();
        List<Reading> many = Stream.iterate(0, i -> i + 1)
                .limit(500)
                .map(i -> at(i * 7, i % 3 == 0 ? "" : "https://a.example/" + i))
                .toList();
        assertThat(Reading.byMachine(HANDED_OVER, many)).hasSize(500);
    }
}
