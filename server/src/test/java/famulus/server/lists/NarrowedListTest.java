package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.lists.RecordFilterService.Filtered;
import famulus.server.records.CrmKind;
import famulus.server.records.Narrowing;
import famulus.server.records.RecordListService;
import famulus.server.records.RecordListService.LedgerPart;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Lists by a condition, for every kind of record. */
class NarrowedListTest extends ServerTest {
    @Autowired
    private RecordFilterService filters;

    @Autowired
    private ConditionService conditions;

    @Autowired
    private RecordListService ledgers;

    private UUID larkfield;
    private UUID opened;

    private UUID made(String kind, Map<String, String> values) throws Exception {
        JsonNode made = done("POST", "/api/records/" + kind, Map.of("values", values, "email", ""), signe);
        return UUID.fromString(made.get("id").asString());
    }

    @BeforeEach
    void makeRecords() throws Exception {
        larkfield = made("organisation", Map.of("name", "Larkfield", "town", "Wells", "owner", id(signe)));
        UUID wren = made("organisation", Map.of("name", "Wrenhill", "town", "Frome"));
        UUID ines = contact("Ines", "Okafor", "ines@larkfield.example");
        change(ines, "organisation", larkfield.toString());
        change(ines, "owner", id(signe));
        change(ines, "job_title", "Grower");
        UUID tobias = contact("Tobias", "Larkin", "tobias@wrenhill.example");
        change(tobias, "organisation", wren.toString());
        change(tobias, "owner", id(dov));
        contact("Priya", "Ivory", "priya@larkfield.example");
        made("lead", Map.of("first_name", "Leo", "last_name", "Gosling", "company", "Gosling & Sons"));
        opened =
                made("deal", Map.of("name", "Autumn order", "organisation", larkfield.toString(), "value", "1200 GBP"));
        done(
                "PUT",
                "/api/records/deal/" + opened + "/contacts/" + ines,
                Map.of("role", "decides", "main", true),
                signe);
        made("deal", Map.of("name", "Small order", "organisation", wren.toString(), "value", "80 GBP"));
    }

    private static String id(Colleague colleague) {
        return colleague.id().toString();
    }

