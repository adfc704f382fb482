package famulus.server;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.merge.MergeParser;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The examples on the pages of packages compile, so that nobody learns from what has changed since. */
class PackagePagesTest {
    private static final List<Path> ROOTS = List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"));
    private static final Pattern EXAMPLE =
            Pattern.compile("<pre( class=\"written\")?>(?:\\{@code)?(.*?)\\}?</pre>", Pattern.DOTALL);

    /** What an example takes for granted, as parameters; by package. */
    private static final Map<String, String> GIVEN = Map.ofEntries(
            Map.entry(
                    "famulus.core.condition",
                    "Reckoner reckoner, java.util.function.Function<Path, java.util.Optional<Value>> values,"
                            + " FieldCatalogue catalogue, About about"),
            Map.entry(
                    "famulus.core.audience",
                    "List<Candidate> candidates, java.time.LocalDate today, java.util.function.BiConsumer<String, String> told"),
            Map.entry("famulus.core.departure", "List<Note> notes"),
            Map.entry("famulus.core.field", "FieldCatalogue catalogue"),
            Map.entry("famulus.core.html", ""),
            Map.entry("famulus.core.intake", ""),
            Map.entry("famulus.core.merge", "MergeSettings settings, MergeContext context"),
            Map.entry("famulus.core.message", "Merger merger, MergeContext context"),
            Map.entry("famulus.core.message.body", "String stored, HouseStyle style"),
            Map.entry("famulus.core.message.compare", "MessageSource before, MessageSource after"),
            Map.entry(
                    "famulus.core.message.render",
                    "Design design, Merger merger, MergeContext context, MergeSettings settings, String subject,"
                            + " String previewText, ToRender.DealLines deal,"
                            + " java.util.function.Function<String, String> pictures"),
            Map.entry(
                    "famulus.core.message.personal",
                    "famulus.core.message.MessageSource source, famulus.core.message.MergedMessage merged"),
            Map.entry("famulus.core.proof", "ProofSubject subject"),
            Map.entry("famulus.core.prose", ""),
            Map.entry("famulus.core.record", "FieldDefinition hectares"),
            Map.entry("famulus.core.results", ""),
            Map.entry("famulus.core.salutation", "Salutations salutations, Greeted tobias"),
            Map.entry("famulus.core.search", "String text"),
            Map.entry("famulus.core.sharing", "Folder folder, Member member"),
            Map.entry("famulus.core.syntax", "List<String> known"),
            Map.entry("famulus.server.contents", "WireSources sources, java.util.UUID id, byte[] bytes"),
            Map.entry("famulus.core.table", ""),
            Map.entry("famulus.server.search", "SearchIndex index, java.util.UUID id"),
            Map.entry(
                    "famulus.server.paper",
                    "PaperService papers, famulus.server.desk.ProofService.Proof proof,"
                            + " java.util.Optional<famulus.core.message.render.Paper.Size> size"),
            Map.entry(
                    "famulus.server.messages",
                    "MessageDraftService drafts, MessageFreezer freezer, MessageToSend message, java.util.UUID template,"
                            + " famulus.server.records.PeopleContext.For to, List<String> follows,"
                            + " famulus.server.team.Colleague asking"));

    @TempDir
    private Path out;

    private record Page(String packageName, Path file, String text) {
        static Page of(Path root, Path file) {
            try {
                String name = root.relativize(file.getParent()).toString().replace('/', '.');
                return new Page(name, file, Files.readString(file));
            } catch (IOException missing) {
                throw new IllegalStateException(missing);
            }
        }

        /** The lines of an example without the stars before them. */
        List<String> examples(boolean written) {
            List<String> examples = new ArrayList<>();
            Matcher example = EXAMPLE.matcher(text);
            while (example.find()) {
                if ((example.group(1) != null) == written) {
                    examples.add(example.group(2).replaceAll("(?m)^ \\* ?", ""));
                }
            }
            return examples;
        }
    }

    private static List<Page> pages() throws IOException {
        List<Page> pages = new ArrayList<>();
        for (Path root : ROOTS) {
            try (Stream<Path> files = Files.walk(root)) {
                files.filter(file -> file.endsWith("package-info.java"))
                        .sorted()
                        .forEach(file -> pages.add(Page.of(root, file)));
            }
        }
        return pages;
    }

