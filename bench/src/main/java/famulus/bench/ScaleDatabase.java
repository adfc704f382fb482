package famulus.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/** The database of the demo, as its data are multiplied in it: statements, a part of their rows at a time. */
final class ScaleDatabase {
    private static final int AT_ONCE = 100_000;

    private final Connection connection;

    ScaleDatabase(Connection connection) {
        this.connection = connection;
    }

    /** A statement to be filled in many times. */
    PreparedStatement prepared(String sql) throws SQLException {
        return connection.prepareStatement(sql);
    }

    void commit() throws SQLException {
        connection.commit();
    }

    /** Runs a statement, and keeps what it did. */
    void run(String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
        connection.commit();
    }

    /** The number that is answered. */
    int number(String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getInt(1);
        }
    }

    /** The text that is answered. */
    String text(String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        }
    }

    /** Runs a statement for numbers from one up to another, some at a time; {@code FROM} and {@code TO} stand for them. */
    void inPortions(int from, int to, String sql) throws SQLException {
        for (int first = from; first < to; first += AT_ONCE) {
            run(sql.replace("FROM", String.valueOf(first))
                    .replace("TO", String.valueOf(Math.min(to, first + AT_ONCE) - 1)));
        }
    }

    /** Gives the rows of a table numbers, to be taken by. */
    void numbered(String name, String select) throws SQLException {
        run("create local temporary table " + name + " (n integer primary key, id uuid) not persistent");
        run("insert into " + name + " select row_number() over (order by id) - 1, id from (" + select + ")");
    }

    /** One more row of a batch. */
    static void set(PreparedStatement statement, Object... values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        statement.addBatch();
    }

    /** Takes one row. */
    @FunctionalInterface
    interface Reading {
        void read(ResultSet row) throws SQLException;
    }

    /** Reads all rows of an answer. */
    void each(String sql, Reading reading) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            while (rows.next()) {
                reading.read(rows);
            }
        }
    }
}
