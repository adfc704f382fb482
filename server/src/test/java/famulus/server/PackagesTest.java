package famulus.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * docs/architecture.md shows how the server's packages stand on each other, and where things are. Both are held to the
 * sources here; {@code -Darchitecture.update=true} draws the packages anew.
 */
class PackagesTest {
    private static final Path DOC = Path.of("../docs/architecture.md");
    private static final Pattern DRAWN = Pattern.compile("(<!-- packages -->\n```\n)(.*?)(```\n)", Pattern.DOTALL);
    private static final Pattern FEATURE = Pattern.compile("famulus\\.server\\.(\\w+)(\\..*)?");

    @Test
    void theSketchIsDrawnFromTheImports() throws IOException {
        String doc = Files.readString(DOC);
        Matcher drawn = DRAWN.matcher(doc);
        assertThat(drawn.find()).isTrue();
        String now = sketch(uses());
        if (Boolean.getBoolean("architecture.update")) {
            Files.writeString(DOC, doc.substring(0, drawn.start(2)) + now + doc.substring(drawn.end(2)));
        } else {
            assertThat(drawn.group(2)).isEqualTo(now);
        }
    }

    /** What each package imports from others. */
    private static Map<String, Set<String>> uses() {
        JavaClasses classes = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("famulus.server");
        Map<String, Set<String>> uses = new TreeMap<>();
        classes.forEach(one -> {
            Matcher from = FEATURE.matcher(one.getPackageName());
            if (from.matches()) {
                Set<String> used = uses.computeIfAbsent(from.group(1), any -> new TreeSet<>());
                one.getDirectDependenciesFromSelf().forEach(needed -> {
                    Matcher to = FEATURE.matcher(needed.getTargetClass().getPackageName());
                    if (to.matches() && !to.group(1).equals(from.group(1))) {
                        used.add(to.group(1));
                    }
                });
            }
        });
        return uses;
    }

    /** The packages from the top down, each with those right below it: what these stand on is left out. */
    private static String sketch(Map<String, Set<String>> uses) {
        List<String> order = new ArrayList<>(uses.keySet());
        order.sort((one, other) -> {
            int higher = height(other, uses) - height(one, uses);
            return higher == 0 ? one.compareTo(other) : higher;
        });
        int widest = order.stream().mapToInt(String::length).max().orElse(0);
        return order.stream()
                        .map(one -> (one + " ".repeat(widest - one.length()) + "  "
                                        + String.join(", ", rightBelow(one, uses)))
                                .stripTrailing())
                        .collect(Collectors.joining("\n"))
                + "\n";
    }

    private static int height(String one, Map<String, Set<String>> uses) {
        return uses.get(one).stream()
                .mapToInt(below -> height(below, uses) + 1)
                .max()
                .orElse(0);
    }

    private static Set<String> rightBelow(String one, Map<String, Set<String>> uses) {
        Set<String> right = new TreeSet<>(uses.get(one));
        uses.get(one).forEach(below -> right.removeAll(all(below, uses).collect(Collectors.toSet())));
        return right;
    }

    private static Stream<String> all(String one, Map<String, Set<String>> uses) {
        return uses.get(one).stream().flatMap(below -> Stream.concat(Stream.of(below), all(below, uses)));
    }

    /** Each answer under "Where is it?" names one file, which is there. */
    @Test
    void whatIsWhereIsThere() throws IOException {
        String doc = Files.readString(DOC);
        String where = doc.substring(doc.indexOf("## Where is it?"));
        List<String> named = Pattern.compile("\\| `([^`]+)` \\|")
                .matcher(where.substring(0, where.indexOf("\n## ", 5)))
                .results()
                .map(one -> one.group(1))
                .toList();

        assertThat(named).hasSizeGreaterThan(9);
        for (String name : named) {
            try (Stream<Path> files = Stream.of(
                            "core/src/main", "server/src/main", "web/src", "docs", "server/src/test")
                    .map(root -> Path.of("..", root))
                    .flatMap(PackagesTest::walk)) {
                assertThat(files.filter(file -> file.getFileName().toString().equals(name)))
                        .as(name)
                        .hasSize(1);
            }
        }
    }

    private static Stream<Path> walk(Path root) {
        try {
            return Files.walk(root);
        } catch (IOException missing) {
            throw new IllegalStateException(missing);
        }
    }
}
