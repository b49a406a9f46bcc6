package raftcart.workspace;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import raftcart.catalog.Catalog;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;
import raftcart.plan.Plan;
import raftcart.plan.PlanFile;

/** The folder of one migration. */
public final class Workspace {
    private static final String CATALOG = "source/catalog.json";

    private final Path folder;

    private Workspace(Path folder) {
        this.folder = folder;
    }

    /**
     * An existing migration.
     *
     * @throws PlanException if the folder holds none
     */
    public static Workspace open(Path folder) {
        if (!Files.isRegularFile(folder.resolve(PlanFile.NAME))) {
            throw new PlanException(
                    folder + " holds no " + PlanFile.NAME,
                    "Start a migration with `raftcart init DIR --source URL --target URL`, or name its folder with -C.");
        }
        return new Workspace(folder);
    }

    /**
     * Makes a new migration of a plan's text.
     *
     * @throws PlanException if the folder holds one already
     */
    public static Workspace create(Path folder, String planText) {
        if (Files.exists(folder.resolve(PlanFile.NAME))) {
            throw new PlanException(
                    folder.resolve(PlanFile.NAME) + " exists already",
                    "Go on with it (`raftcart run -C " + folder + "`), or choose another folder.");
        }
        Workspace workspace = new Workspace(folder);
        workspace.write(PlanFile.NAME, planText);
        return workspace;
    }

    /** The folder itself. */
    public Path folder() {
        return folder;
    }

    /** The plan as it stands in the folder now. */
    public Plan plan() {
        return PlanFile.read(folder.resolve(PlanFile.NAME));
    }

    /** Changes whenever the text of the plan does. */
    public String planHash() {
        try {
            return Manifest.hash(Files.readString(folder.resolve(PlanFile.NAME)));
        } catch (IOException e) {
            throw new WorkspaceException(folder.resolve(PlanFile.NAME) + " cannot be read", null, e);
        }
    }

    /** The journal of this migration. */
    public Journal journal() {
        return new Journal(this);
    }

    /** The catalog that the survey left, if there was one. */
    public Optional<Catalog> catalog() {
        Path file = folder.resolve(CATALOG);
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            return Optional.of(Json.MAPPER.readValue(Files.readString(file), Catalog.class));
        } catch (IOException e) {
            throw new WorkspaceException(file + " is damaged", "Read the source again with `raftcart survey`.", e);
        }
    }

    /** Keeps the catalog. */
    public void keepCatalog(Catalog catalog) {
        write(CATALOG, Json.pretty(catalog) + "\n");
    }

    /** Keeps a result below {@code reports/}. */
    public void keepReport(String name, JsonNode report) {
        write("reports/" + name, Json.pretty(report) + "\n");
    }

    /** A path below the folder. */
    public Path path(String relative) {
        return folder.resolve(relative);
    }

    /** Writes a file as a whole: readers see the old text or the new one, never a part. */
    public void write(String relative, String text) {
        Path file = folder.resolve(relative);
        Path partial = file.resolveSibling(file.getFileName() + ".part");
        try {
            Files.createDirectories(file.getParent());
            Files.writeString(partial, text);
            Files.move(partial, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be written: " + reason(e),
                    "Check that the folder is yours to write and the disk is not full.",
                    e);
        }
    }

    static String reason(IOException e) {
        String name = e.getClass().getSimpleName().replaceAll("Exception$", "");
        return name + (e.getMessage() == null ? "" : " (" + e.getMessage() + ")");
    }
}
