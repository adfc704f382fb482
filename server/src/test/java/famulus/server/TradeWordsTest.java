package famulus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The product knows no trade: words of the demo's company are found in the demo alone. */
class TradeWordsTest {
    private static final Pattern TRADE = Pattern.compile(
            "\\b(hives?|orchards?|growers?|blossoms?|pollinat\\w*|bees?|beekeep\\w*|apiar\\w*|honey)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern TEXT =
            Pattern.compile(".*\\.(java|ts|svelte|css|html|xml|sql|json|properties|yml|csv|svg|md)");
    private static final List<Path> SOURCES = List.of(
            Path.of("../core/src/main"), Path.of("src/main"), Path.of("../web/src"), Path.of("../web/index.html"));

    @Test
    void theDemosTradeIsNamedInTheDemoAlone() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path source : SOURCES) {
            try (Stream<Path> files = Files.walk(source)) {
                for (Path file :
                        files.filter(TradeWordsTest::belongsToTheProduct).toList()) {
                    Matcher word = TRADE.matcher(Files.readString(file));
                    while (word.find()) {
                        found.add(file + ": " + word.group());
                    }
                }
            }
        }
        assertThat(found).isEmpty();
    }

    private static boolean belongsToTheProduct(Path file) {
        String name = file.toString().replace('\\', '/');
        return Files.isRegularFile(file)
                && TEXT.matcher(name).matches()
                && !name.contains("/server/demo/")
                && !name.contains("/resources/demo/")
                && !name.endsWith(".test.ts");
    }
}
