package famulus.server.folders;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.team.Colleague;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

/** Pictures, files and styles lie in folders: who sees them there, and who uses them because of where they stand. */
class MaterialFoldersTest extends FolderCase {
    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    private UUID folder;
    private UUID picture;
    private UUID file;
    private UUID style;
    private UUID passage;
    private UUID ines;

    @BeforeEach
    void hiddenThings() throws Exception {
        ines = contact("Ines", "Okafor", "ines@larkfield.example");
        folder = add("Launch", null, oriel);
        Map<String, String> place = Map.of("name", "Zyxomma", "folder", folder.toString());
        picture = id(upload("/api/materials/pictures", place, png(), oriel));
        file = id(upload("/api/materials/files", place, "prices".getBytes(StandardCharsets.UTF_8), oriel));
        String look = done("GET", "/api/materials/house-styles", null, oriel)
                .at("/0/look")
                .asString()
                .replace("\"Plain\"", "\"Zyxomma\"");
        style = id(done("POST", "/api/materials/house-styles", Map.of("look", look, "folder", folder), oriel));
        Map<String, Object> text =
                designed("Zyxomma", "{\"id\":\"t\",\"kind\":\"text\",\"text\":[{\"runs\":[{\"text\":\"Zyxomma\"}]}]}");
        text.put("kind", "PASSAGE");
        passage = template(done("POST", "/api/templates?folder=" + folder, text, oriel));
        ready(passage, oriel);
    }

    private static byte[] png() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(8, 8, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static UUID id(JsonNode made) {
        assertThat(made.has("id")).as(made.toString()).isTrue();
        return UUID.fromString(made.get("id").asString());
    }

    private static UUID template(JsonNode made) {
        assertThat(made.has("template")).as(made.toString()).isTrue();
        return UUID.fromString(made.at("/template/id").asString());
    }

    private static Map<String, Object> designed(String name, String... blocks) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", name);
        draft.put("about", "CONTACT");
        draft.put("subject", "Hello");
        draft.put("mode", "DESIGNED");
        draft.put(
                "design",
                "{\"version\":1,\"bands\":[{\"id\":\"s\",\"columns\":[{\"share\":1,\"blocks\":["
                        + String.join(",", blocks)
                        + "]}]}]}");
        return draft;
    }

    /** One that has all of them. */
    private Map<String, Object> withAll(String name, UUID ofPicture, UUID ofFile, UUID ofStyle, UUID ofPassage) {
        Map<String, Object> draft = designed(
                name,
                "{\"id\":\"p\",\"kind\":\"picture\",\"picture\":\"" + ofPicture + "\"}",
                "{\"id\":\"q\",\"kind\":\"passage\",\"passage\":\"" + ofPassage + "\"}");
        draft.put("files", List.of(ofFile));
        draft.put("houseStyle", ofStyle);
        return draft;
    }

    private MockHttpServletResponse answer(String method, String path, Object body, Colleague as) throws Exception {
        return mvc.perform(request(method, path, body, as)).andReturn().getResponse();
    }

    private static String said(MockHttpServletResponse answer) throws Exception {
        return answer.getStatus() + " " + answer.getContentAsString(StandardCharsets.UTF_8);
    }

