package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.Inserts.Insert;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Passages and signatures put into the bodies that name them. */
class InsertsTest {
    private static final Body FROST = body(text("p", "It freezes {deal.hive_count} times"));

    static Body body(Block... blocks) {
        return new Body(List.of(
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false)));
    }

    private static Block text(String id, String words) {
        return Block.of(id, new Content.Text(RichText.plain(words)));
    }

    private static Block passage(String id, String passage) {
        return Block.of(id, new Content.Passage(passage, "", List.of()));
    }

    private static Body filled(Body body) {
        return Inserts.passages(
                body,
                id -> Optional.ofNullable(
                        Map.of("frost", new Insert("About frost", FROST)).get(id)));
    }

    private static BodyText words(Body body) {
        return BodyText.of(new Design(Mode.LETTER, body, HouseStyle.BARE, "", ""));
    }

    @Test
    void aPassageStandsWhereItsBlockIsAsOftenAsItIsNamed() {
        Body filled = filled(body(text("a", "Before"), passage("b", "frost"), passage("c", "frost")));
        assertThat(words(filled).source())
                .isEqualTo("Before\nIt freezes {deal.hive_count} times\nIt freezes {deal.hive_count} times\n");
        assertThat(words(filled).slots()).extracting(Slot::owner).containsExactly("a", "b", "c");
        assertThat(words(filled).slots()).extracting(Slot::key).doesNotHaveDuplicates();
        assertThat(filled.block("b").orElseThrow().content())
                .isInstanceOfSatisfying(
                        Content.Passage.class, one -> assertThat(one.name()).isEqualTo("About frost"));
    }

    @Test
    void onePassageThatIsNotThereSaysNothing() {
        Body filled = filled(body(passage("b", "gone")));
        assertThat(words(filled).source().strip()).isEmpty();
        assertThat(((Content.Passage) filled.block("b").orElseThrow().content()).name())
                .isEmpty();
    }

    @Test
    void whatAPassageSaysIsNeverWrittenDownWithTheBody() throws UnreadableBody {
        Body filled = filled(body(passage("b", "frost")));
        assertThat(BodyJson.write(filled)).doesNotContain("freezes").contains("\"passage\":\"frost\"");
        assertThat(BodyJson.read(BodyJson.write(filled))).isEqualTo(body(passage("b", "frost")));
    }

    @Test
    void aPassageWithinAPassageSaysNothing() {
        Body filled = Inserts.passages(
                body(passage("b", "outer")), id -> Optional.of(new Insert("Outer", body(passage("x", "frost")))));
        assertThat(words(filled).source().strip()).isEmpty();
    }

    @Test
    void aSignatureTakesThePlaceOfThePlainOne() {
        Body body = body(Block.of("s", new Content.Signature()));
        assertThat(words(body).source()).contains("sender.signature");
        Body signed = Inserts.signed(body, body(text("x", "Yours, {sender.first_name}")));
        assertThat(words(signed).source()).isEqualTo("Yours, {sender.first_name}\n");
        assertThat(BodyJson.write(signed)).isEqualTo(BodyJson.write(body));
    }

    @Test
    void aConditionOfTheBlockHoldsForAllOfThePassage() {
        Block shown = new Block(
                "b", new Content.Passage("frost", "", List.of()), Look.USUAL, "deal.hive_count is filled", false);
        assertThat(words(filled(body(shown))).source())
                .isEqualTo("{when deal.hive_count is filled}\nIt freezes {deal.hive_count} times\n{end}\n");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void leavesWhatIsWrittenDownAsItIs(long seed) {
        Body body = new RandomBody(seed).body();
        assertThat(BodyJson.write(filled(body))).isEqualTo(BodyJson.write(body));
    }
}
