package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.ServerTest;
import famulus.server.records.RecordService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Of very many records the few that fit are not waited for: how many they may be is said first, then they are found. */
class SoughtListTest extends ServerTest {
    private static final int MANY = Sampling.FEW + 200;

    @Autowired
    private RecordService records;

    @BeforeEach
    void veryMany() {
        sql.update(
                """
                insert into contact (id, first_name, last_name, job_title, created_at, version)
                select random_uuid(), 'Ines', 'No' || x, case when x in (5, 5000) then 'keeper' else 'grower' end,
                       timestamp with time zone '2026-05-01 09:00:00Z', 1
                from system_range(1, ?)
                """,
                MANY);
        records.listAll();
    }

    private JsonNode lines(String where, boolean soon) throws Exception {
        return json.readTree(mvc.perform(request("GET", "/api/lists/records/contact", null, signe)
                        .param("where", where)
                        .param("soon", String.valueOf(soon))
                        .param("most", "50"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    @Test
    void howManyTheyMayBeComesBeforeTheyAreFound() throws Exception {
        String keepers = "contact.job_title is \"keeper\"";

        JsonNode soon = lines(keepers, true);
        assertThat(soon.get("sought").asBoolean()).isTrue();
        assertThat(soon.at("/window/lines")).isEmpty();
        assertThat(soon.at("/window/columns")).isNotEmpty();
        assertThat(soon.at("/window/total").asInt() + soon.get("error").asInt()).isBetween(2, 200);

        JsonNode found = lines(keepers, false);
        assertThat(found.get("sought").asBoolean()).isFalse();
        assertThat(found.get("error").asInt()).isZero();
        assertThat(found.at("/window/total").asInt()).isEqualTo(2);
        assertThat(found.at("/window/lines")).hasSize(2);
    }

    @Test
    void whatFitsManyIsThereAtOnce() throws Exception {
        JsonNode many = lines("contact.job_title is \"grower\"", true);

        assertThat(many.get("sought").asBoolean()).isFalse();
        assertThat(many.at("/window/lines")).hasSize(50);
        assertThat(many.at("/window/total").asInt()).isBetween(MANY - 100, MANY);
    }

    @Test
    void nobodyIsFoundWhereNobodyFits() throws Exception {
        String nobody = "contact.job_title is \"pilot\"";

        assertThat(lines(nobody, true).get("sought").asBoolean()).isTrue();
        assertThat(lines(nobody, false).at("/window/total").asInt()).isZero();
    }
}
