package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.materials.PictureService;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.james.mime4j.dom.Entity;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.SingleBody;
import org.apache.james.mime4j.dom.TextBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A designed message from the template to its bytes, read back by a second library. */
class DesignedMailTest extends ServerTest {
    @Autowired
    private PictureService pictures;

    private UUID ines;
    private UUID picture;

    @BeforeEach
    void somebodyAndAPicture() throws Exception {
        ines = contact("Inés", "Okafor", "ines@larkfield.example");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new java.awt.image.BufferedImage(40, 30, java.awt.image.BufferedImage.TYPE_INT_RGB), "png", png);
        picture = pictures.add("Hives", png.toByteArray(), null, oriel).id();
    }

    private static String body(String blocks) {
        return "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[" + blocks + "]}]}]}";
    }

    private Map<String, Object> draft(String mode, String design) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Placement");
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", "Hives for {contact.first_name}");
        draft.put("previewText", "When they come");
        draft.put("body", "");
        draft.put("mode", mode);
        draft.put("design", design);
        return draft;
    }

    private JsonNode add(String mode, String design) throws Exception {
        return added(draft(mode, design), signe);
    }

    private Message sent(JsonNode made) throws Exception {
        UUID id = UUID.randomUUID();
        Map<String, Object> message = new HashMap<>();
        message.put("id", id.toString());
        message.put("template", made.get("template").get("id").asString());
        message.put("kind", "contact");
        message.put("person", ines.toString());
        JsonNode answer = done("POST", "/api/messages", message, signe);
        assertThat(answer.path("id").asString("")).as(answer.toString()).isEqualTo(id.toString());
        byte[] source = wire(id);
        assertWellFormed(source);
        JsonNode read = done("GET", "/api/messages/" + id, null, signe).get("read");
        assertThat(read.get("html").asString()).contains("Inés").doesNotContain("cid:");
        return new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(source));
    }

    /** Lines end by CRLF and are no longer than RFC 5322 allows; all of it is 7-bit. */
    private static void assertWellFormed(byte[] source) {
        String text = new String(source, StandardCharsets.ISO_8859_1);
        assertThat(text.chars().allMatch(c -> c < 128)).isTrue();
        assertThat(text.replace("\r\n", "")).doesNotContain("\r", "\n");
        assertThat(text.split("\r\n")).allMatch(line -> line.length() <= 998);
    }

    private static List<Entity> parts(Entity of, String type) {
        assertThat(of.getMimeType()).isEqualTo(type);
        return ((Multipart) of.getBody()).getBodyParts();
    }

    private static String text(Entity part) throws Exception {
        return new String(((TextBody) part.getBody()).getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    @Test
    void goesAsHtmlAndTextWithItsPictureAndCalendarFile() throws Exception {
        String design = body(
                "{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"Dear {contact.first_name},\"}]}]},"
                        + "{\"id\":\"p\",\"kind\":\"picture\",\"picture\":\"" + picture
                        + "\",\"description\":\"Hives\"},"
                        + "{\"id\":\"e\",\"kind\":\"event\",\"title\":\"Placement\",\"day\":\"{today plus 3 days}\",\"time\":\"05:30\"}");
        Message message = sent(add("DESIGNED", design));
        assertThat(message.getSubject()).isEqualTo("Hives for Inés");
        List<Entity> mixed = parts(message, "multipart/mixed");
        List<Entity> related = parts(mixed.get(0), "multipart/related");
        List<Entity> alternative = parts(related.get(0), "multipart/alternative");
        assertThat(text(alternative.get(0))).contains("Dear Inés,").contains("[Hives]");
        assertThat(text(alternative.get(1)))
                .contains("Dear Inés,")
                .contains("src=\"cid:" + picture + "~wide.480@famulus\"");
        Entity inline = related.get(1);
        assertThat(inline.getMimeType()).isEqualTo("image/png");
        assertThat(inline.getHeader().getField("Content-ID").getBody()).isEqualTo("<" + picture + "~wide.480@famulus>");
        assertThat(ImageIO.read(((SingleBody) inline.getBody()).getInputStream())
                        .getWidth())
                .isEqualTo(40);
        Entity calendar = mixed.get(1);
        assertThat(calendar.getMimeType()).isEqualTo("text/calendar");
        assertThat(calendar.getFilename()).isEqualTo("event.ics");
        assertThat(text(calendar)).contains("BEGIN:VEVENT").contains("SUMMARY:Placement");
    }

    @Test
    void aLetterWithoutPicturesIsAlternativeAlone() throws Exception {
        Message message = sent(
                add(
                        "LETTER",
                        body(
                                "{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"Dear {contact.first_name}\",\"bold\":true}]}]}")));
        List<Entity> alternative = parts(message, "multipart/alternative");
        assertThat(text(alternative.get(0))).isEqualTo("Dear Inés");
        assertThat(text(alternative.get(1))).doesNotContain("<table");
    }

    @Test
    void doesNotLeaveWithAGapOrWithoutItsPicture() throws Exception {
        JsonNode gap = add(
                "LETTER",
                body("{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"{contact.mobile}\"}]}]}"));
        JsonNode lost = add(
                "DESIGNED",
                body("{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"Hello\"}]}]},"
                        + "{\"id\":\"p\",\"kind\":\"picture\",\"picture\":\"" + UUID.randomUUID() + "\"}"));
        assertThat(refusal(gap)).isEqualTo("gap");
        assertThat(refusal(lost)).isEqualTo("picture-lost");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    private String refusal(JsonNode made) throws Exception {
        Map<String, Object> message = new HashMap<>();
        message.put("id", UUID.randomUUID().toString());
        message.put("template", made.get("template").get("id").asString());
        message.put("kind", "contact");
        message.put("person", ines.toString());
        return done("POST", "/api/messages", message, signe).get("code").asString();
    }

    @Test
    void refusesADesignThatCannotBeReadAndKeepsNothing() throws Exception {
        JsonNode answer = add("DESIGNED", body("{\"id\":\"t\",\"kind\":\"spacer\",\"height\":9000}"));
        assertThat(answer.get("fields").get("design").asString())
                .isEqualTo(
                        "The body, row 1, column 1, block 1 (spacer): “height” must be a whole number from 1 to 200.");
        assertThat(sql.queryForObject("select count(*) from template", Integer.class))
                .isZero();
    }
}
