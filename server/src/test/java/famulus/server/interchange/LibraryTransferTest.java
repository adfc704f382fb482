package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.folders.FolderRights;
import famulus.server.platform.Revisions;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Templates go out as one file, and come in again. */
class LibraryTransferTest extends LibraryFiles {
    @Autowired
    private Revisions revisions;

    /** Empties the library, as another installation would be empty. */
    private void elsewhere() {
        startFromNothing();
    }

    private void designs() throws Exception {
        for (JsonNode starter : done("GET", "/api/templates/starters", null, signe)) {
            done("POST", "/api/templates?folder=" + FolderRights.EVERYONE, starter.get("draft"), oriel);
        }
    }

    /** Every design that there is comes back as it was. */
    @Test
    void whatWasTakenOutComesBackIdentical() throws Exception {
        designs();
        String picture = upload("/api/materials/pictures", Map.of("name", "dot.png"), png(), signe)
                .get("id")
                .asString();
        String file = upload("/api/materials/files", Map.of("name", "terms.txt"), new byte[] {65, 66}, signe)
                .get("id")
                .asString();
        JsonNode first = done("GET", "/api/templates?search=", null, oriel).at("/lines/0");
        UUID id = UUID.fromString(first.get("id").asString());
        JsonNode open = done("GET", "/api/templates/" + id, null, oriel);
        ObjectNode draft = (ObjectNode) open.get("template");
        draft.set("files", json.valueToTree(List.of(file)));
        done("PUT", "/api/templates/" + id, Map.of("version", 1, "draft", draft), oriel);
        JsonNode passage = done(
                "POST",
                "/api/templates",
                Map.of(
                        "name",
                        "How it goes",
                        "purpose",
                        "",
                        "about",
                        "CONTACT",
                        "subject",
                        "",
                        "previewText",
                        "",
                        "body",
                        "",
                        "mode",
                        "LETTER",
                        "kind",
                        "PASSAGE",
                        "design",
                        picture(picture)),
                signe);
        assertThat(passage.has("template")).as("%s", passage).isTrue();
        String text = passage.at("/template/id").asString();
        done("POST", "/api/templates/" + text + "/ready", Map.of("version", 1), signe);
        done(
                "POST",
                "/api/templates?folder=" + FolderRights.EVERYONE,
                Map.of(
                        "name",
                        "With it",
                        "purpose",
                        "",
                        "about",
                        "CONTACT",
                        "subject",
                        "s",
                        "previewText",
                        "",
                        "body",
                        "",
                        "mode",
                        "LETTER",
                        "design",
                        passage(text)),
                oriel);
        done(
                "POST",
                "/api/templates/tags",
                Map.of("templates", List.of(id), "add", List.of("north"), "remove", List.of()),
                oriel);
        byte[] before = exported("", oriel);
        assertThat(library(before).get("texts").size()).isGreaterThan(10);
        assertThat(entries(before).keySet()).contains("pictures/" + picture, "files/" + file);

        elsewhere();
        assertThat(look(before, oriel).get("things").findValuesAsString("state"))
                .doesNotContain("LEFT", "OTHER");
        JsonNode done = run(before, Map.of("folder", FolderRights.EVERYONE, "others", "SKIP"), oriel);
        assertThat(done.get("left").asInt()).as("%s", done).isZero();

        // Below the folder they were brought into, which stands for everybody’s here as it did there.
        byte[] after = exported("", oriel);
        assertThat(entries(after).keySet()).isEqualTo(entries(before).keySet());
        assertThat(texts(after)).isEqualTo(texts(before));
        assertThat(look(after, oriel).get("things").findValuesAsString("state")).containsOnly("SAME");
    }

    /** All that texts say, by name; in which folder they lie is for whoever brings them in to say. */
    private Map<String, JsonNode> texts(byte[] file) throws Exception {
        Map<String, JsonNode> texts = new HashMap<>();
        for (JsonNode text : library(file).get("texts")) {
            ((ObjectNode) text).remove("folder");
            texts.put(text.get("id").asString(), text);
        }
        return texts;
    }

