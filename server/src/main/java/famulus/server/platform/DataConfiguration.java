package famulus.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The database: H2 in a file of the data folder, or in memory. */
@Configuration
class DataConfiguration {
    private static final int CONNECTIONS = 8;
    /** Each connection keeps the statements it has read; a proof takes a dozen, and reading one takes as long as doing it. */
    private static final String KEPT_STATEMENTS = ";QUERY_CACHE_SIZE=200";

    @Bean
    DataSource dataSource(FamulusProperties properties) {
        HikariConfig pool = new HikariConfig();
        pool.setJdbcUrl((properties.data().equals("memory")
                        ? "jdbc:h2:mem:" + Integer.toHexString(System.identityHashCode(pool)) + ";DB_CLOSE_DELAY=-1"
                        : "jdbc:h2:file:"
                                + Path.of(properties.data(), "famulus").toAbsolutePath())
                + KEPT_STATEMENTS);
        pool.setUsername("famulus");
        pool.setPassword("");
        pool.setMaximumPoolSize(CONNECTIONS);
        return new HikariDataSource(pool);
    }
}
