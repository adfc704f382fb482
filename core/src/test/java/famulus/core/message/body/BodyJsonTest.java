package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reading gives what was written, keeps what it does not know, and names what is wrong. */
class BodyJsonTest {
    @Test
    void readsBackWhatItWrites() throws UnreadableBody {
        for (int seed = 0; seed < 300; seed++) {
            Body body = new RandomBody(seed).body();
            assertThat(BodyJson.read(BodyJson.write(body))).as("seed " + seed).isEqualTo(body);
        }
    }

    @Test
    void keepsABlockOfANewerFamulus() throws UnreadableBody {
        String newer = band("{\"id\":\"b1\",\"kind\":\"weather map\",\"look\":{},\"place\":{\"valley\":\"Quince\"}}");
        Body body = BodyJson.read(newer);
        assertThat(body.block("b1").orElseThrow().content())
                .isInstanceOfSatisfying(Content.Unknown.class, unknown -> assertThat(unknown.name())
                        .isEqualTo("weather map"));
        assertThat(BodyJson.write(body)).contains("\"place\":{\"valley\":\"Quince\"}");
        assertThat(BodyJson.read(BodyJson.write(body))).isEqualTo(body);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"version":1,"bands":[                                  | This can't be read as JSON: something is wrong in line 1.
            []                                                      | The body is not an object.
            {"bands":[]}                                            | The body: “version” is missing.
            {"version":2,"bands":[]}                                | The body: it was made by a newer Famulus. Update this one to read it.
            {"version":1,"bands":7}                                 | The body: “bands” must be a list.
            {"version":1,"bands":[{"id":"a","columns":[]}]}         | The body, row 1: a row has one to four columns.
            {"version":1,"bands":[{"id":"a b","columns":[]}]}       | The body, row 1: “id” must be letters and digits, at most 40.
            {"version":1,"bands":[{"columns":[]}]}                  | The body, row 1: “id” is missing.
            """)
    void saysWhatIsWrongWithTheWhole(String json, String sentence) {
        assertThatThrownBy(() -> BodyJson.read(json))
                .isInstanceOf(UnreadableBody.class)
                .hasMessage(sentence);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"id":"b1","kind":"spacer","height":5000}               | (spacer): “height” must be a whole number from 1 to 200.
            {"id":"b1","kind":"spacer","height":2.5}                | (spacer): “height” must be a whole number from 1 to 200.
            {"id":"b1","kind":"divider","colour":"red"}             | (divider): “colour” must be a colour such as #1c6b60.
            {"id":"b1","kind":"divider","colour":"url(x)"}          | (divider): “colour” must be a colour such as #1c6b60.
            {"id":"b1","kind":"button","label":"a\\nb"}             | (button): “label” must be one line.
            {"id":"b1","kind":"button","label":4}                   | (button): “label” must be a text.
            {"id":"b1","kind":"button","align":"left"}              | (button): “align” must be one of start, centre, end.
            {"id":"b1","kind":"event","time":"noon"}                | (event): “time” must be a time such as 09:30.
            {"id":"b1","kind":"event","zone":"Mars/North"}          | (event): “zone” must be a time zone such as Europe/London.
            {"id":"b1","kind":"item table","columns":[]}            | (item table): say which columns it has.
            {"id":"b1","kind":"text","text":[{"runs":[{"size":4}]}]}| (text), paragraph 1, run 1: “size” must be a whole number from 8 to 72.
            {"id":"b1","kind":"text","look":{"above":-3}}           | (text), look: “above” must be a whole number from 0 to 120.
            {"id":"a","kind":"signature"}                           | : the identifier “a” is used twice.
            {"id":"b1"}                                             | : “kind” is missing.
            """)
    void namesTheBlockThatIsWrong(String block, String sentence) {
        String where = "The body, row 1, column 1, block 1";
        assertThatThrownBy(() -> BodyJson.read(band(block)))
                .isInstanceOf(UnreadableBody.class)
                .hasMessage(where + (sentence.startsWith(":") ? "" : " ") + sentence);
    }

    @Test
    void refusesNestingWithoutEndAndWhatIsTooLarge() {
        assertThatThrownBy(() -> BodyJson.read("{\"version\":1,\"bands\":" + "[".repeat(5000) + "]".repeat(5000) + "}"))
                .isInstanceOf(UnreadableBody.class);
        assertThatThrownBy(() -> BodyJson.read("\"" + "x".repeat(2_100_000) + "\""))
                .isInstanceOf(UnreadableBody.class)
                .hasMessageContaining("larger");
    }

    @Test
    void readsBackAHouseStyle() throws UnreadableBody {
        RandomBody random = new RandomBody(4);
        HouseStyle style = new HouseStyle(
                "Orchard",
                new HouseStyle.Page(640, "#faf7f0", "#ffffff", false),
                HouseStyle.BARE.type(),
                20,
                HouseStyle.BARE.button(),
                List.of(new HouseStyle.Wrapping("With our mark", List.of(random.band()))),
                List.of(new HouseStyle.Wrapping("Short", List.of(random.band()))),
                RichText.plain("{our.name}\n{our.street}"));
        assertThat(HouseStyleJson.read(HouseStyleJson.write(style))).isEqualTo(style);
        assertThatThrownBy(() -> HouseStyleJson.read("{\"version\":1,\"name\":\"x\",\"page\":{\"width\":4000}}"))
                .isInstanceOf(UnreadableBody.class);
    }

    private static String band(String block) {
        return "{\"version\":1,\"bands\":[{\"id\":\"a\",\"columns\":[{\"blocks\":[" + block + "]}]}]}";
    }
}
