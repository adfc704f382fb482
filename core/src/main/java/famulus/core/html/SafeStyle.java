package famulus.core.html;

import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSDeclarationList;
import com.helger.css.reader.CSSReaderDeclarationList;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.DoNothingCSSParseErrorHandler;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The styles that may stand in an element: those that say how it looks, none that load, run or hide anything. */
final class SafeStyle {
    private static final Set<String> ALLOWED = Set.of(
            "color",
            "background",
            "background-color",
            "font",
            "font-family",
            "font-size",
            "font-style",
            "font-weight",
            "font-variant",
            "line-height",
            "letter-spacing",
            "word-spacing",
            "text-align",
            "text-decoration",
            "text-indent",
            "text-transform",
            "vertical-align",
            "white-space",
            "word-break",
            "overflow-wrap",
            "direction",
            "width",
            "min-width",
            "max-width",
            "height",
            "min-height",
            "max-height",
            "display",
            "float",
            "clear",
            "table-layout",
            "border-collapse",
            "border-spacing",
            "list-style",
            "list-style-type",
            "opacity",
            "box-sizing");
    private static final Pattern SIDES = Pattern.compile(
            "(margin|padding|border)(-(top|right|bottom|left))?(-(width|style|color))?|border-(top|bottom)-(left|right)-radius|border-radius");
    /** What loads, runs or escapes: never part of a value. */
    private static final Pattern HARMFUL =
            Pattern.compile("url\\s*\\(|expression|javascript:|@|\\\\|<|>|behavior|binding|[\\uE000-\\uF8FF]");

    static final CSSReaderSettings SETTINGS = new CSSReaderSettings()
            .setBrowserCompliantMode(true)
            .setUseSourceLocation(false)
            .setCustomErrorHandler(new DoNothingCSSParseErrorHandler())
            .setCustomExceptionHandler(failure -> {});

    private SafeStyle() {}

    /** Reads the declarations of a style attribute, those that count more last; none of what can't be read. */
    static Map<String, String> read(String style) {
        Map<String, String> read = new LinkedHashMap<>();
        CSSDeclarationList list = style.isBlank() ? null : CSSReaderDeclarationList.readFromString(style, SETTINGS);
        if (list != null) {
            list.getAllDeclarations().forEach(one -> put(read, one));
        }
        return read;
    }

    /** Puts a declaration among others: the later one counts. */
    static void put(Map<String, String> into, CSSDeclaration declaration) {
        String name = declaration.getProperty().toLowerCase(Locale.ROOT);
        into.remove(name);
        into.put(name, declaration.getExpressionAsCSSString());
    }

    /** The declarations that may stay, as a style attribute; what is taken out is counted. */
    static String written(Map<String, String> declarations, Removed removed) {
        return declarations.entrySet().stream()
                .flatMap(one -> safe(one.getKey(), one.getValue(), removed).stream())
                .collect(Collectors.joining(";"));
    }

    private static Optional<String> safe(String name, String value, Removed removed) {
        String low = value.toLowerCase(Locale.ROOT);
        boolean harmful = HARMFUL.matcher(low).find() || value.length() > 300;
        if (harmful || !(ALLOWED.contains(name) || SIDES.matcher(name).matches())) {
            // What only one engine knows, or sets what is usual, is nobody's loss.
            if (!name.startsWith("mso-") && !name.startsWith("-")) {
                removed.add("style: " + name + (harmful ? ", for what it loads" : ""));
            }
            return Optional.empty();
        }
        return Optional.of(name + ":" + value.replace("\"", "'").strip());
    }
}
