package famulus.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How the database's file is opened. What a kill leaves of it is shown by the kill test. */
class DurableDataTest {
    @TempDir
    private Path folder;

    private final List<String> ended = new ArrayList<>();

    private com.zaxxer.hikari.HikariDataSource open() {
        FamulusProperties properties = new FamulusProperties(folder.toString(), false, null, 0, "", "", 10, 20);
        DataSource data = new DataConfiguration().dataSource(properties, ended::add);
        return (com.zaxxer.hikari.HikariDataSource) data;
    }

    @Test
    void aThreadThatIsInterruptedWhileItWritesClosesNothingForTheOthers() throws Exception {
        try (var data = open();
                Connection other = data.getConnection()) {
            other.createStatement().execute("create table t (id int primary key, words varchar(1000))");
            Thread interrupted = Thread.ofPlatform().start(() -> write(data));
            interrupted.join();

            ResultSet rows = other.createStatement().executeQuery("select count(*) from t");
            rows.next();
            assertThat(rows.getInt(1)).isEqualTo(1000);
        }
        assertThat(ended).isEmpty();
    }

    private static void write(DataSource data) {
        try (Connection connection = data.getConnection();
                PreparedStatement put = connection.prepareStatement("insert into t values (?, ?)")) {
            for (int i = 0; i < 1000; i++) {
                if (i % 50 == 0) {
                    Thread.currentThread().interrupt();
                }
                put.setInt(1, i);
                put.setString(2, "Hives and bees ".repeat(30));
                put.execute();
            }
            Thread.interrupted();
        } catch (SQLException failed) {
            throw new AssertionError(failed);
        }
    }

    @Test
    void aFileThatCantBeWrittenEndsTheApplicationAndAnUsualErrorDoesNot() {
        SQLException duplicate = new SQLException("Unique index", "23505", 23505);
        SQLException closed = new SQLException("The database has been closed", "90098", 90098);
        SQLException full =
                new SQLException("General error: \"org.h2.mvstore.MVStoreException: Writing failed\"", "HY000", 50000);
        LostDatabase watch = new LostDatabase(ended::add);

        watch.adjudicate(duplicate);
        watch.adjudicate(new SQLException("General error: something else", "HY000", 50000));
        assertThat(ended).isEmpty();
        watch.adjudicate(closed);
        watch.adjudicate(full);
        assertThat(ended).hasSize(2);
        assertThat(LostDatabase.is(new IllegalStateException(closed))).isTrue();
    }
}
