package famulus.core.table;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** What the cells of a CSV file are parted by. */
public final class Delimiter {
    /** All that are known, the likeliest first. */
    public static final List<Character> KNOWN = List.of(',', ';', '\t', '|');

    private static final int ROWS = 60;

    private Delimiter() {}

    /**
     * Returns the one that parts the first rows of a file into the same number of cells most often, and into more than one; a
     * comma where none does.
     *
     * <p>E.g.: {@code Delimiter.of("a;b;c\n1,5;2;3\n")} is a semicolon.
     *
     * @param begin the beginning of the file, which may end anywhere
     */
    public static char of(String begin) {
        char best = KNOWN.getFirst();
        double most = 0;
        for (char one : KNOWN) {
            double score = score(begin, one);
            if (score > most) {
                most = score;
                best = one;
            }
        }
        return best;
    }

    private static double score(String begin, char delimiter) {
        List<Integer> counts = new ArrayList<>();
        try {
            CsvTable table = new CsvTable(new StringReader(begin), delimiter);
            while (counts.size() < ROWS && table.hasNext()) {
                counts.add(table.next().cells().size());
            }
        } catch (UnreadableTable end) {
            // What was read before counts; the last row of a beginning is often cut.
        }
        if (counts.size() > 1) {
            counts.removeLast();
        }
        int usual = usual(counts);
        if (usual < 2) {
            return 0;
        }
        double agreeing = Collections.frequency(counts, usual) / (double) counts.size();
        return agreeing + Math.min(usual, 50) / 100.0;
    }

    private static int usual(List<Integer> counts) {
        return counts.stream()
                .max((one, other) ->
                        Integer.compare(Collections.frequency(counts, one), Collections.frequency(counts, other)))
                .orElse(0);
    }
}
