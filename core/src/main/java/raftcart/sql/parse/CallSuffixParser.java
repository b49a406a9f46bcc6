package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Window;

/** Reads what follows the parentheses of a call: orders, filters, windows. */
final class CallSuffixParser {
    private static final Set<String> EXTREMES = Set.of("greatest", "least");

    private final Parsing parsing;
    private final TokenCursor cursor;

    CallSuffixParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    String nullTreatment() {
        if (cursor.takeWords("IGNORE", "NULLS")) {
            return "IGNORE NULLS";
        }
        return cursor.takeWords("RESPECT", "NULLS") ? "RESPECT NULLS" : "";
    }

    private Optional<Expr> filter() {
        if (!cursor.peek().isWord("FILTER") || !cursor.peek(1).isSymbol("(")) {
            return Optional.empty();
        }
        cursor.take();
        cursor.take();
        cursor.expectWords("WHERE");
        Expr filter = parsing.expressions.expression();
        cursor.expectSymbol(")");
        return Optional.of(filter);
    }

    /** The call with all that follows its parentheses. */
    Expr suffixed(
            QualifiedName name,
            List<Expr> arguments,
            boolean distinct,
            List<OrderItem> order,
            String given,
            Span span) {
        String nulls = given;
        List<OrderItem> sorted = order;
        boolean within = false;
        String keep = "";
        if (cursor.atWords("WITHIN", "GROUP") && cursor.peek(2).isSymbol("(")) {
            cursor.expectWords("WITHIN", "GROUP");
            cursor.expectSymbol("(");
            cursor.expectWords("ORDER", "BY");
            sorted = parsing.queries.orderItems();
            cursor.expectSymbol(")");
            within = true;
        }
        if (cursor.peek().isWord("KEEP") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            cursor.take();
            cursor.expectWords("DENSE_RANK");
            keep = cursor.takeWords("FIRST") ? "FIRST" : "LAST";
            if (keep.equals("LAST")) {
                cursor.expectWords("LAST");
            }
            cursor.expectWords("ORDER", "BY");
            sorted = parsing.queries.orderItems();
            cursor.expectSymbol(")");
        }
        Optional<Expr> filter = filter();
        if (cursor.takeWords("FROM", "FIRST")) {
            nulls = nullTreatment();
        }
        nulls = nulls.isEmpty() ? nullTreatment() : nulls;
        Optional<Window> over = Optional.empty();
        if (cursor.peek().isWord("OVER")
                && (cursor.peek(1).isSymbol("(") || cursor.peek(1).isName())) {
            cursor.take();
            over = Optional.of(new WindowParser(parsing).window());
        }
        if (nulls.equals("IGNORE NULLS") && EXTREMES.contains(name.key())) {
            return Expr.Call.of(name.key() + "_skip_nulls", arguments.toArray(Expr[]::new))
                    .at(span);
        }
        CallSuffix suffix = new CallSuffix(distinct, sorted, within, filter, nulls, over, keep);
        return new Expr.Call(name, false, arguments, suffix.equals(CallSuffix.NONE) ? CallSuffix.NONE : suffix, span);
    }
}
