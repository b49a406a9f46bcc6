package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
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
            List<Statement> first = new ArrayList<>();
            List<Declaration> declarations = declarations(block, first);
            boolean left = block.handlers().stream().anyMatch(Handler::leaves);
            Optional<Name> label = block.label().isPresent() || !left
                    ? block.label()
                    : Optional.of(Name.of("block_" + (ends + 1) + "_"));
            List<Rescue> rescues = new ArrayList<>();
            // Of several handlers that could handle an error the most specific one does ("DECLARE HANDLER", MariaDB).
            block.handlers().stream()
                    .sorted(Comparator.comparingInt((Handler h) -> breadth(resolved(h)))
                            .reversed())
                    .forEach(h -> take(h, label, rescues));
            rescues.sort(Comparator.comparingInt(r -> breadth(r.conditions())));
            refuseMixed(block, rescues, frame.continuing().size() - goes);
            block.rescues()
                    .forEach(r -> rescues.add(new Rescue(
                            r.conditions().stream()
                                    .flatMap(c -> caught(frame.resolved(c), block.span()).stream())
                                    .toList(),
                            code.statements(r.body()))));
            List<Statement> body = new ArrayList<>(first);
            body.addAll(code.statements(block.body()));
            return rescued(new Block(label, declarations, List.of(), body, rescues, block.span()), block);
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

    private List<Condition> resolved(Handler handler) {
        return handler.conditions().stream().map(frame::resolved).toList();
    }

    /** How much the broadest of some conditions takes in: an error of one kind, those of a class, or all. */
    private static int breadth(List<Condition> conditions) {
        return conditions.stream()
                .mapToInt(c -> switch (c.kind()) {
                    case ERROR -> 2;
                    case STATE -> c.value().endsWith("000") ? 1 : 0;
                    default -> 0;
                })
                .max()
                .orElse(0);
    }

    /** A handler that goes on is around each statement, and would take what a more specific one that leaves is for. */
    private void refuseMixed(Block block, List<Rescue> rescues, int going) {
        int broadest = frame.continuing().stream()
                .limit(going)
                .mapToInt(a -> breadth(a.handler().conditions()))
                .max()
                .orElse(-1);
        boolean mixed =
                rescues.stream().anyMatch(r -> r.conditions().stream().anyMatch(c -> breadth(List.of(c)) < broadest));
        if (mixed) {
            throw CodeAdapter.at(block.span(), "a handler that goes on, beside one that leaves for some of its errors");
        }
    }

    /** The block, whose rescues undo no more than its handlers do. */
    private Block rescued(Block made, Block given) {
        Name label = made.label().orElse(Name.of(""));
        boolean undone = given.handlers().stream().anyMatch(h -> h.leaves() && !undoes(h));
        boolean needed = undone && !made.rescues().isEmpty() && KeptChanges.needed(made.body());
        Optional<List<Statement>> kept = needed && given.handlers().stream().noneMatch(CodeHandlers::undoes)
                ? new KeptChanges(made.rescues(), label).guarded(made.body())
                : Optional.empty();
        if (kept.isPresent()) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_ADAPTED,
                            given.span(),
                            "changes in blocks of their own, so that they stay when a later statement fails");
            return new Block(made.label(), made.declarations(), List.of(), kept.get(), List.of(), made.span());
        }
        if (needed) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            given.span(),
                            "what the block changed before an error is undone, on the source it stays");
        }
        boolean unused = given.label().isEmpty()
                && !StatementSearch.anyStatement(
                        made.body(),
                        s -> s instanceof CodeStatement.Jump j
                                && j.label().filter(label::equals).isPresent());
        return unused
                ? new Block(Optional.empty(), made.declarations(), List.of(), made.body(), made.rescues(), made.span())
                : made;
    }

    private static boolean undoes(Handler handler) {
        return rollback(handler.action() instanceof Block b ? b.body() : List.of(handler.action())) >= 0;
    }

    private static boolean remembers(Statement s) {
        boolean assigns = s instanceof CodeStatement.Assign a
                && !ExprSearch.any(a.value(), e -> e instanceof Expr.Subquery || e instanceof Expr.Exists);
        return assigns
                || s instanceof CodeStatement.Diagnosis
                || s instanceof CodeStatement.Message
                || s instanceof Block b && b.body().stream().allMatch(CodeHandlers::remembers);
    }

    /** Where ROLLBACK stands first, or behind what only remembers the error; -1 where it does not. */
    private static int rollback(List<Statement> action) {
        for (int i = 0; i < action.size(); i++) {
            Statement s = action.get(i);
            if (s instanceof Statement.Transaction t && t.kind() == Statement.Transaction.Kind.ROLLBACK) {
                return i;
            }
            boolean remembers = remembers(s);
            if (!remembers) {
                return -1;
            }
        }
        return -1;
    }

    private List<Declaration> declarations(Block block, List<Statement> first) {
        for (Declaration declaration : block.declarations()) {
            if (declaration instanceof Declaration.Variable v) {
                frame.declare(code.known(v.name(), v.type()));
            } else if (declaration instanceof Declaration.NamedCondition named) {
                frame.name(named.name(), named.condition());
            }
        }
        String name = block.label().map(Name::text).orElse("");
        code.adapter().scope.add(Scope.Relation.ofVariables(name, frame.facts()));
        List<Declaration> declared = new ArrayList<>();
        for (Declaration declaration : block.declarations()) {
            if (declaration instanceof Declaration.Variable v) {
                declared.add(variable(v));
            } else if (declaration instanceof Declaration.Cursor c) {
                declared.add(code.cursors().declared(c));
            } else if (declaration instanceof Declaration.Row r) {
                declared.add(new CodeRecords(code).declared(r, first));
            }
        }
        return declared;
    }

    private Declaration variable(Declaration.Variable v) {
        var known = code.known(v.name(), v.type());
        code.types().sayRange(v.name(), known.type().orElseThrow(), false, v.span());
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

    private static boolean isEmpty(Block block) {
        return block.body().isEmpty() && block.declarations().isEmpty();
    }

    private void take(Handler handler, Optional<Name> label, List<Rescue> rescues) {
        // Warnings, where nothing is done about them, are as well not handled.
        boolean idle = !handler.leaves() && handler.action() instanceof Block b && isEmpty(b);
        List<Condition> errors = handler.conditions().stream()
                .filter(c -> !isEnd(c))
                .map(frame::resolved)
                .filter(c -> !(idle && c.kind() == Condition.Kind.WARNING))
                .toList();
        if (handler.conditions().stream().anyMatch(this::isEnd)) {
            frame.notFound().push(new CodeFrame.Active(handler, label.orElse(Name.of(""))));
        }
        if (errors.isEmpty()) {
            return;
        }
        List<Condition> caught =
                errors.stream().flatMap(c -> caught(c, handler.span()).stream()).toList();
        if (!handler.leaves()) {
            Handler going = new Handler(false, caught, handler.action(), handler.span());
            frame.continuing().push(new CodeFrame.Active(going, label.orElse(Name.of(""))));
            return;
        }
        rescues.add(new Rescue(caught, rescue(handler)));
    }

    private List<Condition> caught(Condition condition, Span span) {
        return switch (condition.kind()) {
            case ERROR, STATE -> List.of(condition);
            case NUMBER, NAME -> {
                List<String> states = ErrorStates.all(code.adapter().from.name(), condition.value());
                if (states.isEmpty()) {
                    String error = condition.kind() == Condition.Kind.NUMBER ? "the error " : "";
                    throw CodeAdapter.at(span, "a handler for " + error + condition.value());
                }
                yield states.stream()
                        .map(s -> new Condition(Condition.Kind.STATE, s))
                        .toList();
            }
            default -> throw CodeAdapter.at(span, "a handler for warnings");
        };
    }

    /** What a handler does; the ROLLBACK at its beginning is what a rescue does by itself. */
    private List<Statement> rescue(Handler handler) {
        List<Statement> action = handler.action() instanceof Block b
                        && b.declarations().isEmpty()
                        && b.handlers().isEmpty()
                        && b.label().isEmpty()
                ? b.body()
                : List.of(handler.action());
        boolean undoes = undoes(handler);
        boolean raises = action.stream().anyMatch(CodeStatement.Signal.class::isInstance)
                && action.stream()
                        .anyMatch(s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement));
        if (raises) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            handler.span(),
                            "what a handler changes before it raises an error is undone with that, unless it is handled");
        }
        if (undoes) {
            code.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            handler.span(),
                            "ROLLBACK undoes what the block changed, not what the caller changed before");
        }
        if (!undoes) {
            return code.statements(action);
        }
        List<Statement> rest = new ArrayList<>(action);
        rest.remove(rollback(action));
        return code.statements(rest);
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
