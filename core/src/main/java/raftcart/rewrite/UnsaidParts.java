package raftcart.rewrite;

import java.util.Optional;
import java.util.function.Supplier;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;

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
        try {
            Expr expression = adapted.get();
            if (!adapter.same()) {
                adapter.to.writer().apply(WriterContext.plain(adapter.to)).expression(expression);
            }
            return Optional.of(expression);
        } catch (Untranslatable e) {
            if (adapter.same()) {
                throw e;
            }
            adapter.note(FindingCode.SYNTAX_CHECK, span, part + " is left out: " + e.getMessage());
            return Optional.empty();
        }
    }
}
