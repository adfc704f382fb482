package famulus.core.results;

import java.util.Locale;

/**
 * How many of several did something, and within which bounds the rate lies in nineteen of twenty cases (the score interval of E. B.
 * Wilson, 1927). E.g. 6 of 24 is 25 %, and may be anything from 12 % to 45 %.
 *
 * @param part how many did it
 * @param whole of how many; no fewer than that
 * @param low the lower bound, from 0 to 1
 * @param high the upper bound, from 0 to 1
 */
public record Rate(int part, int whole, double low, double high) {
    /** So many standard deviations hold nineteen of twenty cases of a normal distribution. */
    private static final double NINETEEN_OF_TWENTY = 1.959964;

    /** The rate of some among several; of none it may be anything. */
    public static Rate of(int part, int whole) {
        if (part < 0 || part > whole) {
            throw new IllegalArgumentException(part + " of " + whole + " is no rate");
        }
        if (whole == 0) {
            return new Rate(0, 0, 0, 1);
        }
        double share = (double) part / whole;
        double square = NINETEEN_OF_TWENTY * NINETEEN_OF_TWENTY;
        double middle = share + square / (2 * whole);
        double reach = NINETEEN_OF_TWENTY * Math.sqrt(share * (1 - share) / whole + square / (4.0 * whole * whole));
        double scale = 1 + square / whole;
        // Of none and of all the bound itself is exact, which reckoning would miss by a hair.
        double low = part == 0 ? 0 : (middle - reach) / scale;
        double high = part == whole ? 1 : (middle + reach) / scale;
        return new Rate(part, whole, low, high);
    }

    /** The share itself, from 0 to 1; 0 of none. */
    public double share() {
        return whole == 0 ? 0 : (double) part / whole;
    }

    /** In words, with its count: {@code 6 of 24, 25 % (12 to 45 %)}. */
    public String words() {
        return whole == 0
                ? "none yet"
                : String.format(
                        Locale.ROOT,
                        "%d of %d, %d %% (%d to %d %%)",
                        part,
                        whole,
                        percent(share()),
                        percent(low),
                        percent(high));
    }

    private static long percent(double share) {
        return Math.round(share * 100);
    }
}
