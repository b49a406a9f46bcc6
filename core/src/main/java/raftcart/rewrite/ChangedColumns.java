package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;

/** Whether a statement names a column among those that it changes ("UPDATE()", T-SQL), from the rows before and after it. */
final class ChangedColumns {
    /** The function by which the reader of T-SQL asks. */
    static final String QUESTION = "change_names_column";

    private final QueryAdapter adapter;
    private final CodeStatement.CreateTrigger trigger;
    private final CodeStatement.ChangedRows rows;

    ChangedColumns(QueryAdapter adapter, CodeStatement.CreateTrigger trigger, CodeStatement.ChangedRows rows) {
        this.adapter = adapter;
        this.trigger = trigger;
        this.rows = rows;
    }

    /** An INSERT names all columns and a DELETE none; an UPDATE those that have another value in any of its rows. */
    Expr answer(Expr.Call asked, Event event) {
        Span span = asked.span();
        if (event.kind() != Event.Kind.UPDATE) {
            return new Expr.Literal(LiteralKind.BOOLEAN, Boolean.toString(event.kind() == Event.Kind.INSERT), span);
        }
        if (!(asked.arguments().get(0) instanceof Expr.Column column)) {
            throw CodeAdapter.at(span, "a question for the columns that a change names");
        }
        List<Name> key = adapter.knowledge
                .table(trigger.table())
                .flatMap(t -> t.keys().stream().findFirst())
                .orElseThrow(() -> CodeAdapter.at(
                        span, "a question for the columns that a change names, of a table without a known key"));
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                span,
                "UPDATE(" + column.name().last().text()
                        + ") asks for rows whose value is another, on the source for a change that names the column");
        List<Expr> conditions = new ArrayList<>();
        key.forEach(k -> conditions.add(compared(BinaryOperator.EQUAL, k, span)));
        conditions.add(compared(BinaryOperator.DIFFERENT, column.name().last(), span));
        QueryBody changed = QueryBody.Select.of(
                List.of(QueryBody.Item.of(Expr.Literal.number(1))),
                List.of(table(rows.before(), span), table(rows.after(), span)),
                Optional.of(new Expr.Junction(true, conditions, span)));
        return new Expr.Exists(Query.of(changed), span);
    }

    private Expr compared(BinaryOperator operator, Name column, Span span) {
        return new Expr.Binary(operator, of(rows.before(), column, span), of(rows.after(), column, span), span);
    }

    private static Expr of(Name table, Name column, Span span) {
        return new Expr.Column(new QualifiedName(List.of(table, column)), false, span);
    }

    private static TableRef table(Name name, Span span) {
        return new TableRef.Table(new QualifiedName(List.of(name)), Optional.empty(), Optional.empty(), false, span);
    }
}
