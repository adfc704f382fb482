package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Templates taken out as pages, e-mails, Markdown and words: each can be brought in again. */
class LibraryFormatsTest extends LibraryFiles {
    private byte[] export(String query) throws Exception {
        return mvc.perform(request("GET", "/api/library/export?" + query, null, signe))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private static String text(byte[] bytes) {
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private JsonNode file(String name, byte[] bytes) throws Exception {
        return upload("/api/templates/bring-in/file", Map.of("name", name), bytes, signe);
    }

    private UUID pictured() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(20, 8, BufferedImage.TYPE_INT_RGB), "png", out);
        String picture = upload("/api/materials/pictures", Map.of("name", "Gate"), out.toByteArray(), signe)
                .get("id")
                .asString();
        String plan = upload("/api/materials/files", Map.of("name", "plan.txt"), "a plan".getBytes(), signe)
                .get("id")
                .asString();
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Spring / news");
        draft.put("about", "CONTACT");
        draft.put("mode", "SOURCE");
        draft.put("subject", "News for {contact.first_name}");
        draft.put("files", List.of(plan));
        draft.put(
                "design",
                done(
                                "POST",
                                "/api/templates/bring-in",
                                Map.of(
                                        "html",
                                        "<h1>Spring</h1><p>Dear <b>{contact.first_name}</b></p><img alt='Gate' src='picture:"
                                                + picture + "'>"),
                                signe)
                        .get("design")
                        .asString());
        return UUID.fromString(
                done("POST", "/api/templates", draft, signe).at("/template/id").asString());
    }

    @Test
    void aPageLiesBesideItsPicturesAndComesBack() throws Exception {
        UUID id = pictured();
        byte[] zip = export("as=HTML&template=" + id);
        Map<String, byte[]> entries = entries(zip);
        assertThat(entries.keySet()).hasSize(3).contains("Spring   news.html", "left out.txt");
        assertThat(text(entries.get("left out.txt"))).contains("Folders, tags", "Spring / news\n- Its attached files.");
        JsonNode read = file("back.zip", zip);
        assertThat(read.get("pictures").asInt()).isEqualTo(1);
        JsonNode clean = done(
                "POST",
                "/api/templates/bring-in",
                Map.of("html", read.get("text").asString()),
                signe);
        assertThat(clean.get("title").asString()).isEqualTo("News for {contact.first_name}");
        assertThat(clean.get("removed")).isEmpty();
        assertThat(clean.get("source").asString()).contains("Dear <b>{contact.first_name}</b>", "picture:");
    }

    @Test
    void anEmailHasItsPicturesAndFilesWithin() throws Exception {
        Map<String, byte[]> entries = entries(export("as=EMAIL&template=" + pictured()));
        byte[] email = entries.get("Spring   news.eml");
        assertThat(text(email)).contains("plan.txt", "multipart/alternative", "Content-ID:");
        JsonNode read = file("back.eml", email);
        assertThat(read.get("title").asString()).isEqualTo("News for {contact.first_name}");
        assertThat(read.get("text").asString()).contains("{contact.first_name}");
        assertThat(read.get("pictures").asInt()).isEqualTo(1);
    }

    @Test
    void markdownAndWordsSayWhatTheyCant() throws Exception {
        UUID page = pictured();
        UUID plain = template("CONTACT", "Hello", "Dear {contact.first_name},\n\n- one\n- two");
        Map<String, byte[]> markdown = entries(export("as=MARKDOWN&template=" + page + "&template=" + plain));
        assertThat(text(markdown.get("Spring   news.md")))
                .startsWith("# Spring\n\nDear **{contact.first_name}**")
                .contains("](pictures/");
        assertThat(markdown.keySet()).anyMatch(name -> name.startsWith("pictures/"));
        assertThat(text(markdown.get("A template.md"))).isEqualTo("Dear {contact.first_name},\n\n- one\n- two\n");
        assertThat(text(markdown.get("left out.txt"))).contains("How wide pictures are");

        Map<String, byte[]> words = entries(export("as=WORDS"));
        assertThat(text(words.get("A template.txt"))).isEqualTo("Dear {contact.first_name},\n\n- one\n- two\n");
        assertThat(words.keySet()).noneMatch(name -> name.startsWith("pictures/"));
    }

    @Test
    void namesThatAreTheSameGetNumbersAndOthersOwnAreNotTakenOut() throws Exception {
        template("CONTACT", "Hello", "One");
        template("CONTACT", "Hello", "Two");
        assertThat(entries(export("as=WORDS")).keySet())
                .containsExactlyInAnyOrder("A template.txt", "A template 2.txt", "left out.txt");
        UUID others = ownTemplate("Mine", "");
        JsonNode refused = done("GET", "/api/library/export?as=HTML&template=" + others, null, dov);
        assertThat(refused.get("code").asString()).isEqualTo("missing");
    }
}
