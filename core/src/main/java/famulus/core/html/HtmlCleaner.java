package famulus.core.html;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Comment;
import org.jsoup.nodes.DataNode;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;

/**
 * Cleans HTML down to what may be sent: an allow-list of elements, attributes and styles. Nothing that runs, loads or asks
 * stays; its words do, where it has any. Pictures stay when they are of the library; others are said to be missing.
 */
public final class HtmlCleaner {
    /** The address of a picture of the library in HTML that is kept: this, and its identifier. */
    public static final String PICTURE = "picture:";
    /** More than that is no message. */
    public static final int LONGEST = 1_000_000;

    private static final int DEEPEST = 250;
    private static final Set<String> KEPT = Set.of(
            "a",
            "abbr",
            "address",
            "b",
            "big",
            "blockquote",
            "br",
            "caption",
            "center",
            "cite",
            "code",
            "col",
            "colgroup",
            "dd",
            "del",
            "div",
            "dl",
            "dt",
            "em",
            "font",
            "h1",
            "h2",
            "h3",
            "h4",
            "h5",
            "h6",
            "hr",
            "i",
            "img",
            "ins",
            "li",
            "ol",
            "p",
            "pre",
            "q",
            "s",
            "small",
            "span",
            "strike",
            "strong",
            "sub",
            "sup",
            "table",
            "tbody",
            "td",
            "tfoot",
            "th",
            "thead",
            "tr",
            "u",
            "ul");
    /** Elements that go with all that is in them. */
    private static final Map<String, String> GONE = Map.ofEntries(
            Map.entry("script", "script"),
            Map.entry("style", ""),
            Map.entry("head", ""),
            Map.entry("title", ""),
            Map.entry("meta", ""),
            Map.entry("link", "style sheet or font that is loaded from the web"),
            Map.entry("base", ""),
            Map.entry("template", ""),
            Map.entry("iframe", "page within the page"),
            Map.entry("frame", "page within the page"),
            Map.entry("object", "program or film"),
            Map.entry("embed", "program or film"),
            Map.entry("applet", "program or film"),
            Map.entry("video", "film"),
            Map.entry("audio", "sound"),
            Map.entry("canvas", "drawing"),
            Map.entry("svg", "drawing"),
            Map.entry("math", "formula"),
            Map.entry("input", "field of a form"),
            Map.entry("select", "field of a form"),
            Map.entry("textarea", "field of a form"));

    private static final Set<String> EVERYWHERE = Set.of("align", "dir", "lang", "style", "title", "valign");
    private static final Map<String, Set<String>> ATTRIBUTES = Map.of(
            "a", Set.of("href"),
            "img", Set.of("src", "alt", "width", "height", "border"),
            "table", Set.of("width", "height", "bgcolor", "border", "cellpadding", "cellspacing", "role", "summary"),
            "td", Set.of("width", "height", "bgcolor", "colspan", "rowspan", "nowrap"),
            "th", Set.of("width", "height", "bgcolor", "colspan", "rowspan", "nowrap", "scope"),
            "tr", Set.of("bgcolor", "height"),
            "col", Set.of("width", "span"),
            "font", Set.of("color", "face", "size"),
            "ol", Set.of("start", "type"),
            "hr", Set.of("width", "size", "color"));
    /** What the desk marks values with; it says nothing to a reader. */
    private static final Set<String> MARKS = Set.of("from-record", "from-fallback", "from-gap");

    private static final Pattern SCHEME = Pattern.compile("^([a-z][a-z0-9+.-]*):", Pattern.CASE_INSENSITIVE);
    private static final Set<String> SCHEMES = Set.of("http", "https", "mailto", "tel");
    private static final Pattern OWN_PICTURE = Pattern.compile(
            "^(?:picture:|cid:|/api/materials/pictures/)([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})(?:@famulus)?$");
    private static final Pattern PLAIN = Pattern.compile("\\P{Cntrl}{0,400}");

    /** Words between the marks of a condition that one mail program reads as a comment. */
    private static final Pattern FOR_SOME =
            Pattern.compile("^\\s*\\[if\\b[^\\]]*](?!>\\s*<!\\s*$).*\\S", Pattern.DOTALL);

    private final Removed removed = new Removed();
    /** What addresses without a place of their own begin with; empty for none. */
    private String base = "";

    private HtmlCleaner() {}

    /** Cleans HTML that a writer keeps, whole or a part of a page: fields of the merge language stay as they are. */
    public static Cleaned cleanSource(String html) {
        Shield shield = new Shield();
        Cleaned cleaned = new HtmlCleaner().cleaned(shield.hide(html));
        // A sentence may have been cut within a field: what is left of its sign says nothing.
        List<String> removed = cleaned.removed().stream()
                .map(sentence -> Shield.withoutSigns(shield.show(sentence)))
                .toList();
        return new Cleaned(shield.show(cleaned.html()), shield.show(cleaned.title()), removed);
    }

    /** Cleans HTML that is about to be shown or sent; braces are characters like any other. */
    public static Cleaned clean(String html) {
        return new HtmlCleaner().cleaned(Shield.withoutSigns(html));
    }

    /** Stretches of HTML in which braces are no fields: begin and end by turns. */
    public static int[] quiet(String html) {
        return Shield.quiet(html);
    }

