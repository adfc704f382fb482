package famulus.core.results;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Deals that somebody says came of a mailing, and what they brought. Amounts are never converted: each currency has a sum of its own.
 *
 * <pre>{@code
 * new NamedDeals(List.of(new Deal(Standing.WON, new BigDecimal("1200"), "GBP"))).brought() // {GBP=1200}
 * }</pre>
 */
public record NamedDeals(List<Deal> deals) {
    /** How a deal stands. */
    public enum Standing {
        OPEN,
        WON,
        LOST
    }

    /**
     * A deal.
     *
     * @param amount what it is worth; null where nobody has said
     * @param currency of the amount, by ISO 4217
     */
    public record Deal(Standing standing, BigDecimal amount, String currency) {}

    public NamedDeals {
        deals = List.copyOf(deals);
    }

    /** What those that were won are worth, by currency. */
    public Map<String, BigDecimal> brought() {
        return sums(Standing.WON);
    }

    /** What those that are still open would be worth, by currency. */
    public Map<String, BigDecimal> open() {
        return sums(Standing.OPEN);
    }

    /** What is left of what they brought once a cost is paid; only what came in the currency of the cost pays for it. */
    public BigDecimal left(BigDecimal cost, String currency) {
        return brought().getOrDefault(currency, BigDecimal.ZERO).subtract(cost);
    }

    private Map<String, BigDecimal> sums(Standing standing) {
        Map<String, BigDecimal> sums = new TreeMap<>();
        deals.stream()
                .filter(one -> one.standing() == standing && one.amount() != null)
                .forEach(one -> sums.merge(one.currency(), one.amount(), BigDecimal::add));
        return sums;
    }
}
