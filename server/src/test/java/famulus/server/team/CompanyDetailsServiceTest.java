package famulus.server.team;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import famulus.server.platform.PublicAddress;
import famulus.server.platform.Refusal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Where readers reach us, as it is typed in Company settings. */
class CompanyDetailsServiceTest {
    private final TeamMapper mapper = mock();
    private final PublicAddress address = mock();
    private final CompanyDetailsService service = new CompanyDetailsService(mapper, address);

    private static CompanyDetails reachedAt(String publicAddress) {
        return new CompanyDetails("Ours", "", "", "", "", "", "PT", "pt", "Europe/Lisbon", "EUR", publicAddress);
    }

    private void house() {
        when(mapper.house())
                .thenReturn(Optional.of(
                        new House("Ours", "ours.example", "", "", "", "", "", "GB", "en", "Europe/London", "GBP")));
    }

    @Test
    void isKeptAndTakenBack() {
        house();
        service.keep(reachedAt(" https://post.ours.example/ "));
        verify(mapper).keepPublicAddress("https://post.ours.example/");
        service.keep(reachedAt(" "));
        verify(mapper).keepPublicAddress(null);
        verify(mapper, org.mockito.Mockito.times(2))
                .updateHouse(new House("Ours", "ours.example", "", "", "", "", "", "PT", "pt", "Europe/Lisbon", "EUR"));
    }

    @Test
    void isLeftAloneWhereTheServerIsStartedWithOne() {
        house();
        when(address.fixed()).thenReturn(true);
        service.keep(reachedAt("nowhere"));
        verify(mapper, never()).keepPublicAddress(any());
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTC", "Asia/Calcutta", "Europe/Lisbon"})
    void isInWhateverZoneABrowserNames(String zone) {
        house();
        service.keep(new CompanyDetails("Ours", "", "", "", "", "", "PT", "pt", zone, "EUR", ""));
        verify(mapper).updateHouse(any());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"post.ours.example", "ftp://ours.example", "https://", "https://ours.example/?a", "https://a b"})
    void thatCanBeNoneIsRefusedAndNothingIsKept(String typed) {
        assertThatThrownBy(() -> service.keep(reachedAt(typed)))
                .isInstanceOfSatisfying(
                        Refusal.class, refusal -> assertThat(refusal.fields()).containsOnlyKeys("publicAddress"));
        verify(mapper, never()).updateHouse(any());
    }
}
