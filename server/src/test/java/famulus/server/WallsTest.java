package famulus.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;

/** What each part of the server may lean on. */
@AnalyzeClasses(packages = "famulus.server", importOptions = ImportOption.DoNotIncludeTests.class)
class WallsTest {
    @ArchTest
    static final ArchRule FEATURES_HAVE_NO_CYCLES =
            slices().matching("famulus.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule A_FEATURE_USES_NO_OTHER_FEATURES_MAPPER = classes()
            .should(new ArchCondition<JavaClass>("use mappers of their own package only") {
                @Override
                public void check(JavaClass user, ConditionEvents events) {
                    user.getDirectDependenciesFromSelf().stream()
                            .filter(one -> one.getTargetClass().getSimpleName().endsWith("Mapper"))
                            .filter(one -> one.getTargetClass().getPackageName().startsWith("famulus.server"))
                            .filter(one ->
                                    !one.getTargetClass().getPackageName().equals(user.getPackageName()))
                            .forEach(one -> events.add(SimpleConditionEvent.violated(user, one.getDescription())));
                }
            });

    @ArchTest
    static final ArchRule ONLY_THE_OUTBOX_SENDS = noClasses()
            .that()
            .resideOutsideOfPackage("famulus.server.outbox")
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("jakarta.mail.Transport");

    @ArchTest
    static final ArchRule TIME_COMES_FROM_THE_CLOCK = noClasses()
            .that()
            .haveSimpleNameNotEndingWith("TimeConfiguration")
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(Clock.class, "systemUTC");
}
