package famulus.server.mailings;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.reading.ReadingService;
import famulus.server.reading.ReadingService.ReadingEvent;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What a mailing came to, and lists of those who did something with it. */
class MailingReportTest extends MailingTest {
    private static final String MAP = "https://brindlewing.example/map";
    private static final String PHONE = "Mozilla/5.0 (Android 14; Mobile)";

    @Autowired
    private ReadingService readings;

    private UUID id;

    @BeforeEach
    void threeGotIt() throws Exception {
        id = mailing(ines, tobias, priya);
        change(id, plan -> plan.withObject("goal")
                .put("replies", 2)
                .put("worth", 100)
                .put("cost", 30));
        send(id, 3);
        reaches(id, "DONE");
        clock.forward(Duration.ofHours(1));
        read(ines, ReadingEvent.OPENED, null);
        read(ines, ReadingEvent.CLICKED, MAP, PHONE);
        read(ines, ReadingEvent.CLICKED, MAP, "Mozilla/5.0 (X11; Linux x86_64)");
        read(tobias, ReadingEvent.OPENED, null);
    }

    private void read(UUID person, ReadingEvent what, String where) {
        read(person, what, where, "A reader");
    }

    private void read(UUID person, ReadingEvent what, String where, String program) {
        UUID message = sql.queryForObject(
                "select id from outgoing_message where person_id = ? and mailing_id is not null", UUID.class, person);
        clock.forward(Duration.ofSeconds(30));
        readings.keepRead(message, person, what, clock.instant(), where, program);
    }

