package famulus.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Content;
import famulus.core.message.body.RichText.Run;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class LetterFromWordsTest {
    private static final OldEnds MESSAGE = new OldEnds(
            "Hello Ines,\n\nshall we say {Friday}?\n\nKind regards,", "Signe\nTel. 01632 960100", "> When?");

    private static List<Block> blocks(Body letter) {
        return letter.blocks().toList();
    }

    private static String words(Block block) {
        return ((Content.Text) block.content())
                .text().paragraphs().stream()
                        .map(one -> one.runs().stream().map(Run::text).collect(Collectors.joining()))
                        .collect(Collectors.joining("|"));
    }

    @Test
    void everythingIsWordsWhereNothingIsLeftOut() {
        List<Block> blocks = blocks(LetterFromWords.of(MESSAGE, false, false));

        assertThat(blocks).hasSize(1);
        assertThat(words(blocks.getFirst()))
                .startsWith("Hello Ines,|shall we say \\{Friday}?|Kind regards,")
                .contains("Signe\nTel. 01632 960100")
                .endsWith("> When?");
    }

    @Test
    void aSignatureThatIsLeftOutMakesRoomForTheSenders() {
        List<Block> blocks = blocks(LetterFromWords.of(MESSAGE, true, true));

        assertThat(words(blocks.getFirst())).endsWith("Kind regards,").doesNotContain("Signe");
        assertThat(blocks.getLast().content()).isInstanceOf(Content.Signature.class);
        assertThat(blocks).hasSize(2);
    }

    @Test
    void whereThereWasNoneThereIsNoneNow() {
        OldEnds bare = new OldEnds("Hello", "", "");

        assertThat(blocks(LetterFromWords.of(bare, true, true))).hasSize(1);
        assertThat(blocks(LetterFromWords.of(new OldEnds("", "Signe", ""), true, true)))
                .last()
                .satisfies(block -> assertThat(block.content()).isInstanceOf(Content.Signature.class));
    }
}
