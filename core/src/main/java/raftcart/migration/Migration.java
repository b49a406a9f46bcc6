package raftcart.migration;

import java.sql.SQLException;
import java.util.List;
import raftcart.catalog.Catalog;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.engine.EngineSession;
import raftcart.engine.Engines;
import raftcart.engine.SharedSnapshot;
import raftcart.error.ConnectException;
import raftcart.error.PlanException;
import raftcart.plan.Plan;
import raftcart.scripts.ScriptSource;
import raftcart.translate.Translation;
import raftcart.translate.Translator;
import raftcart.workspace.Workspace;

/** One migration: its folder and its plan, and what the stages share. */
public final class Migration {
    private final Workspace workspace;
    private final Plan plan;

    public Migration(Workspace workspace) {
        this.workspace = workspace;
        this.plan = workspace.plan();
    }

    /** The migration's folder. */
    public Workspace workspace() {
        return workspace;
    }

    /** The plan as it was read. */
    public Plan plan() {
        return plan;
    }

    /** True where the source is a folder of script files. */
    public boolean hasScripts() {
        return ScriptSource.accepts(plan.source().url());
    }

    ScriptSource scripts() {
        return ScriptSource.of(plan.source().url()).below(workspace.folder());
    }

    EngineSession openSource() {
        if (hasScripts()) {
            throw new PlanException(
                    "the source is a folder of script files; there is no database to compare with",
                    "The load says how many rows the scripts brought; name a database as the source to compare rows.");
        }
        return Engines.open(plan.source());
    }

    SharedSnapshot openSnapshot(int readers) throws SQLException {
        return Engines.openSnapshot(plan.source(), readers);
    }

    EngineSession openTarget() {
        EngineSession target = Engines.open(plan.target());
        if (target.defaultSchema().isEmpty()) {
            target.close();
            throw new ConnectException(
                    "the target's URL " + plan.target().shownUrl() + " names no database",
                    "Say to which one the tables go: " + target.engine().urlForm());
        }
        return target;
    }

    Dialect targetDialect() {
        return Engines.forUrl(plan.target().url()).dialect();
    }

    Catalog catalog() {
        return workspace
                .catalog()
                .orElseThrow(() -> new PlanException(
                        "the source has not been surveyed yet", "Run `raftcart survey` (or `raftcart run`) first."));
    }

    /** Translates the catalog kept by the survey; the same catalog and plan always give the same. */
    Translation translation(String targetSchema) {
        Catalog catalog = catalog();
        return Translator.translate(catalog, language(catalog), targetDialect(), plan, targetSchema);
    }

    /** What the surveyed catalog would become on an engine. */
    public Assessment assess(Dialect to) {
        Catalog catalog = catalog();
        return Assessment.of(catalog, language(catalog), to, plan);
    }

    /** One object of the source by its name, with or without its schema. */
    public ShownObject show(String name) {
        Dialect to = targetDialect();
        Translation translation = translation(to.language().defaultSchema());
        return ShownObject.of(name, catalog(), translation, to);
    }

    /** The dialects of the engines to which databases can be moved. */
    public static List<Dialect> targets() {
        return Dialects.all();
    }

    /** The dialect of the plan's target. */
    public Dialect target() {
        return targetDialect();
    }

    /** The same with what translates statements of the source. */
    Translator.Planned planned(String targetSchema) {
        Catalog catalog = catalog();
        return Translator.planned(catalog, language(catalog), targetDialect(), plan, targetSchema);
    }

    private static Language language(Catalog catalog) {
        return Languages.named(catalog.dialect())
                .orElseThrow(() -> new PlanException(
                        "the catalog is in the dialect '" + catalog.dialect() + "', which this version does not know",
                        "Survey the source again with this version."));
    }
}
