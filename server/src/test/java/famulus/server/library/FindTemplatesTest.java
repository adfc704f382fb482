package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Templates are found by their words, and narrowed to what somebody wants of them. */
class FindTemplatesTest extends ServerTest {
    @Autowired
    private TemplateBin bin;

    private static Map<String, Object> draft(String name, String subject, String body) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", name);
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", subject);
        draft.put("previewText", "");
        draft.put("body", body);
        return draft;
    }

    private UUID add(Map<String, Object> draft, Colleague as) throws Exception {
        JsonNode made = added(draft, as);
        assertThat(made.has("template")).as(made.toString()).isTrue();
        UUID id = UUID.fromString(made.at("/template/id").asString());
        done("POST", "/api/templates/" + id + "/ready", Map.of("version", 1), as);
        return id;
    }

    private UUID add(String name, String subject, String body) throws Exception {
        return add(draft(name, subject, body), signe);
    }

    private JsonNode page(String query, Colleague as) throws Exception {
        return done("GET", "/api/templates?" + query, null, as);
    }

    private List<String> names(String query, Colleague as) throws Exception {
        return page(query, as)
                .get("lines")
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private List<String> found(String typed) throws Exception {
        return names("search=" + typed, signe);
    }

    @Test
    void wordsAreFoundByBeginningsAccentsSlipsAndParts() throws Exception {
        add("Liefertermin", "Wir kommen am Dienstag", "Die Straße ist frei.");
        add("Été", "Bonne saison", "Les pommiers fleurissent.");
        add("Placement notice", "We come on Tuesday", "Please open the gate.");

        assertThat(found("plac")).containsExactly("Placement notice");
        assertThat(found("NOTICE gate")).containsExactly("Placement notice");
        assertThat(found("plcaement")).containsExactly("Placement notice");
        assertThat(found("plasem")).as("while it is typed").containsExactly("Placement notice");
        assertThat(found("ete")).containsExactly("Été");
        assertThat(found("strasse")).containsExactly("Liefertermin");
        assertThat(found("termin")).containsExactly("Liefertermin");
        assertThat(found("erm")).as("three letters within a word are too few").isEmpty();
        assertThat(found("gate dienstag")).isEmpty();
        assertThat(found("%25")).isEmpty();
        assertThat(found("")).hasSize(3);
        assertThat(found("x".repeat(1000))).isEmpty();
    }

    @Test
    void theBestFitComesFirstAndItsLineIsMarked() throws Exception {
        add(
                "Autumn",
                "Leaves",
                "Mind the step, {contact.first_name}.\nLeave {contact.title else \"the side\"} gate open{when contact.town}, please{end}.");
        add("The gate", "Keys", "They hang by the door.");
        add("Spring", "About the gate", "It needs paint.");
        add("Summer", "Gatepost", "It leans.");

        assertThat(found("gate")).containsExactly("The gate", "Spring", "Summer", "Autumn");
        JsonNode hit = page("search=gate", signe).at("/lines/3/hit");
        assertThat(hit.valueStream()
                        .map(one -> one.get("hit").asBoolean()
                                ? "[" + one.get("text").asString() + "]"
                                : one.get("text").asString())
                        .collect(Collectors.joining()))
                .isEqualTo("Leave Title ⁄ the side [gate] open, please.");
        assertThat(page("search=gate", signe).at("/lines/0/hit")).isEmpty();
    }

    @Test
    void foldersAndOwnersAreFoundByName() throws Exception {
        add("Friday", "Hello", "Is Friday good?");
        JsonNode made = done("POST", "/api/folders", folder("Harvest"), oriel);
        UUID id = add(draft("Monday", "Hello", "Is Monday good?"), oriel);
        done(
                "POST",
                "/api/templates/move",
                Map.of("templates", List.of(id), "folder", made.get("id").asString()),
                oriel);

        assertThat(names("search=harvest", oriel)).containsExactly("Monday");
        assertThat(names("search=oriel", oriel)).containsExactly("Monday");
        assertThat(names("search=signe", dov)).containsExactly("Friday");
        assertThat(names("search=monday", dov)).as("in a folder of hers").isEmpty();
        assertThat(names("search=harvest", dov)).isEmpty();
    }

    private static Map<String, Object> folder(String name) {
        Map<String, Object> folder = new HashMap<>();
        folder.put("name", name);
        folder.put("parent", null);
        folder.put("shares", null);
        return folder;
    }

    @Test
    void whatChangesIsFoundByWhatItSaysNow() throws Exception {
        UUID id = add("Friday", "Hello", "Is Friday good?");
        done(
                "PUT",
                "/api/templates/" + id,
                Map.of("version", 1, "draft", draft("Monday", "Hello", "Is Monday good?")),
                signe);
        assertThat(found("friday")).isEmpty();
        assertThat(found("monday")).containsExactly("Monday");
        done("DELETE", "/api/templates/" + id, null, signe);
        assertThat(found("monday")).isEmpty();
        done("POST", "/api/templates/" + id + "/restore", null, signe);
        assertThat(found("monday")).containsExactly("Monday");
    }

    @Test
    void theListIsNarrowedToWhatIsWanted() throws Exception {
        add("A plain one", "Hello", "Is Friday good?");
        Map<String, Object> aboutALead = draft("B for a lead", "Hello", "Is Friday good?");
        aboutALead.put("about", "LEAD");
        add(aboutALead, oriel);
        JsonNode unready = added(draft("C not ready", "Hello", "Is Friday good?"), signe);
        assertThat(unready.has("template")).isTrue();
        UUID favourite = UUID.fromString(page("", signe).at("/lines/1/id").asString());
        done("PUT", "/api/templates/" + favourite + "/favourite", Map.of("favourite", true), signe);

        assertThat(names("mine=true", signe)).containsExactly("A plain one", "C not ready");
        assertThat(names("about=LEAD", signe)).containsExactly("B for a lead");
        assertThat(names("ready=false", signe)).containsExactly("C not ready");
        assertThat(names("ready=true&mine=true", signe)).containsExactly("A plain one");
        assertThat(names("favourite=true", signe)).containsExactly("B for a lead");
        assertThat(names("favourite=true", oriel)).isEmpty();
        assertThat(names("mode=DESIGNED", signe)).isEmpty();
        assertThat(names("unused=true&search=friday&about=LEAD", signe)).containsExactly("B for a lead");
        assertThat(page("mine=true", signe).get("total").asInt()).isEqualTo(2);

        done("PUT", "/api/templates/" + favourite + "/favourite", Map.of("favourite", false), signe);
        assertThat(names("favourite=true", signe)).isEmpty();
        assertThat(done("PUT", "/api/templates/" + UUID.randomUUID() + "/favourite", Map.of("favourite", true), signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void whatWasDeletedIsInTheBinForThirtyDays() throws Exception {
        UUID id = add("Friday", "Hello", "Is Friday good?");
        done("DELETE", "/api/templates/" + id, null, signe);
        assertThat(names("deleted=true", signe)).containsExactly("Friday");
        assertThat(names("deleted=true", oriel)).as("editors may change it").containsExactly("Friday");
        assertThat(names("deleted=true", dov)).isEmpty();
        assertThat(names("deleted=true&search=friday", signe)).containsExactly("Friday");
        assertThat(names("search=friday", signe)).isEmpty();
        clock.forward(java.time.Duration.ofDays(29));
        assertThat(names("deleted=true", signe)).containsExactly("Friday");
        done("POST", "/api/templates/" + id + "/restore", null, oriel);
        assertThat(names("", dov)).containsExactly("Friday");
        assertThat(names("deleted=true", signe)).isEmpty();
        done("DELETE", "/api/templates/" + id, null, signe);
        clock.forward(java.time.Duration.ofDays(31));
        assertThat(names("deleted=true", signe)).isEmpty();
    }

    @Test
    void whatNobodyCouldSendIsFound() throws Exception {
        add("Friday", "Hello", "Is Friday good?");
        UUID broken = UUID.fromString(added(draft("Monday", "Hello", "Is {contact.mondey} good?"), signe)
                .at("/template/id")
                .asString());
        assertThat(names("mustFix=true", signe)).containsExactly("Monday");
        assertThat(names("mustFix=true&search=monday", signe)).containsExactly("Monday");
        assertThat(names("mustFix=true&search=friday", signe)).isEmpty();
        assertThat(names("mustFix=true", dov)).as("not ready, and not his").isEmpty();
        assertThat(page("mustFix=true", signe).get("unread").asInt()).isZero();

        Map<String, Object> mended = draft("Monday", "Hello", "Is Monday good, {contact.first_name}?");
        done("PUT", "/api/templates/" + broken, Map.of("version", 1, "draft", mended), signe);
        assertThat(names("mustFix=true", signe)).isEmpty();

        add("Loud", "HELLO THERE", "Is Monday good?");
        assertThat(names("mustFix=true", signe)).isEmpty();
        done("PUT", "/api/company/checks/subject-shout", Map.of("level", "STOP"), amos);
        assertThat(names("mustFix=true", signe)).as("the company stops it now").containsExactly("Loud");
    }

    @Test
    void afterThatItIsErased() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID unused = add("Friday", "Hello", "Is Friday good?");
        UUID used = add("Monday", "Hello", "Is Monday good?");
        UUID kept = add("Tuesday", "Hello", "Is Tuesday good?");
        JsonNode sent = done("POST", "/api/messages", message(used, ines, null), signe);
        for (UUID id : List.of(unused, used)) {
            done("DELETE", "/api/templates/" + id, null, signe);
        }
        clock.forward(java.time.Duration.ofDays(29));
        done("DELETE", "/api/templates/" + kept, null, signe);
        bin.empty();
        assertThat(names("deleted=true", signe)).containsExactlyInAnyOrder("Friday", "Monday", "Tuesday");

        clock.forward(java.time.Duration.ofDays(2));
        bin.empty();
        bin.empty();

        assertThat(names("deleted=true", signe)).containsExactly("Tuesday");
        assertThat(done("POST", "/api/templates/" + used + "/restore", null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        assertThat(sql.queryForList("select name from template order by name", String.class))
                .as("the name of what messages went out with")
                .contains("Monday", "Tuesday")
                .doesNotContain("Friday");
        for (String table : List.of("template_words", "template_version", "template_names", "template_tag")) {
            assertThat(sql.queryForObject(
                            "select count(*) from " + table + " where template_id in (?, ?)",
                            Integer.class,
                            used,
                            unused))
                    .as(table)
                    .isZero();
        }
        assertThat(done("GET", "/api/records/contact/" + ines + "/history", null, signe)
                        .toString())
                .contains("Is Monday good?", sent.get("id").asString());
    }

    @Test
    void itComesInTheOrderThatIsWanted() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        UUID a = add("A", "About Friday", "Is Friday good?");
        UUID b = add("B", "About Friday", "Is Friday good?");
        add("C", "About Friday", "Is Friday good?");
        done("POST", "/api/messages", message(b, ines, words("About Friday", "Dear Ines, is Friday good?")), signe);

        assertThat(names("order=USED", signe)).containsExactly("B", "A", "C");
        assertThat(names("order=LAST_USED", dov)).containsExactly("A", "B", "C");
        assertThat(names("order=LAST_USED", signe)).containsExactly("B", "A", "C");
        clock.forward(java.time.Duration.ofMinutes(5));
        done("PUT", "/api/templates/" + a, Map.of("version", 1, "draft", draft("A", "Later", "Hello")), signe);
        assertThat(names("order=CHANGED", signe).getFirst()).isEqualTo("A");
        done("PUT", "/api/templates/" + a + "/favourite", Map.of("favourite", true), signe);
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, signe)
                        .valueStream()
                        .map(one -> one.get("name").asString() + ": "
                                + one.get("why").asString()))
                .containsExactly("A: not used yet", "B: used by you on 4 May", "C: not used yet");
    }

    @Test
    void whatIsFoundGoesOnPageByPage() throws Exception {
        for (int i = 0; i < 130; i++) {
            added(draft("Gate " + i, "Hello", "The gate"), signe);
        }
        for (String query : List.of("search=gate", "order=USED", "order=NAME")) {
            List<String> all = new ArrayList<>();
            JsonNode page = page(query, signe);
            assertThat(page.get("total").asInt()).isEqualTo(130);
            while (true) {
                page.get("lines").forEach(line -> all.add(line.get("id").asString()));
                if (!page.get("more").asBoolean()) {
                    break;
                }
                page = page(query + "&after=" + all.getLast(), signe);
            }
            assertThat(all).as(query).hasSize(130).doesNotHaveDuplicates();
        }
    }
}