    private List<String> listed(String what, Colleague as) throws Exception {
        return done("GET", "/api/materials/" + what, null, as)
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private int bytes(String path, Colleague as) throws Exception {
        return answer("GET", path, null, as).getStatus();
    }

    @Test
    void whatMayNotBeSeenAnswersAsIfItWereNotThere() throws Exception {
        Map<String, Object> bodies = Map.of(
                "PUT /api/materials/pictures/{id}", Map.of("name", "x", "description", "", "category", ""),
                "PUT /api/materials/pictures/{id}/folder", Map.of("folder", FolderRights.EVERYONE),
                "PUT /api/materials/files/{id}/folder", Map.of("folder", FolderRights.EVERYONE),
                "PUT /api/materials/house-styles/{id}/folder", Map.of("folder", FolderRights.EVERYONE),
                "PUT /api/materials/house-styles/{id}", Map.of("version", 1, "look", "{}"),
                "PUT /api/materials/house-styles/{id}/named", Map.of("named", List.of()),
                "POST /api/desk/house-styles/{id}/change",
                        Map.of(
                                "look",
                                done("GET", "/api/materials/house-styles", null, dov)
                                        .at("/0/look")
                                        .asString()));
        List<String> asked = new ArrayList<>();
        for (RequestMappingInfo info :
                requestMappingHandlerMapping.getHandlerMethods().keySet()) {
            for (String path : info.getPatternValues()) {
                boolean theirs = path.startsWith("/api/materials/pictures/{id}")
                        || path.startsWith("/api/materials/files/{id}")
                        || path.contains("house-styles/{id}");
                if (theirs) {
                    for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                        UUID hidden = path.contains("pictures") ? picture : path.contains("files") ? file : style;
                        Object body = bodies.get(method + " " + path);
                        MockHttpServletResponse answer =
                                answer(method.name(), path.replace("{id}", hidden.toString()), body, dov);
                        UUID unknown = UUID.randomUUID();
                        String other = said(answer(method.name(), path.replace("{id}", unknown.toString()), body, dov));
                        assertThat(said(answer).replace(hidden.toString(), "?"))
                                .as(method + " " + path)
                                .isEqualTo(other.replace(unknown.toString(), "?"))
                                .doesNotContain("Zyxomma");
                        assertThat(answer.getStatus()).as(method + " " + path).isIn(403, 404);
                        asked.add(method + " " + path);
                    }
                }
            }
        }
        assertThat(asked).hasSizeGreaterThan(12);
        for (String what : List.of("PICTURE", "FILE")) {
            UUID hidden = what.equals("PICTURE") ? picture : file;
            assertThat(said(answer("GET", "/api/materials/uses/" + hidden + "?what=" + what, null, dov)))
                    .isEqualTo(said(
                            answer("GET", "/api/materials/uses/" + UUID.randomUUID() + "?what=" + what, null, dov)));
        }
        for (String what : List.of("pictures", "files", "house-styles")) {
            assertThat(listed(what, dov)).doesNotContain("Zyxomma");
            assertThat(listed(what, oriel)).contains("Zyxomma");
            assertThat(listed(what, amos))
                    .as("an administrator is never locked out")
                    .contains("Zyxomma");
        }
    }

    @Test
    void aDraftThatNamesWhatItsWriterMayNotUseNamesNothing() throws Exception {
        Set<String> proofs = new HashSet<>();
        for (UUID[] parts : new UUID[][] {
            {picture, file, style, passage},
            {UUID.randomUUID(), UUID.randomUUID(), UUID.randomUUID(), UUID.randomUUID()}
        }) {
            Map<String, Object> draft = withAll("Guessed", parts[0], parts[1], parts[2], parts[3]);
            JsonNode proof =
                    done("POST", "/api/desk/proof", Map.of("draft", draft, "kind", "contact", "id", ines), dov);
            assertThat(proof.toString()).doesNotContain("Zyxomma").doesNotContain(picture.toString());
            assertThat(proof.get("notes").valueStream().map(note -> note.get("code")
                            .asString()))
                    .contains("picture-lost", "passage-lost");
            proofs.add(proof.toString().replaceAll("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}", "?"));
            assertThat(done("POST", "/api/templates", draft, dov).get("detail").asString())
                    .isEqualTo("This style is missing.");
            draft.put("houseStyle", null);
            assertThat(done("POST", "/api/templates", draft, dov).toString()).contains("One of these files is gone");
            draft.put("files", List.of());
            UUID kept = template(done("POST", "/api/templates", draft, dov));
            assertThat(bytes("/api/materials/pictures/" + picture, dov)).isEqualTo(404);
            assertThat(done("GET", "/api/templates/" + kept, null, dov).toString())
                    .doesNotContain(picture.toString())
                    .doesNotContain(passage.toString());
        }
        assertThat(proofs)
                .as("one answer to what is hidden and to what is not there")
                .hasSize(1);
    }

