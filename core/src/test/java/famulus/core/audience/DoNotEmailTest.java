package famulus.core.audience;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DoNotEmailTest {
    @ParameterizedTest
    @CsvSource({
        "Ines@Larkfield.example, ines@larkfield.example, false",
        "  larkfield.example , larkfield.example, true",
        "@Larkfield.Example, larkfield.example, true",
        "bücher.example, xn--bcher-kva.example, true",
        "jo@bücher.example, jo@xn--bcher-kva.example, false",
    })
    void anEntryIsAnAddressOrADomain(String typed, String key, boolean wholeDomain) {
        assertThat(DoNotEmail.read(typed).entry()).contains(new DoNotEmail(key, wholeDomain));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "@",
                "larkfield",
                "ines@",
                "a b@larkfield.example",
                "ines@larkfield@example",
                "two words.example"
            })
    void whatIsNoneIsSaid(String typed) {
        assertThat(DoNotEmail.read(typed).entry()).isEmpty();
        assertThat(DoNotEmail.read(typed).refusal()).isPresent();
    }

    @Test
    void anAddressIsFoundByItselfItsDomainAndThoseAbove() {
        assertThat(DoNotEmail.keys("Ines@Farm.Larkfield.example"))
                .containsExactly("ines@farm.larkfield.example", "farm.larkfield.example", "larkfield.example");
        assertThat(DoNotEmail.keys("jo@bücher.example")).contains("xn--bcher-kva.example");
    }

    @Test
    void aDomainThatOnlyEndsLikeItIsNotIt() {
        assertThat(DoNotEmail.keys("ines@notlarkfield.example")).doesNotContain("larkfield.example");
    }
}