    private static byte[] png() throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        javax.imageio.ImageIO.write(
                new java.awt.image.BufferedImage(4, 4, java.awt.image.BufferedImage.TYPE_INT_RGB), "png", bytes);
        return bytes.toByteArray();
    }

    private static String body(String content) {
        return """
                {"version": 1, "bands": [{"id": "r1", "columns": [{"blocks": [{"id": "b1", %s}]}]}]}"""
                .formatted(content);
    }

    private static String picture(String id) {
        return body("\"kind\": \"picture\", \"picture\": \"" + id + "\", \"description\": \"A dot\"");
    }

    private static String passage(String id) {
        return body("\"kind\": \"passage\", \"passage\": \"" + id + "\"");
    }

    @Test
    void whatSaysSomethingElseHereIsAskedAbout() throws Exception {
        UUID id = template("CONTACT", "Old", "Old words");
        byte[] old = exported("?template=" + id, signe);
        JsonNode open = done("GET", "/api/templates/" + id, null, signe);
        ObjectNode draft = (ObjectNode) open.get("template");
        draft.put("subject", "New");
        done("PUT", "/api/templates/" + id, Map.of("version", 1, "draft", draft), signe);

        JsonNode thing = look(old, signe)
                .get("things")
                .valueStream()
                .filter(one -> one.get("what").asString().equals("TEMPLATE"))
                .findFirst()
                .orElseThrow();
        assertThat(thing.get("state").asString()).as("%s", thing).isEqualTo("OTHER");

        assertThat(run(old, Map.of("others", "SKIP"), signe).get("skipped").asInt())
                .isEqualTo(1);
        assertThat(run(old, Map.of("others", "KEEP_BOTH"), signe).get("added").asInt())
                .isEqualTo(1);
        List<Map<String, Object>> single = List.of(Map.of("id", id, "answer", "REPLACE"));
        assertThat(run(old, Map.of("others", "SKIP", "single", single), signe)
                        .get("replaced")
                        .asInt())
                .isEqualTo(1);
        assertThat(done("GET", "/api/templates/" + id, null, signe)
                        .at("/template/subject")
                        .asString())
                .isEqualTo("Old");
        assertThat(done("GET", "/api/templates/" + id + "/versions", null, signe)
                        .size())
                .as("what it said before is kept")
                .isPositive();
        assertThat(run(old, Map.of("others", "REPLACE"), dov).get("code"))
                .as("nobody replaces what they don’t see")
                .isNull();
    }

    @Test
    void nobodyTakesOutWhatTheyDoNotSeeNorLearnsOfIt() throws Exception {
        UUID id = ownTemplate("Own", "");
        assertThat(new String(exported("?template=" + id, dov), StandardCharsets.UTF_8))
                .contains("\"missing\"");
        assertThat(library(exported("", dov)).get("texts")).isEmpty();
        // The same identifier, which dov may not see, is free to him: his copy has another one.
        byte[] mine = exported("?template=" + id, signe);
        assertThat(look(mine, dov).get("things").findValuesAsString("state"))
                .contains("NEW")
                .doesNotContain("OTHER");
        assertThat(run(mine, Map.of("others", "REPLACE"), dov).get("added").asInt())
                .isEqualTo(1);
        assertThat(sql.queryForObject("select count(*) from template where name = 'Own'", Integer.class))
                .isEqualTo(2);
    }

    @Test
    void foldersComeAlongAndAreFoundAgain() throws Exception {
        designs();
        byte[] file = exported("", oriel);
        ObjectNode library = library(file);
        UUID outer = UUID.randomUUID();
        UUID inner = UUID.randomUUID();
        List<Map<String, Object>> folders = new ArrayList<>();
        folders.add(folder(outer, null, "Quotes"));
        folders.add(folder(inner, outer, "Spring"));
        library.set("folders", json.valueToTree(folders));
        library.get("texts").forEach(text -> ((ObjectNode) text).put("folder", inner.toString()));
        byte[] nested = with(file, library);
        elsewhere();

        assertThat(look(nested, signe).get("things").toString()).contains("[\"Quotes\",\"Spring\"]");
        run(nested, Map.of("others", "SKIP"), signe);
        assertThat(done("GET", "/api/folders", null, signe).findValuesAsString("name"))
                .contains("Quotes", "Spring");
        int before = sql.queryForObject("select count(*) from folder", Integer.class);
        run(nested, Map.of("others", "KEEP_BOTH"), signe);
        assertThat(sql.queryForObject("select count(*) from folder", Integer.class))
                .isEqualTo(before);

        // In a ring there is no outside: what lies there goes as far as it can be followed.
        library.set("folders", json.valueToTree(List.of(folder(outer, inner, "A"), folder(inner, outer, "B"))));
        assertThat(look(with(file, library), signe).has("things")).isTrue();
    }

    private static Map<String, Object> folder(UUID id, UUID parent, String name) {
        Map<String, Object> folder = new HashMap<>();
        folder.put("id", id);
        folder.put("parent", parent);
        folder.put("name", name);
        return folder;
    }

    @Test
    void fieldsThatAreNotHereAreListed() throws Exception {
        UUID id = template("CONTACT", "Hello {contact.first_name}", "About {contact.favourite_colour}");
        JsonNode report = look(exported("?template=" + id, signe), signe);
        assertThat(report.get("missing").toString())
                .isEqualTo("[{\"path\":\"contact.favourite_colour\",\"templates\":1}]");
    }

    @Test
    void damagedFilesAreRefusedAndNothingIsKept() throws Exception {
        UUID id = template("CONTACT", "s", "b");
        byte[] sound = exported("?template=" + id, signe);
        Map<String, byte[]> bomb = new HashMap<>(entries(sound));
        bomb.put("pictures/" + UUID.randomUUID(), new byte[200 << 20]);
        Map<String, byte[]> tricks = new HashMap<>(entries(sound));
        tricks.put("../../etc/passwd", new byte[] {1});
        tricks.put("pictures/../../x", new byte[] {1});
        ObjectNode later = library(sound);
        later.put("version", 99);
        ObjectNode empty = json.createObjectNode();
        byte[] cut = java.util.Arrays.copyOf(sound, sound.length / 2);
        for (byte[] wrong : List.of(
                new byte[0],
                "no zip".getBytes(StandardCharsets.UTF_8),
                cut,
                zip(bomb),
                zip(Map.of("library.json", "{\"format\": ".getBytes(StandardCharsets.UTF_8))),
                zip(Map.of("other.json", new byte[] {1})),
                with(sound, empty),
                with(sound, later))) {
            assertThat(look(wrong, signe).at("/fields/file").asString())
                    .as("%d bytes", wrong.length)
                    .isNotEmpty();
            assertThat(run(wrong, Map.of("others", "KEEP_BOTH"), signe)
                            .at("/fields/file")
                            .asString())
                    .isNotEmpty();
        }
        assertThat(look(zip(tricks), signe).has("things")).isTrue();
        ObjectNode withPicture = library(sound);
        UUID picture = UUID.randomUUID();
        withPicture.set("pictures", json.valueToTree(List.of(Map.of("id", picture, "name", "dot.png"))));
        Map<String, byte[]> damaged = new HashMap<>(entries(with(sound, withPicture)));
        damaged.put("pictures/" + picture, new byte[] {1, 2, 3});
        assertThat(look(zip(damaged), signe).get("things").findValuesAsString("state"))
                .contains("LEFT");
        assertThat(run(zip(damaged), Map.of("others", "SKIP"), signe)
                        .get("skipped")
                        .asInt())
                .isEqualTo(1);
        assertThat(sql.queryForObject("select count(*) from template", Integer.class))
                .isEqualTo(1);
    }

    /** A folder that can't be made stops it after others have come: none of them is there then. */
    @Test
    void whereOneThingFailsNothingIsImported() throws Exception {
        designs();
        byte[] file = exported("", oriel);
        ObjectNode library = library(file);
        UUID wrong = UUID.randomUUID();
        library.set("folders", json.valueToTree(List.of(folder(wrong, null, "x".repeat(300)))));
        ((ObjectNode) library.get("texts").get(library.get("texts").size() - 1)).put("folder", wrong.toString());
        elsewhere();

        JsonNode refused = run(with(file, library), Map.of("others", "SKIP"), signe);

        assertThat(refused.get("code").asString()).as("%s", refused).isEqualTo("fields");
        assertThat(sql.queryForObject("select count(*) from template", Integer.class))
                .isZero();
        assertThat(done("GET", "/api/templates?search=thank", null, signe).get("lines"))
                .isEmpty();
    }

    /** What can't be kept is left out and said; the rest comes. */
    @Test
    void unsoundTextsAreLeftOut() throws Exception {
        UUID id = template("CONTACT", "s", "b");
        byte[] sound = exported("?template=" + id, signe);
        ObjectNode library = library(sound);
        ObjectNode text = (ObjectNode) library.get("texts").get(0);
        text.put("id", UUID.randomUUID().toString());
        text.put("subject", "two\nlines");
        JsonNode report = look(with(sound, library), signe);
        assertThat(report.get("things").findValuesAsString("state")).contains("LEFT");
        assertThat(run(with(sound, library), Map.of("others", "SKIP"), signe)
                        .get("left")
                        .asInt())
                .isEqualTo(1);
        text.put("kind", "HEADER");
        assertThat(look(with(sound, library), signe).get("things").toString()).contains("come with their style");
        text.put("kind", "TEMPLATE");
        library.set("pictures", json.valueToTree(List.of(Map.of("id", UUID.randomUUID()))));
        assertThat(look(with(sound, library), signe).get("things").findValuesAsString("what"))
                .contains("PICTURE");
        Map<String, Object> unsaid = new HashMap<>(Map.of("id", id));
        unsaid.put("answer", null);
        assertThat(run(with(sound, library), Map.of("others", "SKIP", "single", List.of(unsaid)), signe)
                        .get("left")
                        .asInt())
                .isEqualTo(1);
        text.put("subject", "one line");
        text.put("mode", "LETTER");
        text.set("design", json.valueToTree(Map.of("bands", "none")));
        assertThat(look(with(sound, library), signe).get("things").findValuesAsString("state"))
                .contains("LEFT");
    }

    /** Shares travel by what is the same elsewhere, and only for who wants them. */
    @Test
    void foldersAreSharedAsTheyWereThereOnRequest() throws Exception {
        String folder = done("POST", "/api/folders", Map.of("name", "Frost"), signe)
                .get("id")
                .asString();
        done(
                "PUT",
                "/api/folders/" + folder + "/sharing",
                Map.of(
                        "own",
                        true,
                        "shares",
                        List.of(
                                Map.of("with", "EVERYBODY", "may", "USE"),
                                Map.of("with", "COLLEAGUE", "id", dov.id(), "may", "CHANGE"))),
                signe);
        UUID id = ownTemplate("In frost", "");
        done("POST", "/api/templates/move", Map.of("templates", List.of(id), "folder", folder), signe);
        byte[] file = exported("", signe);
        assertThat(library(file).at("/folders/0/shares").toString())
                .contains("EVERYBODY", dov.email())
                .doesNotContain(dov.id().toString());
        assertThat(library(exported("", dov)).at("/folders/0/shares"))
                .as("whoever doesn't manage it isn't told")
                .isEmpty();

        elsewhere();
        ObjectNode library = library(file);
        ((ObjectNode) library.at("/folders/0/shares/1")).put("name", "stranger@larkfield.example");
        byte[] strange = with(file, library);
        JsonNode look = look(strange, signe);
        assertThat(look.get("shared").toString()).isEqualTo("[\"Frost\"]");
        assertThat(look.get("strangers").toString()).isEqualTo("[\"stranger@larkfield.example\"]");

        run(strange, Map.of("folder", FolderRights.EVERYONE, "others", "SKIP"), amos);
        assertThat(sharing("Frost")).as("not asked for").doesNotContain("Dov");
        elsewhere();
        run(file, Map.of("folder", FolderRights.EVERYONE, "others", "SKIP", "sharing", true), amos);
        assertThat(sharing("Frost")).contains("Everybody may use", "Dov").contains("may change");
    }

    /** A feed comes as it was read last; where it is read from is an administrator's to say. */
    @Test
    void feedsComeAsTheyWereReadLast() throws Exception {
        String xml = "<rss version=\"2.0\"><channel><title>Hedge letter</title><item><title>Frost</title>"
                + "<link>https://news.example/frost</link></item></channel></rss>";
        upload("/api/materials/feeds", Map.of("name", "hedge.xml"), xml.getBytes(), oriel);
        sql.update("update feed set address = 'https://news.example/feed.xml'");
        revisions.changed("feeds");
        String feed =
                done("GET", "/api/materials/feeds", null, oriel).at("/0/id").asString();
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "News");
        draft.put("about", "CONTACT");
        draft.put("mode", "LETTER");
        draft.put("subject", "News");
        draft.put(
                "design",
                "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[{\"id\":\"f\",\"kind\":\"feed\",\"feed\":\""
                        + feed + "\"}]}]}]}");
        assertThat(done("POST", "/api/templates", draft, signe).has("template")).isTrue();
        byte[] file = exported("", signe);
        assertThat(library(file).at("/feeds/0/name").asString()).isEqualTo("Hedge letter");
        assertThat(look(file, signe).toString()).contains("\"what\":\"FEED\"", "\"state\":\"SAME\"");

        for (boolean administrator : new boolean[] {false, true}) {
            elsewhere();
            sql.update("delete from feed");
            revisions.changed("feeds");
            assertThat(run(file, Map.of("others", "SKIP"), administrator ? amos : oriel)
                            .get("added")
                            .asInt())
                    .isEqualTo(1);
            JsonNode here = done("GET", "/api/materials/feeds", null, oriel);
            assertThat(here.at("/0/name").asString()).isEqualTo("Hedge letter");
            assertThat(here.at("/0/address").asString())
                    .isEqualTo(administrator ? "https://news.example/feed.xml" : "");
        }
        elsewhere();
        sql.update("delete from feed");
        revisions.changed("feeds");
        assertThat(look(file, signe).toString()).contains("Only editors and administrators add feeds.");
        assertThat(run(file, Map.of("others", "SKIP"), signe).get("added").asInt())
                .isEqualTo(1);
    }

    private String sharing(String name) throws Exception {
        return done("GET", "/api/folders", null, amos)
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .map(one -> one.get("sharing").asString())
                .findFirst()
                .orElse("");
    }
}
