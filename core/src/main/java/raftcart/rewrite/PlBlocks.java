package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Transaction;
import raftcart.sql.tree.StatementSearch;
import raftcart.type.LogicalType;

/** Blocks of PL/pgSQL, whose rescues become handlers that leave the block, and the errors that code raises. */
final class PlBlocks {
    static final String OWN_ERROR = "45000";

    /** The state of an error that is raised without one. */
    private static final String RAISED = "P0001";

    private final PlCode pl;
    private final CodeFrame frame;
    private final QueryAdapter adapter;

    PlBlocks(PlCode pl) {
        this.pl = pl;
        this.frame = pl.frame();
        this.adapter = pl.adapter();
    }

    Block block(Block block) {
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            for (Declaration d : block.declarations()) {
                if (d instanceof Declaration.Variable v && !isRow(v)) {
                    frame.declare(pl.code().known(v.name(), v.type()));
                }
            }
            String name = block.label().map(Name::text).orElse("");
            adapter.scope.add(Scope.Relation.ofVariables(name, frame.facts()));
            List<Declaration> declarations = new ArrayList<>();
            for (Declaration d : block.declarations()) {
                declared(d, block).ifPresent(declarations::add);
            }
            Optional<Name> undoes = undoes(block);
            List<Handler> handlers =
                    block.rescues().stream().map(r -> handler(r, block, undoes)).toList();
            List<Statement> body = new ArrayList<>();
            undoes.ifPresent(u -> body.add(new Transaction(Transaction.Kind.SAVEPOINT, undoes, block.span())));
            body.addAll(pl.statements(block.body()));
            return new Block(block.label(), declarations, handlers, body, List.of(), block.span());
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    private Optional<Declaration> declared(Declaration declaration, Block block) {
        if (declaration instanceof Declaration.Cursor cursor) {
            return Optional.of(new PlCursors(pl).declared(cursor));
        }
        if (declaration instanceof Declaration.Row row) {
            return new PlRecords(pl).declared(row, List.of(block));
        }
        Declaration.Variable variable = (Declaration.Variable) declaration;
        return isRow(variable)
                ? new PlRecords(pl)
                        .declared(
                                new Declaration.Row(
                                        variable.name(), Optional.of(named(variable)), List.of(), variable.span()),
                                List.of(block))
                : Optional.of(variable(variable));
    }

    /** The name of a table is the type of its rows, too. */
    private boolean isRow(Declaration.Variable variable) {
        return variable.type().parameters().isEmpty()
                && variable.initial().isEmpty()
                && adapter.knowledge.table(named(variable)).isPresent();
    }

    private static QualifiedName named(Declaration.Variable variable) {
        return QualifiedName.of(variable.type().name().split("\\."));
    }

    private Declaration variable(Declaration.Variable v) {
        KnownColumn known = pl.code().known(v.name(), v.type());
        pl.code().types().sayDigits(v.name(), known.type().orElseThrow(), v.span());
        return new Declaration.Variable(
                v.name(),
                pl.code().written(v.name(), known.type().orElseThrow()),
                v.initial().map(i -> new ValueAdapter(adapter).forColumn(i, Optional.of(known))),
                false,
                v.span());
    }

    /**
     * The savepoint to which a block goes back when something in it fails. A procedure may run outside of a transaction, where
     * there is none; a function and a trigger are part of a statement, and have one of their own.
     */
    private Optional<Name> undoes(Block block) {
        boolean changes = !block.rescues().isEmpty()
                && StatementSearch.anyStatement(block.body(), s -> s instanceof Statement.Dml);
        if (!changes || !KeptChanges.needed(block.body())) {
            return Optional.empty();
        }
        if (!frame.kind.isProcedure()) {
            if (!adapter.to.has(SqlFeature.CODE_ENDS_TRANSACTIONS)) {
                throw CodeAdapter.at(block.span(), "a block whose changes are undone");
            }
            return Optional.of(pl.label("block"));
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                block.span(),
                "what the block changed before an error stays, on the source it is undone");
        return Optional.empty();
    }

    private Handler handler(Rescue rescue, Block block, Optional<Name> undoes) {
        Span span =
                rescue.body().isEmpty() ? block.span() : rescue.body().get(0).span();
        List<Condition> conditions = new ArrayList<>();
        rescue.conditions().forEach(c -> conditions.addAll(caught(c, span)));
        List<Statement> all = new ArrayList<>();
        undoes.ifPresent(u -> all.add(new Transaction(Transaction.Kind.ROLLBACK_TO, undoes, span)));
        all.addAll(pl.errors().noted(rescue.body(), span));
        all.addAll(pl.statements(rescue.body()));
        Block action = Block.of(all, span);
        return new Handler(true, conditions, action, span);
    }

    private List<Condition> caught(Condition condition, Span span) {
        if (condition.kind() == Condition.Kind.ERROR) {
            return List.of(condition);
        }
        String state = condition.kind() == Condition.Kind.NAME
                ? ErrorStates.of(adapter.from.name(), condition.value())
                        .orElseThrow(() -> CodeAdapter.at(span, "a handler for " + condition.value()))
                : condition.value();
        List<Condition> all = new ArrayList<>();
        ErrorStates.numbers(adapter.to.name(), state).forEach(n -> all.add(new Condition(Condition.Kind.NUMBER, n)));
        // Code may raise the state, too, which has none of these numbers then.
        all.add(new Condition(
                Condition.Kind.STATE,
                state.equals(RAISED) ? OWN_ERROR : ErrorStates.inWordsOf(adapter.to.name(), state)));
        return all;
    }

    /** An error, whose text has to be a constant or a variable. */
    List<Statement> signal(CodeStatement.Signal signal) {
        if (signal.state().isEmpty() && signal.message().isEmpty()) {
            return List.of(signal);
        }
        Optional<String> state = signal.state().map(s -> state(s, signal.span()));
        List<Statement> all = new ArrayList<>();
        Optional<Expr> message = signal.message();
        if (message.filter(m -> !(m instanceof Expr.Literal)).isPresent()) {
            Name variable = Name.of("message_");
            LogicalType text = new LogicalType.Varchar(500);
            if (pl.added().stream().noneMatch(d -> d.name().equals(variable))) {
                pl.added()
                        .add(new Declaration.Variable(
                                variable, pl.code().written(variable, text), Optional.empty(), false, signal.span()));
            }
            Expr target = Expr.Column.of(variable.text());
            all.add(new CodeStatement.Assign(target, adapter.expr(message.get()), signal.span()));
            message = Optional.of(target);
        }
        all.add(new CodeStatement.Signal(state, message, pl.code().sayMore(signal), signal.span()));
        return all;
    }

    /** The state of an error that is raised, which may be given by its name. */
    private String state(String given, Span span) {
        boolean plain = given.matches("[0-9A-Z]{5}");
        String state = plain
                ? given
                : ErrorStates.of(adapter.from.name(), given)
                        .orElseThrow(() -> CodeAdapter.at(span, "an error by the name " + given));
        return state.equals(RAISED) ? OWN_ERROR : state;
    }
}
