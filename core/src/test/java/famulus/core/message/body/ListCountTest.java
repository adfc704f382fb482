package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Paragraph;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Numbers and depths of list items. */
class ListCountTest {
    private static Paragraph item(Kind kind, int level) {
        return new Paragraph(kind, Align.START, level, List.of());
    }

    private static List<String> leads(Paragraph... paragraphs) {
        ListCount count = new ListCount();
        List<String> leads = new ArrayList<>();
        for (Paragraph paragraph : paragraphs) {
            count.next(paragraph);
            leads.add(count.lead());
        }
        return leads;
    }

    @Test
    void numbersGoOnAfterItemsFurtherInAndBeginAnewThere() {
        assertThat(leads(
                        item(Kind.NUMBERED, 0),
                        item(Kind.NUMBERED, 1),
                        item(Kind.NUMBERED, 1),
                        item(Kind.NUMBERED, 0),
                        item(Kind.NUMBERED, 1)))
                .containsExactly("1. ", "   1. ", "   2. ", "2. ", "   1. ");
    }

    @Test
    void numbersBeginAnewAfterAnotherListOrParagraph() {
        assertThat(leads(
                        item(Kind.NUMBERED, 0),
                        item(Kind.BULLET, 0),
                        item(Kind.NUMBERED, 0),
                        item(Kind.PARAGRAPH, 0),
                        item(Kind.NUMBERED, 0)))
                .containsExactly("1. ", "- ", "1. ", "", "1. ");
    }

    @Test
    void onlyItemsOfOneListGoOn() {
        ListCount count = new ListCount();
        count.next(item(Kind.BULLET, 0));
        assertThat(count.goesOn()).isFalse();
        count.next(item(Kind.NUMBERED, 1));
        assertThat(count.goesOn()).as("a list within the item").isTrue();
        count.next(item(Kind.BULLET, 0));
        assertThat(count.goesOn()).as("back in the outer one").isTrue();
        count.next(item(Kind.NUMBERED, 0));
        assertThat(count.goesOn()).as("another list beside it").isFalse();
        count.next(item(Kind.PARAGRAPH, 0));
        assertThat(count.goesOn()).isFalse();
    }

    @Test
    void whateverTheLevelsNoItemStandsMoreThanOneFurtherIn() {
        Random random = new Random(9);
        ListCount count = new ListCount();
        int before = -1;
        for (int i = 0; i < 2000; i++) {
            Paragraph paragraph = item(Kind.values()[random.nextInt(Kind.values().length)], random.nextInt(9) - 2);
            int depth = count.next(paragraph);
            if (paragraph.kind().isItem()) {
                assertThat(depth).isBetween(0, Math.min(before + 1, Paragraph.DEEPEST));
            } else {
                assertThat(depth).isEqualTo(-1);
                assertThat(paragraph.level()).isZero();
            }
            before = depth;
        }
    }
}
