package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/** Who may see, use, change and manage a template, asked of every endpoint. */
class TemplateRightsTest extends ServerTest {
    /** Stands in the name and subject of what is hidden, and nowhere else. */
    private static final String SECRET = "Zyxomma";

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    private UUID ines;
    private UUID hidden;
    private UUID ready;
    private UUID removed;

    @BeforeEach
    void templatesOfSigne() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        hidden = add(SECRET, "The hives for {contact.first_name}");
        ready = add("Placement", "We come on Tuesday, {contact.first_name}");
        done("POST", "/api/templates/" + ready + "/ready", Map.of("version", 1), signe);
        removed = add("Old " + SECRET, "Hello");
        done("DELETE", "/api/templates/" + removed, null, signe);
    }

    private Map<String, Object> draft(String name, String words) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", name);
        draft.put("purpose", "");
        draft.put("about", "CONTACT");
        draft.put("subject", name + " in May");
        draft.put("previewText", "");
        draft.put("body", "");
        draft.put("mode", "LETTER");
        draft.put(
                "design",
                "{\"version\":1,\"bands\":[{\"id\":\"s\",\"columns\":[{\"share\":1,\"blocks\":[{\"id\":\"b\",\"kind\":\"text\","
                        + "\"text\":[{\"kind\":\"paragraph\",\"runs\":[{\"text\":\"" + words + "\"}]}]}]}]}]}");
        return draft;
    }

    private UUID add(String name, String words) throws Exception {
        JsonNode made = added(draft(name, words), signe);
        return UUID.fromString(made.at("/template/id").asString());
    }

    private record Ask(String method, String path, Object body) {
        Ask of(UUID template) {
            return new Ask(method, path.replace("{id}", template.toString()), body);
        }
    }

    /** Every endpoint that names a template in its address, with a body that would do. */
    private List<Ask> ofOneTemplate() {
        Map<String, Object> bodies = new HashMap<>(Map.of(
                "PUT /api/templates/{id}", Map.of("version", 1, "draft", draft("Other", "Hello")),
                "POST /api/templates/{id}/ready", Map.of("version", 1),
                "POST /api/templates/{id}/variants", Map.of("language", "de"),
                "POST /api/templates/{id}/tests",
                        Map.of("version", 1, "kind", "contact", "person", ines, "to", List.of(dov.id()), "list", false),
                "POST /api/templates/{id}/merge",
                        Map.of("base", draft("Other", "Hello"), "mine", draft("Other", "Hello you")),
                "PUT /api/templates/{id}/favourite", Map.of("favourite", true),
                "PUT /api/templates/{id}/name", Map.of("name", "Other"),
                "PUT /api/templates/{id}/occasion",
                        Map.of("months", List.of(5), "stages", List.of(), "countries", List.of()),
                "POST /api/templates/{id}/waved", Map.of("code", "subject-long", "words", "x", "reason", "because")));
        bodies.put("POST /api/templates/{id}/in-its-place", Map.of("other", new UUID(7, 9)));
        List<Ask> asks = new ArrayList<>();
        for (RequestMappingInfo info :
                requestMappingHandlerMapping.getHandlerMethods().keySet()) {
            for (String path : info.getPatternValues()) {
                if (path.startsWith("/api/templates/{id}") || path.startsWith("/api/desk/templates/{id}")) {
                    info.getMethodsCondition()
                            .getMethods()
                            .forEach(method -> asks.add(new Ask(
                                    method.name(),
                                    path.replace("{version}", "1")
                                            + (path.endsWith("/paper") ? "?kind=contact&person=" + ines : ""),
                                    bodies.get(method.name() + " " + path))));
                }
            }
        }
        return asks;
    }

    /** The endpoints that name a template in what is sent. */
    private List<Ask> naming(UUID template) {
        Map<String, Object> begun = new HashMap<>();
        begun.put("template", template);
        begun.put("kind", "contact");
        begun.put("id", ines);
        Map<String, Object> message = new HashMap<>();
        message.put("id", new UUID(7, 7));
        message.put("template", template);
        message.put("kind", "contact");
        message.put("person", ines);
        message.put("words", words("Hello", "We come soon."));
        return List.of(
                new Ask("POST", "/api/messages/begin", begun),
                new Ask("POST", "/api/messages/proof", message),
                new Ask("POST", "/api/messages", message),
                new Ask("POST", "/api/messages/paper", Map.of("message", message, "template", template)),
                new Ask("PUT", "/api/message-drafts/" + new UUID(7, 8), Map.of("version", 0, "message", message)),
                new Ask("PUT", "/api/templates/signatures", Map.of("template", template, "team", false)),
                new Ask(
                        "POST",
                        "/api/templates/tags",
                        Map.of("templates", List.of(template), "add", List.of("x"), "remove", List.of())),
                new Ask("POST", "/api/templates/archive", Map.of("templates", List.of(template), "archived", true)),
                new Ask("POST", "/api/templates/owner", Map.of("templates", List.of(template), "owner", dov.id())),
                new Ask("GET", "/api/library/export?template=" + template, null));
    }

    private MockHttpServletResponse answer(Ask ask, Colleague as) throws Exception {
        return mvc.perform(request(ask.method(), ask.path(), ask.body(), as))
                .andReturn()
                .getResponse();
    }

    private static String said(MockHttpServletResponse answer) throws Exception {
        return answer.getStatus() + " " + answer.getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void whatMayNotBeSeenAnswersAsIfItWereNotThere() throws Exception {
        UUID unknown = UUID.randomUUID();
        List<Ask> all = ofOneTemplate();
        assertThat(all).hasSizeGreaterThan(14);
        for (UUID id : List.of(hidden, removed)) {
            for (Ask ask : all) {
                assertThat(said(answer(ask.of(id), dov)).replace(id.toString(), "…"))
                        .as("%s %s", ask.method(), ask.path())
                        .isEqualTo(said(answer(ask.of(unknown), dov)).replace(unknown.toString(), "…"))
                        .startsWith("404");
            }
            List<Ask> named = naming(id);
            List<Ask> nobody = naming(unknown);
            for (int i = 0; i < named.size(); i++) {
                assertThat(said(answer(named.get(i), dov)).replace(id.toString(), "…"))
                        .as("%s %s", named.get(i).method(), named.get(i).path())
                        .isEqualTo(said(answer(nobody.get(i), dov)).replace(unknown.toString(), "…"))
                        .startsWith("404");
            }
        }
        assertThat(sql.queryForObject(
                        "select count(*) from template_version where template_id = ?", Integer.class, hidden))
                .as("nobody has written a version into it")
                .isZero();
    }

    /** What lies in a folder of one's own is there for nobody else but administrators, ready or not. */
    @Test
    void whatLiesInAPrivateFolderIsThereForNobodyElse() throws Exception {
        JsonNode made = done("POST", "/api/templates", draft(SECRET, "Hello"), signe);
        UUID secret = UUID.fromString(made.at("/template/id").asString());
        done("POST", "/api/templates/" + secret + "/ready", Map.of("version", 1), signe);
        UUID unknown = UUID.randomUUID();
        for (Colleague who : List.of(dov, petra, oriel)) {
            List<Ask> asks = new ArrayList<>(ofOneTemplate());
            for (Ask ask : asks) {
                assertThat(said(answer(ask.of(secret), who)).replace(secret.toString(), "…"))
                        .as("%s %s as %s", ask.method(), ask.path(), who.role())
                        .isEqualTo(said(answer(ask.of(unknown), who)).replace(unknown.toString(), "…"))
                        .startsWith("404");
            }
            List<Ask> named = naming(secret);
            List<Ask> nobody = naming(unknown);
            for (int i = 0; i < named.size(); i++) {
                assertThat(said(answer(named.get(i), who)).replace(secret.toString(), "…"))
                        .isEqualTo(said(answer(nobody.get(i), who)).replace(unknown.toString(), "…"));
            }
            for (String address : List.of(
                    "/api/templates?search=" + SECRET,
                    "/api/templates/fitting?about=CONTACT&search=" + SECRET,
                    "/api/templates/using?kind=contact&field=first_name")) {
                assertThat(answer(new Ask("GET", address, null), who).getContentAsString())
                        .doesNotContain(secret.toString());
            }
        }
        assertThat(done("GET", "/api/templates/" + secret, null, amos)
                        .at("/mayChange")
                        .asBoolean())
                .isTrue();
    }

    /** Whether an endpoint only looks, marks for oneself, copies or tests; all others change the template. */
    private static boolean onlyLooks(Ask ask) {
        return ask.method().equals("GET")
                || Stream.of("/here", "/duplicate", "/tests", "/favourite").anyMatch(ask.path()::endsWith);
    }

    /** Every endpoint, asked by every role about a colleague's template, ready, not ready and removed, and about one's own. */
    @Test
    void everyRoleMayWhatItMay() throws Exception {
        List<Colleague> everybody = List.of(signe, dov, petra, oriel, amos);
        Set<Colleague> whoSeesHidden = Set.of(signe, petra, oriel, amos);
        Set<Colleague> whoChanges = Set.of(signe, oriel, amos);
        for (Ask ask : ofOneTemplate()) {
            boolean looks = onlyLooks(ask);
            boolean ofAVersion = ask.path().contains("/versions/1/");
            for (Colleague who : everybody) {
                boolean may = looks || whoChanges.contains(who);
                UUID shared = add("Shared", "We come on Tuesday");
                done("POST", "/api/templates/" + shared + "/ready", Map.of("version", 1), signe);
                assertThat(answer(ask.of(shared), who).getStatus())
                        .as("%s %s as %s, ready", ask.method(), ask.path(), who.role())
                        .satisfies(status -> answersFor(status, may));

                UUID draft = add("Draft", "We come on Tuesday");
                int status = answer(ask.of(draft), who).getStatus();
                if (!whoSeesHidden.contains(who)) {
                    assertThat(status)
                            .as("%s %s as %s, not ready", ask.method(), ask.path(), who.role())
                            .isEqualTo(404);
                } else if (!ofAVersion) {
                    assertThat(status)
                            .as("%s %s as %s, not ready", ask.method(), ask.path(), who.role())
                            .satisfies(one -> answersFor(one, may));
                }

                UUID gone = add("Gone", "We come on Tuesday");
                done("DELETE", "/api/templates/" + gone, null, signe);
                if (!ask.path().endsWith("/restore") || ofAVersion || !whoSeesHidden.contains(who)) {
                    assertThat(answer(ask.of(gone), who).getStatus())
                            .as("%s %s as %s, removed", ask.method(), ask.path(), who.role())
                            .isEqualTo(404);
                }
            }
        }
    }

    /** Whoever may is refused for other reasons at most, such as a version that is not there. */
    private static void answersFor(int status, boolean may) {
        if (may) {
            assertThat(status).isNotIn(401, 403, 404).isLessThan(500);
        } else {
            assertThat(status).isEqualTo(403);
        }
    }

    @Test
    void theStateOfAReadyTemplateIsItsOwnersEvenWhenTheVersionIsGone() throws Exception {
        done("PUT", "/api/templates/" + ready, Map.of("version", 1, "draft", draft("Placement", "Not yet")), signe);
        sql.update("delete from template_version where template_id = ?", ready);

        assertThat(answer(naming(ready).getFirst(), dov).getStatus()).isEqualTo(404);
    }

    @Test
    void nothingNamesIt() throws Exception {
        // It is used, tested and sent from, so that there is something to tell.
        Ask test = ofOneTemplate().stream()
                .filter(ask -> ask.path().endsWith("/tests"))
                .findFirst()
                .orElseThrow();
        assertThat(answer(test.of(hidden), signe).getStatus()).isEqualTo(200);
        assertThat(answer(naming(hidden).get(2), signe).getStatus()).isEqualTo(200);
        String style = sql.queryForObject("select cast(id as varchar) from house_style where usual", String.class);
        List<String> addresses = new ArrayList<>(List.of(
                "/api/templates",
                "/api/templates?search=" + SECRET,
                "/api/templates/fitting?about=CONTACT",
                "/api/templates/fitting?about=CONTACT&search=" + SECRET,
                "/api/templates/using?kind=contact&field=first_name",
                "/api/templates/wrappings?style=" + style,
                "/api/templates/signatures",
                "/api/materials/house-styles/" + style + "/using",
                "/api/records/contact/" + ines,
                "/api/outbox",
                "/api/messages/" + new UUID(7, 7),
                "/api/desk/fields?about=CONTACT&kind=contact&id=" + ines));
        for (String address : addresses) {
            MockHttpServletResponse answer = answer(new Ask("GET", address, null), dov);
            assertThat(answer.getStatus()).as(address).isLessThan(500);
            assertThat(answer.getContentAsString(StandardCharsets.UTF_8))
                    .as("%s as somebody who may not see it", address)
                    .doesNotContain(SECRET, hidden.toString());
        }
        assertThat(answer(new Ask("GET", "/api/templates?search=" + SECRET, null), oriel)
                        .getContentAsString())
                .as("an editor finds it")
                .contains(hidden.toString());
        String records = answer(new Ask("GET", "/api/records/contact/" + ines, null), signe)
                .getContentAsString();
        assertThat(records).as("its owner reads its name beside the message").contains(SECRET);
    }

    @Test
    void whatHiddenTemplatesUseCantBeTakenAwayAndIsNotNamed() throws Exception {
        Map<String, Object> passage = draft("Frost", "Bees stay in");
        passage.put("kind", "PASSAGE");
        UUID frost = UUID.fromString(added(passage, dov).at("/template/id").asString());
        done("POST", "/api/templates/" + frost + "/ready", Map.of("version", 1), dov);
        Map<String, Object> using = draft("Uses " + SECRET, "Hello");
        using.put(
                "design",
                ((String) using.get("design"))
                        .replace(
                                "]}]}]}]}]}",
                                "]}]},{\"id\":\"p\",\"kind\":\"passage\",\"passage\":\"" + frost + "\"}]}]}]}"));
        JsonNode made = added(using, signe);
        assertThat(made.has("template")).as("%s", made).isTrue();

        JsonNode usedIn = done("GET", "/api/templates/" + frost + "/using", null, dov);
        assertThat(usedIn.get("seen")).isEmpty();
        assertThat(usedIn.get("others").asInt()).isEqualTo(1);
        JsonNode refused = done("DELETE", "/api/templates/" + frost, null, dov);
        assertThat(refused.get("detail").asString()).isEqualTo("It is used in one template of a colleague.");
        assertThat(done("DELETE", "/api/templates/" + frost, null, oriel)
                        .get("detail")
                        .asString())
                .contains("Uses " + SECRET);
    }

    /** The rights are in the query: nothing has to be left out of what it gives. */
    @Test
    void threeAmongFiveThousandAreThree() throws Exception {
        for (int i = 0; i < 5_000; i++) {
            sql.update(
                    """
                    insert into template (id, kind, name, about, subject, mode, version, folder_id, owner_id, created_at,
                      changed_at, changed_by)
                    select random_uuid(), kind, concat('A ', cast(? as varchar)), about, subject, mode, version, folder_id,
                      owner_id, created_at, changed_at, changed_by
                    from template where id = ?
                    """,
                    i,
                    hidden);
        }
        for (int i = 0; i < 2; i++) {
            UUID more = add("Z " + i, "Hello");
            done("POST", "/api/templates/" + more + "/ready", Map.of("version", 1), signe);
        }

        assertThat(done("GET", "/api/templates", null, dov).get("lines")).hasSize(3);
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, dov))
                .hasSize(3);
        assertThat(done("GET", "/api/templates", null, oriel).get("total").asInt())
                .isEqualTo(5_004);
    }

    @Test
    void onlyThoseWhoMaySeeItHearOfIt() throws Exception {
        MvcResult stranger = stream(dov);
        MvcResult editor = stream(oriel);

        done("PUT", "/api/templates/" + hidden, Map.of("version", 1, "draft", draft(SECRET, "Changed")), signe);
        done("POST", "/api/templates/" + hidden + "/here", null, signe);
        done("PUT", "/api/templates/" + ready, Map.of("version", 1, "draft", draft("Placement", "Changed")), signe);

        assertThat(heard(stranger)).doesNotContain(hidden.toString()).contains(ready.toString());
        assertThat(heard(editor)).contains(hidden.toString(), ready.toString());
    }

    @Test
    void aColleagueWhoIsRemovedHearsNothingMore() throws Exception {
        MvcResult stream = stream(dov);
        done("PUT", "/api/templates/" + ready, Map.of("version", 1, "draft", draft("Placement", "Changed")), signe);
        assertThat(heard(stream)).contains(ready.toString());

        done("PUT", "/api/team/" + dov.id(), Map.of("role", "AGENT", "active", false), amos);
        String before = heard(stream);
        done("PUT", "/api/templates/" + ready, Map.of("version", 2, "draft", draft("Placement", "Again")), signe);

        assertThat(heard(stream)).isEqualTo(before);
    }

    private MvcResult stream(Colleague who) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get("/api/events")
                        .with(as(who))
                        .with(SecurityMockMvcRequestPostProcessors.csrf()))
                .andReturn();
    }

    private static String heard(MvcResult stream) throws Exception {
        return stream.getResponse().getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void assistantsSeeWhatTheyCouldWriteFromForOthers() throws Exception {
        UUID ofAmos;
        JsonNode made = added(draft("Of the administrator", "Hello"), amos);
        ofAmos = UUID.fromString(made.at("/template/id").asString());

        assertThat(Stream.of(hidden, ofAmos).map(id -> status(id, petra))).containsExactly(200, 404);
    }

    private int status(UUID id, Colleague as) {
        try {
            return answer(new Ask("GET", "/api/templates/" + id, null), as).getStatus();
        } catch (Exception failed) {
            throw new AssertionError(failed);
        }
    }
}
