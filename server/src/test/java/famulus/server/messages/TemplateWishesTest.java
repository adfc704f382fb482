package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A template wishes for the envelope of its messages, which begin with it. It is Monday 4 May, a holiday in Britain. */
class TemplateWishesTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        change(ines, "time_zone", "America/New_York");
        change(ines, "owner", signe.id().toString());
    }

    private JsonNode add(Map<String, Object> wishes) throws Exception {
        Map<String, Object> draft =
                new HashMap<>(words("News", "Dear {contact.first_name}, by {today plus 1 days as long date}."));
        draft.putAll(Map.of("name", "With wishes", "wishes", wishes));
        return added(draft, signe);
    }

    private UUID template(Map<String, Object> wishes) throws Exception {
        JsonNode made = add(wishes);
        assertThat(made.has("template")).as("%s", made).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private static Map<String, Object> wishes(Object cc, String replyTo, boolean fromOwner, String hour) {
        Map<String, Object> wishes = new HashMap<>();
        wishes.put("cc", cc);
        wishes.put("bcc", List.of("archive@brindlewing.example"));
        wishes.put("replyTo", replyTo);
        wishes.put("fromOwner", fromOwner);
        wishes.put("hour", hour);
        wishes.put("countLinks", false);
        return wishes;
    }

    private JsonNode begin(UUID template, Object settled, Colleague as) throws Exception {
        Map<String, Object> begin = new HashMap<>();
        begin.put("template", template.toString());
        begin.put("kind", "contact");
        begin.put("id", ines.toString());
        begin.put("wishes", settled);
        JsonNode begun = done("POST", "/api/messages/begin", begin, as);
        assertThat(begun.has("words")).as("%s", begun).isTrue();
        return begun;
    }

    @Test
    void aMessageBeginsWithThem() throws Exception {
        UUID template = template(wishes(
                List.of(" office@brindlewing.example ", "signe@brindlewing.example"),
                "desk@brindlewing.example",
                false,
                "THEIR_MORNING"));

        JsonNode begun = begin(template, null, signe);

        JsonNode wishes = begun.get("wishes");
        assertThat(wishes.get("cc").valueStream().map(JsonNode::asString))
                .as("without the sender’s own address")
                .containsExactly("office@brindlewing.example");
        assertThat(wishes.get("bcc").get(0).asString()).isEqualTo("archive@brindlewing.example");
        assertThat(wishes.get("replyTo").asString()).isEqualTo("desk@brindlewing.example");
        assertThat(wishes.get("hour").toString()).contains("2026-05-05", "08:00", "America/New_York");
        assertThat(begun.at("/words/body").asString()).endsWith("by 6 May 2026.");
        // The dates of a message are those of its hour.
        UUID nextWeek = template(wishes(List.of(), null, false, "NEXT_WEEK"));
        assertThat(begin(nextWeek, null, signe).at("/words/body").asString()).endsWith("by 12 May 2026.");
    }

    @Test
    void whatWhoeverWritesHasSettledCounts() throws Exception {
        UUID template = template(wishes(List.of("office@brindlewing.example"), null, false, "THEIR_MORNING"));
        assertThat(begin(template, Map.of("cc", List.of()), signe).get("wishes").isNull())
                .isTrue();
        UUID none = template("CONTACT", "News", "Dear {contact.first_name}");
        assertThat(begin(none, null, signe).get("wishes").isNull()).isTrue();
    }

    @Test
    void itIsFromTheOwnerWhereTheyLendTheirName() throws Exception {
        UUID template = template(wishes(List.of(), null, true, null));
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), signe);
        assertThat(begin(template, null, dov).get("senderId").asString())
                .isEqualTo(dov.id().toString());
        assertThat(begin(template, null, petra).get("senderId").asString())
                .isEqualTo(signe.id().toString());

        done("PUT", "/api/profile/in-my-name", Map.of("allowed", true, "mailings", false), signe);
        assertThat(begin(template, null, dov).get("senderId").asString())
                .isEqualTo(signe.id().toString());
    }

    @Test
    void theyAreKeptWithEveryVersionAndWrongOnesAreSaid() throws Exception {
        assertThat(add(wishes(List.of("office"), null, false, null))
                        .at("/fields/wishes")
                        .asString())
                .startsWith("office: ");
        assertThat(add(wishes(List.of(), "no address", false, null))
                        .at("/fields/wishes")
                        .asString())
                .startsWith("no address: ");
        List<String> many = java.util.stream.IntStream.range(0, 11)
                .mapToObj(i -> "a" + i + "@brindlewing.example")
                .toList();
        assertThat(add(wishes(many, null, false, null)).at("/fields/wishes").asString())
                .isEqualTo("A template has 10 addresses for copies at most.");
        UUID template = template(wishes(List.of("office@brindlewing.example"), null, false, "TOMORROW"));
        String path = "/api/templates/" + template;
        done("POST", path + "/ready", Map.of("version", 1), signe);
        Map<String, Object> changed = new HashMap<>(words("News", "Dear all"));
        changed.put("name", "Without");
        done("PUT", path, Map.of("version", 1, "draft", changed), signe);
        assertThat(done("GET", path, null, signe).at("/template/wishes/hour").isNull())
                .isTrue();
        assertThat(done("GET", path + "/versions/1/changes", null, signe).toString())
                .contains("Envelope");
        // Others use the version that is ready.
        assertThat(begin(template, null, dov).at("/wishes/hour/time").asString())
                .isEqualTo("08:00");
    }

    /** Only then is there HTML in which links can be counted. */
    @Test
    void aPlainMessageWhoseLinksAreToBeCountedHasAnHtmlTwin() throws Exception {
        done("PUT", "/api/company/counting", Map.of("counts", true), amos);
        Map<String, Object> wishes = wishes(List.of(), null, false, null);
        wishes.put("countLinks", true);
        Map<String, Object> draft =
                new HashMap<>(words("News", "Dear {contact.first_name}, see https://hives.example/x?a=1&b=2."));
        draft.putAll(Map.of("name", "Counted", "wishes", wishes));
        UUID template = UUID.fromString(added(draft, signe).at("/template/id").asString());
        JsonNode begun = begin(template, null, signe);
        Map<String, Object> message = message(template, ines, begun.get("words"));
        UUID id = UUID.fromString(
                done("POST", "/api/messages", message, signe).get("id").asString());

        SourceText read = SourceText.of(wire(id));
        assertThat(read.text()).contains("see https://hives.example/x?a=1&b=2.");
        assertThat(read.html()).contains("Dear Ines, see <a href=\"https://post.brindlewing.example/m/", "seen.gif");
        assertThat(sql.queryForObject("select address from message_link", String.class))
                .isEqualTo("https://hives.example/x?a=1&b=2");
    }
}
