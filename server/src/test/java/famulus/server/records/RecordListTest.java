package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.server.ServerTest;
import famulus.server.records.RecordListService.LedgerLine;
import famulus.server.records.RecordListService.LedgerPart;
import famulus.server.records.RecordListService.LedgerWindow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Lists that are too long to be passed over: read at any place, they are as if they had been sorted whole. */
class RecordListTest extends ServerTest {
    private static final int MANY = 2_600;
    private static final List<String> FIRST = List.of("Zoë", "ana", "Bjørn", "Émile", "Odd", "x");
    private static final List<String> JOBS = List.of("", "Grower", "agronomist", "Ärztin");

    @Autowired
    private RecordListService lists;

    @Autowired
    private RecordService records;

    @Autowired
    private CatalogueService catalogue;

    @Autowired
    private RecordWalk walk;

    @Autowired
    private Landmarks landmarks;

    private final List<Map<String, String>> kept = new ArrayList<>();

    @BeforeEach
    void makeMany() {
        catalogue.add(
                FieldDefinition.plain(RecordKind.CONTACT, "hectares", "Hectares", FieldType.NUMBER),
                "Details",
                50,
                20,
                false,
                true);
        Random random = new Random(7);
        kept.clear();
        for (int i = 0; i < MANY; i++) {
            Map<String, String> one = new HashMap<>();
            one.put("last_name", "Name" + random.nextInt(1_900));
            one.put("first_name", FIRST.get(random.nextInt(FIRST.size())));
            one.put("job_title", JOBS.get(random.nextInt(JOBS.size())));
            if (random.nextInt(3) > 0) {
                one.put("hectares", String.valueOf(random.nextInt(200) - 100));
            }
            UUID id = new UUID(random.nextLong(), random.nextLong());
            one.put("id", id.toString());
            kept.add(one);
            Map<String, String> stored = new HashMap<>(one);
            stored.remove("id");
            stored.values().removeIf(String::isEmpty);
            records.keep(CrmKind.CONTACT, id, Instant.parse("2026-05-04T08:00:00Z"), stored, List.of());
        }
        records.listAll();
        // The database was emptied under what is remembered of it.
        List.of("name", "job_title", "hectares").forEach(column -> landmarks.anew(CrmKind.CONTACT, column));
    }

    private static String plain(String text) {
        return text == null
                ? ""
                : text.toLowerCase(Locale.ROOT)
                        .replace("ë", "e")
                        .replace("ø", "o")
                        .replace("é", "e")
                        .replace("ä", "a");
    }

    private static String name(Map<String, String> one) {
        return plain(one.get("last_name") + " " + one.get("first_name"));
    }

    /** The whole list, sorted here: what holds nothing comes last, whichever way. */
    private List<String> sorted(String column, boolean descending) {
        Comparator<Map<String, String>> byName = Comparator.<Map<String, String>, String>comparing(RecordListTest::name)
                .thenComparing(one -> one.get("id"));
        Function<Map<String, String>, String> text = one -> plain(one.get(column));
        Comparator<Map<String, String>> byColumn =
                switch (column) {
                    case "name" -> byName;
                    case "hectares" ->
                        Comparator.<Map<String, String>, Integer>comparing(one -> Integer.valueOf(one.get("hectares")))
                                .thenComparing(byName);
                    default -> Comparator.comparing(text).thenComparing(byName);
                };
        Function<Map<String, String>, Boolean> empty =
                one -> !column.equals("name") && text.apply(one).isEmpty();
        List<String> sorted = new ArrayList<>(kept.stream()
                .filter(one -> !empty.apply(one))
                .sorted(descending ? byColumn.reversed() : byColumn)
                .map(one -> one.get("id"))
                .toList());
        kept.stream()
                .filter(empty::apply)
                .sorted(byName)
                .map(one -> one.get("id"))
                .forEach(sorted::add);
        return sorted;
    }

    private List<String> window(String search, String column, boolean descending, int from, int most) {
        return lists
                .lines(CrmKind.CONTACT, new LedgerPart(search, column, descending, from, most), signe)
                .lines()
                .stream()
                .map(LedgerLine::id)
                .map(UUID::toString)
                .toList();
    }

    /** One test for all of it, since what it reads takes longest to be made. */
    @Test
    void readAtAnyPlaceListsAreAsIfTheyHadBeenSortedWhole() {
        everyWindowIsAPartOfTheWholeList();
        whatIsLookedForIsSortedLikeTheWholeList();
        whatFitsVeryManyIsShownInPart();
        oneAfterAnotherTheyAreInTheSameOrder();
        whatIsNarrowedIsSortedLikeTheWholeList();
    }

