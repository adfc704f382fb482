package famulus.server.library;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.materials.FeedService;
import famulus.server.team.Colleague;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Passages and designed signatures: what messages say that use them, and what keeps them from harm. */
class KeptTextsTest extends ServerTest {
    @Autowired
    private FeedService feeds;

    private UUID ines;

    @BeforeEach
    void someone() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
    }

    private static String blocks(String... blocks) {
        return "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[" + String.join(",", blocks)
                + "]}]}]}";
    }

    private static String text(String words) {
        return "{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"" + words + "\"}]}]}";
    }

    private static String passage(UUID id) {
        return "{\"id\":\"p\",\"kind\":\"passage\",\"passage\":\"" + id + "\"}";
    }

    private static Map<String, Object> draft(TemplateKind kind, String name, String design) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("kind", kind);
        draft.put("name", name);
        draft.put("about", "CONTACT");
        draft.put("subject", kind == TemplateKind.TEMPLATE ? "Hives" : "");
        draft.put("mode", "DESIGNED");
        draft.put("design", design);
        return draft;
    }

    private UUID add(TemplateKind kind, String name, String design, Colleague as) throws Exception {
        return id(added(draft(kind, name, design), as));
    }

    private static UUID id(JsonNode made) {
        return UUID.fromString(made.at("/template/id").asString());
    }

    private JsonNode ready(UUID id, int version, Colleague as) throws Exception {
        return done("POST", "/api/templates/" + id + "/ready", Map.of("version", version), as);
    }

    private String read(UUID template, Colleague as) throws Exception {
        Map<String, Object> request = new HashMap<>();
        request.put("template", template.toString());
        request.put("id", UUID.randomUUID().toString());
        request.put("kind", "contact");
        request.put("person", ines.toString());
        return done("POST", "/api/messages/proof", request, as)
                .at("/proof/rendering/text")
                .asString();
    }

    private JsonNode notes(String design) throws Exception {
        return designed(ines, "Hives", "LETTER", design);
    }

    private static boolean stopped(JsonNode proof, String code) {
        return proof.get("notes")
                .valueStream()
                .anyMatch(note -> note.get("code").asString().equals(code));
    }

    @Test
    void aPassageSaysEverywhereWhatItSaidWhenItWasMarkedReady() throws Exception {
        UUID frost = add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees stay in, {contact.first_name}")), signe);
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        assertThat(stopped(notes(blocks(passage(frost))), "passage-lost")).isTrue();
        ready(frost, 1, signe);
        assertThat(stopped(notes(blocks(passage(frost))), "passage-lost")).isFalse();
        assertThat(read(letter, signe)).contains("Bees stay in, Ines");

        Map<String, Object> changed = draft(TemplateKind.TEMPLATE, "Frost", blocks(text("Bees fly")));
        done("PUT", "/api/templates/" + frost, Map.of("version", 1, "draft", changed), signe);
        assertThat(read(letter, signe)).contains("Bees stay in");
        JsonNode shown = done("GET", "/api/desk/templates/" + frost + "/change", null, signe)
                .at("/shown/0");
        assertThat(shown.get("before").asString()).contains("Bees stay in, ").doesNotContain("Bees fly");
        assertThat(shown.get("after").asString()).contains("Bees fly").doesNotContain("stay in");
        ready(frost, 2, signe);
        assertThat(read(letter, signe)).contains("Bees fly").doesNotContain("stay in");
        assertThat(done("GET", "/api/templates/" + frost, null, dov)
                        .at("/template/kind")
                        .asString())
                .as("a change never makes a passage something else")
                .isEqualTo("PASSAGE");
    }

    private UUID readyPassage(String name, String words) throws Exception {
        UUID passage = add(TemplateKind.PASSAGE, name, blocks(text(words)), signe);
        ready(passage, 1, signe);
        return passage;
    }

    private JsonNode inItsPlace(UUID passage, UUID other, Colleague as) throws Exception {
        Map<String, Object> wanted = new HashMap<>();
        wanted.put("other", other);
        return done("POST", "/api/templates/" + passage + "/in-its-place", wanted, as);
    }

    @Test
    void anotherPassageTakesItsPlaceWhereverTemplatesHaveIt() throws Exception {
        UUID frost = add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees stay in")), signe);
        UUID sun = add(TemplateKind.PASSAGE, "Sun", blocks(text("Bees fly")), signe);
        ready(frost, 1, signe);
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        ready(letter, 1, signe);
        UUID begun = add(TemplateKind.TEMPLATE, "Begun", blocks(passage(frost)), signe);

        assertThat(inItsPlace(frost, sun, signe).at("/fields/other").asString()).contains("is ready");
        ready(sun, 1, signe);
        assertThat(inItsPlace(frost, frost, signe).has("fields")).isTrue();
        assertThat(inItsPlace(frost, null, signe).has("fields")).isTrue();
        assertThat(inItsPlace(letter, sun, signe).get("code").asString()).isEqualTo("no-passage");
        assertThat(inItsPlace(frost, sun, dov).get("code").asString()).isEqualTo("forbidden");

        assertThat(inItsPlace(frost, sun, signe).toString()).isEqualTo("{\"changed\":2}");
        assertThat(read(letter, signe)).contains("Bees fly");
        JsonNode now = done("GET", "/api/templates/" + letter, null, signe).get("template");
        assertThat(now.get("readyVersion")).as("ready as it was").isEqualTo(now.get("version"));
        assertThat(done("GET", "/api/templates/" + begun, null, signe)
                        .at("/template/readyVersion")
                        .isNull())
                .isTrue();
        assertThat(done("GET", "/api/templates/" + begun + "/versions", null, signe)
                        .findValuesAsString("reason"))
                .contains("REPLACED");
        done("DELETE", "/api/templates/" + frost, null, signe);
        assertThat(done("GET", "/api/templates/" + frost, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void anotherSignatureTakesItsPlaceForAllWhoSignWithIt() throws Exception {
        UUID old = add(TemplateKind.SIGNATURE, "Old", blocks(text("Yours, old")), signe);
        UUID now = add(TemplateKind.SIGNATURE, "New", blocks(text("Yours, new")), signe);
        UUID passage = add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees")), signe);
        for (UUID one : List.of(old, now, passage)) {
            ready(one, 1, signe);
        }
        Map<String, Object> wish = new HashMap<>();
        wish.put("template", old);
        wish.put("team", false);
        done("PUT", "/api/templates/signatures", wish, signe);
        assertThat(done("DELETE", "/api/templates/" + old, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("in-use");

        assertThat(inItsPlace(old, passage, signe).at("/fields/other").asString())
                .contains("a signature that is ready");
        assertThat(inItsPlace(old, now, signe).toString()).isEqualTo("{\"changed\":0}");
        assertThat(done("GET", "/api/templates/signatures", null, signe).toString())
                .contains(now.toString())
                .doesNotContain(old.toString());
    }

    @Test
    void whereOneTemplateCantHaveTheOtherPassageNoneHas() throws Exception {
        UUID frost = readyPassage("Frost", "Bees stay in");
        UUID sun = readyPassage("Sun", "Bees fly");
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        UUID others = id(
                done("POST", "/api/templates", draft(TemplateKind.TEMPLATE, "Dov’s own", blocks(passage(frost))), dov));

        JsonNode refused = inItsPlace(frost, sun, signe);
        assertThat(refused.get("code").asString()).isEqualTo("fixed");
        assertThat(refused.get("detail").asString())
                .contains("one template of a colleague", "Nothing was replaced")
                .doesNotContain("Dov");
        assertThat(done("GET", "/api/templates/" + letter, null, signe)
                        .at("/template/design")
                        .asString())
                .contains(frost.toString());

        done("DELETE", "/api/templates/" + others, null, dov);
        assertThat(inItsPlace(frost, sun, signe).toString()).isEqualTo("{\"changed\":1}");
    }

    @Test
    void whatOthersUseWithAPassageAsItWasKeepsThePassageThere() throws Exception {
        UUID frost = readyPassage("Frost", "Bees stay in");
        UUID sun = readyPassage("Sun", "Bees fly");
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        ready(letter, 1, signe);
        Map<String, Object> changed = draft(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)));
        changed.put("subject", "Other hives");
        done("PUT", "/api/templates/" + letter, Map.of("version", 1, "draft", changed), signe);

        assertThat(inItsPlace(frost, sun, signe).get("detail").asString()).contains("Mark it ready first");
        ready(letter, 2, signe);
        assertThat(inItsPlace(frost, sun, signe).toString()).isEqualTo("{\"changed\":1}");
    }

    /** What others use may not lose a passage because its owner has gone on without it. */
    @Test
    void aPassageThatOnlyTheReadyVersionHasIsInUse() throws Exception {
        UUID frost = readyPassage("Frost", "Bees stay in");
        UUID sun = readyPassage("Sun", "Bees fly");
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        ready(letter, 1, signe);
        Map<String, Object> changed = draft(TemplateKind.TEMPLATE, "Letter", blocks(text("Without it")));
        done("PUT", "/api/templates/" + letter, Map.of("version", 1, "draft", changed), signe);

        assertThat(done("GET", "/api/templates/" + frost + "/using", null, signe)
                        .toString())
                .contains("Letter");
        assertThat(done("DELETE", "/api/templates/" + frost, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("in-use");
        assertThat(inItsPlace(frost, sun, signe).get("detail").asString()).contains("Mark it ready first");
        assertThat(read(letter, dov)).contains("Bees stay in");

        ready(letter, 2, signe);
        done("DELETE", "/api/templates/" + frost, null, signe);
        assertThat(done("GET", "/api/templates/" + frost, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
    }

    @Test
    void aPassageIsListedApartAndIsNothingToBeginAMessageFrom() throws Exception {
        add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees")), signe);
        assertThat(done("GET", "/api/templates", null, signe).get("lines")).isEmpty();
        assertThat(done("GET", "/api/templates?kind=PASSAGE", null, signe).get("lines"))
                .hasSize(1);
        assertThat(done("GET", "/api/templates?kind=PASSAGE", null, dov).get("lines"))
                .as("not ready")
                .isEmpty();
        assertThat(done("GET", "/api/templates?kind=SIGNATURE", null, signe).get("lines"))
                .isEmpty();
        assertThat(done("GET", "/api/templates/fitting?about=CONTACT", null, signe))
                .isEmpty();
    }

    @Test
    void aFeedWithinAPassageShowsItsEntries() throws Exception {
        UUID feed = feeds.addFile(
                "blossom.xml",
                ("<rss version=\"2.0\"><channel><title>Blossom</title><link>https://x.example</link>"
                                + "<description>d</description><item><title>Late frost</title></item></channel></rss>")
                        .getBytes(StandardCharsets.UTF_8),
                oriel);
        UUID news = add(
                TemplateKind.PASSAGE,
                "News",
                blocks("{\"id\":\"f\",\"kind\":\"feed\",\"feed\":\"" + feed + "\"}"),
                signe);
        ready(news, 1, signe);
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(news)), signe);
        assertThat(read(letter, signe)).isEqualTo("Late frost");
    }

    @Test
    void onePassageInUseCanNotBeDeleted() throws Exception {
        UUID frost = add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees")), signe);
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks(passage(frost)), signe);
        JsonNode using = done("GET", "/api/templates/" + frost + "/using", null, signe);
        assertThat(using.at("/seen/0").get("name").asString()).isEqualTo("Letter");
        JsonNode refused = done("DELETE", "/api/templates/" + frost, null, signe);
        assertThat(refused.get("code").asString()).isEqualTo("in-use");
        assertThat(refused.get("detail").asString()).contains("Letter");
        done("DELETE", "/api/templates/" + letter, null, signe);
        done("DELETE", "/api/templates/" + frost, null, signe);
        assertThat(done("GET", "/api/templates?kind=PASSAGE", null, signe).get("lines"))
                .isEmpty();
    }

    @Test
    void whatWouldGoRoundInCirclesIsRefused() throws Exception {
        UUID frost = add(TemplateKind.PASSAGE, "Frost", blocks(text("Bees")), signe);
        JsonNode nested = added(draft(TemplateKind.PASSAGE, "Outer", blocks(passage(frost))), signe);
        assertThat(nested.at("/fields/design").asString()).contains("can’t have a passage");
        String signing = blocks("{\"id\":\"s\",\"kind\":\"signature\"}");
        assertThat(added(draft(TemplateKind.SIGNATURE, "Mine", signing), signe)
                        .at("/fields/design")
                        .asString())
                .contains("can’t have a signature");
        Map<String, Object> plain = draft(TemplateKind.PASSAGE, "Plain", "");
        plain.put("mode", "PLAIN");
        assertThat(added(plain, signe).at("/fields/design").asString()).contains("made of blocks");
    }

    @Test
    void messagesAreSignedWithTheSendersOwnSignatureElseWithEverybodys() throws Exception {
        UUID letter = add(TemplateKind.TEMPLATE, "Letter", blocks("{\"id\":\"s\",\"kind\":\"signature\"}"), signe);
        ready(letter, 1, signe);
        String plain = read(letter, signe);
        assertThat(plain).isNotBlank();
        UUID mine = add(TemplateKind.SIGNATURE, "Mine", blocks(text("Warmly, {sender.first_name}")), signe);
        UUID team = add(TemplateKind.SIGNATURE, "Ours", blocks(text("{our.name} greets you")), oriel);
        assertThat(choose(mine, false, signe).get("code").asString()).isEqualTo("not-ready");
        ready(mine, 1, signe);
        ready(team, 1, oriel);
        choose(mine, false, signe);
        assertThat(choose(team, true, signe).get("code").asString()).isEqualTo("forbidden");
        choose(team, true, oriel);
        assertThat(read(letter, signe)).isEqualTo("Warmly, Signe");
        assertThat(read(letter, dov)).isEqualTo("Brindlewing greets you");
        assertThat(done("DELETE", "/api/templates/" + mine, null, signe)
                        .get("code")
                        .asString())
                .isEqualTo("in-use");
        choose(null, false, signe);
        assertThat(read(letter, signe)).isEqualTo("Brindlewing greets you");
        choose(null, true, oriel);
        assertThat(read(letter, signe)).isEqualTo(plain);
    }

    private JsonNode choose(UUID template, boolean team, Colleague by) throws Exception {
        Map<String, Object> wish = new HashMap<>();
        wish.put("template", template);
        wish.put("team", team);
        return done("PUT", "/api/templates/signatures", wish, by);
    }
}
