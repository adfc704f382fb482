package famulus.core.html;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** HTML read as words. */
class HtmlWordsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "<p>One</p><p>Two</p> | One;;Two",
                "<p>One<br>two</p> | One;two",
                "<ul><li>One</li><li>Two</li></ul> | - One;- Two",
                "<table><tr><td>A</td><td>B</td></tr><tr><td>C</td></tr></table> | A  B;C",
                "<a href='https://x.example/'>here</a> | here <https://x.example/>",
                "<a href='https://x.example/'>https://x.example/</a> | https://x.example/",
                "<a href='mailto:a@x.example'>a@x.example</a> | a@x.example",
                "<img src=x alt='A bee'> | [A bee]",
                "<p>a</p><hr><p>b</p> | a;;----------;;b",
                "a  <b>b</b>   c | a b c",
                "<div><div><p>Deep</p></div></div> | Deep",
                "<a href='#top'>top</a> | top",
                "&lt;b&gt; &amp; | <b> &",
            })
    void readsAs(String html, String words) {
        assertThat(HtmlWords.of(html)).isEqualTo(words.replace(';', '\n'));
    }
}