    /** Contacts whose surname ends so, said in SQL of each; too many to be gathered, however few they are. */
    private record Ending(String end, int number, Map<UUID, String> byId) implements Narrowing {
        @Override
        public Statement statement() {
            return new Statement(
                    "exists (select 1 from contact n where n.id = " + RECORD
                            + " and right(n.last_name, 1) = #{narrowing.values[0]})",
                    List.of(end));
        }

        @Override
        public Optional<Set<UUID>> gathered(int most) {
            return Optional.empty();
        }

        @Override
        public Set<UUID> among(Collection<UUID> records) {
            return records.stream().filter(id -> byId.get(id).endsWith(end)).collect(Collectors.toSet());
        }
    }

    private void whatIsNarrowedIsSortedLikeTheWholeList() {
        isNarrowed("", "name", false);
        isNarrowed("", "job_title", true);
        isNarrowed("", "hectares", true);
        isNarrowed("n", "hectares", false);
    }

    private void isNarrowed(String search, String column, boolean descending) {
        Map<String, Map<String, String>> byId = new HashMap<>();
        kept.forEach(one -> byId.put(one.get("id"), one));
        List<String> fitting = new ArrayList<>(sorted(column, descending));
        fitting.removeIf(id -> !byId.get(id).get("last_name").endsWith("7"));
        Map<UUID, String> surnames = new HashMap<>();
        kept.forEach(one -> surnames.put(UUID.fromString(one.get("id")), one.get("last_name")));
        Narrowing ending = new Ending("7", fitting.size() + 3, surnames);

        LedgerPart first = new LedgerPart(search, column, descending, 0, 50);
        assertThat(lists.lines(CrmKind.CONTACT, first, ending, signe).total())
                .isEqualTo(search.isEmpty() ? fitting.size() + 3 : fitting.size());
        for (int from : List.of(0, 37, fitting.size() - 20)) {
            LedgerPart part = new LedgerPart(search, column, descending, from, 50);
            LedgerWindow window = lists.lines(CrmKind.CONTACT, part, ending, signe);
            assertThat(window.lines())
                    .extracting(line -> line.id().toString())
                    .isEqualTo(fitting.subList(from, Math.min(fitting.size(), from + 50)));
        }
        // Whoever has come to the end knows how many there are.
        LedgerPart last = new LedgerPart(search, column, descending, fitting.size() - 20, 50);
        assertThat(lists.lines(CrmKind.CONTACT, last, ending, signe).total()).isEqualTo(fitting.size());
        assertThat(lists.all(CrmKind.CONTACT, search, ending))
                .containsExactlyInAnyOrderElementsOf(
                        fitting.stream().map(UUID::fromString).toList());
    }

    private void everyWindowIsAPartOfTheWholeList() {
        for (String column : List.of("name", "job_title", "hectares")) {
            everyWindowIsAPart(column, false);
            everyWindowIsAPart(column, true);
        }
    }

    private void everyWindowIsAPart(String column, boolean descending) {
        List<String> whole = sorted(column, descending);

        for (int from :
                List.of(0, 100, 850, 950, 999, 1_000, 1_499, 1_500, 1_700, 1_801, 1_900, 2_100, 2_550, 2_599, 2_600)) {
            assertThat(window("", column, descending, from, 100))
                    .as("from %d", from)
                    .isEqualTo(whole.subList(from, Math.min(MANY, from + 100)));
        }
    }

    private void whatIsLookedForIsSortedLikeTheWholeList() {
        isSortedLikeTheWhole("zoe", "name", false);
        isSortedLikeTheWhole("zoe", "job_title", true);
        isSortedLikeTheWhole("gro zo", "hectares", true);
        isSortedLikeTheWhole("name1 bj", "hectares", false);
        // So many that they are met by reading the list.
        isSortedLikeTheWhole("name1", "name", true);
        isSortedLikeTheWhole("name1", "job_title", false);
        isSortedLikeTheWhole("name1", "hectares", true);
    }

    private void isSortedLikeTheWhole(String search, String column, boolean descending) {
        List<String> fitting = new ArrayList<>(sorted(column, descending));
        Map<String, Map<String, String>> byId = new HashMap<>();
        kept.forEach(one -> byId.put(one.get("id"), one));
        fitting.removeIf(id -> !fits(byId.get(id), search));

        LedgerWindow window = lists.lines(CrmKind.CONTACT, new LedgerPart(search, column, descending, 0, 50), signe);

        assertThat(window.total()).isEqualTo(fitting.size());
        assertThat(window.more()).isFalse();
        assertThat(window(search, column, descending, 20, 50))
                .isEqualTo(fitting.subList(20, Math.min(fitting.size(), 70)));
    }

