package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.JsonNode;

/**
 * The browser's types are generated from {@code web/src/api/openapi.json}; this keeps that file the server's own
 * description. After a change of the API run this test with {@code -Dopenapi.update=true}, and the browser's code has to
 * follow before it compiles again.
 */
@TestPropertySource(properties = "famulus.demo=true")
class OpenApiDocumentTest extends ServerTest {
    private static final Path KEPT = Path.of("../web/src/api/openapi.json");

    @Test
    void theBrowserKnowsTheApiAsItIs() throws Exception {
        byte[] answer = mvc.perform(
                        MockMvcRequestBuilders.get("/api/openapi.json").with(as(amos)))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        JsonNode now = json.readTree(answer);
        if (Boolean.getBoolean("openapi.update")) {
            Files.writeString(KEPT, json.writerWithDefaultPrettyPrinter().writeValueAsString(now) + "\n");
        }
        assertThat(json.readTree(Files.readAllBytes(KEPT))).isEqualTo(now);
    }
}
