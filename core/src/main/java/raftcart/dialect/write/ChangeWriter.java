package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Statement.Upsert;
import raftcart.sql.tree.TableRef;

/** Writes statements that read or change rows. */
public class ChangeWriter {
    private final WriterContext context;
    private final Language language;
    private SqlWriter writer;

    public ChangeWriter(WriterContext context) {
        this.context = context;
        this.language = context.language();
    }

    void attach(SqlWriter statements) {
        this.writer = statements;
    }

    protected final WriterContext context() {
        return context;
    }

    protected final boolean has(SqlFeature feature) {
        return language.has(feature);
    }

    protected final Untranslatable cannot(String what) {
        return new Untranslatable(what + " cannot be said in " + language.name());
    }

    private void require(SqlFeature feature, String what) {
        if (!has(feature)) {
            throw cannot(what);
        }
    }

    protected final String text(Expr expression) {
        return writer.expression(expression);
    }

    protected final String name(raftcart.sql.tree.QualifiedName name) {
        return writer.expressions().name(name);
    }

    private String table(TableRef table) {
        return writer.queries().table(table);
    }

    /** The statement. */
    public final String statement(Statement.Dml statement) {
        return has(SqlFeature.CHANGES_AS_TABLES) ? readFrom(statement) : plain(statement);
    }

    /** A change whose rows are read from it as from a table. */
    private String readFrom(Statement.Dml statement) {
        if (statement instanceof Insert insert && !insert.returning().isEmpty()) {
            return rowsOf("FINAL", insert.giving(List.of()), insert.returning());
        }
        if (statement instanceof Statement.Update update && !update.returning().isEmpty()) {
            return rowsOf("FINAL", update.giving(List.of()), update.returning());
        }
        return statement instanceof Statement.Delete delete
                        && !delete.returning().isEmpty()
                ? rowsOf("OLD", delete.giving(List.of()), delete.returning())
                : plain(statement);
    }

    private String rowsOf(String which, Statement.Dml change, List<QueryBody.Item> items) {
        return "SELECT " + items.stream().map(writer.queries()::item).collect(Collectors.joining(", ")) + "\nFROM "
                + which + " TABLE " + Layout.parentheses(plain(change));
    }

    private String plain(Statement.Dml statement) {
        if (statement instanceof Statement.QueryStatement query) {
            return queryInto(query);
        }
        if (statement instanceof Insert insert) {
            return insert(insert);
        }
        if (statement instanceof Statement.Update update) {
            return update(update);
        }
        if (statement instanceof Statement.Delete delete) {
            return delete(delete);
        }
        if (statement instanceof Statement.Merge merge) {
            return merge(merge);
        }
        if (statement instanceof Statement.Truncate truncate) {
            return truncate(truncate);
        }
        if (statement instanceof Statement.CallProcedure call) {
            require(SqlFeature.PROCEDURES, "a procedure");
            return call(call);
        }
        throw cannot("an INSERT into several tables");
    }

    private String queryInto(Statement.QueryStatement statement) {
        Optional<String> into = statement.into().map(writer.expressions()::name);
        if (into.isPresent()) {
            require(SqlFeature.SELECT_INTO, "SELECT INTO");
        }
        return writer.queries().query(statement.query(), into);
    }

    private String insert(Insert insert) {
        List<String> clauses = new ArrayList<>();
        writer.queries().with(insert.with(), false).ifPresent(clauses::add);
        clauses.add(verb(insert) + " INTO " + writer.expressions().name(insert.table())
                + insert.alias().map(a -> " AS " + language.write(a.name())).orElse("")
                + writer.queries().columns(insert.columns())
                + output(insert.returning(), "INSERTED"));
        if (!insert.overriding().isEmpty() && has(SqlFeature.OVERRIDING)) {
            overriding(insert).ifPresent(clauses::add);
        }
        clauses.add(insert.source().map(this::source).orElseGet(this::defaultRow));
        insert.upsert().ifPresent(u -> clauses.add(upsert(u)));
        returning(insert.returning()).ifPresent(clauses::add);
        return Layout.clauses(clauses);
    }

    /** OVERRIDING SYSTEM VALUE, where the dialect has it. */
    protected Optional<String> overriding(Insert insert) {
        return Optional.of("OVERRIDING " + insert.overriding() + " VALUE");
    }

    private String verb(Insert insert) {
        return switch (insert.mode()) {
            case INSERT -> "INSERT";
            case IGNORE -> {
                if (has(SqlFeature.INSERT_IGNORE)) {
                    yield "INSERT IGNORE";
                }
                require(SqlFeature.INSERT_OR, "an INSERT that passes over rows that are there");
                yield "INSERT OR IGNORE";
            }
            case REPLACE -> {
                if (has(SqlFeature.REPLACE)) {
                    yield "REPLACE";
                }
                require(SqlFeature.INSERT_OR, "REPLACE");
                yield "INSERT OR REPLACE";
            }
        };
    }

