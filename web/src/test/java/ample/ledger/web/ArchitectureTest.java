package ample.ledger.web;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Dependencies point one way: web to store, and both to core. */
@AnalyzeClasses(packages = "ample.ledger", importOptions = ArchitectureTest.WithoutTests.class)
class ArchitectureTest {

    /** Leaves out test classes, also where they come from another module's test jar. */
    static final class WithoutTests implements ImportOption {

        @Override
        public boolean includes(Location location) {
            return !location.contains("/test-classes/") && !location.contains("-tests.jar");
        }
    }

    @ArchTest
    static final ArchRule LAYERS = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("web")
            .definedBy("ample.ledger.web..")
            .layer("store")
            .definedBy("ample.ledger.store..")
            .layer("core")
            .definedBy("ample.ledger.core..")
            .whereLayer("web")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("store")
            .mayOnlyBeAccessedByLayers("web")
            .whereLayer("core")
            .mayOnlyBeAccessedByLayers("web", "store");

    @ArchTest
    static final ArchRule NO_CYCLES_IN_WEB =
            slices().matching("ample.ledger.web.(*)..").should().beFreeOfCycles();
}