    @Test
    void whoMayUseATemplateMayUseWhatIsInIt() throws Exception {
        UUID shared = template(done("POST", "/api/templates", withAll("Offer", picture, file, style, passage), oriel));
        assertThat(bytes("/api/materials/pictures/" + picture, dov)).isEqualTo(404);
        UUID open = add("Offers", null, oriel);
        share(open, oriel, share("COLLEAGUE", dov.id(), "USE"));
        move(open, oriel, shared);
        ready(shared, oriel);

        assertThat(bytes("/api/materials/pictures/" + picture + "~wide.160", dov))
                .isEqualTo(200);
        assertThat(bytes("/api/materials/files/" + file, dov)).isEqualTo(200);
        assertThat(listed("house-styles", dov)).contains("Zyxomma");
        assertThat(listed("pictures", dov)).as("only within the template").isEmpty();
        JsonNode copy = done("POST", "/api/templates/" + shared + "/duplicate", null, dov);
        assertThat(copy.toString()).contains(picture.toString(), passage.toString(), file.toString(), style.toString());
        JsonNode begun =
                done("POST", "/api/messages/begin", Map.of("template", shared, "kind", "contact", "id", ines), dov);
        assertThat(begun.toString()).contains("Zyxomma");
        assertThat(bytes("/api/materials/pictures/" + picture, signe)).isEqualTo(404);
    }

    @Test
    void itsFolderSaysWhoChangesIt() throws Exception {
        share(folder, oriel, share("COLLEAGUE", dov.id(), "USE"), share("COLLEAGUE", signe.id(), "CHANGE"));
        Map<String, Object> words = Map.of("name", "Gate", "description", "A gate", "category", "");
        assertThat(listed("pictures", dov)).contains("Zyxomma");
        assertThat(done("PUT", "/api/materials/pictures/" + picture, words, dov)
                        .get("detail")
                        .asString())
                .isEqualTo("You may use this picture, not change it.");
        done("PUT", "/api/materials/pictures/" + picture, words, signe);
        assertThat(listed("pictures", dov)).contains("Gate");
        assertThat(done("DELETE", "/api/materials/files/" + file, null, dov)
                        .get("code")
                        .asString())
                .isEqualTo("forbidden");

        UUID closed = add("Closed", null, dov);
        assertThat(done("PUT", "/api/materials/pictures/" + picture + "/folder", Map.of("folder", closed), signe)
                        .get("code")
                        .asString())
                .isEqualTo("missing");
        UUID own = add("Mine", null, signe);
        done("PUT", "/api/materials/pictures/" + picture + "/folder", Map.of("folder", own), signe);
        assertThat(listed("pictures", dov)).doesNotContain("Gate");
        assertThat(listed("pictures", oriel))
                .as("who brought it goes on seeing it")
                .contains("Gate");
        assertThat(done("POST", "/api/materials/pictures?name=x&folder=" + folder, null, dov)
                        .get("code")
                        .asString())
                .isIn("forbidden", "fields");
    }

    @Test
    void aFolderWithMaterialsInItIsNotDeleted() throws Exception {
        done("DELETE", "/api/templates/" + passage, null, oriel);
        List<String> said = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            String why = done("DELETE", "/api/folders/" + folder, null, oriel)
                    .get("detail")
                    .asString();
            said.add(why.replaceAll("There are (\\w+) in this folder.*", "$1"));
            String[] what = why.contains("pictures")
                    ? new String[] {"pictures", picture.toString()}
                    : why.contains("files")
                            ? new String[] {"files", file.toString()}
                            : new String[] {"house-styles", style.toString()};
            done(
                    "PUT",
                    "/api/materials/" + what[0] + "/" + what[1] + "/folder",
                    Map.of("folder", FolderRights.EVERYONE),
                    oriel);
        }
        assertThat(said).containsExactlyInAnyOrder("pictures", "files", "styles");
        assertThat(done("DELETE", "/api/folders/" + folder, null, oriel).isArray())
                .isTrue();
    }
}
