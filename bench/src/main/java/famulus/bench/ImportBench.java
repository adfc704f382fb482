package famulus.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * A CSV file of contacts imported by the running application, against a bare batch insert of the same rows. Arguments:
 * {@code csv FILE ROWS} writes the file; {@code import ADDRESS FILE} imports it into a demo that runs; {@code bare FOLDER}
 * takes the rows that were imported out of the data of a demo that has been stopped and writes them again, first those of
 * contacts and addresses alone, then those of every table.
 */
public final class ImportBench {
    private static final int BATCH = 1_000;
    private static final List<String> FIRST =
            List.of("Ines", "Bo", "Zoë", "Karl", "Alma", "Ruth", "Jörg", "Lene", "Dora");
    /** The tables an import of contacts writes, with whose rows they are. */
    private static final List<String[]> TABLES = List.of(
            new String[] {"organisation", "id in (select organisation_id from mine)"},
            new String[] {"contact", "id in (select id from mine)"},
            new String[] {"email_address", "person_id in (select id from mine)"},
            new String[] {"person_summary", "person_id in (select id from mine)"},
            new String[] {"record_place", "cast(right(place, 36) as uuid) in (select id from mine)"},
            new String[] {"record_standing", "record_id in (select id from mine)"},
            new String[] {"search_word", "id in (select id from mine)"},
            new String[] {"search_entry", "id in (select id from mine)"});

    private ImportBench() {}

    /** Does one of the parts. */
    public static void main(String[] arguments) throws Exception {
        switch (arguments[0]) {
            case "csv" -> write(Path.of(arguments[1]), Integer.parseInt(arguments[2]));
            case "import" -> bring(arguments[1], Path.of(arguments[2]));
            default -> bare(Path.of(arguments[1]));
        }
    }

    private static void write(Path file, int rows) throws IOException {
        Random random = new Random(7);
        StringBuilder text = new StringBuilder("First name,Surname,E-mail,Organisation,Phone,Job title\n");
        for (int i = 0; i < rows; i++) {
            text.append(FIRST.get(random.nextInt(FIRST.size())))
                    .append(",Imported ")
                    .append(random.nextInt(rows))
                    .append(",w" + i + "@lane" + random.nextInt(5_000) + ".example,Lane Works ")
                    .append(random.nextInt(12_000))
                    .append(",+44163296" + (1_000 + random.nextInt(9_000)) + ",Head of buying ")
                    .append(random.nextInt(40))
                    .append('\n');
        }
        Files.writeString(file, text);
    }

    private static void bring(String address, Path file) throws Exception {
        DemoClient amos = new DemoClient(address);
        amos.signIn("Amos");
        long began = System.nanoTime();
        String begun =
                amos.upload("/api/imports/contact?name=people.csv", Files.readString(file, StandardCharsets.UTF_8));
        String id = begun.replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
        said("read", began, 0);
        began = System.nanoTime();
        amos.untilLine("POST", "/api/imports/" + id + "/check", "{\"all\": \"SKIP\"}", "\"fresh\"");
        said("checked", began, 0);
        began = System.nanoTime();
        amos.untilLine("POST", "/api/imports/" + id + "/run", "{\"all\": \"SKIP\"}", "\"fresh\"");
        said("imported", began, Files.readAllLines(file).size() - 1);
    }

    private static void said(String what, long began, int rows) {
        double seconds = (System.nanoTime() - began) / 1e9;
        System.out.printf(Locale.ROOT, "%s in %.1f s", what, seconds);
        System.out.println(rows == 0 ? "" : String.format(Locale.ROOT, ": %.0f rows a second", rows / seconds));
    }

    private static void bare(Path folder) throws SQLException {
        String url = "jdbc:h2:retry:" + folder.resolve("famulus").toAbsolutePath()
                + ";WRITE_DELAY=0;RETENTION_TIME=1000;QUERY_CACHE_SIZE=200;CACHE_SIZE=32768";
        try (Connection connection = DriverManager.getConnection(url, "famulus", "")) {
            run(
                    connection,
                    "create local temporary table mine as select id, organisation_id from contact"
                            + " where last_name like 'Imported %'");
            int rows = number(connection, "select count(*) from mine");
            run(connection, "set referential_integrity false");
            again(connection, TABLES.subList(1, 3), rows, "contacts and addresses");
            again(connection, TABLES, rows, "all rows");
        }
    }

    /** Takes rows out and puts them in again in one transaction, in no order, as a file has them. */
    private static void again(Connection connection, List<String[]> tables, int rows, String what) throws SQLException {
        List<List<Object[]>> all = new ArrayList<>();
        for (String[] table : tables) {
            all.add(rows(connection, "select * from " + table[0] + " where " + table[1] + " order by rand(7)"));
            run(connection, "delete from " + table[0] + " where " + table[1]);
        }
        run(connection, "checkpoint sync");
        connection.setAutoCommit(false);
        long began = System.nanoTime();
        for (int i = 0; i < tables.size(); i++) {
            insert(connection, tables.get(i)[0], all.get(i));
        }
        connection.commit();
        said("bare batches of " + what, began, rows);
        connection.setAutoCommit(true);
    }

    private static List<Object[]> rows(Connection connection, String select) throws SQLException {
        List<Object[]> rows = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet read = statement.executeQuery(select)) {
            int columns = read.getMetaData().getColumnCount();
            while (read.next()) {
                Object[] row = new Object[columns];
                for (int i = 0; i < columns; i++) {
                    row[i] = read.getObject(i + 1);
                }
                rows.add(row);
            }
        }
        return rows;
    }

    private static void insert(Connection connection, String table, List<Object[]> rows) throws SQLException {
        String marks = String.join(", ", Collections.nCopies(rows.getFirst().length, "?"));
        try (PreparedStatement put = connection.prepareStatement("insert into " + table + " values (" + marks + ")")) {
            int waiting = 0;
            for (Object[] row : rows) {
                for (int i = 0; i < row.length; i++) {
                    put.setObject(i + 1, row[i]);
                }
                put.addBatch();
                if (++waiting % BATCH == 0) {
                    put.executeBatch();
                }
            }
            put.executeBatch();
        }
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static int number(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getInt(1);
        }
    }
}
