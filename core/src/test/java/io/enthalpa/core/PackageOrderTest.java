package io.enthalpa.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Imports go only downwards, and the core knows neither files nor clock nor framework. */
class PackageOrderTest {
    /** From the ground up: a package may import those before it. */
    private static final List<String> ORDER = List.of(
            "place",
            "fault",
            "source",
            "quantity",
            "space",
            "room",
            "route",
            "mount",
            "fluid",
            "loss",
            "router",
            "exchanger",
            "engine",
            "coolingair",
            "waterloop",
            "chargepath",
            "duty",
            "uncertainty",
            "plant",
            "steady",
            "leak",
            "notes",
            "endurance",
            "verdict",
            "build",
            "fit",
            "joint",
            "envelope",
            "sizing",
            "telemetry",
            "school",
            "commission",
            "explain",
            "trial");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("io.enthalpa.core");

    static List<String> packages() {
        return ORDER;
    }

    @ParameterizedTest
    @MethodSource("packages")
    void importsOnlyDownwards(String name) {
        String[] above = ORDER.subList(ORDER.indexOf(name) + 1, ORDER.size()).stream()
                .map(p -> "io.enthalpa.core." + p + "..")
                .toArray(String[]::new);
        if (above.length == 0) {
            return;
        }
        noClasses()
                .that()
                .resideInAPackage("io.enthalpa.core." + name + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(above)
                .check(CORE);
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        org.assertj.core.api.Assertions.assertThat(CORE.stream()
                        .map(c -> c.getPackageName().split("\\.")[3])
                        .distinct())
                .isSubsetOf(ORDER);
        slices().matching("io.enthalpa.core.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void coreStandsOnTheJdkAndHipparchusAlone() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideOutsideOfPackages(
                        "io.enthalpa.core..", "java.lang..", "java.util..", "java.math..", "org.hipparchus..")
                .check(CORE);
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.util.logging.Logger")
                .check(CORE);
    }

    @Test
    void namesThatExplainNothingAreNotUsed() {
        for (String word : Arrays.asList("Utils", "Manager", "Helper", "Impl")) {
            noClasses().should().haveSimpleNameEndingWith(word).check(CORE);
        }
    }
}
