package famulus.core.message.personal;

import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.OwnText;
import famulus.core.message.body.Body;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.personal.HandChanges.Kept;
import famulus.core.message.personal.Refilling.Refill;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The way back from {@link Personalised}: a message to one person as something that can be merged for others. Every value that
 * still stands as it was merged is the field again that it came from, and so is an address with values in it; words that were
 * changed by hand stay what they are. What was not shown to its reader is not in it.
 */
public final class FieldsAgain extends Rewriting {
    private final Map<String, MergedText> texts;
    private final Map<String, String> links;

    private FieldsAgain(Map<String, MergedText> texts, Map<String, String> links) {
        this.texts = texts;
        this.links = links;
    }

    /**
     * A message with its fields.
     *
     * @param words those of a plain message; empty for one that has a body
     * @param own its plain text, where that is kept by hand
     */
    public record Written(
            String subject, String previewText, String words, Optional<Body> body, Optional<OwnText> own) {}

    /**
     * Finds the fields of a message.
     *
     * @param message as it is written for its person
     * @param texts its texts as they were merged, by key
     * @param links how its addresses with values in them were written, by what they were merged to
     */
    public static Written of(MessageSource message, Map<String, MergedText> texts, Map<String, String> links) {
        FieldsAgain again = new FieldsAgain(texts, links);
        Optional<Body> body = message.layout().map(Layout::design).map(design -> again.body(design.body()));
        return new Written(
                again.words(MergedText.SUBJECT, message.subject()),
                again.words(MergedText.PREVIEW_TEXT, message.previewText()),
                message.layout().isPresent() ? "" : again.words(MergedText.BODY, message.body()),
                body,
                message.own()
                        .map(own -> own.taken(
                                again.words(MergedText.PLAIN_TEXT, own.words()),
                                message.layout().orElseThrow().design(),
                                body.orElseThrow())));
    }

    @Override
    String address(String key, String written) {
        return link(written);
    }

    private String link(String address) {
        return links.getOrDefault(address, address);
    }

    @Override
    String words(String key, String now) {
        return Refill.into(now, 0, standing(key, now));
    }

    /** The values of a text that stand as they were merged, in order. */
    private List<Refill> standing(String key, String now) {
        MergedText merged = texts.get(key);
        return merged == null
                ? List.of()
                : HandChanges.of(merged, now).values().stream()
                        .sorted(Comparator.comparingInt(Kept::start))
                        .map(kept -> new Refill(
                                kept.start(), kept.end(), kept.value().written()))
                        .toList();
    }

    /** A field never reaches from one run into another: a value that somebody has made bold in part stays words. */
    @Override
    RichText rich(String id, RichText text) {
        return refilled(text, standing(MergedText.rich(id), source(text)), this::linked);
    }

    private Marks linked(Marks marks) {
        return new Marks(
                marks.bold(),
                marks.italic(),
                marks.underline(),
                marks.strike(),
                marks.colour(),
                marks.size(),
                link(marks.link()));
    }
}
