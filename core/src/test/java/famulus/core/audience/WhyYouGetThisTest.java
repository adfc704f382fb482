package famulus.core.audience;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WhyYouGetThisTest {
    private static final Optional<LocalDate> MARCH = Optional.of(LocalDate.of(2026, 3, 3));

    @Test
    void saysWhatSomebodyAgreedToAndWhen() {
        assertThat(WhyYouGetThis.sentence("signed up at our open day. ", MARCH, "Larkfield", Locale.UK))
                .isEqualTo("Why you get this: signed up at our open day, 3 March 2026.");
        assertThat(WhyYouGetThis.sentence("am Tag der offenen Tür", MARCH, "Larkfield", Locale.GERMANY))
                .isEqualTo("Warum Sie das bekommen: am Tag der offenen Tür, 3. März 2026.");
        assertThat(WhyYouGetThis.sentence("asked for it", Optional.empty(), "Larkfield", Locale.of("sv")))
                .isEqualTo("Why you get this: asked for it.");
    }

    @Test
    void saysWhoseContactTheyAreWhereNothingIsKnown() {
        assertThat(WhyYouGetThis.sentence(" ", MARCH, "Larkfield", Locale.FRANCE))
                .isEqualTo("Vous recevez ceci parce que vous faites partie des contacts de Larkfield.");
    }
}
