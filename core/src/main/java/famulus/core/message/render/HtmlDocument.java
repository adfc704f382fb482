package famulus.core.message.render;

import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Keys;
import famulus.core.message.body.Look;
import famulus.core.message.body.Mode;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Writes the HTML of a message: a letter as running text, a designed message as tables for layout. All styles are inline,
 * since many mail programs drop style sheets; the one that is there only helps phones and dark screens.
 */
final class HtmlDocument {
    private final ToRender message;
    private final MergedBody words;
    private final Design design;
    private final HouseStyle style;
    private final Html html = new Html();
    private final HtmlBlocks blocks;
    /** The block whose inside is being written; empty for none. */
    private String outer = "";

    HtmlDocument(ToRender message, MergedBody words, CalendarFiles calendars, Set<String> pictures) {
        this.message = message;
        this.words = words;
        this.design = message.design();
        this.style = design.style();
        this.blocks = new HtmlBlocks(message, words, calendars, pictures, html);
    }

    String render() {
        head();
        if (design.mode() == Mode.LETTER) {
            letter();
        } else if (design.mode() == Mode.SOURCE) {
            source();
        } else {
            designed();
        }
        return html.line("</body>").line("</html>").toString();
    }

    private void head() {
        String language = message.settings().locale().toLanguageTag();
        html.line("<!DOCTYPE html>")
                .open("html", "lang", language, "dir", direction())
                .endLine()
                .line("<head>")
                .line("<meta charset=\"utf-8\">")
                .line("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">");
        if (design.mode() == Mode.DESIGNED) {
            // Letters and HTML that was brought in know nothing of dark screens; programs turn their colours.
            html.line("<meta name=\"color-scheme\" content=\"light dark\">");
        }
        html.raw("<title>")
                .text(message.subject().isBlank() ? "…" : message.subject())
                .line("</title>");
        boolean letter = design.mode() == Mode.LETTER;
        boolean wideItems = HtmlItems.anyWide(design.body());
        if (!letter || wideItems) {
            html.line("<style>").line("@media (max-width: 480px) {");
            if (!letter) {
                html.line(
                                ".column { display: block !important; width: 100% !important; padding-inline: 0 !important; }")
                        .line(".small-hidden { display: none !important; }");
            }
            if (wideItems) {
                HtmlItems.onPhones().forEach(html::line);
            }
            html.line("}");
            if (design.mode() == Mode.DESIGNED) {
                onDarkScreens();
            }
            html.line("</style>");
        }
        html.line("</head>");
    }

    private void onDarkScreens() {
        html.line("@media (prefers-color-scheme: dark) {")
                .line(".page, .sheet { background: #16191d !important; }")
                .line(".words, " + texts(".words") + " { color: #e9e6df !important; }")
                .line(links(".words") + " { color: #a9cdf5 !important; }")
                // What has a background of its own keeps the colours that were chosen to be read on it.
                .line(".words .own, " + texts(".words .own") + " { color: "
                        + style.type().colour() + " !important; }")
                .line(links(".words .own") + " { color: " + style.type().linkColour() + " !important; }")
                .line("}");
    }

    /** Links within running text, and those of a writer's HTML that have no colour; those of buttons have a ground of their own. */
    private static String links(String within) {
        return Stream.of("p a", "li a", "h1 a", "h2 a", "h3 a", "a:not([style])")
                .map(link -> within + " " + link)
                .collect(Collectors.joining(", "));
    }

    private static String texts(String within) {
        return Stream.of("p", "li", "h1", "h2", "h3", "td", "th")
                .map(element -> within + " " + element)
                .collect(Collectors.joining(", "));
    }

    private String direction() {
        return com.ibm.icu.util.ULocale.forLocale(message.settings().locale()).isRightToLeft() ? "rtl" : "ltr";
    }

    private String font() {
        HouseStyle.Type type = style.type();
        return "font-family:" + type.text().css() + ";font-size:" + type.size() + "px;line-height:1.5;color:"
                + type.colour() + ";";
    }

    /** The grey text after the subject: hidden here, with room after it so that no more of the message follows there. */
    private void previewText() {
        if (!message.previewText().isBlank()) {
            html.open("div", "style", "display:none;max-height:0;overflow:hidden;")
                    .text(message.previewText())
                    .raw("&#847;&zwnj;&nbsp;".repeat(40))
                    .close("div")
                    .endLine();
        }
    }

    private void letter() {
        html.open("body", "style", "margin:8px;" + font()).endLine();
        previewText();
        design.body().bands().forEach(this::letterBand);
        smallPrint("margin:" + style.space() * 3 / 2 + "px 0 0;");
    }

    private void letterBand(Band band) {
        List<Block> shown = blocks.any(band) ? band.blocks().filter(blocks::any).toList() : List.of();
        for (Block block : shown) {
            if (!block.content().inside().isEmpty()) {
                outer = block.id();
                block.content().inside().forEach(this::letterBand);
                outer = "";
                continue;
            }
            boolean text = block.content() instanceof Content.Text || block.content() instanceof Content.Signature;
            html.open(
                    "div",
                    "data-block",
                    proved(block),
                    "style",
                    "margin:0 0 " + style.space() * 3 / 4 + "px;" + (text ? "" : "max-width:600px;"));
            html.endLine();
            blocks.content(block, 600);
            html.close("div").endLine();
        }
    }

    /** HTML that was brought in, as wide as it likes, between the header and footer of the house style. */
    private void source() {
        html.open("body", "style", "margin:0;padding:0;" + font()).endLine();
        previewText();
        wrapping(design.above());
        design.body().bands().stream()
                .filter(blocks::any)
                .flatMap(Band::blocks)
                .filter(blocks::any)
                .forEach(block -> {
                    boolean asItIs = block.content() instanceof Content.OwnHtml;
                    // What its sender writes above HTML of others keeps off its edges.
                    String around = "max-width:" + style.page().width() + "px;margin:0 auto;padding:" + pad(1) + "px "
                            + pad(1) + "px 0;";
                    html.open("div", "data-block", proved(block), "style", asItIs ? "" : around)
                            .endLine();
                    blocks.content(block, style.page().width());
                    html.close("div").endLine();
                });
        wrapping(design.below());
        smallPrint("max-width:" + style.page().width() + "px;margin:" + pad(1) + "px auto;padding:0 " + pad(1) + "px;");
    }

    private void wrapping(List<Band> bands) {
        if (!bands.isEmpty()) {
            html.open(
                            "table",
                            "role",
                            "presentation",
                            "class",
                            "sheet words",
                            "style",
                            "width:100%;max-width:" + style.page().width()
                                    + "px;margin:0 auto;border-collapse:collapse;" + font())
                    .endLine();
            bands.forEach(this::band);
            html.line("</table>");
        }
    }

    private void designed() {
        int width = style.page().width();
        html.open(
                        "body",
                        "class",
                        "page",
                        "style",
                        "margin:0;padding:0;background:" + style.page().background() + ";")
                .endLine();
        previewText();
        html.open(
                        "table",
                        "role",
                        "presentation",
                        "class",
                        "page",
                        "style",
                        "width:100%;border-collapse:collapse;background:"
                                + style.page().background() + ";")
                .raw("<tr>")
                .open("td", "style", "padding:" + style.space() + "px 0;text-align:center;")
                .endLine();
        // Where pages are laid out by a word processor's engine, a greatest width is not known; it gets a fixed table.
        html.line("<!--[if mso]><table role=\"presentation\" align=\"center\" width=\"" + width
                + "\"><tr><td><![endif]-->");
        html.open(
                        "table",
                        "role",
                        "presentation",
                        "class",
                        "sheet words",
                        "style",
                        "width:100%;max-width:" + width + "px;margin:0 auto;border-collapse:collapse;background:"
                                + style.page().sheet() + ";text-align:start;" + font())
                .endLine();
        design.above().forEach(this::band);
        design.body().bands().forEach(this::band);
        design.below().forEach(this::band);
        html.raw("<tr>").open("td", "style", "padding:" + pad(1) + "px " + pad(3) / 2 + "px;");
        smallPrint("margin:0;");
        html.line("</td></tr>").line("</table>");
        html.line("<!--[if mso]></td></tr></table><![endif]-->").line("</td></tr></table>");
    }

    private void smallPrint(String margin) {
        if (!style.smallPrint().paragraphs().isEmpty()) {
            html.open("div", "style", margin + "font-size:12px;line-height:1.4;")
                    .endLine();
            blocks.rich(Keys.SMALL_PRINT, style.smallPrint(), "font-size:12px;");
            html.close("div").endLine();
        }
    }

    private int pad(int factor) {
        return style.space() * factor;
    }

    private void band(Band band) {
        band(band, style.page().width());
    }

    private void band(Band band, int width) {
        if (!blocks.any(band)) {
            return;
        }
        Look look = band.look();
        int left = Look.padding(look.left(), 0);
        int right = Look.padding(look.right(), 0);
        html.raw("<tr>")
                .open(
                        "td",
                        "class",
                        classes(band.hiddenOnSmall(), look),
                        "style",
                        "padding:" + Look.padding(look.above(), 0) + "px " + right + "px "
                                + Look.padding(look.below(), 0) + "px " + left + "px;" + box(look))
                .endLine();
        html.open("table", "role", "presentation", "style", "width:100%;border-collapse:collapse;table-layout:fixed;")
                .raw("<tr>")
                .endLine();
        int inside = width - left - right;
        int shares = band.columns().stream().mapToInt(Column::share).sum();
        for (Column column : band.columns()) {
            int percent = Math.round(100f * column.share() / shares);
            html.open(
                            "td",
                            "class",
                            band.columns().size() > 1 ? "column" : "",
                            "style",
                            "width:" + percent + "%;vertical-align:" + upright(column) + ";padding:0;")
                    .endLine();
            column(column, inside * column.share() / shares);
            html.line("</td>");
        }
        html.line("</tr></table>").line("</td></tr>");
    }

    /** Which block a part of the page is, where it is looked at on the desk; what leaves does not say. */
    private String proved(Block block) {
        return message.proof() == null ? "" : outer.isEmpty() ? block.id() : outer;
    }

    private static String upright(Column column) {
        return switch (column.upright()) {
            case TOP -> "top";
            case MIDDLE -> "middle";
            case BOTTOM -> "bottom";
        };
    }

    private void column(Column column, int width) {
        List<Block> shown = column.blocks().stream().filter(blocks::any).toList();
        if (shown.isEmpty()) {
            html.line("&nbsp;");
            return;
        }
        html.open("table", "role", "presentation", "style", "width:100%;border-collapse:collapse;")
                .endLine();
        for (Block block : shown) {
            Look look = block.look();
            List<Band> inside = block.content().inside();
            // What stands within has room of its own.
            int left = Look.padding(look.left(), inside.isEmpty() ? pad(3) / 2 : 0);
            int right = Look.padding(look.right(), inside.isEmpty() ? pad(3) / 2 : 0);
            html.raw("<tr>")
                    .open(
                            "td",
                            "data-block",
                            proved(block),
                            "class",
                            classes(block.hiddenOnSmall(), look),
                            "style",
                            "padding:" + Look.padding(look.above(), inside.isEmpty() ? pad(1) / 2 : 0) + "px " + right
                                    + "px " + Look.padding(look.below(), inside.isEmpty() ? pad(1) / 2 : 0) + "px "
                                    + left + "px;" + box(look))
                    .endLine();
            if (inside.isEmpty()) {
                blocks.content(block, Math.max(8, width - left - right));
            } else {
                inside(block, width - left - right);
            }
            html.line("</td></tr>");
        }
        html.line("</table>");
    }

    /** Bands within a block: a table of their own, and all of it is the block to whoever points at it. */
    private void inside(Block block, int width) {
        html.open("table", "role", "presentation", "style", "width:100%;border-collapse:collapse;")
                .endLine();
        outer = block.id();
        block.content().inside().forEach(band -> band(band, width));
        outer = "";
        html.line("</table>");
    }

    private static String classes(boolean hiddenOnSmall, Look look) {
        return (hiddenOnSmall ? "small-hidden " : "")
                .concat(look.background().isEmpty() ? "" : "own")
                .strip();
    }

    private String box(Look look) {
        String colour = look.borderColour().isEmpty() ? style.type().colour() : look.borderColour();
        return (look.background().isEmpty() ? "" : "background:" + look.background() + ";")
                + (look.border() == 0 ? "" : "border:" + look.border() + "px solid " + colour + ";");
    }
}
