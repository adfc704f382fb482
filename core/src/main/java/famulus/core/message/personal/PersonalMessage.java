package famulus.core.message.personal;

import famulus.core.message.OwnText;
import famulus.core.message.body.Body;
import java.util.Map;
import java.util.Optional;

/**
 * A message for one person, to be changed by hand. All texts are in the merge language.
 *
 * @param words those of a plain message; empty for one that has a body
 * @param body of a letter or designed message
 * @param own its plain text, where that is kept by hand
 * @param texts each of its texts that has words, by key, with the values in it
 * @param links how addresses with values in them were written, by what they were merged to
 */
public record PersonalMessage(
        String subject,
        String previewText,
        String words,
        Optional<Body> body,
        Optional<OwnText> own,
        Map<String, MergedText> texts,
        Map<String, String> links) {
    public PersonalMessage {
        texts = Map.copyOf(texts);
        links = Map.copyOf(links);
    }
}
