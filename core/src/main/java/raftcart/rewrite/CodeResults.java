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
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.type.LogicalType;

/** A query whose rows a procedure hands to its caller, for a target where functions give rows and procedures do not. */
final class CodeResults {
    private final CodeAdapter code;
    private final CodeFrame frame;
    private final QueryAdapter adapter;

    CodeResults(CodeAdapter code) {
        this.code = code;
        this.frame = code.frame();
        this.adapter = code.adapter();
    }

    Statement given(Statement.QueryStatement query) {
        Span span = query.span();
        if (frame.kind != CodeFrame.Kind.PERHAPS_OF_ROWS) {
            throw CodeAdapter.at(span, "a result set for the caller, beside values");
        }
        if (most(List.of(frame.whole)) > 1) {
            throw CodeAdapter.at(span, "one of several result sets for the caller");
        }
        List<Parameter> columns = columns(query.query(), span);
        if (frame.rows().isEmpty()) {
            frame.give(columns);
            adapter.note(
                    FindingCode.SYNTAX_CHECK, span, "a function that gives rows: SELECT * FROM it where it was called");
        } else if (!frame.rows().equals(columns)) {
            throw CodeAdapter.at(span, "a second result set, which has other columns");
        }
        return new CodeStatement.ReturnRows(typed(query.query(), adapter.query(query.query()), columns), span);
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

    /** True where a run may give rows to the caller. */
    static boolean givesRows(CodeStatement.CreateRoutine routine) {
        return routine.returns().isEmpty()
                && routine.parameters().stream().allMatch(p -> p.mode() == Mode.IN)
                && most(List.of(routine.body())) > 0;
    }

    /** How many result sets one run gives at most; 2 stands for more, too. */
    private static int most(List<Statement> statements) {
        return Math.min(2, statements.stream().mapToInt(CodeResults::most).sum());
    }

    private static int most(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return Math.max(ofChoices(choice.choices()), most(choice.otherwise()));
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            return Math.max(
                    ofChoices(choice.choices()),
                    choice.otherwise().map(CodeResults::most).orElse(0));
        }
        if (statement instanceof CodeStatement.Block block) {
            return most(block.body())
                    + (int) block.handlers().stream()
                            .filter(h -> most(List.of(h.action())) > 0)
                            .count();
        }
        boolean again = statement instanceof CodeStatement.Loop
                || statement instanceof CodeStatement.ForRange
                || statement instanceof CodeStatement.ForRows;
        if (again) {
            return StatementSearch.anyStatement(
                            List.of(statement),
                            s -> s instanceof Statement.QueryStatement q
                                    && q.into().isEmpty())
                    ? 2
                    : 0;
        }
        return statement instanceof Statement.QueryStatement q && q.into().isEmpty() ? 1 : 0;
    }

    private static int ofChoices(List<CodeStatement.Choice> choices) {
        return choices.stream().mapToInt(c -> most(c.body())).max().orElse(0);
    }

    private List<Parameter> columns(Query query, Span span) {
        List<Scope.ColumnFacts> facts = adapter.finder.columns(query, adapter.scope);
        if (facts.isEmpty()) {
            throw CodeAdapter.at(span, "a result set for the caller, whose columns are not known");
        }
        List<Parameter> columns = new ArrayList<>();
        for (Scope.ColumnFacts fact : facts) {
            Name name = Name.of(fact.name().isEmpty() ? "column_" + (columns.size() + 1) : fact.name());
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
