package famulus.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Portions against a database, since it is the database that orders identifiers. */
class PortionTest {
    private static final int PEOPLE = 3_200;

    private Connection database;
    private final List<UUID> everybody = new ArrayList<>();

    @BeforeEach
    void somePeople() throws SQLException {
        database = DriverManager.getConnection("jdbc:h2:mem:");
        database.createStatement().execute("create table person (id uuid primary key)");
        Random random = new Random(11);
        everybody.add(new UUID(0, 0));
        everybody.add(new UUID(-1, -1));
        everybody.add(new UUID(Long.MIN_VALUE, 0));
        everybody.add(new UUID(Long.MAX_VALUE, -1));
        while (everybody.size() < PEOPLE) {
            everybody.add(new UUID(random.nextLong(), random.nextLong()));
        }
        try (PreparedStatement insert = database.prepareStatement("insert into person values (?)")) {
            for (UUID id : everybody) {
                insert.setObject(1, id);
                insert.addBatch();
            }
            insert.executeBatch();
        }
    }

    @AfterEach
    void close() throws SQLException {
        database.close();
    }

    private List<UUID> read(Portion portion) throws SQLException {
        Sql limits = portion.limits();
        List<UUID> read = new ArrayList<>();
        try (PreparedStatement select = database.prepareStatement("select x.id from person x" + limits.text())) {
            for (int place = 0; place < limits.values().size(); place++) {
                select.setObject(place + 1, limits.values().get(place));
            }
            ResultSet rows = select.executeQuery();
            while (rows.next()) {
                read.add(rows.getObject(1, UUID.class));
            }
        }
        return read;
    }

    @Test
    void everybodyIsInExactlyOneRange() throws SQLException {
        List<UUID> read = new ArrayList<>();
        for (Portion range : Portion.ranges()) {
            List<UUID> some = read(range);
            assertThat(some).hasSizeBetween(PEOPLE / 32, PEOPLE / 8);
            read.addAll(some);
        }

        assertThat(read).containsExactlyInAnyOrderElementsOf(everybody);
    }

    @Test
    void someAreTheFirstOnesAndTheSameEachTime() throws SQLException {
        List<UUID> some = read(Portion.some(100));

        assertThat(some).hasSize(100).contains(new UUID(0, 0)).isEqualTo(read(Portion.some(100)));
        assertThat(read(Portion.some(0))).hasSize(PEOPLE);
    }
}
