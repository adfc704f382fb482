package famulus.e2e.killed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Kills the application in the middle of imports: nothing of them is there afterwards, and the same file comes in whole. */
class ImportKillTest {
    private static final int ROWS = 3_000;
    private static final int KILLS = Integer.getInteger("famulus.kills", 6) / 3;

    @TempDir
    private Path folder;

    private static String file() {
        StringBuilder text = new StringBuilder("First name,Surname,E-mail,Organisation\n");
        for (int i = 0; i < ROWS; i++) {
            text.append("Ines,Wren ").append(i).append(",w").append(i).append("@lane.example,Lane ");
            text.append(i % 500).append('\n');
        }
        return text.toString();
    }

    @Test
    void anImportThatIsCutOffLeavesNothing() throws Exception {
        Application application = new Application(folder, 1);
        try {
            application.start();
            Visitor amos = new Visitor(application.address());
            amos.setUp();
            // Ended in order once, the JVM keeps what it has read, and starts sooner.
            application.stop();
            application.start();
            amos.signIn();
            String id = amos.upload("/api/imports/contact?name=people.csv", file())
                    .body()
                    .get("id")
                    .asString();
            Random random = new Random(4711);
            for (int kill = 0; kill < KILLS; kill++) {
                // The lines of what is read, then those of what is written.
                int most = random.nextInt(1, ROWS / 500 + 8);
                try (BufferedReader lines = amos.lines("/api/imports/" + id + "/run", Map.of("all", "ADD"))) {
                    for (int read = 0; read < most; read++) {
                        assertThat(lines.readLine()).contains("\"read\"");
                    }
                    application.kill();
                }
                application.start();
                amos.signIn();
                for (String kind : new String[] {"contact", "organisation"}) {
                    assertThat(amos.get("/api/records/" + kind)
                                    .body()
                                    .get("total")
                                    .asInt())
                            .as("%ss after %d lines", kind, most)
                            .isZero();
                }
                assertThat(amos.get("/api/records/contact?search=wren")
                                .body()
                                .get("total")
                                .asInt())
                        .isZero();
                assertThat(amos.get("/api/imports/" + id).body().get("done").isNull())
                        .isTrue();
            }
            String last = "";
            try (BufferedReader lines = amos.lines("/api/imports/" + id + "/run", Map.of("all", "ADD"))) {
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    last = line;
                }
            }
            assertThat(last).contains("\"added\":" + ROWS);
            application.kill();
            application.start();
            amos.signIn();
            JsonNode contacts = amos.get("/api/records/contact").body();
            assertThat(contacts.get("total").asInt()).isEqualTo(ROWS);
            assertThat(amos.get("/api/records/organisation").body().get("total").asInt())
                    .isEqualTo(500);
        } finally {
            application.kill();
        }
    }
}
