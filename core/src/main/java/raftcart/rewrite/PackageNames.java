package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import raftcart.rewrite.KnownCode.KnownPackage;
import raftcart.sql.Span;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TypeName;

/**
 * What code says of packages, said in full: names of the package that it belongs to get its name before them, constants their
 * values, and values that are fetched into variables of packages go into others first.
 */
final class PackageNames extends StatementMapper {
    private final Knowledge knowledge;
    private final Optional<KnownPackage> own;
    private final Set<String> hidden = new HashSet<>();
    private final List<Declaration> added = new ArrayList<>();
    private int queries;

    private PackageNames(Knowledge knowledge, Optional<KnownPackage> own) {
        this.knowledge = knowledge;
        this.own = own;
    }

    /** A routine or trigger, perhaps of a package. */
    static Statement inFull(Statement code, Optional<KnownPackage> own, Knowledge knowledge) {
        if (own.isEmpty() && !knowledge.code().all().iterator().hasNext()) {
            return code;
        }
        PackageNames names = new PackageNames(knowledge, own);
        names.hide(code);
        return names.statement(code);
    }

    /** Names that the code declares itself are its own. */
    private void hide(Statement code) {
        if (code instanceof CodeStatement.CreateRoutine routine) {
            routine.parameters().forEach(p -> hidden.add(KnownCode.key(p.name())));
        }
        new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                if (statement instanceof Block block) {
                    block.declarations().forEach(d -> hidden.add(KnownCode.key(d.name())));
                } else if (statement instanceof CodeStatement.ForRange range) {
                    hidden.add(KnownCode.key(range.variable()));
                } else if (statement instanceof CodeStatement.ForRows rows) {
                    hidden.add(KnownCode.key(rows.row()));
                }
                return super.statement(statement);
            }
        }.statement(code);
    }

    @Override
    public Query query(Query query) {
        queries++;
        try {
            return super.query(query);
        } finally {
            queries--;
        }
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.Column column) {
            return column(column);
        }
        Expr mapped = super.expr(e);
        return mapped instanceof Expr.Call call && !call.canonical() && isOwnRoutine(call.name())
                ? new Expr.Call(ofPackage(call.name()), false, call.arguments(), call.suffix(), call.span())
                : mapped;
    }

    private Expr column(Expr.Column column) {
        QualifiedName name = column.name();
        boolean single = name.parts().size() == 1;
        String key = KnownCode.key(name.last());
        if (single && (hidden.contains(key) || queries > 0 && isColumn(key))) {
            return column;
        }
        if (single
                && own.filter(o -> o.routines().contains(key)).isPresent()
                && own.get().variable(name.last()).isEmpty()) {
            return new Expr.Call(ofPackage(name), false, List.of(), CallSuffix.NONE, column.span());
        }
        Optional<KnownPackage> of = single ? own : ofQualifier(name);
        boolean call = !single
                && of.filter(o -> o.routines().contains(key)).isPresent()
                && of.get().variable(name.last()).isEmpty();
        if (call) {
            return new Expr.Call(name, false, List.of(), CallSuffix.NONE, column.span());
        }
        Optional<Declaration.Variable> variable = of.flatMap(p -> p.variable(name.last()));
        if (variable.isEmpty()) {
            return column;
        }
        return KnownCode.isFixed(variable.get())
                ? variable.get().initial().orElseThrow()
                : new Expr.Column(new QualifiedName(List.of(of.get().name(), name.last())), false, column.span());
    }

    private Optional<KnownPackage> ofQualifier(QualifiedName name) {
        Name qualifier = name.parts().get(name.parts().size() - 2);
        return hidden.contains(KnownCode.key(qualifier))
                ? Optional.empty()
                : knowledge.code().named(qualifier);
    }

    /** In queries a name means a column of a table first. */
    private boolean isColumn(String key) {
        return knowledge.tables().stream().anyMatch(t -> t.table().columns().containsKey(key));
    }

    private boolean isOwnRoutine(QualifiedName name) {
        return name.parts().size() == 1
                && own.filter(o -> o.routines().contains(KnownCode.key(name.last())))
                        .isPresent();
    }

    private QualifiedName ofPackage(QualifiedName name) {
        return new QualifiedName(List.of(own.orElseThrow().name(), name.last()));
    }

    @Override
    public Statement statement(Statement statement) {
        if (statement instanceof CodeStatement.CreateRoutine || statement instanceof CodeStatement.CreateTrigger) {
            return declared(super.statement(statement));
        }
        if (statement instanceof Statement.CallProcedure call && isOwnRoutine(call.name())) {
            return new Statement.CallProcedure(
                    ofPackage(call.name()), exprs(call.arguments()), call.outputs(), call.span());
        }
        Statement mapped = inside(statement);
        if (mapped instanceof CodeStatement.SelectInto s) {
            return kept(s.targets(), t -> new CodeStatement.SelectInto(s.query(), t, s.expected(), s.span()), s);
        }
        if (mapped instanceof CodeStatement.Fetch f) {
            return kept(f.targets(), t -> new CodeStatement.Fetch(f.cursor(), t, f.span()), f);
        }
        if (mapped instanceof CodeStatement.ChangeInto c) {
            return kept(c.targets(), t -> new CodeStatement.ChangeInto(c.change(), t, c.strict(), c.span()), c);
        }
        return mapped instanceof CodeStatement.Dynamic d ? kept(d.targets(), d::into, d) : mapped;
    }

    /** What stands in a change may mean the columns of its table, as it may in a query. */
    private Statement inside(Statement statement) {
        int change = statement instanceof Statement.Dml && !(statement instanceof Statement.CallProcedure) ? 1 : 0;
        queries += change;
        try {
            return super.statement(statement);
        } finally {
            queries -= change;
        }
    }

    /** A statement whose values go into variables of its own, and from there to the package. */
    private Statement kept(List<Expr> targets, Function<List<Expr>, Statement> with, Statement statement) {
        List<Expr> others = new ArrayList<>();
        List<Statement> all = new ArrayList<>();
        Span span = statement.span();
        for (Expr target : targets) {
            Optional<Declaration.Variable> variable = variable(target);
            if (variable.isEmpty()) {
                others.add(target);
                continue;
            }
            Name other = Name.of(variable.get().name().text() + "_" + (added.size() + 1) + "_");
            TypeName type = variable.get().type();
            added.add(new Declaration.Variable(other, type, Optional.of(target), false, span));
            others.add(Expr.Column.of(other.text()));
            all.add(new CodeStatement.Assign(target, Expr.Column.of(other.text()), span));
        }
        if (all.isEmpty()) {
            return statement;
        }
        all.add(0, with.apply(others));
        return Block.of(all, span);
    }

    private Optional<Declaration.Variable> variable(Expr target) {
        return target instanceof Expr.Column c && c.name().parts().size() == 2
                ? ofQualifier(c.name()).flatMap(p -> p.variable(c.name().last()))
                : Optional.empty();
    }

    /** The code with the variables that it needs besides. */
    private Statement declared(Statement code) {
        if (added.isEmpty()) {
            return code;
        }
        return new StatementMapper() {
            private boolean done;

            @Override
            public Statement statement(Statement statement) {
                if (statement instanceof Block block && !done) {
                    done = true;
                    List<Declaration> all = new ArrayList<>(block.declarations());
                    all.addAll(added);
                    return new Block(block.label(), all, block.handlers(), block.body(), block.rescues(), block.span());
                }
                return super.statement(statement);
            }
        }.statement(code);
    }
}
