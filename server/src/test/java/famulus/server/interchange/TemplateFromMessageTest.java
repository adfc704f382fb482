package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

class TemplateFromMessageTest extends ServerTest {
    private static final String TEXT =
            """
            Hello Ines,

            we come to Larkfield Farms on Friday, 8 May. Tobias Larkin has the key.

            Kind regards,
            Dov
            Tel. 01632 960100

            On Mon, 4 May 2026 at 09:12, Ines wrote:
            > When?
            """;

    @Autowired
    private RecordService records;

    private UUID ines;

    @BeforeEach
    void people() {
        UUID larkfield = records.add(CrmKind.ORGANISATION, Map.of("name", "Larkfield Farms"), "");
        ines = records.add(
                CrmKind.CONTACT,
                Map.of("first_name", "Inès", "last_name", "Okafor-Brandt", "organisation", larkfield.toString()),
                "");
        records.add(CrmKind.CONTACT, Map.of("first_name", "Tobias", "last_name", "Larkin"), "tobias@larkfield.example");
    }

    private Map<String, Object> words(String text) {
        Map<String, Object> words = new HashMap<>();
        words.put("subject", "For Larkfield Farms");
        words.put("text", text);
        words.put("kind", "contact");
        words.put("person", ines.toString());
        words.put("withoutSignature", true);
        words.put("withoutThread", true);
        return words;
    }

    private JsonNode read(Map<String, Object> words) throws Exception {
        return done("POST", "/api/templates/from-message/read", words, signe);
    }

    private JsonNode made(Map<String, Object> words, List<Map<String, Object>> accepted) throws Exception {
        return done(
                "POST",
                "/api/templates/from-message",
                Map.of("words", words, "name", "As it worked", "accepted", accepted),
                signe);
    }

    private static List<Map<String, Object>> all(JsonNode read) {
        List<Map<String, Object>> accepted = new ArrayList<>();
        for (JsonNode found : read.get("found")) {
            accepted.add(Map.of(
                    "key", found.get("key").asString(),
                    "start", found.get("start").asInt(),
                    "words", found.get("words").asString(),
                    "written", found.at("/fields/0/written").asString()));
        }
        return accepted;
    }

    @Test
    void valuesOfItsReaderAreFoundAndBecomeFields() throws Exception {
        JsonNode read = read(words(TEXT));
        assertThat(read.get("found").findValuesAsString("words"))
                .containsExactly("Larkfield Farms", "Ines", "Larkfield Farms");
        assertThat(read.get("left").toString()).contains("Tobias Larkin").contains("a contact");
        assertThat(read.get("signature").asString()).startsWith("Dov");
        assertThat(read.get("thread").asString()).endsWith("When?");

        String made = made(words(TEXT), all(read)).get("id").asString();

        JsonNode template = done("GET", "/api/templates/" + made, null, signe).get("template");
        assertThat(template.get("subject").asString()).isEqualTo("For {person.company else \"your company\"}");
        assertThat(template.get("mode").asString()).isEqualTo("LETTER");
        assertThat(template.get("design").asString())
                .contains("Hello {person.first_name else \\\"there\\\"},")
                .contains("signature")
                .doesNotContain("01632", "When?");
        assertThat(template.get("readyVersion").isNull()).isTrue();
    }

    @Test
    void theEndsStayWhereNobodyAsksForThemToGo() throws Exception {
        Map<String, Object> words = words(TEXT);
        words.put("withoutSignature", false);
        words.put("withoutThread", false);
        assertThat(read(words).toString()).contains("01632 960100").contains("> When?");
    }

