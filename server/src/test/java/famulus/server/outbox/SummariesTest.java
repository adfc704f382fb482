package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import famulus.server.ServerTest;
import famulus.server.SummaryFromScratch;
import famulus.server.outbox.Postman.Answer;
import famulus.server.outbox.Postman.Outcome;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;

/** What is kept in sum is what a count from scratch comes to, whatever happens in whatever order. */
class SummariesTest extends ServerTest {
    private static final List<String> PROGRAMS = List.of("Mail on a phone", "link scanner (bot)", "");

    @MockitoBean
    private Postman postman;

    private static final String DESIGN =
            """
            {"version":1,"bands":[{"id":"a","columns":[{"blocks":[
              {"id":"b","kind":"button","label":"Look","link":"https://x.example/a"}]}]}]}
            """;

    private Random random;
    private final List<UUID> people = new ArrayList<>();
    private final List<UUID> templates = new ArrayList<>();
    private final List<UUID> deals = new ArrayList<>();
    private final List<UUID> messages = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();

    private <T> Optional<T> one(List<T> of) {
        return of.isEmpty() ? Optional.empty() : Optional.of(of.get(random.nextInt(of.size())));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void sumsAreWhatACountFromScratchComesTo(long seed) throws Exception {
        random = new Random(seed);
        team.countReading(true);
        for (int i = 0; i < 4; i++) {
            people.add(contact("P" + i, "Person", "p" + i + "@x.example"));
        }
        for (int i = 0; i < 2; i++) {
            templates.add(letter(i));
        }
        for (int step = 0; step < 150; step++) {
            clock.forward(Duration.ofSeconds(1 + random.nextInt(4_000)));
            step(random.nextInt(12));
            if (step % 25 == 24) {
                check("after step " + step);
            }
        }
        assertThat(messages).hasSizeGreaterThan(10);
        assertThat(sql.queryForObject("select sum(times_written) from person_summary", Integer.class))
                .isPositive();
        assertThat(sql.queryForObject(
                        "select count(*) from person_summary where last_clicked is not null", Integer.class))
                .isPositive();
    }

    private void check(String when) {
        assertThat(SummaryFromScratch.keptPeople(sql)).as(when).isEqualTo(SummaryFromScratch.people(sql));
        assertThat(SummaryFromScratch.keptTemplates(sql)).as(when).isEqualTo(SummaryFromScratch.templates(sql));
    }

    private void step(int turn) throws Exception {
        switch (turn) {
            case 0, 1, 2 -> send();
            case 3, 4, 5 -> settle();
            case 6, 7, 8 -> {
                Optional<String> page = page();
                if (page.isPresent() && turn == 8) {
                    MockHttpServletRequestBuilder request = post(page.get() + "/unsubscribe");
                    mvc.perform(random.nextBoolean() ? request : request.param("back", "1"));
                } else if (page.isPresent()) {
                    read(page.get());
                }
            }
            case 9, 10 -> note();
            default -> deal();
        }
    }

    /** A letter with a link in it, ready for all. */
    private UUID letter(int number) throws Exception {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "name",
                "A letter " + number,
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                "Hello",
                "previewText",
                "",
                "body",
                ""));
        draft.put("mode", "LETTER");
        draft.put("design", DESIGN);
        JsonNode made = added(draft, signe).path("template");
        assertThat(made.path("mode").asString("")).as(made.toString()).isEqualTo("LETTER");
        UUID id = UUID.fromString(made.get("id").asString());
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), signe);
        return id;
    }

    private void send() throws Exception {
        UUID id = UUID.randomUUID();
        Map<String, Object> message = new HashMap<>();
        message.put("id", id);
        message.put("template", one(templates).orElseThrow());
        message.put("kind", "contact");
        message.put("person", one(people).orElseThrow());
        answering();
        JsonNode answer = done("POST", "/api/messages", message, random.nextBoolean() ? signe : dov);
        assertThat(answer.path("id").asString("")).as(answer.toString()).isEqualTo(id.toString());
        messages.add(id);
        untilTried();
    }

    /** The mail server answers in any way from now on. */
    private void answering() {
        Outcome outcome = Outcome.values()[random.nextInt(Outcome.values().length)];
        Mockito.when(postman.hand(ArgumentMatchers.any(), ArgumentMatchers.any(), ArgumentMatchers.any()))
                .thenReturn(new Answer(outcome, "x"));
    }

    /** Until nothing is in the worker's hands or about to be. */
    private void untilTried() {
        await().pollInterval(Duration.ofMillis(5))
                .until(() -> sql.queryForObject(
                                """
                        select count(*) from outgoing_message
                        where state = 'SENDING' or state = 'WAITING' and (attempts = 0 or by_hand)
                        """,
                                Integer.class)
                        == 0);
    }

    private void settle() throws Exception {
        answering();
        String how = List.of("", "/send-again", "/arrived", "/try-now").get(random.nextInt(4));
        Optional<UUID> message = one(messages);
        if (message.isPresent()) {
            done(how.isEmpty() ? "DELETE" : "POST", "/api/outbox/" + message.get() + how, null, amos);
        }
        untilTried();
    }

    /** Where the pages of a message are, for its reader. */
    private Optional<String> page() {
        return one(messages).map(this::page);
    }

    private String page(UUID message) {
        return "/m/"
                + sql.queryForObject("select reader_key from message_page where message_id = ?", String.class, message);
    }

    private void read(String page) throws Exception {
        String program = one(PROGRAMS).orElseThrow();
        String path = page + (random.nextBoolean() ? "/seen.gif" : "/0");
        read(path, program, random.nextInt(5) == 0);
    }

    private void read(String path, String program, boolean ahead) throws Exception {
        MockHttpServletRequestBuilder request = get(path).header("User-Agent", program);
        mvc.perform(ahead ? request.header("Sec-Purpose", "prefetch") : request);
    }

    private void note() throws Exception {
        UUID person = one(people).orElseThrow();
        if (!notes.isEmpty() && random.nextInt(3) == 0) {
            done("DELETE", "/api/records/history/" + notes.remove(random.nextInt(notes.size())), null, signe);
            return;
        }
        String what = List.of("CALL", "NOTE", "ANSWERED_ELSEWHERE").get(random.nextInt(3));
        JsonNode made = done(
                "POST",
                "/api/records/contact/" + person + "/history",
                Map.of("kind", what, "minutes", 0, "words", "x"),
                signe);
        notes.add(made.get("id").asString());
    }

    private void deal() throws Exception {
        if (deals.isEmpty() || random.nextInt(3) == 0) {
            deals.add(UUID.fromString(done(
                            "POST",
                            "/api/records/deal",
                            Map.of("values", Map.of("name", "D", "stage", "new"), "email", ""),
                            signe)
                    .get("id")
                    .asString()));
        }
        UUID deal = one(deals).orElseThrow();
        UUID person = one(people).orElseThrow();
        switch (random.nextInt(3)) {
            case 0 ->
                done(
                        "PUT",
                        "/api/records/deal/" + deal + "/contacts/" + person,
                        Map.of("role", "decides", "main", random.nextBoolean()),
                        signe);
            case 1 -> done("DELETE", "/api/records/deal/" + deal + "/contacts/" + person, null, signe);
            default -> {
                int version = done("GET", "/api/records/deal/" + deal, null, signe)
                        .get("version")
                        .asInt();
                String stage = one(List.of("new", "lost", "talking", "won")).orElseThrow();
                done(
                        "PATCH",
                        "/api/records/deal/" + deal,
                        Map.of("version", version, "values", Map.of("stage", stage)),
                        signe);
            }
        }
    }

    /** Many things become of one person at the same moment: each of them is in the sums. */
    @Test
    void whatHappensAtOnceIsSummedUpAltogether() throws Exception {
        random = new Random(4);
        team.countReading(true);
        people.add(contact("Ines", "Okafor", "ines@x.example"));
        templates.add(letter(1));
        for (int i = 0; i < 6; i++) {
            clock.forward(Duration.ofMinutes(7));
            send();
        }
        clock.forward(Duration.ofHours(3));
        List<String> pages = messages.stream().map(this::page).toList();
        try (ExecutorService readers = Executors.newFixedThreadPool(6)) {
            List<Future<?>> all = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                String page = pages.get(i % pages.size());
                int turn = i;
                all.add(readers.submit(() -> {
                    read(page + (turn % 3 == 0 ? "/0" : "/seen.gif"), "Mail on a phone", false);
                    return null;
                }));
                if (i % 10 == 0) {
                    UUID waiting = messages.get(i / 10);
                    all.add(readers.submit(() -> done("DELETE", "/api/outbox/" + waiting, null, amos)));
                }
            }
            for (Future<?> one : all) {
                one.get();
            }
        }

        check("after all of it");
    }

    /** Two messages of somebody that wait: one is cancelled, and the other is the last one then. */
    @Test
    void aCancelledMessageWasNeverWritten() throws Exception {
        random = new Random(1);
        people.add(contact("Ines", "Okafor", "ines@x.example"));
        templates.add(letter(1));
        do {
            send();
            clock.forward(Duration.ofHours(1));
        } while (sql.queryForObject("select count(*) from outgoing_message where state = 'WAITING'", Integer.class)
                < 2);
        UUID waiting = sql.queryForObject(
                "select id from outgoing_message where state = 'WAITING' order by created_at desc limit 1", UUID.class);
        int before = sql.queryForObject("select times_written from person_summary", Integer.class);

        done("DELETE", "/api/outbox/" + waiting, null, amos);

        check("after cancelling");
        assertThat(sql.queryForObject("select times_written from person_summary", Integer.class))
                .isEqualTo(before - 1);
    }
}
