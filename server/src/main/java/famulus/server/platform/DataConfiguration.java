package famulus.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The database: H2 in a file of the data folder, or in memory. */
@Configuration
class DataConfiguration {
    private static final int CONNECTIONS = 8;
    /** Each connection keeps the statements it has read; a proof takes a dozen, and reading one takes as long as doing it. */
    private static final String KEPT_STATEMENTS = ";QUERY_CACHE_SIZE=200";

    /**
     * No statement may run on for ever; what would is refused in words. How long one may is said once for each connection, in
     * milliseconds: H2 forgets all kept statements of all connections whenever a limit is set, as JDBC does for single
     * statements.
     */
    private static final String LIMIT = ";QUERY_TIMEOUT=";

    /**
     * A commit is in the file before it returns, so that a killed process loses nothing of it. A thread that is
     * interrupted while it reads or writes does not close the file for all others ({@code retry:}). The application
     * closes the database itself once everything that uses it has stopped: closed by H2's own shutdown hook, it would be
     * gone while answers of the mail server are still to be written down. What was overwritten is given free after ten
     * seconds: kept for H2's usual 45, the file grows by gigabytes when a commit is written at once; after one, a process
     * that had been killed on a busy machine once in a while did not find a part of the file that it still needed.
     */
    private static final String DURABLE = ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE;RETENTION_TIME=10000";

    @Bean
    DataSource dataSource(FamulusProperties properties, DataEnd lost) {
        HikariConfig pool = new HikariConfig();
        pool.setJdbcUrl((properties.inMemory()
                        ? "jdbc:h2:mem:" + Integer.toHexString(System.identityHashCode(pool)) + ";DB_CLOSE_DELAY=-1"
                        : "jdbc:h2:retry:"
                                + Path.of(properties.data(), "famulus").toAbsolutePath() + DURABLE)
                + KEPT_STATEMENTS
                + LIMIT
                + Duration.ofSeconds(properties.statementSeconds()).toMillis());
        pool.setUsername("famulus");
        pool.setPassword("");
        pool.setMaximumPoolSize(CONNECTIONS);
        if (!properties.inMemory()) {
            pool.setExceptionOverride(new LostDatabase(lost::lost));
        }
        return new HikariDataSource(pool);
    }

    /**
     * Opens a database anew that has just been made or changed. H2 binds a list of a check constraint to the connection that
     * made it; once the pool retires that one, half an hour later, every row of the table would be refused. Read from the
     * file, constraints belong to the database itself. (One in memory can't be opened anew, and lives as long as a test.)
     */
    @Bean
    FlywayMigrationStrategy opensWhatItHasMadeAnew(DataSource data, FamulusProperties properties) {
        return flyway -> {
            if (flyway.migrate().migrationsExecuted > 0 && !properties.inMemory()) {
                openAnew(data);
            }
        };
    }

    private static void openAnew(DataSource data) {
        try (Connection connection = data.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("shutdown");
            data.unwrap(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
        } catch (SQLException failed) {
            throw new IllegalStateException("The database could not be opened anew", failed);
        }
    }

    /** What is done when the database can't be used any more. */
    interface DataEnd {
        void lost(String reason);
    }
}
