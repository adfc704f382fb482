package famulus.core;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.belongToAnyOf;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.Buffer;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;

/** The core knows the job and nothing else. */
@AnalyzeClasses(packages = "famulus.core", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
    @ArchTest
    static final ArchRule NO_FRAMEWORK = classes()
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage(
                            "famulus.core..",
                            "java.lang..",
                            "java.util..",
                            "java.math..",
                            "java.time..",
                            "java.nio.charset..",
                            "com.ibm.icu..",
                            "com.google.i18n..",
                            // Formats that messages are kept in and that are attached to them.
                            "tools.jackson..",
                            "biweekly..",
                            // Finds what differs between two lists.
                            "com.github.difflib..",
                            // Read HTML and style sheets.
                            "org.jsoup..",
                            "com.helger.css..",
                            "com.helger.collection..",
                            // Reads feeds.
                            "com.rometools..",
                            // Reads and writes tables and cards.
                            "de.siegmar.fastcsv..",
                            "ezvcard..",
                            "org.commonmark..")
                    // An address is looked at, never opened; what is handed over is read, never a file.
                    .or(belongToAnyOf(
                            URI.class,
                            URISyntaxException.class,
                            InputStream.class,
                            Reader.class,
                            BufferedReader.class,
                            StringReader.class,
                            Writer.class,
                            IOException.class,
                            UncheckedIOException.class,
                            Buffer.class,
                            ByteBuffer.class,
                            CharBuffer.class)));

    @ArchTest
    static final ArchRule NO_CYCLES =
            slices().matching("famulus.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CLOCK_OF_ITS_OWN = classes()
            .should(com.tngtech.archunit.lang.conditions.ArchConditions.not(
                    com.tngtech.archunit.lang.conditions.ArchConditions.callMethod(java.time.Instant.class, "now")));
}
