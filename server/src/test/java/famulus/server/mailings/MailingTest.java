package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import famulus.server.ServerTest;
import famulus.server.outbox.FakeMailServer;
import famulus.server.outbox.SendingTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A company that may send mailings, three people and a template: what tests of mailings begin with. */
@Import(SendingTest.Post.class)
abstract class MailingTest extends ServerTest {
    protected static final String INES = "To: Ines Okafor <ines@larkfield.example>";
    protected static final String PRIYA = "To: Priya Ivory <priya@ivory.example>";
    protected static final String TOBIAS = "To: Tobias Larkin <tobias@wrenhill.example>";

    @Autowired
    protected FakeMailServer post;

    @Autowired
    protected MailingSender sender;

    protected UUID ines;
    protected UUID tobias;
    protected UUID priya;
    protected UUID template;

    @BeforeEach
    void somebodyToWriteTo() throws Exception {
        post.behave();
        sql.update("update house set street = 'Lower Mill', town = 'Hollinbrook'");
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tobias = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        priya = contact("Priya", "Ivory", "priya@ivory.example");
        template = template(
                "CONTACT", "Blossom, {person.first_name}", "Dear {person.first_name}, will your blossom be early?");
    }

    /** So many contacts, none of whom anything else is known of. */
    protected UUID[] readers(int number) throws Exception {
        UUID[] many = new UUID[number];
        for (int i = 0; i < number; i++) {
            many[i] = contact("Reader", "No" + i, "reader" + i + "@larkfield.example");
        }
        return many;
    }

    /** Those who are still to get a mailing, as they come. */
    protected List<UUID> planned(UUID mailing) {
        return sql.queryForList(
                "select chosen_id from mailing_person where mailing_id = ? and state = 'PLANNED' order by due_at, chosen_id",
                UUID.class,
                mailing);
    }

    /** Begins a mailing of Signe's to some contacts. */
    protected UUID mailing(UUID... contacts) throws Exception {
        UUID id = UUID.fromString(done("POST", "/api/mailings", Map.of("name", "Before blossom"), signe)
                .get("id")
                .asString());
        change(id, plan -> {
            plan.withObject("who").putPOJO("people", List.of(contacts)).put("restDays", 0);
            plan.withObject("what").put("template", template.toString());
        });
        return id;
    }

    /** A change of what stands on a mailing's page. */
    protected interface Change {
        void of(ObjectNode plan);
    }

    protected JsonNode change(UUID id, Change change) throws Exception {
        return change(id, change, signe);
    }

    protected JsonNode change(UUID id, Change change, Colleague by) throws Exception {
        JsonNode before = page(id);
        ObjectNode plan = (ObjectNode) before.get("plan");
        change.of(plan);
        return done(
                "PUT",
                "/api/mailings/" + id,
                Map.of(
                        "version",
                        before.get("version").asInt(),
                        "name",
                        before.get("name").asString(),
                        "plan",
                        plan),
                by);
    }

    protected JsonNode page(UUID id) throws Exception {
        return done("GET", "/api/mailings/" + id, null, signe);
    }

    protected JsonNode ready(UUID id) throws Exception {
        return done("GET", "/api/mailings/" + id + "/ready", null, signe);
    }

    protected List<String> stops(UUID id) throws Exception {
        List<String> codes = new ArrayList<>();
        ready(id).get("stops").forEach(stop -> codes.add(stop.get("code").asString()));
        return codes;
    }

    /** What everybody would get, and at the end what is to be said of the whole. */
    protected List<JsonNode> previews(UUID id) throws Exception {
        String lines = mvc.perform(request("POST", "/api/mailings/" + id + "/previews", null, signe))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        return lines.lines().map(json::readTree).toList();
    }

    protected JsonNode test(UUID id) throws Exception {
        Map<String, Object> test = new HashMap<>();
        test.put("keys", List.of());
        test.put("to", List.of(signe.id().toString()));
        test.put("list", false);
        return done("POST", "/api/mailings/" + id + "/tests", test, signe);
    }

    /** The same; the test has arrived. */
    protected void tested(UUID id) throws Exception {
        test(id);
        await().until(() -> post.taken().size() == 1);
    }

    protected JsonNode start(UUID id, int people) throws Exception {
        return start(id, people, signe);
    }

    protected JsonNode start(UUID id, int people, Colleague by) throws Exception {
        return done(
                "POST",
                "/api/mailings/" + id + "/start",
                Map.of("version", page(id).get("version").asInt(), "people", people),
                by);
    }

    /** Tests a mailing, and starts it. */
    protected void send(UUID id, int people) throws Exception {
        assertThat(test(id).get("sent").asInt()).isEqualTo(1);
        JsonNode started = start(id, people);
        assertThat(started.has("code")).as("%s", started).isFalse();
    }

    /** A mailing of Signe’s that was started and is spread over some minutes; the first message has arrived. */
    protected UUID underWay(int overMinutes, UUID... contacts) throws Exception {
        UUID id = mailing(contacts);
        change(id, plan -> plan.withObject("when").put("overMinutes", overMinutes));
        send(id, contacts.length);
        arrive(1);
        return id;
    }

    /** Waits until so many have arrived. */
    protected void arrive(int messages) {
        await().pollInterval(Duration.ofMillis(10)).until(() -> wires().size() == messages);
    }

    protected void reaches(UUID id, String state) {
        await().pollInterval(Duration.ofMillis(10))
                .until(() -> page(id).get("state").asString().equals(state));
    }

    /** How a mailing's people stand, as {@code Ines Okafor: SENT}. */
    protected List<String> people(UUID id) throws Exception {
        List<String> people = new ArrayList<>();
        done("GET", "/api/mailings/" + id + "/people", null, signe).forEach(one -> {
            String why = one.get("why").asString();
            people.add(one.get("name").asString() + ": " + one.get("state").asString()
                    + (why.isEmpty() ? "" : ", " + why));
        });
        return people;
    }

    protected JsonNode forOne(String method, UUID id, UUID key, String what, Object body) throws Exception {
        return done(method, "/api/mailings/" + id + "/people/" + key + what, body, signe);
    }

    /** What the mail server has taken, but for tests. */
    protected List<String> wires() {
        return post.taken().stream()
                .filter(wire -> !wire.contains("To: Signe Tester"))
                .toList();
    }

    /** Whom the mail server has taken something for, in alphabetical order. */
    protected List<String> arrived() {
        return wires().stream()
                .map(wire -> wire.lines()
                        .filter(line -> line.startsWith("To: "))
                        .findFirst()
                        .orElseThrow())
                .sorted()
                .toList();
    }
}
