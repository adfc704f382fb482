package famulus.core.message.render;

import java.util.List;
import java.util.Set;

/**
 * A message as it leaves.
 *
 * @param html a whole document; empty for a plain message
 * @param text its plain twin; lines broken by {@code \n}, not wrapped
 * @param pictures the pictures that its HTML shows, each once, in the order they stand
 * @param calendars calendar files that go along
 */
public record Rendering(String html, String text, Set<String> pictures, List<Calendar> calendars) {
    /** The same with another plain twin. */
    public Rendering saying(String otherText) {
        return new Rendering(html, otherText, pictures, calendars);
    }

    /** A calendar file (RFC 5545) and its name. */
    public record Calendar(String name, String content) {}
}
