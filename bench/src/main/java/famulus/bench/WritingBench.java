package famulus.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What it costs to have a commit in the file before it returns: small commits one after another, by turns. */
public final class WritingBench {
    private static final int COMMITS = 4000;
    private static final int TURNS = 5;

    private WritingBench() {}

    /** Measures and prints; takes some ten seconds. */
    public static void main(String[] arguments) throws Exception {
        List<Double> later = new ArrayList<>();
        List<Double> atOnce = new ArrayList<>();
        for (int turn = 0; turn < TURNS; turn++) {
            later.add(perSecond("jdbc:h2:file:", ""));
            atOnce.add(perSecond("jdbc:h2:retry:", ";WRITE_DELAY=0;RETENTION_TIME=1000"));
        }
        double usual = middle(later);
        double durable = middle(atOnce);
        System.out.printf(
                "commits a second, median of %d turns: written later %.0f, written at once %.0f, ratio %.2f%n",
                TURNS, usual, durable, durable / usual);
    }

    private static double middle(List<Double> all) {
        return all.stream().sorted(Comparator.naturalOrder()).toList().get(all.size() / 2);
    }

    private static double perSecond(String how, String settings) throws Exception {
        Path folder = Files.createTempDirectory("famulus-writing");
        try (Connection connection =
                DriverManager.getConnection(how + folder.resolve("db") + settings, "famulus", "")) {
            connection.createStatement().execute("create table t (id int primary key, words varchar(2000))");
            commits(connection, COMMITS);
            long began = System.nanoTime();
            commits(connection, COMMITS);
            return COMMITS * 1e9 / (System.nanoTime() - began);
        } finally {
            try (var files = Files.walk(folder)) {
                files.sorted(Comparator.reverseOrder())
                        .forEach(file -> file.toFile().delete());
            }
        }
    }

    private static void commits(Connection connection, int many) throws SQLException {
        try (PreparedStatement put = connection.prepareStatement("merge into t values (?, ?)")) {
            for (int i = 0; i < many; i++) {
                put.setInt(1, i);
                put.setString(2, "Hives and bees ".repeat(40) + i);
                put.execute();
            }
        }
    }
}
