package famulus.core.message.body;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Whoever adds a kind of block is told by the compiler where it has to be known. Here one is made up, everything is compiled
 * with it, and the files that don't compile are those that a new kind has to be taught to.
 */
class NewKindTest {
    private static final Path SOURCES = Path.of("src/main/java");
    private static final Path CONTENT = SOURCES.resolve("famulus/core/message/body/Content.java");

    @TempDir
    private Path out;

    @Test
    void doesNotCompileUntilEveryPlaceKnowsIt() throws IOException {
        String content = Files.readString(CONTENT);
        int end = content.lastIndexOf('}');
        String withMore = content.substring(0, end) + "    record MadeUp(String text) implements Content {}\n}\n";

        assertThat(failing(withMore))
                .containsExactly(
                        // its texts, and how it is written down
                        "BodyText.java",
                        "BodyWriter.java",
                        // what it is called, and whether bands are inside it
                        "Content.java",
                        // whether its colours can be read
                        "ContrastCheck.java",
                        // what remains of it in a message of another kind
                        "Conversion.java",
                        // what has to be said of its pictures and words
                        "DescriptionCheck.java",
                        "EmptyTextCheck.java",
                        // how it looks
                        "HtmlBlocks.java",
                        // where it leads, and which picture it shows
                        "LinkCheck.java",
                        "LostPictures.java",
                        // how it is written as Markdown
                        "MarkdownWriter.java",
                        // which texts of it can be changed for one person
                        "OwnTexts.java",
                        // how it is printed
                        "PaperBlocks.java",
                        // what it is once its texts are written anew
                        "Rewriting.java",
                        // how it reads without HTML
                        "TextRenderer.java");
    }

    /** The names of the sources that don't compile when {@code Content.java} is this. */
    private Set<String> failing(String content) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        DiagnosticCollector<JavaFileObject> said = new DiagnosticCollector<>();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(said, null, null);
                Stream<Path> sources = Files.walk(SOURCES)) {
            List<Path> others = sources.filter(file -> file.toString().endsWith(".java") && !file.equals(CONTENT))
                    .toList();
            List<JavaFileObject> all = new ArrayList<>();
            files.getJavaFileObjectsFromPaths(others).forEach(all::add);
            all.add(
                    new SimpleJavaFileObject(
                            URI.create("string:///" + CONTENT.getFileName()), JavaFileObject.Kind.SOURCE) {
                        @Override
                        public CharSequence getCharContent(boolean ignoreEncodingErrors) {
                            return content;
                        }
                    });
            List<String> options = List.of(
                    "-d",
                    out.toString(),
                    "-proc:none",
                    "-nowarn",
                    // Goes on to the next class after one that leaves a kind out.
                    "--should-stop=ifError=FLOW",
                    "-Xmaxerrs",
                    "1000",
                    "-classpath",
                    System.getProperty("java.class.path"));
            compiler.getTask(null, files, said, options, null, all).call();
        }
        return said.getDiagnostics().stream()
                .filter(one -> one.getKind() == Diagnostic.Kind.ERROR)
                .map(one ->
                        Path.of(one.getSource().toUri().getPath()).getFileName().toString())
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
