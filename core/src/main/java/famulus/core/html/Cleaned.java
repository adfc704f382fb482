package famulus.core.html;

import java.util.List;

/**
 * HTML that may be sent.
 *
 * @param html what stands within its body
 * @param title of the document, as plain words; may be empty
 * @param removed what was taken out, a sentence each; the same thing many times is one sentence
 */
public record Cleaned(String html, String title, List<String> removed) {
    public Cleaned {
        removed = List.copyOf(removed);
    }
}
