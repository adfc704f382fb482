package famulus.server.desk;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class DeskTest extends ServerTest {
    @Test
    void saysHowLongTheSubjectGetsForWhoeverHasTheLongestName() throws Exception {
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        String subject = "{person.first_name}, is the week after next a good one for you?";
        assertThat(proof(ines, subject, "Hello {person.first_name}").get("notes"))
                .isEmpty();

        UUID somebody = contact("Maximiliane Wilhelmine", "Brandt", "max@larkfield.example");
        assertThat(proof(ines, subject, "Hello {person.first_name}")
                        .at("/notes/0/title")
                        .asString())
                .isEqualTo("The subject is 66 characters long where First name is “Maximiliane Wilhelmine”");

        change(somebody, "first_name", "Max");
        assertThat(proof(ines, subject, "Hello {person.first_name}").get("notes"))
                .isEmpty();
    }

    @Test
    void mergesForThePersonAndTheSender() throws Exception {
        UUID ines = contact("INES", "Okafor", "ines@larkfield.example");

        JsonNode proof = proof(
                ines,
                "For {person.first_name as name}",
                "On {today as long date}: {sender.first_name}, {our.name}, {person.email}");

        assertThat(text(proof.get("subject"))).isEqualTo("For Ines");
        assertThat(text(proof.get("body"))).isEqualTo("On 4 May 2026: Signe, Brindlewing, ines@larkfield.example");
        assertThat(proof.get("notes")).isEmpty();
    }

    @Test
    void putsEachNoteAtItsPlace() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");

        JsonNode notes = proof(ines, "", "Dear {person.title} {person.frist_name},\n{oops")
                .get("notes");

        assertThat(notes.valueStream().map(note -> note.get("code").asString()))
                .containsExactly("no-subject", "gap", "field-unknown", "field-broken");
        assertThat(notes.get(2).get("nearest").get(0).asString()).isEqualTo("person.first_name");
        assertThat(notes.get(1).get("start").asInt()).isEqualTo(5);
    }

    @Test
    void marksTheFieldsOfTheDraft() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");

        JsonNode chip = proof(ines, "{person.title else \"Dear\"}", "x")
                .get("subject")
                .get("chips")
                .get(0);

        assertThat(chip.get("label").asString()).isEqualTo("Title");
        assertThat(chip.get("fallback").asString()).isEqualTo("Dear");
        assertThat(chip.get("source").asString()).isEqualTo("contact");
    }

    @Test
    void valuesAreNeverReadAsFields() throws Exception {
        UUID odd = contact("{sender.phone}<b>", "Okafor", "");

        assertThat(text(proof(odd, "{person.first_name}", "x").get("subject"))).isEqualTo("{sender.phone}<b>");
    }

    @Test
    void stepsThroughThePeopleInOrderAndAround() throws Exception {
        UUID a = contact("A", "Ashdown", "");
        UUID b = contact("B", "Birnstiel", "");

        String step = "/api/desk/people/step?about=CONTACT";
        assertThat(stepped(step)).isEqualTo(a);
        assertThat(stepped(step + "&from=" + a)).isEqualTo(b);
        assertThat(stepped(step + "&from=" + b)).isEqualTo(a);
        assertThat(stepped(step + "&forward=false&from=" + a)).isEqualTo(b);
        assertThat(done("GET", "/api/desk/people?about=PERSON&search=birn", null, signe))
                .hasSize(1);
    }

    private UUID stepped(String path) throws Exception {
        return UUID.fromString(
                done("GET", path, null, signe).get("person").get("id").asString());
    }

    @Test
    void somebodyMadeUpStandsInWhenThereIsNobody() throws Exception {
        JsonNode stepped = done("GET", "/api/desk/people/step?about=DEAL", null, signe);
        assertThat(stepped.get("total").asInt()).isZero();
        assertThat(stepped.get("person").get("name").asString()).isEqualTo("Robin Sample");
    }

    @Test
    void offersFieldsWithWhatThePersonHas() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");

        JsonNode fields = done("GET", "/api/desk/fields?about=CONTACT&kind=contact&id=" + ines, null, signe);

        JsonNode first = fields.valueStream()
                .filter(field -> field.get("path").asString().equals("person.first_name"))
                .findFirst()
                .orElseThrow();
        assertThat(first.get("value").asString()).isEqualTo("Ines");
    }

    @Test
    void writesAFieldFromItsTerms() throws Exception {
        List<Map<String, String>> terms = List.of(
                Map.of("kind", "field", "value", "deal.value", "format", "whole money"),
                Map.of("kind", "text", "value", "a \"lot\" {of} it", "format", ""));

        JsonNode made =
                done("POST", "/api/desk/written", Map.of("about", "DEAL", "kind", "contact", "terms", terms), signe);

        assertThat(made.get("written").asString())
                .isEqualTo("{deal.value as whole money else \"a \\\"lot\\\" \\{of\\} it\"}");
        JsonNode wrong = done(
                "POST",
                "/api/desk/written",
                Map.of(
                        "about",
                        "DEAL",
                        "kind",
                        "contact",
                        "terms",
                        List.of(Map.of("kind", "field", "value", "a} {b", "format", ""))),
                signe);
        assertThat(wrong.get("code").asString()).isEqualTo("fields");
    }
}
