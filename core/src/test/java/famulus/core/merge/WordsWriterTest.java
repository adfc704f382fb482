package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

class WordsWriterTest {
    @Test
    void wordsReadAsFieldsArePrintedAsTheyAre() {
        Generated.texts(2000).forEach(text -> assertThat(printed(new WordsWriter().words(text)))
                .as(text)
                .isEqualTo(text));
    }

    @Test
    void aFieldStaysOneWhateverStandsBeforeIt() {
        Random random = new Random(4);
        for (int turn = 0; turn < 2000; turn++) {
            String before = Generated.text(random);
            String between = Generated.text(random);
            WordsWriter writer = new WordsWriter();
            String source = writer.words(before)
                    + writer.field("{contact.title}")
                    + writer.words(between)
                    + writer.words("\\")
                    + writer.field("{deal.name}");

            Program program = MergeParser.parse(source);

            assertThat(program.fields().stream().map(Node.Field::written))
                    .as(source)
                    .containsExactly("{contact.title}", "{deal.name}");
            assertThat(printed(source)).isEqualTo(before + between + "\\");
        }
    }

    /** What is printed where no field has a value. */
    private static String printed(String source) {
        StringBuilder printed = new StringBuilder();
        for (Node node : MergeParser.parse(source).nodes()) {
            if (node instanceof Node.Literal literal) {
                printed.append(literal.text());
            } else {
                assertThat(node).isInstanceOf(Node.Field.class);
            }
        }
        return printed.toString();
    }
}
