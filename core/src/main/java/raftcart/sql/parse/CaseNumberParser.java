package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;

/** Reads Teradata's {@code CASE_N(a, b, NO CASE OR UNKNOWN)}: the number of the first condition that holds. */
final class CaseNumberParser {
    private CaseNumberParser() {}

    /** The choice, or null where the name is that of an ordinary function. */
    static Expr read(Parsing parsing, Span span) {
        if (!parsing.has(GrammarFeature.SHORT_VERBS)) {
            return null;
        }
        TokenCursor cursor = parsing.cursor;
        cursor.expectSymbol("(");
        List<Expr.When> branches = new ArrayList<>();
        Optional<Expr> otherwise = Optional.empty();
        do {
            Expr number = Expr.Literal.number(branches.size() + 1);
            if (cursor.takeWords("NO", "CASE", "OR", "UNKNOWN")) {
                otherwise = Optional.of(number);
            } else if (cursor.peek().isWord("UNKNOWN") || cursor.atWords("NO", "CASE")) {
                throw cursor.byHand("CASE_N with NO CASE or UNKNOWN alone");
            } else {
                branches.add(new Expr.When(parsing.expressions.expression(), number));
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
        return new Expr.Case(Optional.empty(), branches, otherwise, span);
    }
}
