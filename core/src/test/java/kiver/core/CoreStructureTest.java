package kiver.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class CoreStructureTest {

    /** The packages in the order of the job; each may use only those before it. */
    private static final List<String> IN_ORDER = List.of(
            "sheet",
            "weather",
            "place",
            "growth",
            "crop",
            "seed",
            "media",
            "stock",
            "tray",
            "order",
            "batch",
            "sow",
            "labels",
            "plan",
            "space",
            "promise",
            "emerge",
            "care",
            "pot",
            "harden",
            "outlook",
            "diagnosis",
            "release",
            "learning",
            "today");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("kiver.core");

    @TestFactory
    List<DynamicTest> dependenciesFollowTheJob() {
        return IN_ORDER.stream()
                .map(name -> DynamicTest.dynamicTest(name, () -> {
                    String[] later = IN_ORDER.subList(IN_ORDER.indexOf(name) + 1, IN_ORDER.size()).stream()
                            .map(each -> "kiver.core." + each + "..")
                            .toArray(String[]::new);
                    if (later.length > 0) {
                        noClasses()
                                .that()
                                .resideInAPackage("kiver.core." + name + "..")
                                .should()
                                .dependOnClassesThat()
                                .resideInAnyPackage(later)
                                // Rooms that are made for what comes hold nothing yet.
                                .allowEmptyShould(true)
                                .check(CORE);
                    }
                }))
                .toList();
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        String[] known = IN_ORDER.stream().map(name -> "kiver.core." + name).toArray(String[]::new);
        classes().should().resideInAnyPackage(known).check(CORE);
    }

    @Test
    void usesNoFrameworkAndNoDatabase() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "kiver.core..",
                        "java..",
                        "org.apache.commons..",
                        "org.hipparchus..",
                        "org.jspecify.annotations..")
                .check(CORE);
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "java.net..", "java.nio.file..")
                .check(CORE);
    }

    @Test
    void readsNoClockAndNoChance() {
        noClasses()
                .should()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(LocalDateTime.class, "now")
                .orShould()
                .callMethod(Instant.class, "now")
                .orShould()
                .callMethod(Clock.class, "systemDefaultZone")
                .orShould()
                .callMethod(System.class, "currentTimeMillis")
                .orShould()
                .callMethod(System.class, "nanoTime")
                .orShould()
                .callMethod(Math.class, "random")
                .orShould()
                .callMethod(UUID.class, "randomUUID")
                .orShould()
                .dependOnClassesThat()
                .belongToAnyOf(Random.class, ThreadLocalRandom.class)
                .check(CORE);
    }

    @Test
    void holdsNoStateThatChanges() {
        fields().that().areStatic().should().haveModifier(JavaModifier.FINAL).check(CORE);
    }
}
