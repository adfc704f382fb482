package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.messages.SourceText;
import famulus.server.team.Colleague;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Records and colleagues have a picture, and cards in messages take it. */
class RecordPictureTest extends ServerTest {
    private static final String CARDS =
            """
            {"version":1,"bands":[{"id":"a","columns":[{"blocks":[
              {"id":"p","kind":"record card","picture":"of-person","title":"{contact.full_name}","facts":[]},
              {"id":"s","kind":"record card","picture":"of-sender","title":"{sender.full_name}","facts":[]},
              {"id":"o","kind":"record card","picture":"of-owner","title":"Yours","facts":[]}]}]}]}
            """;

    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        change(ines, "owner", dov.id().toString());
    }

    private static byte[] png(int width) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, 10, BufferedImage.TYPE_INT_RGB), "png", bytes);
        return bytes.toByteArray();
    }

    private JsonNode put(String path, byte[] file, Colleague as) throws Exception {
        return upload(path + "/picture", Map.of(), file, as);
    }

    private String page() throws Exception {
        JsonNode picture =
                done("GET", "/api/records/contact/" + ines, null, signe).get("picture");
        return picture.isNull() ? "" : picture.asString();
    }

    private int pictures() {
        return sql.queryForObject("select count(*) from picture", Integer.class);
    }

    private SourceText sent() throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.putAll(Map.of("name", "Cards", "purpose", "", "about", "CONTACT", "subject", "Cards"));
        draft.putAll(Map.of("previewText", "", "body", "", "mode", "DESIGNED", "design", CARDS));
        UUID template = UUID.fromString(added(draft, signe).at("/template/id").asString());
        JsonNode taken = done("POST", "/api/messages", message(template, ines, null), signe);
        assertThat(taken.has("id")).as("%s", taken).isTrue();
        return SourceText.of(wire(UUID.fromString(taken.get("id").asString())));
    }

    @Test
    void aPictureIsPutInThePlaceOfTheOneBeforeAndTakenAway() throws Exception {
        assertThat(page()).isEmpty();
        String first = put("/api/records/contact/" + ines, png(20), signe)
                .get("picture")
                .asString();
        assertThat(page()).isEqualTo(first);
        assertThat(done("GET", "/api/materials/pictures", null, signe))
                .as("not in Materials")
                .isEmpty();

        String second =
                put("/api/records/contact/" + ines, png(30), dov).get("picture").asString();
        assertThat(page()).isEqualTo(second).isNotEqualTo(first);
        assertThat(pictures()).isEqualTo(1);

        done("DELETE", "/api/records/contact/" + ines + "/picture", null, signe);
        assertThat(page()).isEmpty();
        assertThat(pictures()).isZero();
    }

    @Test
    void whatIsNoPictureIsRefusedAndTheOneBeforeStays() throws Exception {
        String first = put("/api/records/contact/" + ines, png(20), signe)
                .get("picture")
                .asString();
        assertThat(put("/api/records/contact/" + ines, new byte[] {1, 2, 3}, signe)
                        .has("picture"))
                .isFalse();
        assertThat(put("/api/records/contact/" + ines, new byte[0], signe).has("picture"))
                .isFalse();
        assertThat(put("/api/records/contact/" + UUID.randomUUID(), png(20), signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(page()).isEqualTo(first);
    }

    @Test
    void aColleagueHasTheirOwnAndAdministratorsChangeIt() throws Exception {
        String path = "/api/team/" + signe.id();
        assertThat(put(path, png(20), signe).has("picture")).isTrue();
        assertThat(put(path, png(20), dov).get("detail").asString())
                .isEqualTo("Only an administrator changes the picture of somebody else.");
        assertThat(put(path, png(30), amos).has("picture")).isTrue();
        assertThat(done("GET", path + "/picture", null, dov).get("picture").isNull())
                .isFalse();
        done("DELETE", path + "/picture", null, signe);
        assertThat(done("GET", path + "/picture", null, dov).get("picture").isNull())
                .isTrue();
    }

    @Test
    void cardsTakeThemAndStandWithoutOneWhereThereIsNone() throws Exception {
        assertThat(sent().html()).contains("Ines Okafor", "Signe Tester").doesNotContain("<img");
        put("/api/records/contact/" + ines, png(20), signe);
        put("/api/team/" + signe.id(), png(30), signe);
        put("/api/team/" + dov.id(), png(40), dov);

        String html = sent().html();

        assertThat(html.split("<img", -1)).as("three pictures").hasSize(4);
        assertThat(html).contains("data:image/png;base64,");
    }
}
