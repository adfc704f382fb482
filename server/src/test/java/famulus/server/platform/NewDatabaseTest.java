package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.zaxxer.hikari.HikariDataSource;
import famulus.server.Famulus;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.Collections;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** A database that was made by this very process. */
class NewDatabaseTest {
    @TempDir
    private Path folder;

    private static List<String> sessions(JdbcTemplate sql) {
        return sql.queryForList(
                "select session_id || ' ' || session_start from information_schema.sessions", String.class);
    }

    /** The pool closes each connection after half an hour, those that made the tables too. */
    @Test
    void outlivesTheConnectionsThatMadeIt() throws Exception {
        try (ConfigurableApplicationContext context = SpringApplication.run(
                Famulus.class, "--server.port=0", "--famulus.data=" + folder, "--famulus.demo=false")) {
            HikariDataSource pool = context.getBean(DataSource.class).unwrap(HikariDataSource.class);
            JdbcTemplate sql = new JdbcTemplate(pool);
            List<String> before = sessions(sql);
            Connection held = pool.getConnection();
            pool.getHikariPoolMXBean().softEvictConnections();
            // One of the new ones is held before the last of the old is gone: with none at all H2 closes the file.
            try (Connection fresh = pool.getConnection()) {
                held.close();
                await().until(() -> Collections.disjoint(before, sessions(sql)));
                assertThat(fresh.isValid(1)).isTrue();
            }

            sql.update(
                    """
                    insert into colleague (id, email, first_name, last_name, role, active, created_at)
                    values (random_uuid(), 'wilma@ninefold.example', 'Wilma', 'Tallow', 'AGENT', true, current_timestamp)
                    """);

            assertThat(sql.queryForObject("select count(*) from colleague", Integer.class))
                    .isEqualTo(1);
        }
    }
}
