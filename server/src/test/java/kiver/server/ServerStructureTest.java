package kiver.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import kiver.server.account.OpenTo;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;

class ServerStructureTest {

    /** What all work rests on, then the packages in the order of the job; each may use only those before it. */
    private static final List<String> IN_ORDER = List.of(
            "wording",
            "limit",
            "number",
            "kept",
            "problem",
            "page",
            "print",
            "clock",
            "account",
            "backup",
            "message",
            "sheet",
            "weather",
            "place",
            "growth",
            "crop",
            "seed",
            "media",
            "stock",
            "tray",
            "batch",
            "order",
            "sow",
            "plan",
            "space",
            "promise",
            "question",
            "emerge",
            "care",
            "pot",
            "harden",
            "outlook",
            "release",
            "learning",
            "board",
            "reschedule",
            "water",
            "light",
            "diagnosis",
            "founding",
            "today",
            "potting",
            "wall",
            "find",
            "play",
            "demo");

    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("kiver.server");

    private static final int MOST_PARTS = 20;

    private static final ArchCondition<JavaClass> HAVE_FEW_PARTS =
            new ArchCondition<>("have at most " + MOST_PARTS + " parts") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                    int parts = type.reflect().getRecordComponents().length;
                    events.add(new SimpleConditionEvent(
                            type, parts <= MOST_PARTS, type.getName() + " has " + parts + " parts"));
                }
            };

    @TestFactory
    List<DynamicTest> dependenciesFollowTheJob() {
        return IN_ORDER.stream()
                .filter(name -> !name.equals("demo"))
                .map(name -> DynamicTest.dynamicTest(
                        name,
                        () -> noClasses()
                                .that()
                                .resideInAPackage("kiver.server." + name + "..")
                                .should()
                                .dependOnClassesThat()
                                .resideInAnyPackage(
                                        IN_ORDER.subList(IN_ORDER.indexOf(name) + 1, IN_ORDER.size()).stream()
                                                .map(each -> "kiver.server." + each + "..")
                                                .toArray(String[]::new))
                                .check(SERVER)))
                .toList();
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        String[] known = Stream.concat(
                        Stream.of("kiver.server"), IN_ORDER.stream().map(name -> "kiver.server." + name))
                .toArray(String[]::new);
        classes().should().resideInAnyPackage(known).check(SERVER);
    }

    @Test
    void onlyTheClockReadsTheCalendar() {
        noClasses()
                .that()
                .resideOutsideOfPackage("kiver.server.clock")
                .should()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(LocalDate.class, "now", Clock.class)
                .check(SERVER);
    }

    @Test
    void tablesAreReachedThroughTheirOwnPackage() {
        classes()
                .that()
                .areAnnotatedWith(Mapper.class)
                .and()
                .doNotHaveSimpleName("AccountMapper")
                .should()
                .bePackagePrivate()
                .check(SERVER);
    }

    /** What is put together of more than a person can hold in mind is made of named parts. */
    @Test
    void recordsAreMadeOfNamedParts() {
        classes().that().areRecords().should(HAVE_FEW_PARTS).check(SERVER);
    }

    @Test
    void everyOperationSaysToWhomItIsOpen() {
        methods()
                .that()
                .areAnnotatedWith(GetMapping.class)
                .or()
                .areAnnotatedWith(PostMapping.class)
                .or()
                .areAnnotatedWith(PutMapping.class)
                .or()
                .areAnnotatedWith(DeleteMapping.class)
                .should()
                .beAnnotatedWith(OpenTo.class)
                .check(SERVER);
        // In no other way is anything made an operation.
        methods().should().notBeAnnotatedWith(RequestMapping.class).check(SERVER);
        methods().should().notBeAnnotatedWith(PatchMapping.class).check(SERVER);
    }
}
