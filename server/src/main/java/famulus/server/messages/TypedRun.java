package famulus.server.messages;

import famulus.core.departure.Stretch;
import java.util.List;

/**
 * A stretch of a message as its sender leaves it.
 *
 * @param written the written form of the field it came from; empty for words
 * @param gap whether it is a missing value still
 */
public record TypedRun(String text, String written, boolean gap) {
    /** What is left out is empty. */
    public TypedRun {
        text = text == null ? "" : text;
        written = written == null ? "" : written;
    }

    /** All of them as one text. */
    static String text(List<TypedRun> runs) {
        StringBuilder text = new StringBuilder();
        runs.forEach(run -> text.append(run.text()));
        return text.toString();
    }

    /** As the rule for what may leave reads them. */
    static List<Stretch> stretches(List<TypedRun> runs) {
        return runs.stream()
                .map(run -> new Stretch(run.text(), run.written(), run.gap()))
                .toList();
    }
}