    private String source(Query query) {
        if (!(query.body() instanceof QueryBody.Values values)) {
            return writer.query(query);
        }
        if (values.rows().size() > 1 && !has(SqlFeature.ROWS_IN_INSERT)) {
            return rowsAsQuery(values);
        }
        return "VALUES " + writer.queries().rows(values);
    }

    /** Several rows where VALUES takes only one. */
    protected String rowsAsQuery(QueryBody.Values values) {
        if (values.rows().stream().flatMap(List::stream).anyMatch(Expr.Default.class::isInstance)) {
            throw cannot("DEFAULT among several rows");
        }
        String from = language.dummyTable().isEmpty() ? "" : " FROM " + language.dummyTable();
        return values.rows().stream()
                .map(r -> "SELECT " + r.stream().map(this::text).collect(Collectors.joining(", ")) + from)
                .collect(Collectors.joining("\nUNION ALL "));
    }

    private String defaultRow() {
        require(SqlFeature.INSERT_DEFAULT_VALUES, "a row of defaults");
        return "DEFAULT VALUES";
    }

    /** What to do with a row whose key is there. */
    protected String upsert(Upsert upsert) {
        if (has(SqlFeature.ON_CONFLICT)) {
            String target = upsert.constraint()
                    .map(c -> " ON CONSTRAINT " + language.write(c))
                    .orElseGet(() -> upsert.target().isEmpty()
                            ? ""
                            : upsert.target().stream().map(this::text).collect(Collectors.joining(", ", " (", ")")));
            if (upsert.assignments().isEmpty()) {
                return "ON CONFLICT" + target + " DO NOTHING";
            }
            return "ON CONFLICT" + target + " DO UPDATE SET " + assignments(upsert.assignments())
                    + upsert.where().map(w -> " WHERE " + text(w)).orElse("");
        }
        require(SqlFeature.ON_DUPLICATE_KEY, "an upsert of this form");
        if (upsert.where().isPresent() || upsert.assignments().isEmpty()) {
            throw cannot("an upsert of this form");
        }
        return "ON DUPLICATE KEY UPDATE " + assignments(upsert.assignments());
    }

    protected final String assignments(List<Assignment> assignments) {
        return assignments.stream().map(this::assignment).collect(Collectors.joining(", "));
    }

    private String assignment(Assignment assignment) {
        if (assignment.columns().size() == 1) {
            // Without parentheses the second sign of a comparison is hard to read, and HSQLDB does not read it.
            boolean comparison =
                    assignment.value() instanceof Expr.Binary b && b.operator().compares();
            String value = text(assignment.value());
            return text(assignment.columns().get(0)) + " = " + (comparison ? "(" + value + ")" : value);
        }
        require(SqlFeature.ROW_ASSIGNMENT, "an assignment to several columns at once");
        return assignment.columns().stream().map(this::text).collect(Collectors.joining(", ", "(", ")")) + " = "
                + text(assignment.value());
    }

    private String output(List<QueryBody.Item> items, String rows) {
        if (items.isEmpty() || !has(SqlFeature.OUTPUT)) {
            return "";
        }
        return " OUTPUT " + items.stream().map(i -> outputItem(i, rows)).collect(Collectors.joining(", "));
    }

    private String outputItem(QueryBody.Item item, String rows) {
        if (item.value() instanceof Expr.Column column && column.name().parts().size() == 1) {
            return rows + "." + writer.queries().item(item);
        }
        if (item.value() instanceof Expr.Star) {
            return rows + ".*";
        }
        throw cannot("an OUTPUT of other than columns");
    }

    private Optional<String> returning(List<QueryBody.Item> items) {
        if (items.isEmpty() || has(SqlFeature.OUTPUT)) {
            return Optional.empty();
        }
        require(SqlFeature.RETURNING, "RETURNING");
        return Optional.of(
                "RETURNING " + items.stream().map(writer.queries()::item).collect(Collectors.joining(", ")));
    }

    /** The table that is changed. */
    protected String target(TableRef table) {
        return table(table);
    }

    private String update(Statement.Update update) {
        if (!update.returning().isEmpty() && !has(SqlFeature.OUTPUT)) {
            require(SqlFeature.UPDATE_RETURNING, "RETURNING of an UPDATE");
        }
        List<String> clauses = new ArrayList<>();
        writer.queries().with(update.with(), false).ifPresent(clauses::add);
        clauses.add("UPDATE " + top(update.limit()) + target(update.target()));
        clauses.add("SET " + assignments(update.assignments()) + output(update.returning(), "INSERTED"));
        if (!update.from().isEmpty()) {
            clauses.add("FROM " + writer.queries().tables(update.from()));
        }
        tail(clauses, update.where(), update.order(), update.limit());
        returning(update.returning()).ifPresent(clauses::add);
        return Layout.clauses(clauses);
    }

