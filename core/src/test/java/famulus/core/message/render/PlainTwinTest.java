package famulus.core.message.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

class PlainTwinTest {
    private static Document read(String text) {
        return Jsoup.parse(PlainTwin.of(text, "Hives & <more>", Locale.UK));
    }

    @Test
    void itSaysWhatTheTextSaysLineByLine() {
        Document twin = read("Dear Ines,\n\n  2 hives & <b>\"one\"</b>\nSigne");
        assertThat(twin.title()).isEqualTo("Hives & <more>");
        assertThat(twin.selectFirst("html").attr("lang")).isEqualTo("en-GB");
        assertThat(twin.body().wholeText().strip().replace('\u00a0', ' '))
                .isEqualTo("Dear Ines,\n\n  2 hives & <b>\"one\"</b>\nSigne");
        assertThat(twin.select("b")).isEmpty();
        assertThat(twin.select("br")).hasSize(3);
    }

    @Test
    void addressesAreLinksWithoutTheMarksBehindThem() {
        Document twin = read("See https://a.example/x?b=1&c=2, or (http://d.example/).");
        assertThat(twin.select("a").eachAttr("href"))
                .containsExactly("https://a.example/x?b=1&c=2", "http://d.example/");
        assertThat(twin.body().text()).isEqualTo("See https://a.example/x?b=1&c=2, or (http://d.example/).");
    }
}
