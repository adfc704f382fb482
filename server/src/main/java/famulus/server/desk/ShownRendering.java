package famulus.server.desk;

import java.util.List;
import java.util.Map;

/**
 * A letter or designed message as it is seen.
 *
 * @param html a whole document
 * @param text its plain twin
 * @param bytes how large the HTML is
 * @param attached the names of the attached files
 * @param slots the strings of the body that are written here
 * @param conditions of blocks and bands, by identifier, as sentences
 * @param inside of passages, feeds and designed signatures, by block: what they say
 */
public record ShownRendering(
        String html,
        String text,
        int bytes,
        List<String> attached,
        List<ShownSlot> slots,
        Map<String, String> conditions,
        Map<String, ShownInside> inside) {
    /**
     * What a block stands for.
     *
     * @param name of the passage or feed; empty for a signature
     * @param words as this person reads them
     * @param design the body it stands for, as JSON; empty for a feed
     */
    public record ShownInside(String name, String words, String design) {}

    /**
     * A string of a design that can be written in.
     *
     * @param key such as {@code b3/label}
     * @param start where it begins in the words of the body, in UTF-16 units
     */
    public record ShownSlot(String key, int start, int end) {}
}
