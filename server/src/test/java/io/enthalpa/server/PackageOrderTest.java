package io.enthalpa.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class PackageOrderTest {
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .withImportOption(location -> !location.contains("EnthalpaApplication"))
            .importPackages("io.enthalpa.server");

    @Test
    void packagesFormNoCircles() {
        slices().matching("io.enthalpa.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    /** Jackson 2 is on the class path through others; only the API description, whose library wants it, may touch it. */
    @Test
    void jacksonTwoIsNotUsed() {
        noClasses()
                .that()
                .resideOutsideOfPackage("io.enthalpa.server.api..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("com.fasterxml.jackson.databind..")
                .check(SERVER);
    }

    @Test
    void sqlStaysInTheStores() {
        noClasses()
                .that()
                .haveSimpleNameNotEndingWith("Store")
                .and()
                .resideOutsideOfPackage("io.enthalpa.server.store..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.springframework.jdbc..")
                .check(SERVER);
    }
}