    private static boolean fits(Map<String, String> one, String search) {
        String text = " " + name(one) + " " + plain(one.get("job_title"));
        return List.of(search.split(" ")).stream().allMatch(word -> text.contains(" " + word));
    }

    /** More than two thousand begin with an n: so many are shown, and that there are more is said. */
    private void whatFitsVeryManyIsShownInPart() {
        isShownInPart("n", "name", false);
        isShownInPart("n", "hectares", true);
        isShownInPart("N na nam", "job_title", false);
    }

    private void isShownInPart(String search, String column, boolean descending) {
        List<String> whole = sorted(column, descending);

        LedgerWindow window = lists.lines(CrmKind.CONTACT, new LedgerPart(search, column, descending, 0, 100), signe);

        assertThat(window.total()).isEqualTo(RecordOrder.MOST_FOUND);
        assertThat(window.more()).isTrue();
        for (int from : List.of(0, 1_234, 1_950)) {
            assertThat(window(search, column, descending, from, 100))
                    .isEqualTo(whole.subList(from, Math.min(RecordOrder.MOST_FOUND, from + 100)));
        }
        assertThat(window(search, column, descending, 2_000, 100)).isEmpty();
    }

    @Test
    void aChangedRecordStandsInItsNewPlaceAtOnce() throws Exception {
        UUID id = UUID.fromString(sorted("name", false).get(2_000));
        assertThat(window("", "name", false, 2_000, 1)).containsExactly(id.toString());

        done("PATCH", "/api/records/contact/" + id, Map.of("version", 1, "values", Map.of("last_name", "Aaa")), signe);

        assertThat(window("", "name", false, 0, 1)).containsExactly(id.toString());
        assertThat(window("aaa", "name", false, 0, 5)).containsExactly(id.toString());
        assertThat(window("", "name", false, 2_000, 1)).doesNotContain(id.toString());
    }

    /** Step by step through the first and the last of them, both ways. */
    private void oneAfterAnotherTheyAreInTheSameOrder() {
        List<String> whole = sorted("name", false);
        String place = null;
        for (int i = 0; i < 30; i++) {
            RecordWalk.Step step = walk.next(List.of(CrmKind.CONTACT), Optional.ofNullable(place), true, false)
                    .orElseThrow();
            assertThat(step.id()).hasToString(whole.get(i));
            place = step.place();
        }
        place = null;
        for (int i = MANY - 1; i > MANY - 30; i--) {
            RecordWalk.Step step = walk.next(List.of(CrmKind.CONTACT), Optional.ofNullable(place), false, false)
                    .orElseThrow();
            assertThat(step.id()).hasToString(whole.get(i));
            place = step.place();
        }
    }

    /** Landmarks taken before some came in are old by as many; the end of the list is shown all the same. */
    @Test
    void theEndIsThereThoughLandmarksAreOld() throws Exception {
        window("", "name", false, 2_500, 100);
        for (int i = 0; i < 30; i++) {
            contact("A", "Aaa" + i, "");
        }

        assertThat(window("", "name", false, 2_530, 100))
                .isEqualTo(sorted("name", false).subList(2_500, MANY));
    }

    @Test
    void anOrganisationsNewNameIsFoundAtItsPeople() throws Exception {
        UUID organisation = UUID.fromString(done(
                        "POST",
                        "/api/records/organisation",
                        Map.of("values", Map.of("name", "Larkfield"), "email", ""),
                        signe)
                .get("id")
                .asString());
        for (int i = 0; i < 260; i++) {
            UUID id = UUID.fromString(kept.get(i).get("id"));
            done(
                    "PATCH",
                    "/api/records/contact/" + id,
                    Map.of("version", 1, "values", Map.of("organisation", organisation.toString())),
                    signe);
        }
        assertThat(lists.lines(CrmKind.CONTACT, new LedgerPart("larkf", "name", false, 0, 1), signe)
                        .total())
                .isEqualTo(260);
        assertThat(lists.lines(CrmKind.ORGANISATION, new LedgerPart("", "people", true, 0, 1), signe)
                        .lines()
                        .getFirst()
                        .cells())
                .containsExactly("Larkfield", "", "260", "");

        done(
                "PATCH",
                "/api/records/organisation/" + organisation,
                Map.of("version", 1, "values", Map.of("name", "Wrenhill")),
                signe);
        await().until(() -> lists.lines(CrmKind.CONTACT, new LedgerPart("wrenh", "name", false, 0, 1), signe)
                        .total()
                == 260);

        assertThat(lists.lines(CrmKind.CONTACT, new LedgerPart("larkf", "name", false, 0, 1), signe)
                        .total())
                .isZero();
    }
}
