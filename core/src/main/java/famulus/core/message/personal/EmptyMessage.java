package famulus.core.message.personal;

import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Look;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Paragraph;
import java.util.List;

/** What a message begins with that is written from no template: a greeting, room to write, and the sender's signature. */
public final class EmptyMessage {
    private static final String GREETING = "{person.greeting},";

    private EmptyMessage() {}

    /** The words of a plain one. */
    public static String words() {
        return GREETING + "\n\n\n\n{sender.signature else sender.full_name}";
    }

    /** The body of any other one. */
    public static Body body() {
        RichText text =
                new RichText(List.of(Paragraph.of(GREETING), new Paragraph(Kind.PARAGRAPH, Align.START, List.of())));
        Column column = new Column(
                1,
                Column.Upright.TOP,
                List.of(Block.of("b1", new Content.Text(text)), Block.of("b2", new Content.Signature())));
        return new Body(List.of(new Band("s1", List.of(column), Look.USUAL, "", false)));
    }
}
