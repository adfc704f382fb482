package famulus.server.choices;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
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

    @Test
    void editorsKeepThemInTheirOrder() throws Exception {
        List<Object> wanted = List.of(topic(null, " Season news ", "Neues zur Saison"), topic(null, "Prices", null));
        assertThat(done("PUT", "/api/topics", wanted, signe).get("code").asString())
                .isEqualTo("forbidden");
        JsonNode kept = done("PUT", "/api/topics", wanted, oriel);
        assertThat(kept.toString())
                .contains("\"Season news\"", "\"de\":\"Neues zur Saison\"")
                .doesNotContain("xx");
        String prices = kept.get(1).get("id").asString();

        JsonNode turned = done(
                "PUT",
                "/api/topics",
                List.of(topic(prices, "Prices and offers", null), topic(null, "Events", null)),
                oriel);
        assertThat(turned.valueStream().map(one -> one.get("name").asString()))
                .containsExactly("Prices and offers", "Events");
        assertThat(turned.get(0).get("id").asString()).isEqualTo(prices);
        assertThat(done("GET", "/api/topics", null, signe)).isEqualTo(turned);
    }

    @Test
    void whatIsWrongIsSaidAtItsPlaceAndNothingIsKept() throws Exception {
        JsonNode refused = done(
                "PUT",
                "/api/topics",
                List.of(topic(null, "Prices", null), topic(null, "prices", "x".repeat(61)), topic(null, " ", null)),
                oriel);
        assertThat(refused.at("/fields/topics.1.name").asString()).contains("of this name already");
        assertThat(refused.at("/fields/topics.1.de").asString()).contains("60");
        assertThat(refused.at("/fields/topics.2.name").asString()).isNotEmpty();
        assertThat(done("GET", "/api/topics", null, signe)).isEmpty();
        assertThat(done("PUT", "/api/topics", java.util.Collections.nCopies(21, topic(null, "x", null)), oriel)
                        .get("detail")
                        .asString())
                .contains("20 topics");
    }
}
