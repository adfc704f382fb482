package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Files as they come: what can be read of them, and what can't. */
class ImportFilesTest extends InterchangeCase {
    @Test
    void refusesFilesThatCannotBeReadAndKeepsNothingOfThem() throws Exception {
        Map<byte[], String> files = Map.ofEntries(
                Map.entry(new byte[0], "This file is empty."),
                Map.entry(
                        "Surname,E-mail\n".getBytes(StandardCharsets.UTF_8), "no row in this file below the headings"),
                Map.entry("\n\n \n".getBytes(StandardCharsets.UTF_8), "no row in this file"),
                Map.entry(new byte[] {'P', 'K', 3, 4, 0, 0}, "save it as CSV"),
                Map.entry(new byte[] {0, 1, 2, 0, 5}, "not a text file"),
                Map.entry(
                        "Surname,Note\nWren,\"open\nGale,x\n".getBytes(StandardCharsets.UTF_8),
                        "Line 2, column 2: A quotation"),
                Map.entry(
                        ("Surname\n" + ",".repeat(2_000)).getBytes(StandardCharsets.UTF_8),
                        "Line 2, column 501: There are more"),
                Map.entry(
                        ("Surname,Note\nWren,\"" + "x".repeat(10_000_000) + "\"\n").getBytes(StandardCharsets.UTF_8),
                        "Line 2, column 2: This cell is too long"));
        for (Map.Entry<byte[], String> file : files.entrySet()) {
            JsonNode answer = begin("contact", "bad.csv", file.getKey(), signe);
            assertThat(answer.get("fields").get("file").asString()).contains(file.getValue());
        }
        assertThat(count("import_file")).isZero();
        assertThat(count("import_part")).isZero();
    }

    @Test
    void refusesMoreRowsThanCanBeImported() throws Exception {
        JsonNode answer = begin("contact", "Surname\n" + "Wren\n".repeat(200_001));
        assertThat(answer.get("fields").get("file").asString())
                .startsWith("Line 200002: At most 200,000 rows can be imported at once.");
        assertThat(count("import_part")).isZero();
    }

    @Test
    void refusesFilesThatAreTooLarge() throws Exception {
        JsonNode answer = begin("contact", "large.csv", new byte[(int) ImportFiles.LARGEST + 100_000], signe);
        assertThat(answer.get("fields").get("file").asString()).startsWith("This file is too large: at most 64 MB");
        assertThat(count("import_part")).isZero();
    }

    @Test
    void readsEveryEncodingAndLineEnd() throws Exception {
        String text = "Surname,E-mail\rKärcher,a@b.example\r\nØre,c@d.example\nGale,e@f.example";
        for (Charset charset : List.of(
                StandardCharsets.UTF_8,
                StandardCharsets.UTF_16LE,
                StandardCharsets.UTF_16BE,
                Charset.forName("windows-1252"))) {
            for (String mark : charset.newEncoder().canEncode('\ufeff') ? List.of("", "\ufeff") : List.of("")) {
                JsonNode file = begin("contact", "some.csv", (mark + text).getBytes(charset), signe);
                assertThat(file.get("rows").asInt()).as(charset + mark).isEqualTo(3);
                assertThat(file.get("columns").get(0).get("samples").get(0).asString())
                        .isEqualTo("Kärcher");
                assertThat(targets(file)).containsExactly("last_name", "email");
            }
        }
    }

    @Test
    void copesWithOddHeadings() throws Exception {
        JsonNode two = begin("contact", "Who,Reach\nSurname,E-mail\nWren,a@b.example\n");
        assertThat(two.get("settings").get("headings").asInt()).isEqualTo(2);
        assertThat(two.get("rows").asInt()).isEqualTo(1);
        JsonNode none = begin("contact", "Wren,a@b.example\nGale,c@d.example\n");
        assertThat(none.get("settings").get("headings").asInt()).isZero();
        assertThat(none.get("wrong").asString()).startsWith("Choose the column that holds the surname");
        assertThat(check(none).get("fields").get("targets").asString()).startsWith("Choose the column");
        JsonNode twice = begin("contact", "Surname,Surname,E-mail,E-mail\nWren,Gale,a@b.example,c@d.example\n");
        assertThat(targets(twice)).containsExactly("last_name", "", "email", "email");
        assertThat(match(twice, "last_name", "last_name", "", "").get("wrong").asString())
                .isEqualTo("Two columns go to “Surname”. Choose one.");
        assertThat(match(twice, "id", "", "", "").get("fields").get("targets").asString())
                .isEqualTo("Choose where each column goes from the list.");
    }

    @Test
    void isForWhoeverBeganIt() throws Exception {
        JsonNode file = begin("contact", "Surname\nWren\n");
        assertThat(done("GET", "/api/imports/" + id(file), null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(done("DELETE", "/api/imports/" + id(file), null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        done("DELETE", "/api/imports/" + id(file), null, signe);
        assertThat(count("import_part")).isZero();
        begin("contact", "Surname\nWren\n");
        clock.forward(Duration.ofDays(2));
        begin("lead", "Name\nAda Lorne\n");
        assertThat(count("import_file")).as("a file is kept for a day").isEqualTo(1);
    }
}
