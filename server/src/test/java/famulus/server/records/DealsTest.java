package famulus.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What belongs to a deal: its lines and their sums, documents, and those it is agreed with. */
class DealsTest extends ServerTest {
    private String deal;

    @BeforeEach
    void aDeal() throws Exception {
        deal = "/api/records/deal/" + add(Map.of("name", "East", "stage", "won"));
    }

    private String add(Map<String, String> values) throws Exception {
        return done("POST", "/api/records/deal", Map.of("values", values, "email", ""), signe)
                .get("id")
                .asString();
    }

    private static Map<String, Object> line(String description, Object quantity, Object price) {
        Map<String, Object> line = new HashMap<>();
        line.put("description", description);
        line.put("quantity", quantity);
        line.put("unit", "hours");
        line.put("price", price);
        return line;
    }

    private JsonNode lines(Object lines) throws Exception {
        return done("PUT", deal + "/lines", lines, signe);
    }

    private List<String> descriptions() throws Exception {
        return done("GET", deal, null, signe)
                .get("lines")
                .valueStream()
                .map(one -> one.get("description").asString())
                .toList();
    }

    @Test
    void linesTakeThePlaceOfThoseBeforeInTheOrderTheyAreGiven() throws Exception {
        lines(List.of(line("West", 1, 10), line("East", 2, 10)));
        assertThat(descriptions()).containsExactly("West", "East");
        lines(List.of(line("North", 1, 10)));
        assertThat(descriptions()).containsExactly("North");
        assertThat(lines(List.of()).get("linesTotal").asString()).isEmpty();
    }

    @Test
    void discountAndTaxAreReckonedLineByLineInTheCurrencyOfTheDeal() throws Exception {
        String inFrancs = add(Map.of("name", "Vaud", "stage", "won", "value", "5000 CHF"));
        Map<String, Object> line = line("Vaud", "3.5", "49.40");
        line.put("discount", 7.5);
        line.put("tax", 8.1);

        JsonNode page = done("PUT", "/api/records/deal/" + inFrancs + "/lines", List.of(line), signe);

        // 3.5 × 49.40 = 172.90; less 7.5 % of it, rounded to 12.97; and 8.1 % of what is left, rounded to 12.95.
        assertThat(page.get("linesTotal").asString()).contains("159.93").contains("CHF");
        assertThat(page.get("linesWithTax").asString()).contains("172.88");
    }

    @ParameterizedTest
    @CsvSource({
        "quantity, 0, a number such as",
        "quantity, -2, a number such as",
        "quantity, 10000000, a number such as",
        "quantity, 1.0005, a number such as",
        "price, -1, an amount such as",
        "price, 1.005, an amount such as",
        "price, 2147483647, an amount such as",
        "price, 1E+9, an amount such as",
        "discount, 101, from 0 to 100",
        "discount, -0.5, from 0 to 100",
        "tax, 8.125, from 0 to 100",
    })
    void aLineThatCannotBeIsRefusedAtItsPlaceAndNothingChanges(String what, double value, String sentence)
            throws Exception {
        lines(List.of(line("West", 1, 10)));
        Map<String, Object> wrong = line("East", 2, 10);
        wrong.put(what, value);

        JsonNode answer = lines(List.of(line("North", 1, 10), wrong));

        assertThat(answer.get("fields").propertyNames()).containsExactly("lines.1." + what);
        assertThat(answer.get("fields").get("lines.1." + what).asString()).contains(sentence);
        assertThat(descriptions()).containsExactly("West");
    }

    @Test
    void aLineWithoutAPriceOrDescriptionIsRefusedAndSoAreTooManyLines() throws Exception {
        assertThat(lines(List.of(Map.of("quantity", 1))).get("fields").propertyNames())
                .containsExactlyInAnyOrder("0.description", "0.price");
        assertThat(lines(List.of(line(" ", 1, 1))).get("fields").propertyNames())
                .containsExactly("lines.0.description");
        assertThat(lines(many(5_001)).get("fields").propertyNames()).containsExactly("lines");
        assertThat(descriptions()).isEmpty();
    }

