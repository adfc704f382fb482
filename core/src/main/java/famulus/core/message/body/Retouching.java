package famulus.core.message.body;

/**
 * How a picture is shown otherwise than it was brought in. The picture itself stays as it is; a copy is made.
 *
 * @param left what is cut off, in per cent of the width; with {@code right} at most 90
 * @param top what is cut off, in per cent of the height; with {@code bottom} at most 90
 * @param brightness from -100, black, to 100, white; 0 as it is
 * @param tint {@code #rrggbb}; empty for the picture's own colours
 * @param strength how far the tint takes the place of the picture's colours, 0 to 100 per cent
 */
public record Retouching(int left, int top, int right, int bottom, int brightness, String tint, int strength) {
    /** So much of a side must be left, in per cent, so that something is seen. */
    public static final int LEAST_LEFT = 10;

    /** As it was brought in. */
    public static final Retouching NONE = new Retouching(0, 0, 0, 0, 0, "", 0);

    /** Whether anything is cut off. */
    public boolean cuts() {
        return left + top + right + bottom > 0;
    }

    /** Whether colours change. */
    public boolean colours() {
        return brightness != 0 || (!tint.isEmpty() && strength > 0);
    }

    /** Whether the picture shows as it was brought in. */
    public boolean none() {
        return !cuts() && !colours();
    }
}
