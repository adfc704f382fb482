package famulus.e2e.killed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.e2e.killed.Application.Helper;
import famulus.e2e.killed.Visitor.Answer;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Kills the application again and again while a mailing is under way, and counts afterwards, name by name, what a mail server in
 * another process wrote down: whoever got it has it once, of whom nobody is sure has it once or not at all, and nobody is
 * missing. In its long form by {@code -Dfamulus.kills=50 -Dfamulus.messages=500}.
 */
class MailingKillTest {
    private static final int KILLS = Integer.getInteger("famulus.kills", 3);
    private static final int PEOPLE = Integer.getInteger("famulus.messages", 40);
    private static final long SEED = Long.getLong("famulus.seed", 4711);
    private static final int AT_ONCE = 3;
    private static final int SHORTEST_LIFE_MS = 60;
    private static final int LONGEST_LIFE_MS = 900;

    @TempDir
    private Path folder;

    private Application application;

    @Test
    void everybodyGetsItOnceHoweverOftenItIsKilled() throws Exception {
        Path taken = folder.resolve("taken");
        try (Helper sink = Application.helper(MailSink.class, taken.toString(), Long.toString(SEED))) {
            application = new Application(folder, Integer.parseInt(sink.firstLine()));
            application.start();
            UUID mailing = begin();
            live(taken);
            reconcile(mailing, taken);
        } finally {
            application.kill();
        }
    }

    /** Makes a company that may send mailings, its people, and starts a mailing to all of them. */
    private UUID begin() throws IOException {
        Visitor amos = new Visitor(application.address());
        amos.setUp();
        ObjectNode company = (ObjectNode) amos.get("/api/company").body().get("details");
        company.put("street", "Lower Mill")
                .put("town", "Hollinbrook")
                .put("publicAddress", "https://post.brindlewing.example/");
        Answer known = amos.put("/api/company", company);
        assertThat(known.fine()).as("%s", known.body()).isTrue();
        Answer rules =
                amos.put("/api/mailings/rules", Map.of("most", 500, "perHour", 5000, "perDay", 5000, "look", false));
        assertThat(rules.fine()).as("%s", rules.body()).isTrue();
        List<String> people = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            Answer made = amos.post(
                    "/api/records/contact",
                    Map.of("values", Map.of("first_name", "Ines", "last_name", "Okafor " + i), "email", address(i)));
            people.add(made.body().get("id").asString());
        }
        Map<String, Object> words =
                new HashMap<>(SentThrough.words("Hives for you", "Hello {person.first_name},\n\nwill they come?"));
        words.put("name", "Hives");
        String template =
                amos.post("/api/templates", words).body().at("/template/id").asString();
        String id = amos.post("/api/mailings", Map.of("name", "Hives"))
                .body()
                .get("id")
                .asString();
        String path = "/api/mailings/" + id;
        ObjectNode plan = (ObjectNode) amos.get(path).body().get("plan");
        plan.withObject("who").putPOJO("people", people);
        plan.withObject("what").put("template", template);
        Answer kept = amos.put(path, Map.of("version", 1, "name", "Hives", "plan", plan));
        assertThat(kept.fine()).as("%s", kept.body()).isTrue();
        String me = amos.get("/api/session").body().at("/who/id").asString();
        Answer tested = amos.post(path + "/tests", Map.of("keys", List.of(), "to", List.of(me), "list", false));
        assertThat(tested.fine()).as("%s", tested.body()).isTrue();
        Answer started = amos.post(path + "/start", Map.of("version", 2, "people", PEOPLE));
        assertThat(started.fine()).as("%s", started.body()).isTrue();
        return UUID.fromString(id);
    }

    private static String address(int number) {
        return "ines" + number + "@larkfield.example";
    }

    /** Every other kill falls at any moment, the others while a message is in the hands of the mail server. */
    private void live(Path taken) throws Exception {
        Random random = new Random(SEED);
        for (int kill = 0; kill < KILLS; kill++) {
            int before = Application.lines(taken).size();
            if (kill % 2 == 0) {
                boolean ended = application.endsWithin(random.nextInt(SHORTEST_LIFE_MS, LONGEST_LIFE_MS));
                assertThat(ended)
                        .as("it ends by itself: %s", application.said())
                        .isFalse();
            } else if (before < PEOPLE) {
                await().pollInterval(Duration.ofMillis(2))
                        .atMost(Duration.ofMinutes(3))
                        .until(() -> Application.lines(taken).size() > before);
            }
            application.kill();
            application.start();
        }
    }

    private void reconcile(UUID mailing, Path taken) throws IOException {
        Visitor amos = new Visitor(application.address());
        amos.signIn();
        await().atMost(Duration.ofMinutes(5)).until(() -> amos.get("/api/mailings/" + mailing)
                .body()
                .get("state")
                .asString()
                .equals("DONE"));
        Map<String, Integer> copies = new HashMap<>();
        Application.lines(taken).forEach(line -> copies.merge(line.substring(line.indexOf(' ') + 1), 1, Integer::sum));
        copies.remove("amos@brindlewing.example");
        int notSure = 0;
        int notSureAndGone = 0;
        int sent = 0;
        for (JsonNode one : amos.get("/api/mailings/" + mailing + "/people").body()) {
            String address = one.get("address").asString();
            int times = copies.getOrDefault(address, 0);
            copies.remove(address);
            if (one.get("state").asString().equals("NOT_SURE")) {
                notSure++;
                notSureAndGone += times;
                assertThat(times).as("copies for %s, not sure", address).isLessThanOrEqualTo(1);
            } else {
                sent++;
                assertThat(one.get("state").asString()).as("%s", one).isEqualTo("SENT");
                assertThat(times).as("copies for %s, sent", address).isEqualTo(1);
            }
        }
        JsonNode counts = amos.get("/api/mailings/" + mailing).body().get("counts");
        System.out.printf(
                "killed %d times (seed %d) during a mailing to %d people: nobody missing, nobody twice, %d not sure, of which"
                        + " %d had been taken%n",
                KILLS, SEED, PEOPLE, notSure, notSureAndGone);
        assertThat(sent + notSure).as("people who are not missing").isEqualTo(PEOPLE);
        assertThat(copies).as("whoever was not asked for").isEmpty();
        assertThat(notSure).as("people of whom nobody is sure").isBetween(0, KILLS * AT_ONCE);
        assertThat(counts.get("sent").asInt()).as("the kept count").isEqualTo(sent);
        assertThat(counts.get("notSure").asInt()).as("the kept count").isEqualTo(notSure);
    }
}
