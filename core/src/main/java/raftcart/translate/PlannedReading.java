package raftcart.translate;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.dialect.Language;
import raftcart.error.PlanException;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.plan.Plan;
import raftcart.plan.Suggestion;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryMapper;
import raftcart.type.LogicalType;

/** What the plan wants to be read of a table: its own values for columns, and not all rows. */
final class PlannedReading {
    private final Language from;
    private final Plan plan;
    private final Table source;
    private final Notes notes;

    PlannedReading(Language from, Plan plan, Table source, Notes notes) {
        this.from = from;
        this.plan = plan;
        this.source = source;
        this.notes = notes;
    }

    /** The condition under which rows go; empty for all. */
    Optional<String> rows() {
        Optional<String> rows = plan.tables().rows(source.name());
        rows.ifPresent(r -> {
            check("rows", source.name().toString(), r);
            notes.find(FindingCode.ROWS_LEFT_OUT, source.name().toString(), "only where " + r);
        });
        return rows;
    }

    /** What is read in the place of a column. */
    String value(Column column, String value) {
        String object = source.name() + "." + column.name();
        check("value", object, value);
        notes.find(FindingCode.VALUE_CHANGED, object, value);
        return value;
    }

    /** The UUID in the place of a number. */
    String uuid(Column column) {
        Dialect dialect = Dialects.named(from.name())
                .filter(d -> !plan.source().isScripts())
                .orElseThrow(() -> noDatabase(source.name(), "key: uuid"));
        return dialect.values().uuidOfNumber(dialect.identifiers().quote(column.name()));
    }

    static PlanException noDatabase(ObjectName table, String what) {
        return new PlanException(
                "`" + what + "` for " + table + " needs a database as the source, not scripts",
                "Leave it out, or change the rows on the target afterwards.");
    }

    /** A column whose values have another type once the plan's value stands in its place. */
    Column typed(Column column, LogicalType type) {
        return new Column(
                column.name(),
                column.declaredType(),
                type,
                column.nullable(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                "",
                Optional.empty(),
                column.comment());
    }

    /** Refuses what the source could not read, before anything is made. */
    private void check(String key, String object, String text) {
        if (plan.source().isScripts() || Dialects.named(from.name()).isEmpty()) {
            throw noDatabase(source.name(), key);
        }
        try {
            columns(ExprParser.parse(text, from.grammar()), object, key);
        } catch (SqlSyntaxException e) {
            throw new PlanException(
                    "`" + key + "` for " + object + " is not an expression: " + e.getMessage(),
                    "Write it in the SQL of the source, as it would stand in a SELECT on this table alone.",
                    e);
        }
    }

    private void columns(Expr expression, String object, String key) {
        Set<String> known = new HashSet<>();
        source.columns().forEach(c -> known.add(c.name().toLowerCase(Locale.ROOT)));
        new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Column column) {
                    refuseUnknown(column, known, object, key);
                }
                return super.expr(e);
            }

            @Override
            public Query query(Query query) {
                return query; // it may read other tables
            }
        }.expr(expression);
    }

    private void refuseUnknown(Expr.Column column, Set<String> known, String object, String key) {
        String name = column.name().last().text().toLowerCase(Locale.ROOT);
        if (!known.contains(name) && !from.reserved().contains(name)) {
            String near = Suggestion.nearest(name, List.copyOf(known))
                    .map(n -> "; did you mean '" + n + "'?")
                    .orElse("");
            throw new PlanException(
                    "`" + key + "` for " + object + " names the column '" + name + "', which " + source.name()
                            + " does not have" + near,
                    "Mend it in raftcart.yaml.");
        }
    }
}
