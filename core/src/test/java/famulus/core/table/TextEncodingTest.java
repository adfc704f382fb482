package famulus.core.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextEncodingTest {
    private static final String TEXT = "Vorname;Nachname\nZoë;Kärcher\nRenée;Grünwald-Őry\n";

    @Test
    void readsMarksInFrontOfTheText() throws IOException {
        assertThat(of(marked(StandardCharsets.UTF_8))).isEqualTo(new TextEncoding(StandardCharsets.UTF_8, 3));
        assertThat(of(marked(StandardCharsets.UTF_16LE))).isEqualTo(new TextEncoding(StandardCharsets.UTF_16LE, 2));
        assertThat(of(marked(StandardCharsets.UTF_16BE))).isEqualTo(new TextEncoding(StandardCharsets.UTF_16BE, 2));
    }

    @Test
    void knowsUnicodeWithoutAMark() throws IOException {
        assertThat(of(TEXT.getBytes(StandardCharsets.UTF_8)).charset()).isEqualTo(StandardCharsets.UTF_8);
        assertThat(of(TEXT.getBytes(StandardCharsets.UTF_16LE)).charset()).isEqualTo(StandardCharsets.UTF_16LE);
        assertThat(of(TEXT.getBytes(StandardCharsets.UTF_16BE)).charset()).isEqualTo(StandardCharsets.UTF_16BE);
        assertThat(of("a,b\n1,2\n".getBytes(StandardCharsets.US_ASCII)).charset())
                .isEqualTo(StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Zoë;Kärcher\n", "Müller;Größe;Straße\nÄrzte;für\n", "Renée;Lefèvre;à côté\n"})
    void readsLatinLettersOfOfficePrograms(String text) throws IOException {
        byte[] bytes = text.getBytes(TextEncoding.WINDOWS);
        assertThat(new String(bytes, of(bytes).charset())).isEqualTo(text);
    }

    @Test
    void readsOtherScripts() throws IOException {
        String text = "Имя;Фамилия\nАнна;Петрова\nСергей;Кузнецов\nМария;Соколова\n".repeat(3);
        byte[] bytes = text.getBytes(Charset.forName("windows-1251"));
        assertThat(new String(bytes, of(bytes).charset())).isEqualTo(text);
    }

    /** A letter that is no UTF-8 may come after hundreds of thousands of plain ones, and a long one on the edge of a portion. */
    @Test
    void looksAtTheWholeFile() throws IOException {
        byte[] late = ("plain,text\n".repeat(50_000) + "Kärcher\n").getBytes(TextEncoding.WINDOWS);
        assertThat(of(late).charset()).isEqualTo(TextEncoding.WINDOWS);
        byte[] onTheEdge = ("x".repeat((1 << 16) - 1) + "ä" + "€".repeat(70_000)).getBytes(StandardCharsets.UTF_8);
        assertThat(of(onTheEdge).charset()).isEqualTo(StandardCharsets.UTF_8);
    }

    @Test
    void refusesWhatIsNoText() {
        assertThatThrownBy(() -> of(new byte[0])).hasMessage("This file is empty.");
        assertThatThrownBy(() -> of(new byte[] {'P', 'K', 3, 4, 20, 0})).hasMessageContaining("save it as CSV");
        assertThatThrownBy(() -> of("%PDF-1.7".getBytes(StandardCharsets.US_ASCII)))
                .hasMessageContaining("document");
        assertThatThrownBy(() -> of(new byte[] {'a', 0, 0, 'b', 'c', 'd'})).hasMessageContaining("not a text file");
    }

    private static TextEncoding of(byte[] bytes) throws IOException {
        return TextEncoding.of(new ByteArrayInputStream(bytes));
    }

    private static byte[] marked(Charset charset) {
        return ("\ufeff" + TEXT).getBytes(charset);
    }
}
