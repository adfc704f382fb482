package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Versions of a template: ready, tested, compared, brought back; and several people at one. */
class VersionsTest extends ServerTest {
    private static Map<String, Object> draft(String subject, String design) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Placement");
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", subject);
        draft.put("previewText", "When they come");
        draft.put("body", "");
        draft.put("mode", "LETTER");
        draft.put("design", design);
        return draft;
    }

    private static String design(String... words) {
        StringBuilder blocks = new StringBuilder();
        for (int at = 0; at < words.length; at++) {
            blocks.append(at == 0 ? "" : ",")
                    .append("{\"id\":\"b")
                    .append(at)
                    .append("\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"")
                    .append(words[at])
                    .append("\"}]}]}");
        }
        return "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[" + blocks + "]}]}]}";
    }

    private UUID letter(String... words) throws Exception {
        JsonNode made = added(draft("Hives", design(words)), signe);
        return UUID.fromString(made.get("template").get("id").asString());
    }

    private JsonNode change(UUID id, int version, Map<String, Object> draft, Colleague as) throws Exception {
        return done("PUT", "/api/templates/" + id, Map.of("version", version, "draft", draft), as);
    }

    private JsonNode ready(UUID id, int version, Colleague as) throws Exception {
        return done("POST", "/api/templates/" + id + "/ready", Map.of("version", version), as);
    }

    private JsonNode versions(UUID id) throws Exception {
        return done("GET", "/api/templates/" + id + "/versions", null, signe);
    }

    private JsonNode begin(UUID id, UUID person, Colleague as) throws Exception {
        Map<String, Object> request = new HashMap<>();
        request.put("template", id.toString());
        request.put("id", UUID.randomUUID().toString());
        request.put("kind", "contact");
        request.put("person", person.toString());
        return done("POST", "/api/messages/proof", request, as);
    }

    private JsonNode test(UUID id, int version, UUID person, List<UUID> to, Colleague as) throws Exception {
        return done(
                "POST",
                "/api/templates/" + id + "/tests",
                Map.of("version", version, "kind", "contact", "person", person, "to", to, "list", false),
                as);
    }

    @Test
    void aTestGoesToTheCheckInboxesEachOnce() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = letter("Monday");
        Map<String, Object> test =
                Map.of("version", 1, "kind", "contact", "person", ines, "to", List.of(signe.id()), "list", true);
        assertThat(done("PUT", "/api/check-inboxes", Map.of("addresses", List.of("a@one.example", "nobody")), oriel)
                        .at("/fields/addresses")
                        .asString())
                .startsWith("nobody: ");
        JsonNode kept = done(
                "PUT",
                "/api/check-inboxes",
                Map.of("addresses", List.of(" a@one.example ", "", "b@two.example", "a@one.example", signe.email())),
                oriel);
        assertThat(kept.get("addresses").valueStream().map(JsonNode::asString))
                .containsExactly("a@one.example", "b@two.example", signe.email());

        assertThat(done("POST", "/api/templates/" + id + "/tests", test, signe)
                        .get("sent")
                        .asInt())
                .isEqualTo(3);
        done("PUT", "/api/check-inboxes", Map.of("addresses", List.of()), oriel);
        Map<String, Object> nobody = new HashMap<>(test);
        nobody.put("to", List.of());
        assertThat(done("POST", "/api/templates/" + id + "/tests", nobody, signe)
                        .at("/fields/to")
                        .asString())
                .isEqualTo("There are no check inboxes yet.");
    }

    @Test
    void aVersionWhosePassagePictureOrFieldIsGoneComesBackAndSaysWhatIsMissing() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        Map<String, Object> passage = draft("", design("Bees stay in"));
        passage.put("kind", "PASSAGE");
        passage.put("name", "Frost");
        UUID frost = UUID.fromString(added(passage, signe).at("/template/id").asString());
        ready(frost, 1, signe);
        String picture = UUID.randomUUID().toString();
        String whole = design("Water: {contact.well_depth}")
                .replace(
                        "}]}]}]}]}]}",
                        "}]}]},{\"id\":\"p\",\"kind\":\"passage\",\"passage\":\"" + frost
                                + "\"},{\"id\":\"i\",\"kind\":\"picture\",\"width\":240,\"picture\":\"" + picture
                                + "\",\"description\":\"A hive\"}]}]}]}");
        JsonNode made = added(draft("Hives", whole), signe);
        UUID id = UUID.fromString(made.at("/template/id").asString(""));
        // Not ready: what would stop everybody is not given to others. Gone on with after a while, it is kept all the
        // same.
        JsonNode refused = ready(id, 1, signe);
        assertThat(refused.get("code").asString()).isIn("field-unknown", "picture-lost");
        clock.forward(java.time.Duration.ofHours(2));
        change(id, 1, draft("Hives", design("Without all that")), signe);
        assertThat(done("DELETE", "/api/templates/" + frost, null, signe)).isEmpty();

        JsonNode back = done("POST", "/api/templates/" + id + "/versions/1/restore", null, signe);
        assertThat(back.at("/template/design").asString("")).contains(frost.toString(), picture, "well_depth");
        JsonNode notes = begin(id, ines, signe).at("/proof/notes");
        assertThat(notes.valueStream().map(one -> one.get("code").asString()))
                .contains("passage-lost", "picture-lost", "field-unknown");
        assertThat(notes.valueStream().map(one -> one.get("level").asString())).contains("STOP");
    }

    @Test
    void othersUseItOnlyOnceItIsReadyAndThenWhatItSaidThen() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = letter("Monday");
        assertThat(begin(id, ines, dov).get("code").asString()).isEqualTo("missing");
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, dov))
                .isEmpty();
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, signe))
                .hasSize(1);

        assertThat(ready(id, 7, signe).get("code").asString()).isEqualTo("changed-meanwhile");
        assertThat(ready(id, 1, dov).get("code").asString()).isEqualTo("missing");
        assertThat(ready(id, 1, signe).get("template").get("readyVersion").asInt())
                .isEqualTo(1);
        change(id, 1, draft("Hives", design("Tuesday")), signe);

        assertThat(begin(id, ines, dov).at("/proof/rendering/text").asString()).contains("Monday");
        assertThat(begin(id, ines, signe).at("/proof/rendering/text").asString())
                .contains("Tuesday");
        assertThat(done("GET", "/api/templates", null, dov)
                        .get("lines")
                        .get(0)
                        .get("stage")
                        .asString())
                .isEqualTo("CHANGED");
    }

    @Test
    void aSittingIsKeptBeforeAnotherBegins() throws Exception {
        UUID id = letter("One");
        change(id, 1, draft("Hives", design("Two")), signe);
        assertThat(versions(id)).isEmpty();
        clock.forward(Duration.ofHours(2));
        change(id, 2, draft("Hives", design("Three")), signe);
        change(id, 3, draft("Hives", design("Four")), oriel);
        assertThat(versions(id).valueStream().map(one -> one.get("version").asInt()))
                .containsExactly(3, 2);
        assertThat(versions(id).get(0).get("reason").asString()).isEqualTo("SITTING");
        assertThat(versions(id).get(0).get("changedBy").asString()).isEqualTo("Signe");
    }

    @Test
    void versionsAreComparedAndBroughtBack() throws Exception {
        UUID id = letter("We come on Monday", "Goodbye");
        ready(id, 1, signe);
        change(id, 1, draft("More hives", design("We come on Tuesday")), signe);
        JsonNode changes = done("GET", "/api/templates/" + id + "/versions/1/changes", null, dov);
        assertThat(changes.valueStream()
                        .map(one -> one.get("where").asString() + " "
                                + one.get("kind").asString()))
                .containsExactly("Subject CHANGED", "Text 1 CHANGED", "Text 2 REMOVED");
        assertThat(changes.at("/1/words/1/text").asString()).isEqualTo("Monday");

        String restore = "/api/templates/" + id + "/versions/1/restore";
        assertThat(done("POST", restore, null, dov).get("code").asString()).isEqualTo("forbidden");
        JsonNode back = done("POST", restore, null, signe);
        assertThat(back.at("/template/subject").asString()).isEqualTo("Hives");
        assertThat(back.at("/template/version").asInt()).isEqualTo(3);
        assertThat(versions(id).get(0).get("reason").asString()).isEqualTo("REPLACED");
        assertThat(done("POST", "/api/templates/" + id + "/versions/9/restore", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void aTestGoesToColleaguesAndIntoNobodysHistory() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = letter("Dear {contact.first_name}");
        assertThat(test(id, 2, ines, List.of(signe.id()), signe).get("code").asString())
                .isEqualTo("changed-meanwhile");
        assertThat(test(id, 1, ines, List.of(), signe).at("/fields/to").asString())
                .contains("Choose who");
        assertThat(test(id, 1, ines, List.of(UUID.randomUUID()), signe)
                        .at("/fields/to")
                        .asString())
                .contains("has left the team");
        assertThat(test(id, 1, ines, List.of(signe.id(), dov.id(), dov.id()), signe)
                        .get("sent")
                        .asInt())
                .isEqualTo(2);

        assertThat(sql.queryForList("select to_address from outgoing_message order by 1", String.class))
                .containsExactly("dov@brindlewing.example", "signe@brindlewing.example");
        assertThat(wire(sql.queryForObject("select id from outgoing_message where to_address like 'dov%'", UUID.class)))
                .asString()
                .contains("Dear Ines")
                .contains("To: Dov Tester <dov@brindlewing.example>");
        JsonNode opened = done("GET", "/api/templates/" + id, null, signe);
        assertThat(opened.at("/lastTest/version").asInt()).isEqualTo(1);
        assertThat(opened.at("/lastTest/by").asString()).isEqualTo("Signe");
        assertThat(done("GET", "/api/templates", null, signe)
                        .get("lines")
                        .get(0)
                        .get("used")
                        .asInt())
                .isZero();
        assertThat(done("GET", "/api/records/contact/" + ines, null, signe).toString())
                .doesNotContain("Hives");
    }

    @Test
    void whatCouldNotLeaveIsNotTested() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = letter("Dear {contact.title}");
        JsonNode refused = test(id, 1, ines, List.of(signe.id()), signe);
        assertThat(refused.get("code").asString()).isEqualTo("gap");
        assertThat(sql.queryForObject("select count(*) from outgoing_message", Integer.class))
                .isZero();
    }

    @Test
    void twoPeoplesChangesGoTogetherBlockByBlock() throws Exception {
        UUID id = letter("One", "Two");
        change(id, 1, draft("Hives", design("One", "Two of Oriel")), oriel);
        Map<String, Object> drafts = new HashMap<>();
        drafts.put("base", draft("Hives", design("One", "Two")));
        drafts.put("mine", draft("More hives", design("One of mine", "Two")));
        JsonNode merged = done("POST", "/api/templates/" + id + "/merge", drafts, signe);
        assertThat(merged.get("both")).isEmpty();
        assertThat(merged.get("by").asString()).isEqualTo("Oriel");
        assertThat(merged.get("version").asInt()).isEqualTo(2);
        assertThat(merged.at("/mineFirst/subject").asString()).isEqualTo("More hives");
        assertThat(merged.at("/mineFirst/design").asString())
                .contains("One of mine")
                .contains("Two of Oriel");

        drafts.put("mine", draft("Hives", design("One", "Two of mine")));
        JsonNode asked = done("POST", "/api/templates/" + id + "/merge", drafts, signe);
        assertThat(asked.get("both").get(0).asString()).isEqualTo("block 2");
        assertThat(asked.at("/mineFirst/design").asString()).contains("Two of mine");
        assertThat(asked.at("/theirsFirst/design").asString()).contains("Two of Oriel");
        assertThat(done("POST", "/api/templates/" + id + "/merge", drafts, dov)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        drafts.put("mine", draft("Hives", "{\"version\":1,\"bands\":["));
        assertThat(done("POST", "/api/templates/" + id + "/merge", drafts, signe)
                        .at("/fields/design")
                        .asString())
                .contains("JSON");
    }

    @Test
    void whoIsAtATemplateIsSeenAndForgottenWhenSilent() throws Exception {
        UUID id = letter("One");
        String here = "/api/templates/" + id + "/here";
        assertThat(done("POST", here, null, signe).get("names")).isEmpty();
        assertThat(done("POST", here, null, oriel).get("names").get(0).asString())
                .isEqualTo("Signe");
        assertThat(done("POST", here, null, signe).get("names").get(0).asString())
                .isEqualTo("Oriel");
        done("DELETE", here, null, oriel);
        assertThat(done("POST", here, null, signe).get("names")).isEmpty();
        clock.forward(Duration.ofMinutes(2));
        assertThat(done("POST", here, null, oriel).get("names")).isEmpty();
    }

    @Test
    void aQueryIsLetPassForItsVeryWords() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID id = letter("Hello");
        JsonNode note = proof(id, ines, "x".repeat(61)).get("notes").get(0);
        assertThat(note.get("code").asString()).isEqualTo("subject-long");
        Map<String, Object> wave = new HashMap<>(
                Map.of("code", "subject-long", "words", note.get("words").asString(), "reason", " "));
        String waved = "/api/templates/" + id + "/waved";
        assertThat(done("POST", waved, wave, signe).at("/fields/reason").isMissingNode())
                .isFalse();
        wave.put("reason", "It has to be that long");
        assertThat(done("POST", waved, wave, dov).get("code").asString()).isEqualTo("missing");
        done("POST", waved, wave, signe);
        assertThat(proof(id, ines, "x".repeat(61)).at("/notes/0/waved/reason").asString())
                .isEqualTo("It has to be that long");
        assertThat(proof(id, ines, "y".repeat(61)).at("/notes/0/waved").isNull())
                .isTrue();
        wave.remove("reason");
        done("POST", waved, wave, signe);
        assertThat(proof(id, ines, "x".repeat(61)).at("/notes/0/waved").isNull())
                .isTrue();
    }

    private JsonNode proof(UUID template, UUID person, String subject) throws Exception {
        Map<String, Object> request = Map.of(
                "draft",
                draft(subject, design("Hello")),
                "kind",
                "contact",
                "id",
                person.toString(),
                "template",
                template.toString());
        return done("POST", "/api/desk/proof", request, signe);
    }

    @Test
    void refusesMoreWordsThanCanBeKept() throws Exception {
        UUID id = letter("One");
        JsonNode refused = change(
                id, 1, draft("Hives", design("x".repeat(90_000), "x".repeat(90_000), "x".repeat(90_000))), signe);
        assertThat(refused.at("/fields/design").asString()).contains("200,000 characters");
        assertThat(done("GET", "/api/templates/" + id, null, signe)
                        .at("/template/version")
                        .asInt())
                .isEqualTo(1);
    }
}
