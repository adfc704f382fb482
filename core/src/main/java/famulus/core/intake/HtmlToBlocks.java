package famulus.core.intake;

import famulus.core.html.HtmlCleaner;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Look;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Kind;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
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
import org.jsoup.nodes.TextNode;

/**
 * Rebuilds clean HTML as blocks, as far as its structure allows: words with their headings, lists, marks and links become
 * texts, pictures of the library pictures, rules rules. How tables laid it out is lost, and said; {@link HtmlToRows} keeps it.
 */
public final class HtmlToBlocks {
    private static final Set<String> LISTS = Set.of("ul", "ol");
    private static final Set<String> PARAGRAPHS = Set.of(
            "p", "div", "td", "th", "tr", "table", "blockquote", "address", "center", "dt", "dd", "caption", "pre");
    private static final Pattern SPACES = Pattern.compile("[ \\t\\n\\r\\f]+");
    private static final Pattern COLOUR = Pattern.compile("(?:^|;)color:([^;]+)");
    private static final Pattern SIZE = Pattern.compile("(?:^|;)font-size:\\s*(\\d{1,2})px");
    private static final Pattern ALIGN = Pattern.compile("(?:^|;)text-align:\\s*(\\w+)");

    private final List<Block> blocks = new ArrayList<>();
    private final List<Paragraph> paragraphs = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();
    private final Set<String> lost = new LinkedHashSet<>();
    private Kind kind = Kind.PARAGRAPH;
    private Align align = Align.START;
    private int level;

    private HtmlToBlocks() {}

    /**
     * What came of it.
     *
     * @param lost what could not be rebuilt, a sentence each
     */
    public record Rebuilt(Body body, List<String> lost) {}

    /** Rebuilds HTML that has been cleaned. */
    public static Rebuilt rebuild(String html) {
        HtmlToBlocks rebuilding = new HtmlToBlocks();
        Element body = Jsoup.parse(html).body();
        body.childNodes().forEach(node -> rebuilding.add(node, Marks.NONE));
        rebuilding.endText();
        Band band =
                new Band("band1", List.of(new Column(1, Column.Upright.TOP, rebuilding.blocks)), Look.USUAL, "", false);
        return new Rebuilt(
                rebuilding.blocks.isEmpty() ? Body.EMPTY : new Body(List.of(band)), List.copyOf(rebuilding.lost));
    }

    /** What blocks are made of some HTML within a page, such as a cell of a table. */
    record Part(List<Block> blocks, Set<String> lost) {}

    /**
     * Makes blocks of what stands in a row.
     *
     * @param marks how words look there that say nothing of it themselves
     * @param align where they stand
     */
    static Part part(List<? extends Node> nodes, Marks marks, Align align) {
        HtmlToBlocks rebuilding = new HtmlToBlocks();
        rebuilding.align = align;
        nodes.forEach(node -> rebuilding.add(node, marks));
        rebuilding.endText();
        return new Part(rebuilding.blocks, rebuilding.lost);
    }

    private void add(Node node, Marks marks) {
        switch (node) {
            case TextNode text -> text(text.getWholeText(), marks);
            case Element element -> add(element, marks);
            default -> {}
        }
    }

    private void text(String text, Marks marks) {
        String one = SPACES.matcher(text).replaceAll(" ");
        boolean fresh = runs.isEmpty() || runs.getLast().text().matches("(?s).*[ \\n]");
        String words = fresh ? one.replaceFirst("^ ", "") : one;
        if (!words.isEmpty()) {
            append(words, marks);
        }
    }

    private void append(String words, Marks marks) {
        if (!runs.isEmpty() && runs.getLast().marks().equals(marks)) {
            runs.set(runs.size() - 1, new Run(runs.getLast().text() + words, marks));
        } else {
            runs.add(new Run(words, marks));
        }
    }

