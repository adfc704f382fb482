package famulus.server.paper;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.Chosen;
import famulus.server.ServerTest;
import java.io.ByteArrayInputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** Templates and messages on paper. */
class PaperTest extends ServerTest {
    private UUID ines;

    @BeforeEach
    void somebody() throws Exception {
        ines = contact("Inés", "Okafor", "ines@larkfield.example");
    }

    private static String design(String words) {
        return "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"t\",\"kind\":\"text\","
                + "\"text\":[{\"runs\":[{\"text\":\"" + words + "\"}]}]}]}]}]}";
    }

    private static Map<String, Object> draft(String mode, String subject, String words) {
        Map<String, Object> draft = new HashMap<>(words(subject, mode.equals("PLAIN") ? words : ""));
        draft.put("name", "A paper");
        draft.put("mode", mode);
        if (!mode.equals("PLAIN")) {
            draft.put("design", design(words));
        }
        return draft;
    }

    private UUID added(String mode, String subject, String words) throws Exception {
        JsonNode made = added(draft(mode, subject, words), signe);
        return UUID.fromString(made.at("/template/id").asString());
    }

    private MockHttpServletResponse look(UUID template, String more) throws Exception {
        return mvc.perform(request(
                        "GET", "/api/templates/" + template + "/paper?kind=contact&person=" + ines + more, null, signe))
                .andReturn()
                .getResponse();
    }

