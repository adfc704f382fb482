package famulus.e2e.killed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.e2e.killed.Application.Helper;
import famulus.e2e.killed.Visitor.Answer;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Kills the application again and again while messages are sent one by one, and counts afterwards, name by name: what was
 * asked, what is kept, and what a mail server in another process wrote down. In its long form by
 * {@code -Dfamulus.kills=50 -Dfamulus.messages=500}, with {@code -Dfamulus.seed=N} for other moments.
 */
class KillTest {
    private static final int KILLS = Integer.getInteger("famulus.kills", 6);
    private static final int MESSAGES = Integer.getInteger("famulus.messages", 60);
    private static final long SEED = Long.getLong("famulus.seed", 4711);
    private static final int SENDERS = 3;
    private static final int PEOPLE = 10;
    private static final int MOST_CONNECTIONS = 3;
    private static final int SHORTEST_LIFE_MS = 100;
    private static final int LONGEST_LIFE_MS = 1500;

    @TempDir
    private Path folder;

    private Application application;
    private final List<UUID> people = new ArrayList<>();
    private final AtomicInteger requests = new AtomicInteger();
    private final AtomicInteger unanswered = new AtomicInteger();
    /** How many messages may be begun: so many more for each life, so that every kill falls into work. */
    private final Semaphore begun = new Semaphore(0);

    @Test
    void nothingAcceptedIsLostAndNothingGoesTwice() throws Exception {
        Path taken = folder.resolve("taken");
        try (Helper sink = Application.helper(MailSink.class, taken.toString(), Long.toString(SEED))) {
            application = new Application(folder, Integer.parseInt(sink.firstLine()));
            setUp();
            try (ExecutorService senders = Executors.newFixedThreadPool(SENDERS)) {
                List<Future<?>> all = new ArrayList<>();
                AtomicInteger next = new AtomicInteger();
                for (int i = 0; i < SENDERS; i++) {
                    all.add(senders.submit(() -> send(next)));
                }
                live(taken);
                for (Future<?> one : all) {
                    one.get();
                }
            }
            reconcile(taken);
        } finally {
            application.kill();
        }
    }

    /** Makes the company and its people, and stops in order once, which the JVM uses to keep what it has read. */
    private void setUp() throws Exception {
        application.start();
        Visitor amos = new Visitor(application.address());
        amos.setUp();
        for (int i = 0; i < PEOPLE; i++) {
            Answer made = amos.post(
                    "/api/records/contact",
                    Map.of(
                            "values",
                            Map.of("first_name", "Ines", "last_name", "Okafor " + i),
                            "email",
                            "ines" + i + "@larkfield.example"));
            people.add(UUID.fromString(made.body().get("id").asString()));
        }
        application.stop();
    }

    /** Every other kill falls at any moment, the others while a message is in the hands of the mail server. */
    private void live(Path taken) throws Exception {
        Random random = new Random(SEED);
        for (int kill = 0; kill < KILLS; kill++) {
            application.start();
            int before = Application.lines(taken).size();
            begun.release(MESSAGES / (KILLS + 1));
            if (kill % 2 == 0) {
                boolean ended = application.endsWithin(random.nextInt(SHORTEST_LIFE_MS, LONGEST_LIFE_MS));
                assertThat(ended)
                        .as("it ends by itself: %s", application.said())
                        .isFalse();
            } else {
                await().pollInterval(Duration.ofMillis(2))
                        .atMost(Duration.ofMinutes(3))
                        .until(() -> Application.lines(taken).size() > before);
            }
            application.kill();
        }
        application.start();
        begun.release(MESSAGES);
    }

    /** Sends one message after another, each until it is accepted, however often the application dies meanwhile. */
    private void send(AtomicInteger next) {
        Visitor visitor = new Visitor(application.address());
        boolean signedIn = false;
        for (int number = next.getAndIncrement(); number < MESSAGES; number = next.getAndIncrement()) {
            begun.acquireUninterruptibly();
            while (true) {
                try {
                    if (!signedIn) {
                        visitor.signIn();
                        signedIn = true;
                    }
                    requests.incrementAndGet();
                    Answer answer = visitor.post("/api/messages", message(number));
                    if (answer.status() == 401 || answer.status() == 403) {
                        signedIn = false;
                        continue;
                    }
                    assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
                    break;
                } catch (IOException noAnswer) {
                    unanswered.incrementAndGet();
                    application.untilUp();
                    signedIn = false;
                }
            }
        }
    }

    private static UUID identifier(int number) {
        return UUID.nameUUIDFromBytes((SEED + "/" + number).getBytes(StandardCharsets.UTF_8));
    }

    private Map<String, Object> message(int number) {
        Map<String, Object> message = new HashMap<>();
        message.put("id", identifier(number).toString());
        message.put("kind", "contact");
        message.put("person", people.get(number % PEOPLE).toString());
        message.put(
                "words",
                SentThrough.words("Hives for you, letter " + number, "Hello Ines,\n\nThe hives arrive soon.\n\nAmos"));
        return message;
    }

    private void reconcile(Path taken) throws IOException {
        Visitor amos = new Visitor(application.address());
        amos.signIn();
        try {
            await().atMost(Duration.ofMinutes(5))
                    .until(() -> amos.get("/api/outbox").body().get("waiting").asInt() == 0);
        } catch (Exception failed) {
            // Whatever it was, what the application has said of it tells more.
            throw new AssertionError("It does not answer any more: " + application.said(), failed);
        }
        Map<String, Integer> copies = new HashMap<>();
        Application.lines(taken).forEach(line -> copies.merge(line, 1, Integer::sum));
        int notSure = 0;
        int notSureAndGone = 0;
        for (int number = 0; number < MESSAGES; number++) {
            UUID id = identifier(number);
            Answer row = amos.get("/api/messages/" + id);
            assertThat(row.status()).as("the row of message %s", number).isEqualTo(200);
            String line = "<" + id + "@brindlewing.example> ines" + number % PEOPLE + "@larkfield.example";
            int times = copies.getOrDefault(line, 0);
            copies.remove(line);
            String state = row.body().get("state").asString();
            if (state.equals("NOT_SURE")) {
                notSure++;
                notSureAndGone += times;
                assertThat(times).as("copies of message %s, not sure", number).isLessThanOrEqualTo(1);
            } else {
                assertThat(state).as("message %s", number).isEqualTo("SENT");
                assertThat(times).as("copies of message %s, sent", number).isEqualTo(1);
            }
        }
        System.out.printf(
                "killed %d times (seed %d) while %d messages were sent: %d requests, %d without an answer; 0 accepted"
                        + " messages lost, 0 sent twice, %d not sure, of which %d had been taken%n",
                KILLS, SEED, MESSAGES, requests.get(), unanswered.get(), notSure, notSureAndGone);
        assertThat(copies).as("messages that nobody sent").isEmpty();
        assertThat(notSure).as("messages of which nobody is sure").isBetween(1, KILLS * MOST_CONNECTIONS);
    }
}
