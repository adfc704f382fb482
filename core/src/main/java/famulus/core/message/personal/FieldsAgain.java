package famulus.core.message.personal;

import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.OwnText;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.personal.HandChanges.Kept;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

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

    private Body body(Body body) {
        return body.with(body.bands().stream().map(this::band).toList());
    }

    private Band band(Band band) {
        List<Column> columns = band.columns().stream()
                .map(column -> new Column(
                        column.share(),
                        column.upright(),
                        column.blocks().stream().map(this::block).toList()))
                .toList();
        return new Band(band.id(), columns, band.look(), band.shownWhen(), band.hiddenOnSmall());
    }

    private Block block(Block block) {
        return new Block(
                block.id(),
                content(block.id(), block.content()),
                block.look(),
                block.shownWhen(),
                block.hiddenOnSmall());
    }

    @Override
    String address(String key, String written) {
        return link(written);
    }

    @Override
    List<String> facts(String id, List<String> facts) {
        return IntStream.range(0, facts.size())
                .mapToObj(at -> words(Keys.fact(id, at), facts.get(at)))
                .toList();
    }

    private String link(String address) {
        return links.getOrDefault(address, address);
    }

    @Override
    String words(String key, String now) {
        return written(now, 0, standing(key, now));
    }

    /** The values of a text that stand as they were merged, in order. */
    private List<Kept> standing(String key, String now) {
        MergedText merged = texts.get(key);
        return merged == null
                ? List.of()
                : HandChanges.of(merged, now).values().stream()
                        .sorted(Comparator.comparingInt(Kept::start))
                        .toList();
    }

    /** A field never reaches from one run into another: a value that somebody has made bold in part stays words. */
    @Override
    RichText rich(String id, RichText text) {
        String now = text.paragraphs().stream()
                .map(paragraph -> paragraph.runs().stream().map(Run::text).collect(Collectors.joining()))
                .collect(Collectors.joining("\n"));
        List<Kept> values = standing(MergedText.rich(id), now);
        List<Paragraph> paragraphs = new ArrayList<>();
        int at = 0;
        for (Paragraph paragraph : text.paragraphs()) {
            List<Run> runs = new ArrayList<>();
            for (Run run : paragraph.runs()) {
                runs.add(new Run(written(run.text(), at, values), linked(run.marks())));
                at += run.text().length();
            }
            at++;
            paragraphs.add(new Paragraph(paragraph.kind(), paragraph.align(), paragraph.level(), runs));
        }
        return new RichText(paragraphs);
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

    /**
     * A stretch of source in which values are fields.
     *
     * @param from where it begins in the text that the values stand in
     */
    private static String written(String stretch, int from, List<Kept> values) {
        StringBuilder written = new StringBuilder();
        int done = 0;
        for (Kept kept : values) {
            int start = kept.start() - from;
            int end = kept.end() - from;
            if (start < done || end > stretch.length() || kept.value().written().isEmpty()) {
                continue;
            }
            written.append(stretch, done, start);
            written.repeat('\\', backslashes(written)).append(kept.value().written());
            done = end;
        }
        return written.append(stretch, done, stretch.length()).toString();
    }

    /** How many stand at the end: before a brace each of them has to be written twice. */
    private static int backslashes(CharSequence written) {
        int count = 0;
        while (count < written.length() && written.charAt(written.length() - 1 - count) == '\\') {
            count++;
        }
        return count;
    }
}
