package famulus.core.message.body;

import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What ends the small print of a message that goes to several people: why its reader gets it, and the link by which they choose
 * what they get. It is not part of what is written, so that nobody can edit it away.
 */
public final class WayOut {
    /** The field that says why somebody gets a message. */
    public static final String WHY = "message.why_you_get_this";
    /** The field with the link. */
    public static final String LINK = "message.unsubscribe_link";

    private static final String ENGLISH = "Choose what you get, or unsubscribe";
    private static final Map<String, String> WORDS = Map.of(
            "de", "Auswählen, was Sie bekommen, oder abbestellen",
            "fr", "Choisir ce que vous recevez, ou vous désabonner");

    private WayOut() {}

    /**
     * A style whose small print ends so.
     *
     * @param reader whose language it is written in
     * @param why whether it is to say why; else the message says so itself
     * @param link whether it is to have the link; else the message has it itself
     */
    public static HouseStyle in(HouseStyle style, Locale reader, boolean why, boolean link) {
        List<Paragraph> paragraphs = new ArrayList<>(style.smallPrint().paragraphs());
        if (why) {
            paragraphs.add(Paragraph.of("{" + WHY + " else nothing}"));
        }
        if (link) {
            Marks leads = new Marks(false, false, false, false, "", 0, "{" + LINK + "}");
            String words = WORDS.getOrDefault(reader.getLanguage(), ENGLISH);
            paragraphs.add(new Paragraph(RichText.Kind.PARAGRAPH, Align.START, List.of(new Run(words, leads))));
        }
        return style.withSmallPrint(new RichText(paragraphs));
    }
}
