package famulus.core.merge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NameFormatsTest {
    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '~',
            value = {
                "o'NEILL-smith, O'Neill-Smith",
                "O'NEILL-SMITH, O'Neill-Smith",
                "maeve o'dell, Maeve O'Dell",
                "McAllen, McAllen",
                "von arnhalm, von Arnhalm",
                "ÉLODIE, Élodie",
                "ines, Ines",
                "J.R. TALLOW, J.R. Tallow",
            })
    void putsNamesAsPeopleWriteThem(String stored, String expected) {
        String printed = NameFormats.name(stored, Locale.UK);
        assertThat(printed).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"Ines Okafor-Brandt, I. O.-B.", "tobias, T.", "'', ''", "🐝 bee, B."})
    void takesInitials(String stored, String expected) {
        assertThat(NameFormats.initials(stored, Locale.UK)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"COX AND BRAMLEY, Cox and bramley", "two troughs, Two troughs", "'', ''", "iHive of bees, IHive of bees"
    })
    void beginsASentence(String stored, String expected) {
        assertThat(NameFormats.sentence(stored, Locale.UK)).isEqualTo(expected);
    }
}
