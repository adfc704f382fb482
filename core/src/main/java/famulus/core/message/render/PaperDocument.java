package famulus.core.message.render;

import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Column;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Keys;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import java.util.LinkedHashSet;
import java.util.List;

/**
 * Writes a letter or designed message for paper: HTML and CSS for paged media, whose headings, lists and tables are what they
 * say and nothing else, so that a reader’s program can read them out. A letter gets its sender, its reader, the day and its
 * subject; a designed message the header and footer of its style.
 */
final class PaperDocument {
    private final ToRender message;
    private final Paper paper;
    private final Design design;
    private final HouseStyle style;
    private final Html html = new Html();
    private final PaperBlocks blocks;

    PaperDocument(ToRender message, MergedBody words, Paper paper) {
        this.message = message;
        this.paper = paper;
        this.design = message.design();
        this.style = design.style();
        CalendarFiles calendars = new CalendarFiles(message, words);
        this.blocks = new PaperBlocks(
                message, words, new HtmlBlocks(message, words, calendars, new LinkedHashSet<>(), html), html);
    }

    String render() {
        boolean letter = design.mode() == Mode.LETTER;
        head();
        html.line("<body>");
        if (design.above().isEmpty()) {
            lines("sender", paper.sender());
        }
        if (letter) {
            lines("reader", paper.reader());
            html.open("p", "class", "day").text(paper.day()).close("p").endLine();
            html.open("h1", "class", "subject")
                    .text(message.subject())
                    .close("h1")
                    .endLine();
        }
        design.above().forEach(this::band);
        design.body().bands().forEach(this::band);
        design.below().forEach(this::band);
        if (!style.smallPrint().paragraphs().isEmpty()) {
            html.open("div", "class", "small").endLine();
            blocks.rich(Keys.SMALL_PRINT, style.smallPrint(), "font-size:10.5px;");
            html.close("div").endLine();
        }
        return html.line("</body>").line("</html>").toString();
    }

    private void head() {
        boolean toTheLeft =
                com.ibm.icu.util.ULocale.forLocale(message.settings().locale()).isRightToLeft();
        html.line("<!DOCTYPE html>")
                .open("html", "lang", message.settings().locale().toLanguageTag(), "dir", toTheLeft ? "rtl" : "ltr")
                .line("<head>")
                .line("<meta charset=\"utf-8\">")
                .raw("<title>")
                .text(message.subject().isBlank() ? "…" : message.subject())
                .line("</title>")
                .line("<style>");
        HouseStyle.Type type = style.type();
        String family = "font-family:" + type.text().css() + ";";
        html.line("@page { size: " + paper.size().css() + "; margin: 20mm 20mm 24mm;"
                        + " @bottom-right { content: counter(page) \" / \" counter(pages); font-size: 10.5px; " + family
                        + " } }")
                .line("body { margin: 0; " + family + " font-size: " + type.size() + "px; line-height: 1.45; color: "
                        + type.colour() + "; text-align: " + (toTheLeft ? "right; direction: rtl" : "left") + "; }")
                .line("h1, h2, h3 { page-break-after: avoid; }")
                .line("p, li { orphans: 2; widows: 2; }")
                .line("thead { display: table-header-group; }")
                // Sums stand once, below the last line.
                .line("tfoot { display: table-row-group; }")
                .line("table { -fs-table-paginate: paginate; }")
                .line("tr, .whole { page-break-inside: avoid; }")
                .line("img { max-width: 100%; }")
                .line(".row { display: table; width: 100%; table-layout: fixed; }")
                .line(".cell { display: table-cell; }")
                .line(".sender { margin-bottom: 14mm; font-size: 12px; }")
                .line(".sender b { font-size: " + Math.round(type.size() * 1.2) + "px; }")
                .line(".reader { margin-bottom: 10mm; }")
                .line(".day { margin: 0 0 6mm; }")
                .line(".subject { margin: 0 0 6mm; font-size: " + type.size() + "px; }")
                .line(".small { margin-top: 10mm; }")
                .line(".from-gap { color: #b3362a; }")
                .line("</style>")
                .line("</head>");
    }

    private void lines(String what, List<String> lines) {
        if (lines.isEmpty()) {
            return;
        }
        html.open("div", "class", what);
        for (int i = 0; i < lines.size(); i++) {
            boolean name = i == 0 && what.equals("sender");
            html.raw(i == 0 ? "" : "<br>")
                    .raw(name ? "<b>" : "")
                    .text(lines.get(i))
                    .raw(name ? "</b>" : "");
        }
        html.close("div").endLine();
    }

    private void band(Band band) {
        if (!blocks.any(band)) {
            return;
        }
        html.open("div", "style", padding(band.look(), 0, 0) + box(band.look())).endLine();
        int width = style.page().width()
                - Look.padding(band.look().left(), 0)
                - Look.padding(band.look().right(), 0);
        if (band.columns().size() == 1) {
            column(band.columns().getFirst(), width);
        } else {
            int shares = band.columns().stream().mapToInt(Column::share).sum();
            html.open("div", "class", "row whole").endLine();
            for (Column column : band.columns()) {
                int percent = Math.round(100f * column.share() / shares);
                html.open("div", "class", "cell", "style", "width:" + percent + "%;" + upright(column))
                        .endLine();
                column(column, width * column.share() / shares);
                html.close("div").endLine();
            }
            html.close("div").endLine();
        }
        html.close("div").endLine();
    }

    private static String upright(Column column) {
        return switch (column.upright()) {
            case TOP -> "vertical-align:top;";
            case MIDDLE -> "vertical-align:middle;";
            case BOTTOM -> "vertical-align:bottom;";
        };
    }

    /** What stands in a letter goes from edge to edge; what stands in a designed message keeps its room. */
    private void column(Column column, int width) {
        boolean letter = design.mode() == Mode.LETTER;
        for (Block block : column.blocks()) {
            if (!blocks.any(block)) {
                continue;
            }
            List<Band> inside = block.content().inside();
            if (!inside.isEmpty()) {
                inside.forEach(this::band);
                continue;
            }
            int side = letter ? 0 : style.space() * 3 / 2;
            String room = letter
                    ? "margin:0 0 " + style.space() * 3 / 4 + "px;"
                    : padding(block.look(), style.space() / 2, side);
            html.open(
                            "div",
                            "class",
                            PaperBlocks.mayBreak(block.content()) ? "" : "whole",
                            "style",
                            room + box(block.look()))
                    .endLine();
            blocks.content(
                    block,
                    width
                            - Look.padding(block.look().left(), side)
                            - Look.padding(block.look().right(), side));
            html.close("div").endLine();
        }
    }

    private static String padding(Look look, int upright, int side) {
        return "padding:" + Look.padding(look.above(), upright) + "px " + Look.padding(look.right(), side) + "px "
                + Look.padding(look.below(), upright) + "px " + Look.padding(look.left(), side) + "px;";
    }

    private String box(Look look) {
        String colour = look.borderColour().isEmpty() ? style.type().colour() : look.borderColour();
        return (look.background().isEmpty() ? "" : "background:" + look.background() + ";")
                + (look.border() == 0 ? "" : "border:" + look.border() + "px solid " + colour + ";");
    }
}
