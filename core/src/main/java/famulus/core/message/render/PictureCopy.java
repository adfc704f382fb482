package famulus.core.message.render;

import famulus.core.message.body.Retouching;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The copy of a picture that a message shows: cut, coloured, and no larger than can be seen of it.
 *
 * <p>Its key names it in a message and in an address, in characters that both allow (RFC 2392, RFC 3986): the picture's
 * identifier, then what is done to it. {@code 3f2a…~cut.5.0.10.0~light.-20~tint.3c5b82.60~wide.480} is a picture with
 * 5 per cent taken off its left and 10 off its right, darker, tinted, and at most 480 pixels wide; {@code ~play} puts a play
 * mark in its middle.
 *
 * @param picture the picture's identifier
 * @param play whether it has a play mark, as the still of a video
 * @param most so many pixels wide at most; 0 for as wide as it is
 */
public record PictureCopy(String picture, Retouching retouching, boolean play, int most) {
    /** Few widths, so that one copy serves pictures of nearly the same width, and dragging does not make hundreds. */
    private static final int[] WIDTHS = {160, 320, 480, 640, 800, 960, 1200, 1800};

    private static final Pattern KEY = Pattern.compile("([A-Za-z0-9_-]{1,60})"
            + "(?:~cut\\.(\\d{1,2})\\.(\\d{1,2})\\.(\\d{1,2})\\.(\\d{1,2}))?"
            + "(?:~light\\.(-?\\d{1,3}))?"
            + "(?:~tint\\.([0-9a-f]{6})\\.(\\d{1,3}))?"
            + "(~play)?"
            + "(?:~wide\\.(\\d{1,4}))?");

    /** A copy without a play mark. */
    public PictureCopy(String picture, Retouching retouching, int most) {
        this(picture, retouching, false, most);
    }

    /** The same with a play mark. */
    public PictureCopy playing() {
        return new PictureCopy(picture, retouching, true, most);
    }

    /**
     * The copy for a picture that is shown so wide: twice that at most, for fine screens.
     *
     * @param shown in pixels
     */
    public static PictureCopy shown(String picture, Retouching retouching, int shown) {
        for (int width : WIDTHS) {
            if (width >= 2 * shown) {
                return new PictureCopy(picture, retouching, width);
            }
        }
        return new PictureCopy(picture, retouching, WIDTHS[WIDTHS.length - 1]);
    }

    /** Its name. */
    public String key() {
        StringBuilder key = new StringBuilder(picture);
        if (retouching.cuts()) {
            key.append("~cut.")
                    .append(retouching.left())
                    .append('.')
                    .append(retouching.top())
                    .append('.')
                    .append(retouching.right())
                    .append('.')
                    .append(retouching.bottom());
        }
        if (retouching.brightness() != 0) {
            key.append("~light.").append(retouching.brightness());
        }
        if (!retouching.tint().isEmpty() && retouching.strength() > 0) {
            key.append("~tint.")
                    .append(retouching.tint().substring(1))
                    .append('.')
                    .append(retouching.strength());
        }
        if (play) {
            key.append("~play");
        }
        if (most > 0) {
            key.append("~wide.").append(most);
        }
        return key.toString();
    }

    /** The copy that a key names; nothing when it is no key, or asks for more than there is. */
    public static Optional<PictureCopy> of(String key) {
        Matcher parts = KEY.matcher(key);
        if (!parts.matches()) {
            return Optional.empty();
        }
        Retouching retouching = new Retouching(
                number(parts, 2),
                number(parts, 3),
                number(parts, 4),
                number(parts, 5),
                number(parts, 6),
                parts.group(7) == null ? "" : "#" + parts.group(7),
                number(parts, 8));
        boolean possible = retouching.left() + retouching.right() <= 100 - Retouching.LEAST_LEFT
                && retouching.top() + retouching.bottom() <= 100 - Retouching.LEAST_LEFT
                && Math.abs(retouching.brightness()) <= 100
                && retouching.strength() <= 100;
        return possible
                ? Optional.of(new PictureCopy(parts.group(1), retouching, parts.group(9) != null, number(parts, 10)))
                : Optional.empty();
    }

    private static int number(Matcher parts, int group) {
        return parts.group(group) == null ? 0 : Integer.parseInt(parts.group(group));
    }
}
