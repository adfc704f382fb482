package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.audience.Audience;
import famulus.server.mailings.MailingReadiness.Ready;
import famulus.server.mailings.MailingReading.PreviewRow;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A change is read again for those alone whom it can change something for, and for them it is. */
class KeptPreviewsTest extends MailingTest {
    @Autowired
    private MailingReadiness readiness;

    @Autowired
    private MailingReading reading;

    @Autowired
    private MailingPersonMapper chosen;

    @Autowired
    private MailingTimes times;

    private UUID id;
    private Map<UUID, PreviewRow> before;

    @BeforeEach
    void aMailingThatWasLookedAt() throws Exception {
        id = mailing(ines, tobias, priya);
        before = rows();
        assertThat(before).hasSize(3);
    }

    private Map<UUID, PreviewRow> rows() {
        Ready ready = readiness.of(id, signe);
        Map<UUID, MailingPerson> known = chosen.known(id);
        Audience audience = MailingPeople.left(ready.audience(), known);
        Map<UUID, PreviewRow> rows = new HashMap<>();
        reading.each(
                ready.mailing(),
                audience,
                ready.said(),
                known,
                times.of(ready.mailing().plan(), audience.in(), known),
                signe,
                row -> rows.put(row.key(), row));
        return rows;
    }

    /** Who is read again: whoever’s row is another one than it was. */
    private List<UUID> anew() {
        Map<UUID, PreviewRow> now = rows();
        assertThat(now.keySet()).isEqualTo(before.keySet());
        List<UUID> others = now.keySet().stream()
                .filter(key -> now.get(key) != before.get(key))
                .toList();
        before = now;
        return others;
    }

    private void says(UUID version, String body) throws Exception {
        JsonNode read = done("GET", "/api/templates/" + version, null, signe).get("template");
        ObjectNode draft = json.createObjectNode();
        for (String part : List.of("name", "purpose", "about", "subject", "previewText")) {
            draft.set(part, read.get(part));
        }
        draft.put("body", body);
        JsonNode saved = done(
                "PUT",
                "/api/templates/" + version,
                Map.of("version", read.get("version").asInt(), "draft", draft),
                signe);
        assertThat(saved.has("template")).as("%s", saved).isTrue();
    }

    @Test
    void nothingIsReadTwice() throws Exception {
        assertThat(anew()).isEmpty();
        change(id, plan -> plan.withObject("what").putPOJO("tags", List.of("blossom")));
        forOne("PUT", id, tobias, "/held", Map.of("held", true, "why", "on holiday"));
        assertThat(anew()).as("held back").isEmpty();
    }

    @Test
    void aWordIsReadAgainByThoseInItsLanguage() throws Exception {
        change(priya, "language", "de");
        JsonNode made = done("POST", "/api/templates/" + template + "/variants", Map.of("language", "de"), signe);
        UUID german = UUID.fromString(made.at("/template/id").asString());
        before = rows();
        assertThat(before.get(priya).language()).isEqualTo("de");

        says(german, "Guten Tag {person.first_name}, blüht es bei Ihnen schon?");
        assertThat(anew()).containsExactly(priya);
        assertThat(before.get(priya).opening()).contains("blüht es bei Ihnen schon?");

        says(template, "Dear {person.first_name}, does it blossom yet?");
        assertThat(anew()).containsExactlyInAnyOrder(ines, tobias);
        assertThat(before.get(ines).opening()).contains("does it blossom yet?");
    }

    @Test
    void whatIsOnePersonsIsReadAgainForThem() throws Exception {
        forOne(
                "PUT",
                id,
                tobias,
                "/hour",
                Map.of("hour", Map.of("date", "2026-05-05", "time", "08:00", "zone", "Europe/London")));
        assertThat(anew()).containsExactly(tobias);
        forOne("POST", id, priya, "/own-words", null);
        assertThat(anew()).containsExactly(priya);
    }

    @Test
    void whatIsKnownOfThemIsReadAgain() throws Exception {
        change(ines, "first_name", "Inez");
        assertThat(anew()).contains(ines);
        assertThat(before.get(ines).opening()).contains("Dear Inez");
        assertThat(anew()).isEmpty();
        clock.forward(Duration.ofMinutes(16));
        assertThat(anew()).as("it may be another day").hasSize(3);
    }

    @Test
    void whoWroteToThemMeanwhileIsSaid() throws Exception {
        UUID other = mailing(tobias);
        send(other, 1);
        reaches(other, "DONE");
        assertThat(anew()).contains(tobias);
        assertThat(before.get(tobias).notes())
                .extracting(MailingReading.RowNote::title)
                .anyMatch(title -> title.startsWith("You wrote to Tobias Larkin today"));
    }
}
