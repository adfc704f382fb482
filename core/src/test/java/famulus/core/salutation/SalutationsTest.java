package famulus.core.salutation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SalutationsTest {
    private static final Salutations RULES = new Salutations(Map.of(
            "en",
            new Salutations.Rules(
                    Formality.FAMILIAR,
                    List.of(
                            rule(Formality.FORMAL, "Ms,Mr,Dr", "Dear", "{person.title} {person.last_name as name}"),
                            rule(Formality.FORMAL, "", "Dear", "{person.first_name} {person.last_name}"),
                            rule(Formality.FORMAL, "", "Good day", ""),
                            rule(Formality.FAMILIAR, "", "Dear", "{person.first_name as name}"),
                            rule(Formality.FAMILIAR, "Ms,Mr,Dr", "Dear", "{person.title} {person.last_name}"),
                            rule(Formality.FAMILIAR, "", "Good day", ""))),
            "de",
            new Salutations.Rules(
                    Formality.FORMAL,
                    List.of(
                            rule(Formality.FORMAL, "Frau", "Sehr geehrte Frau", "{person.last_name}"),
                            rule(Formality.FORMAL, "Herr", "Sehr geehrter Herr", "{person.last_name}"),
                            rule(Formality.FORMAL, "", "Guten Tag", ""),
                            rule(Formality.FAMILIAR, "", "Hallo", "{person.first_name}")))));

    private static SalutationRule rule(Formality formality, String titles, String opening, String address) {
        List<String> all = titles.isEmpty() ? List.of() : Arrays.asList(titles.split(","));
        return new SalutationRule(formality, all, opening, address);
    }

    private static Greeted person(String written) {
        String[] parts = written.split("/", -1);
        Optional<Formality> formality = parts.length > 3 ? Optional.of(Formality.valueOf(parts[3])) : Optional.empty();
        return new Greeted(parts[0], parts[1], parts[2], formality);
    }

    private static String greeting(String language, String people) {
        List<Greeted> all =
                Arrays.stream(people.split(" & ")).map(SalutationsTest::person).toList();
        return RULES.of(language.equals("en") ? Locale.UK : Locale.of(language), all)
                .orElse("—");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en | Ms/Ines/Okafor-Brandt                    | Dear Ines",
                "en | Ms/INES/Okafor-Brandt                    | Dear Ines",
                "en | Ms/Ines/OKAFOR-BRANDT/FORMAL             | Dear Ms Okafor-Brandt",
                "en | ms /Ines/Okafor/FORMAL                   | Dear ms Okafor",
                "en | /Ines/Okafor/FORMAL                      | Dear Ines Okafor",
                "en | Captain/Ines/Okafor/FORMAL               | Dear Ines Okafor",
                "en | //Okafor/FORMAL                          | Good day",
                "en | Dr//Okafor                               | Dear Dr Okafor",
                "en | //Okafor                                 | Good day",
                "en | /Ines/Okafor & /Tobias/Lindqvist         | Dear Ines and Tobias",
                "en | /Ines/A & /Tobias/B & /Mara/C            | Dear Ines, Tobias and Mara",
                "en | Ms/Ines/Okafor/FORMAL & Mr/Tobias/Krantz | Dear Ms Okafor and Mr Krantz",
                "en | /Ines/Okafor & //Lindqvist               | Dear Ines",
                "en | //Okafor & //Lindqvist                   | Good day",
                "de | Frau/Ines/Kranz                          | Sehr geehrte Frau Kranz",
                "de | Frau/Ines/Kranz & Herr/Jens/Wolf         | Sehr geehrte Frau Kranz, sehr geehrter Herr Wolf",
                "de | /Ines/Kranz                              | Guten Tag",
                "de | Frau/Ines/Kranz/FAMILIAR                 | Hallo Ines",
                "de | Frau//Kranz/FAMILIAR                     | —",
                "fr | Mme/Ines/Kranz                           | —",
            })
    void greets(String language, String people, String expected) {
        assertThat(greeting(language, people)).isEqualTo(expected);
    }

    @Test
    void aNameIsNeverReadAsAField() {
        assertThat(greeting("en", "/{Person.Title}/Okafor")).isEqualTo("Dear {Person.Title}");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"{person.phone}", "{deal.name}", "{person.first_name", "{when person.title is filled}x{end}"})
    void refusesAddressesThatCantWork(String address) {
        assertThat(rule(Formality.FORMAL, "", "Dear", address).refusal()).isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "friend", "{person.first_name as name}", "{person.title else \"dear\"} {person.last_name}"})
    void acceptsAddressesThatWork(String address) {
        assertThat(rule(Formality.FORMAL, "", "Dear", address).refusal()).isEmpty();
    }
}
