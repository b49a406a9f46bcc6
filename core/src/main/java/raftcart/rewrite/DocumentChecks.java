package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import raftcart.dialect.SqlFeature;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;

/**
 * Checks that a text is a JSON document, for a target whose older servers have no predicate for that: a cast refuses what is
 * none. A check is false then or fails, and the row is refused either way; so only conditions that all have to hold are
 * said like this.
 */
final class DocumentChecks {
    private DocumentChecks() {}

    /** The check of the target, said with casts where it is or holds such a condition. */
    static Expr of(Expr check, ExprAdapter adapter) {
        return adapter.to.has(SqlFeature.DOCUMENTS_BY_CAST)
                        && !adapter.from.name().equals(adapter.to.name())
                ? proved(check, adapter)
                : check;
    }

    private static Expr proved(Expr check, ExprAdapter adapter) {
        if (check instanceof Expr.Junction all && all.and()) {
            return new Expr.Junction(
                    true, all.parts().stream().map(p -> proved(p, adapter)).toList(), all.span());
        }
        if (check instanceof Expr.Junction any && any.parts().size() == 2) {
            int none = isNull(any.parts().get(0)) ? 0 : isNull(any.parts().get(1)) ? 1 : -1;
            if (none < 0) {
                return check;
            }
            List<Expr> parts = new ArrayList<>(any.parts());
            parts.set(1 - none, proved(parts.get(1 - none), adapter));
            return new Expr.Junction(false, parts, any.span());
        }
        boolean compared = check instanceof Expr.Binary b
                && (b.operator() == BinaryOperator.EQUAL && isTruth(b.right(), "true")
                        || b.operator() == BinaryOperator.GREATER && isTruth(b.right(), "false"));
        Expr asked = compared ? ((Expr.Binary) check).left() : check;
        if (!(asked instanceof Expr.Call call) || !call.canonical() || !call.is("json_valid")) {
            return check;
        }
        Expr text = call.arguments().get(0);
        Span span = check.span();
        Expr letters = adapter.kind(text) == ValueKind.BYTES
                ? new Expr.Call(
                        QualifiedName.of("convert_from"),
                        false,
                        List.of(text, new Expr.Literal(LiteralKind.STRING, "UTF8", span)),
                        CallSuffix.NONE,
                        span)
                : text;
        Expr document = new Expr.Cast(letters, TypeName.of("json"), false, span);
        return new Expr.Junction(
                false,
                List.of(new Expr.Is(text, Truth.NULL, false, span), new Expr.Is(document, Truth.NULL, true, span)),
                span);
    }

    private static boolean isNull(Expr condition) {
        return condition instanceof Expr.Is is && is.truth() == Truth.NULL && !is.negated();
    }

    private static boolean isTruth(Expr value, String truth) {
        return value instanceof Expr.Literal literal
                && literal.kind() == LiteralKind.BOOLEAN
                && literal.text().equalsIgnoreCase(truth);
    }
}
