package raftcart.move;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.Set;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.engine.EngineSession;
import raftcart.error.PlanException;
import raftcart.plan.Selection;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** Which rows of a table are newer than those of the target, by the growing column that the plan names. */
final class NewerRows {
    private static final Set<ValueForm> GROWING =
            Set.of(ValueForm.INTEGER, ValueForm.DECIMAL, ValueForm.DATE, ValueForm.TIMESTAMP, ValueForm.INSTANT);

    private final EngineSession target;
    private final Dialect source;
    private final Selection plan;
    private final TargetRows targetRows;

    NewerRows(EngineSession target, Dialect source, Selection plan, TargetRows targetRows) {
        this.target = target;
        this.source = source;
        this.plan = plan;
        this.targetRows = targetRows;
    }

    /** A condition in the source's SQL; empty where all rows go. Rows as new as the newest are updated, but not added again. */
    String condition(TableMapping table) throws SQLException {
        ObjectName name = table.source().name();
        Optional<String> since = plan.since(name);
        boolean adds = targetRows == TargetRows.APPEND || targetRows == TargetRows.UPDATE;
        if (since.isEmpty() || !adds) {
            return "";
        }
        ColumnMapping column = table.columns().stream()
                .filter(c -> c.source().name().equalsIgnoreCase(since.get()))
                .findFirst()
                .orElseThrow(() -> new PlanException(
                        "tables.rules: since: " + name + " has no column '" + since.get() + "' that goes", null));
        if (!GROWING.contains(column.form()) || column.value().isPresent()) {
            throw new PlanException(
                    "tables.rules: since: " + name + "." + since.get()
                            + " is no number, date or moment as it is stored",
                    "Name a column that grows with each new or changed row.");
        }
        if (digits(column.target().type()) < digits(column.source().type())) {
            throw new PlanException(
                    "tables.rules: since: " + name + "." + since.get()
                            + " has fewer digits on the target, so that what is newer cannot be told",
                    "Name another column, or give it a type of as many digits.");
        }
        Optional<String> newest = newest(table, column);
        return newest.map(n -> source.identifiers().quote(column.source().name())
                        + (targetRows == TargetRows.UPDATE ? " >= " : " > ")
                        + source.values().constant(n, column.form()))
                .orElse("");
    }

    /** Digits behind the second or the point; large where there is no limit. */
    private static int digits(LogicalType type) {
        if (type instanceof LogicalType.Timestamp t) {
            return t.precision();
        }
        if (type instanceof LogicalType.Decimal d) {
            return d.precision() == 0 ? Integer.MAX_VALUE : d.scale();
        }
        return 0;
    }

    private Optional<String> newest(TableMapping table, ColumnMapping column) throws SQLException {
        Dialect dialect = target.engine().dialect();
        String name = dialect.identifiers().quote(column.target().name());
        String sql = "SELECT " + dialect.values().canonical(column.target(), column.form()) + " FROM (SELECT MAX("
                + name + ") AS " + name + " FROM " + dialect.values().rowsOf(table.target()) + ") newest";
        try (Statement statement = target.connection().createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            return Optional.ofNullable(rows.getString(1));
        }
    }
}
