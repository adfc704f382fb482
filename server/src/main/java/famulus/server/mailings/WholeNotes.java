package famulus.server.mailings;

import famulus.core.proof.QueryCode;
import famulus.server.mailings.MailingReading.PreviewRow;
import famulus.server.mailings.MailingReading.RowNote;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Gathers what is to be said of a mailing as a whole, from what each of its people gets. */
final class WholeNotes {
    /** A fallback that more than one in so many get is no exception any more. */
    private static final int OFTEN = 3;

    /** What is said of single people, and is easily overlooked among many. */
    private static final List<QueryCode> COUNTED =
            List.of(QueryCode.ODD_VALUE, QueryCode.SALUTATION, QueryCode.LANGUAGE);

    private final Map<String, Integer> fallbacks = new LinkedHashMap<>();
    private final Map<String, Integer> noted = new HashMap<>();
    private int people;

    void read(PreviewRow row) {
        people++;
        row.fallbacks().forEach(label -> fallbacks.merge(label, 1, Integer::sum));
        row.notes().stream().map(RowNote::code).distinct().forEach(code -> noted.merge(code, 1, Integer::sum));
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
        for (QueryCode one : COUNTED) {
            int times = noted.getOrDefault(one.code(), 0);
            if (times > 0) {
                sentences.add(one.title() + ": " + times + " of " + people + ".");
            }
        }
        return sentences;
    }
}
