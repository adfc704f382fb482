package famulus.core.departure;

/**
 * A stretch of a text as its sender leaves it.
 *
 * @param text what is read there
 * @param written the written form of the field it came from; empty for words. It says where a stretch came from, not that
 *     the field is filled: that is looked up
 * @param gap whether it is a place that the sender still has to fill. Saying so makes it one; not saying so does not make it
 *     none
 */
public record Stretch(String text, String written, boolean gap) {
    public Stretch {
        text = text == null ? "" : text;
        written = written == null ? "" : written;
    }

    boolean mayBeOpen() {
        return text.isBlank() && (gap || !written.isEmpty());
    }
}
