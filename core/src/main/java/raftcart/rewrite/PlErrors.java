package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.type.LogicalType;

/** What code asks of the error at hand by SQLERRM and SQLSTATE ("Obtaining Information about an Error", PL/pgSQL). */
final class PlErrors {
    private static final Name TEXT = Name.of("error_text_");
    private static final Name STATE = Name.of("error_state_");
    private static final int LONGEST = 512;

    private final PlCode pl;
    private final boolean asks;

    PlErrors(PlCode pl, Statement whole) {
        this.pl = pl;
        this.asks = StatementSearch.anyExpression(List.of(whole), e -> isNamed(e, "sqlerrm") || isNamed(e, "sqlstate"));
    }

    private static boolean isNamed(Expr e, String word) {
        return e instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().text().equalsIgnoreCase(word);
    }

    List<Declaration> variables() {
        List<Declaration> all = new ArrayList<>();
        if (asks) {
            Span span = pl.frame().whole.span();
            all.add(declared(TEXT, new LogicalType.Varchar(LONGEST), span));
            all.add(declared(STATE, new LogicalType.Varchar(5), span));
        }
        return all;
    }

    private Declaration declared(Name name, LogicalType type, Span span) {
        pl.frame().declare(new KnownColumn(name, Optional.of(type), false, false));
        return new Declaration.Variable(name, pl.code().written(name, type), Optional.empty(), false, span);
    }

    /** The variable for what is asked. */
    Optional<Expr> variable(Expr e) {
        return isNamed(e, "sqlerrm")
                ? Optional.of(Expr.Column.of(TEXT.text()))
                : isNamed(e, "sqlstate") ? Optional.of(Expr.Column.of(STATE.text())) : Optional.empty();
    }

    /** What fills the variables at the beginning of a handler that asks. */
    List<Statement> noted(List<Statement> handler, Span span) {
        boolean here = StatementSearch.anyExpression(handler, e -> isNamed(e, "sqlerrm") || isNamed(e, "sqlstate"));
        if (!here) {
            return List.of();
        }
        pl.adapter()
                .note(
                        FindingCode.SYNTAX_CHECK,
                        span,
                        "the text and SQLSTATE of an error, which are others on the target unless the code raised it");
        Expr state = Expr.Column.of(STATE.text());
        Statement read = new CodeStatement.Diagnosis(
                List.of(state, Expr.Column.of(TEXT.text())), List.of("RETURNED_SQLSTATE", "MESSAGE_TEXT"), span);
        Expr own = new Expr.Binary(BinaryOperator.EQUAL, state, Expr.Literal.string(PlBlocks.OWN_ERROR), span);
        Statement raised = new CodeStatement.Assign(state, Expr.Literal.string("P0001"), span);
        return List.of(
                read, new CodeStatement.If(List.of(new CodeStatement.Choice(own, List.of(raised))), List.of(), span));
    }
}
