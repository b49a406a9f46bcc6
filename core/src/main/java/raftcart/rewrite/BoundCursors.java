package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CursorStep;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;

/**
 * Cursors that get their query when they are opened ("Opening Cursors", PL/pgSQL), as cursors that are declared with it: those that
 * are opened in one place and never handed on.
 */
final class BoundCursors {
    private BoundCursors() {}

    /** The same code; what is handed on, or opened for several queries, stays as it is. */
    static CodeStatement bound(CodeStatement code) {
        Map<String, List<Query>> opened = new HashMap<>();
        StatementSearch.anyStatement(List.of(code), s -> {
            if (s instanceof CursorStep step && step.opens()) {
                step.query().ifPresent(q -> opened.computeIfAbsent(step.cursor().key(), k -> new ArrayList<>())
                        .add(q));
            }
            return false;
        });
        if (opened.isEmpty()) {
            return code;
        }
        Set<String> named = new HashSet<>();
        StatementSearch.anyExpression(List.of(code), e -> {
            if (e instanceof Expr.Column c && c.name().parts().size() == 1) {
                named.add(c.name().last().key());
            }
            return false;
        });
        Set<String> declared = new HashSet<>();
        StatementSearch.anyStatement(List.of(code), s -> {
            if (s instanceof Block block) {
                block.declarations().stream()
                        .filter(BoundCursors::isUnbound)
                        .forEach(d -> declared.add(d.name().key()));
            }
            return false;
        });
        Set<String> inner = inner(code);
        opened.values()
                .removeIf(all -> ExprSearch.any(
                        all.get(0),
                        e -> e instanceof Expr.Column c
                                && inner.contains(c.name().parts().get(0).key())));
        opened.keySet()
                .removeIf(k -> !declared.contains(k)
                        || named.contains(k)
                        || opened.get(k).size() > 1);
        return (CodeStatement) new Binding(opened).statement(code);
    }

    /** What blocks within the outermost declare, which is not there yet where that declares its cursors. */
    private static Set<String> inner(CodeStatement code) {
        Set<String> names = new HashSet<>();
        boolean[] outermost = {true};
        StatementSearch.anyStatement(List.of(code), s -> {
            if (s instanceof Block block) {
                block.declarations().stream()
                        .filter(d -> !outermost[0] || d instanceof Declaration.Cursor)
                        .forEach(d -> names.add(d.name().key()));
                outermost[0] &= block.declarations().isEmpty();
            } else if (s instanceof CodeStatement.ForRange range) {
                names.add(range.variable().key());
            } else if (s instanceof CodeStatement.ForRows rows) {
                names.add(rows.row().key());
            }
            return false;
        });
        return names;
    }

    private static boolean isUnbound(Declaration declaration) {
        return declaration instanceof Declaration.Variable v
                && v.type().equals(CodeResults.CURSOR)
                && v.initial().isEmpty();
    }

    private static final class Binding extends StatementMapper {
        private final Map<String, List<Query>> opened;

        Binding(Map<String, List<Query>> opened) {
            this.opened = opened;
        }

        @Override
        public Statement statement(Statement statement) {
            if (statement instanceof CursorStep step
                    && opened.containsKey(step.cursor().key())) {
                return new CursorStep(step.opens(), step.cursor(), step.arguments(), Optional.empty(), step.span());
            }
            return statement instanceof Block block
                    ? super.statement(new Block(
                            block.label(),
                            block.declarations().stream().map(this::declared).toList(),
                            block.handlers(),
                            block.body(),
                            block.rescues(),
                            block.span()))
                    : super.statement(statement);
        }

        private Declaration declared(Declaration declaration) {
            boolean bound = isUnbound(declaration)
                    && opened.containsKey(declaration.name().key());
            return bound
                    ? new Declaration.Cursor(
                            declaration.name(),
                            List.of(),
                            opened.get(declaration.name().key()).get(0),
                            ((Declaration.Variable) declaration).span())
                    : declaration;
        }
    }
}
