package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class RecordsTest extends ServerTest {
    private JsonNode change(UUID id, int version, String field, String value) throws Exception {
        return done(
                "PATCH",
                "/api/records/contact/" + id,
                Map.of("version", version, "values", Map.of(field, value)),
                signe);
    }

    private static String fact(JsonNode page, String name, String part) {
        for (JsonNode fact : page.get("facts")) {
            if (fact.get("name").asString().equals(name)) {
                return fact.get(part).asString();
            }
        }
        throw new AssertionError("There is no fact " + name);
    }

    @Test
    void keepsWhatIsTypedInOneForm() throws Exception {
        UUID id = contact("Ines", "Okafor-Brandt", "ines@larkfield.example");

        JsonNode page = change(id, 1, "phone", " 01632 960187 ");

        assertThat(fact(page, "phone", "stored")).isEqualTo("+441632960187");
        assertThat(fact(page, "phone", "shown")).isEqualTo("+44 1632 960187");
        assertThat(page.get("version").asInt()).isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource({
        "phone, not a number, is not a telephone number",
        "language, tlh, not among the choices",
        "last_name, '', can’t be empty",
        "first_name, 'two\nlines', one line only",
        "organisation, 00000000-0000-0000-0000-000000000001, from the list",
        "full_name, X, can't be changed",
        "no_such_field, X, can't be changed",
    })
    void refusesWhatAFieldCannotHold(String field, String value, String sentence) throws Exception {
        UUID id = contact("Ines", "Okafor-Brandt", "");

        JsonNode answer = change(id, 1, field, value);

        assertThat(answer.get("fields").get(field).asString()).contains(sentence);
        JsonNode page = done("GET", "/api/records/contact/" + id, null, signe);
        assertThat(page.get("version").asInt()).isEqualTo(1);
    }

    @Test
    void neverOverwritesUnseen() throws Exception {
        UUID id = contact("Ines", "Okafor-Brandt", "");
        change(id, 1, "title", "Dr");

        assertThat(change(id, 1, "title", "Ms").get("code").asString()).isEqualTo("changed-meanwhile");
    }

    @Test
    void refusesAddressesThatAreNone() throws Exception {
        UUID id = contact("Ines", "Okafor-Brandt", "ines@larkfield.example");

        JsonNode answer = done(
                "PUT",
                "/api/records/contact/" + id + "/addresses",
                List.of(
                        Map.of("address", "ines@larkfield.example", "label", ""),
                        Map.of("address", "ines at home", "label", "")),
                signe);

        assertThat(answer.get("fields").get("addresses.1").asString()).contains("is not an e-mail address");
    }

    @Test
    void listsSortAndFilter() throws Exception {
        contact("Ines", "Okafor", "ines@larkfield.example");
        contact("Tobias", "Wren", "tobias@larkfield.example");
        contact("100%", "Sure_thing", "");

        assertThat(names("?sort=name&descending=true"))
                .containsExactly("Tobias Wren", "100% Sure_thing", "Ines Okafor");
        assertThat(names("?search=okaf ines")).containsExactly("Ines Okafor");
        assertThat(names("?search=larkfield.example")).hasSize(2);
        assertThat(names("?search=100%")).containsExactly("100% Sure_thing");
        assertThat(names("?search=sure_th")).containsExactly("100% Sure_thing");
        assertThat(names("?search=%")).isEmpty();
        assertThat(names("?search=_")).isEmpty();
        assertThat(names("?search=  ")).hasSize(3);
        assertThat(names("?search=" + "x".repeat(1_000))).isEmpty();
        assertThat(names("?sort=nonsense; drop table contact")).hasSize(3);
    }

    private List<String> names(String query) throws Exception {
        JsonNode window = done("GET", "/api/records/contact" + query, null, signe);
        return window.get("lines")
                .valueStream()
                .map(line -> line.get("cells").get(0).asString())
                .toList();
    }

    @Test
    void everyKindHasAListAndEverySortWorks() throws Exception {
        for (CrmKind kind : CrmKind.values()) {
            for (ListColumns.Column column : ListColumns.of(kind).columns()) {
                JsonNode window =
                        done("GET", "/api/records/" + kind.word() + "?search=x&sort=" + column.name(), null, signe);
                assertThat(window.get("total").asInt())
                        .as("%s by %s", kind, column.name())
                        .isZero();
            }
        }
    }

    @Test
    void notesWhatWasSaidAndTakesItBack() throws Exception {
        UUID id = contact("Ines", "Okafor", "");
        JsonNode made = done(
                "POST",
                "/api/records/contact/" + id + "/history",
                Map.of("kind", "CALL", "minutes", 12, "words", "Wants an early slot."),
                signe);

        JsonNode said = done("GET", "/api/records/contact/" + id, null, signe).get("said");
        assertThat(said.get(0).get("words").asString()).isEqualTo("Wants an early slot.");

        String entry = "/api/records/history/" + made.get("id").asString();
        assertThat(done("DELETE", entry, null, dov).get("code").asString()).isEqualTo("forbidden");
        done("DELETE", entry, null, signe);
        assertThat(done("GET", "/api/records/contact/" + id, null, signe).get("said"))
                .isEmpty();
    }

    @Test
    void aDealHasLinesContactsAndDocuments() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        JsonNode made = done(
                "POST",
                "/api/records/deal",
                Map.of("values", Map.of("name", "East", "stage", "won"), "email", ""),
                signe);
        String deal = "/api/records/deal/" + made.get("id").asString();

        done("PUT", deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        done("POST", deal + "/documents", Map.of("name", "Quote", "link", "", "state", "SENT"), signe);
        JsonNode page = done(
                "PUT",
                deal + "/lines",
                List.of(Map.of("description", "East", "quantity", 48, "unit", "hours", "price", 200)),
                signe);

        assertThat(page.get("linesTotal").asString()).isEqualTo("£9,600.00");
        assertThat(page.get("related").get(0).get("lines").get(0).get("name").asString())
                .isEqualTo("Ines Okafor");
        assertThat(page.get("documents").get(0).get("since").asString()).isEqualTo("4 May 2026");

        JsonNode wrong =
                done("PUT", deal + "/lines", List.of(Map.of("description", "", "quantity", 0, "price", -1)), signe);
        assertThat(wrong.get("fields").propertyNames())
                .contains("lines.0.description", "lines.0.quantity", "lines.0.price");
        JsonNode link = done(
                "POST",
                deal + "/documents",
                Map.of("name", "Q", "link", "javascript:alert(1)", "state", "SENT"),
                signe);
        assertThat(link.get("fields").get("link").asString()).contains("is not an address");
    }
}
