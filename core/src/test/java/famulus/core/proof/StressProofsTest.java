package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.Value;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.StressProofs.Feature;
import famulus.core.proof.StressProofs.What;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StressProofsTest {
    private static final MessageProgram LETTER = new MessageSource(
                    "For {a.name else \"you\"}",
                    "",
                    "{a.title else nothing} {a.gone}{when a.stage is \"won\"}thanks{otherwise when a.stage is \"lost\"}pity{end}")
            .parse();

    private static final Merger MERGER = new Merger(new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH));

    private static void read(StressProofs<String> proofs, MessageProgram program, Map<String, String> person) {
        proofs.read(person.get("who"), program.merge(MERGER, path -> Optional.ofNullable(
                        person.get(path.words().getLast()))
                .map(Value.Text::new)));
    }

    private static StressProofs.Selection<String> chosen(List<Map<String, String>> people) {
        StressProofs<String> proofs = new StressProofs<>();
        people.forEach(person -> read(proofs, LETTER, person));
        return proofs.choose();
    }

    private static List<String> names(StressProofs.Selection<String> choice) {
        return choice.chosen().stream().map(StressProofs.Chosen::person).toList();
    }

    @Test
    void oneIsEnoughWhenAllAreAlike() {
        Map<String, String> plain = Map.of("who", "1", "name", "Ines", "title", "Ms", "gone", "x", "stage", "won");

        StressProofs.Selection<String> choice =
                chosen(List.of(plain, Map.of("who", "2", "name", "Ines", "title", "Ms", "gone", "x", "stage", "won")));

        assertThat(names(choice)).containsExactly("1");
        assertThat(choice.leastPossible()).isEqualTo(1);
        assertThat(choice.read()).isEqualTo(2);
    }

    @Test
    void showsEachThingThatCanHappenAndSaysWhy() {
        StressProofs.Selection<String> choice = chosen(List.of(
                Map.of("who", "all there", "name", "Ines", "title", "Ms", "gone", "x", "stage", "won"),
                Map.of("who", "nothing there"),
                Map.of("who", "lost", "name", "Ines", "title", "Ms", "gone", "x", "stage", "lost"),
                Map.of(
                        "who",
                        "long",
                        "name",
                        "Wilhelmina Featherstonehaugh",
                        "title",
                        "Ms",
                        "gone",
                        "x",
                        "stage",
                        "won")));

        assertThat(names(choice)).containsExactlyInAnyOrder("all there", "nothing there", "lost", "long");
        Map<String, List<What>> shows = new HashMap<>();
        choice.chosen()
                .forEach(one -> shows.put(
                        one.person(), one.shows().stream().map(Feature::what).toList()));
        assertThat(shows.get("nothing there")).containsExactly(What.FALLBACK, What.BLANK, What.GAP, What.NO_BRANCH);
        assertThat(shows.get("lost")).containsExactly(What.BRANCH);
        assertThat(shows.get("long")).contains(What.LONGEST);
    }

    @Test
    void whatEverybodyShowsNeedsNoChoosing() {
        StressProofs.Selection<String> choice = chosen(List.of(
                Map.of("who", "1", "name", "Ines", "title", "Ms", "gone", "x", "stage", "won"),
                Map.of("who", "2", "name", "Mara", "title", "Ms", "gone", "x", "stage", "lost")));

        assertThat(choice.features()).isEqualTo(2);
        assertThat(choice.chosen())
                .allSatisfy(
                        one -> assertThat(one.shows()).extracting(Feature::what).containsExactly(What.BRANCH));
    }

    @Test
    void nobodyIsChosenFromNobody() {
        assertThat(chosen(List.of()).chosen()).isEmpty();
    }

    static List<Integer> seeds() {
        return java.util.stream.IntStream.range(0, 300).boxed().toList();
    }

    /** Whoever there is: all that anybody's message shows is shown, and no fewer than the bound were needed. */
    @ParameterizedTest
    @MethodSource("seeds")
    void coversEverythingWithAtLeastAsManyAsTheBound(int seed) {
        Random random = new Random(seed);
        List<Map<String, String>> people = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(12); i++) {
            Map<String, String> person = new HashMap<>(Map.of("who", String.valueOf(i)));
            for (String field : List.of("name", "title", "gone")) {
                if (random.nextBoolean()) {
                    person.put(field, "x".repeat(1 + random.nextInt(9)));
                }
            }
            person.put("stage", List.of("won", "lost", "other").get(random.nextInt(3)));
            people.add(person);
        }
        StressProofs.Selection<String> choice = chosen(people);

        Set<Feature> shown = new HashSet<>();
        choice.chosen().forEach(one -> shown.addAll(one.shows()));
        assertThat(shown).hasSize(choice.features());
        assertThat(choice.chosen()).allSatisfy(one -> assertThat(one.shows()).isNotEmpty());
        assertThat(fewest(people, shown))
                .isBetween(choice.leastPossible(), choice.chosen().size());
    }

    /** Tries all subsets: the fewest people whose messages show as much as everybody's. */
    private static int fewest(List<Map<String, String>> people, Set<Feature> wanted) {
        int fewest = people.size();
        StressProofs<String> all = new StressProofs<>();
        people.forEach(person -> read(all, LETTER, person));
        Map<String, Set<Feature>> each = all.candidates();
        List<Set<Feature>> sets = List.copyOf(each.values());
        for (int subset = 0; subset < 1 << sets.size(); subset++) {
            Set<Feature> covered = new HashSet<>();
            for (int i = 0; i < sets.size(); i++) {
                if ((subset >> i & 1) == 1) {
                    covered.addAll(sets.get(i));
                }
            }
            if (covered.containsAll(wanted)) {
                fewest = Math.min(fewest, Integer.bitCount(subset));
            }
        }
        return fewest;
    }
}
