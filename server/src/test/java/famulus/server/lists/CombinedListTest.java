package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.Chosen;
import famulus.server.folders.FolderRights;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Lists that are made of other lists, and what is told of a list to whoever looks at it. */
class CombinedListTest extends ListTest {
    private UUID combined(String name, String condition, UUID base, UUID minus, Colleague by) throws Exception {
        Map<String, Object> typed = typed(name, condition, FolderRights.EVERYONE);
        typed.put("base", base == null ? null : base.toString());
        typed.put("minus", minus == null ? null : minus.toString());
        if (by == signe) {
            typed.put("folder", null);
        }
        JsonNode kept = done("POST", "/api/lists/kept/contact", typed, by);
        assertThat(kept.has("id")).as(kept.toString()).isTrue();
        return UUID.fromString(kept.get("id").asString());
    }

    @Test
    void aListHasTheseWithoutThose() throws Exception {
        UUID visit = kept("To visit", null, null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(ines, tobias)), signe);
        UUID growers = kept("Growers", GROWERS, null, signe);

        String narrowed = "/api/lists/records/contact?where=" + GROWERS;
        assertThat(done("GET", narrowed + "&minus=" + visit, null, signe)
                        .at("/window/lines/0/cells/0")
                        .asString())
                .isEqualTo("Priya Ivory");
        assertThat(names(combined("Growers not to visit", GROWERS, null, visit, signe), signe))
                .containsExactly("Priya Ivory");
        UUID others = combined("To visit, no growers", null, visit, growers, signe);
        assertThat(names(others, signe)).containsExactly("Tobias Larkin");
        JsonNode shown = done("GET", "/api/lists/" + others, null, signe);
        assertThat(shown.get("baseName").asString()).isEqualTo("To visit");
        assertThat(shown.get("minusName").asString()).isEqualTo("Growers");
        change(tobias, "job_title", "Grower");
        assertThat(names(others, signe)).isEmpty();
        change(ines, "job_title", "");
        assertThat(names(others, signe)).containsExactly("Ines Okafor");
        assertThat(done("GET", "/api/lists/records/contact/count?list=" + others, null, signe)
                        .get("number")
                        .asInt())
                .isEqualTo(1);

