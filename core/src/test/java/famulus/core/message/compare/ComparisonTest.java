package famulus.core.message.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import famulus.core.message.MessageSource;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RichText;
import famulus.core.message.compare.Change.Kind;
import famulus.core.message.compare.Change.Of;
import famulus.core.message.compare.Change.Stretch;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    private static Block text(String id, String words) {
        return Block.of(id, new Content.Text(RichText.plain(words)));
    }

    private static MessageSource message(String subject, Block... blocks) {
        Band band =
                new Band("band", List.of(new Column(1, Column.Upright.TOP, List.of(blocks))), Look.USUAL, "", false);
        return MessageSource.designed(
                subject, "", new Design(Mode.DESIGNED, new Body(List.of(band)), HouseStyle.BARE, "", ""));
    }

    private static String side(List<Stretch> stretches, Of side) {
        return stretches.stream()
                .filter(one -> one.of() == side || one.of() == Of.BOTH)
                .map(Stretch::text)
                .collect(Collectors.joining());
    }

    @Test
    void tellsWholeWordsAndFieldsApart() {
        assertThat(WordDifference.of("We come on Monday to {deal.name}.", "We come on Tuesday to {deal.number}."))
                .extracting(Stretch::of, Stretch::text)
                .containsExactly(
                        tuple(Of.BOTH, "We come on "),
                        tuple(Of.BEFORE, "Monday"),
                        tuple(Of.AFTER, "Tuesday"),
                        tuple(Of.BOTH, " to "),
                        tuple(Of.BEFORE, "{deal.name}"),
                        tuple(Of.AFTER, "{deal.number}"),
                        tuple(Of.BOTH, "."));
    }

    @Test
    void givesBothTextsBackWhateverTheyAre() {
        Random random = new Random(5);
        String[] words = {"bees", " ", "{deal.name}", "\n", "é", "😀", ".", "hives", "{", "}"};
        for (int turn = 0; turn < 500; turn++) {
            String before = random.ints(random.nextInt(20), 0, words.length)
                    .mapToObj(i -> words[i])
                    .collect(Collectors.joining());
            String after = random.ints(random.nextInt(20), 0, words.length)
                    .mapToObj(i -> words[i])
                    .collect(Collectors.joining());
            List<Stretch> difference = WordDifference.of(before, after);
            assertThat(side(difference, Of.BEFORE)).isEqualTo(before);
            assertThat(side(difference, Of.AFTER)).isEqualTo(after);
        }
    }

    @Test
    void endsSoonOnLongTextsThatHaveNothingInCommon() {
        String before = Stream.generate(() -> "one ").limit(100_000).collect(Collectors.joining());
        String after = Stream.generate(() -> "two ").limit(100_000).collect(Collectors.joining());
        assertThat(WordDifference.of(before, after)).hasSize(2);
    }

    @Test
    void hasNothingToTellOfTheSame() {
        MessageSource message = message("Hives", text("a", "One"), text("b", "Two"));
        assertThat(Comparison.of(message, message)).isEmpty();
    }

    @Test
    void goesBlockByBlock() {
        MessageSource before = message(
                "Hives", text("a", "One"), text("b", "Two"), text("c", "Three"), text("d", "Four"), text("f", "Six"));
        MessageSource after = message(
                "More hives",
                text("d", "Four"),
                text("a", "One"),
                text("b", "Two more"),
                text("f", "Six"),
                text("e", "Five"));
        assertThat(Comparison.of(before, after))
                .extracting(Change::kind, Change::where)
                .containsExactlyInAnyOrder(
                        tuple(Kind.CHANGED, "Subject"),
                        tuple(Kind.MOVED, "Text 1"),
                        tuple(Kind.CHANGED, "Text 3"),
                        tuple(Kind.REMOVED, "Text 3"),
                        tuple(Kind.ADDED, "Text 5"));
    }

    @Test
    void saysWhenOnlySettingsDiffer() {
        Block narrow = Block.of("p", new Content.Spacer(8));
        Block wide = Block.of("p", new Content.Spacer(16));
        assertThat(Comparison.of(message("Hives", narrow), message("Hives", wide)))
                .singleElement()
                .satisfies(change -> {
                    assertThat(change.settings()).isTrue();
                    assertThat(change.where()).isEqualTo("Spacer 1");
                    assertThat(change.words()).isEmpty();
                });
    }

    @Test
    void comparesWordsWhereOneIsPlain() {
        MessageSource plain = new MessageSource("Hives", "", "One and two");
        assertThat(Comparison.of(plain, message("Hives", text("a", "One or two"))))
                .singleElement()
                .satisfies(change -> {
                    assertThat(change.where()).isEqualTo("Text");
                    assertThat(side(change.words(), Of.AFTER)).isEqualTo("One or two");
                });
    }
}
