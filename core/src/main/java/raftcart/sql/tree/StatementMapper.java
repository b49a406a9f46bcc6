package raftcart.sql.tree;

import java.util.List;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CaseOf;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Rescue;

/** A mapper that goes into statements as well, also into those of routines; a subclass changes what it is there for. */
public class StatementMapper extends QueryMapper {
    /** The statement that takes the place of this one; those without expressions as they are. */
    public Statement statement(Statement statement) {
        if (statement instanceof Statement.Dml change) {
            return change(change);
        }
        if (statement instanceof DdlStatement.CreateTable table && table.query().isPresent()) {
            return table.filledBy(query(table.query().get()));
        }
        return statement instanceof CodeStatement code ? code(code) : statement;
    }

    /** The statements that take the place of these. */
    public List<Statement> statements(List<Statement> all) {
        return all.stream().map(this::statement).toList();
    }

    /** The table to which a change is made. */
    protected QualifiedName changed(QualifiedName table) {
        return table;
    }

    private Statement change(Statement.Dml change) {
        if (change instanceof Statement.QueryStatement q) {
            return new Statement.QueryStatement(query(q.query()), q.into(), q.temporary(), q.span());
        }
        if (change instanceof Statement.Insert i) {
            return insert(i);
        }
        if (change instanceof Statement.Update u) {
            return new Statement.Update(
                    tables(u.with()),
                    table(u.target()),
                    assignments(u.assignments()),
                    u.from().stream().map(this::table).toList(),
                    optional(u.where()),
                    order(u.order()),
                    optional(u.limit()),
                    items(u.returning()),
                    u.span());
        }
        if (change instanceof Statement.Delete d) {
            return new Statement.Delete(
                    tables(d.with()),
                    d.targets(),
                    table(d.table()),
                    d.using().stream().map(this::table).toList(),
                    optional(d.where()),
                    order(d.order()),
                    optional(d.limit()),
                    items(d.returning()),
                    d.span());
        }
        if (change instanceof Statement.CallProcedure c) {
            return c.with(exprs(c.arguments()));
        }
        if (change instanceof Statement.Truncate t) {
            return new Statement.Truncate(
                    t.tables().stream().map(this::changed).toList(), t.restart(), t.cascade(), t.leftOut(), t.span());
        }
        return change instanceof Statement.Merge m ? merge(m) : change;
    }

    private List<Query.CommonTable> tables(List<Query.CommonTable> with) {
        return with.stream()
                .map(t -> new Query.CommonTable(t.name(), t.columns(), query(t.query()), t.hint()))
                .toList();
    }

    protected final List<Statement.Assignment> assignments(List<Statement.Assignment> all) {
        return all.stream()
                .map(a -> new Statement.Assignment(exprs(a.columns()), expr(a.value())))
                .toList();
    }

    private Statement insert(Statement.Insert i) {
        return new Statement.Insert(
                tables(i.with()),
                i.mode(),
                changed(i.table()),
                i.alias(),
                i.columns(),
                i.source().map(this::query),
                i.overriding(),
                i.upsert()
                        .map(u -> new Statement.Upsert(
                                exprs(u.target()),
                                u.constraint(),
                                assignments(u.assignments()),
                                optional(u.where()),
                                u.anyKey())),
                items(i.returning()),
                i.span());
    }

    private Statement merge(Statement.Merge m) {
        return new Statement.Merge(
                tables(m.with()),
                table(m.target()),
                table(m.source()),
                expr(m.on()),
                m.actions().stream().map(this::action).toList(),
                items(m.returning()),
                m.span());
    }

    /** What a MERGE does with the rows of one kind. */
    protected final Statement.MergeAction action(Statement.MergeAction a) {
        return new Statement.MergeAction(
                a.matched(),
                a.bySource(),
                optional(a.condition()),
                a.kind(),
                assignments(a.assignments()),
                a.columns(),
                exprs(a.values()),
                optional(a.deleteWhere()));
    }

    private Statement code(CodeStatement code) {
        if (code instanceof CodeStatement.CreateRoutine r) {
            return new CodeStatement.CreateRoutine(
                    r.name(),
                    r.replace(),
                    r.parameters(),
                    r.returns(),
                    r.rows(),
                    r.traits(),
                    statement(r.body()),
                    r.span());
        }
        if (code instanceof CodeStatement.CreateTrigger t) {
            return new CodeStatement.CreateTrigger(
                    t.name(),
                    t.replace(),
                    t.timing(),
                    t.events(),
                    changed(t.table()),
                    t.eachRow(),
                    t.rows(),
                    optional(t.when()),
                    t.follows(),
                    t.precedes(),
                    t.columnsFirst(),
                    statement(t.body()),
                    t.span());
        }
        if (code instanceof CodeStatement.RunBlock r) {
            return new CodeStatement.RunBlock((Block) statement(r.body()), r.span());
        }
        if (code instanceof CodeStatement.CreatePackage p) {
            return made(p);
        }
        if (code instanceof Block b) {
            return block(b);
        }
        return holds(code) ? nested(code) : simple(code);
    }

    private static boolean holds(CodeStatement code) {
        return code instanceof CodeStatement.If
                || code instanceof CaseOf
                || code instanceof CodeStatement.Loop
                || code instanceof CodeStatement.ForRange
                || code instanceof CodeStatement.ForRows
                || code instanceof CodeStatement.ForText;
    }