        Map<String, Object> nested = typed("Within itself", GROWERS, null);
        nested.put("minus", others.toString());
        assertThat(done("POST", "/api/lists/kept/contact", nested, signe)
                        .at("/fields/minus")
                        .asString())
                .isEqualTo("“To visit, no growers” is made of other lists. Choose one that is not.");
        assertThat(done("DELETE", "/api/lists/" + growers, null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("“To visit, no growers” is made of this list. Delete that first.");
        nested.put("minus", UUID.randomUUID().toString());
        assertThat(done("POST", "/api/lists/kept/contact", nested, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This list is missing.");
    }

    @Test
    void whatAListLeavesOutIsLeftOutForAllWhoSeeIt() throws Exception {
        UUID secret = kept("Dov’s secret", "contact.first_name is \"Ines\"", null, oriel);
        UUID shared = combined("Growers", GROWERS, null, secret, oriel);
        assertThat(names(shared, signe)).containsExactly("Priya Ivory");
        JsonNode shown = done("GET", "/api/lists/" + shared, null, signe);
        assertThat(shown.get("minusName").asString()).isEmpty();
        assertThat(shown.toString()).doesNotContain("secret");
        assertThat(done("GET", "/api/lists/records/contact?minus=" + secret, null, signe)
                        .get("detail")
                        .asString())
                .isEqualTo("This list is missing.");
    }

    private UUID deal(String name, UUID main, UUID other) throws Exception {
        JsonNode made = done("POST", "/api/records/deal", Map.of("values", Map.of("name", name), "email", ""), signe);
        assertThat(made.has("id")).as(made.toString()).isTrue();
        String path = "/api/records/deal/" + made.get("id").asString() + "/contacts/";
        done("PUT", path + main, Map.of("role", "decides", "main", true), signe);
        done("PUT", path + other, Map.of("role", "advises", "main", false), signe);
        return UUID.fromString(made.get("id").asString());
    }

    @Test
    void aListHasTheContactsOfDealsInARole() throws Exception {
        deal("Autumn", ines, tobias);
        UUID spring = deal("Spring", priya, ines);
        JsonNode open = done("POST", "/api/lists/kept/deal", typed("Autumn", "deal.name is \"Autumn\"", null), signe);
        assertThat(open.has("id")).as(open.toString()).isTrue();
        UUID autumn = UUID.fromString(open.get("id").asString());
        UUID fixed = UUID.fromString(done("POST", "/api/lists/kept/deal", typed("By hand", null, null), signe)
                .get("id")
                .asString());
        done("POST", "/api/lists/" + fixed + "/members", Map.of("choice", Chosen.byHand("deal", spring)), signe);

        String of = "/api/lists/records/contact?deals=";
        assertThat(done("GET", of + autumn, null, signe).at("/window/total").asInt())
                .isEqualTo(2);
        assertThat(done("GET", of + autumn + "&role=advises", null, signe).toString())
                .contains("Tobias Larkin")
                .doesNotContain("Ines");
        assertThat(done("GET", of + fixed + "&role=decides", null, signe).toString())
                .contains("Priya Ivory")
                .doesNotContain("Ines");

        Map<String, Object> typed = typed("Deciding", null, null);
        typed.put("deals", autumn.toString());
        typed.put("role", "decides");
        UUID deciding = UUID.fromString(
                done("POST", "/api/lists/kept/contact", typed, signe).get("id").asString());
        assertThat(names(deciding, signe)).containsExactly("Ines Okafor");
        JsonNode shown = done("GET", "/api/lists/" + deciding, null, signe);
        assertThat(List.of(shown.get("dealsName").asString(), shown.get("role").asString()))
                .containsExactly("Autumn", "decides");
        assertThat(shown.get("live").asBoolean()).isTrue();
        deal("Autumn", tobias, priya);
        assertThat(names(deciding, signe)).containsExactly("Tobias Larkin", "Ines Okafor");

        assertThat(done("GET", "/api/lists/records/lead?deals=" + autumn, null, signe)
                        .at("/fields/deals")
                        .asString())
                .isEqualTo("Only contacts are on deals.");
        assertThat(done("GET", of + autumn, null, dov).get("detail").asString()).isEqualTo("This list is missing.");
        assertThat(done("GET", of + deciding, null, signe).at("/fields/deals").asString())
                .isEqualTo("“Deciding” is a list of contacts.");
    }

    @Test
    void aListSaysWhyAndWhatHasChanged() throws Exception {
        UUID visit = kept("To visit", null, null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(ines, tobias)), signe);
        JsonNode window = done("GET", "/api/lists/records/contact?list=" + visit, null, signe)
                .get("window");
        assertThat(window.get("columns")
                        .get(window.get("columns").size() - 1)
                        .get("label")
                        .asString())
                .isEqualTo("Put on");
        assertThat(window.get("lines").get(0).get("cells").toString()).contains("4 May 2026 by Signe");

        String changes = "/api/lists/" + visit + "/changes";
        assertThat(done("GET", changes, null, signe).get("since").isNull()).isTrue();
        done("POST", "/api/lists/" + visit + "/look", null, signe);
        done("POST", "/api/lists/" + visit + "/members", Map.of("choice", chosen(priya)), signe);
        done("POST", "/api/lists/" + visit + "/members/take-off", Map.of("choice", chosen(ines)), signe);
        JsonNode changed = done("GET", changes, null, signe);
        assertThat(changed.get("came").asInt()).isEqualTo(1);
        assertThat(changed.get("cameNames").toString()).isEqualTo("[\"Priya Ivory\"]");
        assertThat(changed.get("wentNames").toString()).isEqualTo("[\"Ines Okafor\"]");
        done("POST", "/api/lists/" + visit + "/look", null, signe);
        assertThat(done("GET", changes, null, signe).get("came").asInt()).isZero();

        UUID growers = kept("Growers", GROWERS, null, signe);
        done("POST", "/api/lists/" + growers + "/look", null, signe);
        change(tobias, "job_title", "Grower");
        assertThat(done("GET", "/api/lists/" + growers + "/changes", null, signe)
                        .get("cameNames")
                        .toString())
                .isEqualTo("[\"Tobias Larkin\"]");
    }
}
