package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Rows whose values go into variables: where there is none, the variables keep theirs and handlers come into play. */
final class CodeRows {
    private static final Name ROW = Name.of("row_");

    private final CodeAdapter code;
    private final CodeFrame frame;
    private final QueryAdapter adapter;

    CodeRows(CodeAdapter code) {
        this.code = code;
        this.frame = code.frame();
        this.adapter = code.adapter();
    }

    List<Statement> select(CodeStatement.SelectInto into) {
        FilledVariables.refuseChains(into, adapter.from, adapter.to);
        CodeRecords records = new CodeRecords(code);
        Optional<List<Scope.ColumnFacts>> held = records.target(into.targets());
        if (held.isPresent()) {
            CodeStatement.SelectInto read = records.select(into, held.get());
            return into.expected() == Expected.AT_MOST_ONE ? held(read) : List.of(read);
        }
        if (!(into.query().body() instanceof QueryBody.Select select)
                || select.items().stream().anyMatch(i -> i.value() instanceof Expr.Star)) {
            throw CodeAdapter.at(into.span(), "a query into variables whose columns are not listed");
        }
        if (select.items().size() != into.targets().size()) {
            throw CodeAdapter.at(into.span(), "a query into another number of variables than it has columns");
        }
        List<Optional<LogicalType>> types = into.targets().stream()
                .map(t -> code.known(t).flatMap(Knowledge.KnownColumn::type))
                .toList();
        Query fitted = new ValueAdapter(adapter).fitted(into.query(), types);
        List<Expr> targets = into.targets().stream().map(code::target).toList();
        if (isTotal(into.query(), select)) {
            return List.of(new CodeStatement.SelectInto(adapter.query(fitted), targets, Expected.FIRST, into.span()));
        }
        if (into.expected() == Expected.EXACTLY_ONE) {
            return List.of(new CodeStatement.SelectInto(adapter.query(fitted), targets, into.expected(), into.span()));
        }
        boolean first = into.query()
                .paging()
                .flatMap(Query.Paging::limit)
                .filter(l -> l instanceof Expr.Literal n && n.text().equals("1"))
                .isPresent();
        if (into.expected() == Expected.LAST && !first && !isOneByKey(select)) {
            return List.of(last(into, select));
        }
        Name row = frame.row(into.span());
        Query named = adapter.query(fitted.withBody(valued((QueryBody.Select) fitted.body())));
        Statement read = new CodeStatement.SelectInto(
                named,
                List.of(Expr.Column.of(row.text())),
                first || into.expected() == Expected.LAST ? Expected.FIRST : Expected.AT_MOST_ONE,
                into.span());
        return List.of(read, taken(row, targets, into.span()));
    }

    /** True for a query that gives one row whatever its tables hold. */
    private boolean isTotal(Query query, QueryBody.Select select) {
        boolean total = select.groupBy().isEmpty()
                && select.having().isEmpty()
                && query.paging().isEmpty()
                && (select.from().isEmpty()
                        || select.items().stream().anyMatch(i -> Aggregates.ofRows(i.value(), adapter.from)));
        return total && (select.where().isEmpty() || !select.from().isEmpty());
    }

    /**
     * Every row gives its values to the variables, one after the other, so that the last one counts, and what a variable had
     * before may be a part of what it gets ("SELECT @local_variable", T-SQL).
     */
    private Statement last(CodeStatement.SelectInto into, QueryBody.Select select) {
        boolean builds = select.items().stream()
                .anyMatch(i -> ExprSearch.any(i.value(), e -> into.targets().stream()
                        .anyMatch(t -> e instanceof Expr.Column c && c.name().equals(((Expr.Column) t).name()))));
        List<Item> read = new ArrayList<>();
        List<Statement> body = new ArrayList<>();
        for (int i = 0; i < into.targets().size(); i++) {
            Expr value = select.items().get(i).value();
            Expr given = builds ? ofRow(value, read) : column(value, read);
            body.add(new CodeStatement.Assign(into.targets().get(i), given, into.span()));
        }
        if (builds && (!select.groupBy().isEmpty() || select.distinct())) {
            throw CodeAdapter.at(into.span(), "a variable that is built from groups of rows");
        }
        if (read.isEmpty()) {
            column(Expr.Literal.number(1), read);
        }
        body.addAll(code.cursors().counted(false, into.span()));
        Block loop = (Block) new CodeLoops(code)
                .loop(new CodeStatement.ForRows(
                        Optional.empty(),
                        ROW,
                        Optional.of(into.query().withBody(select.withItems(read))),
                        Optional.empty(),
                        List.of(),
                        body,
                        into.span()));
        List<Statement> all = new ArrayList<>(code.cursors().counted(true, into.span()));
        all.addAll(loop.body());
        return loop.withBody(all);
    }