    private static List<Object> many(int number) {
        List<Object> many = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            many.add(line("Row " + i, 1, 1));
        }
        return many;
    }

    /** The page shows the first of them, says how many more there are, and adds up all. */
    @Test
    void aDealWithVeryManyLinesOpensWithTheFirstOfThem() throws Exception {
        JsonNode page = lines(many(5_000));

        assertThat(page.get("lines")).hasSize(100);
        assertThat(page.get("moreLines").asInt()).isEqualTo(4_900);
        assertThat(page.get("linesTotal").asString()).isEqualTo("£5,000.00");
        assertThat(done("GET", deal + "/lines", null, signe)).hasSize(5_000);
    }

    @ParameterizedTest
    @ValueSource(strings = {"[null]", "null", "{}", "[[]]", "[{\"quantity\":\"many\"}]"})
    void whatIsNoListOfLinesIsRefusedInWords(String body) throws Exception {
        JsonNode answer = lines(json.readTree(body));
        assertThat(answer.get("status").asInt()).as(answer.toString()).isBetween(400, 422);
        assertThat(answer.get("detail").asString()).isNotBlank();
        assertThat(descriptions()).isEmpty();
    }

    @Test
    void aDocumentKeepsSinceWhenItStandsWhereItStands() throws Exception {
        Map<String, String> sent =
                Map.of("name", "Quote", "link", "https://docs.brindlewing.example/1", "state", "SENT");
        String quote = deal + "/documents/"
                + done("POST", deal + "/documents", sent, signe).get("id").asString();
        clock.forward(Duration.ofDays(3));

        done("PUT", quote, Map.of("name", "Quote 2", "link", "", "state", "SENT"), signe);
        assertThat(document().get("since").asString()).isEqualTo("4 May 2026");
        assertThat(document().get("name").asString()).isEqualTo("Quote 2");
        done("PUT", quote, Map.of("name", "Quote 2", "link", "", "state", "SIGNED"), signe);
        assertThat(document().get("since").asString()).isEqualTo("7 May 2026");

        String other = "/api/records/deal/" + add(Map.of("name", "West", "stage", "won"));
        String throughAnother = quote.replace(deal, other);
        assertThat(done("PUT", throughAnother, sent, signe).get("status").asInt())
                .isEqualTo(404);
        assertThat(done("DELETE", throughAnother, null, signe).get("status").asInt())
                .isEqualTo(404);
        done("DELETE", quote, null, signe);
        assertThat(done("GET", deal, null, signe).get("documents")).isEmpty();
    }

    private JsonNode document() throws Exception {
        return done("GET", deal, null, signe).get("documents").get(0);
    }

    @Test
    void oneOfThoseOnADealIsTheMainOne() throws Exception {
        UUID ines = contact("Ines", "Okafor", "");
        UUID tobias = contact("Tobias", "Wren", "");
        done("PUT", deal + "/contacts/" + ines, Map.of("role", "decides", "main", true), signe);
        done("PUT", deal + "/contacts/" + tobias, Map.of("role", "opens the gate", "main", true), signe);

        assertThat(mains()).containsExactly(tobias);
        done("PUT", deal + "/contacts/" + tobias, Map.of("role", "signs", "main", false), signe);
        assertThat(mains()).isEmpty();
        assertThat(done("PUT", deal + "/contacts/" + ines, Map.of("role", "", "main", true), signe)
                        .get("fields")
                        .propertyNames())
                .containsExactly("role");
        assertThat(done("PUT", deal + "/contacts/" + UUID.randomUUID(), Map.of("role", "x", "main", true), signe)
                        .get("status")
                        .asInt())
                .isEqualTo(404);

        done("DELETE", deal + "/contacts/" + ines, null, signe);
        assertThat(done("DELETE", deal + "/contacts/" + ines, null, signe)
                        .get("status")
                        .asInt())
                .isEqualTo(404);
        assertThat(sql.queryForList("select contact_id from deal_contact", UUID.class))
                .containsExactly(tobias);
    }

    private List<UUID> mains() {
        return sql.queryForList("select contact_id from deal_contact where is_main", UUID.class);
    }
}
