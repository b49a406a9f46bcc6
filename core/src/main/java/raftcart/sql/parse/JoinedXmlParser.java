package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;

/** Reads XMLAGG where its text is all that is wanted, as it was before LISTAGG: texts of several rows put together. */
final class JoinedXmlParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    JoinedXmlParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** The aggregate, whose parenthesis stands next. */
    Expr read(Span span) {
        cursor.expectSymbol("(");
        boolean element = cursor.peek().isWord("XMLELEMENT") && cursor.peek(1).isSymbol("(");
        Expr value = element ? element(span) : parsing.expressions.expression();
        boolean text = element ? texts() : parsing.has(GrammarFeature.DATA_ATTRIBUTES);
        List<OrderItem> order = cursor.takeWords("ORDER", "BY") ? parsing.queries.orderItems() : List.of();
        cursor.expectSymbol(")");
        text |= texts();
        boolean whole = cursor.peek().isSymbol(".") && cursor.peek(1).isAnyWord("GETCLOBVAL", "GETSTRINGVAL");
        if (whole) {
            cursor.take();
            cursor.take();
            cursor.expectSymbol("(");
            cursor.expectSymbol(")");
        }
        boolean becomesText = whole || parsing.has(GrammarFeature.DATA_ATTRIBUTES);
        if (!text || !becomesText) {
            throw cursor.byHand("XMLAGG");
        }
        CallSuffix suffix = new CallSuffix(false, order, true, Optional.empty(), "", Optional.empty());
        // Without a separator, which an empty text is not where that is NULL.
        return parsing.has(GrammarFeature.DATA_ATTRIBUTES)
                ? new Expr.Call(
                        QualifiedName.of("string_agg"), true, List.of(value, Expr.Literal.string("")), suffix, span)
                : new Expr.Call(QualifiedName.of("LISTAGG"), false, List.of(value), suffix, span);
    }

    /** {@code XMLELEMENT(e, a, b)}, whose text is that of its parts. */
    private Expr element(Span span) {
        cursor.take();
        cursor.take();
        if (cursor.peek().isWord("NAME") && cursor.peek(1).isName()) {
            cursor.take();
        }
        parsing.name();
        cursor.expectSymbol(",");
        List<Expr> parts = parsing.list(parsing.expressions::expression);
        cursor.expectSymbol(")");
        return parts.size() == 1 ? parts.get(0) : new Expr.Concat(parts, true, span);
    }

    /** {@code .EXTRACT('//text()')}: the texts without their tags. */
    private boolean texts() {
        boolean at = cursor.peek().isSymbol(".")
                && cursor.peek(1).isWord("EXTRACT")
                && cursor.peek(2).isSymbol("(")
                && cursor.peek(3).isString()
                && cursor.peek(3).value().equals("//text()");
        for (int i = 0; at && i < 5; i++) {
            cursor.take();
        }
        return at;
    }
}
