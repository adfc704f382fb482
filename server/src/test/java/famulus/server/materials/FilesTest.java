package famulus.server.materials;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.james.mime4j.dom.Entity;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.dom.Multipart;
import org.apache.james.mime4j.dom.SingleBody;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Files kept in the cupboard, and what leaves with a message. */
class FilesTest extends ServerTest {
    private JsonNode bring(String name, byte[] content, Colleague as) throws Exception {
        return upload("/api/materials/files", Map.of("name", name), content, as);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private Map<String, Object> draft(List<UUID> files) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "With files");
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", "The list");
        draft.put("previewText", "");
        draft.put("body", "Here it is.");
        draft.put("files", files);
        return draft;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "virus.exe",
                "a.pdf.js",
                "RUN.BAT",
                "tool.JAR",
                "tool.exe ",
                "tool.exe. . .",
                "tool.exe::$DATA",
                "tool.exe:stream.pdf",
                "tool.ex\u200be",
                "tool.e\u202exe\u202c",
                "C:\\\\x\\tool.exe",
                "sums.xlsm",
                "setup.dmg",
            })
    void takesNoPrograms(String name) throws Exception {
        assertThat(bring(name, bytes("x"), signe).at("/fields/file").asString()).contains("program");
    }

    @Test
    void takesNothingEmptyOrTooLargeOrDisguised() throws Exception {
        assertThat(bring("a.pdf", new byte[0], signe).at("/fields/file").asString())
                .contains("empty");
        assertThat(bring("a.pdf", new byte[25_000_001], signe)
                        .at("/fields/file")
                        .asString())
                .contains("larger than 25 MB");
        assertThat(bring("a.pdf", bytes("MZ\u0090"), signe).at("/fields/file").asString())
                .contains("program");
        assertThat(bring("a\r\nBcc: x.pdf", bytes("x"), signe)
                        .at("/fields/name")
                        .isMissingNode())
                .isFalse();
        assertThat(done("GET", "/api/materials/files", null, signe)).isEmpty();
    }

    /** However many messages a file is attached to, it is kept once: the cupboard's own and theirs are the same bytes. */
    @Test
    void isKeptOnceHoweverManyMessagesItGoesAlongWith() throws Exception {
        byte[] large = new byte[2_000_000];
        new java.util.Random(8).nextBytes(large);
        JsonNode file = bring("plans.dat", large, signe);
        UUID id = UUID.fromString(file.get("id").asString());
        String template = added(draft(List.of(id)), signe).at("/template/id").asString();
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        for (int i = 0; i < 12; i++) {
            Map<String, Object> sending = new HashMap<>();
            sending.put("id", UUID.randomUUID());
            sending.put("template", template);
            sending.put("kind", "contact");
            sending.put("person", ines);
            sending.put("words", words("Plans " + i, "Here they are.", List.of(id)));
            assertThat(done("POST", "/api/messages", sending, signe).has("id")).isTrue();
        }

        assertThat(sql.queryForObject("select count(*) from content", Integer.class))
                .isEqualTo(1);
        assertThat(sql.queryForObject("select sum(octet_length(packed)) from kept_source", Long.class))
                .isLessThan(12 * 2_000L);
        UUID any = sql.queryForObject("select min(id) from outgoing_message", UUID.class);
        Message read = new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(wire(any)));
        SingleBody along =
                (SingleBody) ((Multipart) read.getBody()).getBodyParts().get(1).getBody();
        assertThat(along.getInputStream().readAllBytes()).isEqualTo(large);
    }

    @Test
    void goesAlongWithAMessageUnderItsNameInAnyScript() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        JsonNode file = bring("Preise für Bäume 価格.pdf", bytes("%PDF-1.7 list"), signe);
        UUID id = UUID.fromString(file.get("id").asString());
        JsonNode made = added(draft(List.of(id)), signe);
        assertThat(made.at("/template/files/0").asString()).isEqualTo(id.toString());

        UUID message = UUID.randomUUID();
        Map<String, Object> sending = new HashMap<>();
        sending.put("id", message);
        sending.put("template", made.at("/template/id").asString());
        sending.put("kind", "contact");
        sending.put("person", ines);
        sending.put("words", words("The list", "Here it is.", List.of(id)));
        assertThat(done("POST", "/api/messages", sending, signe).get("id").asString())
                .isEqualTo(message.toString());

        byte[] source = wire(message);
        Message read = new DefaultMessageBuilder().parseMessage(new ByteArrayInputStream(source));
        List<Entity> parts = ((Multipart) read.getBody()).getBodyParts();
        assertThat(read.getMimeType()).isEqualTo("multipart/mixed");
        assertThat(parts.get(0).getMimeType()).isEqualTo("text/plain");
        assertThat(parts.get(1).getMimeType()).isEqualTo("application/pdf");
        assertThat(parts.get(1).getDispositionType()).isEqualTo("attachment");
        assertThat(((SingleBody) parts.get(1).getBody()).getInputStream().readAllBytes())
                .isEqualTo(bytes("%PDF-1.7 list"));
        assertThat(new String(source, StandardCharsets.ISO_8859_1).chars().allMatch(c -> c < 128))
                .isTrue();
        JsonNode shown = done("GET", "/api/messages/" + message, null, signe).get("read");
        assertThat(shown.toString()).contains("Preise für Bäume 価格.pdf");
    }

    @Test
    void staysWhileATemplateHasItAndIsDeletedByWhoeverMayChangeIt() throws Exception {
        UUID id = UUID.fromString(bring("list.pdf", bytes("x"), signe).get("id").asString());
        JsonNode made = added(draft(List.of(id)), signe);
        String file = "/api/materials/files/" + id;
        assertThat(done("DELETE", file, null, dov).get("code").asString()).isEqualTo("forbidden");
        assertThat(done("DELETE", file, null, signe).get("code").asString()).isEqualTo("in-use");
        assertThat(done("DELETE", file, null, oriel).get("detail").asString()).contains("“With files”");
        done("DELETE", "/api/templates/" + made.at("/template/id").asString(), null, signe);
        done("DELETE", file, null, oriel);
        assertThat(done("GET", "/api/materials/files", null, signe)).isEmpty();
        assertThat(added(draft(List.of(id)), signe).at("/fields/files").asString())
                .contains("files is gone");
    }

    @ParameterizedTest
    @CsvSource({
        "7F454C46020101, Linux",
        "CFFAEDFE0C000001, macOS",
        "CAFEBABE00000041, Java",
        "23212F62696E2F7368, a script",
        "4D5A9000, Windows",
        "213C617263683E0A64656269616E2D62696E617279, a package",
        "4D53434600000000, a cabinet",
        "D0CF11E0A1B11AE1000084100C0000000000C000000000000046, an installer",
        "D0CF11E0A1B11AE1005F005600420041005F00500052004F004A00450043005400, macros",
    })
    void takesNoProgramWhateverItIsCalled(String hex, String what) throws Exception {
        byte[] content = HexFormat.of().parseHex(hex);
        assertThat(bring("list.pdf", content, signe).at("/fields/file").asString())
                .as(what)
                .contains("program");
    }

    @ParameterizedTest
    @ValueSource(strings = {"word/vbaProject.bin", "docs/tool.exe", "AndroidManifest.xml", "a/Main.class"})
    void takesNoArchiveWithAProgramInIt(String entry) throws Exception {
        assertThat(bring("list.zip", zip("readme.txt", entry), signe)
                        .at("/fields/file")
                        .asString())
                .contains("program");
        assertThat(bring("list.zip", zip("readme.txt", "prices.csv"), signe)
                        .get("name")
                        .asString())
                .isEqualTo("list.zip");
    }

    private static byte[] zip(String... entries) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream archive = new ZipOutputStream(bytes)) {
            for (String entry : entries) {
                archive.putNextEntry(new ZipEntry(entry));
                archive.write(bytes("x"));
            }
        }
        return bytes.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({
        "../../etc/list.pdf, list.pdf",
        "C:\\docs\\list.pdf, list.pdf",
        "'  list.pdf . ', list.pdf",
        "list\u202Efdp.txt, listfdp.txt",
        "..., file",
    })
    void aNameHasNoPathAndNothingUnseen(String name, String kept) throws Exception {
        assertThat(bring(name, bytes("x"), signe).get("name").asString()).isEqualTo(kept);
    }
}
