package famulus.server.donotemail;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The do-not-email list stops everything, is added to by everybody, and is never shortened by a file. */
class DoNotEmailListTest extends ServerTest {
    private JsonNode add(String entry, String reason, Colleague as) throws Exception {
        return done("POST", "/api/do-not-email", Map.of("entry", entry, "reason", reason), as);
    }

    private JsonNode list() throws Exception {
        return done("GET", "/api/do-not-email", null, dov);
    }

    private JsonNode bringIn(byte[] file) throws Exception {
        return upload("/api/do-not-email/import", Map.of(), file, signe);
    }

    private JsonNode bringIn(String file) throws Exception {
        return bringIn(file.getBytes(StandardCharsets.UTF_8));
    }

    private JsonNode send(UUID person) throws Exception {
        return done("POST", "/api/messages", message(null, person, words("Hello", "Dear Ines.")), signe);
    }

    @Test
    void everybodyAddsAndOnlyEditorsTakeOff() throws Exception {
        add("Ines@Larkfield.example", "Asked us to stop", signe);
        assertThat(list().at("/entries/0/entry").asString()).isEqualTo("ines@larkfield.example");
        assertThat(list().at("/entries/0/addedBy").asString()).isEqualTo("Signe");
        assertThat(add("ines@larkfield.example", "", dov).at("/fields/entry").asString())
                .contains("already");
        assertThat(add("ines at larkfield", "", dov).at("/fields/entry").asString())
                .contains("neither");
        assertThat(add("tom@larkfield.example", "x".repeat(201), dov)
                        .at("/fields/reason")
                        .asString())
                .isNotEmpty();

        String path = "/api/do-not-email?entry=ines@larkfield.example";
        assertThat(done("DELETE", path, null, signe).get("code").asString()).isEqualTo("forbidden");
        assertThat(list().get("entries")).hasSize(1);
        done("DELETE", path, null, oriel);
        assertThat(list().get("entries")).isEmpty();
        assertThat(done("DELETE", path, null, oriel).get("code").asString()).isEqualTo("missing");
    }

    @Test
    void nothingIsSentToAnAddressOrDomainOnIt() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID tom = contact("Tom", "Hall", "tom@farm.mossgate.example");
        add("ines@larkfield.example", "Asked us to stop", signe);
        add("mossgate.example", "", signe);

        assertThat(send(ines).at("/fields/address").asString())
                .isEqualTo("ines@larkfield.example is on the do-not-email list: Asked us to stop.");
        assertThat(send(tom).at("/fields/address").asString())
                .isEqualTo("tom@farm.mossgate.example is on the do-not-email list with all of mossgate.example.");
        Map<String, Object> copied = message(null, contact("Ada", "Pell", "ada@pell.example"), words("x", "Dear Ada."));
        copied.put("wishes", Map.of("bcc", java.util.List.of("INES@larkfield.example")));
        assertThat(done("POST", "/api/messages", copied, signe)
                        .at("/fields/bcc")
                        .asString())
                .contains("do-not-email");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void aFileAddsAndTakesNothingOff() throws Exception {
        add("first@larkfield.example", "Asked", signe);
        JsonNode done =
                bringIn("Address;Reason\nfirst@larkfield.example;other\nsecond@larkfield.example;Müde\nnot one\n"
                        + "mossgate.example;\nsecond@larkfield.example;\n");
        assertThat(done.get("added").asInt()).isEqualTo(2);
        assertThat(done.get("already").asInt()).isEqualTo(2);
        assertThat(done.get("notRead").asInt()).isEqualTo(1);
        assertThat(done.get("wrong").toString()).contains("Line 4", "not one");
        assertThat(list().at("/entries").valueStream().map(one -> one.get("reason")
                        .asString()))
                .containsExactly("Asked", "", "Müde");
    }

    @Test
    void aFileThatIsNoneIsRefusedWhole() throws Exception {
        assertThat(bringIn("").at("/fields/file").asString()).isEqualTo("This file is empty.");
        assertThat(bringIn("\n\n").at("/fields/file").asString()).isEqualTo("This file is empty.");
        assertThat(bringIn(new byte[10_000_001]).at("/fields/file").asString()).contains("10 MB");
        assertThat(list().get("entries")).isEmpty();
    }

    @Test
    void whatIsTakenOutComesBackIn() throws Exception {
        add("first@larkfield.example", "=1+1", signe);
        add("mossgate.example", "Gone, \"all\" of them", signe);
        byte[] file = mvc.perform(request("GET", "/api/do-not-email/do-not-email.csv", null, signe))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        sql.execute("delete from do_not_email");
        assertThat(bringIn(file).get("added").asInt()).isEqualTo(2);
        assertThat(list().at("/entries").valueStream().map(one -> one.get("reason")
                        .asString()))
                .containsExactly("=1+1", "Gone, \"all\" of them");
    }

    @Test
    void anImportOfPeopleChangesNothingAboutIt() throws Exception {
        add("ines@larkfield.example", "Asked us to stop", signe);
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        assertThat(send(ines).at("/fields/address").asString()).contains("do-not-email");
    }

    @Test
    void aLongListIsReadInParts() throws Exception {
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < 250; i++) {
            file.append("p").append(1000 + i).append("@larkfield.example\n");
        }
        bringIn(file.toString());
        JsonNode first = list();
        assertThat(first.get("entries")).hasSize(100);
        assertThat(first.get("more").asBoolean()).isTrue();
        Map<String, String> seen = new HashMap<>();
        JsonNode page = first;
        while (true) {
            page.get("entries").forEach(one -> seen.put(one.get("entry").asString(), ""));
            if (!page.get("more").asBoolean()) {
                break;
            }
            page = done(
                    "GET",
                    "/api/do-not-email?after=" + page.at("/entries/99/entry").asString(),
                    null,
                    signe);
        }
        assertThat(seen).hasSize(250);
        assertThat(done("GET", "/api/do-not-email?begins=P1249", null, signe).get("entries"))
                .hasSize(1);
    }
}
