package famulus.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.field.About;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Mode;
import famulus.core.message.render.Rendering;
import famulus.core.proof.Note;
import famulus.server.Famulus;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.library.DraftReader;
import famulus.server.library.StarterService;
import famulus.server.library.StarterService.Starter;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** The designs to start from, rendered for everybody in the demo. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class StartersTest {
    private static final Path CHECKER = Path.of("../web/node_modules/vnu-jar/build/dist/vnu.jar");
    private static final int LARGEST = 100_000;

    private ConfigurableApplicationContext context;
    private List<Starter> starters;
    private Colleague signe;

    @TempDir
    private Path folder;

    @BeforeAll
    void start() {
        context = SpringApplication.run(
                Famulus.class,
                "--server.port=0",
                "--famulus.demo=true",
                "--famulus.data=memory",
                "--famulus.public-address=http://localhost:8080",
                "--famulus.now=2026-05-04T09:00:00Z");
        starters = context.getBean(StarterService.class).all();
        signe = context.getBean(TeamService.class).all().stream()
                .filter(one -> one.firstName().equals("Signe"))
                .findFirst()
                .orElseThrow();
    }

    @AfterAll
    void stop() {
        context.close();
    }

    private List<For> people(About about) {
        JdbcTemplate sql = context.getBean(JdbcTemplate.class);
        if (about == About.LEAD) {
            return sql.queryForList("select id from lead order by id", UUID.class).stream()
                    .map(id -> new For(CrmKind.LEAD, id, null))
                    .toList();
        }
        return sql.queryForList("select id from contact order by id", UUID.class).stream()
                .map(id -> new For(CrmKind.CONTACT, id, null))
                .toList();
    }

    private List<Proof> proofs(Starter starter) {
        return proofs(starter, people(starter.draft().about()));
    }

    private List<Proof> proofs(Starter starter, List<For> people) {
        MessageSource source = context.getBean(DraftReader.class).source(starter.draft());
        return context.getBean(ProofService.class)
                .proofs(source, starter.draft().about(), people, signe);
    }

    /** That of the first person who lacks nothing. */
    private Proof firstWithoutNotes(Starter starter) {
        return people(starter.draft().about()).stream()
                .map(one -> proofs(starter, List.of(one)).getFirst())
                .filter(one -> one.notes().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private Rendering mail(Proof proof) {
        return context.getBean(RenderingService.class)
                .mail(proof, proof.merged().subject().text())
                .orElseThrow();
    }

    @Test
    void thereAreAtLeastTwentyFourOfEveryMode() {
        assertThat(starters).hasSizeGreaterThanOrEqualTo(24);
        Map<Mode, Long> modes = starters.stream()
                .collect(Collectors.groupingBy(one -> one.draft().mode(), Collectors.counting()));
        assertThat(modes).containsOnlyKeys(Mode.LETTER, Mode.DESIGNED, Mode.PLAIN);
        for (Starter starter : starters) {
            assertThat(starter.description()).as(starter.name()).isNotBlank();
            assertThat(starter.draft().subject()).as(starter.name()).isNotBlank();
            assertThat(starter.draft().previewText()).as(starter.name()).isNotBlank();
        }
    }

    /**
     * What comes out of a starter for everybody: made once for all tests, since it takes longest.
     *
     * @param codes of all notes that anybody's has
     * @param ready whether somebody's has none
     * @param documents how many were rendered; none of a plain one
     * @param wrong what renderings should not have
     */
    private record ForEverybody(Starter starter, Set<String> codes, boolean ready, int documents, List<String> wrong) {}

    private List<ForEverybody> forEverybody;
    private final Set<String> markup = new HashSet<>();

    private List<ForEverybody> forEverybody() throws IOException {
        if (forEverybody == null) {
            List<ForEverybody> all = new ArrayList<>();
            for (Starter starter : starters) {
                all.add(forEverybody(starter));
            }
            forEverybody = all;
        }
        return forEverybody;
    }

    private ForEverybody forEverybody(Starter starter) throws IOException {
        Set<String> codes = new TreeSet<>();
        List<String> wrong = new ArrayList<>();
        boolean ready = false;
        int documents = 0;
        for (Proof proof : proofs(starter)) {
            List<String> found = proof.notes().stream().map(Note::code).toList();
            codes.addAll(found);
            ready |= found.isEmpty();
            if (starter.draft().mode() != Mode.PLAIN) {
                Rendering rendering = mail(proof);
                wrong.addAll(wrong(rendering));
                if (markup.add(markup(rendering.html()))) {
                    if (!rendering.html().equals(mail(proof).html())) {
                        wrong.add("differs when it is rendered again");
                    }
                    Files.writeString(folder.resolve(starter.name() + "-" + documents + ".html"), rendering.html());
                }
                documents++;
            }
        }
        return new ForEverybody(starter, codes, ready, documents, wrong);
    }

    private static List<String> wrong(Rendering rendering) {
        List<String> wrong = new ArrayList<>();
        if (rendering.html().length() >= LARGEST) {
            wrong.add("large: " + rendering.html().length());
        }
        if (rendering.text().isBlank()) {
            wrong.add("no text");
        }
        for (String odd : List.of("<p", "&nbsp;", "{")) {
            if (rendering.text().contains(odd)) {
                wrong.add(odd + " in " + rendering.text());
            }
        }
        return wrong;
    }

    /** What is missing for a person is a gap; but nothing a design says is wrong for everybody. */
    @Test
    void everyOneHasPeopleItIsReadyFor() throws Exception {
        for (ForEverybody one : forEverybody()) {
            assertThat(one.codes())
                    .as(one.starter().name())
                    .doesNotContain("field-unknown", "field-broken", "no-subject", "no-body");
            assertThat(one.ready()).as(one.starter().name()).isTrue();
        }
    }

    @Test
    void isValidHtmlForEverybodyAndNeverLarge() throws Exception {
        for (ForEverybody one : forEverybody()) {
            assertThat(one.wrong()).as(one.starter().name()).isEmpty();
        }
        assertThat(forEverybody().stream().mapToInt(ForEverybody::documents).sum())
                .isGreaterThan(4000);
        assertThat(markup).hasSizeGreaterThan(100);
        assertThat(checked(folder)).isEmpty();
    }

    /**
     * A document without its words: one that differs in words alone is as valid as another. Styles, comments, tags, references
     * to characters, and characters that are no letters, figures, marks or blanks stay, since they may be wrong.
     */
    private static String markup(String html) {
        StringBuilder markup = new StringBuilder();
        boolean words = false;
        for (int at = 0; at < html.length(); ) {
            int end = html.startsWith("<style", at)
                    ? after(html, "</style>", at)
                    : html.startsWith("<!--", at)
                            ? after(html, "-->", at)
                            : html.charAt(at) == '<'
                                    ? after(html, ">", at)
                                    : html.charAt(at) == '&' ? after(html, ";", at) : at + 1;
            boolean word = end == at + 1 && isOfWords(html.charAt(at));
            if (!word) {
                markup.append(html, at, end);
            } else if (!words) {
                markup.append('x');
            }
            words = word;
            at = end;
        }
        return markup.toString();
    }

    private static int after(String html, String what, int from) {
        int found = html.indexOf(what, from);
        return found < 0 ? html.length() : found + what.length();
    }

    private static boolean isOfWords(char sign) {
        return sign != '<'
                && sign != '>'
                && sign != '&'
                && switch (Character.getType(sign)) {
                    case Character.CONTROL -> Character.isWhitespace(sign);
                    case Character.FORMAT, Character.PRIVATE_USE, Character.SURROGATE, Character.UNASSIGNED -> false;
                    default -> true;
                };
    }

    /** Whoever reads by headings misses nothing: the first is of level one, and none is more than one level below the last. */
    @Test
    void headingsSkipNoLevel() {
        for (Starter starter : starters) {
            if (starter.draft().mode() == Mode.PLAIN) {
                continue;
            }
            int before = 0;
            for (Element heading :
                    Jsoup.parse(mail(firstWithoutNotes(starter)).html()).select("h1, h2, h3, h4, h5, h6")) {
                int level = heading.normalName().charAt(1) - '0';
                assertThat(level).as("%s: %s", starter.name(), heading.text()).isLessThanOrEqualTo(before + 1);
                before = level;
            }
        }
    }

    @Test
    void theCheckerFindsWhatIsWrong(@TempDir Path wrong) throws Exception {
        Files.writeString(wrong.resolve("wrong.html"), "<!DOCTYPE html><title>x</title><p><table><b></table>");
        assertThat(checked(wrong)).contains("error");
    }

    /** What the Nu HTML checker has against the documents; no exception is made. */
    private static String checked(Path folder) throws IOException, InterruptedException {
        assertThat(CHECKER).as("npm ci in web/ brings it").exists();
        Path said = folder.resolveSibling(folder.getFileName() + ".said");
        Process checker = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xss8m",
                        "-cp",
                        CHECKER.toString(),
                        "nu.validator.client.SimpleCommandLineValidator",
                        "--errors-only",
                        "--exit-zero-always",
                        "--skip-non-html",
                        folder.toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        assertThat(checker.waitFor(10, TimeUnit.MINUTES)).isTrue();
        String all = Files.readString(said);
        Files.delete(said);
        return all.lines().filter(line -> line.contains("error")).limit(20).collect(Collectors.joining("\n"));
    }

    /**
     * What each design says and looks like for the first person who lacks nothing, as it was looked at in a browser: the text
     * itself, and a digest of the HTML. Run with {@code -Dgolden.update=true} to write what is rendered now, and to have
     * the documents in {@code target/starters}; then look at those that have changed.
     */
    @Test
    void looksAsItDidWhenItWasLookedAt() throws Exception {
        Path golden = Path.of("src/test/resources/golden/starters.text");
        StringBuilder all = new StringBuilder();
        for (Starter starter : starters) {
            Proof proof = firstWithoutNotes(starter);
            boolean plain = starter.draft().mode() == Mode.PLAIN;
            String html = plain ? "" : mail(proof).html();
            all.append("==== ").append(starter.name()).append(plain ? "" : " " + digest(html));
            all.append("\nSubject: ").append(proof.merged().subject().text()).append("\n\n");
            all.append(plain ? proof.merged().body().text() : mail(proof).text())
                    .append("\n\n");
            if (Boolean.getBoolean("golden.update") && !plain) {
                Path shown = Files.createDirectories(Path.of("target/starters")).resolve(starter.name() + ".html");
                Files.writeString(shown, html);
            }
        }
        if (Boolean.getBoolean("golden.update")) {
            Files.writeString(golden, all);
        }
        assertThat(all.toString()).isEqualTo(Files.readString(golden));
    }

    private static String digest(String html) throws Exception {
        byte[] digest = MessageDigest.getInstance("SHA-256").digest(html.getBytes(StandardCharsets.UTF_8));
        return HexFormat.of().formatHex(digest, 0, 8);
    }
}