    private JsonNode list(String group, String link, String name) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("group", group);
        wanted.put("link", link);
        wanted.put("name", name);
        return done("POST", "/api/mailings/" + id + "/report/list", wanted, dov);
    }

    @Test
    void everyRateStandsWithItsCountAndItsBounds() throws Exception {
        done(
                "POST",
                "/api/records/contact/" + tobias + "/history",
                Map.of("kind", "ANSWERED_ELSEWHERE", "minutes", 0, "words", "Yes"),
                signe);
        JsonNode report = done("GET", "/api/mailings/" + id + "/report", null, dov);
        assertThat(report.at("/opened/words").asString()).isEqualTo("2 of 3, 67 % (21 to 94 %)");
        assertThat(report.at("/clicked/part").asInt()).isEqualTo(1);
        assertThat(report.at("/replied/part").asInt()).isEqualTo(1);
        assertThat(report.at("/links/0/address").asString()).isEqualTo(MAP);
        assertThat(report.at("/links/0/people").asInt()).isEqualTo(1);
        assertThat(report.at("/links/0/times").asInt()).isEqualTo(2);
        assertThat(report.at("/openings")).hasSize(2);
        assertThat(report.get("hoped").asInt()).isEqualTo(2);
        assertThat(report.get("brought").asInt()).isEqualTo(100);
        JsonNode counts = page(id).get("counts");
        assertThat(counts.get("opened").asInt()).isEqualTo(2);
        assertThat(counts.get("clicked").asInt()).isEqualTo(1);
    }

    @Test
    void whoFollowedALinkIsCountedByWhatTheyFollowedItOnFirst() throws Exception {
        read(tobias, ReadingEvent.CLICKED, MAP, "A reader");
        read(tobias, ReadingEvent.CLICKED, MAP, PHONE);
        read(priya, ReadingEvent.CLICKED, MAP, "A reader");
        JsonNode devices =
                done("GET", "/api/mailings/" + id + "/report", null, dov).get("devices");
        assertThat(devices.findValuesAsString("words")).containsExactly("a phone", "not known");
        assertThat(devices.at("/0/people").asInt()).isEqualTo(2);
        assertThat(devices.at("/1/people").asInt()).isEqualTo(1);
    }

    private UUID deal(String name, String stage, String value) throws Exception {
        Map<String, Object> wanted =
                Map.of("values", Map.of("name", name, "stage", stage, "value", value), "email", "");
        return UUID.fromString(
                done("POST", "/api/records/deal", wanted, signe).get("id").asString());
    }

    @Test
    void dealsThatCameOfItSayWhatItBrought() throws Exception {
        String deals = "/api/mailings/" + id + "/report/deals/";
        UUID won = deal("Orchard, spring", "won", "1200 GBP");
        UUID open = deal("Orchard, autumn", "quoted", "300 GBP");
        // Whoever names one twice names it once.
        for (UUID one : new UUID[] {won, open, won}) {
            done("PUT", deals + one, null, signe);
            clock.forward(Duration.ofSeconds(1));
        }
        JsonNode came =
                done("GET", "/api/mailings/" + id + "/report", null, dov).get("cameOfIt");
        assertThat(came.get("deals").findValuesAsString("name")).containsExactly("Orchard, spring", "Orchard, autumn");
        assertThat(came.at("/deals/0/standing").asString()).isEqualTo("WON");
        assertThat(came.at("/brought/0").asString()).isEqualTo("£1,200.00");
        assertThat(came.at("/open/0").asString()).isEqualTo("£300.00");
        assertThat(came.get("left").asString()).isEqualTo("£1,170.00");

        assertThat(done("PUT", deals + UUID.randomUUID(), null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(done("PUT", deals + open, null, petra).get("code").asString())
                .isEqualTo("forbidden");
        done("DELETE", deals + won, null, signe);
        came = done("GET", "/api/mailings/" + id + "/report", null, dov).get("cameOfIt");
        assertThat(came.get("brought")).isEmpty();
        assertThat(came.get("left").asString()).isEmpty();
    }

    @Test
    void whoDidWhatIsAListToGoOnWith() throws Exception {
        JsonNode unopened = list("UNOPENED", null, "Not opened");
        assertThat(unopened.get("members").asInt()).isEqualTo(1);
        assertThat(unopened.get("live").asBoolean()).isFalse();
        JsonNode followed = list("CLICKED", MAP, "Followed the map");
        assertThat(sql.queryForList(
                        "select record_id from record_list_member where list_id = ?",
                        UUID.class,
                        UUID.fromString(followed.get("id").asString())))
                .containsExactly(ines);
        assertThat(list("CLICKED", "https://brindlewing.example/other", "Other")
                        .get("code")
                        .asString())
                .isEqualTo("nobody");
        assertThat(list("FAILED", null, "Failed").get("code").asString()).isEqualTo("nobody");
        assertThat(list("GOT", null, "Not opened").at("/fields/name").asString())
                .isNotEmpty();
        assertThat(list(null, null, "Nobody").at("/fields/group").asString()).isNotEmpty();
    }

    @Test
    void itsTableHasALineForEachAndWorksNothingOut() throws Exception {
        sql.update("update mailing_person set name = '=1+1' where person_id = ?", priya);
        String table = mvc.perform(request("POST", "/api/mailings/" + id + "/report/table", Map.of(), dov))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(table.lines()).hasSize(4);
        assertThat(table).contains("Ines Okafor,ines@larkfield.example,sent,").contains(",a phone,");
        assertThat(table.lines().noneMatch(line -> line.startsWith("=1"))).isTrue();
    }

    @Test
    void aPageForAnybodySaysNothingOfItsPeople() throws Exception {
        String path = "/api/mailings/" + id + "/report/web-copies";
        Map<String, Object> wanted = new HashMap<>(Map.of("title", "Blossom <soon>", "description", "For growers"));
        wanted.put("picture", null);
        template = template("CONTACT", "Blossom is near", "Dear {person.first_name else \"reader\"}, is it early?");
        UUID other = mailing(ines);
        send(other, 1);
        reaches(other, "DONE");
        String personal = done("POST", path, wanted, signe).get("code").asString();
        assertThat(personal).as("a name without a default").isEqualTo("personal");

        path = "/api/mailings/" + other + "/report/web-copies";
        assertThat(done("POST", path, wanted, dov).get("code").asString()).isEqualTo("forbidden");
        JsonNode made = done("POST", path, wanted, signe);
        String address = made.get("address").asString();
        String page = mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(
                        address.substring(address.indexOf("/m/"))))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(page)
                .contains("Dear reader", "og:title\" content=\"Blossom &lt;soon&gt;\"", "content=\"For growers\"")
                .doesNotContain("Ines", "og:image");
        assertThat(done("GET", path, null, dov)).hasSize(1);
        wanted.put("picture", UUID.randomUUID().toString());
        assertThat(done("POST", path, wanted, signe).at("/fields/picture").asString())
                .isNotEmpty();
        wanted.put("picture", null);
        wanted.put("title", "x".repeat(121));
        assertThat(done("POST", path, wanted, signe).at("/fields/title").asString())
                .isNotEmpty();

        done("DELETE", "/api/web-copies/" + made.get("id").asString(), null, signe);
        assertThat(done("GET", path, null, dov)).isEmpty();
    }
}
