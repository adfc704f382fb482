package famulus.core.html;

import com.helger.css.decl.AbstractHasTopLevelRules;
import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSMediaRule;
import com.helger.css.decl.CSSSelector;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CSSSupportsRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.decl.ICSSTopLevelRule;
import com.helger.css.reader.CSSReader;
import com.helger.css.writer.CSSWriterSettings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Writes what the style sheets of a document say into the elements they say it of, since many mail programs drop style
 * sheets. Rules are taken by their weight (Selectors Level 3, 9), later ones over earlier ones, an element's own style
 * over all but what is marked important.
 */
final class StyleSheets {
    private static final int MOST_RULES = 4000;
    private static final Pattern IDENTIFIER = Pattern.compile("#[\\w-]+");
    private static final Pattern CLASSES = Pattern.compile("\\.[\\w-]+|\\[[^]]*]|:(?!:|not)[\\w-]+");
    private static final Pattern NAMES = Pattern.compile("(?:^|[\\s>+~])[a-zA-Z][\\w-]*");
    private static final CSSWriterSettings WRITER = new CSSWriterSettings();

    private StyleSheets() {}

    private record Rule(String selector, int weight, List<CSSDeclaration> declarations) {}

    /** Works the style sheets in; they themselves stay, to be taken out as any other element that may not be sent. */
    static void workIn(Document document, Removed removed) {
        List<Rule> rules = new ArrayList<>();
        for (Element sheet : document.select("style")) {
            String media = sheet.attr("media").strip();
            read(media.isEmpty() ? sheet.data() : "@media " + media + " {" + sheet.data() + "}", rules, removed);
        }
        rules.sort(Comparator.comparingInt(Rule::weight));
        StyleVariables variables = variables(document, rules, removed);
        Map<Element, Map<String, String>> usual = new IdentityHashMap<>();
        Map<Element, Map<String, String>> important = new IdentityHashMap<>();
        Selected selected = new Selected(document);
        for (Rule rule : rules) {
            for (Element element : selected.by(rule.selector())) {
                for (CSSDeclaration declaration : rule.declarations()) {
                    if (StyleVariables.isOne(declaration.getProperty())) {
                        continue;
                    }
                    var into = declaration.isImportant() ? important : usual;
                    SafeStyle.put(into.computeIfAbsent(element, any -> new LinkedHashMap<>()), declaration);
                }
            }
        }
        if (selected.cut() || rules.size() == MOST_RULES) {
            removed.add("part of a style sheet that is too long for a message");
        }
        for (Element element : document.getAllElements()) {
            Map<String, String> all = usual.getOrDefault(element, new LinkedHashMap<>());
            SafeStyle.read(element.attr("style")).forEach((name, value) -> {
                all.remove(name);
                if (!StyleVariables.isOne(name)) {
                    all.put(name, value);
                }
            });
            all.putAll(important.getOrDefault(element, Map.of()));
            if (!all.isEmpty()) {
                StringBuilder style = new StringBuilder();
                all.forEach((name, value) -> {
                    String worked = variables.in(value, removed);
                    if (!worked.isEmpty()) {
                        style.append(name).append(':').append(worked).append(';');
                    }
                });
                element.attr("style", style.toString());
            }
        }
    }

    private static void read(String css, List<Rule> into, Removed removed) {
        CascadingStyleSheet sheet = CSSReader.readFromStringReader(css, SafeStyle.SETTINGS);
        if (sheet == null) {
            removed.add("style sheet that can’t be read");
            return;
        }
        if (!sheet.getAllImportRules().isEmpty() || !sheet.getAllFontFaceRules().isEmpty()) {
            removed.add("style sheet or font that is loaded from the web");
        }
        read(sheet, into, removed);
    }

    /** Rules in their order, with those of parts that are for a usual screen where they stand. */
    private static void read(AbstractHasTopLevelRules rules, List<Rule> into, Removed removed) {
        for (ICSSTopLevelRule rule : rules.getAllRules()) {
            if (rule instanceof CSSStyleRule style) {
                read(style, into);
            } else if (rule instanceof CSSMediaRule media) {
                if (WideScreen.isMeantBy(media.getAllMediaQueries())) {
                    read(media, into, removed);
                } else {
                    removed.add("part of a style sheet for phones, dark screens or print");
                }
            } else if (rule instanceof CSSSupportsRule) {
                removed.add("part of a style sheet for some mail programs only");
            }
        }
    }

    private static void read(CSSStyleRule rule, List<Rule> into) {
        for (CSSSelector selector : rule.getAllSelectors()) {
            String written = selector.getAsCSSString(WRITER, 0);
            if (into.size() < MOST_RULES) {
                into.add(new Rule(written, weight(written), rule.getAllDeclarations()));
            }
        }
    }

    /** What is set for the whole page; the page's own style counts most. */
    private static StyleVariables variables(Document document, List<Rule> rules, Removed removed) {
        StyleVariables variables = new StyleVariables();
        for (Rule rule : rules) {
            for (CSSDeclaration declaration : rule.declarations()) {
                if (StyleVariables.isOne(declaration.getProperty())) {
                    variables.set(
                            rule.selector(),
                            declaration.getProperty(),
                            declaration.getExpressionAsCSSString(),
                            removed);
                }
            }
        }
        for (Element element : document.select("[style*=--]")) {
            SafeStyle.read(element.attr("style")).forEach((name, value) -> {
                if (StyleVariables.isOne(name)) {
                    variables.set(element.normalName(), name, value, removed);
                }
            });
        }
        return variables;
    }

    private static int weight(String selector) {
        return 10_000 * count(IDENTIFIER, selector) + 100 * count(CLASSES, selector) + count(NAMES, selector);
    }

    private static int count(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        int count = 0;
        while (matcher.find()) {
            count++;
        }
        return count;
    }
}
