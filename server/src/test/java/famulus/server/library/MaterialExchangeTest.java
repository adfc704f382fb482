package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pictures and files that are used: who is told where, and how another one takes their place. */
class MaterialExchangeTest extends ServerTest {
    private UUID picture(String name, int width) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, 8, BufferedImage.TYPE_INT_RGB), "png", out);
        return id(upload("/api/materials/pictures", Map.of("name", name), out.toByteArray(), signe));
    }

    private UUID file(String name) throws Exception {
        return id(upload("/api/materials/files", Map.of("name", name), name.getBytes(), signe));
    }

    private static UUID id(JsonNode made) {
        return UUID.fromString(made.get("id").asString());
    }

    private UUID showing(String name, UUID picture, List<UUID> files, Colleague as) throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", name);
        draft.put("about", "CONTACT");
        draft.put("mode", "SOURCE");
        draft.put("subject", "Hello");
        draft.put("files", files);
        JsonNode clean = done(
                "POST",
                "/api/templates/bring-in",
                Map.of("html", "<p>Hello</p>" + (picture == null ? "" : "<img src='picture:" + picture + "'>")),
                as);
        draft.put("design", clean.get("design").asString());
        // What is added by a rep stays among their own; others' is where everybody may use it.
        JsonNode made = as == signe ? done("POST", "/api/templates", draft, as) : added(draft, as);
        assertThat(made.has("template")).as(made.toString()).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private JsonNode inItsPlace(String what, UUID old, UUID other, Colleague as) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("what", what);
        wanted.put("other", other);
        return done("POST", "/api/materials/uses/" + old + "/in-its-place", wanted, as);
    }

    private JsonNode template(UUID id, Colleague as) throws Exception {
        return done("GET", "/api/templates/" + id, null, as).get("template");
    }

    @Test
    void whereSomethingIsUsedIsToldAsFarAsOneSeesIt() throws Exception {
        UUID gate = picture("Gate", 20);
        showing("Signe’s own", gate, List.of(), signe);
        UUID shared = showing("Shared", gate, List.of(), oriel);

        JsonNode refused = done("DELETE", "/api/materials/pictures/" + gate, null, oriel);
        assertThat(refused.get("code").asString()).isEqualTo("in-use");
        assertThat(refused.get("detail").asString())
                .isEqualTo("It is used in “Shared” and one template of a colleague. Remove it there first.");
        JsonNode uses = done("GET", "/api/materials/uses/" + gate + "?what=PICTURE", null, oriel);
        assertThat(uses.at("/seen/0/id").asString()).isEqualTo(shared.toString());
        assertThat(uses.get("seen")).hasSize(1);
        assertThat(uses.get("others").asInt()).isEqualTo(1);

        UUID plan = file("plan.txt");
        showing("With a plan", null, List.of(plan), signe);
        assertThat(done("DELETE", "/api/materials/files/" + plan, null, oriel)
                        .get("detail")
                        .asString())
                .isEqualTo("This file is attached to one template of a colleague.");
    }

    @Test
    void anotherPictureTakesItsPlaceEverywhereOrNowhere() throws Exception {
        UUID gate = picture("Gate", 20);
        UUID hedge = picture("Hedge", 30);
        UUID shown = showing("Shared", gate, List.of(), oriel);
        UUID own = showing("Signe’s own", gate, List.of(), signe);

        assertThat(inItsPlace("PICTURE", gate, hedge, signe).get("code").asString())
                .as("the picture is hers, and not every template that has it")
                .isEqualTo("fixed");
        assertThat(inItsPlace("PICTURE", gate, gate, amos).at("/fields/other").asString())
                .contains("another picture");
        assertThat(inItsPlace("PICTURE", gate, null, amos).has("fields")).isTrue();
        assertThat(inItsPlace("PICTURE", gate, UUID.randomUUID(), amos).has("fields"))
                .isTrue();
        JsonNode fixed = inItsPlace("PICTURE", gate, hedge, oriel);
        assertThat(fixed.get("detail").asString())
                .contains("one template of a colleague", "Nothing was replaced")
                .doesNotContain("Signe");
        assertThat(template(shown, oriel).get("design").asString()).contains(gate.toString());

        assertThat(inItsPlace("PICTURE", gate, hedge, amos).toString()).isEqualTo("{\"changed\":2}");
        for (UUID one : List.of(shown, own)) {
            assertThat(template(one, amos).get("design").asString())
                    .contains(hedge.toString())
                    .doesNotContain(gate.toString());
        }
        assertThat(done("GET", "/api/materials/pictures", null, signe).findValuesAsString("name"))
                .containsExactly("Hedge");
    }

    @Test
    void anotherFileGoesAlongInItsPlaceOnce() throws Exception {
        UUID plan = file("plan.txt");
        UUID map = file("map.txt");
        UUID both = showing("Both", null, List.of(plan, map), amos);
        UUID one = showing("One", null, List.of(plan), amos);

        assertThat(inItsPlace("FILE", plan, map, amos).toString()).isEqualTo("{\"changed\":2}");
        for (UUID template : List.of(both, one)) {
            assertThat(template(template, amos).get("files").toString()).isEqualTo("[\"" + map + "\"]");
        }
        assertThat(template(one, amos).get("version").asInt()).isEqualTo(2);
    }
}