    private Cleaned cleaned(String html) {
        Document document = Jsoup.parse(html);
        document.outputSettings().prettyPrint(false).charset("UTF-8");
        StyleSheets.workIn(document, removed);
        ofThePage(document);
        String title = document.title().strip();
        Element body = document.body();
        new ArrayList<>(document.head().children()).forEach(child -> clean(child, 0));
        List<Node> children = new ArrayList<>(body.childNodes());
        children.forEach(child -> clean(child, 0));
        // What the page says of its background is kept where there is something to stand on it.
        attributes(body, "div");
        boolean dressed = body.attributesSize() > 0;
        String inside = dressed ? "<div" + body.attributes().html() + ">" + body.html() + "</div>" : body.html();
        return new Cleaned(inside.strip(), title, removed.sentences());
    }

    /** What the page says of itself besides what stands on it. */
    private void ofThePage(Document document) {
        Element body = document.body();
        for (String key : List.of("dir", "lang")) {
            if (!body.hasAttr(key) && document.child(0).hasAttr(key)) {
                body.attr(key, document.child(0).attr(key));
            }
        }
        Optional.ofNullable(document.selectFirst("base[href]"))
                .map(element -> element.attr("href").strip())
                .filter(address -> address.startsWith("https://") || address.startsWith("http://"))
                .ifPresent(address -> base = address);
        document.traverse((node, depth) -> {
            if (node instanceof Comment comment
                    && FOR_SOME.matcher(comment.getData()).find()) {
                removed.add("part for one mail program only");
            }
        });
        if (document.selectFirst("meta[http-equiv=refresh]") != null) {
            removed.add("page that would go on to another one by itself");
        }
    }

    private void clean(Node node, int depth) {
        switch (node) {
            case Element element -> clean(element, depth);
            case Comment comment -> comment.remove();
            case DataNode data -> data.remove();
            case TextNode text -> {}
            default -> node.remove();
        }
    }

    private void clean(Element element, int depth) {
        String name = element.normalName();
        String said = GONE.get(name);
        if (said != null || depth > DEEPEST) {
            element.remove();
            if (said == null) {
                removed.add("part that is nested too deep");
            } else if (!said.isEmpty()) {
                removed.add(said);
            }
            return;
        }
        new ArrayList<>(element.childNodes()).forEach(child -> clean(child, depth + 1));
        if (name.equals("img") && !picture(element)) {
            return;
        }
        if (!KEPT.contains(name)) {
            if (name.equals("form") || name.equals("button")) {
                removed.add("form; its words stay".replace("form", name.equals("form") ? "form" : "button of a form"));
            }
            element.unwrap();
            return;
        }
        attributes(element, name);
    }

    /** Whether a picture stays: one of the library, or one a field chooses, does. */
    private boolean picture(Element element) {
        String source = element.attr("src").strip();
        Matcher own = OWN_PICTURE.matcher(source);
        if (own.matches()) {
            element.attr("src", PICTURE + own.group(1));
            return true;
        }
        String description = element.attr("alt").strip();
        boolean drawn = source.startsWith("data:");
        removed.add("picture that is not here: "
                + (description.isEmpty() ? (drawn ? "one within the page" : shortened(source)) : description));
        if (description.isEmpty()) {
            element.remove();
        } else {
            element.replaceWith(new TextNode("[" + description + "]"));
        }
        return false;
    }

    private static String shortened(String address) {
        String last = address.substring(address.lastIndexOf('/') + 1);
        return last.isEmpty() ? "without an address" : last.substring(0, Math.min(60, last.length()));
    }

    private void attributes(Element element, String name) {
        for (Attribute attribute : new ArrayList<>(element.attributes().asList())) {
            String key = attribute.getKey();
            String value = attribute.getValue();
            boolean mark = key.equals("class") && MARKS.contains(value);
            boolean known = EVERYWHERE.contains(key)
                    || ATTRIBUTES.getOrDefault(name, Set.of()).contains(key)
                    || (name.equals("div") && key.equals("bgcolor"));
            if (key.equals("style")) {
                String safe = SafeStyle.written(SafeStyle.read(value), removed);
                set(element, key, safe);
            } else if (key.equals("href")) {
                set(element, key, address(value.strip()));
            } else if (!mark && !(known && (PLAIN.matcher(value).matches() || Shield.hasField(value)))) {
                element.removeAttr(key);
                if (key.toLowerCase(Locale.ROOT).startsWith("on")) {
                    removed.add("attribute that runs a script: " + key.toLowerCase(Locale.ROOT));
                } else if (key.equals("background")) {
                    removed.add("picture behind words: " + shortened(value));
                }
            }
        }
    }

    private static void set(Element element, String key, String value) {
        if (value.isEmpty()) {
            element.removeAttr(key);
        } else {
            element.attr(key, value);
        }
    }

    /** An address from where the page says that its addresses begin. */
    private Optional<String> fromBase(String address) {
        try {
            return Optional.of(URI.create(base).resolve(address).toString());
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    private String address(String address) {
        if (address.isEmpty() || address.startsWith("#") || Shield.beginsWithField(address)) {
            return address;
        }
        Matcher scheme = SCHEME.matcher(address);
        boolean whole = scheme.find();
        if (!whole && !base.isEmpty()) {
            Optional<String> found = fromBase(address);
            if (found.isPresent()) {
                return found.get();
            }
        }
        if (whole && SCHEMES.contains(scheme.group(1).toLowerCase(Locale.ROOT))) {
            return address;
        }
        removed.add("link that leads nowhere in a message: " + address.substring(0, Math.min(40, address.length())));
        return "";
    }
}
