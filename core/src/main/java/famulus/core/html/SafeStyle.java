package famulus.core.html;

import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSDeclarationList;
import com.helger.css.reader.CSSReaderDeclarationList;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.DoNothingCSSParseErrorHandler;
import com.helger.css.utils.CSSColorHelper;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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
            Pattern.compile("url\\s*\\(|expression|javascript:|@|\\\\|<|>|behavior|binding|[\\uFDD0-\\uFDEF]");
    /** Functions that only say how something looks, and plain brackets. All others may load, now or in a newer mail program. */
    private static final Set<String> FUNCTIONS = Set.of(
            "",
            "rgb",
            "rgba",
            "hsl",
            "hsla",
            "hwb",
            "lab",
            "lch",
            "oklab",
            "oklch",
            "calc",
            "min",
            "max",
            "clamp",
            "linear-gradient",
            "radial-gradient",
            "repeating-linear-gradient",
            "repeating-radial-gradient");

    private static final Pattern FUNCTION = Pattern.compile("([\\p{Alnum}_-]*)\\s*\\(");
    /** A function with what is in it, one within another at most. */
    private static final Pattern CALL = Pattern.compile("[\\p{Alnum}_-]*\\s*\\((?:[^()]|\\([^()]*\\))*\\)");

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
        boolean harmful = HARMFUL.matcher(low).find() || value.length() > 300 || !plainFunctions(low);
        if (harmful || !(ALLOWED.contains(name) || SIDES.matcher(name).matches())) {
            // What only one engine knows, or sets what is usual, is nobody's loss.
            if (!name.startsWith("mso-") && !name.startsWith("-")) {
                removed.add("style: " + name + (harmful ? ", for what it loads" : ""));
            }
            return name.equals("background") ? colourOf(low) : Optional.empty();
        }
        return Optional.of(name + ":" + value.replace("\"", "'").strip());
    }

    private static boolean plainFunctions(String value) {
        return FUNCTION.matcher(value).results().map(one -> one.group(1)).allMatch(FUNCTIONS::contains);
    }

    /** The colour of a background whose picture goes, so that words on it can still be read. */
    private static Optional<String> colourOf(String background) {
        Matcher calls = CALL.matcher(background);
        StringBuilder rest = new StringBuilder();
        Optional<String> colour = Optional.empty();
        while (calls.find()) {
            boolean plain = CSSColorHelper.isColorValue(calls.group()) && plainFunctions(calls.group());
            colour = plain ? Optional.of(calls.group()) : colour;
            calls.appendReplacement(rest, " ");
        }
        calls.appendTail(rest);
        return colour.or(() -> Stream.of(rest.toString().split("[\\s,/]+"))
                        .filter(word -> word.matches("#?[a-z0-9]+") && CSSColorHelper.isColorValue(word))
                        .findFirst())
                .map(one -> "background-color:" + one);
    }
}
