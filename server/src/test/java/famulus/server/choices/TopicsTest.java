package famulus.server.choices;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The topics of a company: who changes them, and what they may be called. */
class TopicsTest extends ServerTest {
    private static Map<String, Object> topic(Object id, String name, String german) {
        Map<String, Object> topic = new HashMap<>();
        topic.put("id", id);
        topic.put("name", name);
        topic.put("names", german == null ? Map.of() : Map.of("de", german, "xx", "nobody reads it"));
        return topic;
    }

    private JsonNode keep(Collection<?> seen, List<?> topics, Colleague by) throws Exception {
        return done("PUT", "/api/topics", Map.of("seen", seen, "topics", topics), by);
    }

    private static List<String> ids(JsonNode topics) {
        return topics.valueStream().map(one -> one.get("id").asString()).toList();
    }

    @Test
    void editorsKeepThemInTheirOrder() throws Exception {
        List<Object> wanted = List.of(topic(null, " Season news ", "Neues zur Saison"), topic(null, "Prices", null));
        assertThat(keep(List.of(), wanted, signe).get("code").asString()).isEqualTo("forbidden");
        JsonNode kept = keep(List.of(), wanted, oriel);
        assertThat(kept.toString())
                .contains("\"Season news\"", "\"de\":\"Neues zur Saison\"")
                .doesNotContain("xx");
        String prices = kept.get(1).get("id").asString();

        List<Object> others = List.of(topic(prices, "Prices and offers", null), topic(null, "Events", null));
        assertThat(keep(List.of(), others, amos).get("code").asString())
                .as("who has not seen them removes none")
                .isEqualTo("changed-meanwhile");
        JsonNode turned = keep(ids(kept), others, oriel);
        assertThat(turned.valueStream().map(one -> one.get("name").asString()))
                .containsExactly("Prices and offers", "Events");
        assertThat(turned.get(0).get("id").asString()).isEqualTo(prices);
        assertThat(done("GET", "/api/topics", null, signe)).isEqualTo(turned);
    }

    @Test
    void whatIsWrongIsSaidAtItsPlaceAndNothingIsKept() throws Exception {
        JsonNode refused = keep(
                List.of(),
                List.of(topic(null, "Prices", null), topic(null, "prices", "x".repeat(61)), topic(null, " ", null)),
                oriel);
        assertThat(refused.at("/fields/topics.1.name").asString()).contains("of this name already");
        assertThat(refused.at("/fields/topics.1.de").asString()).contains("60");
        assertThat(refused.at("/fields/topics.2.name").asString()).isNotEmpty();
        assertThat(done("GET", "/api/topics", null, signe)).isEmpty();
        assertThat(keep(List.of(), Collections.nCopies(21, topic(null, "x", null)), oriel)
                        .get("detail")
                        .asString())
                .contains("20 topics");
    }
}
