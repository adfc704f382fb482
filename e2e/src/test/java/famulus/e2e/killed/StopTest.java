package famulus.e2e.killed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.e2e.killed.Application.Helper;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Ends the application in order, and by a disk that is full, while messages are on their way. */
class StopTest {
    @TempDir
    private Path folder;

    /** What is in hand when somebody asks it to end, as Ctrl-C and {@code kill} do, is finished and written down. */
    @Test
    void endingInOrderLeavesNoDoubt() throws Exception {
        Path taken = folder.resolve("taken");
        try (Helper sink = Application.helper(MailSink.class, taken.toString(), "1")) {
            Application application = new Application(folder, Integer.parseInt(sink.firstLine()));
            application.start();
            try {
                SentThrough company = SentThrough.company(application);
                Visitor amos = company.signedIn();
                List<UUID> ids = new ArrayList<>();
                for (int i = 0; i < 12; i++) {
                    UUID id = UUID.randomUUID();
                    assertThat(company.send(amos, id).status()).isEqualTo(200);
                    ids.add(id);
                }
                await().atMost(Duration.ofMinutes(3))
                        .until(() -> !Application.lines(taken).isEmpty());
                application.stop();
                application.start();
                Visitor again = company.signedIn();
                await().atMost(Duration.ofMinutes(3))
                        .until(() -> SentThrough.states(again, ids).stream().allMatch("SENT"::equals));
                assertThat(Application.lines(taken))
                        .containsExactlyInAnyOrderElementsOf(
                                ids.stream().map(SentThrough::line).toList());
            } finally {
                application.kill();
            }
        }
    }

    /** A limit on the size of files stands in for a disk that is full: both fail where H2 writes. */
    @Test
    void aDiskThatIsFullLosesNothingThatWasAccepted() throws Exception {
        // Nobody listens there: everything that is accepted waits.
        Application application = new Application(folder, 9);
        application.start();
        try {
            SentThrough company = SentThrough.company(application);
            Visitor amos = company.signedIn();
            UUID before = UUID.randomUUID();
            assertThat(company.send(amos, before).status()).isEqualTo(200);
            long size = folder.resolve("data").resolve("famulus.mv.db").toFile().length();
            limit(application, Long.toString(size + 300_000));

            List<UUID> accepted = new ArrayList<>(List.of(before));
            List<UUID> refused = new ArrayList<>();
            String words = String.join("\n", Collections.nCopies(400, "Hives and bees, bees and hives."));
            while (refused.isEmpty() && accepted.size() < 500) {
                UUID id = UUID.randomUUID();
                Visitor.Answer answer = company.send(amos, id, words);
                (answer.status() == 200 ? accepted : refused).add(id);
                if (answer.status() != 200) {
                    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(507);
                    assertThat(answer.body().get("detail").asString()).contains("disk", "full", "Nothing was changed");
                }
            }
            assertThat(application.endsWithin(30_000)).as("it ends by itself").isTrue();
            assertThat(application.said())
                    .contains("famulus: the data can't be written any more", "Make room on the disk");

            application.start();
            Visitor again = company.signedIn();
            assertThat(SentThrough.states(again, accepted)).isSubsetOf("WAITING", "SENDING", "NOT_SURE");
            assertThat(SentThrough.states(again, refused)).containsOnly("404");
            UUID after = UUID.randomUUID();
            assertThat(company.send(again, after).status()).isEqualTo(200);
        } finally {
            application.kill();
        }
    }

    private static void limit(Application application, String bytes) throws Exception {
        Process process = new ProcessBuilder(
                        "prlimit", "--pid", Long.toString(application.pid()), "--fsize=" + bytes + ":")
                .inheritIO()
                .start();
        assertThat(process.waitFor()).as("prlimit of util-linux").isZero();
    }
}
