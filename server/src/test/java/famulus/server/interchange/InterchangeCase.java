package famulus.server.interchange;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** Importing and exporting as the browser does it. */
abstract class InterchangeCase extends ServerTest {
    /** Begins to import a file as somebody. */
    protected JsonNode begin(String kind, String name, byte[] bytes, Colleague as) throws Exception {
        return json.readTree(mvc.perform(request("POST", "/api/imports/" + kind + "?name=" + name, null, as)
                        .contentType(MediaType.APPLICATION_OCTET_STREAM)
                        .content(bytes))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    protected JsonNode begin(String kind, String text) throws Exception {
        return begin(kind, "some.csv", text.getBytes(StandardCharsets.UTF_8), signe);
    }

    /** Makes a field of the company's own for contacts. */
    protected void field(String label, String type, boolean inList, String... choices) throws Exception {
        done(
                "POST",
                "/api/fields",
                Map.of(
                        "kind",
                        "contact",
                        "label",
                        label,
                        "type",
                        type,
                        "section",
                        "",
                        "inList",
                        inList,
                        "choices",
                        List.of(choices)),
                amos);
    }

    /** Sends the columns of a file elsewhere. */
    protected JsonNode match(JsonNode file, String... words) throws Exception {
        JsonNode settings = file.get("settings");
        Map<String, Object> changed = new LinkedHashMap<>();
        for (String name : List.of("encoding", "delimiter", "dates", "decimal")) {
            changed.put(name, settings.get(name).asString());
        }
        changed.put("headings", settings.get("headings").asInt());
        changed.put("targets", List.of(words));
        return done("PUT", "/api/imports/" + id(file), changed, signe);
    }

    protected static String id(JsonNode file) {
        return file.get("id").asString();
    }

    protected JsonNode check(JsonNode file) throws Exception {
        return work(file, "check", Map.of());
    }

    protected JsonNode run(JsonNode file, String all) throws Exception {
        return work(file, "run", Map.of("all", all));
    }

    /** The last line of an answer; a refusal where there is none. */
    protected JsonNode work(JsonNode file, String what, Map<String, ?> choices) throws Exception {
        String[] lines = get("POST", "/api/imports/" + id(file) + "/" + what, choices)
                .getContentAsString(StandardCharsets.UTF_8)
                .split("\n");
        JsonNode last = json.readTree(lines[lines.length - 1]);
        return last.has("result") && !last.get("result").isNull() ? last.get("result") : last;
    }

    protected MockHttpServletResponse get(String method, String path, Object body) throws Exception {
        return mvc.perform(request(method, path, body, signe)).andReturn().getResponse();
    }

    protected int count(String table) {
        return sql.queryForObject("select count(*) from " + table, Integer.class);
    }

    protected static List<String> targets(JsonNode file) {
        return file.get("settings").get("targets").values().stream()
                .map(JsonNode::asString)
                .toList();
    }
}
