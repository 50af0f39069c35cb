package elsom.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.stereotype.Controller;

/** The rules of the house that a compiler can't hold. */
@AnalyzeClasses(
        packages = "elsom",
        importOptions = {ImportOption.DoNotIncludeTests.class, ArchitectureTest.NoTestJars.class})
class ArchitectureTest {
    /** Core's test builders come as a jar of their own. */
    static final class NoTestJars implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    @ArchTest
    static final ArchRule coreKnowsNoFramework = classes()
            .that()
            .resideInAPackage("elsom.core..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "elsom.core..",
                    "java..",
                    "org.jspecify..",
                    "org.hipparchus..",
                    "org.apache.commons.csv..",
                    "org.apache.commons.statistics..",
                    "org.apache.commons.numbers..");

    @ArchTest
    static final ArchRule coreHasNoCycles =
            slices().matching("elsom.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule mappersAreUsedByTheirOwnFeatureOnly =
            classes().that().areAnnotatedWith(Mapper.class).should(beUsedOnlyInTheirPackage());

    @ArchTest
    static final ArchRule controllersStayInside =
            classes().that().areAnnotatedWith(Controller.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule nothingPrintsOrSleeps = noClasses()
            .that()
            .resideOutsideOfPackages("elsom.calc..")
            .should()
            .callMethod(Thread.class, "sleep", long.class);

    private static ArchCondition<JavaClass> beUsedOnlyInTheirPackage() {
        return new ArchCondition<>("be used only in their package") {
            @Override
            public void check(JavaClass mapper, ConditionEvents events) {
                mapper.getDirectDependenciesToSelf().stream()
                        .filter(use -> !use.getOriginClass().getPackageName().equals(mapper.getPackageName()))
                        .forEach(use -> events.add(SimpleConditionEvent.violated(use, use.getDescription())));
            }
        };
    }

    @Test
    void featuresUseEachOtherOneWayAndByTheirPublicTypes() {
        ApplicationModules.of(ElsomApplication.class, DescribedPredicate.alwaysFalse())
                .verify();
    }
}
