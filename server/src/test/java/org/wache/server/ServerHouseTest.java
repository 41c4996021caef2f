package org.wache.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.RestController;

/** The server's rooms stand in order: knowledge flows one way. */
class ServerHouseTest {

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.wache.server");

    @Test
    void noRoomsGoInCircles() {
        slices().matching("org.wache.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    /** The screens over a list are beside each other, on the lists; the lists know none of them. */
    @Test
    void theListsKnowNoScreenOverThem() {
        noClasses()
                .that()
                .resideInAPackage("org.wache.server.lists")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.wache.server.desk",
                        "org.wache.server.proposals",
                        "org.wache.server.matrix",
                        "org.wache.server.fit",
                        "org.wache.server.site",
                        "org.wache.server.versions",
                        "org.wache.server.abroad",
                        "org.wache.server.releases",
                        "org.wache.server.home",
                        "org.wache.server.bench")
                .check(SERVER);
        noClasses()
                .that()
                .resideInAnyPackage(
                        "org.wache.server.web",
                        "org.wache.server.database",
                        "org.wache.server.prints",
                        "org.wache.server.sheets")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.wache.server.accounts",
                        "org.wache.server.lists",
                        "org.wache.server.roster",
                        "org.wache.server.radios",
                        "org.wache.server.rulebooks")
                .check(SERVER);
    }

    /** SQL is a store's; an endpoint asks a store or a service. */
    @Test
    void endpointsSpeakNoSql() {
        noClasses()
                .that()
                .areAnnotatedWith(RestController.class)
                .should()
                .dependOnClassesThat()
                .areAssignableTo(JdbcClient.class)
                .check(SERVER);
    }

    /** Each room says on its door what it is. */
    @Test
    void eachRoomSaysWhatItIs() throws IOException {
        Path root = Path.of("src", "main", "java", "org", "wache", "server");
        try (Stream<Path> rooms = Files.list(root).filter(Files::isDirectory)) {
            List<String> silent = rooms.filter(room -> !Files.exists(room.resolve("package-info.java")))
                    .map(room -> room.getFileName().toString())
                    .sorted()
                    .toList();
            assertThat(silent).isEmpty();
        }
    }

    /** The description of the API names answers by their simple names: of two that are called alike only one would be described. */
    @Test
    void noTwoAnswersAreCalledAlike() {
        java.util.Set<JavaClass> described = new java.util.HashSet<>();
        java.util.Deque<JavaClass> open = new java.util.ArrayDeque<>();
        SERVER.stream()
                .filter(each -> each.isAnnotatedWith(RestController.class))
                .flatMap(each -> each.getMethods().stream())
                .filter(method -> method.getAnnotations().stream()
                        .anyMatch(annotation ->
                                annotation.getRawType().getSimpleName().endsWith("Mapping")))
                .forEach(method -> {
                    open.addAll(method.getReturnType().getAllInvolvedRawTypes());
                    method.getParameterTypes().forEach(type -> open.addAll(type.getAllInvolvedRawTypes()));
                });
        while (!open.isEmpty()) {
            JavaClass next = open.pop();
            boolean ours = next.getPackageName().startsWith("org.wache") && (next.isRecord() || next.isEnum());
            if (ours && described.add(next)) {
                next.getFields().stream()
                        .filter(field ->
                                !field.getModifiers().contains(com.tngtech.archunit.core.domain.JavaModifier.STATIC))
                        .forEach(field -> open.addAll(field.getType().getAllInvolvedRawTypes()));
            }
        }
        assertThat(described).hasSizeGreaterThan(100);
        assertThat(described.stream()
                        .filter(JavaClass::isRecord)
                        .collect(java.util.stream.Collectors.groupingBy(JavaClass::getSimpleName))
                        .values()
                        .stream()
                        .filter(alike -> alike.size() > 1)
                        .map(alike ->
                                alike.stream().map(JavaClass::getName).sorted().toList())
                        .toList())
                .isEmpty();
    }
}
