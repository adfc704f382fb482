package famulus.server.folders;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** What tests of folders do over and over. */
abstract class FolderCase extends ServerTest {
    protected JsonNode folders(Colleague as) throws Exception {
        return done("GET", "/api/folders", null, as);
    }

    protected List<String> names(Colleague as) throws Exception {
        return folders(as).valueStream().map(one -> one.get("name").asString()).toList();
    }

    protected JsonNode folder(UUID id, Colleague as) throws Exception {
        return folders(as)
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id.toString()))
                .findFirst()
                .orElseThrow();
    }

    protected static Map<String, Object> typed(String name, UUID parent) {
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", name);
        typed.put("parent", parent);
        return typed;
    }

    protected UUID add(String name, UUID parent, Colleague as) throws Exception {
        JsonNode made = done("POST", "/api/folders", typed(name, parent), as);
        assertThat(made.has("id")).as(made.toString()).isTrue();
        return UUID.fromString(made.get("id").asString());
    }

    protected static Map<String, Object> share(String with, Object which, String may) {
        Map<String, Object> share = new HashMap<>();
        share.put("with", with);
        share.put("role", with.equals("ROLE") ? which : null);
        share.put("id", with.equals("ROLE") ? null : which);
        share.put("may", may);
        return share;
    }

    @SafeVarargs
    protected final JsonNode share(UUID folder, Colleague as, Map<String, Object>... shares) throws Exception {
        return done("PUT", "/api/folders/" + folder + "/sharing", Map.of("own", true, "shares", List.of(shares)), as);
    }

    protected UUID written(String name, UUID folder, Colleague as) throws Exception {
        Map<String, Object> draft = Map.of(
                "name",
                name,
                "purpose",
                "",
                "about",
                "CONTACT",
                "subject",
                "About Friday",
                "previewText",
                "",
                "body",
                "Dear {contact.first_name}, is Friday good?");
        String where = folder == null ? "" : "?folder=" + folder;
        JsonNode made = done("POST", "/api/templates" + where, draft, as);
        assertThat(made.has("template")).as(made.toString()).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    protected void ready(UUID template, Colleague as) throws Exception {
        done("POST", "/api/templates/" + template + "/ready", Map.of("version", 1), as);
    }

    protected List<String> templates(Colleague as) throws Exception {
        return done("GET", "/api/templates", null, as)
                .get("lines")
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    protected JsonNode move(UUID folder, Colleague as, UUID... templates) throws Exception {
        return done("POST", "/api/templates/move", Map.of("templates", List.of(templates), "folder", folder), as);
    }
}
