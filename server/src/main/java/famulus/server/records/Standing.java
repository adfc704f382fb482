package famulus.server.records;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Where one record stands in the lists of its kind: its {@link ListPlace} by column. As it is kept it is a text with a line for
 * each column, its name, a tab and the place, by name; neither names nor places have line ends in them.
 */
final class Standing {
    private static final String LINE_END = "\n";
    private static final char TAB = '\t';

    private Standing() {}

    static String text(Map<String, String> places) {
        StringBuilder text = new StringBuilder();
        new TreeMap<>(places).forEach((column, place) -> {
            text.append(text.isEmpty() ? "" : LINE_END)
                    .append(column)
                    .append(TAB)
                    .append(place);
        });
        return text.toString();
    }

    /** The place in the list of one column; nothing where it has none there. */
    static Optional<String> place(String text, String column) {
        String line = column + TAB;
        int at = text.startsWith(line) ? 0 : text.indexOf(LINE_END + line) + 1;
        if (at == 0 && !text.startsWith(line)) {
            return Optional.empty();
        }
        int end = text.indexOf(LINE_END, at);
        return Optional.of(text.substring(at + line.length(), end < 0 ? text.length() : end));
    }

    static Map<String, String> read(String text) {
        Map<String, String> places = new LinkedHashMap<>();
        text.lines().forEach(line -> {
            int end = line.indexOf(TAB);
            places.put(line.substring(0, end), line.substring(end + 1));
        });
        return places;
    }
}
