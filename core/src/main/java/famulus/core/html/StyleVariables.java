package famulus.core.html;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The variables that a style sheet sets for the whole page (CSS Custom Properties Level 1), put in where they are named: few
 * mail programs know them.
 */
final class StyleVariables {
    private static final Set<String> WHOLE_PAGE = Set.of(":root", "html", "body", "*", "html:root");
    /** A variable may name another one, so deep. */
    private static final int DEEPEST = 8;

    private static final int LONGEST = 600;
    private static final Pattern NAMED = Pattern.compile("var\\(\\s*(--[\\w-]+)\\s*(?:,((?:[^()]|\\([^()]*\\))*))?\\)");

    private final Map<String, String> values = new HashMap<>();

    /** Whether a property is a variable, which itself shows nothing. */
    static boolean isOne(String property) {
        return property.startsWith("--");
    }

    /** Sets one; one that is set for a part of the page only is said to be left out. */
    void set(String selector, String name, String value, Removed removed) {
        if (WHOLE_PAGE.contains(selector.strip().toLowerCase(java.util.Locale.ROOT))) {
            values.put(name, value);
        } else {
            removed.add("variable of a style sheet, set for a part of the page: " + name);
        }
    }

    /** A value with what the variables in it stand for; empty where one stands for nothing. */
    String in(String value, Removed removed) {
        String now = value;
        for (int deep = 0; now.contains("var("); deep++) {
            Matcher named = NAMED.matcher(now);
            if (deep == DEEPEST || now.length() > LONGEST || !named.find()) {
                removed.add("style that can’t be worked out: " + value.substring(0, Math.min(40, value.length())));
                return "";
            }
            String set = values.get(named.group(1));
            String instead = set != null ? set : named.group(2);
            if (instead == null) {
                removed.add("style that names a variable which is not set: " + named.group(1));
                return "";
            }
            now = now.substring(0, named.start()) + instead.strip() + now.substring(named.end());
        }
        return now;
    }
}