    private static String text(byte[] pdf) throws Exception {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            return stripper.getText(document);
        }
    }

    private JsonNode attached(Map<String, Object> message, UUID template, String size) throws Exception {
        Map<String, Object> request = new HashMap<>();
        request.put("message", message);
        request.put("template", template == null ? null : template.toString());
        request.put("size", size);
        return done("POST", "/api/messages/paper", request, signe);
    }

    private byte[] file(JsonNode kept) throws Exception {
        return mvc.perform(
                        request("GET", "/api/materials/files/" + kept.get("id").asString(), null, signe))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    @Test
    void aTemplateIsSeenAsItWouldBePrintedForSomebody() throws Exception {
        UUID template = added(
                "LETTER", "Our plan for {contact.first_name}", "Dear {contact.first_name}, call {contact.mobile}.");

        MockHttpServletResponse shown = look(template, "");

        assertThat(shown.getContentType()).isEqualTo("application/pdf");
        assertThat(text(shown.getContentAsByteArray()))
                .contains("Our plan for Inés", "Dear Inés, call Mobile?.", "Inés Okafor", "1 / 1", "+44 1632 960100");
    }

    @Test
    void itsSizeIsThatOfItsReaderUnlessOneIsChosen() throws Exception {
        UUID template = added("DESIGNED", "Plan", "Words");
        try (PDDocument usual = Loader.loadPDF(look(template, "").getContentAsByteArray());
                PDDocument chosen =
                        Loader.loadPDF(look(template, "&size=LETTER").getContentAsByteArray())) {
            assertThat(usual.getPage(0).getMediaBox().getHeight()).isBetween(841f, 843f);
            assertThat(chosen.getPage(0).getMediaBox().getHeight()).isBetween(791f, 793f);
        }
    }

    @Test
    void plainMessagesAreNotPutOnPaper() throws Exception {
        UUID template = added("PLAIN", "Plan", "Words");

        assertThat(json.readTree(look(template, "").getContentAsByteArray())
                        .get("code")
                        .asString())
                .isEqualTo("not-on-paper");
    }

    @Test
    void aMessageGoesWithItselfOnPaper() throws Exception {
        Map<String, Object> message = message(null, ines, draft("LETTER", "A quote: 48/2", "Dear Inés, here it is."));

        JsonNode kept = attached(message, null, null);

        assertThat(kept.get("name").asString()).isEqualTo("A quote 48 2.pdf");
        assertThat(text(file(kept))).contains("A quote: 48/2", "Dear Inés, here it is.");
        assertThat(done("GET", "/api/materials/files", null, signe)).isEmpty();
    }

    @Test
    void aMessageGoesWithAnotherTemplateOnPaper() throws Exception {
        UUID template = added("DESIGNED", "Terms for {contact.first_name}", "Our terms, {contact.last_name}.");
        done("POST", "/api/templates/" + template + "/ready", Map.of("ready", true, "version", 1), signe);

        JsonNode kept = attached(message(null, ines, words("Hello", "See the terms.")), template, "LETTER");

        assertThat(kept.get("name").asString()).isEqualTo("Terms for Inés.pdf");
        assertThat(text(file(kept))).contains("Our terms, Okafor.");
    }

    @Test
    void nothingIsPutOnPaperThatCouldNotLeave() throws Exception {
        UUID template = added("LETTER", "Terms", "Call {contact.mobile}.");
        Map<String, Object> message = message(null, ines, words("Hello", "See the terms."));

        assertThat(attached(message, template, null).get("code").asString()).isEqualTo("gap");
        assertThat(attached(message(null, ines, words("Hello", "Plain.")), null, null)
                        .get("code")
                        .asString())
                .isEqualTo("not-on-paper");
        assertThat(attached(null, null, null).at("/fields/message").asString()).isNotEmpty();
        assertThat(sql.queryForObject("select count(*) from kept_file", Integer.class))
                .isZero();
    }

    @Test
    void aTemplateOfSomebodyElseIsUnknown() throws Exception {
        JsonNode made = done("POST", "/api/templates", draft("LETTER", "Mine", "Words"), dov);
        UUID template = UUID.fromString(made.at("/template/id").asString());

        assertThat(json.readTree(look(template, "").getContentAsByteArray())
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(attached(message(null, ines, words("Hello", "See this.")), template, null)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void aLongItemTableGoesOverPages() throws Exception {
        UUID deal = UUID.fromString(
                done("POST", "/api/records/deal", Map.of("values", Map.of("name", "North field"), "email", ""), signe)
                        .get("id")
                        .asString());
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        done(
                "PUT",
                "/api/records/deal/" + deal + "/lines",
                java.util.stream.IntStream.range(0, 90)
                        .mapToObj(i -> Map.of("description", "Line " + i, "quantity", 1, "unit", "", "price", 10))
                        .toList(),
                signe);
        Map<String, Object> draft = draft("DESIGNED", "Quote", "x");
        draft.put("about", "DEAL");
        draft.put(
                "design",
                "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"i\",\"kind\":\"item table\","
                        + "\"columns\":[{\"is\":\"description\"},{\"is\":\"total\"}],\"totals\":true,\"empty\":\"\"}]}]}]}");
        UUID template = UUID.fromString(added(draft, signe).at("/template/id").asString());

        String printed = text(look(template, "&deal=" + deal).getContentAsByteArray());

        assertThat(printed).contains("Line 0", "Line 89", "1 / 4", "4 / 4");
        assertThat(printed.split("Description", -1)).hasSize(5);
        assertThat(printed.split("Total", -1)).as("the sum stands once").hasSize(2);
    }

    private MockHttpServletResponse papers(UUID template, boolean together, UUID... whom) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("choice", Chosen.byHand("contact", whom));
        wanted.put("template", template.toString());
        wanted.put("size", null);
        wanted.put("together", together);
        return mvc.perform(request("POST", "/api/exports/papers", wanted, signe))
                .andReturn()
                .getResponse();
    }

    @Test
    void aTemplateIsPutOnPaperForEachWhoIsChosen() throws Exception {
        UUID tobias = contact("Tobias", "Larkin", "");
        UUID other = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        UUID template = added("LETTER", "Our plan for {contact.first_name}", "Dear {contact.first_name}, soon.");

        byte[] one = papers(template, true, ines, tobias, other).getContentAsByteArray();
        assertThat(text(one)).contains("Dear Inés, soon.", "Dear Tobias, soon.", "1 / 1");
        try (PDDocument joined = Loader.loadPDF(one)) {
            assertThat(joined.getNumberOfPages()).isEqualTo(3);
            assertThat(joined.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(joined.getDocumentCatalog().getStructureTreeRoot().getKids())
                    .isNotEmpty();
        }

        Map<String, byte[]> files = new TreeMap<>();
        byte[] packed = papers(template, false, ines, tobias, other).getContentAsByteArray();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(packed))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), zip.readAllBytes());
            }
        }
        assertThat(files).containsOnlyKeys("Inés Okafor.pdf", "Tobias Larkin.pdf", "Tobias Larkin 2.pdf");
        assertThat(text(files.get("Inés Okafor.pdf"))).contains("Dear Inés, soon.");
    }

    @Test
    void forWhomItIsNotReadyIsSaidByName() throws Exception {
        UUID tobias = contact("Tobias", "Larkin", "");
        change(tobias, "mobile", "01632 960 555");
        UUID template = added("LETTER", "Terms", "Call {contact.mobile}.");
        assertThat(json.readTree(papers(template, true, ines, tobias).getContentAsByteArray())
                        .get("detail")
                        .asString())
                .startsWith("Not ready for 1 of 2. Inés Okafor: ");
        assertThat(text(papers(template, true, tobias).getContentAsByteArray())).contains("Call");
        UUID plain = added("PLAIN", "Plan", "Words");
        assertThat(json.readTree(papers(plain, true, ines).getContentAsByteArray())
                        .get("code")
                        .asString())
                .isEqualTo("not-on-paper");
    }
}
