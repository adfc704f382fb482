package famulus.server.materials;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** Pictures and house styles: what comes in, what does not, and who may. */
class MaterialsTest extends ServerTest {
    private static byte[] png(int width, int height) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB), "png", bytes);
        return bytes.toByteArray();
    }

    private JsonNode bring(byte[] file) throws Exception {
        MockHttpServletResponse response = mvc.perform(
                        request("POST", "/api/materials/pictures?name=Hives", null, signe)
                                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                                .content(file))
                .andReturn()
                .getResponse();
        return json.readTree(response.getContentAsByteArray());
    }

    private String refused(byte[] file) throws Exception {
        return bring(file).get("fields").get("file").asString();
    }

    /** A PNG's head with another size in it. */
    private static byte[] saying(byte[] png, int width, int height) {
        byte[] changed = png.clone();
        for (int i = 0; i < 4; i++) {
            changed[16 + i] = (byte) (width >>> (24 - 8 * i));
            changed[20 + i] = (byte) (height >>> (24 - 8 * i));
        }
        return changed;
    }

    @Test
    void refusesWhatIsNoPictureOrTooMuchOfOne() throws Exception {
        byte[] good = png(60, 40);
        assertThat(refused(new byte[0])).contains("empty");
        assertThat(refused("<svg onload='alert(1)'/>".getBytes(StandardCharsets.UTF_8)))
                .contains("has a script in it");
        assertThat(refused("MZ not a picture".getBytes(StandardCharsets.UTF_8))).contains("not a picture");
        assertThat(refused(saying(good, 50_000, 50_000))).contains("50000 × 50000");
        assertThat(refused(Arrays.copyOf(good, good.length / 2))).contains("damaged");
        assertThat(refused(Arrays.copyOf(good, 6_000_000))).contains("5 MB");
        assertThat(sql.queryForObject("select count(*) from picture", Integer.class))
                .isZero();
    }

    @Test
    void scalesDownWhatIsWiderThanItCanBeSeen() throws Exception {
        String id = bring(png(2400, 1200)).get("id").asString();
        MockHttpServletResponse response = mvc.perform(request("GET", "/api/materials/pictures/" + id, null, dov))
                .andReturn()
                .getResponse();
        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(response.getContentAsByteArray()));
        assertThat(seen.getWidth()).isEqualTo(1800);
        assertThat(seen.getHeight()).isEqualTo(900);
        assertThat(response.getContentType()).isEqualTo("image/png");
    }

    @Test
    void keepsAPictureThatATemplateShows() throws Exception {
        String id = bring(png(60, 40)).get("id").asString();
        String design = "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":["
                + "{\"id\":\"p\",\"kind\":\"picture\",\"picture\":\"" + id + "\"}]}]}]}";
        added(Map.of("name", "With hives", "about", "CONTACT", "mode", "DESIGNED", "design", design), signe);
        assertThat(done("DELETE", "/api/materials/pictures/" + id, null, oriel)
                        .get("detail")
                        .asString())
                .contains("With hives");
        assertThat(done("DELETE", "/api/materials/pictures/" + id, null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");
        sql.execute("delete from template");
        done("DELETE", "/api/materials/pictures/" + id, null, oriel);
        assertThat(sql.queryForObject("select count(*) from picture", Integer.class))
                .isZero();
    }

    @Test
    void showsWhatAStyleWouldChangeBeforeItIsKept() throws Exception {
        contact("Ines", "Okafor", "ines@larkfield.example");
        added(
                Map.of(
                        "name",
                        "Letter",
                        "about",
                        "CONTACT",
                        "subject",
                        "Hello",
                        "mode",
                        "LETTER",
                        "design",
                        "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"t\",\"kind\":\"text\","
                                + "\"text\":[{\"runs\":[{\"text\":\"Hello\"}]}]}]}]}]}"),
                signe);
        JsonNode plain = done("GET", "/api/materials/house-styles", null, signe).get(0);
        String id = plain.get("id").asString();
        String look = plain.get("look").asString().replace("#1d2530", "#224466");
        JsonNode change = done("POST", "/api/desk/house-styles/" + id + "/change", Map.of("look", look), oriel);
        assertThat(change.get("templates").asInt()).isEqualTo(1);
        assertThat(change.get("shown").get(0).get("before").asString())
                .contains("#1d2530")
                .doesNotContain("#224466");
        assertThat(change.get("shown").get(0).get("after").asString()).contains("#224466");

        Map<String, Object> changed = Map.of("version", 1, "look", look);
        assertThat(done("PUT", "/api/materials/house-styles/" + id, changed, oriel)
                        .get("version")
                        .asInt())
                .isEqualTo(2);
        assertThat(done("PUT", "/api/materials/house-styles/" + id, changed, oriel)
                        .get("code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        String broken = look.replace("\"width\":600", "\"width\":9");
        assertThat(done("PUT", "/api/materials/house-styles/" + id, Map.of("version", 2, "look", broken), oriel)
                        .get("fields")
                        .get("look")
                        .asString())
                .contains("320 to 900");
        done(
                "PUT",
                "/api/materials/house-styles/" + id,
                Map.of("version", 2, "look", plain.get("look").asString()),
                oriel);
    }

    @Test
    void aCopyNeedsANameOfItsOwnAndMayBecomeTheUsualOne() throws Exception {
        JsonNode plain = done("GET", "/api/materials/house-styles", null, oriel).get(0);
        String look = plain.get("look").asString();
        assertThat(done("POST", "/api/materials/house-styles", Map.of("look", look), oriel)
                        .get("fields")
                        .propertyNames())
                .containsExactly("name");
        UUID made = UUID.fromString(done(
                        "POST",
                        "/api/materials/house-styles",
                        Map.of("look", look.replace("\"Plain\"", "\"Quiet\"")),
                        oriel)
                .get("id")
                .asString());
        done("POST", "/api/materials/house-styles/" + made + "/usual", null, oriel);
        assertThat(done("GET", "/api/materials/house-styles", null, dov)
                        .get(0)
                        .get("name")
                        .asString())
                .isEqualTo("Quiet");
    }

    @Test
    void givesCopiesOfAPictureAsABlockAsksForThem() throws Exception {
        String id = bring(png(40, 20)).get("id").asString();
        MockHttpServletResponse cut = mvc.perform(
                        request("GET", "/api/materials/pictures/" + id + "~cut.50.0.0.0~light.-20~wide.10", null, dov))
                .andReturn()
                .getResponse();
        assertThat(cut.getStatus()).isEqualTo(200);
        assertThat(ImageIO.read(new ByteArrayInputStream(cut.getContentAsByteArray()))
                        .getWidth())
                .isEqualTo(10);
        for (String wrong : new String[] {"~cut.60.0.40.0", "~wide.-1", "~x", "~light.500"}) {
            assertThat(mvc.perform(request("GET", "/api/materials/pictures/" + id + wrong, null, dov))
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .as(wrong)
                    .isEqualTo(404);
        }
    }

    @Test
    void putsPicturesInCategories() throws Exception {
        String id = bring(png(4, 4)).get("id").asString();
        String address = "/api/materials/pictures/" + id;
        done("PUT", address, Map.of("name", "Bee", "description", "A bee", "category", " Season "), signe);
        assertThat(done("GET", "/api/materials/pictures", null, signe)
                        .get(0)
                        .get("category")
                        .asString())
                .isEqualTo("Season");
        Map<String, String> tooLong = Map.of("name", "Bee", "description", "", "category", "x".repeat(61));
        assertThat(done("PUT", address, tooLong, signe).get("fields").has("category"))
                .isTrue();
        assertThat(sql.queryForObject("select category from picture", String.class))
                .isEqualTo("Season");
    }

    @Test
    void thoseNamedForAHouseStyleMayChangeItAndNoOther() throws Exception {
        JsonNode plain = done("GET", "/api/materials/house-styles", null, dov).get(0);
        String address = "/api/materials/house-styles/" + plain.get("id").asString();
        Map<String, Object> same =
                Map.of("version", 1, "look", plain.get("look").asString());
        assertThat(plain.get("mayChange").asBoolean()).isFalse();
        assertThat(done("PUT", address, same, dov).get("detail").asString()).contains("the people named for it");
        assertThat(done("PUT", address + "/named", Map.of("named", List.of(dov.id())), dov)
                        .get("status")
                        .asInt())
                .isEqualTo(403);
        done("PUT", address + "/named", Map.of("named", List.of(dov.id(), dov.id())), oriel);
        assertThat(done("GET", "/api/materials/house-styles", null, dov)
                        .get(0)
                        .get("mayChange")
                        .asBoolean())
                .isTrue();
        assertThat(done("PUT", address, same, dov).get("version").asInt()).isEqualTo(2);
        assertThat(done("POST", address + "/usual", null, dov).get("status").asInt())
                .isEqualTo(403);
        assertThat(done("PUT", address + "/named", Map.of("named", List.of(java.util.UUID.randomUUID())), oriel)
                        .get("fields")
                        .has("named"))
                .isTrue();
        done("PUT", address + "/named", Map.of("named", List.of()), oriel);
        assertThat(done("PUT", address, same, dov).get("status").asInt()).isEqualTo(403);
    }
}
