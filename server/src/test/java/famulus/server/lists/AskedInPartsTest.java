package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.condition.ConditionParser;
import famulus.core.field.About;
import famulus.server.ServerTest;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** However many ask, together they ask of each record once. */
class AskedInPartsTest extends ServerTest {
    private static final int MANY = 100_000;

    @Autowired
    private AskedInParts inParts;

    @Autowired
    private CompiledConditions compiled;

    @Autowired
    private CatalogueService catalogue;

    @BeforeEach
    void someOfEverything() throws Exception {
        for (int i = 0; i < 23; i++) {
            contact(i % 3 == 0 ? "Ines" : "Tobias", "No" + i, "reader" + i + "@larkfield.example");
            add("organisation", Map.of("name", "Farm " + i, "town", i % 2 == 0 ? "Wrenhill" : "Larkfield"));
            add("deal", Map.of("name", "Deal " + i, "stage", i % 4 == 0 ? "won" : "quoted"));
            add("lead", Map.of("last_name", i % 5 == 0 ? "Gale" : "Wren", "company", "Farm " + i));
        }
    }

    private void add(String kind, Map<String, String> values) throws Exception {
        assertThat(done("POST", "/api/records/" + kind, Map.of("values", values, "email", ""), signe)
                        .has("code"))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    CONTACT      | contact.first_name is "Ines"                                      | 8
                    CONTACT      | contact.first_name is "Ines" or contact.last_name is "No1"        | 9
                    CONTACT      | not (organisation.name is filled)                                  | 23
                    LEAD         | lead.last_name is "Gale"                                          | 5
                    ORGANISATION | organisation.town is "Wrenhill" or organisation.name is "Farm 1"  | 13
                    DEAL         | deal.name starts with "Deal 1"                                    | 11
                    """)
    void eachIsCountedOnce(CrmKind kind, String written, int expected) throws Exception {
        RecordScope scope = new RecordScope(kind);
        AskedRecords asked = AskedRecords.listed(
                scope, catalogue.catalogue(), catalogue.fields(), path -> Optional.empty(), Portion.ALL);
        check(asked, written, expected);
    }

    @ParameterizedTest
    @CsvSource({"CONTACT, CONTACT, 23", "LEAD, LEAD, 23", "PERSON, LEAD, 23"})
    void soAreThoseATemplateCouldGoTo(About about, CrmKind kind, int expected) throws Exception {
        AskedRecords asked = new AskedRecords(
                about, kind, catalogue.catalogue(), catalogue.fields(), path -> Optional.empty(), Portion.ALL);
        check(asked, "person.last_name is filled", expected);
    }

    private void check(AskedRecords asked, String written, int expected) throws Exception {
        Sql where = compiled.of(ConditionParser.parse(written), asked).orElseThrow();
        for (int parts = 1; parts <= 5; parts++) {
            assertThat(inParts.count(asked, where, MANY, parts)).as(written).isEqualTo(expected);
            assertThat(inParts.gather(asked, where, MANY, 100, parts))
                    .as(written)
                    .hasSize(expected);
            assertThat(inParts.gather(asked, where, MANY, 3, parts)).as(written).hasSizeGreaterThanOrEqualTo(3);
        }
        assertThat(inParts.count(asked, where, 23)).isEqualTo(expected);
        assertThat(inParts.gather(asked, where, 23, 100)).hasSize(expected);
    }
}
