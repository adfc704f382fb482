package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Pages of records with very much on them open with the first of it, and say what is left out. */
class LargePagesTest extends ServerTest {
    @Autowired
    private RecordService records;

    private void messages(UUID person, UUID deal, int number) {
        sql.update(
                """
                insert into outgoing_message (id, message_id, written_by, sender_id, person_kind, person_id, deal_id,
                  organisation_id, to_address, from_address, subject, state, attempts, maybe_repeated, created_at, test)
                select random_uuid(), concat('<', random_uuid(), '@x.example>'), ?, ?, 'contact', ?, ?,
                  (select organisation_id from contact where id = ?), 'x', 'x',
                  concat('Number ', x), 'SENT', 1, false,
                  dateadd(minute, -x / 4, timestamp with time zone '2026-05-04 08:00:00+00'), false
                from system_range(1, ?)
                """,
                signe.id(),
                signe.id(),
                person,
                deal,
                person,
                number);
    }

    /** Portion after portion: everything once, the newest first. */
    private List<String> allSaid(String record) throws Exception {
        JsonNode page = done("GET", record, null, signe);
        List<String> said = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        JsonNode portion = page.get("said");
        boolean more = page.get("moreSaid").asBoolean();
        while (true) {
            for (JsonNode entry : portion) {
                assertThat(ids.add(entry.get("id").asString())).isTrue();
                said.add(entry.get("words").asString());
            }
            if (!more) {
                return said;
            }
            JsonNode last = portion.get(portion.size() - 1);
            JsonNode next = done(
                    "GET",
                    record + "/history?before=" + last.get("at").asString() + "&beforeId="
                            + last.get("id").asString(),
                    null,
                    signe);
            portion = next.get("said");
            more = next.get("more").asBoolean();
        }
    }

    @Test
    void aPersonWrittenToVeryOftenIsReadInPortions() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        messages(ines, null, 20_000);
        done(
                "POST",
                "/api/records/contact/" + ines + "/history",
                Map.of("kind", "CALL", "minutes", 3, "words", "Rang"),
                signe);

        JsonNode page = done("GET", "/api/records/contact/" + ines, null, signe);

        assertThat(page.get("said")).hasSize(100);
        assertThat(page.get("said").get(0).get("words").asString()).isEqualTo("Rang");
        assertThat(page.get("moreSaid").asBoolean()).isTrue();
    }

    @Test
    void portionAfterPortionEverythingIsThereOnce() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        messages(ines, null, 350);
        for (int i = 0; i < 20; i++) {
            done(
                    "POST",
                    "/api/records/contact/" + ines + "/history",
                    Map.of("kind", "NOTE", "minutes", 0, "words", "N" + i),
                    signe);
        }

        assertThat(allSaid("/api/records/contact/" + ines)).hasSize(370);
    }

    @Test
    void anOrganisationWithVeryManyPeopleShowsTheFirstOfThem() throws Exception {
        String made = done(
                        "POST",
                        "/api/records/organisation",
                        Map.of("values", Map.of("name", "Larkfield"), "email", ""),
                        signe)
                .get("id")
                .asString();
        for (int i = 0; i < 3_000; i++) {
            records.keep(
                    CrmKind.CONTACT,
                    UUID.randomUUID(),
                    Instant.parse("2026-05-04T08:00:00Z"),
                    Map.of("last_name", "N%04d".formatted(i), "organisation", made),
                    List.of());
        }
        records.listAll();
        UUID last = sql.queryForObject("select id from contact where last_name = 'N2999'", UUID.class);
        messages(last, null, 250);

        JsonNode page = done("GET", "/api/records/organisation/" + made, null, signe);

        JsonNode contacts = page.get("related").get(0);
        assertThat(contacts.get("lines")).hasSize(60);
        assertThat(contacts.get("lines").get(0).get("name").asString()).isEqualTo("N0000");
        assertThat(contacts.get("more").asInt()).isEqualTo(2_940);
        assertThat(allSaid("/api/records/organisation/" + made)).hasSize(250);
        JsonNode other = done("GET", "/api/records/contact/" + last, null, signe)
                .get("related")
                .get(1);
        assertThat(other.get("lines")).hasSize(60);
        assertThat(other.get("more").asInt()).isEqualTo(2_939);
    }

    @Test
    void aDealsHistoryIsOfTheDealAlone() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        UUID deal = UUID.fromString(
                done("POST", "/api/records/deal", Map.of("values", Map.of("name", "East"), "email", ""), signe)
                        .get("id")
                        .asString());
        messages(ines, deal, 130);
        messages(ines, null, 50);
        done(
                "POST",
                "/api/records/deal/" + deal + "/history",
                Map.of("kind", "NOTE", "minutes", 0, "words", "Gate"),
                signe);

        assertThat(allSaid("/api/records/deal/" + deal)).hasSize(131).contains("Gate");
    }
}
