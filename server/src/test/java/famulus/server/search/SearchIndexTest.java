package famulus.server.search;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.annotation.Transactional;

/** What is kept is found by how its words begin, and by nothing else. */
@Transactional
class SearchIndexTest extends ServerTest {
    private static final String SCOPE = "tests";

    @Autowired
    private SearchIndex index;

    private UUID kept(String... texts) {
        UUID id = UUID.randomUUID();
        index.keep(SCOPE, id, List.of(texts));
        return id;
    }

    private Collection<UUID> found(String typed) {
        Search search = index.find(SCOPE, typed, 100);
        assertThat(search.gathered()).isTrue();
        return search.found();
    }

    @Test
    void isFoundByTheBeginningsOfItsWordsInAnyOrder() {
        UUID zoe = kept("Zoë Kärcher", "Orchard Lane Farm");

        for (String typed : List.of("zoe", "ZOË", "karcher", "kärch", "kar zo", "farm zoë orch", "  lane  ")) {
            assertThat(found(typed)).as(typed).containsExactly(zoe);
        }
        for (String typed : List.of("oe", "archer", "zoe miller", "farmer", "zoëkärcher")) {
            assertThat(found(typed)).as(typed).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "%", "_", "…", "'"})
    void whatHasNoWordsInItFitsEverything(String typed) {
        kept("Zoë Kärcher");

        Search search = index.find(SCOPE, typed, 100);

        // Of nothing at all everything fits; signs that no word is made of are looked for and not there.
        assertThat(search.all() || search.found().isEmpty()).isTrue();
    }

    @Test
    void onlyWhatIsOfTheScopeIsFound() {
        UUID here = kept("Kärcher");
        index.keep("others", UUID.randomUUID(), List.of("Kärcher"));

        assertThat(found("karcher")).containsExactly(here);
    }

    @Test
    void otherTextsTakeThePlaceOfThoseItHad() {
        UUID id = kept("Zoë Kärcher", "Farm");
        index.keep(SCOPE, id, List.of("Zoë Miller", "Farm"));

        assertThat(found("karcher")).isEmpty();
        assertThat(found("miller farm")).containsExactly(id);
        index.keep(SCOPE, id, List.of());
        assertThat(found("zoe")).isEmpty();
    }

    /** Each word fits more than are gathered: whoever asks walks its own order, and is told the words. */
    @Test
    void veryManyAreNotGathered() {
        for (int i = 0; i < 30; i++) {
            kept("Orchard " + i);
        }

        Search many = index.find(SCOPE, "orch", 20);
        assertThat(many.gathered()).isFalse();
        assertThat(many.words()).containsExactly(SearchWord.of("orch"));
        Search few = index.find(SCOPE, "orch 1", 20);
        assertThat(few.gathered()).isTrue();
        assertThat(few.found()).hasSize(11);
    }

    /** The same is found as by reading all texts, whatever was kept, changed and taken out in whatever order. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void findsWhatReadingAllTextsFinds(long seed) {
        Random random = new Random(seed);
        List<String> words =
                List.of("alder", "alm", "Ähre", "Birne", "bir", "Ça", "zoë", "42", "a42", "ŁÓDŹ", "o’neill");
        Map<UUID, String> all = new TreeMap<>();
        List<UUID> ids = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            UUID id = ids.isEmpty() || random.nextBoolean()
                    ? new UUID(random.nextLong(), random.nextLong())
                    : ids.get(random.nextInt(ids.size()));
            ids.add(id);
            String text = words.get(random.nextInt(words.size())) + " " + words.get(random.nextInt(words.size()));
            index.keep(SCOPE, id, random.nextInt(6) == 0 ? List.of() : List.of(text));
            if (index.find(SCOPE, text, 100).found().contains(id)) {
                all.put(id, text);
            } else {
                all.remove(id);
            }
        }
        for (String word : words) {
            Set<UUID> wanted = new HashSet<>();
            all.forEach((id, text) -> {
                if (List.of(text.split(" ")).contains(word)) {
                    wanted.add(id);
                }
            });
            assertThat(found(word)).as(word).containsAll(wanted);
        }
        assertThat(all).isNotEmpty();
    }
}
