package famulus.core.record;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.field.RecordKind;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FieldInputTest {
    private static FieldDefinition field(FieldType type) {
        List<FieldOption> choices =
                List.of(new FieldOption("apple", "apple"), new FieldOption("rape_seed", "rape seed"));
        return new FieldDefinition(RecordKind.DEAL, "field", "Field", type, choices, Optional.empty());
    }

    private static FieldInput read(FieldType type, String typed) {
        return FieldInput.read(field(type), 200, false, typed, "GB", "GBP");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "TEXT    | '  Cox '             | Cox",
                "NUMBER  | 36.50                | 36.5",
                "NUMBER  | -7                   | -7",
                "MONEY   | 1920                 | 1920.00 GBP",
                "MONEY   | 1920.5 eur           | 1920.50 EUR",
                "MONEY   | 500 JPY              | 500 JPY",
                "DATE    | 2026-05-21           | 2026-05-21",
                "CHOICE  | rape_seed            | rape_seed",
                "YES_NO  | yes                  | yes",
                "EMAIL   | ines@larkfield.example | ines@larkfield.example",
                "LINK    | https://brindlewing.example/a?b=c | https://brindlewing.example/a?b=c",
                "PHONE   | 01632 960 187        | +441632960187",
                "PHONE   | +49 30 23125 000     | +493023125000",
            })
    void keepsOneFormOfEachType(FieldType type, String typed, String stored) {
        assertThat(read(type, typed)).isEqualTo(new FieldInput(stored, Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "TEXT    | 'a\tb'               | control characters",
                "NUMBER  | 1,5                  | not a number",
                "NUMBER  | 12345678901234567890 | not a number",
                "MONEY   | 12.345               | at most 2 digits",
                "MONEY   | 12 XYZW              | not a currency",
                "MONEY   | twelve               | not an amount",
                "DATE    | 21.5.2026            | not a date",
                "DATE    | 0026-05-21           | between 1900",
                "CHOICE  | plum                 | not among",
                "CHOICES | plum                 | not among",
                "YES_NO  | maybe                | yes or no",
                "EMAIL   | ines@                | not an e-mail address",
                "LINK    | javascript:alert(1)  | not an address",
                "LINK    | brindlewing.example  | not an address",
                "PHONE   | call me              | not a telephone number",
                "PHONE   | +44 163              | too long or too short",
            })
    void saysWhatIsWrong(FieldType type, String typed, String sentence) {
        FieldInput input = read(type, typed);
        assertThat(input.refusal()).hasValueSatisfying(said -> assertThat(said).contains(sentence));
        assertThat(input.stored()).isEmpty();
    }

    @Test
    void takesChoicesInTheOrderOfTheField() {
        assertThat(read(FieldType.CHOICES, "rape_seed\napple").stored()).isEqualTo("apple\nrape_seed");
    }

    @ParameterizedTest
    @EnumSource(FieldType.class)
    void nothingTypedIsNothingStored(FieldType type) {
        assertThat(read(type, "  ")).isEqualTo(new FieldInput("", Optional.empty()));
        assertThat(read(type, null).refusal()).isEmpty();
        assertThat(FieldInput.read(field(type), 10, true, "", "GB", "GBP").refusal())
                .isPresent();
    }

    @Test
    void refusesWhatIsTooLong() {
        assertThat(read(FieldType.TEXT, "x".repeat(201)).refusal())
                .hasValueSatisfying(said -> assertThat(said).contains("201"));
        assertThat(read(FieldType.TEXT, "half \uD83D").refusal()).isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "plain",
                "a@b",
                "@b.example",
                "a b@c.example",
                "a@b..example",
                ".a@b.example",
                "a@-b.example",
                "a@b.example\n",
                "a,b@c.example",
                "\"a b\"@c.example",
                "a@[127.0.0.1]",
                "é@b.example"
            })
    void anAddressThatIsNoneIsRefused(String address) {
        assertThat(EmailAddress.refusal(address.equals("a@b.example\n") ? "a@b\n.example" : address))
                .isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"ines@larkfield.example", "i.o-b+hives@sub.larkfield.example", "o'dell@müller.example", "a@b.co"
            })
    void anAddressThatIsOneIsTaken(String address) {
        assertThat(EmailAddress.refusal(address)).isEmpty();
    }

    @Test
    void readsBackWhatIsStored() {
        assertThat(StoredValue.of(field(FieldType.MONEY), "1920.00 GBP"))
                .contains(new Value.Money(new BigDecimal("1920.00"), "GBP"));
        assertThat(StoredValue.of(field(FieldType.CHOICE), "rape_seed")).contains(new Value.Text("rape seed"));
        assertThat(StoredValue.of(field(FieldType.CHOICES), "apple\nrape_seed"))
                .contains(new Value.Several(List.of("apple", "rape seed")));
        assertThat(StoredValue.of(field(FieldType.DATE), "not a date")).isEmpty();
        assertThat(StoredValue.of(field(FieldType.NUMBER), "")).isEmpty();
    }
}
