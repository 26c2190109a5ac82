package jollytide.server;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.boot.autoconfigure.condition.ConditionalOnClass;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RestController;

/** Dependencies point one way. */
@AnalyzeClasses(packages = "jollytide", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CORE_KNOWS_NEITHER_SERVER_NOR_FRAMEWORK = noClasses()
            .that()
            .resideInAPackage("jollytide.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jollytide.server..", "org.springframework..", "jakarta..", "java.sql..", "java.net..");

    @ArchTest
    static final ArchRule CORE_PACKAGES_HAVE_NO_CYCLES =
            slices().matching("jollytide.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule CLOCKS_ARE_PASSED_IN = noClasses()
            .that()
            .resideInAPackage("jollytide.core..")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    @ArchTest
    static final ArchRule THE_DEMO_KNOWS_THE_CORE_ALONE = noClasses()
            .that()
            .resideInAPackage("jollytide.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jollytide.server..", "org.springframework..", "jakarta..", "java.sql..");

    /** Controllers ask services; a table is its service's alone. */
    @ArchTest
    static final ArchRule CONTROLLERS_TOUCH_NO_TABLE = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);

    @ArchTest
    static final ArchRule FEATURES_HAVE_NO_CYCLES =
            slices().matching("jollytide.server.(*)..").should().beFreeOfCycles();

    /** A controller is a door: what stands behind it knows nothing of it. */
    @ArchTest
    static final ArchRule NOBODY_ASKS_A_CONTROLLER = noClasses()
            .that()
            .areNotAnnotatedWith(RestController.class)
            .and()
            .haveSimpleNameNotContaining("Controller")
            .should()
            .dependOnClassesThat()
            .areAnnotatedWith(RestController.class);

    /** Other features ask the service: a table's rows are read and written in its own package. */
    @ArchTest
    static final ArchRule TABLES_STAY_IN_THEIR_FEATURE = classes()
            .that()
            .areAssignableTo(Repository.class)
            .and()
            .areInterfaces()
            .and()
            .resideInAPackage("jollytide.server..")
            .should()
            .bePackagePrivate();

    /** The demo's jar stands beside the application: without it, its beans are not looked at. */
    @ArchTest
    static final ArchRule IT_STARTS_WITHOUT_THE_DEMO = classes()
            .that()
            .resideInAPackage("jollytide.server..")
            .and()
            .areAnnotatedWith(Component.class)
            .and(describe(
                    "use the demo's jar",
                    c -> c.getDirectDependenciesFromSelf().stream()
                            .anyMatch(d -> d.getTargetClass().getPackageName().equals("jollytide.demo"))))
            .should()
            .beAnnotatedWith(ConditionalOnClass.class);

    @ArchTest
    static final ArchRule NOBODY_ASKS_THE_DEMO = noClasses()
            .that()
            .resideOutsideOfPackages("jollytide.server.demo..", "jollytide.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jollytide.server.demo..", "jollytide.demo..");
}
