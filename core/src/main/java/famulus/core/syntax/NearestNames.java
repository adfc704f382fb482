package famulus.core.syntax;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Finds the known names a slip of the hand may have meant. */
public final class NearestNames {
    private static final int MOST = 3;

    private NearestNames() {}

    /**
     * Returns up to three of {@code known}, nearest first, that resemble {@code written}.
     *
     * <p>Nearness is the Damerau-Levenshtein distance (optimal string alignment), so two letters exchanged count
     * once; a name counts as near up to a third of its length. A path whose last word is the same also counts.
     */
    public static List<String> of(String written, Collection<String> known) {
        String asked = written.toLowerCase(Locale.ROOT);
        if (asked.length() > 200) {
            return List.of();
        }
        return known.stream()
                .distinct()
                .map(name -> new Scored(name, score(asked, name.toLowerCase(Locale.ROOT))))
                .filter(scored -> scored.score <= 1)
                .sorted(Comparator.comparingDouble(Scored::score).thenComparing(Scored::name))
                .limit(MOST)
                .map(Scored::name)
                .toList();
    }

    private record Scored(String name, double score) {}

    /** 0 for the same, up to 1 for just near enough. */
    private static double score(String asked, String name) {
        double allowed = Math.max(2, Math.max(asked.length(), name.length()) / 3.0);
        double whole = distance(asked, name) / allowed;
        String askedLast = asked.substring(asked.lastIndexOf('.') + 1);
        String nameLast = name.substring(name.lastIndexOf('.') + 1);
        if (nameLast.length() > 3) {
            double last = distance(askedLast, nameLast) / Math.max(1.0, nameLast.length() / 3.0);
            return Math.min(whole, 0.4 + 0.6 * last);
        }
        return whole;
    }

    private static int distance(String a, String b) {
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int i = 0; i <= a.length(); i++) {
            d[i][0] = i;
        }
        for (int j = 0; j <= b.length(); j++) {
            d[0][j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            for (int j = 1; j <= b.length(); j++) {
                int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                d[i][j] = Math.min(Math.min(d[i - 1][j] + 1, d[i][j - 1] + 1), d[i - 1][j - 1] + change);
                boolean exchanged =
                        i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1);
                if (exchanged) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d[a.length()][b.length()];
    }
}
