package famulus.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.Famulus;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** The demo's company: all of it there, and the same to the byte for the same instant. */
class DemoDataTest {
    private static final List<String> TABLES = List.of(
            "colleague",
            "house",
            "field_definition",
            "organisation",
            "contact",
            "lead",
            "deal",
            "deal_contact",
            "deal_line",
            "document",
            "email_address",
            "field_value",
            "template",
            "picture",
            "outgoing_message",
            "history_entry");

    private static String data(JdbcTemplate sql) {
        StringBuilder all = new StringBuilder();
        for (String table : TABLES) {
            sql.queryForList("select * from " + table + " order by 1, 2, 3").forEach(row -> {
                row.replaceAll((column, value) -> value instanceof byte[] bytes
                        ? new String(bytes, java.nio.charset.StandardCharsets.UTF_8)
                        : value);
                all.append(table).append(row).append('\n');
            });
        }
        return all.toString();
    }

    private static ConfigurableApplicationContext start() {
        return SpringApplication.run(
                Famulus.class,
                "--server.port=0",
                "--famulus.demo=true",
                "--famulus.data=memory",
                "--famulus.public-address=http://localhost:8080",
                "--famulus.now=2026-05-04T09:00:00Z");
    }

    @Test
    void isWholeAndAlwaysTheSame() {
        String first;
        try (ConfigurableApplicationContext context = start()) {
            JdbcTemplate sql = context.getBean(JdbcTemplate.class);
            first = data(sql);
            assertThat(count(sql, "contact")).isEqualTo(240);
            assertThat(count(sql, "lead")).isEqualTo(110);
            assertThat(count(sql, "deal")).isEqualTo(140);
            assertThat(count(sql, "organisation")).isEqualTo(70);
            assertThat(count(sql, "template where kind = 'TEMPLATE'")).isEqualTo(20);
            assertThat(count(sql, "template where kind = 'PASSAGE'")).isEqualTo(2);
            assertThat(count(sql, "template where kind = 'SIGNATURE'")).isEqualTo(1);
            assertThat(sql.queryForList("select name from template where ready_version is null", String.class))
                    .as("the one with a slip in it is not given to others")
                    .containsExactly("Pick-up");
            assertThat(count(sql, "outgoing_message")).isGreaterThan(100);
            assertThat(count(sql, "deal where not exists (select 1 from deal_contact c where c.deal_id = deal.id)"))
                    .isPositive();
            assertThat(count(sql, "contact where first_name is null")).isPositive();
            assertThat(count(sql, "delivery_event where kind = 'CLICKED'")).isPositive();
            assertThat(count(sql, "reader_choice")).isOne();
            assertThat(count(sql, "email_address where address not like '%.example'"))
                    .isZero();
        }
        try (ConfigurableApplicationContext context = start()) {
            assertThat(data(context.getBean(JdbcTemplate.class))).isEqualTo(first);
        }
    }

    private static int count(JdbcTemplate sql, String from) {
        return sql.queryForObject("select count(*) from " + from, Integer.class);
    }
}
