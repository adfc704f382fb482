package famulus.core.html;

import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/** Reads HTML as plain words: paragraphs parted by empty lines, lists with a mark, the address of a link after its words. */
public final class HtmlWords {
    private static final Set<String> PARAGRAPHS = Set.of(
            "p",
            "div",
            "table",
            "ul",
            "ol",
            "dl",
            "blockquote",
            "pre",
            "address",
            "h1",
            "h2",
            "h3",
            "h4",
            "h5",
            "h6",
            "center");
    private static final Set<String> LINES = Set.of("tr", "li", "dt", "dd", "caption");
    private static final Pattern SPACES = Pattern.compile("[ \\t\\n\\r\\f]+");
    private static final Pattern EMPTY_LINES = Pattern.compile("[ \\t]*\\n(?:[ \\t]*\\n)+[ \\t]*");

    private final StringBuilder words = new StringBuilder();

    private HtmlWords() {}

    /** The words of clean HTML. */
    public static String of(String html) {
        Document document = Jsoup.parse(html);
        HtmlWords words = new HtmlWords();
        document.body().childNodes().forEach(words::add);
        return EMPTY_LINES
                .matcher(words.words)
                .replaceAll("\n\n")
                .replaceAll("(?m)[ \\t]+$", "")
                .strip();
    }

    private void add(Node node) {
        switch (node) {
            case TextNode text -> text(text.getWholeText());
            case Element element -> add(element);
            default -> {}
        }
    }

    private void text(String text) {
        String one = SPACES.matcher(text).replaceAll(" ");
        boolean fresh = words.isEmpty() || Character.isWhitespace(words.charAt(words.length() - 1));
        words.append(fresh ? one.replaceFirst("^ ", "") : one);
    }

    private void add(Element element) {
        String name = element.normalName();
        switch (name) {
            case "br" -> words.append('\n');
            case "hr" -> words.append("\n\n----------\n\n");
            case "img" -> {
                if (!element.attr("alt").isBlank()) {
                    words.append('[').append(element.attr("alt").strip()).append(']');
                }
            }
            default -> {
                boolean paragraph = PARAGRAPHS.contains(name);
                boolean line = LINES.contains(name);
                words.append(paragraph ? "\n\n" : line ? "\n" : "");
                if (name.equals("li")) {
                    words.append("- ");
                } else if ((name.equals("td") || name.equals("th")) && element.elementSiblingIndex() > 0) {
                    words.append("  ");
                }
                element.childNodes().forEach(this::add);
                address(element);
                words.append(paragraph ? "\n\n" : "");
            }
        }
    }

    private void address(Element element) {
        String address = element.attr("href").strip().replaceFirst("^(mailto|tel):", "");
        if (element.normalName().equals("a")
                && !address.isEmpty()
                && !address.startsWith("#")
                && !address.equals(element.text().strip())) {
            words.append(" <").append(address).append('>');
        }
    }
}
