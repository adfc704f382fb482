package famulus.server.lists;

import famulus.server.Chosen;
import famulus.server.ServerTest;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;

/** Three people, two of them growers, and lists of them. */
abstract class ListTest extends ServerTest {
    static final String GROWERS = "contact.job_title is \"Grower\"";

    UUID ines;
    UUID tobias;
    UUID priya;

    @BeforeEach
    void makePeople() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        tobias = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        priya = contact("Priya", "Ivory", "priya@larkfield.example");
        change(ines, "job_title", "Grower");
        change(priya, "job_title", "Grower");
    }

    static Map<String, Object> typed(String name, String condition, UUID folder) {
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", name);
        typed.put("condition", condition);
        typed.put("folder", folder == null ? null : folder.toString());
        return typed;
    }

    UUID kept(String name, String condition, UUID folder, Colleague by) throws Exception {
        JsonNode kept = done("POST", "/api/lists/kept/contact", typed(name, condition, folder), by);
        return UUID.fromString(kept.get("id").asString());
    }

    static Map<String, Object> choice(boolean all, List<UUID> ids, String where, UUID list) {
        return Chosen.choice("contact", all, ids, where, list);
    }

    static Map<String, Object> chosen(UUID... ids) {
        return choice(false, List.of(ids), "", null);
    }

    List<String> names(UUID list, Colleague asking) throws Exception {
        List<String> names = new ArrayList<>();
        done("GET", "/api/lists/records/contact?list=" + list, null, asking)
                .at("/window/lines")
                .forEach(line -> names.add(line.at("/cells/0").asString()));
        return names;
    }
}
