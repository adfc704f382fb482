package famulus.core.search;

import java.util.Set;

/**
 * When a template is meant to be used: in some months, at some stages of a deal, in some countries. What nothing is named of is
 * anything.
 *
 * @param months 1 to 12
 * @param stages codes of stages
 * @param countries by ISO 3166
 */
public record Occasion(Set<Integer> months, Set<String> stages, Set<String> countries) {
    /** Any. */
    public static final Occasion ANY = new Occasion(Set.of(), Set.of(), Set.of());

    public Occasion {
        months = Set.copyOf(months);
        stages = Set.copyOf(stages);
        countries = Set.copyOf(countries);
    }

    /**
     * Somebody who is written to now.
     *
     * @param month 1 to 12
     * @param stage of the deal it is about; empty for none
     * @param country where they are; empty where that is not known
     */
    public record Now(int month, String stage, String country) {}

    /** How a template fits, the best first. */
    public enum Fit {
        /** It is meant for just this. */
        NAMED,
        /** It is meant for anything. */
        ANY,
        /** It is meant for something else. */
        APART
    }

    /** Whether nothing is named. */
    public boolean any() {
        return months.isEmpty() && stages.isEmpty() && countries.isEmpty();
    }

    /** How it fits somebody who is written to now: all that it names has to be so. */
    public Fit fit(Now now) {
        if (any()) {
            return Fit.ANY;
        }
        boolean fits = (months.isEmpty() || months.contains(now.month()))
                && (stages.isEmpty() || stages.contains(now.stage()))
                && (countries.isEmpty() || countries.contains(now.country()));
        return fits ? Fit.NAMED : Fit.APART;
    }
}
