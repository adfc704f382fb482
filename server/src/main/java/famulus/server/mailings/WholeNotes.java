package famulus.server.mailings;

import famulus.server.mailings.MailingReading.PreviewRow;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Gathers what is to be said of a mailing as a whole, from what each of its people gets. */
final class WholeNotes {
    /** A fallback that more than one in so many get is no exception any more. */
    private static final int OFTEN = 3;

    private final Map<String, Integer> fallbacks = new LinkedHashMap<>();
    private int people;

    void read(PreviewRow row) {
        people++;
        row.fallbacks().forEach(label -> fallbacks.merge(label, 1, Integer::sum));
    }

    /** What is to be said, a sentence each. */
    List<String> sentences() {
        List<String> sentences = new ArrayList<>();
        fallbacks.forEach((label, times) -> {
            if (times * OFTEN > people) {
                sentences.add(
                        "“" + label + "” is missing for " + times + " of " + people + ". They read its fallback.");
            }
        });
        return sentences;
    }
}
