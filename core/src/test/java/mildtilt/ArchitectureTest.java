package mildtilt;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

/** The shape that docs/architecture.md promises. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("mildtilt");

    @Test
    void packagesFormNoRing() {
        slices().matching("mildtilt.(**)").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void theCoreKnowsNoInterface() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
                .check(CORE);
    }

    @Test
    void everyPackageSaysWhatItIsAndThatNothingIsNull() {
        JavaPackage root = CORE.getPackage("mildtilt");
        assertThat(root.getSubpackagesInTree())
                .isNotEmpty()
                .allMatch(p -> p.tryGetAnnotationOfType(NullMarked.class).isPresent(), "is null-marked");
    }
}
