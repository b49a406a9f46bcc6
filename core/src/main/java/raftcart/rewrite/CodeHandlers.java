package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/**
 * Blocks with handlers ("DECLARE HANDLER", MariaDB). One for errors that leaves the block becomes its rescue, which undoes what
 * the block changed; one that goes on is put around each statement; one for the end of rows is asked for behind what reads them.
 */
final class CodeHandlers {
    private final CodeAdapter code;
    private final CodeFrame frame;

    CodeHandlers(CodeAdapter code) {
        this.code = code;
        this.frame = code.frame();
    }

    Block block(Block block) {
        Scope before = code.adapter().scope;
        code.adapter().scope = new Scope(Optional.of(before));
        frame.enter();
        int ends = frame.notFound().size();
        int goes = frame.continuing().size();
        try {
            List<Declaration> declarations = declarations(block);
            boolean left = block.handlers().stream()
                    .anyMatch(h -> h.leaves() && h.conditions().stream().anyMatch(this::isEnd));
            Optional<Name> label = block.label().isPresent() || !left
                    ? block.label()
                    : Optional.of(Name.of("block_" + (ends + 1) + "_"));
            List<Rescue> rescues = new ArrayList<>();
            block.handlers().forEach(h -> take(h, label, block, rescues));
            List<Statement> body = code.statements(block.body());
            return new Block(label, declarations, List.of(), body, rescues, block.span());
        } finally {
            code.adapter().scope = before;
            frame.leave();
            while (frame.notFound().size() > ends) {
                frame.notFound().pop();
            }
            while (frame.continuing().size() > goes) {
                frame.continuing().pop();
            }
        }
    }

    private List<Declaration> declarations(Block block) {
        for (Declaration declaration : block.declarations()) {
            if (declaration instanceof Declaration.Variable v) {
                frame.declare(code.known(v.name(), v.type()));
            } else if (declaration instanceof Declaration.NamedCondition named) {
                frame.name(named.name(), named.condition());
            }
        }
        String name = block.label().map(Name::text).orElse("");
        code.adapter().scope.add(new Scope.Relation(name, frame.facts(), true));
        List<Declaration> declared = new ArrayList<>();
        for (Declaration declaration : block.declarations()) {
            if (declaration instanceof Declaration.Variable v) {
                declared.add(variable(v));
            } else if (declaration instanceof Declaration.Cursor c) {
                declared.add(new Declaration.Cursor(
                        c.name(), c.parameters(), code.adapter().query(c.query()), c.span()));
            }
        }
        return declared;
    }

    private Declaration variable(Declaration.Variable v) {
        var known = code.known(v.name(), v.type());
        return new Declaration.Variable(
                v.name(),
                code.written(v.name(), known.type().orElseThrow()),
                v.initial().map(i -> code.adapter()
                        .dividing(
                                code.adapter().from.has(SqlFeature.ZERO_DIVISION_FAILS_IN_CODE),
                                () -> new ValueAdapter(code.adapter()).forColumn(i, Optional.of(known)))),
                v.constant(),
                v.span());
    }

    private boolean isEnd(Condition given) {
        Condition condition = frame.resolved(given);
        return condition.kind() == Condition.Kind.NOT_FOUND
                || condition.kind() == Condition.Kind.STATE && condition.value().startsWith("02")
                || condition.kind() == Condition.Kind.NUMBER
                        && condition.value().equals("1329");
    }

    private void take(Handler handler, Optional<Name> label, Block block, List<Rescue> rescues) {
        List<Condition> errors = handler.conditions().stream()
                .filter(c -> !isEnd(c))
                .map(frame::resolved)
                .toList();
        if (errors.size() < handler.conditions().size()) {
            frame.notFound().push(new CodeFrame.Active(handler, label.orElse(Name.of(""))));
        }
        if (errors.isEmpty()) {
            return;
        }
        List<Condition> caught =
                errors.stream().map(c -> caught(c, handler.span())).toList();
        if (!handler.leaves()) {
            Handler going = new Handler(false, caught, handler.action(), handler.span());
            frame.continuing().push(new CodeFrame.Active(going, label.orElse(Name.of(""))));
            return;
        }
        rescues.add(new Rescue(caught, rescue(handler, block)));
    }

    private Condition caught(Condition condition, Span span) {
        return switch (condition.kind()) {
            case ERROR -> condition;
            case STATE -> condition;
            case NUMBER ->
                new Condition(
                        Condition.Kind.STATE,
                        ErrorStates.of(code.adapter().from.name(), condition.value())
                                .orElseThrow(
                                        () -> CodeAdapter.at(span, "a handler for the error " + condition.value())));
            default ->
                throw CodeAdapter.at(
                        span,
                        condition.kind() == Condition.Kind.WARNING
                                ? "a handler for warnings"
                                : "a handler for " + condition.value());
        };
    }

    /** What a handler does; the ROLLBACK at its beginning is what a rescue does by itself. */
    private List<Statement> rescue(Handler handler, Block block) {
        List<Statement> action = handler.action() instanceof Block b
                        && b.declarations().isEmpty()
                        && b.handlers().isEmpty()
                        && b.label().isEmpty()
                ? b.body()
                : List.of(handler.action());
        boolean undoes = !action.isEmpty()
                && action.get(0) instanceof Statement.Transaction t
                && t.kind() == Statement.Transaction.Kind.ROLLBACK;
        boolean changes = StatementSearch.anyStatement(
                block.body(), s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement));
        if (undoes) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            handler.span(),
                            "ROLLBACK undoes what the block changed, not what the caller changed before");
        } else if (changes) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            handler.span(),
                            "what the block changed before an error is undone, on the source it stays");
        }
        return code.statements(undoes ? action.subList(1, action.size()) : action);
    }

    /** A statement and what is done if it fails, where the routine goes on then. */
    List<Statement> going(List<Statement> adapted, Span span) {
        List<Statement> around = adapted;
        for (CodeFrame.Active active : List.copyOf(frame.continuing())) {
            frame.continuing().remove(active); // an error within the handler is not its own
            List<Statement> action = code.statement(active.handler().action());
            frame.continuing().addFirst(active);
            Rescue rescue = new Rescue(active.handler().conditions(), action);
            around = List.of(new Block(Optional.empty(), List.of(), List.of(), around, List.of(rescue), span));
        }
        return around;
    }
}
