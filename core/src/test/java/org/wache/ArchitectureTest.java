package org.wache;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.wache.audit.Rule;

/** The house stands as it was drawn. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.wache");

    @Test
    void coreKnowsNoSpringNoSqlAndNoHttp() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..", "java.sql..", "javax.sql..", "java.net.http..", "jakarta..")
                .check(CORE);
    }

    @Test
    void rulesReadNoClockFileOrNetwork() {
        noClasses()
                .that()
                .resideInAPackage("org.wache.audit..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.io..", "java.nio..", "java.net..")
                .check(CORE);
        noClasses()
                .should()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now", ZoneId.class)
                .orShould()
                .dependOnClassesThat()
                .belongToAnyOf(Clock.class)
                .check(CORE);
    }

    @Test
    void arrowsPointDown() {
        noClasses()
                .that()
                .resideInAPackage("org.wache.signal")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.wache.channel..",
                        "org.wache.licence..",
                        "org.wache.rulebook..",
                        "org.wache.audit..",
                        "org.wache.exchange..")
                .check(CORE);
        noClasses()
                .that()
                .resideInAnyPackage("org.wache.rulebook", "org.wache.channel", "org.wache.licence")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.wache.audit..", "org.wache.exchange..")
                .check(CORE);
        noClasses()
                .that()
                .resideInAPackage("org.wache.audit..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.wache.exchange..")
                .check(CORE);
        slices().matching("org.wache.(*)..").should().beFreeOfCycles().check(CORE);
        slices().matching("org.wache.audit.(*)..").should().beFreeOfCycles().check(CORE);
        noClasses()
                .that()
                .resideInAnyPackage("org.wache.audit.finding", "org.wache.audit.context")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.wache.audit", "org.wache.audit.cure", "org.wache.audit.rules..")
                .check(CORE);
        noClasses()
                .that()
                .resideInAPackage("org.wache.audit")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.wache.audit.cure", "org.wache.audit.rules..")
                .check(CORE);
    }

    @Test
    void rulesLiveInTheirFamilies() {
        classes()
                .that()
                .implement(Rule.class)
                .and()
                .areNotInterfaces()
                .should()
                .resideInAPackage("org.wache.audit.rules.*")
                .check(CORE);
    }

    /** Each room says on its door what it is. */
    @Test
    void eachRoomSaysWhatItIs() throws IOException {
        Path root = Path.of("src", "main", "java", "org", "wache");
        try (Stream<Path> files = Files.walk(root)) {
            List<String> silent = files.filter(file -> file.toString().endsWith(".java"))
                    .map(Path::getParent)
                    .distinct()
                    .filter(room -> !Files.exists(room.resolve("package-info.java")))
                    .map(room -> root.relativize(room).toString())
                    .sorted()
                    .toList();
            assertThat(silent).isEmpty();
        }
    }
}
