package tinperch.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.testng.Assert.assertEquals;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tinperch.check.Check;
import tinperch.part.PartFamily;
import tinperch.part.feature.FeatureKind;

/** The rules of the house: who may know whom. */
public class HouseRulesTest {
    private static final String[] CORE = {"tinperch.quantity..", "tinperch.solid..", "tinperch.hardware..",
        "tinperch.material..", "tinperch.measure..", "tinperch.machine..", "tinperch.catalogue..", "tinperch.part..",
        "tinperch.upgrade..", "tinperch.fact..", "tinperch.check..", "tinperch.judge.."};
    private JavaClasses house;

    @BeforeClass
    public void read() {
        house = new ClassFileImporter().withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("tinperch");
    }

    @Test
    public void coreKnowsNoInterfaceNoFilesNoDatabaseNoThreads() {
        noClasses().that().resideInAnyPackage(CORE).should().dependOnClassesThat().resideInAnyPackage(
                "javafx..", "java.sql..", "java.nio.file..", "java.util.concurrent..", "javax.swing..", "java.awt..",
                "org.jdbi..", "org.sqlite..", "com.fasterxml.jackson.databind.node..", "tinperch.files..",
                "tinperch.workshop..", "tinperch.desktop..").check(house);
        noClasses().that().resideInAnyPackage(CORE).should().dependOnClassesThat().haveFullyQualifiedName("java.io.File")
                .orShould().dependOnClassesThat().haveFullyQualifiedName("java.io.FileInputStream")
                .orShould().dependOnClassesThat().haveFullyQualifiedName("java.lang.Thread").check(house);
    }

    @Test
    public void filesKnowNeitherInterfaceNorDatabase() {
        noClasses().that().resideInAPackage("tinperch.files..").should().dependOnClassesThat().resideInAnyPackage(
                "javafx..", "java.sql..", "org.jdbi..", "tinperch.workshop..", "tinperch.desktop..").check(house);
    }

    @Test
    public void theWorkshopKnowsNoInterface() {
        noClasses().that().resideInAPackage("tinperch.workshop..").should().dependOnClassesThat().resideInAnyPackage(
                "javafx..", "tinperch.desktop..").check(house);
    }

    @Test
    public void onlyTheWorkshopTouchesTheDatabase() {
        noClasses().that().resideOutsideOfPackages("tinperch.workshop.store..", "tinperch.workshop.log..").should().dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "org.jdbi..", "org.sqlite..", "org.flywaydb..").check(house);
    }

    @Test
    public void packagesRunInNoCircle() {
        slices().matching("tinperch.(*)..").should().beFreeOfCycles().check(
                new ClassFileImporter().withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages(
                        "tinperch.quantity", "tinperch.solid", "tinperch.hardware", "tinperch.material", "tinperch.measure",
                        "tinperch.machine", "tinperch.catalogue", "tinperch.part", "tinperch.upgrade", "tinperch.fact",
                        "tinperch.check", "tinperch.judge", "tinperch.files", "tinperch.workshop"));
        slices().matching("tinperch.(**)").should().beFreeOfCycles().check(new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages(java.util.Arrays.stream(CORE)
                        .map(p -> p.replace("..", "")).toList()));
        slices().matching("tinperch.workshop.(*)..").should().beFreeOfCycles().check(house);
        slices().matching("tinperch.desktop.(*)..").should().beFreeOfCycles().check(house);
    }

    @Test
    public void checksDoNotKnowEachOther() {
        neverKnowEachOther(Check.class);
    }

    @Test
    public void familiesDoNotKnowEachOther() {
        neverKnowEachOther(PartFamily.class);
    }

    @Test
    public void featuresDoNotKnowEachOther() {
        neverKnowEachOther(FeatureKind.class);
    }

    /** Facts know what they stand on, so they may know each other; checks and families are known by their registries alone. */
    @Test
    public void onlyTheRegistriesKnowAllOfAKind() {
        for (Class<?> kind : new Class<?>[] {PartFamily.class, FeatureKind.class, Check.class}) {
            for (JavaClass one : house) {
                if (isOne(one, kind)) {
                    long registries = one.getDirectDependenciesToSelf().stream().map(d -> d.getOriginClass().getName().replaceAll("\\$.*", ""))
                            .filter(n -> !n.equals(one.getName().replaceAll("\\$.*", ""))).filter(n -> n.endsWith(".Families")
                                    || n.endsWith(".FeatureKinds") || n.endsWith(".Checks")).distinct().count();
                    assertEquals(registries, 1, one.getName() + " is on one registry line");
                }
            }
        }
    }

    @Test
    public void onlyTheEngineMakesThreads() {
        noClasses().that().resideOutsideOfPackage("tinperch.workshop.background..").should().callConstructor(Thread.class, Runnable.class)
                .orShould().callConstructor(Thread.class, Runnable.class, String.class)
                .orShould().dependOnClassesThat().haveFullyQualifiedName("java.util.concurrent.Executors").check(house);
    }

    private static boolean isOne(JavaClass c, Class<?> kind) {
        return c.isAssignableTo(kind) && !c.isInterface() && !c.getModifiers().contains(JavaModifier.ABSTRACT);
    }

    private void neverKnowEachOther(Class<?> kind) {
        for (JavaClass one : house) {
            if (isOne(one, kind)) {
                classes().that(DescribedPredicate.describe("are another " + kind.getSimpleName(),
                        c -> isOne(c, kind) && !c.equals(one)))
                        .should().onlyDependOnClassesThat(DescribedPredicate.describe("are not " + one.getSimpleName(),
                                c -> !c.equals(one))).allowEmptyShould(true).check(house);
            }
        }
    }

    @Test
    public void theKernelHasOneDoor() {
        classes().that().resideInAPackage("tinperch.solid.kernel").and().haveSimpleNameNotEndingWith("SolidKernel")
                .and().haveSimpleNameNotEndingWith("Engraver").and().haveSimpleNameNotEndingWith("Hands").and().haveSimpleNameNotEndingWith("PlaneMemory")
                .and().haveSimpleNameNotContaining("package-info").should().notBePublic().check(house);
    }
}
