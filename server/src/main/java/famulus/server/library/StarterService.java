package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The designs to start from that ship with Famulus: letters, plain and designed, sorted by purpose. */
@Service
public class StarterService {
    private static final String FOLDER = "/starters/";

    private final JsonMapper json;
    private List<Starter> all;

    StarterService(JsonMapper json) {
        this.json = json;
    }

    /**
     * A design to start from.
     *
     * @param name of its file, which stays
     * @param description what it is good for, in a sentence
     */
    public record Starter(String name, String description, Draft draft) {}

    /** All of them, in the order of their purposes as they are met at work. */
    public synchronized List<Starter> all() {
        if (all == null) {
            all = text("index").lines().map(this::read).toList();
        }
        return all;
    }

    private Starter read(String name) {
        JsonNode node = json.readTree(text(name + ".json"));
        JsonNode body = node.get("body");
        return new Starter(
                name,
                node.get("description").asString(),
                new Draft(
                        node.get("name").asString(),
                        node.get("purpose").asString(),
                        about(node.get("about").asString()),
                        node.get("subject").asString(),
                        node.get("previewText").asString(),
                        node.path("text").asString(""),
                        Mode.valueOf(node.get("mode").asString().toUpperCase(Locale.ROOT)),
                        body == null ? "" : body.toString(),
                        null,
                        "",
                        "",
                        List.of(),
                        null));
    }

    private static About about(String word) {
        return word.equals("any person") ? About.PERSON : About.valueOf(word.toUpperCase(Locale.ROOT));
    }

    private static String text(String file) {
        try (InputStream in = StarterService.class.getResourceAsStream(FOLDER + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
