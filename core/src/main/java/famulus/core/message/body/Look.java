package famulus.core.message.body;

/**
 * How the box of a band or block looks.
 *
 * @param above padding in pixels, 0 to 120, as the other three
 * @param background {@code #rrggbb}; empty for none
 * @param border width in pixels, 0 to 12
 * @param borderColour {@code #rrggbb}; empty for the colour of the text
 */
public record Look(int above, int right, int below, int left, String background, int border, String borderColour) {
    /** No background, no border, and the padding that the house style gives. */
    public static final Look USUAL = new Look(-1, -1, -1, -1, "", 0, "");

    /** A padding, or what is usual where none was chosen. */
    public static int padding(int chosen, int usual) {
        return chosen < 0 ? usual : chosen;
    }
}
