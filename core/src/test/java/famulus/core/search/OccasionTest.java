package famulus.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.search.Occasion.Fit;
import famulus.core.search.Occasion.Now;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OccasionTest {
    private static Set<String> named(String words) {
        return words == null ? Set.of() : Set.of(words.split(" "));
    }

    private static Set<Integer> months(String words) {
        return Stream.of(words == null ? new String[0] : words.split(" "))
                .map(Integer::valueOf)
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        ",       ,           ,      5, quoted, GB, ANY",
        "5 6,    ,           ,      5, quoted, GB, NAMED",
        "5 6,    ,           ,      7, quoted, GB, APART",
        ",       quoted won, ,      5, quoted, GB, NAMED",
        ",       won,        ,      5, quoted, GB, APART",
        ",       won,        ,      5, '',     GB, APART",
        ",       ,           DE AT, 5, '',     AT, NAMED",
        ",       ,           DE AT, 5, '',     '', APART",
        "5,      quoted,     GB,    5, quoted, GB, NAMED",
        "5,      quoted,     DE,    5, quoted, GB, APART",
    })
    void allThatIsNamedHasToBeSo(
            String months, String stages, String countries, int month, String stage, String country, Fit fit) {
        Occasion occasion = new Occasion(months(months), named(stages), named(countries));

        assertThat(occasion.fit(new Now(month, stage, country))).isEqualTo(fit);
    }

    @Test
    void theBestComesFirst() {
        assertThat(Fit.values()).containsExactly(Fit.NAMED, Fit.ANY, Fit.APART);
    }
}
