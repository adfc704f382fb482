package famulus.core.message.render;

import famulus.core.message.body.Body;
import famulus.core.message.body.Content;
import famulus.core.message.body.Content.ItemColumn;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RichText.Marks;
import java.util.List;

/** Writes an item table as a real table with header cells. */
final class HtmlItems {
    private final Html html;
    private final ToRender message;
    private final MergedBody words;
    private final HouseStyle style;

    HtmlItems(Html html, ToRender message, MergedBody words) {
        this.html = html;
        this.message = message;
        this.words = words;
        this.style = message.design().style();
    }

    /** With more columns a table is wider than a phone. */
    private static final int FIT_A_PHONE = 4;

    private static boolean isWide(Content.Items items) {
        return items.columns().size() > FIT_A_PHONE;
    }

    /** Whether a body has a table that is too wide for a phone. */
    static boolean anyWide(Body body) {
        return body.blocks().anyMatch(block -> block.content() instanceof Content.Items items && isWide(items));
    }

    /** Rules for small screens: each line of a wide table stands by itself, a figure to a line with what it is. */
    static List<String> onPhones() {
        return List.of(
                ".items thead { display: none !important; }",
                ".items tr { display: block !important; overflow: hidden; padding: 6px 0; border-bottom: 1px solid #d9d9d9; }",
                ".items td, .items th { display: block !important; padding: 1px 0 !important; border: 0 !important; }",
                ".items td { text-align: end !important; }",
                ".items td::before { content: attr(data-head); float: inline-start; padding-inline-end: 12px; }",
                ".items tbody td:first-child { text-align: start !important; font-weight: bold; }",
                ".items tbody td:first-child::before { content: none; }",
                ".items tfoot th { float: inline-start; }");
    }

    void write(String id, Content.Items items) {
        if (message.deal().lines().isEmpty()) {
            HtmlText text = new HtmlText(html, style, message.proof() != null);
            html.open("p", "style", "margin:0;");
            words.inlines(Keys.label(id), Marks.NONE, "").forEach(text::inline);
            html.close("p");
            return;
        }
        ItemTable table = ItemTable.of(items, message);
        boolean wide = isWide(items);
        html.open(
                        "table",
                        "class",
                        wide ? "items" : "",
                        "style",
                        "width:100%;border-collapse:collapse;font-variant-numeric:tabular-nums;")
                .endLine()
                .raw("<thead><tr>");
        for (ItemColumn column : items.columns()) {
            html.open(
                            "th",
                            "scope",
                            "col",
                            "style",
                            cell(column) + "font-weight:bold;border-bottom:2px solid " + colour() + ";")
                    .text(table.heading(column))
                    .close("th");
        }
        html.line("</tr></thead>").line("<tbody>");
        for (var row : table.rows()) {
            html.raw("<tr>");
            for (int i = 0; i < row.size(); i++) {
                ItemColumn column = items.columns().get(i);
                html.open(
                                "td",
                                "data-head",
                                wide ? table.heading(column) : "",
                                "style",
                                cell(column) + "border-bottom:1px solid #d9d9d9;")
                        .text(row.get(i))
                        .close("td");
            }
            html.line("</tr>");
        }
        html.line("</tbody>");
        if (items.totals()) {
            foot(items, table);
        }
        html.line("</table>");
    }

    private void foot(Content.Items items, ItemTable table) {
        html.line("<tfoot>");
        int wide = items.columns().size() - 1;
        for (ItemTable.Sum sum : table.sums()) {
            String bold = sum.total() ? "font-weight:bold;border-top:2px solid " + colour() + ";" : "";
            html.raw("<tr>");
            String label = wide > 0 ? sum.label() : sum.label() + " " + sum.amount();
            html.open(
                            "th",
                            "scope",
                            "row",
                            "colspan",
                            wide > 1 ? String.valueOf(wide) : "",
                            "style",
                            "text-align:end;padding:4px 8px;font-weight:normal;" + bold)
                    .text(label)
                    .close("th");
            if (wide > 0) {
                html.open("td", "style", "text-align:end;padding:4px 0 4px 8px;white-space:nowrap;" + bold)
                        .text(sum.amount())
                        .close("td");
            }
            html.line("</tr>");
        }
        html.line("</tfoot>");
    }

    private String colour() {
        return style.type().colour();
    }

    private static String cell(ItemColumn column) {
        if (ItemTable.isFigure(column)) {
            return "text-align:end;padding:6px 0 6px 8px;white-space:nowrap;";
        }
        // Words that follow a figure would touch it; those at the edge of the table line up with the text above it.
        return column == ItemColumn.DESCRIPTION
                ? "text-align:start;padding:6px 8px 6px 0;"
                : "text-align:start;padding:6px 8px;";
    }
}
