package famulus.core.message.render;

import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merged;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.RecordPortrait;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * A message to be rendered.
 *
 * @param text the words of the design
 * @param merged those words, merged for one person
 * @param settings the language, zone and moment they were merged for
 * @param subject merged; the title of the document
 * @param previewText merged; hidden at the top; may be empty
 * @param deal whose lines an item table shows
 * @param pictures gives the address of a picture by identifier; {@code cid:} in mail
 * @param portraits the pictures of records that cards can take, by identifier
 * @param page where its reader can come back to the message, and to what came along; empty for nowhere
 * @param proof how pieces are marked in a proof; null for mail
 */
public record ToRender(
        Design design,
        BodyText text,
        Merged merged,
        MergeSettings settings,
        String subject,
        String previewText,
        DealLines deal,
        Function<String, String> pictures,
        Map<RecordPortrait, String> portraits,
        String page,
        ProofMarks proof) {
    public ToRender {
        portraits = Map.copyOf(portraits);
    }

    /** A message that has no page for its reader, and takes no pictures from records. */
    public ToRender(
            Design design,
            BodyText text,
            Merged merged,
            MergeSettings settings,
            String subject,
            String previewText,
            DealLines deal,
            Function<String, String> pictures,
            ProofMarks proof) {
        this(design, text, merged, settings, subject, previewText, deal, pictures, Map.of(), "", proof);
    }

    /** The same for a reader who has no page to come back to. */
    public ToRender withoutPage() {
        return new ToRender(design, text, merged, settings, subject, previewText, deal, pictures, portraits, "", proof);
    }

    /**
     * The lines of a deal.
     *
     * @param currency of its amounts, by ISO 4217
     */
    public record DealLines(List<ItemLine> lines, String currency) {
        /** No deal, or one without lines. */
        public static final DealLines NONE = new DealLines(List.of(), "GBP");

        public DealLines {
            lines = List.copyOf(lines);
        }
    }

    /**
     * How a proof shows where words came from.
     *
     * @param gap what is shown in the place of a value that is missing, by path
     */
    public record ProofMarks(Function<famulus.core.field.Path, String> gap) {}
}
