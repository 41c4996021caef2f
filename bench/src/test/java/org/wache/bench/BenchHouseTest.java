package org.wache.bench;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The bench knows no server, and its driver nothing of simulated radios: a real one could stand on the line. */
class BenchHouseTest {

    private static final JavaClasses BENCH = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.wache.bench");

    @Test
    void arrowsPointDown() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "java.sql..", "org.wache.server..")
                .check(BENCH);
        noClasses()
                .that()
                .resideInAPackage("org.wache.bench.drive")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.wache.bench.simulated")
                .check(BENCH);
        slices().matching("org.wache.bench.(*)..").should().beFreeOfCycles().check(BENCH);
    }
}
