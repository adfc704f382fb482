package famulus.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.results.NamedDeals.Deal;
import famulus.core.results.NamedDeals.Standing;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NamedDealsTest {
    private static Deal deal(Standing standing, String amount, String currency) {
        return new Deal(standing, amount == null ? null : new BigDecimal(amount), currency);
    }

    private static final NamedDeals SOME = new NamedDeals(List.of(
            deal(Standing.WON, "1200.50", "GBP"),
            deal(Standing.WON, "300", "GBP"),
            deal(Standing.WON, "90", "EUR"),
            deal(Standing.WON, null, ""),
            deal(Standing.OPEN, "500", "GBP"),
            deal(Standing.LOST, "7000", "GBP")));

    @Test
    void onlyWonOnesHaveBroughtSomethingEachCurrencyByItself() {
        assertThat(SOME.brought())
                .containsExactly(Map.entry("EUR", new BigDecimal("90")), Map.entry("GBP", new BigDecimal("1500.50")));
        assertThat(SOME.open()).containsExactly(Map.entry("GBP", new BigDecimal("500")));
    }

    @Test
    void theCostIsPaidByWhatCameInItsCurrency() {
        assertThat(SOME.left(new BigDecimal("2000"), "GBP")).isEqualByComparingTo("-499.50");
        assertThat(SOME.left(new BigDecimal("10"), "CHF")).isEqualByComparingTo("-10");
        assertThat(new NamedDeals(List.of()).left(BigDecimal.ZERO, "GBP")).isZero();
    }
}
