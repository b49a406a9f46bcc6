package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/**
 * Blocks whose handlers keep what was changed before the error, for a target whose rescues undo all that their block changed:
 * each change gets a block of its own with the rescues, which leave the block that had the handlers.
 */
final class KeptChanges {
    /** More copies of the rescues than this are harder to read than the difference they make is worth. */
    private static final int MOST_COPIES = 12;

    private final List<Rescue> rescues;
    private int copies;

    /**
     * Statements with these rescues.
     *
     * @param label of the block that is left
     */
    KeptChanges(List<Rescue> rescues, Name label) {
        this.rescues = rescues.stream()
                .map(r -> new Rescue(r.conditions(), leaving(r.body(), label)))
                .toList();
    }

    private static List<Statement> leaving(List<Statement> body, Name label) {
        Statement last = body.isEmpty() ? null : body.get(body.size() - 1);
        if (last instanceof CodeStatement.Return || last instanceof CodeStatement.Signal) {
            return body;
        }
        List<Statement> all = new ArrayList<>(body);
        all.add(new CodeStatement.Jump(false, Optional.of(label), Optional.empty(), Span.NONE));
        return all;
    }

    /** True where an error could undo more than the statement that fails. */
    static boolean needed(List<Statement> body) {
        boolean changed = false;
        for (Statement statement : body) {
            if (changed && mayFail(statement)) {
                return true;
            }
            boolean changes = changes(statement);
            if (changes && !isSimple(statement) && nested(statement)) {
                return true;
            }
            changed |= changes;
        }
        return false;
    }

    private static boolean nested(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return choice.choices().stream().anyMatch(c -> needed(c.body())) || needed(choice.otherwise());
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            return choice.choices().stream().anyMatch(c -> needed(c.body()))
                    || choice.otherwise().filter(KeptChanges::needed).isPresent();
        }
        return !(statement instanceof Block block) || needed(block.body());
    }

    /** The statements, each change with rescues around it; empty where that cannot be said. */
    Optional<List<Statement>> guarded(List<Statement> body) {
        try {
            List<Statement> all = statements(body);
            return copies > MOST_COPIES ? Optional.empty() : Optional.of(all);
        } catch (NotPossible e) {
            return Optional.empty();
        }
    }

    /** Thrown where an error could arise in a place that no block of its own can stand around. */
    private static final class NotPossible extends RuntimeException {
        private static final long serialVersionUID = 1L;

        NotPossible() {
            super(null, null, false, false);
        }
    }

    private List<Statement> statements(List<Statement> body) {
        List<Statement> all = new ArrayList<>();
        List<Statement> open = new ArrayList<>();
        for (Statement statement : body) {
            boolean changes = changes(statement);
            if (changes && !isSimple(statement)) {
                close(open, all);
                all.add(inside(statement));
            } else {
                open.add(statement);
                if (changes) {
                    close(open, all);
                }
            }
        }
        close(open, all);
        return all;
    }

    private void close(List<Statement> open, List<Statement> all) {
        if (open.stream().noneMatch(KeptChanges::mayFail)) {
            all.addAll(open);
        } else {
            copies++;
            Span span = open.get(0).span();
            all.add(new Block(Optional.empty(), List.of(), List.of(), List.copyOf(open), rescues, span));
        }
        open.clear();
    }

    private Statement inside(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return new CodeStatement.If(choices(choice.choices()), statements(choice.otherwise()), choice.span());
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            choice.operand().ifPresent(KeptChanges::check);
            return new CodeStatement.CaseOf(
                    choice.operand(),
                    choices(choice.choices()),
                    Optional.of(choice.otherwise().map(this::statements).orElseThrow(NotPossible::new)),
                    choice.span());
        }
        if (statement instanceof CodeStatement.Loop loop) {
            loop.before().ifPresent(KeptChanges::check);
            loop.after().ifPresent(KeptChanges::check);
            return new CodeStatement.Loop(
                    loop.label(), loop.before(), loop.after(), statements(loop.body()), loop.span());
        }
        if (statement instanceof CodeStatement.ForRange range) {
            check(range.from());
            check(range.to());
            return new CodeStatement.ForRange(
                    range.label(),
                    range.variable(),
                    range.reverse(),
                    range.from(),
                    range.to(),
                    range.step(),
                    statements(range.body()),
                    range.span());
        }
        boolean plain = statement instanceof Block block
                && block.rescues().isEmpty()
                && block.declarations().stream()
                        .allMatch(d -> d instanceof CodeStatement.Declaration.Variable v
                                && v.initial().filter(KeptChanges::mayFail).isEmpty());
        if (!plain) {
            throw new NotPossible();
        }
        return ((Block) statement).withBody(statements(((Block) statement).body()));
    }

    private List<Choice> choices(List<Choice> choices) {
        return choices.stream()
                .map(c -> {
                    check(c.condition());
                    return new Choice(c.condition(), statements(c.body()));
                })
                .toList();
    }

    private static void check(Expr e) {
        if (mayFail(e)) {
            throw new NotPossible();
        }
    }

    private static boolean changes(Statement statement) {
        return StatementSearch.anyStatement(
                List.of(statement),
                s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement)
                        || s instanceof CodeStatement.ChangeInto
                        || s instanceof CodeStatement.Dynamic);
    }

    /** True for a statement that holds no others, or one other that may fail without this one's failing. */
    private static boolean isSimple(Statement statement) {
        if (statement instanceof Block block) {
            return !block.rescues().isEmpty()
                    && block.declarations().isEmpty()
                    && block.body().size() == 1
                    && isSimple(block.body().get(0))
                    && block.rescues().stream().noneMatch(r -> r.body().stream().anyMatch(KeptChanges::changes));
        }
        return !(statement instanceof CodeStatement.If
                || statement instanceof CodeStatement.CaseOf
                || statement instanceof CodeStatement.Loop
                || statement instanceof CodeStatement.ForRange
                || statement instanceof CodeStatement.ForRows);
    }

    private static boolean mayFail(Statement statement) {
        if (statement instanceof CodeStatement.Assign assign) {
            return !(assign.value() instanceof Expr.Literal) && !(assign.value() instanceof Expr.Column);
        }
        if (statement instanceof CodeStatement.Return returned) {
            return returned.value()
                    .filter(v -> !(v instanceof Expr.Literal || v instanceof Expr.Column))
                    .isPresent();
        }
        if (statement instanceof CodeStatement.Jump jump) {
            return jump.when().filter(KeptChanges::mayFail).isPresent();
        }
        return !(statement instanceof CodeStatement.Nothing
                || statement instanceof CodeStatement.RowCount
                || statement instanceof CodeStatement.Message);
    }

    /** True for an expression whose evaluation could end in an error. */
    private static boolean mayFail(Expr e) {
        return ExprSearch.any(
                e,
                part -> part instanceof Expr.Call
                        || part instanceof Expr.Cast
                        || part instanceof Expr.Subquery
                        || part instanceof Expr.Exists
                        || part instanceof Expr.Binary b
                                && (b.operator() == BinaryOperator.DIVIDE
                                        || b.operator() == BinaryOperator.DIVIDE_EXACT
                                        || b.operator() == BinaryOperator.DIVIDE_WHOLE
                                        || b.operator() == BinaryOperator.MODULO));
    }
}
