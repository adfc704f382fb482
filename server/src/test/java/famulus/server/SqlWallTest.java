package famulus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Each table is named by the SQL of one package alone. What another needs of it, its owner publishes as a fragment with a
 * name, which the other includes.
 */
class SqlWallTest {
    private static final Path SOURCES = Path.of("src/main/java/famulus/server");
    private static final Path MAPPERS = Path.of("src/main/resources/mappers");
    private static final Path MIGRATIONS = Path.of("src/main/resources/db/migration");

    private static final Pattern CREATED = Pattern.compile("create table (\\w+)");
    /** A table stands after one of these words, or alone in a fragment that publishes it. */
    private static final Pattern NAMED = Pattern.compile(
            "\\b(?:from|join|into|update|delete\\s+from|merge\\s+into)\\s+(?:\\(\\s*)?(\\w+)|<sql id=\"\\w+\">(\\w+)</sql>");

    private static Set<String> tables() throws IOException {
        Set<String> tables = new TreeSet<>();
        for (String migration : texts(MIGRATIONS, ".sql").values()) {
            Matcher created = CREATED.matcher(migration);
            while (created.find()) {
                tables.add(created.group(1));
            }
        }
        return tables;
    }

    private static Map<Path, String> texts(Path below, String ending) throws IOException {
        Map<Path, String> texts = new TreeMap<>();
        try (Stream<Path> files = Files.walk(below)) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(ending)).toList()) {
                texts.put(file, Files.readString(file));
            }
        }
        return texts;
    }

    private static String owner(Path file, String text) {
        if (file.startsWith(SOURCES)) {
            return SOURCES.relativize(file).getName(0).toString();
        }
        Matcher namespace =
                Pattern.compile("namespace=\"famulus\\.server\\.(\\w+)\\.").matcher(text);
        assertThat(namespace.find()).as(file.toString()).isTrue();
        return namespace.group(1);
    }

    @Test
    void eachTableIsNamedByOnePackage() throws IOException {
        Set<String> tables = tables();
        assertThat(tables).hasSizeGreaterThan(40);
        Map<String, Map<String, Set<String>>> named = new TreeMap<>();
        Map<Path, String> all = new TreeMap<>(texts(SOURCES, ".java"));
        all.putAll(texts(MAPPERS, ".xml"));
        all.forEach((file, text) -> {
            Matcher found = NAMED.matcher(sql(file, text));
            while (found.find()) {
                String table = found.group(1) == null ? found.group(2) : found.group(1);
                if (tables.contains(table)) {
                    named.computeIfAbsent(table, any -> new TreeMap<>())
                            .computeIfAbsent(owner(file, text), any -> new TreeSet<>())
                            .add(file.getFileName().toString());
                }
            }
        });

        Map<String, Map<String, Set<String>>> shared = new TreeMap<>(named);
        shared.values().removeIf(owners -> owners.size() == 1);
        assertThat(shared).isEmpty();
        Set<String> unnamed = new TreeSet<>(tables);
        unnamed.removeAll(named.keySet());
        // Tables of records are also named by their kind, of which leads are one.
        unnamed.remove("lead");
        assertThat(unnamed).as("tables that nothing reads or writes").isEmpty();
    }

    /** Of Java the texts between quotation marks alone, of XML all but what it says of itself. */
    private static String sql(Path file, String text) {
        if (file.toString().endsWith(".xml")) {
            return text.replaceAll("(?s)<!--.*?-->", "");
        }
        StringBuilder sql = new StringBuilder();
        Matcher quoted = Pattern.compile("(?s)\"\"\"(.*?)\"\"\"|\"((?:[^\"\\\\\\n]|\\\\.)*)\"")
                .matcher(text);
        while (quoted.find()) {
            sql.append(quoted.group(1) == null ? quoted.group(2) : quoted.group(1))
                    .append('\n');
        }
        return sql.toString();
    }
}