    private String top(Optional<Expr> limit) {
        boolean top = limit.isPresent()
                && !has(SqlFeature.CHANGE_LIMIT)
                && language.paging() == raftcart.dialect.PagingStyle.TOP_OR_FETCH;
        return top ? "TOP (" + text(limit.get()) + ") " : "";
    }

    private void tail(
            List<String> clauses, Optional<Expr> where, List<raftcart.sql.tree.OrderItem> order, Optional<Expr> limit) {
        where.ifPresent(w -> clauses.add("WHERE " + text(w)));
        if (!order.isEmpty()) {
            require(SqlFeature.CHANGE_LIMIT, "ORDER BY in a change");
            clauses.add("ORDER BY " + writer.expressions().order(order));
        }
        if (limit.isPresent() && top(limit).isEmpty()) {
            require(SqlFeature.CHANGE_LIMIT, "a limit of a change");
            clauses.add("LIMIT " + text(limit.get()));
        }
    }

    private String delete(Statement.Delete delete) {
        List<String> clauses = new ArrayList<>();
        writer.queries().with(delete.with(), false).ifPresent(clauses::add);
        String targets =
                delete.targets().stream().map(writer.expressions()::name).collect(Collectors.joining(", "));
        String output = output(delete.returning(), "DELETED");
        String head = "DELETE " + top(delete.limit());
        clauses.add(
                targets.isEmpty()
                        ? head + "FROM " + target(delete.table()) + output
                        : head + targets + output + " FROM " + table(delete.table()));
        if (!delete.using().isEmpty()) {
            clauses.add("USING " + writer.queries().tables(delete.using()));
        }
        tail(clauses, delete.where(), delete.order(), delete.limit());
        returning(delete.returning()).ifPresent(clauses::add);
        return Layout.clauses(clauses);
    }

    private String merge(Statement.Merge merge) {
        require(SqlFeature.MERGE, "MERGE");
        List<String> clauses = new ArrayList<>();
        writer.queries().with(merge.with(), false).ifPresent(clauses::add);
        clauses.add("MERGE INTO " + table(merge.target()));
        if (merge.source() instanceof TableRef.Derived) {
            require(SqlFeature.MERGE_FROM_QUERY, "MERGE with the rows of a query");
        }
        clauses.add("USING " + table(merge.source()));
        clauses.add("ON " + mergeCondition(merge.on()));
        for (MergeAction action : merge.actions()) {
            clauses.add(mergeAction(action));
        }
        if (!merge.returning().isEmpty()) {
            throw cannot("the rows of a MERGE");
        }
        return String.join("\n", clauses) + mergeEnd();
    }

    /** The condition by which rows match. */
    protected String mergeCondition(Expr on) {
        return text(on);
    }

    /** What ends a MERGE. */
    protected String mergeEnd() {
        return "";
    }

    /** One branch of a MERGE. */
    protected String mergeAction(MergeAction action) {
        if (action.bySource()) {
            require(SqlFeature.MERGE_BY_SOURCE, "WHEN NOT MATCHED BY SOURCE");
        }
        if (action.deleteWhere().isPresent()) {
            throw cannot("DELETE WHERE in a MERGE");
        }
        if (action.condition().isPresent() || action.kind() == MergeAction.Kind.DELETE) {
            require(SqlFeature.MERGE_CONDITIONS, "a MERGE with conditions");
        }
        String head = (action.matched()
                        ? "WHEN MATCHED"
                        : action.bySource() ? "WHEN NOT MATCHED BY SOURCE" : "WHEN NOT MATCHED")
                + action.condition().map(c -> " AND " + text(c)).orElse("")
                + " THEN ";
        return head + mergeVerb(action);
    }

    protected final String mergeVerb(MergeAction action) {
        return switch (action.kind()) {
            case UPDATE -> "UPDATE SET " + assignments(action.assignments());
            case DELETE -> "DELETE";
            case NOTHING -> "DO NOTHING";
            case INSERT ->
                "INSERT" + writer.queries().columns(action.columns()) + " VALUES ("
                        + action.values().stream().map(this::text).collect(Collectors.joining(", ")) + ")";
        };
    }

    /** All rows of tables removed. */
    protected String truncate(Statement.Truncate truncate) {
        if (truncate.cascade()) {
            throw cannot("TRUNCATE with CASCADE");
        }
        String restart = truncate.restart() ? " RESTART IDENTITY" : "";
        String word = has(SqlFeature.TRUNCATE) ? "TRUNCATE TABLE " : "DELETE FROM ";
        return truncate.tables().stream()
                .map(t -> word + writer.expressions().name(t) + restart)
                .collect(Collectors.joining(";\n"));
    }

    /** A procedure called. */
    protected String call(Statement.CallProcedure call) {
        return "CALL " + writer.expressions().name(call.name()) + "("
                + call.arguments().stream().map(this::text).collect(Collectors.joining(", ")) + ")";
    }
}