    private UUID deal(String name, String value) throws Exception {
        Map<String, String> values = Map.of("name", name, "value", value + " GBP");
        UUID deal = UUID.fromString(done("POST", "/api/records/deal", Map.of("values", values, "email", ""), signe)
                .get("id")
                .asString());
        done("PUT", "/api/records/deal/" + deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        return deal;
    }

    /** Of several deals the one counts that the text says most of. */
    @Test
    void theDealItIsAboutIsFound() throws Exception {
        deal("Spring", "1200");
        UUID autumn = deal("Autumn", "9600");
        deal("Winter", "800");
        Map<String, Object> words = words("Hello Ines,\n\nthat comes to £9,600.00 in all.");

        JsonNode read = read(words);

        assertThat(read.get("deal").asString()).isEqualTo(autumn.toString());
        assertThat(read.get("deals").findValuesAsString("name"))
                .containsExactlyInAnyOrder("Spring", "Autumn", "Winter");
        assertThat(read.get("found").findValuesAsString("words")).contains("£9,600.00");
        words.put("deal", autumn.toString());
        String made = made(words, all(read(words))).get("id").asString();
        JsonNode template = done("GET", "/api/templates/" + made, null, signe).get("template");
        assertThat(template.get("about").asString()).isEqualTo("DEAL");
        assertThat(template.get("design").asString()).contains("that comes to {deal.value} in all");
        assertThat(read(words("Hello Ines, how are you?")).get("deal").isNull()).isTrue();
    }

    /** The browser says what was accepted; what may be put in is found anew. */
    @Test
    void onlyWhatIsFoundCanBePutIn() throws Exception {
        Map<String, Object> forged =
                Map.of("key", "SUBJECT", "start", 4, "words", "Larkfield Farms", "written", "{our.name}");
        assertThat(made(words(TEXT), List.of(forged)).get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(sql.queryForObject("select count(*) from template", Integer.class))
                .isZero();
    }

    /** Of a message of ours that is HTML the words are looked through, not its tags. */
    @Test
    void valuesAreFoundInHtmlToo() throws Exception {
        UUID despina = contact("Despina", "Anthopoulou", "despina@larkfield.example");
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "News");
        draft.put("about", "CONTACT");
        draft.put("mode", "SOURCE");
        draft.put("subject", "News");
        draft.put(
                "design",
                done(
                                "POST",
                                "/api/templates/bring-in",
                                Map.of("html", "<p title='Despina'>Dear <b>Despina</b>, is Friday good?</p>"),
                                signe)
                        .get("design")
                        .asString());
        UUID template = UUID.fromString(
                done("POST", "/api/templates", draft, signe).at("/template/id").asString());
        String message = done("POST", "/api/messages", message(template, despina, null), signe)
                .get("id")
                .asString();
        Map<String, Object> wanted = Map.of("message", message, "withoutSignature", false, "withoutThread", false);
        JsonNode read = read(wanted);
        assertThat(read.get("found").findValuesAsString("words")).containsExactly("Despina");
        assertThat(read.get("texts").toString()).doesNotContain("<p", "<b>");

        String made = made(wanted, all(read)).get("id").asString();
        assertThat(done("GET", "/api/templates/" + made, null, signe)
                        .at("/template/design")
                        .asString())
                .contains("Dear <b>{", "title=\\\"Despina\\\"")
                .contains("}</b>, is Friday good?");
    }

    @Test
    void withoutAPersonNothingIsFoundAndNamesArePointedOut() throws Exception {
        Map<String, Object> words = words("Dear Tobias,\n\nhow is it?");
        words.remove("person");
        JsonNode read = read(words);
        assertThat(read.get("found")).isEmpty();
        assertThat(read.get("left").findValuesAsString("words")).contains("Tobias");
    }

    @Test
    void whoeverItWasForIsFoundByAddressAndName() throws Exception {
        JsonNode by = done(
                "POST",
                "/api/templates/from-message/people",
                Map.of("to", List.of("Tobias@Larkfield.example"), "text", "Inès Okafor-Brandt was there"),
                signe);
        assertThat(by.findValuesAsString("name")).containsExactly("Tobias Larkin", "Inès Okafor-Brandt");
        JsonNode quoted = done(
                "POST",
                "/api/templates/from-message/people",
                Map.of(
                        "to",
                        List.of(),
                        "text",
                        "Tobias Larkin knows.\n\nOn 4 May 2026, Ines Okafor-Brandt wrote:\n> When?"),
                signe);
        assertThat(quoted.findValuesAsString("name")).containsExactly("Inès Okafor-Brandt", "Tobias Larkin");
        assertThat(quoted.at("/0/company").asString()).isEqualTo("Larkfield Farms");
    }

    private JsonNode file(String message) throws Exception {
        return upload(
                "/api/templates/from-message/file",
                Map.of(),
                message.replace("\n", "\r\n").getBytes(StandardCharsets.ISO_8859_1),
                signe);
    }

    @Test
    void anEmailFileIsRead() throws Exception {
        JsonNode read = file(
                """
                From: Dov <dov@ninefold.example>
                To: Ines <ines@larkfield.example>
                Subject: =?utf-8?q?Gr=C3=BC=C3=9Fe?=
                Date: Mon, 4 May 2026 09:12:00 +0100
                MIME-Version: 1.0
                Content-Type: multipart/alternative; boundary=b

                --b
                Content-Type: text/html; charset=iso-8859-1

                <p>Gr\u00fc\u00dfe in HTML</p><script>bad()</script>
                --b
                Content-Type: text/plain; charset=iso-8859-1
                Content-Transfer-Encoding: quoted-printable

                Gr=FC=DFe aus dem Norden
                --b--
                """);
        assertThat(read.get("subject").asString()).isEqualTo("Grüße");
        assertThat(read.get("text").asString().strip()).isEqualTo("Grüße aus dem Norden");
        assertThat(read.get("sent").asString()).isEqualTo("2026-05-04T08:12:00Z");
        assertThat(read.get("to").toString()).isEqualTo("[\"ines@larkfield.example\"]");
        JsonNode html = file("From: a@b.example\nContent-Type: text/html; charset=no-such\n\n<p>One</p><p>Two</p>");
        assertThat(html.get("text").asString()).contains("One").contains("Two").doesNotContain("<");
    }

    @Test
    void damagedFilesAreRefusedInWords() throws Exception {
        assertThat(file("PK\u0003\u0004 no mail").at("/fields/file").asString()).startsWith("This is no e-mail");
        assertThat(file("").at("/fields/file").asString()).startsWith("This is no e-mail");
        assertThat(file("From: a@b.example\n\n   ").at("/fields/file").asString())
                .startsWith("This e-mail has no words");
        StringBuilder deep = new StringBuilder("From: a@b.example\nSubject: deep\n");
        for (int i = 0; i < 100; i++) {
            deep.append("Content-Type: multipart/mixed; boundary=b" + i + "\n\n--b" + i + "\n");
        }
        assertThat(file(deep.append("Content-Type: text/plain\n\nInside").toString())
                        .at("/fields/file")
                        .asString())
                .isNotEmpty();
        String cut =
                "From: a@b.example\nContent-Type: multipart/mixed; boundary=b\n\n--b\nContent-Type: text/plain\n\nHalf a";
        assertThat(file(cut).get("text").asString()).isEqualTo("Half a");
        String junk = "From: a@b.example\nContent-Transfer-Encoding: base64\n\n!!SGVsbG8=%%junk";
        assertThat(file(junk).toString()).doesNotContain("\"status\":500");
    }
}
