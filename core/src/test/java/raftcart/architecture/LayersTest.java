package raftcart.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Arrows between packages point downward only, and engines are named in their own packages only. */
class LayersTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("raftcart");

    @Test
    void arrowsPointDownward() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("migration")
                .definedBy("raftcart.migration..")
                .layer("work")
                .definedBy("raftcart.move..", "raftcart.verify..", "raftcart.engine..")
                .layer("translate")
                .definedBy("raftcart.translate..")
                .layer("scripts")
                .definedBy("raftcart.scripts..")
                .layer("rewrite")
                .definedBy("raftcart.rewrite..")
                .layer("plan")
                .definedBy("raftcart.plan..")
                .layer("workspace")
                .definedBy("raftcart.workspace..")
                .layer("dialect")
                .definedBy("raftcart.dialect..")
                .layer("sql")
                .definedBy("raftcart.sql..")
                .layer("catalog")
                .definedBy("raftcart.catalog..")
                .layer("type")
                .definedBy("raftcart.type..")
                .whereLayer("migration")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("workspace")
                .mayOnlyBeAccessedByLayers("migration")
                .whereLayer("work")
                .mayOnlyBeAccessedByLayers("migration")
                .whereLayer("translate")
                .mayOnlyBeAccessedByLayers("migration", "work")
                .whereLayer("scripts")
                .mayOnlyBeAccessedByLayers("migration")
                .whereLayer("rewrite")
                .mayOnlyBeAccessedByLayers("migration", "translate", "scripts")
                .whereLayer("plan")
                .mayOnlyBeAccessedByLayers("migration", "work", "translate", "workspace")
                .whereLayer("dialect")
                .mayOnlyBeAccessedByLayers("migration", "work", "translate", "rewrite", "scripts")
                .whereLayer("sql")
                .mayOnlyBeAccessedByLayers("migration", "work", "translate", "rewrite", "scripts", "dialect")
                .check(CORE);
    }

    @Test
    void sqlKnowsNoDatabase() {
        noClasses()
                .that()
                .resideInAnyPackage(
                        "raftcart.sql..", "raftcart.dialect..", "raftcart.translate..", "raftcart.rewrite..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "java.net..")
                .check(CORE);
    }

    @Test
    void coreHasNoInterfaceAndNoDriver() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("picocli..", "org.postgresql..", "org.mariadb..", "me.tongfei..")
                .check(CORE);
    }

    @Test
    void enginesAreNamedInTheirOwnPackagesOnly() throws IOException {
        Pattern names = Pattern.compile(
                "(?i)postgres|mariadb|mysql|sqlite|hsqldb|derby|duckdb|firebird|oracle|sqlserver|teradata|snowflake|cockroach|\\bPg[A-Z]");
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            List<Path> offenders = files.filter(f -> f.toString().endsWith(".java"))
                    .filter(f -> !f.toString().matches(".*dialect.(?!write)[a-z0-9]+.[A-Za-z-]+[.]java"))
                    .filter(f -> !f.endsWith("Dialects.java")
                            && !f.endsWith("Languages.java")) // the registers of those that ship
                    .filter(f -> names.matcher(withoutComments(f)).find())
                    .toList();
            assertThat(offenders).isEmpty();
        }
    }

    private static String withoutComments(Path file) {
        try {
            return Files.readString(file).replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("//.*", "");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
