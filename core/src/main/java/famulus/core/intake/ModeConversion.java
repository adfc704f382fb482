package famulus.core.intake;

import famulus.core.html.Cleaned;
import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.intake.HtmlToBlocks.Rebuilt;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Conversion.Converted;
import famulus.core.message.body.Design;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import java.util.ArrayList;
import java.util.List;

/** Turns a template of one mode into one of another, HTML that was brought in included, and says what is lost. */
public final class ModeConversion {
    private ModeConversion() {}

    /**
     * Converts a template.
     *
     * @param design what it is made of, in its house style; its body is empty for a plain one
     * @param text its words, when it is plain
     */
    public static Converted convert(Design design, String text, Mode to) {
        Mode from = design.mode();
        if (from == to || (from != Mode.SOURCE && to != Mode.SOURCE)) {
            return Conversion.convert(from, design.body(), text, to);
        }
        return from == Mode.SOURCE ? fromSource(design.body(), to) : toSource(design, text);
    }

    /** A body that is one source. */
    public static Body ofSource(String html) {
        Block block = Block.of("source", new Content.OwnHtml(html));
        return new Body(List.of(
                new Band("band1", List.of(new Column(1, Column.Upright.TOP, List.of(block))), Look.USUAL, "", false)));
    }

    /** Rows and columns made of HTML that was copied elsewhere, as its tables laid it out. */
    public static Converted rows(String html) {
        Cleaned cleaned = HtmlCleaner.cleanSource(html);
        Rebuilt rebuilt = HtmlToRows.rebuild(cleaned.html());
        return new Converted(Mode.DESIGNED, rebuilt.body(), "", rebuilt.lost());
    }

    private static Converted fromSource(Body body, Mode to) {
        StringBuilder html = new StringBuilder();
        body.blocks().forEach(block -> {
            if (block.content() instanceof Content.OwnHtml own) {
                html.append(HtmlCleaner.cleanSource(own.source()).html());
            }
        });
        if (to == Mode.PLAIN) {
            return new Converted(
                    to, Body.EMPTY, HtmlWords.of(html.toString()), List.of("How it looks, and its pictures."));
        }
        // A letter has one column.
        Rebuilt rebuilt =
                to == Mode.LETTER ? HtmlToBlocks.rebuild(html.toString()) : HtmlToRows.rebuild(html.toString());
        return new Converted(to, body.with(rebuilt.body().bands()), "", rebuilt.lost());
    }

    private static Converted toSource(Design design, String text) {
        List<String> lost = new ArrayList<>();
        Body body = design.mode() == Mode.PLAIN
                ? Conversion.convert(Mode.PLAIN, Body.EMPTY, text, Mode.LETTER).body()
                : design.body();
        boolean conditions =
                body.bands().stream().anyMatch(band -> !band.shownWhen().isBlank())
                        || body.blocks().anyMatch(block -> !block.shownWhen().isBlank());
        if (conditions) {
            lost.add("Conditions of whole blocks and rows: they are shown to everybody.");
        }
        body.blocks()
                .map(Block::content)
                .filter(content -> content instanceof Content.Items || content instanceof Content.Event)
                .map(content -> "The " + content.kind() + ", which is worked out for each person.")
                .distinct()
                .forEach(lost::add);
        lost.add("Blocks: the look stays, and is edited as HTML from then on.");
        Mode shape = design.mode() == Mode.DESIGNED ? Mode.DESIGNED : Mode.LETTER;
        String html =
                WrittenHtml.of(new Design(shape, body, design.style().withoutSmallPrint(), Design.NONE, Design.NONE));
        return new Converted(Mode.SOURCE, body.with(ofSource(html).bands()), "", lost);
    }
}
