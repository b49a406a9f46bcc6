package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** A query whose rows a procedure hands to its caller, for a target where functions give rows and procedures do not. */
final class CodeResults {
    /** The type of variables that name a cursor. */
    static final TypeName CURSOR = TypeName.of("refcursor");

    private final CodeAdapter code;
    private final CodeFrame frame;
    private final QueryAdapter adapter;
    private final ResultSets sets;

    CodeResults(CodeAdapter code) {
        this.sets = new ResultSets(code.adapter().from);
        this.code = code;
        this.frame = code.frame();
        this.adapter = code.adapter();
    }

    List<Statement> given(Statement.QueryStatement query) {
        if (isOneOfSeveral() || isAlone() && !areKnown(query.query())) {
            return opened(query);
        }
        List<Parameter> columns = expected(query.query(), query.span());
        return List.of(new CodeStatement.ReturnRows(
                typed(query.query(), adapter.query(query.query()), columns), query.span()));
    }

    private boolean isOneOfSeveral() {
        return frame.kind == CodeFrame.Kind.PERHAPS_OF_ROWS && sets.most(frame.whole) > 1;
    }

    private boolean isAlone() {
        return frame.kind == CodeFrame.Kind.PERHAPS_OF_ROWS && sets.isOne(frame.whole);
    }

    /** A table cannot go while a cursor reads from it. */
    private void refuseLaterDrops(Span span) {
        boolean drops = StatementSearch.anyStatement(
                List.of(frame.whole),
                s -> (s instanceof DdlStatement || s instanceof Statement.Truncate)
                        && !(s instanceof DdlStatement.CreateTable)
                        && isBehind(s.span(), span));
        if (drops) {
            throw CodeAdapter.at(span, "a result set for the caller, behind which a table is dropped or changed");
        }
    }

    private static boolean isBehind(Span one, Span other) {
        return one.line() > other.line() || one.line() == other.line() && one.column() > other.column();
    }

    private boolean areKnown(Query query) {
        List<Scope.ColumnFacts> facts = adapter.finder.columns(query, adapter.scope);
        return !facts.isEmpty() && facts.stream().allMatch(f -> type(f).isPresent());
    }

