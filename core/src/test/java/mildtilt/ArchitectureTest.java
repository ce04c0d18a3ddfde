package mildtilt;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

/** The shape that docs/architecture.md promises. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("mildtilt");

    @Test
    void packageDependenciesAreAcyclic() {
        slices().matching("mildtilt.(**)").should().beFreeOfCycles().check(CORE);
    }

    /** From the ground up: a package may use its own group and those before it. */
    private static final List<Set<String>> GROUPS = List.of(
            Set.of(
                    "geometry",
                    "units",
                    "withers",
                    "lazy",
                    "id",
                    "solid",
                    "describe",
                    "kinematics",
                    "photograph",
                    "scan"),
            Set.of(
                    "gear",
                    "suspension",
                    "column",
                    "linkage",
                    "linkage.rods",
                    "linkage.beam",
                    "linkage.corner",
                    "obstacle",
                    "survey",
                    "rules",
                    "build",
                    "catalogue",
                    "trials",
                    "job"),
            Set.of(
                    "clocking",
                    "shaftload",
                    "bearings",
                    "columnrange",
                    "steer",
                    "steer.position",
                    "steer.range",
                    "steer.forces",
                    "arms",
                    "clearance",
                    "clearance.bodies",
                    "travel",
                    "routes",
                    "template",
                    "machined",
                    "drawing",
                    "shop",
                    "runsheet"),
            Set.of("parts", "io", "io.jobfile", "io.scan", "io.picture"),
            Set.of("findings", "findings.checks", "findings.remedies", "analysis", "solve", "uncertainty"),
            Set.of("curve", "report", "glossary", "start", "trials.compare", "trials.diagnose", "trials.instruments"),
            Set.of("io.json", "io.csv", "io.pdf", "io.cad", "io.papers"));

    @Test
    void packageGroupsDependOnlyOnEarlierGroups() {
        Map<String, Integer> order = new TreeMap<>();
        for (int i = 0; i < GROUPS.size(); i++) {
            for (String name : GROUPS.get(i)) {
                order.put("mildtilt." + name, i);
            }
        }
        Set<String> packages = CORE.getPackage("mildtilt").getSubpackagesInTree().stream()
                .filter(p -> !p.getClasses().isEmpty())
                .map(JavaPackage::getName)
                .collect(Collectors.toSet());
        assertThat(packages).isEqualTo(order.keySet());
        for (JavaPackage p : CORE.getPackage("mildtilt").getSubpackagesInTree()) {
            for (JavaPackage used : p.getPackageDependenciesFromThisPackage()) {
                if (order.containsKey(used.getName())) {
                    assertThat(order.get(used.getName()))
                            .as("%s uses %s", p.getName(), used.getName())
                            .isLessThanOrEqualTo(order.get(p.getName()));
                }
            }
        }
    }

    @Test
    void coreHasNoUserInterfaceDependencies() {
        noClasses()
                .should()
                .dependOnClassesThat()
                // Pictures are read into java.awt.image, which needs no screen.
                .resideInAnyPackage("javafx..", "java.awt", "java.awt.event..", "javax.swing..")
                .check(CORE);
    }

    @Test
    void everyPackageIsNullMarked() {
        JavaPackage root = CORE.getPackage("mildtilt");
        assertThat(root.getSubpackagesInTree())
                .isNotEmpty()
                .allMatch(p -> p.tryGetAnnotationOfType(NullMarked.class).isPresent(), "is null-marked");
    }
}
