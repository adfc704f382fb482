package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The published schemas name every property that is written, and every word a property may be. */
class SchemaTest {
    private static JsonNode schema(String name) throws IOException {
        return BodyJson.JSON.readTree(Files.readString(Path.of("../docs/" + name + ".schema.json")));
    }

    private static Set<String> names(JsonNode node, Set<String> into) {
        if (node.isObject()) {
            into.addAll(node.propertyNames());
        }
        node.forEach(inner -> names(inner, into));
        return into;
    }

    private static Set<String> texts(JsonNode node, Set<String> into) {
        if (node.isString()) {
            into.add(node.stringValue());
        }
        node.forEach(inner -> texts(inner, into));
        return into;
    }

    @Test
    void namesWhatABodyHolds() throws IOException {
        Set<String> written = new TreeSet<>();
        for (int seed = 0; seed < 200; seed++) {
            names(BodyJson.JSON.readTree(BodyJson.write(new RandomBody(seed).body())), written);
        }
        assertThat(names(schema("body"), new TreeSet<>())).containsAll(written);
    }

    @Test
    void namesWhatAHouseStyleHolds() throws IOException {
        RichText words = RichText.plain("Small");
        HouseStyle bare = HouseStyle.BARE;
        HouseStyle style = new HouseStyle(
                "Ours",
                bare.page(),
                bare.type(),
                16,
                bare.button(),
                List.of(new HouseStyle.Wrapping("a", List.of(new RandomBody(3).band()))),
                List.of(),
                words);
        Set<String> written = names(BodyJson.JSON.readTree(HouseStyleJson.write(style)), new TreeSet<>());
        assertThat(names(schema("house-style"), new TreeSet<>())).containsAll(written);
    }

    @Test
    void namesEveryWord() throws IOException {
        Set<String> allowed = texts(schema("body"), new TreeSet<>());
        for (Enum<?>[] words :
                List.of(RichText.Kind.values(), Align.values(), Column.Upright.values(), Content.ItemColumn.values())) {
            for (Enum<?> word : words) {
                assertThat(allowed).contains(JsonPart.word(word));
            }
        }
        Set<String> families = texts(schema("house-style"), new TreeSet<>());
        for (HouseStyle.FontFamily family : HouseStyle.FontFamily.values()) {
            assertThat(families).contains(JsonPart.word(family));
        }
    }
}