    @Test
    void examplesCompile() throws IOException {
        Map<String, String> sources = new TreeMap<>();
        Set<String> shown = new TreeSet<>();
        for (Page page : pages()) {
            for (String example : page.examples(false)) {
                shown.add(page.packageName());
                sources.put(
                        page.packageName().replace('.', '/') + "/Example.java",
                        source(page, GIVEN.getOrDefault(page.packageName(), ""), example));
            }
        }

        assertThat(shown).isEqualTo(new TreeSet<>(GIVEN.keySet()));
        assertThat(errors(sources)).isEmpty();
    }

    @Test
    void examplesOfTheWrittenFormCanBeRead() throws IOException {
        List<String> lines = pages().stream()
                .flatMap(page -> page.examples(true).stream())
                .flatMap(String::lines)
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();

        assertThat(lines).isNotEmpty().allSatisfy(line -> assertThat(
                        MergeParser.parse("{" + line + "}").problems())
                .isEmpty());
    }

    private static String source(Page page, String given, String example) throws IOException {
        String imports = Stream.concat(
                        Stream.of("java.util"),
                        pages().stream().map(Page::packageName).filter(name -> name.startsWith("famulus.core")))
                .map(name -> "import " + name + ".*;")
                .collect(Collectors.joining(" "));
        // Types that are declared within others are named without these in an example.
        String nested =
                nested(page).stream().map(name -> "import " + name + ";").collect(Collectors.joining(" "));
        String body = example.lines().map(PackagePagesTest::statement).collect(Collectors.joining("\n"));
        return "package " + page.packageName() + "; " + imports + nested + " class Example { void example(" + given
                + ") throws Exception {\n" + body + "\n} }";
    }

    /** A line that ends with a call and says what it gives is a statement too. */
    private static String statement(String line) {
        Matcher call = Pattern.compile("^(\\s*\\S.*\\))(\\s+//.*)?$").matcher(line);
        return call.matches() && !line.contains("for (")
                ? call.group(1) + ";" + Optional.ofNullable(call.group(2)).orElse("")
                : line;
    }

    /** Records that are declared in a class of the same package. */
    private static Set<String> nested(Page page) throws IOException {
        Set<String> nested = new TreeSet<>();
        Set<String> alone = new TreeSet<>();
        try (Stream<Path> files = Files.list(page.file().getParent())) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(".java")).toList()) {
                String outer = file.getFileName().toString().replace(".java", "");
                alone.add(outer);
                Matcher inner = Pattern.compile("^    public record (\\w+)[(<]", Pattern.MULTILINE)
                        .matcher(Files.readString(file));
                while (inner.find()) {
                    nested.add(page.packageName() + "." + outer + "." + inner.group(1));
                }
            }
        }
        Map<String, Long> names =
                nested.stream().collect(Collectors.groupingBy(PackagePagesTest::simple, Collectors.counting()));
        nested.removeIf(name -> names.get(simple(name)) > 1 || alone.contains(simple(name)));
        return nested;
    }

    private static String simple(String name) {
        return name.substring(name.lastIndexOf('.') + 1);
    }

    private List<String> errors(Map<String, String> sources) {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
        List<JavaFileObject> files = sources.entrySet().stream()
                .<JavaFileObject>map(one ->
                        new SimpleJavaFileObject(URI.create("string:///" + one.getKey()), JavaFileObject.Kind.SOURCE) {
                            @Override
                            public CharSequence getCharContent(boolean ignoreEncodingErrors) {
                                return one.getValue();
                            }
                        })
                .toList();
        List<String> options =
                List.of("-d", out.toString(), "-proc:none", "-classpath", System.getProperty("java.class.path"));
        compiler.getTask(null, null, said, options, null, files).call();
        return said.getDiagnostics().stream()
                .filter(one -> one.getKind() == Diagnostic.Kind.ERROR)
                .map(one -> one.getSource().toUri().getPath() + ":" + one.getLineNumber() + " " + one.getMessage(null))
                .toList();
    }
}
