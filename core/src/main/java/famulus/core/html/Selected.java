package famulus.core.html;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Evaluator;
import org.jsoup.select.QueryParser;

/**
 * Finds what selectors choose, within a number of steps for all of them together: a style sheet of thousands of rules over
 * thousands of elements would take minutes otherwise. Elements are sorted by name, class and identifier once, and only those
 * that the last part of a selector can mean are looked at.
 */
final class Selected {
    /** So many elements are looked at for all selectors; a page of a newsletter takes some ten thousand. */
    private static final long MOST_STEPS = 1_500_000;
    /** The last part of a selector: a name, then a class or identifier that must be there. */
    private static final Pattern LAST = Pattern.compile("(?:^|[\\s>+~])([\\w-]+|\\*)?([.#][\\w-]+)?[^\\s>+~]*$");
    /** What no browser knows, or takes long: other parts of the page are looked through for each element. */
    private static final Pattern COSTLY =
            Pattern.compile(":(?:has|contains|containsown|containsdata|matches|matchesown|matchtext)\\b");

    private static final int MOST_PARTS = 8;

    private final Map<String, List<Element>> byName = new HashMap<>();
    private final Map<String, List<Element>> byMark = new HashMap<>();
    private final List<Element> all;
    private long steps;
    private boolean cut;

    Selected(Document document) {
        all = List.copyOf(document.getAllElements());
        for (Element element : all) {
            byName.computeIfAbsent(element.normalName(), any -> new ArrayList<>())
                    .add(element);
            element.classNames().forEach(name -> byMark.computeIfAbsent("." + name, any -> new ArrayList<>())
                    .add(element));
            if (!element.id().isEmpty()) {
                byMark.computeIfAbsent("#" + element.id(), any -> new ArrayList<>())
                        .add(element);
            }
        }
    }

    /** What a selector chooses; nothing for one about states, such as a link that is pointed at. */
    List<Element> by(String selector) {
        int parts = selector.split("[\\s>+~]+").length;
        if (COSTLY.matcher(selector.toLowerCase(Locale.ROOT)).find() || parts > MOST_PARTS) {
            cut = true;
            return List.of();
        }
        List<Element> candidates = candidates(selector);
        steps += (long) candidates.size() * parts * parts;
        if (steps > MOST_STEPS) {
            cut = true;
            return List.of();
        }
        try {
            Evaluator evaluator = QueryParser.parse(selector);
            return candidates.stream().filter(element -> element.is(evaluator)).toList();
        } catch (IllegalArgumentException | IllegalStateException unknown) {
            return List.of();
        }
    }

    private List<Element> candidates(String selector) {
        Matcher last = LAST.matcher(selector.strip());
        if (!last.find()) {
            return all;
        }
        if (last.group(2) != null) {
            return byMark.getOrDefault(last.group(2), List.of());
        }
        String name = last.group(1);
        return name == null || name.equals("*") ? all : byName.getOrDefault(name.toLowerCase(Locale.ROOT), List.of());
    }

    /** Whether some selectors were left out. */
    boolean cut() {
        return cut;
    }
}
