package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.folders.FolderRights;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Styles in a file of the library. */
class LibraryStylesTest extends LibraryFiles {
    private JsonNode styleNamed(String name) throws Exception {
        return done("GET", "/api/materials/house-styles", null, oriel)
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private String widthOf(String style) throws Exception {
        return json.readTree(styleNamed(style).get("look").asString())
                .at("/page/width")
                .asString();
    }

    /** A style of the same name that looks otherwise is asked about, of those who keep styles. */
    @Test
    void aStyleOfTheSameNameIsReplacedOrKeptBesideOurs() throws Exception {
        JsonNode style = done("GET", "/api/materials/house-styles", null, oriel).get(0);
        String name = style.get("name").asString();
        Map<String, Object> letter = new HashMap<>(words("s", ""));
        letter.put("name", "Styled");
        letter.put("mode", "LETTER");
        letter.put("style", style.get("id").asString());
        String id = done("POST", "/api/templates?folder=" + FolderRights.EVERYONE, letter, oriel)
                .at("/template/id")
                .asString();
        byte[] file = exported("?template=" + id, oriel);
        ObjectNode library = library(file);
        ((ObjectNode) library.at("/styles/0/look/page")).put("width", 512);
        byte[] wider = with(file, library);

        assertThat(look(wider, oriel).get("things").toString()).contains("\"what\":\"STYLE\"", "\"state\":\"OTHER\"");
        assertThat(look(wider, signe).get("things").toString()).contains("Ours of this name is used.");

        run(wider, Map.of("others", "SKIP"), oriel);
        assertThat(widthOf(name)).isNotEqualTo("512");
        assertThat(run(wider, Map.of("others", "KEEP_BOTH"), oriel).has("added"))
                .isTrue();
        assertThat(widthOf(name + " 2")).isEqualTo("512");
        assertThat(widthOf(name)).isNotEqualTo("512");
        assertThat(run(wider, Map.of("others", "REPLACE"), oriel)
                        .get("replaced")
                        .asInt())
                .isPositive();
        assertThat(widthOf(name)).isEqualTo("512");
        assertThat(look(wider, oriel).get("things").toString()).doesNotContain("\"state\":\"OTHER\"");
    }
}
