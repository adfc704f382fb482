package famulus.core.intake;

import famulus.core.intake.HtmlToBlocks.Part;
import famulus.core.intake.HtmlToBlocks.Rebuilt;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Column;
import famulus.core.message.body.Column.Upright;
import famulus.core.message.body.Look;
import famulus.core.message.body.RichText.Marks;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;

/**
 * Rebuilds clean HTML as rows, columns and blocks, as its tables laid it out: a row of two to four cells that say something
 * becomes a row of as many columns, tables around tables are looked through, and backgrounds and paddings of cells stay.
 * What stands in a cell becomes blocks as {@link HtmlToBlocks} makes them.
 */
final class HtmlToRows {
    private static final int MOST_COLUMNS = 4;
    /** Tables within tables beyond this are read as one cell. */
    private static final int DEEPEST = 40;

    /** What lies around a layout and says nothing itself. */
    private static final Set<String> AROUND =
            Set.of("div", "center", "table", "tbody", "thead", "tfoot", "tr", "td", "th");

    /** Spaces that hold a cell open, some of no width. */
    private static final Pattern BLANK = Pattern.compile("[\\s\\u00a0\\u200b-\\u200d\\u034f\\u00ad\\ufeff]*");

    private final List<Band> bands = new ArrayList<>();
    private final Set<String> lost = new LinkedHashSet<>();
    private final List<Node> pending = new ArrayList<>();
    private Place pendingAt;
    private int blocks;

    private HtmlToRows() {}

    /** How what stands somewhere looks that says nothing of it itself. */
    private record Place(String background, Look padding, Marks marks, Align align) {
        private static final Place USUAL = new Place("", Look.USUAL, Marks.NONE, Align.START);

        private Place in(Element element) {
            String own = BoxStyle.background(element);
            return new Place(
                    own.isEmpty() ? background : own,
                    BoxStyle.padding(element, padding),
                    HtmlToBlocks.marked(element, marks),
                    HtmlToBlocks.align(element, align));
        }

        private Look look() {
            return new Look(padding.above(), padding.right(), padding.below(), padding.left(), background, 0, "");
        }
    }

    /** Rebuilds HTML that has been cleaned; a page of more rows than a message has becomes one column, which is said. */
    static Rebuilt rebuild(String html) {
        HtmlToRows rebuilding = new HtmlToRows();
        Jsoup.parse(html).body().childNodes().forEach(node -> rebuilding.add(node, Place.USUAL, 0));
        rebuilding.end();
        if (rebuilding.bands.size() > BodyJson.MOST_BANDS || rebuilding.blocks > BodyJson.MOST_BLOCKS) {
            return HtmlToBlocks.rebuild(html);
        }
        return new Rebuilt(
                rebuilding.bands.isEmpty() ? Body.EMPTY : new Body(rebuilding.bands), List.copyOf(rebuilding.lost));
    }

    private void add(Node node, Place place, int depth) {
        boolean around = node instanceof Element element && AROUND.contains(element.normalName());
        if (!around || depth > DEEPEST || !isLaidOut((Element) node)) {
            if (!place.equals(pendingAt)) {
                end();
                pendingAt = place;
            }
            pending.add(node);
            return;
        }
        Element element = (Element) node;
        List<Element> cells = element.normalName().equals("tr") ? telling(element) : List.of();
        if (cells.size() > 1 && cells.size() <= MOST_COLUMNS) {
            end();
            columns(element, cells, place.in(element));
            return;
        }
        Place inside = place.in(element);
        element.childNodes().forEach(child -> add(child, inside, depth + 1));
    }

    /** Whether an element is, or has in it, columns or a background. */
    private static boolean isLaidOut(Element element) {
        return !BoxStyle.background(element).isEmpty()
                || element.select("tr").stream().anyMatch(row -> {
                    int cells = telling(row).size();
                    return cells > 1 && cells <= MOST_COLUMNS;
                })
                || element.select("[bgcolor], [style*=background]").stream()
                        .anyMatch(one -> AROUND.contains(one.normalName()));
    }

    /** The cells of a row that say or show something. */
    private static List<Element> telling(Element row) {
        return row.children().stream()
                .filter(cell ->
                        cell.normalName().equals("td") || cell.normalName().equals("th"))
                .filter(cell ->
                        !BLANK.matcher(cell.text()).matches() || cell.selectFirst("img[src^=picture:], hr") != null)
                .toList();
    }

    private void columns(Element row, List<Element> cells, Place place) {
        List<Place> places = cells.stream().map(place::in).toList();
        Set<String> backgrounds = new LinkedHashSet<>();
        places.forEach(one -> backgrounds.add(one.background()));
        List<Integer> shares = shares(cells);
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            Place at = places.get(i);
            Part part = HtmlToBlocks.part(cells.get(i).childNodes(), at.marks(), at.align());
            lost.addAll(part.lost());
            Look look = backgrounds.size() == 1 || at.background().isEmpty()
                    ? Look.USUAL
                    : new Look(-1, -1, -1, -1, at.background(), 0, "");
            if (!part.blocks().isEmpty()) {
                columns.add(new Column(shares.get(i), upright(cells.get(i), row), numbered(part.blocks(), look)));
            }
        }
        if (!columns.isEmpty()) {
            String background = backgrounds.size() == 1 ? backgrounds.iterator().next() : place.background();
            band(columns, new Look(-1, -1, -1, -1, background, 0, ""));
        }
    }

    /** Ends the row of one column that is being gathered. */
    private void end() {
        if (!pending.isEmpty()) {
            Part part = HtmlToBlocks.part(List.copyOf(pending), pendingAt.marks(), pendingAt.align());
            lost.addAll(part.lost());
            if (!part.blocks().isEmpty()) {
                band(List.of(new Column(1, Upright.TOP, numbered(part.blocks(), Look.USUAL))), pendingAt.look());
            }
        }
        pending.clear();
        pendingAt = null;
    }

    private void band(List<Column> columns, Look look) {
        bands.add(new Band("band" + (bands.size() + 1), columns, look, "", false));
    }

    private List<Block> numbered(List<Block> made, Look look) {
        return made.stream()
                .map(block -> new Block("b" + ++blocks, block.content(), look, "", false))
                .toList();
    }

    /** The widths of cells against each other; of those that don’t say theirs, as wide as each other. */
    private static List<Integer> shares(List<Element> cells) {
        List<Integer> widths = new ArrayList<>();
        Set<String> units = new LinkedHashSet<>();
        for (Element cell : cells) {
            Matcher width = BoxStyle.WIDTH.matcher(BoxStyle.width(cell));
            boolean said = width.matches();
            widths.add(said ? Math.max(1, Integer.parseInt(width.group(1))) : 0);
            units.add(said && "%".equals(width.group(2)) ? "%" : "px");
        }
        int all = widths.stream().mapToInt(Integer::intValue).sum();
        if (widths.contains(0) || units.size() > 1) {
            return cells.stream().map(cell -> 1).toList();
        }
        return widths.stream()
                .map(width -> Math.clamp(Math.round(100f * width / all), 1, 100))
                .toList();
    }

    private static Upright upright(Element cell, Element row) {
        String style = cell.attr("style").replace(" ", "");
        String word = style.contains("vertical-align:")
                ? style.replaceFirst(".*vertical-align:(\\w+).*", "$1")
                : cell.hasAttr("valign") ? cell.attr("valign") : row.attr("valign");
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "top" -> Upright.TOP;
            case "bottom" -> Upright.BOTTOM;
            case "middle" -> Upright.MIDDLE;
            default -> Upright.TOP;
        };
    }
}
