package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.materials.PictureService;
import famulus.server.team.Colleague;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.util.AopTestUtils;
import org.springframework.test.util.ReflectionTestUtils;
import tools.jackson.databind.JsonNode;

/** Designs from elsewhere: pages, e-mails and zips with their pictures, and the codes in them. */
class BringInTest extends ServerTest {
    @Autowired
    private PictureService pictures;

    @Autowired
    private PicturesBrought brought;

    private JsonNode file(String name, byte[] bytes) throws Exception {
        return upload("/api/templates/bring-in/file", Map.of("name", name), bytes, signe);
    }

    private JsonNode text(String html, Map<String, String> codes) throws Exception {
        return done("POST", "/api/templates/bring-in", Map.of("html", html, "codes", codes), signe);
    }

    private static byte[] png(int width) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, 8, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }

    private static byte[] zip(Map<String, byte[]> things) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> one : things.entrySet()) {
                zip.putNextEntry(new ZipEntry(one.getKey()));
                zip.write(one.getValue());
            }
        }
        return out.toByteArray();
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private List<String> materials() throws Exception {
        return done("GET", "/api/materials/pictures", null, signe)
                .valueStream()
                .map(one -> one.get("name").asString())
                .toList();
    }

    private JsonNode make(JsonNode clean, Colleague as) throws Exception {
        Map<String, Object> draft = new HashMap<>();
        draft.put("name", "Brought in");
        draft.put("about", "CONTACT");
        draft.put("mode", "SOURCE");
        draft.put("design", clean.get("design").asString());
        return added(draft, as);
    }

    @Test
    void picturesBesideAPageComeWithItAndAreInMaterialsOnceATemplateShowsThem() throws Exception {
        Map<String, byte[]> things = new LinkedHashMap<>();
        things.put("mail/", new byte[0]);
        things.put(
                "mail/pages/index.html",
                bytes("<title>Spring</title><img src='../img/Big%20gate.PNG' alt='Gate'>"
                        + "<img src=\"../img/Big%20gate.PNG?1\"><img src=/top.png><img src='../../../../../etc/passwd.png'>"
                        + "<img alt='Away' src='https://x.example/a.png'><img alt='Bad' src='../img/bad.png'>"));
        things.put("mail/img/big gate.png", png(20));
        things.put("top.png", png(30));
        things.put("mail/img/bad.png", bytes("no picture"));
        things.put("__MACOSX/mail/pages/._index.html", bytes("x"));

        JsonNode read = file("spring.zip", zip(things));
        assertThat(read.at("/page").asString()).isEqualTo("mail/pages/index.html");
        assertThat(read.get("pages")).hasSize(1);
        assertThat(read.get("pictures").asInt()).isEqualTo(2);
        assertThat(materials()).as("nothing is kept before somebody says so").isEmpty();

        JsonNode clean = text(read.get("text").asString(), Map.of());
        assertThat(clean.get("removed").toString()).contains("Away", "Bad").doesNotContain("Gate");
        assertThat(clean.get("source").asString().split("src=\"picture:", -1)).hasSize(4);
        JsonNode made = make(clean, signe);
        assertThat(made.has("template")).as(made.toString()).isTrue();
        assertThat(materials()).containsExactlyInAnyOrder("big gate", "top");

        file("spring.zip", zip(things));
        make(text(read.get("text").asString(), Map.of()), signe);
        assertThat(materials()).as("the same picture is there once").hasSize(2);
    }

    @Test
    void picturesWithinAPageComeToo() throws Exception {
        String page = "<p>Hello</p><img src=\"data:image/png;base64,"
                + Base64.getMimeEncoder().encodeToString(png(20)) + "\"><img src='data:image/png;base64,%%%'>";
        JsonNode clean = text(page, Map.of());
        assertThat(clean.get("pictures").asInt()).isEqualTo(1);
        assertThat(clean.get("removed").toString()).contains("one within the page");
        make(clean, signe);
        assertThat(materials()).containsExactly("Picture of a page");
        assertThat(file("page.html", bytes(page)).get("pictures").asInt()).isEqualTo(1);
    }

    @Test
    void whatNobodyMakesATemplateOfIsGoneAfterADay() throws Exception {
        text("<img src='data:image/png;base64," + Base64.getEncoder().encodeToString(png(20)) + "'>", Map.of());
        JsonNode used =
                text("<img src='data:image/png;base64," + Base64.getEncoder().encodeToString(png(30)) + "'>", Map.of());
        make(used, signe);
        clear();
        assertThat(sql.queryForObject("select count(*) from picture", Integer.class))
                .isEqualTo(2);
        clock.forward(Duration.ofHours(25));
        clear();
        assertThat(sql.queryForObject("select count(*) from picture", Integer.class))
                .isEqualTo(1);
        assertThat(materials()).hasSize(1);
    }

    private void clear() {
        ReflectionTestUtils.invokeMethod(AopTestUtils.<PictureService>getTargetObject(pictures), "clearAside");
    }

    @Test
    void ofSeveralPagesOneIsTaken() throws Exception {
        Map<String, byte[]> things = Map.of(
                "b/deep/index.htm", bytes("<p>Deep"),
                "a.html", bytes("<p>A"),
                "notes.txt", bytes("notes"));
        JsonNode read = file("two.zip", zip(things));
        assertThat(read.get("pages").toString())
                .contains("a.html", "b/deep/index.htm")
                .doesNotContain("notes");
        assertThat(read.get("page").asString()).isEqualTo("b/deep/index.htm");
        JsonNode other =
                upload("/api/templates/bring-in/file", Map.of("name", "two.zip", "page", "a.html"), zip(things), signe);
        assertThat(other.get("text").asString()).isEqualTo("<p>A");
    }

    @Test
    void picturesOfAnEmailComeWithIt() throws Exception {
        String email =
                """
                From: a@larkfield.example
                Subject: Spring
                MIME-Version: 1.0
                Content-Type: multipart/related; boundary=x

                --x
                Content-Type: text/html; charset=utf-8

                <p>Hello</p><img src="cid:gate@x.example"><img src="cid:none@x.example" alt="None">
                --x
                Content-Type: image/png; name="gate.png"
                Content-ID: <gate@x.example>
                Content-Transfer-Encoding: base64

                %s
                --x--
                """
                        .formatted(Base64.getMimeEncoder().encodeToString(png(20)));
        JsonNode read = file("Spring.eml", bytes(email));
        assertThat(read.get("title").asString()).isEqualTo("Spring");
        assertThat(read.get("pictures").asInt()).isEqualTo(1);
        JsonNode clean = text(read.get("text").asString(), Map.of());
        assertThat(clean.get("removed").toString()).contains("None");
        make(clean, signe);
        assertThat(materials()).containsExactly("gate");
    }

    @Test
    void aPageIsReadInTheCharsetThatItSays() throws Exception {
        String page = "<meta charset='%s'><p>Müller – Straße";
        for (String charset : List.of("windows-1252", "iso-8859-1", "utf-8")) {
            Charset written = Charset.forName(charset.equals("iso-8859-1") ? "windows-1252" : charset);
            assertThat(file("a.html", page.formatted(charset).getBytes(written))
                            .get("text")
                            .asString())
                    .as(charset)
                    .contains("Müller – Straße");
        }
        assertThat(file("a.html", page.formatted("unheard-of").getBytes(StandardCharsets.UTF_8))
                        .get("text")
                        .asString())
                .contains("Müller");
    }

    @Test
    void codesOfAnotherSystemGiveWayToFieldsAndAreRemembered() throws Exception {
        String page = "<p>Dear *|FNAME|*, *|ZODIAC|* <a href='https://x.example/?c={{company}}'>A</a></p>";
        JsonNode clean = text(page, Map.of());
        assertThat(clean.at("/codes").toString())
                .contains("\"meant\":\"contact.first_name\"", "\"meant\":\"person.company\"", "\"meant\":null");
        assertThat(clean.get("source").asString()).contains("*|FNAME|*");

        JsonNode filled = text(
                page, Map.of("*|FNAME|*", "contact.full_name", "*|ZODIAC|*", "contact.job_title", "{{company}}", ""));
        assertThat(filled.get("source").asString())
                .contains("Dear {contact.full_name}, {contact.job_title}", "{{company}}");
        assertThat(filled.get("codes")).hasSize(1);

        assertThat(text("<p>{{ fname }}, [[Zodiac]]", Map.of()).at("/codes").toString())
                .as("what was said of a name is remembered")
                .contains("\"meant\":\"contact.full_name\"", "\"meant\":\"contact.job_title\"");
        assertThat(text(page, Map.of("*|FNAME|*", "contact.nonsense"))
                        .at("/fields/codes")
                        .asString())
                .contains("no field “contact.nonsense”");
        assertThat(text(page, Map.of("*|FNAME|*", "contact..first_name"))
                        .at("/fields/codes")
                        .asString())
                .as("no path at all")
                .contains("no field “contact..first_name”");
        JsonNode letter = done(
                "POST",
                "/api/templates/bring-in",
                Map.of("html", "Dear <<Vorname>>,\n\nhello", "written", "WORDS", "about", "LEAD", "codes", Map.of()),
                signe);
        assertThat(letter.at("/codes/0/meant").asString()).isEqualTo("person.first_name");
    }

    @Test
    void whatNothingCanBeMadeOfIsRefused() throws Exception {
        assertThat(file("a.html", new byte[0]).at("/fields/file").asString()).contains("empty");
        assertThat(file("a.html", png(4)).at("/fields/file").asString()).contains("no text");
        assertThat(file("a.zip", zip(Map.of("a.txt", bytes("a"))))
                        .at("/fields/file")
                        .asString())
                .contains("no HTML page");
        byte[] cut = zip(Map.of("a.html", bytes("<p>".repeat(9_000))));
        assertThat(file("a.zip", java.util.Arrays.copyOf(cut, cut.length / 2))
                        .at("/fields/file")
                        .asString())
                .contains("damaged");
        assertThat(file("a.zip", zip(Map.of("a.html", new byte[26 << 20])))
                        .at("/fields/file")
                        .asString())
                .contains("25 MB");
        assertThat(file("a.html", bytes("x".repeat(1_000_001)))
                        .at("/fields/file")
                        .asString())
                .contains("1,000,000");
    }

    /** A page of beginnings of pictures takes no longer than another one. */
    @Test
    void picturesThatNeverEndAreReadInTime() {
        byte[] page = bytes("<img ".repeat(180_000));
        Assertions.assertTimeoutPreemptively(Duration.ofSeconds(20), () -> assertThat(
                        brought.place(new String(page, StandardCharsets.UTF_8), "a", any -> Optional.empty(), signe)
                                .pictures())
                .isZero());
    }
}
