package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** What a mailing keeps of how its people stand, where two change them at once. */
class MailingCountsTest extends MailingTest {
    @Autowired
    private MailingMapper mailings;

    @Autowired
    private MailingPersonMapper people;

    @Autowired
    private TransactionTemplate transactions;

    @Test
    void whoeverCountsAfreshSeesWhatWasCountedWhileTheyWaited() throws Exception {
        UUID id = underWay(120, ines, tobias, priya);
        try (ExecutorService other = Executors.newSingleThreadExecutor()) {
            Future<?> counting = transactions.execute(status -> {
                people.become(id, tobias, PersonState.HELD, "");
                mailings.count(id, "planned", "held");
                Future<?> waits =
                        other.submit(() -> transactions.executeWithoutResult(counted -> mailings.recount(id)));
                await().pollInterval(Duration.ofMillis(10))
                        .until(() -> sql.queryForObject(
                                        "select count(*) from information_schema.sessions where blocker_id is not null",
                                        Integer.class)
                                > 0);
                return waits;
            });
            counting.get();
        }
        assertThat(page(id).at("/counts/held").asInt()).isEqualTo(1);
        assertThat(page(id).at("/counts/planned").asInt()).isEqualTo(1);
    }
}
