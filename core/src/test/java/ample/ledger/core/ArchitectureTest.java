package ample.ledger.core;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;

/** Rules and computation need no interface, no database and no clock, and their packages depend on each other one way. */
@AnalyzeClasses(packages = "ample.ledger.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule CORE_IS_PLAIN_JAVA = classes()
            .that(resideInAPackage("ample.ledger.core.."))
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage(
                    "ample.ledger.core..",
                    "java..",
                    "biweekly..",
                    "com.ibm.icu..",
                    "org.apache.lucene..",
                    "org.jgrapht..",
                    "org.tartarus.snowball..",
                    "org.jspecify..",
                    "de.siegmar.fastcsv..",
                    "tools.jackson..",
                    "com.fasterxml.jackson.annotation.."))
            .andShould()
            .onlyDependOnClassesThat(DescribedPredicate.not(resideInAnyPackage("java.sql..", "java.net..")));

    /** CSV, JSON and calendar files belong to the open formats and to nothing else. */
    @ArchTest
    static final ArchRule FORMATS_STAY_IN_EXCHANGE = noClasses()
            .that(resideInAPackage("ample.ledger.core.."))
            .and(DescribedPredicate.not(resideInAPackage("ample.ledger.core.exchange..")))
            .should()
            .dependOnClassesThat(resideInAnyPackage(
                    "biweekly..", "de.siegmar.fastcsv..", "tools.jackson..", "com.fasterxml.jackson.annotation.."));

    @ArchTest
    static final ArchRule NO_CYCLES =
            slices().matching("ample.ledger.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_IN_BROWSE =
            slices().matching("ample.ledger.core.browse.(*)..").should().beFreeOfCycles();

    /** Callers pass dates in; only the clock that they hold knows what day it is. */
    @ArchTest
    static final ArchRule CORE_HAS_NO_CLOCK = noClasses()
            .that(resideInAPackage("ample.ledger.core.."))
            .should()
            .callMethod(LocalDate.class, "now")
            .orShould()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");
}