    /** A cursor for each result set, which the caller fetches ("Returning Cursors", PL/pgSQL). */
    private List<Statement> opened(Statement.QueryStatement query) {
        Span span = query.span();
        refuseLaterDrops(span);
        if (frame.rows().isEmpty()) {
            frame.give(List.of(new Parameter(Mode.OUT, Name.of("result_"), CURSOR, Optional.empty())));
            frame.called()
                    .map(n -> new QualifiedName(List.of(n)))
                    .ifPresent(adapter.knowledge.code().signatures()::addCursors);
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "a function that gives a cursor for each result set: SELECT * FROM it where it was called, and FETCH ALL"
                            + " from each within the same transaction");
        }
        Name cursor = frame.results(span);
        Expr named = Expr.Column.of(cursor.text());
        return List.of(
                new CodeStatement.Assign(named, Expr.Literal.ofNull(), span),
                new CodeStatement.CursorStep(true, cursor, List.of(), Optional.of(adapter.query(query.query())), span),
                new CodeStatement.ReturnRows(
                        Query.of(QueryBody.Select.of(List.of(Item.of(named)), List.of(), Optional.empty())), span));
    }

    /**
     * The same of a query that is put together as a text.
     *
     * @param apart what knows nothing of the routine's variables
     */
    Query given(Query template, StatementAdapter apart, Span span) {
        if (isOneOfSeveral()) {
            throw CodeAdapter.at(span, "one of several result sets for the caller, which is put together as a text");
        }
        List<Parameter> columns = expected(template, span);
        return typed(template, apart.expressions().query(template), columns);
    }

    /** The columns of the rows, which have to be those of the other queries that give rows. */
    private List<Parameter> expected(Query query, Span span) {
        if (frame.kind != CodeFrame.Kind.PERHAPS_OF_ROWS) {
            throw CodeAdapter.at(span, "a result set for the caller, beside values");
        }
        List<Parameter> columns = columns(query, span);
        if (frame.rows().isEmpty()) {
            frame.give(columns);
            adapter.note(
                    FindingCode.SYNTAX_CHECK, span, "a function that gives rows: SELECT * FROM it where it was called");
        } else if (!areAlike(frame.rows(), columns, query)) {
            throw CodeAdapter.at(span, "a second result set, which has other columns");
        }
        return columns;
    }

    /** True for columns of the same types and names; of what is computed and not named the first query gives the name. */
    private static boolean areAlike(List<Parameter> first, List<Parameter> columns, Query query) {
        if (first.size() != columns.size()) {
            return false;
        }
        List<Item> items =
                query.body() instanceof QueryBody.Select s && s.items().size() == columns.size()
                        ? s.items()
                        : List.of();
        for (int i = 0; i < columns.size(); i++) {
            boolean named = items.isEmpty()
                    || items.get(i).alias().isPresent()
                    || items.get(i).value() instanceof Expr.Column
                    || items.get(i).value() instanceof Expr.Star;
            boolean alike = first.get(i).type().equals(columns.get(i).type())
                    && (!named || first.get(i).name().equals(columns.get(i).name()));
            if (!alike) {
                return false;
            }
        }
        return true;
    }

    /** The call of a procedure that has become a function of rows. */
    static Statement asked(Statement.CallProcedure call, List<Expr> arguments) {
        Expr function = new Expr.Call(call.name(), false, arguments, CallSuffix.NONE, call.span());
        TableRef rows = new TableRef.Function(function, false, false, Optional.empty(), call.span());
        QueryBody all = QueryBody.Select.of(
                List.of(Item.of(new Expr.Star(Optional.empty(), List.of(), call.span()))),
                List.of(rows),
                Optional.empty());
        return new Statement.QueryStatement(Query.of(all), Optional.empty(), false, call.span());
    }

    private List<Parameter> columns(Query query, Span span) {
        List<Scope.ColumnFacts> facts = adapter.finder.columns(query, adapter.scope);
        if (facts.isEmpty()) {
            throw CodeAdapter.at(span, "a result set for the caller, whose columns are not known");
        }
        List<Parameter> columns = new ArrayList<>();
        for (Scope.ColumnFacts fact : facts) {
            boolean computed = DynamicCode.isComputed(fact.name()) || frame.isAdded(fact.name());
            Name name = Name.of(computed || fact.name().isEmpty() ? "column_" + (columns.size() + 1) : fact.name());
            LogicalType type = type(fact)
                    .orElseThrow(() -> CodeAdapter.at(
                            span,
                            "a result set for the caller, of which the type of " + name.text() + " is not known"));
            columns.add(new Parameter(Mode.OUT, name, code.written(name, type), Optional.empty()));
        }
        return columns;
    }

    /** The type of a column of a query, or one for its kind of value. */
    static Optional<LogicalType> type(Scope.ColumnFacts fact) {
        return fact.type().or(() -> ofKind(fact.kind()));
    }

    private static Optional<LogicalType> ofKind(ValueKind kind) {
        return switch (kind) {
            case INTEGER, BOOLEAN -> Optional.of(new LogicalType.Int(64, false));
            case DECIMAL -> Optional.of(new LogicalType.Decimal(0, 0, false));
            case FLOAT -> Optional.of(new LogicalType.Floating(64));
            case TEXT -> Optional.of(new LogicalType.Text(0));
            case DATE -> Optional.of(new LogicalType.Date());
            case TIMESTAMP -> Optional.of(new LogicalType.Timestamp(6, false));
            case JSON -> Optional.of(new LogicalType.Json(true));
            default -> Optional.empty();
        };
    }

    /** The query with what it computes cast to the types of the rows, which have to be met exactly. */
    private static Query typed(Query given, Query adapted, List<Parameter> columns) {
        boolean listed = given.body() instanceof QueryBody.Select before
                && adapted.body() instanceof QueryBody.Select after
                && before.items().size() == columns.size()
                && after.items().size() == columns.size()
                && before.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
        if (!listed) {
            return adapted;
        }
        List<Item> before = ((QueryBody.Select) given.body()).items();
        List<Item> after = ((QueryBody.Select) adapted.body()).items();
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Item item = after.get(i);
            Expr cast = new Expr.Cast(
                    item.value(), columns.get(i).type(), false, item.value().span());
            items.add(
                    before.get(i).value() instanceof Expr.Column
                            ? item
                            : new Item(cast, Optional.of(columns.get(i).name())));
        }
        return adapted.withBody(((QueryBody.Select) adapted.body()).withItems(items));
    }
}
