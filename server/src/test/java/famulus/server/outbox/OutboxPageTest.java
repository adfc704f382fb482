package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The outbox with more messages in it than a page shows. */
class OutboxPageTest extends ServerTest {
    @BeforeEach
    void twoHundredAndFiftyOfEachState() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@x.example");
        sql.update(
                """
                insert into outgoing_message (id, message_id, written_by, sender_id, person_kind, person_id, to_address,
                  from_address, subject, state, attempts, maybe_repeated, created_at, test)
                select random_uuid(), concat('<', x, '@x.example>'), ?, ?, 'contact', ?, 'ines@x.example',
                  'signe@x.example', concat('Number ', x),
                  case mod(x, 5) when 0 then 'REFUSED' when 1 then 'CANCELLED' when 2 then 'NOT_SURE' else 'SENT' end,
                  1, false, dateadd(minute, -x / 3, timestamp with time zone '2026-05-04 08:00:00+00'), mod(x, 50) = 3
                from system_range(1, 1250)
                """,
                dov.id(),
                dov.id(),
                ines);
    }

    private List<Integer> numbers(JsonNode page) {
        return page.get("lines")
                .valueStream()
                .map(line -> Integer.valueOf(line.get("subject").asString().split(" ")[1]))
                .toList();
    }

    /** Page after page every message is there once, the newest first; three at a time have the same moment. */
    @Test
    void pageAfterPageEachMessageIsThereOnce() throws Exception {
        JsonNode page = done("GET", "/api/outbox", null, dov);
        List<Integer> open =
                numbers(page).stream().filter(n -> n % 5 == 0 || n % 5 == 2).toList();
        List<Integer> settled = new ArrayList<>(
                numbers(page).stream().filter(n -> n % 5 != 0 && n % 5 != 2).toList());
        assertThat(open).hasSize(300).doesNotHaveDuplicates();
        while (page.get("more").asBoolean()) {
            String last = page.get("lines")
                    .get(page.get("lines").size() - 1)
                    .get("id")
                    .asString();
            page = done("GET", "/api/outbox?before=" + last, null, dov);
            settled.addAll(numbers(page));
        }

        assertThat(settled).hasSize(750).doesNotHaveDuplicates();
        List<Integer> byMoment = settled.stream().map(number -> number / 3).toList();
        assertThat(byMoment).isSorted();
    }

    @Test
    void whatOthersTestedIsOnNoPageAndInNoCount() throws Exception {
        HashSet<Integer> seen = new HashSet<>();
        JsonNode page = done("GET", "/api/outbox", null, signe);
        seen.addAll(numbers(page));
        while (page.get("more").asBoolean()) {
            String last = page.get("lines")
                    .get(page.get("lines").size() - 1)
                    .get("id")
                    .asString();
            page = done("GET", "/api/outbox?before=" + last, null, signe);
            seen.addAll(numbers(page));
        }

        assertThat(seen).noneMatch(number -> number % 50 == 3);
        assertThat(done("GET", "/api/outbox/count", null, signe).get("notSure").asInt())
                .isEqualTo(250);
        assertThat(done("GET", "/api/outbox/count", null, signe).get("waiting").asInt())
                .isZero();
    }

    @Test
    void aPageAfterNothingIsRefused() throws Exception {
        JsonNode answer = done("GET", "/api/outbox?before=" + UUID.randomUUID(), null, dov);

        assertThat(answer.get("code").asString()).isEqualTo("missing");
    }
}
