package famulus.core.intake;

import famulus.core.message.body.Look;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** What an element of clean HTML says of the box it is: its background, padding and width. */
final class BoxStyle {
    private static final int LARGEST_PADDING = 120;
    private static final Pattern HEX = Pattern.compile("#([0-9a-f]{6}|[0-9a-f]{3})\\b");
    private static final Pattern RGB = Pattern.compile(
            "rgba?\\(\\s*(\\d{1,3})[\\s,]+(\\d{1,3})[\\s,]+(\\d{1,3})\\s*(?:[,/]\\s*(?:1|1\\.0+|100%)\\s*)?\\)");
    private static final Pattern BACKGROUND = Pattern.compile("(?:^|;)\\s*background(?:-color)?\\s*:\\s*([^;]+)");
    private static final Pattern PADDING =
            Pattern.compile("(?:^|;)\\s*padding(?:-(top|right|bottom|left))?\\s*:\\s*([^;]+)");
    static final Pattern WIDTH = Pattern.compile("(\\d{1,4})(?:\\.\\d+)?\\s*(%|px)?");
    private static final Pattern STYLED_WIDTH = Pattern.compile("(?:^|;)\\s*width\\s*:\\s*([^;]+)");

    private BoxStyle() {}

    /** How wide it is said to be; empty for nothing. */
    static String width(Element cell) {
        Matcher styled = STYLED_WIDTH.matcher(cell.attr("style"));
        return styled.find() ? styled.group(1).strip() : cell.attr("width").strip();
    }

    /** The colour behind an element, as {@code #rrggbb}; empty for none, or one that is seen through. */
    static String background(Element element) {
        Matcher styled = BACKGROUND.matcher(element.attr("style"));
        return colour(styled.find() ? styled.group(1) : element.attr("bgcolor"));
    }

    /** A colour as {@code #rrggbb}; empty for none that is known here. */
    static String colour(String said) {
        String low = said.toLowerCase(Locale.ROOT);
        Matcher hex = HEX.matcher(low);
        if (hex.find()) {
            String digits = hex.group(1);
            return "#" + (digits.length() == 6 ? digits : digits.replaceAll("(.)", "$1$1"));
        }
        Matcher rgb = RGB.matcher(low);
        if (rgb.find()) {
            return String.format(Locale.ROOT, "#%02x%02x%02x", part(rgb, 1), part(rgb, 2), part(rgb, 3));
        }
        return switch (low.strip()) {
            case "white" -> "#ffffff";
            case "black" -> "#000000";
            default -> "";
        };
    }

    private static int part(Matcher rgb, int group) {
        return Math.min(255, Integer.parseInt(rgb.group(group)));
    }

    /** The padding that an element says in pixels; what it doesn’t say is as before. */
    static Look padding(Element element, Look before) {
        int[] sides = {before.above(), before.right(), before.below(), before.left()};
        Matcher padding = PADDING.matcher(element.attr("style"));
        while (padding.find()) {
            int[] said = pixels(padding.group(2));
            if (said.length == 0) {
                continue;
            }
            List<String> names = List.of("top", "right", "bottom", "left");
            for (int side = 0; side < sides.length; side++) {
                // One value is for all sides, two for upright and level, three leave the left to the right.
                if (padding.group(1) == null) {
                    sides[side] = said[side < said.length ? side : side == 3 && said.length > 1 ? 1 : 0];
                } else if (names.get(side).equals(padding.group(1))) {
                    sides[side] = said[0];
                }
            }
        }
        return new Look(sides[0], sides[1], sides[2], sides[3], "", 0, "");
    }

    private static int[] pixels(String values) {
        String[] words = values.strip().split("\\s+");
        int[] pixels = new int[Math.min(4, words.length)];
        for (int i = 0; i < pixels.length; i++) {
            Matcher width = WIDTH.matcher(words[i]);
            if (!width.matches() || "%".equals(width.group(2))) {
                return new int[0];
            }
            pixels[i] = Math.min(LARGEST_PADDING, Integer.parseInt(width.group(1)));
        }
        return pixels;
    }
}