    private void add(Element element, Marks marks) {
        String name = element.normalName();
        switch (name) {
            case "br" -> append("\n", marks);
            case "hr" -> block(new Content.Divider(1, ""));
            case "img" -> picture(element, marks);
            case "h1" -> paragraph(element, marks, Kind.HEADING_1);
            case "h2" -> paragraph(element, marks, Kind.HEADING_2);
            case "h3", "h4", "h5", "h6" -> paragraph(element, marks, Kind.HEADING_3);
            case "li" ->
                paragraph(
                        element,
                        marks,
                        element.parent() != null
                                        && element.parent().normalName().equals("ol")
                                ? Kind.NUMBERED
                                : Kind.BULLET);
            default -> {
                if (name.equals("table")
                        && element.select("> tbody > tr > td, > tr > td").size() > 1) {
                    lost.add("The layout of tables: columns become one below the other.");
                }
                if (element.attr("style").contains("background") || element.hasAttr("bgcolor")) {
                    lost.add("Backgrounds.");
                }
                if (PARAGRAPHS.contains(name)) {
                    paragraph(element, marks, name.equals("blockquote") ? Kind.QUOTE : kind);
                } else {
                    Marks inside = marked(element, marks);
                    element.childNodes().forEach(child -> add(child, inside));
                }
            }
        }
    }

    private void paragraph(Element element, Marks marks, Kind as) {
        endParagraph();
        Kind outer = kind;
        Align before = align;
        int outerLevel = level;
        if (element.normalName().equals("li")) {
            level = (int) element.parents().stream()
                            .filter(one -> LISTS.contains(one.normalName()))
                            .count()
                    - 1;
        }
        kind = as;
        align = align(element, align);
        Marks inside = marked(element, marks);
        element.childNodes().forEach(child -> add(child, inside));
        endParagraph();
        kind = outer;
        align = before;
        level = outerLevel;
    }

    private void endParagraph() {
        boolean words =
                runs.stream().anyMatch(run -> !run.text().replace('\u00a0', ' ').isBlank());
        if (words) {
            Run last = runs.getLast();
            runs.set(runs.size() - 1, new Run(last.text().stripTrailing(), last.marks()));
            paragraphs.add(new Paragraph(
                    kind,
                    align,
                    level,
                    runs.stream().filter(run -> !run.text().isEmpty()).toList()));
        }
        runs.clear();
    }

    private void endText() {
        endParagraph();
        if (!paragraphs.isEmpty()) {
            blocks.add(Block.of("b" + (blocks.size() + 1), new Content.Text(new RichText(List.copyOf(paragraphs)))));
            paragraphs.clear();
        }
    }

    private void block(Content content) {
        endText();
        blocks.add(Block.of("b" + (blocks.size() + 1), content));
    }

    private void picture(Element image, Marks marks) {
        String source = image.attr("src");
        if (!source.startsWith(HtmlCleaner.PICTURE)) {
            lost.add("Pictures that are not in Materials.");
            return;
        }
        int width = image.attr("width").matches("\\d{1,3}") ? Integer.parseInt(image.attr("width")) : 240;
        block(new Content.Picture(
                source.substring(HtmlCleaner.PICTURE.length()),
                Math.clamp(width, 8, 900),
                align,
                image.attr("alt"),
                marks.link()));
    }

    static Align align(Element element, Align otherwise) {
        Matcher style = ALIGN.matcher(element.attr("style"));
        // Of a table it says where the table stands, not its words.
        String standing = element.normalName().equals("table") ? "" : element.attr("align");
        String word = style.find() ? style.group(1) : standing;
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "center" -> Align.CENTRE;
            case "right", "end" -> Align.END;
            case "left", "start" -> Align.START;
            default -> element.normalName().equals("center") ? Align.CENTRE : otherwise;
        };
    }

    static Marks marked(Element element, Marks marks) {
        String style = element.attr("style").replace(" ", "");
        String name = element.normalName();
        Matcher colour = COLOUR.matcher(style);
        Matcher size = SIZE.matcher(style);
        String said = colour.find() ? BoxStyle.colour(colour.group(1)) : "";
        int pixels = size.find() ? Integer.parseInt(size.group(1)) : 0;
        return new Marks(
                marks.bold()
                        || Set.of("b", "strong", "th").contains(name)
                        || style.matches(".*font-weight:(bold|[6-9]00).*"),
                marks.italic() || Set.of("i", "em", "cite").contains(name) || style.contains("font-style:italic"),
                marks.underline() || Set.of("u", "ins").contains(name),
                marks.strike() || Set.of("s", "strike", "del").contains(name) || style.contains("line-through"),
                said.isEmpty() ? marks.colour() : said,
                pixels >= 8 && pixels <= 72 ? pixels : marks.size(),
                name.equals("a") && !element.attr("href").isBlank()
                        ? element.attr("href").strip()
                        : marks.link());
    }
}
