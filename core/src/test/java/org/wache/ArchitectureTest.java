package org.wache;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.wache.audit.Rule;

/** The house stands as it was drawn. */
class ArchitectureTest {

  private static final JavaClasses CORE =
      new ClassFileImporter().withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("org.wache");

  @Test
  void coreKnowsNoSpringNoSqlAndNoHttp() {
    noClasses().should().dependOnClassesThat()
        .resideInAnyPackage("org.springframework..", "java.sql..", "javax.sql..", "java.net.http..", "jakarta..")
        .check(CORE);
  }

  @Test
  void rulesReadNoClockFileOrNetwork() {
    noClasses().that().resideInAPackage("org.wache.audit..").should().dependOnClassesThat()
        .resideInAnyPackage("java.io..", "java.nio..", "java.net..").check(CORE);
    noClasses().should().callMethod(LocalDate.class, "now").orShould().callMethod(LocalDate.class, "now", ZoneId.class)
        .orShould().dependOnClassesThat().belongToAnyOf(Clock.class).check(CORE);
  }

  @Test
  void arrowsPointDown() {
    noClasses().that().resideInAPackage("org.wache.signal").should().dependOnClassesThat()
        .resideInAnyPackage("org.wache.channel..", "org.wache.licence..", "org.wache.rulebook..", "org.wache.audit..",
            "org.wache.exchange..").check(CORE);
    noClasses().that().resideInAnyPackage("org.wache.rulebook", "org.wache.channel", "org.wache.licence")
        .should().dependOnClassesThat().resideInAnyPackage("org.wache.audit..", "org.wache.exchange..").check(CORE);
    noClasses().that().resideInAPackage("org.wache.audit..").should().dependOnClassesThat()
        .resideInAPackage("org.wache.exchange..").check(CORE);
    slices().matching("org.wache.(*)..").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void rulesLiveInTheirFamilies() {
    classes().that().implement(Rule.class).and().areNotInterfaces().should()
        .resideInAnyPackage("org.wache.audit.entry", "org.wache.audit.law", "org.wache.audit.plan",
            "org.wache.audit.tone", "org.wache.audit.fit", "org.wache.audit.site").check(CORE);
  }
}