    private JsonNode narrowed(String kind, String where, String search, Colleague asking) throws Exception {
        return json.readTree(mvc.perform(request("GET", "/api/lists/records/" + kind, null, asking)
                        .param("where", where)
                        .param("search", search))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    private List<String> names(String kind, String where) throws Exception {
        return names(narrowed(kind, where, "", signe));
    }

    private static List<String> names(JsonNode narrowed) {
        List<String> names = new ArrayList<>();
        narrowed.at("/window/lines")
                .forEach(line -> names.add(line.at("/cells/0").asString()));
        return names;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    contact      | contact.job_title is "grower"               | Ines Okafor
                    contact      | person.email contains "larkfield"           | Priya Ivory, Ines Okafor
                    contact      | organisation.town is "Frome"                | Tobias Larkin
                    contact      | deal.value is more than 100                 | Ines Okafor
                    contact      | not (organisation.name is filled)           | Priya Ivory
                    contact      | owner.full_name is sender.full_name         | Ines Okafor
                    lead         | lead.company contains "sons"                | Leo Gosling
                    deal         | deal.value is less than 100                 | Small order
                    deal         | person.first_name is "Ines"                 | Autumn order
                    deal         | person.first_name is empty                  | Small order
                    deal         | organisation.town is "wells"                | Autumn order
                    organisation | organisation.town is "wells"                | Larkfield
                    organisation | organisation.owner.full_name is sender.full_name | Larkfield
                    organisation | organisation.name is filled                 | Larkfield, Wrenhill
                    """)
    void aListShowsWhatAConditionHoldsFor(String kind, String where, String expected) throws Exception {
        JsonNode narrowed = narrowed(kind, where, "", signe);

        assertThat(names(narrowed)).containsExactly(expected.split(", "));
        assertThat(narrowed.at("/window/total").asInt()).isEqualTo(expected.split(", ").length);
        assertThat(narrowed.at("/error").asInt()).isZero();
        JsonNode read = done("POST", "/api/lists/condition", condition(kind, where), signe);
        assertThat(read.get("holds").asInt()).isEqualTo(expected.split(", ").length);
        assertThat(read.get("problems")).isEmpty();
        byte[] counted = mvc.perform(request("GET", "/api/lists/records/" + kind + "/count", null, signe)
                        .param("where", where))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        assertThat(json.readTree(counted).get("number").asInt()).isEqualTo(expected.split(", ").length);
    }

    private static Map<String, Object> condition(String kind, String written) {
        Map<String, Object> condition = new HashMap<>(Map.of("kind", kind, "written", written));
        condition.put("condition", null);
        return condition;
    }

    @Test
    void wordsAndAConditionNarrowTogether() throws Exception {
        assertThat(names(narrowed("contact", "person.email contains \"larkfield\"", "pri", signe)))
                .containsExactly("Priya Ivory");
        assertThat(names(narrowed("contact", "organisation.town is \"Frome\"", "pri", signe)))
                .isEmpty();
    }

    /** What is narrowed, as if it were too much to be gathered. */
    private record TooMany(Filtered filtered) implements Narrowing {
        @Override
        public Statement statement() {
            return filtered.statement();
        }

        @Override
        public Optional<Set<UUID>> gathered(int most) {
            return Optional.empty();
        }

        @Override
        public Set<UUID> among(Collection<UUID> records) {
            return filtered.among(records);
        }

        @Override
        public int number() {
            return filtered.number();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    CONTACT      | person.email contains "larkfield" and deal.name is empty | Priya Ivory
                    CONTACT      | history.last_written is empty               | Priya Ivory, Tobias Larkin, Ines Okafor
                    LEAD         | lead.company contains "sons"                | Leo Gosling
                    DEAL         | organisation.town is "wells"                | Autumn order
                    ORGANISATION | organisation.owner.full_name is "Signe Tester" | Larkfield
                    """)
    void whatFitsVeryManyIsAskedInTheOrderOfTheList(String kind, String where, String expected) {
        CrmKind of = CrmKind.valueOf(kind);
        RecordScope scope = new RecordScope(of);
        Narrowing many = new TooMany(filters.filtered(scope, conditions.sound(scope, where, signe), signe));

        for (boolean descending : new boolean[] {false, true}) {
            List<String> wanted = new ArrayList<>(List.of(expected.split(", ")));
            LedgerPart part = new LedgerPart("", "name", descending, 0, 50);
            List<String> names = ledgers.lines(of, part, many, signe).lines().stream()
                    .map(line -> line.cells().getFirst())
                    .toList();
            assertThat(names).containsExactlyElementsOf(descending ? wanted.reversed() : wanted);
        }
    }

    @Test
    void whatWasWorkedOutForEachIsShownInTheOrderOfTheListToo() {
        RecordScope scope = new RecordScope(CrmKind.CONTACT);
        String greeted = "person.greeting contains \"Ines\" or person.greeting contains \"Priya\"";
        Filtered worked = filters.filtered(scope, conditions.sound(scope, greeted, signe), signe);
        String nobody = "person.greeting contains \"Zoe\"";
        Filtered none = filters.filtered(scope, conditions.sound(scope, nobody, signe), signe);
        LedgerPart part = new LedgerPart("", "name", false, 0, 50);

        assertThat(ledgers.lines(CrmKind.CONTACT, part, new TooMany(worked), signe)
                        .lines())
                .extracting(line -> line.cells().getFirst())
                .containsExactly("Priya Ivory", "Ines Okafor");
        assertThat(ledgers.lines(CrmKind.CONTACT, part, new TooMany(none), signe)
                        .lines())
                .isEmpty();
    }

    @Test
    void whatIsMineDependsOnWhoLooks() throws Exception {
        String mine = "owner.full_name is sender.full_name";
        assertThat(names(narrowed("contact", mine, "", signe))).containsExactly("Ines Okafor");
        assertThat(names(narrowed("contact", mine, "", dov))).containsExactly("Tobias Larkin");
    }

    @Test
    void whatSqlCantSayIsWorkedOutForEachPerson() throws Exception {
        assertThat(names("contact", "history.last_written is before today minus 3 working days"))
                .isEmpty();
        assertThat(names("contact", "person.greeting is filled")).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    organisation | contact.job_title is filled          | A list of organisations has no contact
                    contact      | contact.hectares is filled           | There is no field
                    contact      | contact.job_title is within 3 days   | can't be compared
                    contact      | contact.job_title                    | .
                    deal         | deal.closes_on is after today plus 3 working days | can’t be asked of deals
                    """)
    void whatCantBeAskedIsSaidAtThePlace(String kind, String where, String said) throws Exception {
        JsonNode refused = narrowed(kind, where, "", signe);

        assertThat(refused.at("/fields/condition").asString()).contains(said);
    }

    @Test
    void aConditionMayNotBeTooLong() throws Exception {
        String endless = "contact.job_title is \"" + "x".repeat(10_001) + "\"";
        assertThat(done("POST", "/api/lists/condition", condition("contact", endless), signe)
                        .at("/fields/condition")
                        .asString())
                .isEqualTo("This condition is too long.");
    }

    @Test
    void onlyFieldsThatCanBeAskedAreOffered() throws Exception {
        List<String> paths = new ArrayList<>();
        done("GET", "/api/lists/fields/organisation", null, signe)
                .forEach(field -> paths.add(field.get("path").asString()));
        assertThat(paths)
                .contains("organisation.town", "organisation.owner.full_name", "today")
                .doesNotContain("contact.job_title", "person.email");
        paths.clear();
        done("GET", "/api/lists/fields/contact", null, signe)
                .forEach(field -> paths.add(field.get("path").asString()));
        assertThat(paths)
                .contains("contact.job_title", "history.replied", "deal.value")
                .doesNotContain("person.greeting", "message.sent_date");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    contact      | owner.full_name is sender.full_name | Owner’s full name is My full name
                    contact      | contact.job_title is filled and deal.value is more than 5 | Job title is filled and Deal’s value is more than 5
                    deal         | person.first_name is filled         | Main contact’s first name is filled
                    deal         | deal.value is more than 5           | Value is more than 5
                    lead         | history.replied is yes              | Has replied is yes
                    organisation | organisation.owner.first_name is "Signe" | Owner’s first name is Signe
                    """)
    void whatIsNotTheRecordsOwnSaysWhoseItIs(String kind, String where, String sentence) throws Exception {
        assertThat(done("POST", "/api/lists/condition", condition(kind, where), signe)
                        .get("sentence")
                        .asString())
                .isEqualTo(sentence);
    }

    @Test
    void eachSeesTheColumnsTheyHaveChosen() throws Exception {
        done("PUT", "/api/records/contact/columns", List.of("email", "first_name", "owner"), signe);

        JsonNode mine = narrowed("contact", "contact.job_title is filled", "", signe);
        assertThat(mine.at("/window/columns").valueStream().map(one -> one.get("label")
                        .asString()))
                .containsExactly("Name", "E-mail", "First name", "Owner");
        assertThat(mine.at("/window/lines/0/cells").valueStream().map(JsonNode::asString))
                .containsExactly("Ines Okafor", "ines@larkfield.example", "Ines", "Signe");
        assertThat(narrowed("contact", "", "", dov).at("/window/columns")).hasSize(5);

        assertThat(done("PUT", "/api/records/contact/columns", List.of("nothing"), signe)
                        .at("/fields/columns")
                        .asString())
                .startsWith("A column is missing.");
        done("PUT", "/api/records/contact/columns", List.of(), signe);
        assertThat(narrowed("contact", "", "", signe).at("/window/columns")).hasSize(5);
    }
}
