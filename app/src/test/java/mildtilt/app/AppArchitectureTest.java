package mildtilt.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The shape that docs/architecture.md promises of the interface. */
class AppArchitectureTest {

    private static final List<String> VIEWS = List.of(
            "train",
            "view",
            "position",
            "findings",
            "part",
            "compare",
            "plot",
            "make",
            "survey",
            "trial",
            "linkage",
            "column",
            "clearance",
            "start");

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("mildtilt.app");

    @Test
    void packageDependenciesAreAcyclic() {
        assertThat(APP).hasSizeGreaterThan(40);
        slices().matching("mildtilt.app.(*)..").should().beFreeOfCycles().check(APP);
    }

    @Test
    void viewsDontDependOnEachOther() {
        for (String view : VIEWS) {
            assertThat(APP.containPackage("mildtilt.app." + view)).as(view).isTrue();
            String[] others = VIEWS.stream()
                    .filter(v -> !v.equals(view))
                    .map(v -> "mildtilt.app." + v)
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("mildtilt.app." + view)
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(others)
                    .check(APP);
        }
    }
}
