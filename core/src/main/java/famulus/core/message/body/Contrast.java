package famulus.core.message.body;

/** How well one colour can be read on another (WCAG 2.2, relative luminance and contrast ratio). */
public final class Contrast {
    private Contrast() {}

    /**
     * The ratio of two colours.
     *
     * @param one {@code #rrggbb}
     * @param other likewise
     * @return 1 for the same colour to 21 for black on white
     */
    public static double ratio(String one, String other) {
        double a = luminance(one);
        double b = luminance(other);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(String colour) {
        return 0.2126 * linear(colour, 1) + 0.7152 * linear(colour, 3) + 0.0722 * linear(colour, 5);
    }

    private static double linear(String colour, int at) {
        double part = Integer.parseInt(colour, at, at + 2, 16) / 255.0;
        return part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4);
    }
}
