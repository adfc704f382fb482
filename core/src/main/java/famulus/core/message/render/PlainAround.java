package famulus.core.message.render;

import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a house style says around a plain message: its header above, its footer and small print below.
 *
 * @param above may be empty
 * @param below may be empty
 */
public record PlainAround(String above, String below) {
    /** Nothing. */
    public static final PlainAround NONE = new PlainAround("", "");

    /**
     * What a style says to one person.
     *
     * @param message the style around an empty body
     */
    public static PlainAround of(ToRender message) {
        MergedBody words = new MergedBody(message);
        CalendarFiles calendars = new CalendarFiles(message, words);
        return new PlainAround(
                TextRenderer.ofWordsAlone(message, words, calendars).above(),
                TextRenderer.ofWordsAlone(message, words, calendars).below());
    }

    /** The whole message, parted by empty lines. */
    public String whole(String body) {
        return Stream.of(above, body.strip(), below)
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining("\n\n"));
    }
}
