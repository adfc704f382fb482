package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Places and words are kept twice: in the order of lists, and together for each record. Both say the same. */
class RecordStandingTest extends ServerTest {
    private static final Instant MADE = Instant.parse("2026-05-04T08:00:00Z");

    @Autowired
    private RecordService records;

    @Autowired
    private RecordIndex index;

    @Autowired
    private RecordIndexMapper mapper;

    @Autowired
    private TransactionTemplate transactions;

    private UUID contact(String name) {
        UUID id = UUID.randomUUID();
        records.keep(CrmKind.CONTACT, id, MADE, Map.of("last_name", name, "job_title", "Buyer"), List.of());
        transactions.executeWithoutResult(any -> index.keep(CrmKind.CONTACT, List.of(id)));
        return id;
    }

    private void rename(UUID id, String name, String job) {
        sql.update("update contact set last_name = ?, job_title = ? where id = ?", name, job, id);
        index.keep(CrmKind.CONTACT, List.of(id));
    }

    private void bothSayTheSame() {
        List<String> together = sql
                .query(
                        "select record_id, places from record_standing",
                        (row, at) -> Standing.read(row.getString(2)).entrySet().stream()
                                .map(one -> one.getKey() + " " + one.getValue()))
                .stream()
                .flatMap(lines -> lines)
                .sorted()
                .toList();
        assertThat(sql.queryForList("select concat(sorted_by, ' ', place) from record_place", String.class).stream()
                        .sorted())
                .isNotEmpty()
                .isEqualTo(together);
        List<String> words = sql
                .query("select id, words from search_entry", (row, at) -> {
                    String id = row.getString(1);
                    return Stream.of(row.getString(2).substring(1).split(" ")).map(word -> word + " " + id);
                })
                .stream()
                .flatMap(lines -> lines)
                .sorted(Comparator.naturalOrder())
                .toList();
        assertThat(sql.queryForList("select concat(word, ' ', id) from search_word", String.class).stream()
                        .sorted())
                .isEqualTo(words);
    }

    @Test
    void whateverIsChangedBothSayTheSame() {
        Random random = new Random(11);
        List<UUID> ids = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            ids.add(contact("Name " + random.nextInt(4)));
        }
        for (int i = 0; i < 60; i++) {
            UUID id = ids.get(random.nextInt(ids.size()));
            int turn = i;
            transactions.executeWithoutResult(any -> {
                if (random.nextBoolean()) {
                    rename(id, "Name " + random.nextInt(4), random.nextBoolean() ? null : "Head of " + turn);
                } else {
                    index.written(CrmKind.CONTACT, id, random.nextInt(4) == 0 ? null : MADE.plusSeconds(turn));
                }
            });
        }

        bothSayTheSame();
    }

    /** Somebody is renamed while a message to them leaves: what each has to say of their place is there in the end. */
    @Test
    void twoChangesAtOnceAreBothThere() {
        UUID id = contact("Ardent");
        CompletableFuture<Void> written = new CompletableFuture<>();

        transactions.executeWithoutResult(any -> {
            rename(id, "Zabel", "Head buyer");
            written.completeAsync(() -> {
                transactions.executeWithoutResult(other -> index.written(CrmKind.CONTACT, id, MADE));
                return null;
            });
            await().until(() -> written.isDone()
                    || sql.queryForObject(
                                    "select count(*) from information_schema.sessions where blocker_id is not null",
                                    Integer.class)
                            > 0);
        });
        written.join();

        String place = mapper.placesOf(ListColumns.WRITTEN, List.of(id)).getFirst();
        assertThat(place)
                .startsWith(ListPlace.SOMETHING + ListPlace.moment(MADE))
                .contains("zabel");
        bothSayTheSame();
    }
}
