package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Currency;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class CldrNamesTest {
    @Test
    void currenciesAreThoseInUse() {
        assertThat(CldrNames.currencies())
                .containsEntry("EUR", "Euro")
                .containsEntry("GBP", "British Pound")
                .containsKeys("JPY", "CHF", "USD", "INR")
                .doesNotContainKeys("DEM", "FRF", "XXX", "XAU")
                .hasSizeGreaterThan(120);
        assertThat(CldrNames.currencies().keySet())
                .isSubsetOf(Currency.getAvailableCurrencies().stream()
                        .map(Currency::getCurrencyCode)
                        .collect(Collectors.toSet()));
    }

    @Test
    void namesAreInOrder() {
        List<String> names = List.copyOf(CldrNames.countries().values());
        assertThat(names.indexOf("Austria")).isLessThan(names.indexOf("Portugal"));
        assertThat(names.indexOf("Åland Islands")).isLessThan(names.indexOf("Portugal"));
    }
}
