package famulus.core.html;

import com.helger.css.decl.CSSMediaExpression;
import com.helger.css.decl.CSSMediaQuery;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which parts of a style sheet are for the screen that a message is mostly read on: a light one, of a usual width (Media
 * Queries Level 4). Messages that are written for phones first say there how they look on it.
 */
final class WideScreen {
    /** The width of a message beside a list of messages, in CSS pixels. */
    private static final double WIDTH = 800;

    private static final double HEIGHT = 700;
    private static final double PER_EM = 16;
    private static final Pattern LENGTH = Pattern.compile("(\\d{0,6}(?:\\.\\d{1,4})?)\\s*(px|em|rem)?");

    private WideScreen() {}

    /** Whether one of some queries holds there; those of none hold everywhere. */
    static boolean isMeantBy(List<CSSMediaQuery> queries) {
        return queries.isEmpty() || queries.stream().anyMatch(WideScreen::holds);
    }

    private static boolean holds(CSSMediaQuery query) {
        String medium = query.getMedium() == null ? "all" : query.getMedium().toLowerCase(Locale.ROOT);
        boolean holds = (medium.equals("all") || medium.equals("screen"))
                && query.getAllMediaExpressions().stream().allMatch(WideScreen::holds);
        return holds != query.isNot();
    }

    private static boolean holds(CSSMediaExpression expression) {
        String value = expression.getValue() == null
                ? ""
                : expression.getValue().getAsCSSString().strip().toLowerCase(Locale.ROOT);
        return switch (expression.getFeature().toLowerCase(Locale.ROOT)) {
            case "min-width", "min-device-width" -> pixels(value) <= WIDTH;
            case "max-width", "max-device-width" -> pixels(value) >= WIDTH;
            case "min-height", "min-device-height" -> pixels(value) <= HEIGHT;
            case "max-height", "max-device-height" -> pixels(value) >= HEIGHT;
            case "orientation" -> value.equals("landscape");
            case "prefers-color-scheme" -> value.equals("light");
            case "prefers-reduced-motion", "prefers-contrast" -> value.equals("no-preference");
            case "color", "screen" -> true;
            default -> false;
        };
    }

    /** A length in pixels; what is none fits no screen. */
    private static double pixels(String length) {
        Matcher matcher = LENGTH.matcher(length);
        if (!matcher.matches() || matcher.group(1).isEmpty() || matcher.group(1).equals(".")) {
            return Double.NaN;
        }
        double number = Double.parseDouble(matcher.group(1));
        return matcher.group(2) == null || matcher.group(2).equals("px") ? number : number * PER_EM;
    }
}