    /** A value that is put together row by row: its columns are read, its variables are those of the code. */
    private Expr ofRow(Expr value, List<Item> read) {
        if (Aggregates.in(value, adapter.from)) {
            throw CodeAdapter.at(value.span(), "a variable that is built from groups of rows");
        }
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Column) {
                    return isFixed(e) ? e : column(e, read);
                }
                if (e instanceof Expr.Subquery || e instanceof Expr.Exists) {
                    throw CodeAdapter.at(e.span(), "a variable that is built from rows and from queries in them");
                }
                return super.expr(e);
            }
        }.expr(value);
    }

    /** A value of the query as a column of the row that is read; each is read once. */
    private static Expr column(Expr value, List<Item> read) {
        for (Item item : read) {
            if (value instanceof Expr.Column c
                    && item.value() instanceof Expr.Column o
                    && c.name().equals(o.name())) {
                return Expr.Column.of(ROW.text(), item.alias().orElseThrow().text());
            }
        }
        Name name = value(read.size());
        read.add(new Item(value, Optional.of(name)));
        return Expr.Column.of(ROW.text(), name.text());
    }

    /** True for a query of one table whose key has a value, so that there is one row at most. */
    private boolean isOneByKey(QueryBody.Select select) {
        if (select.from().size() != 1 || !(select.from().get(0) instanceof TableRef.Table table)) {
            return false;
        }
        List<Expr> conditions = select.where()
                .map(w -> w instanceof Expr.Junction j && j.and() ? j.parts() : List.of(w))
                .orElse(List.of());
        return adapter.knowledge
                .table(table.name())
                .filter(t -> t.keys().stream().anyMatch(key -> key.stream()
                        .allMatch(k -> conditions.stream().anyMatch(c -> isGiven(c, k)))))
                .isPresent();
    }

    private boolean isGiven(Expr condition, Name column) {
        return condition instanceof Expr.Binary b
                && b.operator() == BinaryOperator.EQUAL
                && (isColumn(b.left(), column) && isFixed(b.right())
                        || isColumn(b.right(), column) && isFixed(b.left()));
    }

    private static boolean isColumn(Expr e, Name column) {
        return e instanceof Expr.Column c && c.name().last().matches(column);
    }

    private boolean isFixed(Expr e) {
        return e instanceof Expr.Literal
                || e instanceof Expr.Column c
                        && c.name().parts().size() == 1
                        && frame.variable(c.name().last()).isPresent();
    }

    /** A query into a row that stays as it is where there is none. */
    private List<Statement> held(CodeStatement.SelectInto into) {
        Expr row = Expr.Column.of(frame.row(into.span()).text());
        Statement taken = new CodeStatement.Assign(into.targets().get(0), row, into.span());
        return List.of(
                new CodeStatement.SelectInto(into.query(), List.of(row), into.expected(), into.span()),
                new CodeStatement.If(
                        List.of(new Choice(Expr.Column.of("found"), List.of(taken))), ended(List.of()), into.span()));
    }

    private static Name value(int index) {
        return Name.of("value_" + (index + 1) + "_");
    }

    private static QueryBody valued(QueryBody.Select select) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < select.items().size(); i++) {
            items.add(new Item(select.items().get(i).value(), Optional.of(value(i))));
        }
        return select.withItems(items);
    }

    /** The values of a row, if there is one; else what the handler does. */
    private Statement taken(Name row, List<Expr> targets, Span span) {
        List<Statement> taken = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            Expr value = Expr.Column.of(row.text(), value(i).text());
            taken.add(new CodeStatement.Assign(targets.get(i), value, span));
        }
        return new CodeStatement.If(List.of(new Choice(Expr.Column.of("found"), taken)), ended(List.of()), span);
    }

    /** What is done where there is no row. */
    private List<Statement> ended(List<Statement> without) {
        CodeFrame.Active active = frame.notFound().peek();
        if (active == null) {
            return without;
        }
        frame.notFound().pop(); // a handler does not handle what its own statements meet
        List<Statement> done = new ArrayList<>(code.statement(active.handler().action()));
        frame.notFound().push(active);
        if (active.handler().leaves()) {
            done.add(new CodeStatement.Jump(
                    false,
                    Optional.of(active.block()),
                    Optional.empty(),
                    active.handler().span()));
        }
        return done;
    }

    /** A change of which the values of its row go into variables. */
    Statement changed(CodeStatement.ChangeInto into, StatementAdapter statements) {
        List<Statement> adapted = statements.adapt(into.change());
        if (adapted.size() != 1 || !adapter.to.has(SqlFeature.RETURNING)) {
            throw CodeAdapter.at(into.span(), "a change whose values go into variables");
        }
        into.targets().forEach(code::known);
        if (!(into.change() instanceof Statement.Insert)
                && adapter.from.grammar().has(GrammarFeature.PSQL_ROUTINES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    into.span(),
                    "where no row is changed the variables become NULL, on the source they keep their values");
        }
        List<Expr> targets = into.targets().stream().map(code::target).toList();
        return new CodeStatement.ChangeInto(adapted.get(0), targets, into.strict(), into.span());
    }

    List<Statement> fetch(CodeStatement.Fetch fetch) {
        CodeRecords records = new CodeRecords(code);
        Optional<List<Scope.ColumnFacts>> held = records.target(fetch.targets());
        if (held.isPresent()) {
            records.checkFetch(fetch, held.get());
            sayWhatIsLost(fetch);
            return List.of(fetch);
        }
        List<Expr> targets = fetch.targets().stream()
                .map(t -> {
                    code.known(t);
                    return code.target(t);
                })
                .toList();
        sayWhatIsLost(fetch);
        if (adapter.from.has(SqlFeature.FETCH_ENDS_QUIETLY)) {
            return List.of(new CodeStatement.Fetch(fetch.cursor(), targets, fetch.span()));
        }
        Statement missing = new CodeStatement.Signal(
                Optional.of("02000"),
                Optional.of(Expr.Literal.string("there is no row to fetch")),
                List.of(),
                fetch.span());
        Expr none = new Expr.Unary(UnaryOperator.NOT, Expr.Column.of("found"), fetch.span());
        return List.of(
                new CodeStatement.Fetch(fetch.cursor(), targets, fetch.span()),
                new CodeStatement.If(List.of(new Choice(none, ended(List.of(missing)))), List.of(), fetch.span()));
    }

    private void sayWhatIsLost(CodeStatement.Fetch fetch) {
        if (isReadElsewhere(fetch)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    fetch.span(),
                    "after the last row the variables are NULL, on the source they keep their values");
        }
    }

    /** True where a variable is mentioned outside of the loop that fetches into it, or that goes on while rows are found. */
    private boolean isReadElsewhere(CodeStatement.Fetch fetch) {
        CodeStatement.Loop loop = frame.loops().peek();
        boolean asked = code.cursors().asksForFetch();
        if (loop == null && !asked) {
            return true;
        }
        Statement rest = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                boolean inside = loop != null
                                && statement instanceof CodeStatement.Loop l
                                && l.span().equals(loop.span())
                        || asked && statement instanceof CodeStatement.Loop other && asksForFetch(other)
                        || asked && statement instanceof CodeStatement.Fetch;
                return inside ? new CodeStatement.Nothing(fetch.span()) : super.statement(statement);
            }
        }.statement(frame.whole);
        return fetch.targets().stream()
                .map(t -> ((Expr.Column) t).name().last())
                .anyMatch(n -> StatementSearch.anyExpression(
                        List.of(rest),
                        e -> e instanceof Expr.Column c
                                && (c.name().last().matches(n)
                                        || c.name().parts().get(0).matches(n))));
    }

    private static boolean asksForFetch(CodeStatement.Loop loop) {
        return loop.before()
                .filter(b -> ExprSearch.any(
                        b, e -> e instanceof Expr.Call c && c.function().equals("%fetch")))
                .isPresent();
    }
}
