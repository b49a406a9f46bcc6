package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/**
 * Parts of a table that the target cannot say, such as a default or a check: the table is made without them, and a person
 * is told, rather than left without the table.
 */
final class UnsaidParts {
    private final QueryAdapter adapter;

    UnsaidParts(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The expression of a part as the target says it; nothing, and a finding, where it cannot. */
    Optional<Expr> expression(String part, Span span, Supplier<Expr> adapted) {
        return tried(part, span, () -> {
            Expr expression = adapted.get();
            if (!adapter.same()) {
                adapter.to.writer().apply(WriterContext.plain(adapter.to)).expression(expression);
            }
            return expression;
        });
    }

    /** The statements that make an index of a table as the target says them; none, and a finding, where it cannot. */
    List<Statement> statements(String part, Span span, Supplier<List<Statement>> adapted) {
        return tried(part, span, () -> {
                    List<Statement> statements = adapted.get();
                    if (!adapter.same()) {
                        statements.forEach(adapter.to.writer().apply(WriterContext.plain(adapter.to))::statement);
                    }
                    return statements;
                })
                .orElse(List.of());
    }

    private <T> Optional<T> tried(String part, Span span, Supplier<T> adapted) {
        try {
            return Optional.of(adapted.get());
        } catch (Untranslatable e) {
            if (adapter.same()) {
                throw e;
            }
            adapter.note(FindingCode.SYNTAX_CHECK, span, part + " is left out: " + e.getMessage());
            return Optional.empty();
        }
    }
}