    private Statement made(CodeStatement.CreatePackage p) {
        return new CodeStatement.CreatePackage(
                p.name(),
                p.replace(),
                p.body(),
                p.declarations().stream().map(this::declaration).toList(),
                p.routines().stream()
                        .map(r -> (CodeStatement.CreateRoutine) statement(r))
                        .toList(),
                p.shown(),
                p.first().map(b -> (Block) statement(b)),
                p.span());
    }

    private Statement block(Block b) {
        return new Block(
                b.label(),
                b.declarations().stream().map(this::declaration).toList(),
                b.handlers().stream()
                        .map(h -> new Handler(h.leaves(), h.conditions(), statement(h.action()), h.span()))
                        .toList(),
                statements(b.body()),
                b.rescues().stream()
                        .map(r -> new Rescue(r.conditions(), statements(r.body())))
                        .toList(),
                b.span());
    }

    private Declaration declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Variable v) {
            return new Declaration.Variable(v.name(), v.type(), optional(v.initial()), v.constant(), v.span());
        }
        return declaration instanceof Declaration.Cursor c
                ? new Declaration.Cursor(c.name(), c.parameters(), query(c.query()), c.span())
                : declaration;
    }

    private List<Choice> choices(List<Choice> all) {
        return all.stream()
                .map(c -> new Choice(expr(c.condition()), statements(c.body())))
                .toList();
    }

    private Statement nested(CodeStatement code) {
        if (code instanceof CodeStatement.If i) {
            return new CodeStatement.If(choices(i.choices()), statements(i.otherwise()), i.span());
        }
        if (code instanceof CaseOf c) {
            return new CaseOf(
                    optional(c.operand()), choices(c.choices()), c.otherwise().map(this::statements), c.span());
        }
        if (code instanceof CodeStatement.Loop l) {
            return new CodeStatement.Loop(
                    l.label(), optional(l.before()), optional(l.after()), statements(l.body()), l.span());
        }
        if (code instanceof CodeStatement.ForRange f) {
            return new CodeStatement.ForRange(
                    f.label(),
                    f.variable(),
                    f.reverse(),
                    expr(f.from()),
                    expr(f.to()),
                    optional(f.step()),
                    statements(f.body()),
                    f.span());
        }
        if (code instanceof CodeStatement.ForText f) {
            return new CodeStatement.ForText(
                    f.label(), f.row(), expr(f.text()), exprs(f.values()), statements(f.body()), f.span());
        }
        CodeStatement.ForRows f = (CodeStatement.ForRows) code;
        return new CodeStatement.ForRows(
                f.label(),
                f.row(),
                f.query().map(this::query),
                f.cursor(),
                exprs(f.arguments()),
                statements(f.body()),
                f.span());
    }

    private Statement simple(CodeStatement code) {
        if (code instanceof CodeStatement.Assign a) {
            return new CodeStatement.Assign(expr(a.target()), expr(a.value()), a.span());
        }
        if (code instanceof CodeStatement.Jump j) {
            return new CodeStatement.Jump(j.again(), j.label(), optional(j.when()), j.span());
        }
        if (code instanceof CodeStatement.Return r) {
            return new CodeStatement.Return(optional(r.value()), r.span());
        }
        if (code instanceof CodeStatement.SelectInto s) {
            return new CodeStatement.SelectInto(query(s.query()), exprs(s.targets()), s.expected(), s.span());
        }
        return moving(code);
    }

    private Statement moving(CodeStatement code) {
        if (code instanceof CodeStatement.CursorStep c) {
            return new CodeStatement.CursorStep(
                    c.opens(), c.cursor(), exprs(c.arguments()), c.query().map(this::query), c.span());
        }
        if (code instanceof CodeStatement.Fetch f) {
            return new CodeStatement.Fetch(f.cursor(), exprs(f.targets()), f.span());
        }
        if (code instanceof CodeStatement.ChangeInto c) {
            return new CodeStatement.ChangeInto(statement(c.change()), exprs(c.targets()), c.strict(), c.span());
        }
        if (code instanceof CodeStatement.Dynamic d) {
            return new CodeStatement.Dynamic(
                    expr(d.text()), exprs(d.targets()), exprs(d.values()), d.expected(), d.span());
        }
        if (code instanceof CodeStatement.ReturnText r) {
            return new CodeStatement.ReturnText(expr(r.text()), exprs(r.values()), r.span());
        }
        if (code instanceof CodeStatement.Signal s) {
            return new CodeStatement.Signal(s.state(), optional(s.message()), s.more(), s.goesOn(), s.span());
        }
        if (code instanceof CodeStatement.Evaluate e) {
            return new CodeStatement.Evaluate(expr(e.value()), e.span());
        }
        if (code instanceof CodeStatement.Message m) {
            return new CodeStatement.Message(expr(m.text()), m.span());
        }
        if (code instanceof CodeStatement.ReturnRows r) {
            return new CodeStatement.ReturnRows(query(r.query()), r.span());
        }
        if (code instanceof CodeStatement.Diagnosis d) {
            return new CodeStatement.Diagnosis(exprs(d.targets()), d.items(), d.span());
        }
        return code instanceof CodeStatement.RowCount r ? new CodeStatement.RowCount(expr(r.target()), r.span()) : code;
    }
}
