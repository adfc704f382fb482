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

    @Bean
    DataSource dataSource(FamulusProperties properties) {
        HikariConfig pool = new HikariConfig();
        pool.setJdbcUrl(
                properties.data().equals("memory")
                        ? "jdbc:h2:mem:" + Integer.toHexString(System.identityHashCode(pool)) + ";DB_CLOSE_DELAY=-1"
                        : "jdbc:h2:file:"
                                + Path.of(properties.data(), "famulus").toAbsolutePath());
        pool.setUsername("famulus");
        pool.setPassword("");
        pool.setMaximumPoolSize(CONNECTIONS);
        return new HikariDataSource(pool);
    }
}
