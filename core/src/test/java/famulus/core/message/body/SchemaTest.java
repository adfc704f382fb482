package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The published schemas hold for what is written, and name every property of it and every word a property may be. */
class SchemaTest {
    private static final Schema BODY = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(read("body"), InputFormat.JSON);

    private static String read(String name) {
        try {
            return Files.readString(Path.of("../docs/" + name + ".schema.json"));
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** What the schema has against a body. */
    private static List<String> against(String body) {
        return BODY.validate(body, InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }

    private static JsonNode schema(String name) {
        return BodyJson.JSON.readTree(read(name));
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
    void holdsForEveryBodyThatIsWritten() {
        for (int seed = 0; seed < 200; seed++) {
            String written = BodyJson.write(new RandomBody(seed).body());
            assertThat(against(written)).as(written).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"bands\":[]}",
                "{\"version\":2}",
                "{\"version\":1,\"bands\":[{\"id\":\"a\"}]}",
                "{\"version\":1,\"bands\":[{\"id\":\"a b\",\"columns\":[{\"blocks\":[]}]}]}",
                "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"b\"}]}]}]}",
                """
                {"version":1,"bands":[{"id":"a","columns":[{"blocks":[{"id":"b","kind":"spacer","height":900}]}]}]}
                """,
                """
                {"version":1,"bands":[{"id":"a","columns":[{"blocks":[{"id":"b","kind":"button","align":"left"}]}]}]}
                """
            })
    void isAgainstWhatIsNoBody(String json) {
        assertThat(against(json)).isNotEmpty();
    }

    /** A body of a newer Famulus has kinds of blocks that the schema does not know. */
    @Test
    void letsAKindPassThatItDoesNotKnow() {
        assertThat(
                        against(
                                """
                        {"version":1,"bands":[{"id":"a","columns":[{"blocks":[{"id":"b","kind":"map","zoom":3}]}]}]}
                        """))
                .isEmpty();
    }

    /** Each kind that can be written is one of those the schema describes, and none that it lets pass as unknown. */
    @Test
    void describesEveryKind() {
        Set<String> described = new TreeSet<>();
        schema("body").get("$defs").get("knownBlock").get("oneOf").forEach(one -> {
            String name = one.get("$ref").asString().replace("#/$defs/", "");
            described.add(schema("body")
                    .at("/$defs/" + name + "/properties/kind/const")
                    .asString());
        });
        Set<String> written = new TreeSet<>();
        for (int seed = 0; seed < 200; seed++) {
            new RandomBody(seed)
                    .body()
                    .blocks()
                    .map(block -> block.content().kind())
                    .forEach(written::add);
        }

        assertThat(described).isEqualTo(written).hasSize(Content.class.getPermittedSubclasses().length - 1);
    }

    @Test
    void namesWhatABodyHolds() {
        Set<String> written = new TreeSet<>();
        for (int seed = 0; seed < 200; seed++) {
            names(BodyJson.JSON.readTree(BodyJson.write(new RandomBody(seed).body())), written);
        }
        assertThat(names(schema("body"), new TreeSet<>())).containsAll(written);
    }

    @Test
    void namesWhatAHouseStyleHolds() {
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
    void namesEveryWord() {
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
