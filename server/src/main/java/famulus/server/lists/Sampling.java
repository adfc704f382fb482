package famulus.server.lists;

import famulus.core.field.About;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordWalk;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Whether everybody is asked, or some who stand for all: what is counted over very many is estimated at once from a sample,
 * and counted exactly when that is asked for.
 *
 * @param totals how many people of each kind there are
 * @param size how many of each kind are asked at most; 0 for all
 */
record Sampling(Map<CrmKind, Integer> totals, int size) {
    /** Of so many or fewer each one is asked. */
    static final int FEW = 5_000;
    /** So many of each kind stand for all of it. */
    static final int SAMPLE = 2_000;

    /** The chance that the true figure is within the error that is given: 19 of 20. */
    private static final double SPREAD = 1.96;

    /**
     * What is asked.
     *
     * @param exact whether everybody has to be asked, however many they are
     */
    static Sampling of(About about, boolean exact, RecordWalk walk) {
        return of(about, exact ? Integer.MAX_VALUE : FEW, SAMPLE, walk);
    }

    /**
     * The same with a sample of another size.
     *
     * @param few of so many or fewer each one is asked
     * @param size how many of each kind stand for all of it else
     */
    static Sampling of(About about, int few, int size, RecordWalk walk) {
        Map<CrmKind, Integer> totals = new EnumMap<>(CrmKind.class);
        for (CrmKind kind : AskedRecords.kinds(about)) {
            CrmKind counted = about == About.DEAL ? CrmKind.DEAL : kind;
            totals.put(kind, walk.count(List.of(counted), true));
        }
        int all = totals.values().stream().mapToInt(Integer::intValue).sum();
        return new Sampling(totals, all <= few ? 0 : size);
    }

    /** Whether figures are estimates. */
    boolean estimates() {
        return size > 0;
    }

    /** How many people there are in all. */
    int total() {
        return totals.values().stream().mapToInt(Integer::intValue).sum();
    }

    /**
     * An estimate.
     *
     * @param number for how many
     * @param error how much more or less it may be, in 19 of 20 cases; 0 where everybody was asked
     */
    record Estimate(int number, int error) {}

    /**
     * Estimates for how many of all something holds.
     *
     * @param asked how many of each kind were asked
     * @param holds for how many of these it holds
     */
    Estimate estimate(Map<CrmKind, Integer> asked, Map<CrmKind, Integer> holds) {
        double number = 0;
        double variance = 0;
        for (Map.Entry<CrmKind, Integer> one : asked.entrySet()) {
            int many = one.getValue();
            int total = totals.getOrDefault(one.getKey(), many);
            if (many == 0) {
                continue;
            }
            double part = (double) holds.getOrDefault(one.getKey(), 0) / many;
            number += part * total;
            if (many < total) {
                // Nobody or everybody of a sample is not nobody or everybody of all: one more is reckoned with
                // (Laplace).
                double spread = (part * many + 1) / (many + 2);
                variance += (double) total * total * spread * (1 - spread) / many;
            }
        }
        return new Estimate((int) Math.round(number), (int) Math.ceil(SPREAD * Math.sqrt(variance)));
    }
}
